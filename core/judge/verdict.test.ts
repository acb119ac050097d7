import { expect } from "chai";
import fc from "fast-check";
import { type Answer, assess } from "../answer/answer.ts";
import type { Body, Find } from "../find/schema.ts";
import { KEPT, typicalFind } from "../lint/typical.ts";
import { finds } from "../tests/arbitraries.ts";
import { answerTo, bodyOf, FIELD_MUSHROOM, findOf, GRASS, mistakesTo, OLDER, seen } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { CONDITION_WORDS } from "../words/reason-words.ts";

const codes = (answer: Answer) => answer.reasons.map((reason) => reason.code);
const good = (more: Partial<Find> = {}, body: Partial<Body> = {}) =>
  answerTo([bodyOf(FIELD_MUSHROOM, body), OLDER], { ...GRASS, ...more });

describe("an answer", () => {
  it("always has a reason, and never the words that it must not have", () => {
    fc.assert(
      fc.property(finds(), (find) => {
        const answer = assess(find, SHIPPED);
        expect(answer.reasons.length).to.be.greaterThan(0);
        expect(JSON.stringify(answer)).not.to.match(/\bsafe\b|may eat|can be eaten|confidence|%/i);
      }),
      { numRuns: 150 },
    );
  });

  it("of basket rests on kinds that it names, says that it knows no others, and carries conditions", () => {
    const answer = good();
    expect(answer.verdict).to.equal("basket");
    expect(answer.restsOn).to.include("agaricus-campestris");
    expect(answer.reasons[0]?.text).to.match(/knows no others/);
    expect(answer.conditions).to.include.members(["second-person", "two-books", "cook-through"]);
    for (const code of answer.conditions ?? []) expect(CONDITION_WORDS[code]).to.be.a("string");
  });

  it("never tells to cook for fifteen minutes what is for infusions only", () => {
    const tail = SHIPPED.byId.get("trametes-versicolor");
    if (tail === undefined) throw new Error("no turkey tail on the shelf");
    const { verdict, conditions } = assess(typicalFind(tail), SHIPPED);
    expect(verdict).to.equal("basket");
    expect(conditions).to.include("infusion-only").and.not.to.include("cook-through");
    expect(conditions).to.include("second-person");
  });

  it("of basket asks for the weather where nobody told it, since frost would make stain and nose worthless", () => {
    expect(good().conditions).to.include("weather-untold");
    expect(good({ weather: { frostLastNight: false } }).conditions).not.to.include("weather-untold");
    expect(good({ weather: { frostLastNight: true } }).verdict).to.equal("hold");
  });

  it("of hold or leave carries no conditions and rests on nothing", () => {
    fc.assert(
      fc.property(finds(), (find) => {
        const answer = assess(find, SHIPPED);
        if (answer.verdict === "basket") return;
        expect(answer).not.to.have.property("conditions");
        expect(answer.restsOn).to.deep.equal([]);
      }),
      { numRuns: 100 },
    );
  });

  it("for the find is never more permissive than for its least cleared kept body", () => {
    fc.assert(
      fc.property(finds(), (find) => {
        const answer = assess(find, SHIPPED);
        const kept = answer.bodies.filter((body) => body.kept).map((body) => body.verdict);
        if (answer.verdict === "basket")
          expect(kept.length > 0 && kept.every((verdict) => verdict === "basket")).to.equal(true);
        if (kept.includes("leave")) expect(answer.verdict).to.equal("leave");
      }),
      { numRuns: 150 },
    );
  });

  it("lists every danger, nearest first", () => {
    fc.assert(
      fc.property(finds(), (find) => {
        const distances = assess(find, SHIPPED).dangers.map((danger) => danger.mistakes);
        expect(distances).to.have.length(SHIPPED.dangers.length);
        expect(distances).to.deep.equal([...distances].sort((one, other) => one - other));
      }),
      { numRuns: 100 },
    );
  });

  it("counts each family once, and a second time where what the danger never shows was looked at twice", () => {
    const twice = answerTo([
      bodyOf({ "gill-colour": "chocolate-brown", "spore-print": "chocolate-brown" }, { age: "mature" }),
    ]);
    expect(mistakesTo(twice, "amanita-virosa")).to.equal(2);
    const buff = answerTo([bodyOf({ "cap-surface": "scaly", "cap-margin": "inrolled" })]);
    expect(mistakesTo(buff, "amanita-virosa")).to.equal(1);
    for (const danger of good().dangers) {
      const families = new Set(danger.points.map((point) => point.family)).size;
      expect(danger.mistakes)
        .to.be.at.least(families)
        .and.at.most(2 * families);
    }
  });

  it("from soft families alone is one mistake, however many they are", () => {
    const soft = answerTo([bodyOf({ "cap-colour": "blue", smell: "garlic", "stem-surface": "scabers" })]);
    const virosa = soft.dangers.find((danger) => danger.sheet === "amanita-virosa");
    expect(virosa?.mistakes).to.equal(3);
    expect(virosa?.status).to.equal("one-mistake");
  });
});

describe("what keeps a good find on hold", () => {
  it("is a house rule that asks three mistakes of every danger", () => {
    const strict = good({ rules: { distance: 3 } });
    expect(strict.verdict).to.equal("hold");
    expect(strict.dangers.find((danger) => danger.sheet === "amanita-virosa")?.status).to.equal("two-mistakes");
  });
  it("is a house rule that asks for one species while two still fit", () => {
    expect(codes(good({ rules: { naming: "species" } }))).to.deep.equal(["species-open"]);
  });
  it("is no body marked to be kept", () => {
    expect(codes(good({}, { keep: false }))).to.include("nothing-kept");
  });
  it("is a look that nobody is sure of and that speaks against the kind", () => {
    const doubted = answerTo([bodyOf({ ...FIELD_MUSHROOM, "stem-surface": "?snakeskin" }), OLDER], GRASS);
    expect(codes(doubted)).to.include("doubt");
  });
  it("is a body beside it that shows a stop sign, kept or not", () => {
    const inky: Body = { id: "C", age: "mature", keep: false, seen: seen({ "stain-base": "chrome-yellow" }) };
    const answer = answerTo([bodyOf(FIELD_MUSHROOM), OLDER, inky], GRASS);
    expect(answer.verdict).to.equal("hold");
    expect(codes(answer)).to.include("other-body-stops");
  });
  it("is a look that fits its kind through a mask alone: what hides dangers excuses nothing in a sought kind", () => {
    const powdered = answerTo([bodyOf({ ...FIELD_MUSHROOM, "veil-on-cap": "powder" }), OLDER], GRASS);
    const candidate = powdered.candidates.find((one) => one.sheet === "agaricus-arvensis");
    expect(candidate?.fits).to.equal(true);
    expect(candidate?.doubts.map((doubt) => doubt.character)).to.deep.equal(["veil-on-cap"]);
    expect(powdered.verdict).to.equal("hold");
  });
  it("is one body of nobody knows what age", () => {
    expect(good({}, { age: undefined }).verdict).to.equal("hold");
  });
  it("is a body that dried out where it stood: it is not spoilt, and nothing of it can be told (common practice, no source)", () => {
    const dry = good({}, { wear: ["dried-out"] });
    expect(dry.verdict).to.equal("hold");
    expect(dry.reasons.find((reason) => reason.code === "dried-out")?.body).to.equal("A");
    for (const sheet of SHIPPED.sought) {
      const typical = typicalFind(sheet);
      const dried = findOf(
        typical.bodies.map((body) => ({ ...body, wear: ["dried-out" as const] })),
        { site: typical.site },
      );
      expect(assess(dried, SHIPPED).verdict, sheet.id).not.to.equal("basket");
    }
    // the fresh one beside it stands by itself, and one touch leaves the dry one out
    const beside = answerTo(
      [bodyOf(FIELD_MUSHROOM), OLDER, bodyOf(FIELD_MUSHROOM, { id: "C", wear: ["dried-out"] })],
      GRASS,
    );
    expect(beside.verdict).to.equal("hold");
    const kept = beside.bodies.filter((body) => body.kept).map(({ body, verdict }) => `${body} ${verdict}`);
    expect(kept).to.deep.equal(["A basket", "C hold"]);
    expect(beside.next.further[0]?.leaveOut).to.deep.equal(["C"]);
    const chrome = bodyOf({ ...FIELD_MUSHROOM, "stain-base": "chrome-yellow" }, { wear: ["dried-out"] });
    expect(answerTo([chrome, OLDER], GRASS).verdict).to.equal("leave");
  });
  it("is larvae where the house rule is none", () => {
    expect(codes(good({ rules: { larvae: "none" } }, { larvae: "few" }))).to.deep.equal(["larvae"]);
    expect(good({}, { larvae: "few" }).verdict).to.equal("basket");
  });
});

describe("what ends a find", () => {
  it("is ground that nobody can judge clean, whatever the house rule", () => {
    for (const concern of ["treated-wood", "industrial", "mine-spoil", "sprayed-lawn", "flood-silt"] as const)
      expect(
        good({ site: { ...GRASS.site, concerns: [concern] }, rules: { dirtyGround: "judged" } }).verdict,
        concern,
      ).to.equal("leave");
  });
  it("is frost on a kind that does not bear it; the velvet shank bears it", () => {
    expect(codes(good({}, { wear: ["frozen"] }))).to.include("frosted");
    const shank = SHIPPED.byId.get("flammulina-velutipes");
    if (shank === undefined) throw new Error("no velvet shank");
    const typical = typicalFind(shank);
    const frozen = findOf(
      typical.bodies.map((body) => ({ ...body, wear: ["frozen" as const] })),
      { site: typical.site },
    );
    expect(assess(frozen, SHIPPED).verdict).not.to.equal("leave");
  });
  it("is that only dangers fit", () => {
    const angel = SHIPPED.byId.get("amanita-virosa");
    if (angel === undefined) throw new Error("no angel");
    expect(codes(assess(typicalFind(angel), SHIPPED))).to.include("only-dangers-fit");
  });
  it("is a house rule against the only kind that it could be", () => {
    const woodtuft = SHIPPED.byId.get("kuehneromyces-mutabilis");
    if (woodtuft === undefined) throw new Error("no woodtuft");
    expect(codes(assess(typicalFind(woodtuft), SHIPPED))).to.include("house-rule");
  });
});

describe("what a find was taken for", () => {
  it("is kept and never weighs, nor do neighbours, place or a name", () => {
    const plain = good();
    const named = good({
      takenFor: "amanita-phalloides",
      label: "death caps",
      note: "surely these",
      place: { region: "africa" },
      site: { ...GRASS.site, neighbours: ["amanita-phalloides"] },
    });
    expect(named.verdict).to.equal(plain.verdict);
    expect(named.dangers.map((danger) => danger.mistakes)).to.deep.equal(
      plain.dangers.map((danger) => danger.mistakes),
    );
  });
});

describe("several ages", () => {
  it("are asked of a kind that shows its spores only in age", () => {
    const oneAge = answerTo([bodyOf({ ...FIELD_MUSHROOM, "spore-print": "chocolate-brown" })], GRASS);
    expect(oneAge.verdict).to.equal("hold");
    expect(oneAge.candidates.find((one) => one.sheet === "agaricus-campestris")?.mustsMissing).to.deep.equal(["age"]);
  });
});

describe("the handling of what may be kept", () => {
  const conditionsFor = (id: string) => {
    const sheet = SHIPPED.byId.get(id);
    if (sheet === undefined) throw new Error(`no sheet ${id}`);
    const rules = { amanitas: "known", smallBrown: "known", upsetters: "cooked" } as const;
    const answers = KEPT.map((kept) => assess(typicalFind(sheet, { rules }, kept), SHIPPED));
    return answers.find((answer) => answer.verdict === "basket")?.conditions ?? [];
  };
  // common practice, no source
  for (const [id, condition] of [
    ["coprinopsis-atramentaria", "no-alcohol"],
    ["trametes-versicolor", "infusion-only"],
    ["fomitopsis-betulina", "infusion-only"],
    ["suillus-luteus", "skin-off"],
    ["suillus-luteus", "tubes-off"],
    ["armillaria-mellea", "boil-first"],
    ["morchella-esculenta", "raw-poisonous"],
  ] as const)
    it(`of the ${id} asks for ${condition} before anything is cooked`, () =>
      expect(conditionsFor(id)).to.include(condition).and.to.include("second-person"));
  it("of the field mushroom asks for none of these", () => {
    for (const condition of ["no-alcohol", "infusion-only", "raw-poisonous", "boil-first"] as const)
      expect(conditionsFor("agaricus-campestris")).not.to.include(condition);
  });
});
