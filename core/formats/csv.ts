/** Finds as a table, a row an observation (RFC 4180): plain columns for what people look at, JSON in two for the rest. */
import papaparse from "papaparse";
import { z } from "zod";
import { canonicalJson } from "../find/canonical.ts";
import type { Entry } from "../find/entry.ts";
import { type Fault, type Parsed, parseFind } from "../find/parse.ts";
import type { Body, Find } from "../find/schema.ts";
import { SITE_CHARACTERS } from "../find/vocabulary.ts";

/** Columns of the find, of the body and of the observation, in their order. */
const FIND_COLUMNS = [
  "find_id",
  "label",
  "note",
  "found_at",
  "lat",
  "lon",
  "accuracy_m",
  "elevation_m",
  "region",
  "place_name",
] as const;
const BODY_COLUMNS = [
  "body",
  "age",
  "lifted",
  "wear",
  "hours_since_picked",
  "firmness",
  "larvae",
  "keep",
  "ending",
] as const;
const SIZE_COLUMNS = ["cap_cm", "stem_length_cm", "stem_width_mm", "thickness_mm", "weight_g"] as const;
const LOOK_COLUMNS = ["character", "states", "unseen", "sure", "by", "at", "method", "speed"] as const;
const COLUMNS = [...FIND_COLUMNS, ...BODY_COLUMNS, ...SIZE_COLUMNS, ...LOOK_COLUMNS, "body_more", "find_more"] as const;
type Column = (typeof COLUMNS)[number];
type Row = Partial<Record<Column, string>>;

const PLACE_FIELDS = {
  lat: "lat",
  lon: "lon",
  accuracy_m: "accuracyM",
  elevation_m: "elevationM",
  region: "region",
  place_name: "name",
} as const;
const SIZE_FIELDS = {
  cap_cm: "capCm",
  stem_length_cm: "stemLengthCm",
  stem_width_mm: "stemWidthMm",
  thickness_mm: "thicknessMm",
  weight_g: "weightG",
} as const;
const NUMBERS: ReadonlySet<string> = new Set([
  "lat",
  "lon",
  "accuracy_m",
  "elevation_m",
  "hours_since_picked",
  ...SIZE_COLUMNS,
]);
const SEVERAL = " | ";

/**
 * Text that a spreadsheet would take for a formula is led by an apostrophe, and so is text that begins with one. Some
 * pass over white space before they look.
 */
export const guarded = (text: string): string => (/^\s*[=+\-@']|^[\t\r]/.test(text) ? `'${text}` : text);
const unguarded = (text: string): string => (text.startsWith("'") ? text.slice(1) : text);

const cell = (value: unknown): string => {
  if (value === undefined || value === null) return "";
  if (typeof value === "number" || typeof value === "boolean") return String(value);
  return guarded(Array.isArray(value) ? value.join(SEVERAL) : String(value));
};

/** The table of some finds. Loses nothing. */
export function csvOf(finds: readonly Find[]): string {
  const rows = finds.flatMap(rowsOf);
  return `${papaparse.unparse({ fields: [...COLUMNS], data: rows.map((row) => COLUMNS.map((column) => row[column] ?? "")) }, { newline: "\r\n" })}\r\n`;
}

function rowsOf(find: Find): Row[] {
  const { format: _format, version: _version, id, label, note, foundAt, place, site, bodies, ...more } = find;
  const { lat, lon, accuracyM, elevationM, region, name } = place ?? {};
  const shared: Row = {
    find_id: guarded(id),
    label: cell(label),
    note: cell(note),
    found_at: cell(foundAt),
    lat: cell(lat),
    lon: cell(lon),
    accuracy_m: cell(accuracyM),
    elevation_m: cell(elevationM),
    region: cell(region),
    place_name: cell(name),
  };
  const { habitat: _h, substrate: _s, host: _t, growth: _g, ...siteMore } = site ?? {};
  // an empty record of the place or the site is a record, and comes back as one
  const findMore = {
    ...more,
    ...(place !== undefined && Object.keys(place).length === 0 ? { place } : {}),
    ...(site !== undefined && (Object.keys(siteMore).length > 0 || Object.keys(site).length === 0)
      ? { site: siteMore }
      : {}),
  };
  const siteRows = SITE_CHARACTERS.flatMap((character): Row[] => {
    const states = site?.[character];
    return states === undefined ? [] : [{ ...shared, character, states: states.join(SEVERAL) }];
  });
  const rows = [...siteRows, ...bodies.flatMap((body) => bodyRows(body).map((row) => ({ ...shared, ...row })))];
  // the rest of the find stands once, in its first row
  if (Object.keys(findMore).length > 0 && rows[0] !== undefined) rows[0].find_more = canonicalJson(findMore);
  return rows;
}

function bodyRows(body: Body): Row[] {
  const { id, age, lifted, wear, hoursSincePicked, firmness, larvae, keep, ending, measures, seen, ...more } = body;
  const { capCm, stemLengthCm, stemWidthMm, thicknessMm, weightG, ...spores } = measures ?? {};
  const bodyMore = {
    ...more,
    ...(wear !== undefined && wear.length === 0 ? { wear } : {}),
    ...(seen !== undefined && seen.length === 0 ? { seen } : {}),
    ...(measures !== undefined && (Object.keys(spores).length > 0 || Object.keys(measures).length === 0)
      ? { measures: spores }
      : {}),
  };
  const shared: Row = {
    body: guarded(id),
    age: cell(age),
    lifted: cell(lifted),
    wear: cell(wear),
    hours_since_picked: cell(hoursSincePicked),
    firmness: cell(firmness),
    larvae: cell(larvae),
    keep: cell(keep),
    ending: cell(ending),
    cap_cm: cell(capCm),
    stem_length_cm: cell(stemLengthCm),
    stem_width_mm: cell(stemWidthMm),
    thickness_mm: cell(thicknessMm),
    weight_g: cell(weightG),
  };
  const looks = seen ?? [];
  const rows: Row[] =
    looks.length === 0
      ? [shared]
      : looks.map((entry) => ({
          ...shared,
          character: entry.character,
          states: entry.states?.join(SEVERAL) ?? "",
          unseen: cell(entry.unseen),
          sure: cell(entry.sure),
          by: cell(entry.by),
          at: cell(entry.at),
          method: cell(entry.method),
          speed: cell(entry.speed),
        }));
  if (Object.keys(bodyMore).length > 0 && rows[0] !== undefined) rows[0].body_more = canonicalJson(bodyMore);
  return rows;
}

/** Reads a table; a fault names its row, the heading being row 1. */
export function findsOfCsv(text: string): Parsed<readonly Find[]> {
  const { data, meta } = papaparse.parse<Record<string, string>>(text, { header: true, skipEmptyLines: "greedy" });
  const known: ReadonlySet<string> = new Set(COLUMNS);
  const strange = (meta.fields ?? []).filter((name) => !known.has(name));
  if (!(meta.fields ?? []).includes("find_id"))
    return { ok: false, faults: [{ path: "row 1", message: `has no column find_id; expected ${COLUMNS.join(", ")}` }] };
  if (strange.length > 0)
    return {
      ok: false,
      faults: [
        { path: "row 1", message: `unknown column ${JSON.stringify(strange[0])}; allowed: ${COLUMNS.join(", ")}` },
      ],
    };
  const faults: Fault[] = [];
  const drafts = new Map<string, Draft>();
  for (const [index, row] of data.entries()) addRow(row, index + 2, drafts, faults);
  const finds: Find[] = [];
  for (const { row, find } of drafts.values()) {
    const parsed = parseFind(find);
    if (parsed.ok) finds.push(parsed.value);
    else faults.push(...parsed.faults.map((one) => ({ ...one, path: `row ${row}: ${one.path}` })));
  }
  if (faults.length === 0 && finds.length === 0) faults.push({ path: "(root)", message: "there is no find in it" });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: finds };
}

const record = z.record(z.string(), z.json());

type Draft = { readonly row: number; readonly find: Record<string, unknown> & { bodies: Record<string, unknown>[] } };

/** The cells of one row, read as what they should be; what they are not is told with row and column. */
class Cells {
  readonly #row: Record<string, string>;
  readonly number: number;
  readonly #faults: Fault[];

  constructor(row: Record<string, string>, number: number, faults: Fault[]) {
    this.#row = row;
    this.number = number;
    this.#faults = faults;
  }

  fault(column: Column, message: string): void {
    this.#faults.push({ path: `row ${this.number}, ${column}`, message });
  }

  text = (column: Column): string | undefined => {
    const value = this.#row[column];
    return value === undefined || value === "" ? undefined : NUMBERS.has(column) ? value : unguarded(value);
  };

  several = (column: Column): string[] | undefined => this.text(column)?.split(SEVERAL);

  amount = (column: Column): number | undefined => {
    const value = this.text(column);
    if (value === undefined) return undefined;
    const read = Number(value);
    if (!Number.isFinite(read)) this.fault(column, `expected a number, found ${JSON.stringify(value)}`);
    return read;
  };

  truth(column: Column): boolean | undefined {
    const value = this.text(column);
    if (value === undefined) return undefined;
    if (value !== "true" && value !== "false")
      this.fault(column, `expected true or false, found ${JSON.stringify(value)}`);
    return value === "true";
  }

  json(column: Column): Record<string, unknown> {
    const value = this.text(column);
    if (value === undefined) return {};
    try {
      return record.parse(JSON.parse(value));
    } catch {
      this.fault(column, "expected a JSON object");
      return {};
    }
  }
}

function addRow(row: Record<string, string>, number: number, drafts: Map<string, Draft>, faults: Fault[]): void {
  const cells = new Cells(row, number, faults);
  const id = cells.text("find_id");
  if (id === undefined) {
    cells.fault("find_id", "is empty");
    return;
  }
  const draft = drafts.get(id) ?? { row: number, find: findIn(cells, id) };
  drafts.set(id, draft);
  const { find } = draft;
  const bodyId = cells.text("body");
  const character = cells.text("character");
  if (bodyId === undefined) {
    if (character !== undefined) find.site = { ...Object(find.site ?? {}), [character]: cells.several("states") };
    return;
  }
  let body = find.bodies.find((one) => one.id === bodyId);
  if (body === undefined) {
    body = bodyIn(cells, bodyId);
    find.bodies.push(body);
  }
  if (character === undefined) return;
  body.seen = [...(Array.isArray(body.seen) ? body.seen : []), entryIn(cells, character)];
}

function findIn(cells: Cells, id: string): Draft["find"] {
  const place = fieldsOf(PLACE_FIELDS, (column) => (NUMBERS.has(column) ? cells.amount(column) : cells.text(column)));
  const { place: emptyPlace, site, ...more } = cells.json("find_more");
  return {
    ...more,
    format: "jittery-cap/find",
    version: 1,
    id,
    ...given({ label: cells.text("label"), note: cells.text("note"), foundAt: cells.text("found_at") }),
    ...(Object.keys(place).length > 0 || emptyPlace !== undefined ? { place } : {}),
    ...(site === undefined ? {} : { site }),
    bodies: [],
  };
}

function bodyIn(cells: Cells, id: string): Record<string, unknown> {
  const sizes = fieldsOf(SIZE_FIELDS, cells.amount);
  const { measures, ...more } = cells.json("body_more");
  return {
    ...more,
    id,
    ...given({
      age: cells.text("age"),
      lifted: cells.text("lifted"),
      wear: cells.several("wear"),
      hoursSincePicked: cells.amount("hours_since_picked"),
      firmness: cells.text("firmness"),
      larvae: cells.text("larvae"),
      keep: cells.truth("keep"),
      ending: cells.text("ending"),
    }),
    ...(Object.keys(sizes).length > 0 || measures !== undefined
      ? { measures: { ...Object(measures ?? {}), ...sizes } }
      : {}),
  };
}

function entryIn(cells: Cells, character: string): Partial<Record<keyof Entry, unknown>> {
  return {
    character,
    ...given({
      states: cells.several("states"),
      unseen: cells.text("unseen"),
      sure: cells.truth("sure"),
      by: cells.text("by"),
      at: cells.text("at"),
      method: cells.text("method"),
      speed: cells.text("speed"),
    }),
  };
}

/** Without what was not given. */
function given(values: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined));
}

function fieldsOf(
  fields: Readonly<Record<string, string>>,
  read: (column: Column) => unknown,
): Record<string, unknown> {
  return given(
    Object.fromEntries(
      COLUMNS.flatMap((column) => (fields[column] === undefined ? [] : [[fields[column], read(column)]])),
    ),
  );
}
