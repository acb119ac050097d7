import { expect } from "chai";
import fc from "fast-check";
import { type Answer, assess } from "../assess.ts";
import type { Entry } from "../find/entry.ts";
import type { Body, Find } from "../find/schema.ts";
import { WEARS } from "../find/vocabulary.ts";
import { type Knowledge, shelve } from "../knowledge/knowledge.ts";
import { typicalFind } from "../lint/typical.ts";
import { finds, shelves, withoutEntry } from "../tests/arbitraries.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { judge } from "./judge.ts";
import { inheritedLooks, sceneOf } from "./scene.ts";
import { rule, VERDICTS } from "./verdict.ts";

const RUNS = Number(process.env.LAW_RUNS ?? 300);
const options = { numRuns: RUNS };

const mistakes = (answer: Answer): Map<string, number> =>
  new Map(answer.dangers.map((one) => [one.sheet, one.mistakes]));

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
        fc.property(finds(), spots, (find, pick) => {
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
        fc.property(finds(), spots, (find, pick) => {
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

    it("striking an observation gives basket only where that very observation was what refused", () => {
      fc.assert(
        fc.property(fc.oneof(finds(), nearlyGood()), spots, (find, pick) => {
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
    fc.assert(
      fc.property(fc.oneof(finds(), nearlyGood()), shelves(), fc.nat(), (find, shelf, pick) => {
        const danger = shelf.dangers[pick % Math.max(1, shelf.dangers.length)];
        if (danger === undefined) return;
        const without = shelve(shelf.sheets.filter((sheet) => sheet !== danger));
        expect(verdictBy(find, shelf)).to.be.at.most(verdictBy(find, without));
      }),
      options,
    );
  });

  it("law 3: the order of bodies and of observations changes nothing", () => {
    fc.assert(
      fc.property(finds(), (find) => {
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
      fc.property(finds(), fc.constantFrom("egg" as const, "button" as const), (find, age) => {
        const buttons: Find = { ...find, bodies: find.bodies.map((body) => ({ ...body, age })) };
        for (const danger of assess(buttons, SHIPPED).dangers)
          for (const point of danger.points) expect(point.character).not.to.equal("gill-colour");
      }),
      options,
    );
  });

  it("law 5: with no foot lifted whole, no danger is ruled out by its foot", () => {
    fc.assert(
      fc.property(
        finds(),
        fc.constantFrom("standing", "pulled", "cut", "broken", "mown", undefined),
        (find, lifted) => {
          const rooted: Find = {
            ...find,
            bodies: find.bodies.map(({ lifted: _lifted, ...body }) =>
              lifted === undefined ? body : { ...body, lifted },
            ),
          };
          for (const danger of assess(rooted, SHIPPED).dangers)
            for (const point of danger.points) expect(point.family).not.to.equal("base");
        },
      ),
      options,
    );
  });

  describe("law 6: time, place and weather are no evidence", () => {
    it("another date, place or region changes no verdict and no distance", () => {
      fc.assert(
        fc.property(finds(), (find) => {
          const moved: Find = {
            ...find,
            foundAt: "2031-01-30T07:00:00+01:00",
            place: { lat: 10, lon: -70, region: "south-america", elevationM: 3300 },
          };
          const before = assess(find, SHIPPED);
          const after = assess(moved, SHIPPED);
          expect(after.verdict).to.equal(before.verdict);
          expect([...mistakes(after)]).to.deep.equal([...mistakes(before)]);
        }),
        options,
      );
    });

    it("switching a mask on never clears and never gives basket", () => {
      fc.assert(
        fc.property(
          fc.oneof(finds(), nearlyGood()),
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
      fc.property(finds(), shelves(), spots, (find, shelf, pick) => {
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
      fc.property(finds(), spots, (find, pick) => {
        const spot = spotIn(find, pick);
        if (spot === undefined) return;
        const before = assess(find, SHIPPED);
        const after = mistakes(assess(withoutEntry(find, spot.bodyIndex, spot.entryIndex), SHIPPED));
        for (const danger of before.dangers)
          if (danger.status === "ruled-out") expect(after.get(danger.sheet), danger.sheet).to.be.at.least(1);
      }),
      options,
    );
  });

  it("the generators reach every verdict, so that the laws are tried where they matter", () => {
    const seen = new Set(
      fc
        .sample(fc.oneof(finds(), nearlyGood()), { numRuns: 400, seed: 7 })
        .map((find) => assess(find, SHIPPED).verdict),
    );
    expect([...seen].sort()).to.deep.equal(["basket", "hold", "leave"]);
  });
});

/** Finds that are good, or would be but for one strange observation or one lost. */
const GOOD = SHIPPED.sought.map((sheet) => typicalFind(sheet, { rules: { smallBrown: "known" } }));
function nearlyGood(): fc.Arbitrary<Find> {
  return fc.tuple(fc.constantFrom(...GOOD), finds(), spots).map(([find, donor, pick]) => {
    const spot = spotIn(donor, pick);
    if (spot === undefined) return find;
    const [first, ...rest] = find.bodies;
    if (first === undefined) return find;
    const seen = (first.seen ?? []).filter((entry) => entry.character !== spot.entry.character);
    return {
      ...find,
      bodies: [{ ...first, seen: pick[0] % 3 === 0 ? seen : [...seen, spot.entry] }, ...rest],
    };
  });
}

function masked(find: Find, mask: string): Find {
  const weather = find.weather ?? {};
  switch (mask) {
    case "frost":
      return { ...find, weather: { ...weather, frostLastNight: true } };
    case "drought":
      return { ...find, weather: { ...weather, drySpellDays: 60 } };
    case "cold":
      return { ...find, weather: { ...weather, airTempC: -20 } };
    case "rain":
      return { ...find, weather: { ...weather, rain24hMm: 40 } };
    case "stale":
      return { ...find, bodies: find.bodies.map((body) => ({ ...body, hoursSincePicked: 30 })) };
    default: {
      const wear = WEARS.filter((one) => one === mask);
      return {
        ...find,
        bodies: find.bodies.map((body) => ({ ...body, wear: [...new Set([...(body.wear ?? []), ...wear])] })),
      };
    }
  }
}
