/**
 * What becomes of a weight when it is dried, learned a kind from the person's own weighings. The ratios fresh to dry are taken
 * as log-normal; before any weighing the rule of the trade stands, ten to one, counted like a few weighings (conjugate
 * normal-inverse-gamma prior; the next batch then follows Student's t: Gelman and others, Bayesian Data Analysis, section 3.3).
 */

/** Ten to one in weight as a rule. Common practice, no source. */
export const USUAL_RATIO = 10;
/** The rule is worth so many weighings, with this spread: most lie between seven and fourteen. From memory. */
const PRIOR = { count: 2, degrees: 4, spread: 0.2 } as const;

/** Student's t, 95th per cent, by degrees of freedom from 4 on (from the usual printed table). */
const T_95 = [
  2.132, 2.015, 1.943, 1.895, 1.86, 1.833, 1.812, 1.796, 1.782, 1.771, 1.761, 1.753, 1.746, 1.74, 1.734, 1.729, 1.725,
  1.721, 1.717, 1.714, 1.711, 1.708, 1.706, 1.703, 1.701, 1.699, 1.697,
] as const;
/** The same of the normal distribution, beyond the table. */
const NORMAL_95 = 1.645;

export interface Weighing {
  readonly gramsIn: number;
  readonly gramsOut: number;
}

export interface DryingFactor {
  /** Fresh to dry, the middle. */
  readonly ratio: number;
  /** The next batch lies within, nine times of ten. */
  readonly low: number;
  readonly high: number;
  readonly weighings: number;
}

/** The factor for the next batch of a kind. Weighings that are none (nought, negative, heavier dry than fresh) are left out. */
export function dryingFactor(weighings: readonly Weighing[]): DryingFactor {
  const logs = weighings
    .filter(({ gramsIn, gramsOut }) => gramsOut > 0 && gramsIn > gramsOut && Number.isFinite(gramsIn))
    .map(({ gramsIn, gramsOut }) => Math.log(gramsIn / gramsOut));
  const count = logs.length;
  const mean = count === 0 ? 0 : logs.reduce((sum, one) => sum + one, 0) / count;
  const squares = logs.reduce((sum, one) => sum + (one - mean) ** 2, 0);
  const prior = Math.log(USUAL_RATIO);
  const all = PRIOR.count + count;
  const middle = (PRIOR.count * prior + count * mean) / all;
  const degrees = PRIOR.degrees + count;
  const variance =
    (PRIOR.degrees * PRIOR.spread ** 2 + squares + ((PRIOR.count * count) / all) * (mean - prior) ** 2) / degrees;
  const reach = tOf(degrees) * Math.sqrt(variance * (1 + 1 / all));
  return { ratio: Math.exp(middle), low: Math.exp(middle - reach), high: Math.exp(middle + reach), weighings: count };
}

const tOf = (degrees: number): number => T_95[degrees - 4] ?? NORMAL_95;
