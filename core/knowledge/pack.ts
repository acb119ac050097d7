/**
 * Raw sheets as tables instead of one object each: field by field, and the characters column by column, so that what is alike
 * stands together and travels in half the room. Nothing is lost or added; what is well formed is decided where sheets are read.
 */
import { z } from "zod";

/** A column has a value a sheet, in the order of the names; null where a sheet has no such field. */
const columns = z.record(z.string(), z.array(z.unknown()));
const packedSchema = z.object({ names: z.array(z.string()), fields: columns, characters: columns });
export type PackedSheets = z.infer<typeof packedSchema>;

type Row = Readonly<Record<string, unknown>>;
const isRow = (value: unknown): value is Row => typeof value === "object" && value !== null && !Array.isArray(value);

function columnsOf(rows: readonly Row[]): Record<string, unknown[]> {
  const names = [...new Set(rows.flatMap((row) => Object.keys(row)))];
  return Object.fromEntries(names.map((name) => [name, rows.map((row) => row[name] ?? null)]));
}

function rowAt(table: Readonly<Record<string, readonly unknown[]>>, index: number): Row {
  const entries = Object.entries(table).map(([name, column]) => [name, column[index]] as const);
  return Object.fromEntries(entries.filter(([, value]) => value !== null && value !== undefined));
}

/** @param sheets raw sheets by file name @throws for a sheet that is no object with characters, or holds a null */
export function packSheets(sheets: Readonly<Record<string, unknown>>): PackedSheets {
  const rows = Object.entries(sheets).map(([name, sheet]) => {
    if (!isRow(sheet) || !isRow(sheet.characters)) throw new Error(`${name} is no sheet`);
    const { characters, ...fields } = sheet;
    if ([...Object.values(fields), ...Object.values(characters)].includes(null))
      throw new Error(`${name} holds a null`);
    return { fields, characters };
  });
  return {
    names: Object.keys(sheets),
    fields: columnsOf(rows.map((row) => row.fields)),
    characters: columnsOf(rows.map((row) => row.characters)),
  };
}

/** The raw sheets again. @throws ZodError for what is no table of sheets */
export function unpackSheets(packed: unknown): Record<string, unknown> {
  const { names, fields, characters } = packedSchema.parse(packed);
  return Object.fromEntries(
    names.map((name, index) => [name, { ...rowAt(fields, index), characters: rowAt(characters, index) }]),
  );
}
