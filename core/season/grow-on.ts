/**
 * Left to grow on: when to look again. A cap grows by a share of itself a day; how fast is a log-normal rate, by the weather before
 * anything is known, and then by the person's own returns (conjugate normal update of the logarithm).
 */

/** One that was left and met again. */
export interface Regrown {
  readonly days: number;
  readonly fromCm: number;
  readonly toCm: number;
}

export interface LookAgain {
  /** Days from the day it was left: not before, best, and after that it may be past it. */
  readonly from: number;
  readonly best: number;
  readonly to: number;
  /** Own returns on which it rests. */
  readonly returns: number;
}

/** Days in which a cap doubles, by how warm and wet it is. Common practice, no source: a day or two when warm and wet. */
export const DOUBLING_DAYS = { "warm-wet": 1.5, mild: 3, cold: 6 } as const;
export type Growing = keyof typeof DOUBLING_DAYS;
/** Spread of the logarithm of the rate, and how many returns what is held before is worth. From memory, wide on purpose. */
const RATE = { spread: 0.55, worth: 1.5 } as const;
/** The 90th per cent of the normal distribution: eight of ten lie between. */
const NORMAL_90 = 1.2816;
/** Nothing is looked for again sooner, or given so long. */
const DAYS = { least: 1, most: 21 } as const;
/** Warm and wet from here; cold below. From memory. */
const WARM = { tempC: 12, rainMm: 5, coldC: 7 } as const;

/** How it grows by the last days' weather. */
export function growingIn(meanTempC: number | undefined, rainMm: number | undefined): Growing {
  if (meanTempC === undefined) return "mild";
  if (meanTempC < WARM.coldC) return "cold";
  return meanTempC >= WARM.tempC && (rainMm ?? 0) >= WARM.rainMm ? "warm-wet" : "mild";
}

/** When to look again. @param nowCm the cap when it was left @param wantedCm what it should have become, larger than that */
export function lookAgain(nowCm: number, wantedCm: number, growing: Growing, returns: readonly Regrown[]): LookAgain {
  const rates = returns
    .filter(({ days, fromCm, toCm }) => days > 0 && fromCm > 0 && toCm > fromCm)
    .map(({ days, fromCm, toCm }) => Math.log(Math.log(toCm / fromCm) / days));
  const held = Math.log(Math.LN2 / DOUBLING_DAYS[growing]);
  const all = RATE.worth + rates.length;
  const middle = (RATE.worth * held + rates.reduce((sum, rate) => sum + rate, 0)) / all;
  const reach = NORMAL_90 * RATE.spread * Math.sqrt(1 + 1 / all);
  const wanted = Math.log(Math.max(wantedCm / nowCm, 1.05));
  const days = (rate: number) => Math.min(DAYS.most, Math.max(DAYS.least, Math.round(wanted / Math.exp(rate))));
  return { from: days(middle + reach), best: days(middle), to: days(middle - reach), returns: rates.length };
}
