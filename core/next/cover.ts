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

/**
 * The cheapest set that meets all demands, or undefined where all tests together would not.
 *
 * Many demands are met by the way: a set is sought for a few of them, and each demand that it leaves unmet joins them
 * until none is left. A cheapest set for some of the demands that meets all of them is a cheapest set for all.
 */
export function cheapestCover({ costs, demands }: CoverProblem): Cover | undefined {
  if (!demands.every(isAttainable)) return undefined;
  const active = new Set<Demand>();
  let waiting = byChoices(demands.filter((demand) => demand.atLeast > 0));
  let chosen: number[] = [];
  for (;;) {
    const taken = new Uint8Array(costs.length);
    for (const test of chosen) taken[test] = 1;
    waiting = waiting.filter((demand) => !active.has(demand));
    const unmet = waiting.filter((demand) => !isMet(demand, taken));
    if (unmet.length === 0) break;
    for (const demand of hardestOf(unmet)) active.add(demand);
    chosen = partsOf([...active]).flatMap((part) => cheapestOfPart(costs, part));
  }
  return {
    chosen: chosen.sort((one, other) => one - other),
    cost: chosen.reduce((sum, test) => sum + (costs[test] ?? 0), 0),
  };
}

/** Whether the tests taken meet a demand. */
function isMet({ atLeast, groups }: Demand, taken: Uint8Array): boolean {
  let hit = 0;
  // plain loops: many thousand demands are gone through again and again
  for (const group of groups)
    for (const test of group)
      if (taken[test] === 1) {
        hit += 1;
        if (hit >= atLeast) return true;
        break;
      }
  return hit >= atLeast;
}

/** Those with the fewest tests to choose from first. */
function byChoices(demands: readonly Demand[]): Demand[] {
  return demands
    .map((demand) => ({ demand, choices: demand.groups.reduce((sum, group) => sum + group.length, 0) }))
    .sort((one, other) => one.choices - other.choices)
    .map(({ demand }) => demand);
}

/** At most so many unmet demands join at a time. */
const JOINING = 4;

/** The first of some unmet demands, the hardest first, none sharing a test with one before it. */
function hardestOf(unmet: readonly Demand[]): Demand[] {
  const spoken = new Set<number>();
  const joining: Demand[] = [];
  for (const demand of unmet) {
    if (joining.length === JOINING) break;
    const tests = demand.groups.flat();
    if (tests.some((test) => spoken.has(test))) continue;
    for (const test of tests) spoken.add(test);
    joining.push(demand);
  }
  return joining;
}

/** Demands sorted into parts that have no test in common. */
function partsOf(demands: readonly Demand[]): Demand[][] {
  const parts: { tests: Set<number>; demands: Demand[] }[] = [];
  for (const demand of demands) {
    const tests = new Set(demand.groups.flat());
    const touching = parts.filter((part) => [...tests].some((test) => part.tests.has(test)));
    const merged = {
      tests: new Set([...tests, ...touching.flatMap((part) => [...part.tests])]),
      demands: [...touching.flatMap((part) => part.demands), demand],
    };
    for (const part of touching) parts.splice(parts.indexOf(part), 1);
    parts.push(merged);
  }
  return parts.map((part) => part.demands);
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
