/**
 * Every change to a find, as a small value with its inverse.
 *
 * The browser and the server apply the same function; undo, history, idempotent writes and offline work
 * all fall out of the one list of edits. Nothing else may change a find.
 */
import { z } from "zod";
import { canonicalBody } from "./canonical.ts";
import { type Entry, entrySchema } from "./entry.ts";
import { type Fault, type Parsed, parseFind } from "./parse.ts";
import {
  type Body,
  bodyIdSchema,
  bodySchema,
  type Find,
  findSchema,
  placeSchema,
  rulesSchema,
  siteSchema,
  weatherSchema,
} from "./schema.ts";
import { CHARACTER_IDS } from "./vocabulary.ts";

/** A field's new value, or null to leave the field out. The value itself is checked with the whole find. */
const value = z.union([z.json(), z.null()]);
const observer = z.string().min(1).max(64).optional();

const bodyFields = bodySchema.omit({ id: true, seen: true }).keyof();
const findFields = z.enum(["label", "note", "foundAt", "takenFor", "observers"]);

/** The kinds of change. Those that set a field carry its name and its value, null for none. */
export const changeSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("observe"),
    body: bodyIdSchema,
    character: z.enum(CHARACTER_IDS),
    by: observer,
    entries: z.array(entrySchema).min(1),
  }),
  z.strictObject({
    kind: z.literal("unsee"),
    body: bodyIdSchema,
    character: z.enum(CHARACTER_IDS),
    by: observer,
  }),
  z.strictObject({ kind: z.literal("add-body"), body: bodySchema, index: z.int().nonnegative().optional() }),
  z.strictObject({ kind: z.literal("remove-body"), body: bodyIdSchema }),
  z.strictObject({ kind: z.literal("set-body"), body: bodyIdSchema, field: bodyFields, value }),
  z.strictObject({ kind: z.literal("set-site"), field: siteSchema.keyof(), value }),
  z.strictObject({ kind: z.literal("set-weather"), field: weatherSchema.keyof(), value }),
  z.strictObject({ kind: z.literal("set-place"), field: placeSchema.keyof(), value }),
  z.strictObject({ kind: z.literal("set-rule"), field: rulesSchema.keyof(), value }),
  z.strictObject({ kind: z.literal("set-find"), field: findFields, value }),
]);
export type Change = z.infer<typeof changeSchema>;

/** A change with its own id (made by the client), its time and, for an undo, the edit it takes back. */
export const editSchema = z.strictObject({
  id: z.uuid(),
  at: z.iso.datetime({ offset: true }),
  undoes: z.uuid().optional(),
  redoes: z.uuid().optional(),
  change: changeSchema,
});
export type Edit = z.infer<typeof editSchema>;

/** A find after a change, and the change that takes it back. */
export interface Applied {
  readonly find: Find;
  readonly inverse: Change;
}

const fault = (path: string, message: string): Parsed<never> => ({ ok: false, faults: [{ path, message }] });

/**
 * Applies one change. Pure; the find given stays as it is.
 * @returns the new find with the inverse change, or faults that name the path; a find is never changed by halves.
 */
export function applyChange(find: Find, change: Change): Parsed<Applied> {
  const drafted = draft(find, change);
  if (!drafted.ok) return drafted;
  const parsed = parseFind(drafted.value.find);
  return parsed.ok ? { ok: true, value: { find: parsed.value, inverse: drafted.value.inverse } } : parsed;
}

/** Applies an edit: its change, whatever its id. */
export function applyEdit(find: Find, edit: Edit): Parsed<Applied> {
  return applyChange(find, edit.change);
}

/** A find after several edits, and the changes that take them back, each for the edit at its place. */
export interface AppliedAll {
  readonly find: Find;
  readonly inverses: readonly Change[];
}

/**
 * Applies edits one after another, all or none; the record is parsed once, when all are applied: a large one takes its time.
 * @returns the find after them, or the faults of an edit that made it unsound, with its place in the list
 */
export function applyEdits(find: Find, edits: readonly Edit[]): Parsed<AppliedAll> {
  const stages: unknown[] = [find];
  const inverses: Change[] = [];
  for (const edit of edits) {
    const drafted = draftOf(stages.at(-1), edit.change);
    // a draft upon an unsound one is no draft: what made it unsound is looked for below
    if (!drafted.ok) return firstFault(stages, edits, drafted.faults);
    stages.push(drafted.value.find);
    inverses.push(drafted.value.inverse);
  }
  const parsed = parseFind(stages.at(-1));
  return parsed.ok ? { ok: true, value: { find: parsed.value, inverses } } : firstFault(stages, edits, parsed.faults);
}

function draftOf(stage: unknown, change: Change): Parsed<{ find: unknown; inverse: Change }> {
  try {
    return draft(stage as Find, change);
  } catch {
    return fault("(root)", "the record before it is not sound");
  }
}

/** Halves its way to an edit after which a sound record is unsound, and tells that edit's faults. */
function firstFault(stages: readonly unknown[], edits: readonly Edit[], faults: readonly Fault[]): Parsed<never> {
  const at = (index: number, all: readonly Fault[]): Parsed<never> => ({
    ok: false,
    faults: all.map((one) => ({ ...one, path: `edits[${index}].${one.path}` })),
  });
  const last = stages.length - 1;
  // where the last stage is sound, it is the edit after it that could not be drafted
  if (last < edits.length && parseFind(stages[last]).ok) return at(last, faults);
  let [sound, unsound] = [0, last];
  while (unsound - sound > 1) {
    const middle = Math.floor((sound + unsound) / 2);
    if (parseFind(stages[middle]).ok) sound = middle;
    else unsound = middle;
  }
  const parsed = parseFind(stages[unsound]);
  return at(sound, parsed.ok ? faults : parsed.faults);
}

function draft(find: Find, change: Change): Parsed<{ find: unknown; inverse: Change }> {
  switch (change.kind) {
    case "observe":
    case "unsee":
      return draftLooks(find, change);
    case "add-body": {
      const index = Math.min(change.index ?? find.bodies.length, find.bodies.length);
      const bodies = [...find.bodies];
      bodies.splice(index, 0, canonicalBody(change.body));
      return done({ ...find, bodies }, { kind: "remove-body", body: change.body.id });
    }
    case "remove-body": {
      const index = find.bodies.findIndex((body) => body.id === change.body);
      const body = find.bodies[index];
      if (body === undefined) return fault("body", `the find has no body ${change.body}`);
      return done({ ...find, bodies: find.bodies.filter((one) => one !== body) }, { kind: "add-body", body, index });
    }
    case "set-body": {
      const body = find.bodies.find((one) => one.id === change.body);
      if (body === undefined) return fault("body", `the find has no body ${change.body}`);
      const before = body[change.field];
      return done(withBody(find, withField(body, change.field, change.value)), {
        ...change,
        value: jsonOf(before),
      });
    }
    case "set-site":
      return setIn(find, "site", change);
    case "set-weather":
      return setIn(find, "weather", change);
    case "set-place":
      return setIn(find, "place", change);
    case "set-rule":
      return setIn(find, "rules", change);
    case "set-find":
      return done(withField(find, change.field, change.value), {
        ...change,
        value: jsonOf(find[change.field]),
      });
  }
}

type Json = z.infer<typeof value>;
type SetChange = Extract<Change, { kind: "set-site" | "set-weather" | "set-place" | "set-rule" }>;

function setIn(find: Find, part: "site" | "weather" | "place" | "rules", change: SetChange) {
  const before: Record<string, unknown> = { ...find[part] };
  const after = withField(before, change.field, change.value);
  return done(withField(find, part, Object.keys(after).length === 0 ? null : after), {
    ...change,
    value: jsonOf(before[change.field]),
  });
}

function draftLooks(find: Find, change: Extract<Change, { kind: "observe" | "unsee" }>) {
  const body = find.bodies.find((one) => one.id === change.body);
  if (body === undefined) return fault("body", `the find has no body ${change.body}`);
  const entries: readonly Entry[] = change.kind === "observe" ? change.entries : [];
  for (const [index, entry] of entries.entries())
    if (entry.character !== change.character || entry.by !== change.by)
      return fault(`entries[${index}]`, "the entry's character and observer must be those of the change");
  const isSameLook = (entry: Entry) => entry.character === change.character && entry.by === change.by;
  const before = (body.seen ?? []).filter(isSameLook);
  const seen = [...(body.seen ?? []).filter((entry) => !isSameLook(entry)), ...entries];
  const { body: id, character, by } = change;
  const inverse: Change =
    before.length === 0
      ? { kind: "unsee", body: id, character, by }
      : { kind: "observe", body: id, character, by, entries: before };
  return done(withBody(find, canonicalBody({ ...body, seen })), inverse);
}

function done(find: unknown, inverse: Change): Parsed<{ find: unknown; inverse: Change }> {
  return { ok: true, value: { find, inverse } };
}

function withBody(find: Find, body: { id: string } | Record<string, unknown>): unknown {
  return { ...find, bodies: find.bodies.map((one) => (one.id === body.id ? body : one)) };
}

/** The record with one field set, or left out for null. */
function withField(record: object, field: string, fieldValue: unknown): Record<string, unknown> {
  const { [field]: _before, ...others }: Record<string, unknown> = { ...record };
  return fieldValue === null || fieldValue === undefined ? others : { ...others, [field]: fieldValue };
}

function jsonOf(before: unknown): Json {
  return before === undefined ? null : z.json().parse(before);
}

/** A fresh find with one body that nobody has looked at yet. Id and time are the caller's. */
export function newFind(id: string, foundAt: string, firstBody: Body = { id: "A", lifted: "standing" }): Find {
  return findSchema.parse({ format: "jittery-cap/find", version: 1, id, foundAt, bodies: [firstBody] });
}

/** The next free letter for a body: A, B … Z, then B27, B28 … */
export function nextBodyId(find: Find): string {
  const used = new Set<string>(find.bodies.map((body) => body.id));
  for (let code = 65; code <= 90; code++) {
    const letter = String.fromCharCode(code);
    if (!used.has(letter)) return letter;
  }
  let number = 27;
  while (used.has(`B${number}`)) number++;
  return `B${number}`;
}
