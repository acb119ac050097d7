import { expect } from "chai";
import fc from "fast-check";
import { dayAfter, dayNumber, dayOfYear, daysApart, daysOutside, seasonOf, weekOf } from "./day-of-year.ts";

const MS = 86_400_000;
const days = () =>
  fc
    .integer({ min: -200_000, max: 200_000 })
    .map((number) => new Date(number * MS).toISOString().slice(0, 10))
    .filter((day) => /^\d{4}-/.test(day));

describe("days without a clock", () => {
  it("are counted as the platform's calendar counts them, over a thousand years", () => {
    fc.assert(
      fc.property(days(), fc.integer({ min: -4000, max: 4000 }), (day, on) => {
        const known = new Date(Date.parse(`${day}T00:00:00Z`) + on * MS).toISOString();
        fc.pre(/^\d{4}-/.test(known));
        expect(dayAfter(day, on)).to.equal(known.slice(0, 10));
        expect(dayNumber(known) - dayNumber(day)).to.equal(on);
        expect(weekOf(day)).to.be.within(0, 51);
      }),
      { numRuns: 500 },
    );
    expect(dayOfYear("2024-03-01")).to.equal(60);
    expect(dayOfYear("2026-03-01")).to.equal(59);
  });

  it("lie near each other across the turn of the year", () => {
    expect(daysApart(dayOfYear("2025-12-30"), dayOfYear("2026-01-02"))).to.be.closeTo(3, 0.3);
    expect(daysOutside(dayOfYear("2026-01-10"), [11, 12])).to.be.closeTo(10, 0.3);
    expect(daysOutside(dayOfYear("2026-09-01"), [8, 9])).to.equal(0);
    expect(daysOutside(10, [])).to.be.greaterThan(100);
  });
});

describe("the season of a kind", () => {
  it("of autumn is the calendar's year", () => {
    expect(seasonOf("2026-09-14", [7, 8, 9, 10])).to.equal(2026);
    expect(seasonOf("2026-07-01", [7, 8, 9, 10])).to.equal(2026);
  });

  it("of winter is not cut in two at new year", () => {
    const velvetFoot = [11, 12, 1, 2];
    expect(seasonOf("2025-12-20", velvetFoot)).to.equal(2025);
    expect(seasonOf("2026-01-20", velvetFoot)).to.equal(2025);
    expect(seasonOf("2026-11-20", velvetFoot)).to.equal(2026);
  });

  it("of a southern autumn lies within one year, and of a southern spring and summer in one as well", () => {
    expect(seasonOf("2026-05-10", [4, 5, 6])).to.equal(2026);
    const summer = [10, 11, 12, 1, 2, 3];
    expect(seasonOf("2025-12-01", summer)).to.equal(seasonOf("2026-02-01", summer));
    expect(seasonOf("2026-10-15", summer)).to.equal(2026);
  });

  it("of the whole year, or of no told months, is the calendar's", () => {
    expect(seasonOf("2026-01-01", [])).to.equal(2026);
    expect(seasonOf("2026-01-01", [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])).to.equal(2026);
  });
});
