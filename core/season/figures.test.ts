import { expect } from "chai";
import fc from "fast-check";
import { ENDINGS } from "../find/vocabulary.ts";
import { dayAfter } from "./day-of-year.ts";
import {
  type CountedFind,
  fateOf,
  fates,
  firstIdeas,
  hillOf,
  minutesByYear,
  paces,
  weeksOfKinds,
  yieldByPlace,
} from "./figures.ts";

const KINDS = ["boletus-edulis", "lepista-nuda", undefined] as const;
const counted = (): fc.Arbitrary<CountedFind[]> =>
  fc.array(
    fc.record({
      id: fc.uuid(),
      day: fc.integer({ min: 0, max: 1400 }).map((days) => dayAfter("2023-01-01", days)),
      kind: fc.constantFrom(...KINDS),
      place: fc.constantFrom("Ammerbog", "Skirrow Wood", undefined),
      grams: fc.integer({ min: 0, max: 400 }),
      endings: fc.array(fc.constantFrom(...ENDINGS), { maxLength: 3 }),
      takenFor: fc.constantFrom(...KINDS),
      named: fc.subarray(["boletus-edulis", "lepista-nuda"]),
      minutes: fc.option(fc.integer({ min: 1, max: 600 }), { nil: undefined }),
    }),
    { maxLength: 60 },
  );

describe("the season in figures", () => {
  it("counts every find once in each picture, and each number is of the finds that it leads to", () => {
    fc.assert(
      fc.property(counted(), (finds) => {
        const named = finds.filter(({ kind }) => kind !== undefined);
        const weeks = weeksOfKinds(finds, () => [8, 9, 10, 11]);
        expect(weeks.reduce((sum, { all }) => sum + all.value, 0)).to.equal(named.length);
        for (const { weeks: own, all, seasons } of weeks) {
          expect([...own.values()].reduce((sum, { value }) => sum + value, 0)).to.equal(all.value);
          expect(seasons.flatMap((one) => one.finds)).to.have.members(all.finds);
          for (const { first, last } of seasons) expect(first <= last).to.equal(true);
        }
        const became = fates(finds);
        const all = became.rows.flatMap((row) =>
          became.columns.flatMap((column) => became.at(row, column)?.finds ?? []),
        );
        expect([...all].sort()).to.deep.equal(finds.map(({ id }) => id).sort());
        const { wrong, tried } = firstIdeas(finds);
        expect(wrong.reduce((sum, one) => sum + one.finds.length, 0)).to.be.at.most(tried);
        const grams = yieldByPlace(finds);
        for (const row of grams.rows)
          for (const column of grams.columns) {
            const cell = grams.at(row, column);
            const own = finds.filter(({ id }) => cell?.finds.includes(id));
            expect(cell?.value ?? 0).to.equal(own.reduce((sum, find) => sum + find.grams, 0));
          }
        for (const { minutes } of minutesByYear(finds)) expect(minutes.value).to.be.within(1, 600);
      }),
      { numRuns: 150 },
    );
  });

  it("calls held what is not ended or still open, however the rest of it ended", () => {
    expect(fateOf({ endings: [] })).to.equal("hold");
    expect(fateOf({ endings: ["left-past-it", "puzzle-kept-open"] })).to.equal("hold");
    expect(fateOf({ endings: ["left-past-it", "looked-at-only"] })).to.equal("left");
    expect(fateOf({ endings: ["looked-at-only"] })).to.equal("looked-at");
    expect(fateOf({ endings: ["basket", "left-past-it"] })).to.equal("basket");
  });

  it("tells the pace of a year with the visits on which nothing was found", () => {
    const visit = (day: string, hours: number, found: number) => ({
      id: day,
      place: "x",
      day,
      look: { ofYear: 1 },
      hours,
      finds: new Map(found === 0 ? [] : [["boletus-edulis", found]]),
    });
    const [first, second] = paces(
      [visit("2025-09-01", 2, 3), visit("2025-09-08", 1, 0), visit("2026-09-01", 1, 0)],
      [],
    );
    expect(first).to.deep.include({ year: "2025", hours: 3, visits: 2, empty: 1 });
    expect(second).to.deep.include({ year: "2026", hours: 1, visits: 1, empty: 1 });
  });

  it("draws a hill with its peak where most was found, over the turn of the year as well", () => {
    const hill = hillOf(["2025-12-30", "2026-01-02", "2026-01-03"]);
    const peak = hill.indexOf(1);
    expect(Math.min(peak, 366 - peak)).to.be.at.most(4);
    expect(hill[180]).to.be.lessThan(0.001);
    expect(hillOf([])).to.deep.equal([]);
  });
});
