/** Where the judgement follows nature: what is never so, what comes near, the time and the place. */
import { expect } from "chai";
import { assess } from "../answer/answer.ts";
import { dangerNeighbours } from "../find/neighbours.ts";
import { findSchema } from "../find/schema.ts";
import { shelve } from "../knowledge/knowledge.ts";
import { typicalFind } from "../lint/typical.ts";
import { answerTo, bodyOf, FIELD_MUSHROOM, GRASS, mistakesTo, OLDER } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { agreementOf } from "./contradictions.ts";
import { GRACE_DAYS, isInMonths } from "./season.ts";

const statusOf = (answer: ReturnType<typeof answerTo>, sheet: string) =>
  answer.dangers.find((danger) => danger.sheet === sheet)?.status;

describe("what a danger never shows", () => {
  const brown = { "gill-colour": "chocolate-brown" };
  it("is one mistake seen once, and two seen on two bodies", () => {
    const once = answerTo([bodyOf(brown, { age: "mature" })]);
    const twice = answerTo([bodyOf(brown, { age: "mature" }), bodyOf(brown, { id: "B", age: "mature" })]);
    expect(mistakesTo(once, "amanita-virosa")).to.equal(1);
    expect(mistakesTo(twice, "amanita-virosa")).to.equal(2);
    expect(statusOf(twice, "amanita-virosa")).to.equal("ruled-out");
  });
  it("is still one where the second body was looked at without being sure", () => {
    const unsure = { "gill-colour": "?chocolate-brown" };
    const answer = answerTo([bodyOf(brown, { age: "mature" }), bodyOf(unsure, { id: "B", age: "mature" })]);
    expect(answer.dangers.find((one) => one.sheet === "amanita-virosa")?.bodies.map((one) => one.mistakes)).to.include(
      1,
    );
  });
  it("is one mistake for a nose, on however many bodies: one that is wrong is wrong on all of them", () => {
    // no yellow-staining agaricus smells of aniseed, and a nose that finds it on one body finds it on the next
    const aniseed = { smell: "aniseed" };
    const nose = answerTo([bodyOf(aniseed, { age: "mature" }), bodyOf(aniseed, { id: "B", age: "mature" })]);
    expect(mistakesTo(nose, "agaricus-xanthodermus")).to.equal(1);
    const smelledBy = (...by: readonly string[]) =>
      answerTo([
        {
          ...bodyOf({}, { age: "mature" }),
          seen: by.map((one, hour) => ({
            character: "smell" as const,
            states: ["aniseed"],
            by: one,
            at: `2026-10-01T1${hour}:00:00+02:00`,
          })),
        },
      ]);
    expect(mistakesTo(smelledBy("I", "I"), "agaricus-xanthodermus"), "the same nose later").to.equal(1);
    expect(mistakesTo(smelledBy("I", "you"), "agaricus-xanthodermus"), "another nose").to.equal(2);
    const heated = { ...aniseed, "smell-heated": "aniseed" };
    expect(mistakesTo(answerTo([bodyOf(heated, { age: "mature" })]), "agaricus-xanthodermus")).to.equal(1);
  });
  it("is taken for nothing that it does show, though the same word is taken for one where a sheet does not say so", () => {
    // tan fans are never salmon-pink, and a salmon-pink fan is taken for a tan one by nobody (common practice, no source)
    const pink = answerTo([
      bodyOf({ underside: "pores", "cap-shape": "shelf", "cap-colour": "pink" }, { age: "mature" }),
    ]);
    const against = (sheet: string) =>
      pink.dangers.find((one) => one.sheet === sheet)?.bodies.map((one) => one.mistakes);
    expect(against("meripilus-giganteus")).to.deep.equal([1]);
    expect(dangerNeighbours("cap-colour", "pink")).to.include("brown");
    const silent = SHIPPED.byId.get("meripilus-giganteus");
    if (silent === undefined) throw new Error("a sheet is missing");
    const look = {
      character: "cap-colour" as const,
      states: ["pink"],
      body: "A",
      sure: true,
      heated: false,
      repeated: false,
    };
    const agreement = (never: typeof silent.never) =>
      agreementOf({ ...silent, never }, look, "mature", undefined, false).kind;
    expect(agreement(silent.never)).to.equal("contradicts");
    expect(agreement([])).to.equal("agrees");
  });
  it("speaks against it also where its sheet says nothing else of that character, or nothing at that age", () => {
    // a crown cup that is still closed is hollow, and a halved amanita of any age is no solid ball (common practice, no source)
    const solid = { underside: "enclosed", bisection: "uniform-white" };
    for (const [sheet, age] of [
      ["sarcosphaera-coronaria", "young"],
      ["amanita-volvata", "mature"],
    ] as const) {
      const kind = SHIPPED.byId.get(sheet);
      expect(kind?.never.map((one) => one.character)).to.include("bisection");
      expect(kind?.characters.bisection?.[age]).to.equal(undefined);
      const against = answerTo([bodyOf(solid, { age })]).dangers.find((one) => one.sheet === sheet);
      const point = against?.points.find((one) => one.character === "bisection");
      expect(point?.hard).to.equal(true);
      expect(point?.text).to.match(/ never shows that$/);
    }
    const twice = answerTo([bodyOf(solid, { age: "young" }), bodyOf(solid, { id: "B", age: "young" })]);
    expect(statusOf(twice, "sarcosphaera-coronaria")).to.equal("ruled-out");
  });
  it("is silent there under a mask that could make it, of weather or of the sheet's own", () => {
    const kind = SHIPPED.byId.get("sarcosphaera-coronaria");
    if (kind === undefined) throw new Error("a sheet is missing");
    const { smell: _smell, ...characters } = kind.characters;
    const odd: typeof kind = { ...kind, characters, never: [{ character: "smell", states: ["none"], why: "a test" }] };
    const pointsAt = (sheet: typeof kind, weather: object) =>
      assess(
        findSchema.parse({
          ...typicalFind(kind),
          weather,
          bodies: [bodyOf({ smell: "none" }, { age: "mature" })],
        }),
        shelve([sheet]),
      ).dangers[0]?.points.map((one) => one.character);
    const masks = [{ characters: ["smell" as const], when: ["always" as const], why: "a test", lift: "another day" }];
    expect(pointsAt(odd, { frostLastNight: false, airTempC: 15 })).to.deep.equal(["smell"]);
    expect(pointsAt(odd, { frostLastNight: true, airTempC: -2 })).to.deep.equal([]);
    expect(pointsAt({ ...odd, masks }, { frostLastNight: false, airTempC: 15 })).to.deep.equal([]);
  });
});

describe("several things told of one look", () => {
  const against = (sheet: string, seen: Record<string, string>, more: object = {}) =>
    answerTo([bodyOf(seen, { age: "mature", ...more })]).dangers.find((one) => one.sheet === sheet)?.bodies[0]
      ?.mistakes;
  it("are each a claim: a cap that is brown and wine-red is no brown cap, and the wine-red is one mistake, a soft one", () => {
    // the bitter-beech bolete is grey-buff to brown and never wine-red (common practice, no source)
    expect(against("caloboletus-calopus", { "cap-colour": "red-brown" })).to.equal(0);
    expect(against("caloboletus-calopus", { "cap-colour": "red-brown, wine-red" })).to.equal(1);
    const point = answerTo([bodyOf({ "cap-colour": "red-brown, wine-red" })])
      .dangers.find((one) => one.sheet === "caloboletus-calopus")
      ?.points.find((one) => one.character === "cap-colour");
    expect(point?.hard).to.equal(false);
    expect(point?.text).to.match(/wine red and red brown|red brown and wine red/);
  });
  it("are none for a danger where one of them is a sign of it: an ink smell among others, a yellow stain beside a brown", () => {
    expect(against("agaricus-xanthodermus", { smell: "mushroomy, chemical" })).to.equal(0);
    expect(against("agaricus-xanthodermus", { "stain-base": "chrome-yellow, orange" })).to.equal(0);
    expect(against("agaricus-xanthodermus", { "stain-base": "orange" })).to.equal(1);
    expect(against("amanita-virosa", { ring: "skirt, cogwheel" })).to.equal(0);
    expect(against("galerina-marginata", { "gill-colour": "clay-brown, purple-grey" })).to.equal(0);
  });
  it("say nothing by a bare ground beside what lies on it, nor by two words for one curve", () => {
    expect(against("amanita-muscaria", { "cap-surface": "smooth, scaly" })).to.equal(1);
    expect(against("tricholoma-pardinum", { "cap-surface": "scaly, smooth" })).to.equal(0);
    expect(against("lepiota-castanea", { "cap-shape": "convex, conical" })).to.equal(0);
    expect(against("amanita-muscaria", { "veil-on-cap": "none, white-warts" })).to.equal(0);
  });
  it("are forgiven where a mask could have made the odd one, and the mask is named", () => {
    // a red cap that pales in the rain is red and yellow at once
    const cap = { "cap-colour": "wine-red, yellow" };
    expect(against("russula-nobilis", cap)).to.equal(1);
    const washed = answerTo([bodyOf(cap, { age: "mature", wear: ["rain-washed"] })]);
    const danger = washed.dangers.find((one) => one.sheet === "russula-nobilis");
    expect(danger?.bodies[0]?.mistakes).to.equal(0);
    expect(danger?.masks.map((one) => one.mask)).to.include("reds-faded");
  });
  it("are a hard one where one of them is what the danger never shows, and two where that was seen on two bodies", () => {
    // green patches with cream between them are on no red sickener (common practice, no source)
    const patched = { "cap-colour": "cream, green", "cap-surface": "cracked" };
    const emetica = (...ids: readonly string[]) =>
      answerTo(ids.map((id) => bodyOf(patched, { id, age: "mature" }))).dangers.find(
        (one) => one.sheet === "russula-emetica",
      );
    expect(SHIPPED.byId.get("russula-emetica")?.never.flatMap((one) => one.states)).to.include("green");
    expect(emetica("A")?.points.find((one) => one.character === "cap-colour")?.hard).to.equal(true);
    expect(emetica("A")?.mistakes).to.equal(1);
    expect(emetica("A", "B")?.status).to.equal("ruled-out");
    // told as one of several it is a claim only where each of them is one: not of a curve, nor of a smell
    const funnel = answerTo([bodyOf({ "cap-shape": "funnel, perforated" }, { age: "mature" })]);
    expect(SHIPPED.byId.get("sarcosphaera-coronaria")?.never.flatMap((one) => one.states)).to.include("funnel");
    expect(
      funnel.dangers
        .find((one) => one.sheet === "sarcosphaera-coronaria")
        ?.points.find((one) => one.character === "cap-shape")?.hard,
    ).to.equal(false);
  });
  it("do not count where the look is unsure", () => {
    expect(against("caloboletus-calopus", { "cap-colour": "?red-brown, wine-red" })).to.equal(0);
  });
});

describe("a kind that one soft look alone keeps from fitting", () => {
  const odd = answerTo([bodyOf({ ...FIELD_MUSHROOM, "cap-colour": "green" }), OLDER], GRASS);
  it("comes near and is named, and does not come to basket", () => {
    const field = odd.candidates.find((one) => one.sheet === "agaricus-campestris");
    expect(field?.fits).to.equal(false);
    expect(field?.near?.character).to.equal("cap-colour");
    expect(odd.verdict).to.equal("hold");
  });
  it("is no kind on a stem whose cap is told as a shelf: that is no word for a curve, and clears many dangers by itself", () => {
    // on two bodies a shelf is two mistakes against each kind that stands on a stem: what it is taken for must really have one
    const shelf = answerTo([bodyOf({ ...FIELD_MUSHROOM, "cap-shape": "shelf" }), OLDER], GRASS);
    expect(shelf.candidates.find((one) => one.sheet === "agaricus-campestris")?.fits).to.equal(false);
    expect(shelf.verdict).not.to.equal("basket");
    const flat = answerTo([bodyOf({ underside: "pores", "cap-shape": "flat", "cap-zones": "distinct" })]);
    expect(flat.candidates.find((one) => one.sheet === "trametes-versicolor")?.fits).to.equal(true);
  });
  it("does not come near by a hard one", () => {
    const white = answerTo([bodyOf({ ...FIELD_MUSHROOM, "spore-print": "white" }), OLDER], GRASS);
    expect(white.candidates.find((one) => one.sheet === "agaricus-campestris")?.near).to.equal(undefined);
  });
});

describe("the time and the place", () => {
  const kind = SHIPPED.byId.get("calvatia-gigantea");
  if (kind === undefined) throw new Error("a sheet is missing");
  const at = (more: object) => assess(findSchema.parse({ ...typicalFind(kind), ...more }), SHIPPED);
  it("are in season three weeks before and after, round the turn of the year as well", () => {
    expect(isInMonths(0, [12])).to.equal(true);
    expect(isInMonths(GRACE_DAYS - 1, [12])).to.equal(true);
    expect(isInMonths(GRACE_DAYS + 1, [12])).to.equal(false);
    expect(isInMonths(364, [1])).to.equal(true);
  });
  it("doubt a sought kind and move no danger", () => {
    const winter = at({ foundAt: "2026-02-20T10:00:00+01:00", place: { region: "europe" } });
    const autumn = at({ foundAt: "2026-09-10T10:00:00+02:00", place: { region: "europe" } });
    const misplaced = (answer: typeof winter) =>
      answer.candidates.find((one) => one.sheet === kind.id)?.misplaced.map((one) => one.code);
    expect(misplaced(winter)).to.include("out-of-season");
    expect(misplaced(autumn)).to.deep.equal([]);
    expect(winter.verdict).not.to.equal("basket");
    const distances = (answer: typeof winter) =>
      Object.fromEntries(answer.dangers.map((one) => [one.sheet, one.mistakes]));
    expect(distances(winter)).to.deep.equal(distances(autumn));
  });
});

describe("a sickener of another continent", () => {
  it("is set aside by a house rule, and named; a deadly one never is", () => {
    const answer = answerTo([bodyOf(FIELD_MUSHROOM), OLDER], GRASS);
    const aside = answer.dangers.filter((danger) => danger.aside);
    expect(aside.map(({ sheet }) => sheet)).to.include("agaricus-californicus");
    for (const { sheet, tier } of aside) expect(tier, sheet).to.equal("sickener");
    expect(answer.verdict).to.equal("basket");
  });
  it("counts where the rule says so, and where nobody knows the place", () => {
    const strict = answerTo([bodyOf(FIELD_MUSHROOM), OLDER], { ...GRASS, rules: { foreignSickeners: "count" } });
    expect(strict.verdict).to.equal("hold");
    const { place: _place, ...nowhere } = GRASS;
    expect(answerTo([bodyOf(FIELD_MUSHROOM), OLDER], nowhere).dangers.some((danger) => danger.aside)).to.equal(false);
  });
});

// the kinds as they grow: common practice, no source
describe("true specimens that a sheet may not turn away", () => {
  const NOTHING = { mature: {}, young: {} };
  const KINDS: readonly {
    readonly sheet: string;
    readonly of: string;
    readonly young?: object;
    readonly mature?: object;
  }[] = [
    { sheet: "suillus-luteus", of: "a young one with its veil still shut", young: { ring: "closed" } },
    { sheet: "suillus-luteus", of: "a clay-coloured print", mature: { "spore-print": "clay-brown" } },
    { sheet: "stropharia-rugosoannulata", of: "a young one with its veil still shut", young: { ring: "closed" } },
    { sheet: "cortinarius-caperatus", of: "the lilac bloom of a young cap", young: { "cap-colour": "lilac" } },
    { sheet: "agaricus-campestris", of: "a half-grown one with brown gills", young: { "gill-colour": "brown" } },
    { sheet: "cantharellus-subalbidus", of: "ridges that stand close", mature: { "gill-spacing": "close" } },
    { sheet: "cantharellus-lateritius", of: "pale yellow flesh", mature: { "flesh-colour": "yellow" } },
  ];
  for (const { sheet, of, ...looks } of KINDS)
    it(`${SHIPPED.byId.get(sheet)?.names.common}: ${of}`, () => {
      const { young, mature } = { ...NOTHING, ...looks };
      const answer = answerTo([bodyOf(young, { age: "young" }), bodyOf(mature, { id: "B", age: "mature" })]);
      expect(answer.candidates.find((one) => one.sheet === sheet)?.contradictions).to.deep.equal([]);
    });

  it("nor one of a danger: a young stropharia or a young webcap with its veil still shut stands", () => {
    const shut = answerTo([bodyOf({ ring: "closed" }, { age: "young" })]);
    for (const danger of SHIPPED.dangers)
      if (danger.characters.ring?.button?.closed !== undefined)
        expect(mistakesTo(shut, danger.id), danger.id).to.equal(0);
  });
});
