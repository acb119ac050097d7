/**
 * The order of tests that must all pass: the one likeliest to fail for its cost comes first.
 *
 * For tests that fail independently of one another, ordering by the probability of failing divided by the cost makes the
 * expected cost the least there is, since a failed test ends the run (the ratio rule for conjunctive tests, known since
 * Mitten, Operations Research 8, 1960; cited from memory).
 */

/** A test of a run: what it costs, and how likely it is to end the run, from 0 to 1. */
export interface Trial {
  readonly cost: number;
  readonly failing: number;
}

/** The trials in the order of the ratio rule; those of equal ratio keep their order. */
export function byRatio<One extends Trial>(trials: readonly One[]): One[] {
  // cross-multiplied, so that a test that costs nothing needs no division
  return [...trials].sort((one, other) => other.failing * one.cost - one.failing * other.cost);
}

/** What a run is expected to cost in this order: each test is paid for only where all before it passed. */
export function expectedCost(trials: readonly Trial[]): number {
  let reached = 1;
  let cost = 0;
  for (const trial of trials) {
    cost += reached * trial.cost;
    reached *= 1 - trial.failing;
  }
  return cost;
}
