/**
 * The cheapest set of tests that meets every demand: a minimum-cost multi-cover, solved exactly.
 *
 * Branch and bound on the demand that leaves the fewest choices; parts that share no test are solved by themselves.
 * Exponential in the worst case in the number of tests of one part, which in practice is one body's (under twenty).
 */

/** At least so many of these groups have to be hit; a group is hit by any chosen test that it lists. */
export interface Demand {
  readonly atLeast: number;
  readonly groups: readonly (readonly number[])[];
}

export interface CoverProblem {
  /** Cost of each test, none negative; a test's number is its place in this list. */
  readonly costs: readonly number[];
  readonly demands: readonly Demand[];
}

export interface Cover {
  /** Numbers of the chosen tests, ascending. */
  readonly chosen: readonly number[];
  readonly cost: number;
}

/** Differences smaller than this are rounding. */
const EPSILON = 1e-9;

/** Whether a demand could be met by all tests together. */
export function isAttainable({ atLeast, groups }: Demand): boolean {
  return groups.filter((group) => group.length > 0).length >= atLeast;
}

/** Demands that are gone through where they are kept: there may be many thousand. */
export interface Demands {
  /**
   * A few of those that the tests taken leave unmet, none sharing a test with one before it: of those with the fewest
   * tests to choose from first. None where all are met.
   * @param taken 1 by the number of a test that is taken
   * @param most how many at the most
   */
  readonly hardest: (taken: Uint8Array, most: number) => readonly Demand[];
}

/** The cheapest set that meets all demands, or undefined where all tests together would not. */
export function cheapestCover({ costs, demands }: CoverProblem): Cover | undefined {
  return demands.every(isAttainable) ? coverOf(costs, listed(demands)) : undefined;
}

/** At most so many unmet demands join at a time. */
const JOINING = 4;

/**
 * The cheapest set that meets demands which all tests together would meet.
 *
 * Many demands are met by the way: a set is sought for a few of them, and each demand that it leaves unmet joins them
 * until none is left. A cheapest set for some of the demands that meets all of them is a cheapest set for all.
 */
export function coverOf(costs: readonly number[], demands: Demands): Cover {
  const parts: Part[] = [];
  let chosen: number[] = [];
  for (;;) {
    const taken = new Uint8Array(costs.length);
    for (const test of chosen) taken[test] = 1;
    const joining = demands.hardest(taken, JOINING);
    if (joining.length === 0) break;
    for (const demand of joining) joinPart(parts, demand);
    chosen = parts.flatMap((part) => {
      part.best ??= cheapestOfPart(costs, part.demands);
      return part.best;
    });
  }
  return {
    chosen: chosen.sort((one, other) => one - other),
    cost: chosen.reduce((sum, test) => sum + (costs[test] ?? 0), 0),
  };
}

/** A demand of a list, with the tests that it lists and how many times it lists one. */
interface Listed {
  readonly demand: Demand;
  readonly tests: readonly number[];
  readonly choices: number;
}

/** Demands one by one. */
export function listed(demands: readonly Demand[]): Demands & {
  /** All that the tests taken leave unmet, those with the fewest tests to choose from first. */
  readonly unmet: (taken: Uint8Array) => readonly Listed[];
} {
  const byChoices = demands
    .filter(({ atLeast }) => atLeast > 0)
    .map((demand): Listed => {
      const tests = demand.groups.flat();
      return { demand, tests, choices: tests.length };
    })
    .sort((one, other) => one.choices - other.choices);
  const unmet = (taken: Uint8Array) => byChoices.filter(({ demand }) => !isMet(demand, taken));
  const hardest = (taken: Uint8Array, most: number): Demand[] => {
    const spoken = new Set<number>();
    const joining: Demand[] = [];
    for (const { demand, tests } of unmet(taken)) {
      if (joining.length === most) break;
      if (tests.some((test) => spoken.has(test))) continue;
      for (const test of tests) spoken.add(test);
      joining.push(demand);
    }
    return joining;
  };
  return { unmet, hardest };
}

/** Whether the tests taken meet a demand. */
function isMet({ atLeast, groups }: Demand, taken: Uint8Array): boolean {
  let hit = 0;
  for (const group of groups) if (group.some((test) => taken[test] === 1)) hit += 1;
  return hit >= atLeast;
}

/** Demands that have tests in common with one another and with no other part, and the cheapest set for them once it is known. */
interface Part {
  readonly tests: ReadonlySet<number>;
  readonly demands: readonly Demand[];
  best?: readonly number[];
}

/** Adds a demand to the parts: those that it shares a test with become one with it. */
function joinPart(parts: Part[], demand: Demand): void {
  const tests = new Set(demand.groups.flat());
  const demands: Demand[] = [];
  for (let at = 0; at < parts.length; ) {
    const part = parts[at];
    if (part === undefined || !demand.groups.some((group) => group.some((test) => part.tests.has(test)))) {
      at += 1;
      continue;
    }
    for (const test of part.tests) tests.add(test);
    demands.push(...part.demands);
    parts.splice(at, 1);
  }
  parts.push({ tests, demands: [...demands, demand] });
}

interface Search {
  readonly costs: readonly number[];
  readonly demands: readonly Demand[];
  readonly taken: Set<number>;
  readonly barred: Set<number>;
  best: readonly number[];
  bestCost: number;
}

function cheapestOfPart(costs: readonly number[], demands: readonly Demand[]): readonly number[] {
  const search: Search = {
    costs,
    demands,
    taken: new Set(),
    barred: new Set(),
    best: [],
    bestCost: Number.POSITIVE_INFINITY,
  };
  descend(search, 0);
  return search.best;
}

/** What one demand still lacks, and the tests that would help it. */
interface Lack {
  readonly missing: number;
  readonly helping: readonly number[];
}

function lackOf(
  { atLeast, groups }: Demand,
  taken: ReadonlySet<number>,
  barred: ReadonlySet<number>,
): Lack | "met" | "lost" {
  let hit = 0;
  let open = 0;
  const helping = new Set<number>();
  // plain loops: this is the innermost step of the search
  for (const group of groups) {
    if (group.some((test) => taken.has(test))) {
      hit += 1;
      continue;
    }
    let helps = false;
    for (const test of group) {
      if (barred.has(test)) continue;
      helping.add(test);
      helps = true;
    }
    if (helps) open += 1;
  }
  const missing = atLeast - hit;
  if (missing <= 0) return "met";
  return open < missing ? "lost" : { missing, helping: [...helping] };
}

function descend(search: Search, spent: number): void {
  const lacks: Lack[] = [];
  for (const demand of search.demands) {
    const lack = lackOf(demand, search.taken, search.barred);
    if (lack === "lost") return;
    if (lack !== "met") lacks.push(lack);
  }
  if (spent + leastStillToSpend(lacks, search.costs) > search.bestCost - EPSILON) return;
  const tightest = lacks.reduce<Lack | undefined>(
    (best, lack) => (best === undefined || slack(lack) < slack(best) ? lack : best),
    undefined,
  );
  if (tightest === undefined) {
    search.best = [...search.taken];
    search.bestCost = spent;
    return;
  }
  const byCost = [...tightest.helping].sort(
    (one, other) => (search.costs[one] ?? 0) - (search.costs[other] ?? 0) || one - other,
  );
  for (const test of byCost) {
    search.taken.add(test);
    descend(search, spent + (search.costs[test] ?? 0));
    search.taken.delete(test);
    // every set with this test has now been tried
    search.barred.add(test);
  }
  for (const test of byCost) search.barred.delete(test);
}

const slack = ({ helping, missing }: Lack): number => helping.length - missing;

/** A lower bound: demands that share no helping test cannot be met by one, so their cheapest helpers add up. */
function leastStillToSpend(lacks: readonly Lack[], costs: readonly number[]): number {
  const spoken = new Set<number>();
  let sum = 0;
  for (const { helping } of lacks) {
    if (helping.some((test) => spoken.has(test))) continue;
    for (const test of helping) spoken.add(test);
    sum += Math.min(...helping.map((test) => costs[test] ?? 0));
  }
  return sum;
}
