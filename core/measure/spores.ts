/** Spores under the microscope: what lists of lengths and widths say, in the notation of the books. */
import papaparse from "papaparse";

/** What a list of sizes says, µm. */
export interface Spread {
  readonly n: number;
  readonly mean: number;
  /** Standard deviation of the sample; 0 for one value. */
  readonly standardDeviation: number;
  readonly min: number;
  /** 5th and 95th percentile, between the values where need be. */
  readonly low: number;
  readonly high: number;
  readonly max: number;
}

/** Both lists and their ratio, for spores whose length and width were measured together. */
export interface SporeStatistics {
  readonly length: Spread;
  readonly width?: Spread;
  /** Length by width, spore by spore. */
  readonly q?: Spread;
  /** "(6.8) 7.1–8.9 (9.4) × 4.5–5.6 µm, Q = 1.4–1.8, Qm = 1.58, n = 30". */
  readonly notation: string;
}

/**
 * The value below which a share of the list lies, between its values where need be: the usual definition (R. J. Hyndman
 * and Y. Fan, The American Statistician 50, 1996, their type 7).
 */
export function quantile(sorted: readonly number[], share: number): number {
  const place = (sorted.length - 1) * share;
  const below = Math.floor(place);
  const low = sorted[below] ?? 0;
  return low + ((sorted[below + 1] ?? low) - low) * (place - below);
}

/** @throws RangeError for an empty list */
export function spreadOf(values: readonly number[]): Spread {
  if (values.length === 0) throw new RangeError("an empty list has no mean");
  const sorted = [...values].sort((one, other) => one - other);
  const n = sorted.length;
  const mean = sorted.reduce((sum, value) => sum + value, 0) / n;
  const squares = sorted.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return {
    n,
    mean,
    standardDeviation: n < 2 ? 0 : Math.sqrt(squares / (n - 1)),
    min: sorted[0] ?? mean,
    low: quantile(sorted, 0.05),
    high: quantile(sorted, 0.95),
    max: sorted[n - 1] ?? mean,
  };
}

/** @throws RangeError where there is no length; widths count only where there is one for every length */
export function sporeStatistics(lengths: readonly number[], widths: readonly number[] = []): SporeStatistics {
  const length = spreadOf(lengths);
  const paired = widths.length === lengths.length && widths.length > 0;
  const width = widths.length > 0 ? spreadOf(widths) : undefined;
  const q = paired ? spreadOf(lengths.map((value, index) => value / (widths[index] ?? value))) : undefined;
  const size = width === undefined ? spreadWords(length) : `${spreadWords(length)} × ${spreadWords(width)}`;
  const ratio = q === undefined ? "" : `, Q = ${q.low.toFixed(1)}–${q.high.toFixed(1)}, Qm = ${q.mean.toFixed(2)}`;
  return {
    length,
    ...(width === undefined ? {} : { width }),
    ...(q === undefined ? {} : { q }),
    notation: `${size} µm${ratio}, n = ${length.n}`,
  };
}

const one = (value: number): string => value.toFixed(1);

/** The extremes stand in brackets where they differ from the range as written. */
function spreadWords({ min, low, high, max }: Spread): string {
  const before = one(min) === one(low) ? "" : `(${one(min)}) `;
  const after = one(max) === one(high) ? "" : ` (${one(max)})`;
  return `${before}${one(low)}–${one(high)}${after}`;
}

/** Spores as they were typed or pasted, or what is wrong with them. */
export type TypedSpores =
  | { readonly ok: true; readonly lengths: readonly number[]; readonly widths: readonly number[] }
  | { readonly ok: false; readonly fault: string };

const MOST_UM = 1000;

/**
 * Reads lengths and widths: a spore a line, "8.1 x 4.9" or "8.1, 4.9", or a CSV with a heading that names them. A decimal
 * comma is understood where a semicolon, a tab or an x parts the two.
 */
export function readSpores(text: string): TypedSpores {
  const plain = text
    .trim()
    .replace(/[×x*]/gi, ";")
    .replace(/[ \t]*;[ \t]*/g, ";")
    .replace(/\t/g, ";");
  const delimiter = plain.includes(";") ? ";" : ",";
  const { data } = papaparse.parse<string[]>(plain, { delimiter, skipEmptyLines: true });
  const lengths: number[] = [];
  const widths: number[] = [];
  for (const [index, row] of data.entries()) {
    const cells = row.map((cell) => cell.trim()).filter((cell) => cell !== "");
    const numbers = cells.map((cell) => Number(delimiter === ";" ? cell.replace(",", ".") : cell));
    // a first line of words is a heading
    if (index === 0 && numbers.every(Number.isNaN)) continue;
    const bad = numbers.findIndex((value) => !(value > 0 && value <= MOST_UM));
    if (bad >= 0 || numbers.length === 0 || numbers.length > 2)
      return {
        ok: false,
        fault: `line ${index + 1}: expected a length and a width in µm, found ${JSON.stringify(row.join(delimiter))}`,
      };
    lengths.push(numbers[0] ?? 0);
    if (numbers[1] !== undefined) widths.push(numbers[1]);
  }
  if (lengths.length === 0) return { ok: false, fault: "there is no spore in it" };
  if (widths.length > 0 && widths.length !== lengths.length)
    return {
      ok: false,
      fault: `${lengths.length} lengths, but ${widths.length} widths: give both for every spore, or no width`,
    };
  return { ok: true, lengths, widths };
}
