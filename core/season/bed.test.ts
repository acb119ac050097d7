import stdlibT from "@stdlib/stats-base-dists-t-quantile";
import { expect } from "chai";
import { linearRegression } from "simple-statistics";
import { bedLine } from "./bed.ts";

const YIELDS = [
  { year: 2022, amount: 160 },
  { year: 2023, amount: 270 },
  { year: 2024, amount: 640 },
  { year: 2025, amount: 1050 },
];

describe("a bed from year to year", () => {
  it("doubles every year in a bed that doubles every year, and every two years in one that takes two", () => {
    const doubling = [1, 2, 4, 8].map((amount, index) => ({ year: 2022 + index, amount }));
    expect(bedLine(doubling)?.factor).to.be.closeTo(2, 1e-9);
    expect(bedLine(doubling)?.doublesIn).to.be.closeTo(1, 1e-9);
    expect(bedLine(doubling)?.next).to.include({ year: 2026 });
    expect(bedLine(doubling)?.next.amount).to.be.closeTo(16, 1e-6);
    const slower = [2020, 2022, 2024].map((year, index) => ({ year, amount: 100 * 2 ** index }));
    expect(bedLine(slower)?.doublesIn).to.be.closeTo(2, 1e-9);
  });

  it("is the line of another library, with the interval that its residuals and another table of t give", () => {
    const line = bedLine(YIELDS);
    const { m, b } = linearRegression(YIELDS.map(({ year, amount }) => [year, Math.log(amount)]));
    expect(line?.factor).to.be.closeTo(Math.exp(m), 1e-9);
    const squares = YIELDS.reduce((sum, { year, amount }) => sum + (Math.log(amount) - m * year - b) ** 2, 0);
    const spread = YIELDS.reduce((sum, { year }) => sum + (year - 2023.5) ** 2, 0);
    const error = Math.sqrt(squares / 2);
    const reach = stdlibT(0.95, 2) * (error / Math.sqrt(spread));
    expect(line?.low).to.be.closeTo(Math.exp(m - reach), 1e-6);
    expect(line?.high).to.be.closeTo(Math.exp(m + reach), 1e-6);
    const next = stdlibT(0.9, 2) * error * Math.sqrt(1 + 1 / 4 + 2.5 ** 2 / spread);
    expect(line?.next.low).to.be.closeTo(Math.exp(m * 2026 + b - next), 1e-6 * 1e3);
    expect(line?.next.high).to.be.closeTo(Math.exp(m * 2026 + b + next), 1e-6 * 1e4);
  });

  it("is no line through two years, nor through one year three times; a year of nothing is a gap and moves next year", () => {
    expect(bedLine(YIELDS.slice(0, 2))).to.equal(undefined);
    expect(bedLine([1, 2, 3].map((amount) => ({ year: 2024, amount })))).to.equal(undefined);
    const gap = bedLine([...YIELDS, { year: 2026, amount: 0 }]);
    expect(gap?.years).to.equal(4);
    expect(gap?.next.year).to.equal(2027);
  });

  it("of a bed that fades does not double", () => {
    const line = bedLine([900, 500, 200].map((amount, index) => ({ year: 2023 + index, amount })));
    expect(line?.factor).to.be.lessThan(1);
    expect(line?.doublesIn).to.equal(undefined);
  });
});
