import { expect } from "chai";
import fc from "fast-check";
import { byRatio, expectedCost, type Trial } from "./order.ts";

const trials = fc.array(
  fc.record({
    cost: fc.integer({ min: 1, max: 400 }).map((tenths) => tenths / 10),
    failing: fc.integer({ min: 0, max: 1000 }).map((thousandths) => thousandths / 1000),
  }),
  { minLength: 1, maxLength: 7 },
);

/** The least that any order is expected to cost, by trying them all. */
function leastByTryingAll(left: readonly Trial[]): number {
  if (left.length === 0) return 0;
  return Math.min(
    ...left.map((first, index) => {
      const others = left.filter((_trial, at) => at !== index);
      return first.cost + (1 - first.failing) * leastByTryingAll(others);
    }),
  );
}

describe("the order of tests that must all pass", () => {
  it("by the ratio rule is expected to cost no more than any other order (brute force up to seven tests)", () => {
    fc.assert(
      fc.property(trials, (run) => {
        expect(expectedCost(byRatio(run))).to.be.closeTo(leastByTryingAll(run), 1e-9);
      }),
      { numRuns: 150 },
    );
  });
  it("loses none of them, and keeps those of one ratio as they came", () => {
    const run = [
      { cost: 2, failing: 0.2, name: "look at the ring" },
      { cost: 1, failing: 0.5, name: "nick the foot" },
      { cost: 1, failing: 0.1, name: "look under" },
    ];
    expect(byRatio(run).map((trial) => trial.name)).to.deep.equal(["nick the foot", "look at the ring", "look under"]);
  });
  it("worked by hand: the cheap test that often fails saves the dear one", () => {
    // nick (1 minute, fails half the time) then print (32 minutes): 1 + 0.5 * 32
    expect(
      expectedCost([
        { cost: 1, failing: 0.5 },
        { cost: 32, failing: 0.1 },
      ]),
    ).to.equal(17);
    expect(
      expectedCost([
        { cost: 32, failing: 0.1 },
        { cost: 1, failing: 0.5 },
      ]),
    ).to.be.closeTo(32.9, 1e-12);
  });
});
