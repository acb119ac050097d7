import { expect } from "chai";
import fc from "fast-check";
import loadHighs from "highs";
import { asProgram } from "../tests/as-program.ts";
import { type CoverProblem, cheapestCover, isAttainable } from "./cover.ts";

/** A problem with up to a dozen tests and demands of up to three groups each. */
const problems: fc.Arbitrary<CoverProblem> = fc.integer({ min: 1, max: 12 }).chain((count) =>
  fc.record({
    costs: fc.array(
      fc.integer({ min: 1, max: 60 }).map((tenths) => tenths / 4),
      { minLength: count, maxLength: count },
    ),
    demands: fc.array(
      fc.record({
        atLeast: fc.integer({ min: 0, max: 2 }),
        groups: fc.array(fc.uniqueArray(fc.integer({ min: 0, max: count - 1 }), { maxLength: 4 }), {
          minLength: 1,
          maxLength: 4,
        }),
      }),
      { maxLength: 7 },
    ),
  }),
);

const isMet = ({ demands }: CoverProblem, chosen: readonly number[]): boolean =>
  demands.every(
    ({ atLeast, groups }) => groups.filter((group) => group.some((test) => chosen.includes(test))).length >= atLeast,
  );

describe("the cheapest set of tests", () => {
  it("costs what an integer programming solver (HiGHS, in WebAssembly) finds, on hundreds of instances", async () => {
    const highs = await loadHighs();
    let solved = 0;
    for (const problem of fc.sample(problems, { numRuns: 900, seed: 11 })) {
      if (problem.demands.length === 0) continue;
      const cover = cheapestCover(problem);
      const solution = highs.solve(asProgram(problem));
      if (cover === undefined) {
        expect(solution.Status).to.equal("Infeasible");
        continue;
      }
      expect(solution.Status).to.equal("Optimal");
      expect(cover.cost).to.be.closeTo(solution.ObjectiveValue, 1e-6);
      expect(isMet(problem, cover.chosen)).to.equal(true);
      solved += 1;
    }
    expect(solved).to.be.greaterThan(200);
  });

  it("wastes nothing: no chosen test can be left out", () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const cover = cheapestCover(problem);
        for (const test of cover?.chosen ?? [])
          expect(isMet(problem, cover?.chosen.filter((one) => one !== test) ?? [])).to.equal(false);
      }),
      { numRuns: 300 },
    );
  });

  it("beats the greedy choice where greed goes wrong", () => {
    // one dear test hits both demands; greed takes the two that look cheap for each
    const problem: CoverProblem = {
      costs: [3, 2, 2],
      demands: [
        { atLeast: 1, groups: [[0, 1]] },
        { atLeast: 1, groups: [[0, 2]] },
      ],
    };
    expect(cheapestCover(problem)).to.deep.equal({ chosen: [0], cost: 3 });
  });

  it("counts a group once, however many tests hit it", () => {
    const problem: CoverProblem = { costs: [1, 1, 5], demands: [{ atLeast: 2, groups: [[0, 1], [2]] }] };
    expect(cheapestCover(problem)?.chosen.includes(2)).to.equal(true);
  });

  it("is nothing for no demands, and undefined for demands that cannot be met", () => {
    expect(cheapestCover({ costs: [1], demands: [] })).to.deep.equal({ chosen: [], cost: 0 });
    expect(isAttainable({ atLeast: 1, groups: [[]] })).to.equal(false);
    expect(cheapestCover({ costs: [1], demands: [{ atLeast: 1, groups: [[]] }] })).to.equal(undefined);
  });

  it("is found at once for a troop of eight bodies, each with its own demands", () => {
    const bodies = 8;
    const testsEach = 14;
    const demands = Array.from({ length: bodies }, (_unused, body) =>
      Array.from({ length: 7 }, (_none, danger) => ({
        atLeast: 2,
        groups: [0, 1, 2, 3].map((family) => [
          body * testsEach + ((danger + family * 3) % testsEach),
          body * testsEach + ((danger * 2 + family) % testsEach),
        ]),
      })),
    ).flat();
    const costs = Array.from({ length: bodies * testsEach }, (_unused, test) => 1 + ((test * 7) % 5));
    const cover = cheapestCover({ costs, demands });
    expect(isMet({ costs, demands }, cover?.chosen ?? [])).to.equal(true);
  });
});
