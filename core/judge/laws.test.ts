import { expect } from "chai";
import fc from "fast-check";
import { type Answer, assess } from "../answer/answer.ts";
import type { Entry } from "../find/entry.ts";
import type { Body, Find } from "../find/schema.ts";
import { REGIONS, WEARS } from "../find/vocabulary.ts";
import { type Knowledge, shelve } from "../knowledge/knowledge.ts";
import { finds, shelves, withoutEntry } from "../tests/arbitraries.ts";
import { borderFinds, verdictOn } from "../tests/border-finds.ts";
import { bodyOf, findOf } from "../tests/build.ts";
import { masked } from "../tests/masked.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { judge } from "./judge.ts";
import { inheritedLooks, sceneOf } from "./scene.ts";
import { rule, VERDICTS } from "./verdict.ts";

const RUNS = Number(process.env.LAW_RUNS ?? 150);
const options = { numRuns: RUNS };

/** How often a law was tried on a find in the basket; laws about baskets are empty without. */
const tried = new Map<string, { all: number; basket: number }>();
const BASKETS_ASKED = 1 / 3;

/** Finds for a law, most of them at the border of the basket; counts how many are in it. */
function tryingFinds(law: string): fc.Arbitrary<Find> {
  return fc.oneof({ weight: 5, arbitrary: borderFinds() }, { weight: 1, arbitrary: finds() }).map((find) => {
    const tally = tried.get(law) ?? { all: 0, basket: 0 };
    tally.all += 1;
    if (verdictOn(find) === "basket") tally.basket += 1;
    tried.set(law, tally);
    return find;
  });
}

const mistakes = (answer: Answer): Map<string, number> =>
  new Map(answer.dangers.map((one) => [one.sheet, one.mistakes]));

const DEEP_FEET = ["sac", "bulb", "abrupt-bulb", "gutter-bulb", "clasping-rim", "scaly-rings"];
const hasDeepFoot = (sheet: string): boolean =>
  Object.values(SHIPPED.byId.get(sheet)?.characters.base ?? {}).some((table) =>
    DEEP_FEET.some((foot) => foot in table),
  );

/** Every danger is at most as far away as before, and no farther cleared. */
function expectNoFarther(after: Answer, before: Answer): void {
  const known = mistakes(before);
  for (const danger of after.dangers) expect(danger.mistakes, danger.sheet).to.be.at.most(known.get(danger.sheet) ?? 0);
  const cleared = new Set(before.dangers.filter((one) => one.status === "ruled-out").map((one) => one.sheet));
  for (const danger of after.dangers) if (danger.status === "ruled-out") expect(cleared).to.include(danger.sheet);
}

/** One body and one entry of it, chosen anywhere in the find. */
const spots = fc.tuple(fc.nat(), fc.nat());
function spotIn(
  find: Find,
  [bodyPick, entryPick]: [number, number],
): { body: Body; bodyIndex: number; entry: Entry; entryIndex: number } | undefined {
  const bodyIndex = bodyPick % find.bodies.length;
  const body = find.bodies[bodyIndex];
  const entries = body?.seen ?? [];
  const entryIndex = entryPick % Math.max(1, entries.length);
  const entry = entries[entryIndex];
  return body === undefined || entry === undefined ? undefined : { body, bodyIndex, entry, entryIndex };
}

/** What the bodies of a find take over from one another, as text. */
function inheritedBy(find: Find): string[] {
  const scene = sceneOf(find);
  return scene.bodies.flatMap((body) =>
    inheritedLooks(scene, body).map(({ look }) => `${body.body.id}: ${look.character}`),
  );
}

describe("the laws of the judgement", () => {
  describe("law 1: less evidence never clears", () => {
    it("striking an observation never moves a danger farther away, but for one by which two bodies disagreed", () => {
      fc.assert(
        fc.property(tryingFinds("law 1"), spots, (find, pick) => {
          const spot = spotIn(find, pick);
          if (spot === undefined) return;
          const struck = withoutEntry(find, spot.bodyIndex, spot.entryIndex);
          const inherited = inheritedBy(find);
          if (inheritedBy(struck).some((look) => !inherited.includes(look))) return;
          expectNoFarther(assess(struck, SHIPPED), assess(find, SHIPPED));
        }),
        options,
      );
    });

    it("making an observation unsure never moves a danger farther away and never gives basket", () => {
      fc.assert(
        fc.property(tryingFinds("law 1"), spots, (find, pick) => {
          const spot = spotIn(find, pick);
          if (spot === undefined) return;
          const doubted: Find = {
            ...find,
            bodies: find.bodies.map((body, index) =>
              index !== spot.bodyIndex
                ? body
                : {
                    ...body,
                    seen: (body.seen ?? []).map((entry, at) =>
                      at === spot.entryIndex ? { ...entry, sure: false } : entry,
                    ),
                  },
            ),
          };
          const before = assess(find, SHIPPED);
          const after = assess(doubted, SHIPPED);
          expectNoFarther(after, before);
          if (before.verdict !== "basket") expect(after.verdict).not.to.equal("basket");
        }),
        options,
      );
    });

    it("what a body shows in doubt is not outweighed by what another shows: a young ball stays white inside", () => {
      const ball: Record<string, string> = {
        underside: "enclosed",
        "cap-shape": "ball",
        "cap-colour": "white",
        ring: "none",
        base: "tapered",
        "flesh-colour": "white",
      };
      const grown = bodyOf({ ...ball, bisection: "uniform-white" }, { id: "B", age: "mature" });
      const mistakesOn = (bisection: string) =>
        assess(findOf([bodyOf({ ...ball, bisection }), grown]), SHIPPED)
          .dangers.find((danger) => danger.sheet === "scleroderma-citrinum")
          ?.bodies.find((one) => one.body === "A")?.mistakes;
      expect(mistakesOn("uniform-white")).to.be.a("number");
      expect(mistakesOn("?uniform-white")).to.equal(mistakesOn("uniform-white"));
    });

    it("striking an observation gives basket only where that very observation was what refused", () => {
      fc.assert(
        fc.property(tryingFinds("law 1"), spots, (find, pick) => {
          const spot = spotIn(find, pick);
          if (spot === undefined) return;
          const before = assess(find, SHIPPED);
          const after = assess(withoutEntry(find, spot.bodyIndex, spot.entryIndex), SHIPPED);
          if (before.verdict === "basket" || after.verdict !== "basket") return;
          const refused =
            before.verdict === "leave" ||
            after.restsOn.some((sheet) => {
              const candidate = before.candidates.find((one) => one.sheet === sheet);
              return [...(candidate?.contradictions ?? []), ...(candidate?.doubts ?? [])].some(
                (one) => one.character === spot.entry.character,
              );
            });
          expect(refused, `${spot.entry.character} on ${spot.body.id}`).to.equal(true);
        }),
        options,
      );
    });
  });

  it("law 2: one more danger on the shelf never makes an answer more permissive", () => {
    const verdictBy = (find: Find, shelf: Knowledge) => VERDICTS.indexOf(rule(judge(find, shelf)).verdict);
    const without = (shelf: Knowledge, pick: number): Knowledge => {
      const danger = shelf.dangers[pick % Math.max(1, shelf.dangers.length)];
      return shelve(shelf.sheets.filter((sheet) => sheet !== danger));
    };
    // a shelf is compiled once for each danger that is taken off
    const lesser = new Map<number, Knowledge>();
    const shippedWithout = (pick: number): Knowledge => {
      const index = pick % SHIPPED.dangers.length;
      const shelf = lesser.get(index) ?? without(SHIPPED, index);
      lesser.set(index, shelf);
      return shelf;
    };
    fc.assert(
      fc.property(tryingFinds("law 2"), fc.nat(), (find, pick) => {
        expect(verdictBy(find, SHIPPED)).to.be.at.most(verdictBy(find, shippedWithout(pick)));
      }),
      options,
    );
    fc.assert(
      fc.property(finds(), shelves(), fc.nat(), (find, shelf, pick) => {
        expect(verdictBy(find, shelf)).to.be.at.most(verdictBy(find, without(shelf, pick)));
      }),
      options,
    );
  });

  it("law 3: the order of bodies and of observations changes nothing", () => {
    fc.assert(
      fc.property(tryingFinds("law 3"), (find) => {
        const turned: Find = {
          ...find,
          bodies: [...find.bodies].reverse().map((body) => ({ ...body, seen: [...(body.seen ?? [])].reverse() })),
        };
        expect(JSON.stringify(assess(turned, SHIPPED))).to.equal(JSON.stringify(assess(find, SHIPPED)));
      }),
      options,
    );
  });

  it("law 4: the gill colour of a button rules out nothing by its spores", () => {
    fc.assert(
      fc.property(tryingFinds("law 4"), fc.constantFrom("egg" as const, "button" as const), (find, age) => {
        const buttons: Find = { ...find, bodies: find.bodies.map((body) => ({ ...body, age })) };
        for (const danger of assess(buttons, SHIPPED).dangers)
          for (const point of danger.points) expect(point.character).not.to.equal("gill-colour");
      }),
      options,
    );
  });

  it("law 5: with no foot lifted whole, no danger with a sac, a bulb or a gutter is ruled out by its foot", () => {
    fc.assert(
      fc.property(
        tryingFinds("law 5"),
        fc.constantFrom("standing", "pulled", "cut", "broken", "mown", undefined),
        (find, lifted) => {
          const rooted: Find = {
            ...find,
            bodies: find.bodies.map(({ lifted: _lifted, ...body }) =>
              lifted === undefined ? body : { ...body, lifted },
            ),
          };
          for (const danger of assess(rooted, SHIPPED).dangers)
            if (hasDeepFoot(danger.sheet))
              for (const point of danger.points) expect(point.family, danger.sheet).not.to.equal("base");
        },
      ),
      options,
    );
  });

  describe("law 6: time, place and weather are no evidence", () => {
    const elsewhere = fc.record({
      foundAt: fc.constantFrom("2031-01-30T07:00:00+01:00", "2031-05-10T07:00:00+01:00", "2031-10-10T07:00:00+01:00"),
      place: fc.record({
        region: fc.constantFrom(...REGIONS),
        elevationM: fc.constantFrom(0, 900, 3300),
        lat: fc.constant(10),
        lon: fc.constant(-70),
      }),
    });

    it("another date, place, region or height moves no danger; only sickeners of other continents are set aside", () => {
      fc.assert(
        fc.property(tryingFinds("law 6"), elsewhere, (find, other) => {
          const before = assess(find, SHIPPED);
          const after = assess({ ...find, ...other }, SHIPPED);
          const distances = (answer: Answer) =>
            answer.dangers.map(({ sheet, mistakes, status }) => `${sheet} ${mistakes} ${status}`);
          expect(distances(after)).to.deep.equal(distances(before));
          for (const danger of after.dangers)
            if (danger.aside) {
              expect(danger.tier, danger.sheet).to.equal("sickener");
              expect(SHIPPED.byId.get(danger.sheet)?.months, danger.sheet).not.to.have.property(other.place.region);
            }
        }),
        options,
      );
    });

    it("time and place never permit more than their own doubt took away", () => {
      fc.assert(
        fc.property(tryingFinds("law 6"), elsewhere, (find, other) => {
          const counting: Find = { ...find, rules: { ...find.rules, foreignSickeners: "count" } };
          const { foundAt: _when, place: _where, ...untold } = counting;
          if (verdictOn({ ...counting, ...other }) === "basket") {
            const held = assess(untold, SHIPPED);
            const codes = held.reasons.map((reason) => reason.code);
            // what is asked where no region or day is told: a twin's region, a kind's months
            if (held.verdict !== "basket") expect(codes).to.deep.equal(["musts-missing"]);
          }
        }),
        options,
      );
    });

    it("switching a mask on never clears and never gives basket", () => {
      fc.assert(
        fc.property(
          tryingFinds("law 6"),
          fc.constantFrom("frost", "drought", "cold", "rain", "stale", ...WEARS),
          (find, mask) => {
            const before = assess(find, SHIPPED);
            const after = assess(masked(find, mask), SHIPPED);
            expectNoFarther(after, before);
            if (before.verdict !== "basket") expect(after.verdict).not.to.equal("basket");
          },
        ),
        options,
      );
    });
  });

  it("law 7: no single observation is enough for basket", () => {
    fc.assert(
      fc.property(tryingFinds("law 7"), shelves(), spots, (find, shelf, pick) => {
        const spot = spotIn(find, pick);
        if (spot === undefined) return;
        const { site: _site, ...rest } = find;
        const alone: Find = { ...rest, bodies: [{ ...spot.body, seen: [spot.entry] }] };
        expect(assess(alone, SHIPPED).verdict).not.to.equal("basket");
        expect(assess(alone, shelf).verdict).not.to.equal("basket");
      }),
      options,
    );
  });

  it("law 8: what is ruled out keeps a contradiction whichever observation is struck", () => {
    fc.assert(
      fc.property(tryingFinds("law 8"), spots, (find, pick) => {
        const spot = spotIn(find, pick);
        if (spot === undefined) return;
        const before = assess(find, SHIPPED);
        const after = assess(withoutEntry(find, spot.bodyIndex, spot.entryIndex), SHIPPED);
        const left = new Map(after.dangers.map((one) => [one.sheet, Math.max(...one.bodies.map((on) => on.mistakes))]));
        // of a thing that the danger never shows and that was seen on two bodies, the other body's look is left
        for (const danger of before.dangers)
          if (danger.status === "ruled-out") expect(left.get(danger.sheet), danger.sheet).to.be.at.least(1);
      }),
      options,
    );
  });

  after("tells how many of the finds tried were in the basket", () => {
    for (const [law, { all, basket }] of [...tried].sort())
      process.stdout.write(
        `      ${law}: ${basket} of ${all} finds in the basket (${((100 * basket) / all).toFixed(0)} %)\n`,
      );
    for (const [law, { all, basket }] of tried) expect(basket / all, law).to.be.at.least(BASKETS_ASKED);
  });
});
