import { expect } from "chai";
import { steadySky } from "../tests/season.ts";
import { daysNeeded, lookOf, skyDaysOf, skyOf } from "./day-look.ts";
import { dayAfter } from "./day-of-year.ts";
import { realRains } from "./real-rain.ts";

const TODAY = "2026-09-14";

describe("the weather of a day", () => {
  it("is the rain of the fifth to the twentieth day before, ten days' warmth, and the frosts of a fortnight", () => {
    const days = [...steadySky(dayAfter(TODAY, -30), 30, 2, 12)];
    expect(skyOf(TODAY, skyDaysOf(days))).to.deep.equal({ rainMm: 32, meanTempC: 12, frostNights: 0 });
    const wetYesterday = days.map((one) => (one.day >= dayAfter(TODAY, -4) ? { ...one, rainMm: 50 } : one));
    expect(skyOf(TODAY, skyDaysOf(wetYesterday))?.rainMm).to.equal(32);
    const cold = days.map((one) => (one.day >= dayAfter(TODAY, -3) ? { ...one, minTempC: -2 } : one));
    expect(skyOf(TODAY, skyDaysOf(cold))?.frostNights).to.equal(3);
  });

  it("is not known where too few days are, and fills a silent day with the mean of the others", () => {
    const days = steadySky(dayAfter(TODAY, -30), 30, 2, 12);
    const silent = days.filter(({ day }) => day !== dayAfter(TODAY, -8));
    expect(skyOf(TODAY, skyDaysOf(silent))?.rainMm).to.equal(32);
    expect(skyOf(TODAY, skyDaysOf(days.slice(0, 12)))).to.equal(undefined);
    expect(lookOf(TODAY, skyDaysOf([]))).to.deep.equal({ ofYear: 256, sky: undefined });
    expect(daysNeeded(TODAY)).to.deep.equal({ from: "2026-08-25", to: "2026-09-13" });
  });
});

describe("after a real rain", () => {
  const dry = steadySky("2026-08-20", 40, 0, 13);
  const rained = (day: string, mm: number, isForetold = false) =>
    dry.map((one) => (one.day === day ? { ...one, rainMm: mm, isForetold } : one));

  it("one goes ten days to two weeks later, while it is mild", () => {
    const [rain, ...more] = realRains(rained("2026-09-08", 24), TODAY);
    expect(more).to.deep.equal([]);
    expect(rain).to.deep.include({ rained: "2026-09-08", mm: 24, from: "2026-09-18", to: "2026-09-22", isMild: true });
  });

  it("drizzle is none, nor is one whose days are over; a rain of three days is one", () => {
    expect(realRains(rained("2026-09-08", 12), TODAY)).to.deep.equal([]);
    expect(realRains(rained("2026-08-29", 40), TODAY)).to.deep.equal([]);
    const long = dry.map((one) => (one.day >= "2026-09-08" && one.day <= "2026-09-10" ? { ...one, rainMm: 15 } : one));
    expect(realRains(long, TODAY).map(({ rained: last }) => last)).to.deep.equal(["2026-09-10"]);
  });

  it("one that is only foretold says so", () => {
    expect(realRains(rained("2026-09-17", 30, true), TODAY)[0]).to.include({ isForetold: true, from: "2026-09-27" });
  });
});
