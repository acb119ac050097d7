/**
 * The sheets compiled into compact tables: for each character and age one column of bit sets, a row a sheet.
 *
 * One look is weighed against every sheet by a few bit operations a row. Columns are made when they are first asked for
 * and kept as long as the sheets are.
 */
import { dangerNeighbours, soughtNeighbours } from "../find/neighbours.ts";
import { AGES, type Age, type CharacterId, definitionOf } from "../find/vocabulary.ts";
import type { Sheet } from "./sheet.ts";
import { FREQUENCIES, type Frequency, type StateTable } from "./state-tables.ts";

/** The measures that sheets give a range for. */
export const MEASURES = [
  "capCm",
  "stemLengthCm",
  "stemWidthMm",
  "thicknessMm",
  "sporeLengthUm",
  "sporeWidthUm",
] as const;
export type Measure = (typeof MEASURES)[number];

/** What every sheet lists of one character at one age, or at an age that nobody told. */
export interface Column {
  /** Bit sets of the states listed; zero where the sheet says nothing. */
  readonly listed: Int32Array;
  /** Those of them that are more than rare. */
  readonly common: Int32Array;
  /** The same by frequency; at an untold age a state stands with its commonest. */
  readonly by: Readonly<Record<Frequency, Int32Array>>;
  /** What is listed, in words, where it was asked for before. */
  readonly words: (string | undefined)[];
  /** What was worked out of the whole column before, by what was asked: the same looks come again at every touch. */
  readonly known: Map<string, Uint8Array>;
}

/** About so many bytes a column are kept of what was worked out of it. */
const KEPT_BYTES = 200_000;
const KEPT_AT_LEAST = 16;

/** What was asked of a column before, or is worked out now; it is never changed afterwards. */
export function askedBefore({ known, listed }: Column, key: string, workOut: () => Uint8Array): Uint8Array {
  const before = known.get(key);
  if (before !== undefined) return before;
  if (known.size >= Math.max(KEPT_AT_LEAST, KEPT_BYTES / (listed.length + 1))) known.clear();
  const now = workOut();
  known.set(key, now);
  return now;
}

/** The ranges of one measure; NaN where a sheet gives none. */
export interface Range {
  readonly low: Float64Array;
  readonly high: Float64Array;
}

/** Compiled sheets, rows in the order of the sheets. */
export interface Tables {
  readonly sheets: readonly Sheet[];
  /** @param age undefined for an age that nobody told: a sheet then speaks only if it speaks of every age */
  readonly column: (character: CharacterId, age: Age | undefined) => Column;
  readonly range: (measure: Measure) => Range;
  /** Bit sets of the states that a sheet never shows; undefined where no sheet says so of this character. */
  readonly never: (character: CharacterId) => Int32Array | undefined;
  /** Rows of the sheets that have masks of their own on a character. */
  readonly withOwnMasks: (character: CharacterId) => readonly number[];
}

const BITS = new Map<CharacterId, ReadonlyMap<string, number>>();

/** The bit of each state of a character: at most 32 states, so that a bit set is one integer. */
export function stateBits(character: CharacterId): ReadonlyMap<string, number> {
  let bits = BITS.get(character);
  if (bits === undefined) {
    bits = new Map(definitionOf(character).states.map((state, index) => [state, 1 << index]));
    BITS.set(character, bits);
  }
  return bits;
}

/** The bit set of some states; states that the character does not have count for nothing. */
export function bitsOf(character: CharacterId, states: Iterable<string>): number {
  const bits = stateBits(character);
  let set = 0;
  for (const state of states) set |= bits.get(state) ?? 0;
  return set;
}

/** The listed states that people take for a state seen: generously for a danger, in soft characters for a sought kind. */
export function neighbourBits(character: CharacterId, state: string, sought: boolean): number {
  return bitsOf(character, (sought ? soughtNeighbours : dangerNeighbours)(character, state));
}

/** How many bits of a set are on. */
export function countBits(set: number): number {
  let n = set - ((set >>> 1) & 0x55555555);
  n = (n & 0x33333333) + ((n >>> 2) & 0x33333333);
  return (((n + (n >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24;
}

/** Compiles sheets; their order is the order of the rows. */
export function tablesOfSheets(sheets: readonly Sheet[]): Tables {
  const columns = new Map<string, Column>();
  const ranges = new Map<Measure, Range>();
  const nevers = neversOf(sheets);
  const ownMasks = ownMasksOf(sheets);
  return {
    sheets,
    column: (character, age) => {
      const key = definitionOf(character).byAge ? `${character} ${age ?? ""}` : character;
      let column = columns.get(key);
      if (column === undefined) {
        column = compileColumn(sheets, character, age === undefined ? AGES : [age]);
        columns.set(key, column);
      }
      return column;
    },
    range: (measure) => {
      let range = ranges.get(measure);
      if (range === undefined) {
        range = {
          low: Float64Array.from(sheets, (sheet) => sheet.sizes[measure]?.[0] ?? Number.NaN),
          high: Float64Array.from(sheets, (sheet) => sheet.sizes[measure]?.[1] ?? Number.NaN),
        };
        ranges.set(measure, range);
      }
      return range;
    },
    never: (character) => nevers.get(character),
    withOwnMasks: (character) => ownMasks.get(character) ?? NO_ROWS,
  };
}

/** Some rows of compiled sheets as tables of their own: nothing is compiled again. */
export function rowsOf(tables: Tables, rows: readonly number[]): Tables {
  const columns = new Map<Column, Column>();
  const ranges = new Map<Measure, Range>();
  const nevers = new Map<CharacterId, Int32Array | undefined>();
  return {
    sheets: rows.flatMap((row) => tables.sheets[row] ?? []),
    column: (character, age) => {
      const whole = tables.column(character, age);
      return remembered(columns, whole, () => columnOf(whole, rows));
    },
    range: (measure) =>
      remembered(ranges, measure, () => {
        const { low, high } = tables.range(measure);
        return {
          low: Float64Array.from(rows, (row) => low[row] ?? Number.NaN),
          high: Float64Array.from(rows, (row) => high[row] ?? Number.NaN),
        };
      }),
    never: (character) =>
      remembered(nevers, character, () => {
        const never = tables.never(character);
        return never === undefined ? undefined : picked(never, rows);
      }),
    withOwnMasks: (character) => {
      const own = tables.withOwnMasks(character);
      return own.length === 0 ? NO_ROWS : rows.flatMap((row, index) => (own.includes(row) ? [index] : []));
    },
  };
}

function columnOf({ listed, common, by, words }: Column, rows: readonly number[]): Column {
  return {
    listed: picked(listed, rows),
    common: picked(common, rows),
    by: {
      always: picked(by.always, rows),
      usual: picked(by.usual, rows),
      sometimes: picked(by.sometimes, rows),
      rare: picked(by.rare, rows),
    },
    words: rows.map((row) => words[row]),
    known: new Map(),
  };
}

function picked(from: Int32Array, rows: readonly number[]): Int32Array {
  const to = new Int32Array(rows.length);
  for (let index = 0; index < rows.length; index += 1) to[index] = from[rows[index] ?? 0] ?? 0;
  return to;
}

function remembered<Key, Value>(known: Map<Key, Value>, key: Key, make: () => Value): Value {
  const before = known.get(key);
  if (before !== undefined) return before;
  const value = make();
  known.set(key, value);
  return value;
}

const NO_ROWS: readonly number[] = [];

function ownMasksOf(sheets: readonly Sheet[]): ReadonlyMap<CharacterId, readonly number[]> {
  const rows = new Map<CharacterId, number[]>();
  sheets.forEach((sheet, row) => {
    for (const character of new Set(sheet.masks.flatMap((mask) => mask.characters))) {
      const known = rows.get(character);
      if (known === undefined) rows.set(character, [row]);
      else known.push(row);
    }
  });
  return rows;
}

function neversOf(sheets: readonly Sheet[]): ReadonlyMap<CharacterId, Int32Array> {
  const nevers = new Map<CharacterId, Int32Array>();
  sheets.forEach((sheet, row) => {
    for (const { character, states } of sheet.never) {
      const column = nevers.get(character) ?? new Int32Array(sheets.length);
      column[row] = (column[row] ?? 0) | bitsOf(character, states);
      nevers.set(character, column);
    }
  });
  return nevers;
}

function compileColumn(sheets: readonly Sheet[], character: CharacterId, ages: readonly Age[]): Column {
  const bits = stateBits(character);
  const listed = new Int32Array(sheets.length);
  const by = {
    always: new Int32Array(sheets.length),
    usual: new Int32Array(sheets.length),
    sometimes: new Int32Array(sheets.length),
    rare: new Int32Array(sheets.length),
  };
  sheets.forEach((sheet, row) => {
    const byAge = sheet.characters[character];
    const tables = ages.map((age) => byAge?.[age]).filter((table) => table !== undefined);
    // the ranking reads what is listed at some of the ages; the judgement asks for all of them
    for (const [state, frequency] of commonestOf(tables)) {
      const column = by[frequency];
      column[row] = (column[row] ?? 0) | (bits.get(state) ?? 0);
    }
    if (tables.length === ages.length)
      for (const table of tables)
        for (const state of Object.keys(table)) listed[row] = (listed[row] ?? 0) | (bits.get(state) ?? 0);
  });
  const common = listed.map(
    (set, row) => set & ((by.always[row] ?? 0) | (by.usual[row] ?? 0) | (by.sometimes[row] ?? 0)),
  );
  return { listed, common, by, words: new Array<string | undefined>(sheets.length), known: new Map() };
}

/** Each state once, with the highest frequency that any of the tables gives it. */
function commonestOf(tables: readonly StateTable[]): Map<string, Frequency> {
  const commonest = new Map<string, Frequency>();
  for (const table of tables)
    for (const [state, frequency] of Object.entries(table)) {
      const before = commonest.get(state);
      if (before === undefined || FREQUENCIES.indexOf(frequency) < FREQUENCIES.indexOf(before))
        commonest.set(state, frequency);
    }
  return commonest;
}
