/** What nothing here settles is really beyond a look: tried against the judge itself, and not against the planner. */
import { expect } from "chai";
import fc from "fast-check";
import { assess } from "../answer/answer.ts";
import type { Entry } from "../find/entry.ts";
import { type Body, type Find, findSchema } from "../find/schema.ts";
import type { CharacterId } from "../find/vocabulary.ts";
import { isHidden } from "../judge/masks.ts";
import { bodySceneOf } from "../judge/scene.ts";
import { basketFinds } from "../tests/border-finds.ts";
import { bodyOf, findOf, type Seen } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { expectedLook } from "./expected.ts";
import { FIELD_TESTS } from "./field-tests.ts";

const HONEY: Seen = {
  underside: "gills",
  "gill-fold": "folds-over",
  "gill-attachment": "adnate",
  "gill-colour": "cream",
  "cap-surface": "scaly",
  "cap-colour": "yellow, brown",
  "flesh-colour": "white",
  "stain-cut": "none",
  "stem-surface": "fibrillose",
  "stem-colour": "brown",
  ring: "cottony",
  "ring-place": "high",
  "ring-colour": "yellow",
  base: "fused",
  smell: "mushroomy",
};
const STUMP: Partial<Find> = {
  rules: { upsetters: "cooked" },
  site: { habitat: ["broadleaf-woodland"], substrate: ["stump"], host: ["oak"], growth: ["dense-cluster"] },
  place: { region: "europe" },
};
const GROWN = bodyOf({ ...HONEY, "spore-print": "white" }, { age: "mature" });
const CLUSTER = [GROWN, bodyOf(HONEY, { id: "B" })];

describe("a second look at what a danger never shows", () => {
  it("is planned where it settles: the young one's own print, beside the white print of the grown one", () => {
    const { next } = assess(findOf(CLUSTER, STUMP), SHIPPED);
    expect(next.cannotSettle).to.deep.equal([]);
    const print = next.tests.find((test) => test.test === "take-spore-print");
    expect(print?.body).to.equal("B");
    expect(print?.movesAway).to.include.members(["pholiota-squarrosa", "gymnopilus-junonius"]);
    const printed = bodyOf({ ...HONEY, "spore-print": "white" }, { id: "B" });
    const after = assess(findOf([GROWN, printed], STUMP), SHIPPED);
    for (const sheet of print?.movesAway ?? [])
      expect(after.dangers.find((danger) => danger.sheet === sheet)?.status, sheet).to.equal("ruled-out");
  });

  it("may be a second person's: told of the one print that speaks against a danger, and it does what is told", () => {
    const { next } = assess(findOf([GROWN], STUMP), SHIPPED);
    const told = next.further.find((one) => /second person/.test(one.text))?.text;
    expect(told).to.match(/the spore print of A: .* twice against .*the shaggy scalycap/);
    const other: Entry = { character: "spore-print", states: ["white"], by: "other" };
    const observers = [
      { id: "me", name: "me" },
      { id: "other", name: "other" },
    ];
    const two = { ...GROWN, seen: [...(GROWN.seen ?? []).map((one) => ({ ...one, by: "me" })), other] };
    const after = assess(findOf([two], { ...STUMP, observers }), SHIPPED);
    expect(after.dangers.find((danger) => danger.sheet === "pholiota-squarrosa")?.status).to.equal("ruled-out");
  });

  it("is not waited for where one body alone is in the way: the others are told to do without it", () => {
    const bodies = [...CLUSTER, { ...GROWN, id: "C" }];
    const before = assess(findOf(bodies, STUMP), SHIPPED);
    expect(before.verdict).to.equal("hold");
    expect(before.next.further[0]?.text).to.equal(
      "Only B is in the way: leave B out, and the answer for A and C is the basket.",
    );
    const left = bodies.map((body) => ({ ...body, keep: body.id !== "B" }));
    expect(assess(findOf(left, STUMP), SHIPPED).verdict).to.equal("basket");
  });

  it("leaves nobody out where an age is only supposed: the judge has not answered that find", () => {
    const { full } = basketFinds().find((one) => one.full.id === "agaricus-bitorquis") ?? { full: findOf([]) };
    const [first] = full.bodies;
    const seen = (first?.seen ?? []).filter((entry) => entry.character !== "underside");
    const untold = { ...first, id: "D", age: undefined, seen, keep: true };
    const { next } = assess({ ...full, bodies: [...full.bodies, untold] }, SHIPPED);
    expect(next.tests[0]?.test).to.equal("tell-the-age");
    expect(next.further.some((one) => one.leaveOut !== undefined)).to.equal(false);
  });

  it("is a look left: no danger is told as beyond settling that one look more would rule out", () => {
    let tried = 0;
    fc.assert(
      fc.property(halfSeen, (find) => {
        const { verdict, next } = assess(find, SHIPPED);
        const supposed = SHIPPED.byId.get(next.supposing ?? "");
        if (verdict !== "hold" || supposed === undefined || next.cannotSettle.length === 0) return;
        for (const body of find.bodies) {
          const open = next.cannotSettle.filter((one) => one.body === body.id).map((one) => one.sheet);
          if (open.length === 0) continue;
          for (const character of missing(find, body)) {
            const [look] = expectedLook(supposed, character, bodySceneOf(find, body), false);
            if (look === undefined || body.keep === false) continue;
            const after = assess(withLook(find, body, character, look.states), SHIPPED);
            tried += 1;
            for (const danger of after.dangers)
              if (open.includes(danger.sheet))
                expect(
                  danger.bodies.find((one) => one.body === body.id)?.status,
                  `${danger.sheet} on ${body.id} (${body.age}) by ${character}: ${look.states.join()}`,
                ).not.to.equal("ruled-out");
          }
        }
      }),
      { numRuns: 600 },
    );
    expect(tried).to.be.greaterThan(20);
  });
});

/** Finds that came to basket, some of what was seen forgotten, some bodies handled or washed; balls have a way of their own. */
const halfSeen: fc.Arbitrary<Find> = fc.nat().chain((pick) => {
  const all = basketFinds().filter(({ full }) => SHIPPED.byId.get(full.id)?.characters.bisection?.mature === undefined);
  const { full } = all[pick % all.length] ?? { full: findOf([]) };
  const bodies = full.bodies.map((body) => {
    const seen = [...(body.seen ?? [])];
    return fc.record({
      seen: fc.subarray(seen, { minLength: Math.max(0, seen.length - FORGOTTEN) }),
      wear: fc.constantFrom<Body["wear"]>([], ["cleaned"], ["rain-washed"], ["handled"]),
    });
  });
  return fc.tuple(...bodies).map((seen) => ({
    ...full,
    bodies: full.bodies.map((body, index) => ({ ...body, ...seen[index], keep: true })),
  }));
});
const FORGOTTEN = 6;

/** Looks of a body that are unanswered or unsure and that some test can show on it. */
function missing(find: Find, body: Body): CharacterId[] {
  const scene = bodySceneOf(find, body);
  return [...new Set(SHIPPED.dangers.flatMap((sheet) => Object.keys(sheet.characters) as CharacterId[]))].filter(
    (character) => {
      const look = scene.looks.get(character);
      const canBeSeen = FIELD_TESTS.some(
        (test) => test.of === "body" && test.shows.includes(character) && test.possible?.(scene.conditions) !== false,
      );
      if (!canBeSeen) return false;
      return look === undefined || (!look.sure && !isHidden(look, scene.conditions));
    },
  );
}

function withLook(find: Find, body: Body, character: CharacterId, states: readonly string[]): Find {
  const seen = [
    ...(body.seen ?? []).filter((entry) => entry.character !== character),
    { character, states: [...states] },
  ];
  return findSchema.parse({
    ...find,
    bodies: find.bodies.map((one) => (one.id === body.id ? { ...one, seen } : one)),
  });
}
