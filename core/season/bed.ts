/**
 * A bed from year to year: a line through the logarithms of its yields, with its interval, and what next year may bring. Ordinary
 * least squares; the interval of the slope and of the next value follow Student's t with two degrees fewer than years (any
 * textbook of regression). Never a promise.
 */
import jstat from "jstat";

/** What a bed brought in a year, g or bodies; nought is told apart: a year without is a gap of the line. */
export interface YearsYield {
  readonly year: number;
  readonly amount: number;
}

export interface BedLine {
  /** Times as much each year: the middle, and nine of ten. */
  readonly factor: number;
  readonly low: number;
  readonly high: number;
  /** Years until twice as much; undefined where it does not grow. */
  readonly doublesIn: number | undefined;
  /** The year after the last, what it may bring: the middle, and eight of ten. */
  readonly next: { readonly year: number; readonly amount: number; readonly low: number; readonly high: number };
  readonly years: number;
}

/** A line needs so many years: through two points there is always one. */
export const LEAST_YEARS = 3;

/** The line, or undefined while too few years are known. */
export function bedLine(yields: readonly YearsYield[]): BedLine | undefined {
  const grown = yields.filter(({ amount }) => amount > 0);
  const count = grown.length;
  if (count < LEAST_YEARS) return undefined;
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const [years, logs] = [grown.map(({ year }) => year), grown.map(({ amount }) => Math.log(amount))];
  const [middleYear, middleLog] = [mean(years), mean(logs)];
  const spread = years.reduce((sum, year) => sum + (year - middleYear) ** 2, 0);
  if (spread === 0) return undefined;
  const slope =
    years.reduce((sum, year, index) => sum + (year - middleYear) * ((logs[index] ?? 0) - middleLog), 0) / spread;
  const expected = (year: number) => middleLog + slope * (year - middleYear);
  const squares = years.reduce((sum, year, index) => sum + ((logs[index] ?? 0) - expected(year)) ** 2, 0);
  const degrees = count - 2;
  const error = Math.sqrt(squares / degrees);
  const reach = jstat.studentt.inv(0.95, degrees) * (error / Math.sqrt(spread));
  const year = Math.max(...yields.map((one) => one.year)) + 1;
  const nextReach =
    jstat.studentt.inv(0.9, degrees) * error * Math.sqrt(1 + 1 / count + (year - middleYear) ** 2 / spread);
  const next = expected(year);
  return {
    factor: Math.exp(slope),
    low: Math.exp(slope - reach),
    high: Math.exp(slope + reach),
    doublesIn: slope > 0 ? Math.LN2 / slope : undefined,
    next: { year, amount: Math.exp(next), low: Math.exp(next - nextReach), high: Math.exp(next + nextReach) },
    years: count,
  };
}
