/** How many of a troop have to be looked at to be sure of the rest; and why, for deadly company, it is every one. */

/** log(n!), summed: exact enough for any troop, and without a table of limits. */
function logFactorial(n: number): number {
  let sum = 0;
  for (let factor = 2; factor <= n; factor++) sum += Math.log(factor);
  return sum;
}
const logChoose = (n: number, k: number): number => logFactorial(n) - logFactorial(k) - logFactorial(n - k);

/**
 * The chance that a sample drawn without putting back holds none of the strange ones (hypergeometric).
 * @param troop bodies in all @param strange how many of them are something else @param looked how many are looked at
 */
export function chanceOfNone(troop: number, strange: number, looked: number): number {
  if (strange === 0) return 1;
  if (looked > troop - strange) return 0;
  return Math.exp(logChoose(troop - strange, looked) - logChoose(troop, looked));
}

/**
 * How many of a troop have to be looked at, all of them good, to be so sure that fewer than `strange` are something else.
 * Exact: by the hypergeometric distribution, since a troop is finite and nobody looks at one body twice.
 * @param confidence 0 to 1 @throws RangeError for numbers that are none
 */
export function looksNeeded(troop: number, strange: number, confidence: number): number {
  if (!(Number.isInteger(troop) && troop >= 1 && Number.isInteger(strange) && strange >= 1 && strange <= troop))
    throw new RangeError("a troop has one body at the least, and one to all of them strange");
  if (!(confidence > 0 && confidence < 1)) throw new RangeError("a confidence lies between nothing and certainty");
  for (let looked = 0; looked <= troop; looked++)
    if (chanceOfNone(troop, strange, looked) <= 1 - confidence + ROUNDING) return looked;
  return troop;
}
const ROUNDING = 1e-12;

/**
 * The same for a troop without end: the success-run theorem, ln(1 - confidence) / ln(1 - share).
 * @param share of strange ones that must not be missed, 0 to 1
 */
export function looksNeededOfMany(share: number, confidence: number): number {
  if (!(share > 0 && share < 1 && confidence > 0 && confidence < 1)) throw new RangeError("shares lie between 0 and 1");
  return Math.ceil(Math.log(1 - confidence) / Math.log(1 - share) - ROUNDING);
}

/** One line of the batch arithmetic. */
export interface BatchLine {
  readonly confidence: number;
  readonly strange: number;
  readonly looks: number;
}

/** What it takes for a troop, from "fewer than one in twenty" to "none at all". */
export function batchLines(troop: number): readonly BatchLine[] {
  const wanted = [...new Set([Math.max(1, Math.ceil(troop / 20)), Math.max(1, Math.ceil(troop / 100)), 1])];
  return [0.95, 0.99].flatMap((confidence) =>
    wanted.map((strange) => ({ confidence, strange, looks: looksNeeded(troop, strange, confidence) })),
  );
}
