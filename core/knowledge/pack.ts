/**
 * The shelf as it is shipped with a program: checked once, where it is packed, and not again at every start. What of a sheet
 * changes from kind to kind stands character by character, so that what is alike stands together and travels in half the room.
 */
import { AGES, type Age } from "../find/vocabulary.ts";
import { type Knowledge, shelve } from "./knowledge.ts";
import type { Sheet } from "./sheet.ts";
import type { AgeTable, StateTable } from "./state-tables.ts";

/** The ages that show the same states, a bit for each in the order of `AGES`, and these states. */
type AgesAlike = readonly [ages: number, states: StateTable];

/** A shelf as plain data. */
export interface PackedShelf {
  readonly edition: string;
  readonly sheets: readonly Omit<Sheet, "characters">[];
  /** By character, for each sheet in the order of `sheets`; null where the sheet says nothing of it. */
  readonly characters: Readonly<Record<string, readonly (readonly AgesAlike[] | null)[]>>;
}

const bitOf = (age: Age): number => 1 << AGES.indexOf(age);

function packed(table: AgeTable): readonly AgesAlike[] {
  const alike = new Map<string, { ages: number; readonly states: StateTable }>();
  for (const age of AGES) {
    const states = table[age];
    if (states === undefined) continue;
    const key = JSON.stringify(states);
    const one = alike.get(key);
    if (one === undefined) alike.set(key, { ages: bitOf(age), states });
    else one.ages |= bitOf(age);
  }
  return [...alike.values()].map(({ ages, states }) => [ages, states]);
}

function unpacked(alike: readonly AgesAlike[]): AgeTable {
  const table: Partial<Record<Age, StateTable>> = {};
  for (const age of AGES) for (const [ages, states] of alike) if ((ages & bitOf(age)) !== 0) table[age] = states;
  return table;
}

/** A shelf of checked sheets as plain data, for JSON. */
export function packShelf({ edition, sheets }: Knowledge): PackedShelf {
  const names = [...new Set(sheets.flatMap(({ characters }) => Object.keys(characters)))];
  const column = (name: string) =>
    sheets.map(({ characters: { [name]: table } }) => (table === undefined ? null : packed(table)));
  return {
    edition,
    sheets: sheets.map(({ characters, ...rest }) => rest),
    characters: Object.fromEntries(names.map((name) => [name, column(name)])),
  };
}

/** The shelf again, of the same edition. */
export function unpackShelf({ edition, sheets, characters }: PackedShelf): Knowledge {
  const tables = sheets.map((): Record<string, AgeTable> => ({}));
  for (const [name, column] of Object.entries(characters))
    tables.forEach((table, index) => {
      const alike = column[index];
      if (alike !== null && alike !== undefined) table[name] = unpacked(alike);
    });
  return shelve(
    sheets.map((sheet, index) => ({ ...sheet, characters: tables[index] ?? {} })),
    edition,
  );
}
