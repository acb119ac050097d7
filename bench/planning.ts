/** The same planning done twice: by the core's exact search, and by an integer programming solver. */
import {
  assess,
  type CoverProblem,
  cheapestCover,
  coverProblemOf,
  type Find,
  judge,
  type Knowledge,
  typicalFind,
} from "@jittery-cap/core";
import type { Highs } from "highs";
import { uniformInt } from "pure-rand/distribution/uniformInt";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { asProgram } from "../core/tests/as-program.ts";

/** The planning problems of every sought kind's typical find, before anything but the cap was looked at. */
export function coverProblems(shelf: Knowledge): CoverProblem[] {
  return shelf.sought.flatMap((sheet) => {
    const typical = typicalFind(sheet, { rules: { amanitas: "known", smallBrown: "known", upsetters: "cooked" } });
    const begun: Find = {
      ...typical,
      site: {},
      bodies: typical.bodies.map(({ measures: _measures, lifted: _lifted, seen, ...body }) => ({
        ...body,
        seen: (seen ?? []).filter((entry) => entry.character.startsWith("cap-")),
      })),
    };
    const problem = assess(begun, shelf).verdict === "hold" ? coverProblemOf(judge(begun, shelf)) : undefined;
    return problem === undefined || problem.demands.length === 0 ? [] : [problem];
  });
}

/** Generated plans of one body's twenty tests with forty dangers that need two of many families. */
export function hardCoverProblems(seed: number): CoverProblem[] {
  const random = xoroshiro128plus(seed);
  const below = (limit: number) => uniformInt(random, 0, limit - 1);
  return Array.from({ length: 6 }, () => ({
    costs: Array.from({ length: 20 }, () => (2 + below(60)) / 4),
    demands: Array.from({ length: 40 }, () => ({
      atLeast: 2,
      groups: Array.from({ length: 3 + below(3) }, () => [...new Set([below(20), below(20)])]),
    })),
  }));
}

/** Solves all with the core's search. */
export function planAll(problems: readonly CoverProblem[]): number {
  return problems.reduce((sum, problem) => sum + (cheapestCover(problem)?.cost ?? 0), 0);
}

/** Solves all with the solver. @throws where a cost differs from the core's */
export function solveAll(highs: Highs, problems: readonly CoverProblem[]): number {
  return problems.reduce((sum, problem) => {
    const cost = highs.solve(programOf(problem)).ObjectiveValue;
    const ours = cheapestCost(problem);
    if (Math.abs(cost - ours) > 1e-6) throw new Error(`the solver finds ${cost}, the core ${ours}`);
    return sum + cost;
  }, 0);
}

const KNOWN = new WeakMap<CoverProblem, number>();
/** Ours, worked out once, so that the check does not cost the solver time. */
function cheapestCost(problem: CoverProblem): number {
  const cost = KNOWN.get(problem) ?? cheapestCover(problem)?.cost ?? Number.NaN;
  KNOWN.set(problem, cost);
  return cost;
}

const PROGRAMS = new WeakMap<CoverProblem, string>();

/** The problem as a program, written once, so that the writing does not cost the solver time. */
function programOf(problem: CoverProblem): string {
  const text = PROGRAMS.get(problem) ?? asProgram(problem);
  PROGRAMS.set(problem, text);
  return text;
}
