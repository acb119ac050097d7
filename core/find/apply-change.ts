/** A change applied to a find, with the change that takes it back. Nothing else may change a find. */
import { canonicalBody } from "./canonical.ts";
import { type Change, changeSchema } from "./changes.ts";
import type { Entry } from "./entry.ts";
import { type Parsed, parseFind } from "./parse.ts";
import { type Body, type Find, findSchema } from "./schema.ts";

/** A find after a change, and the change that takes it back. */
export interface Applied {
  readonly find: Find;
  readonly inverse: Change;
}

const fault = (path: string, message: string): Parsed<never> => ({ ok: false, faults: [{ path, message }] });

/** A find after a change that nobody has looked through yet, and what takes the change back. */
export interface Drafted {
  readonly content: unknown;
  readonly inverse: Change;
}

/**
 * Applies one change. Pure; the find given stays as it is.
 * @returns the new find with the inverse change, or faults that name the path; a find is never changed by halves.
 */
export function applyChange(find: Find, change: Change): Parsed<Applied> {
  const drafted = draftChange(find, change);
  if (!drafted.ok) return drafted;
  const parsed = parseFind(drafted.value.content);
  return parsed.ok ? { ok: true, value: { find: parsed.value, inverse: drafted.value.inverse } } : parsed;
}

/** The find after a change, before its parts are looked through together: several changes are looked through once. */
export function draftChange(find: Find, change: Change): Parsed<Drafted> {
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
      if (body === undefined) return noBody(change.body);
      return done({ ...find, bodies: find.bodies.filter((one) => one !== body) }, { kind: "add-body", body, index });
    }
    case "set-body": {
      const body = find.bodies.find((one) => one.id === change.body);
      if (body === undefined) return noBody(change.body);
      return done(withBody(find, withField(body, change.field, change.value)), settingOf(change, body[change.field]));
    }
    case "set-site":
      return setIn(find, "site", change, find.site?.[change.field]);
    case "set-weather":
      return setIn(find, "weather", change, find.weather?.[change.field]);
    case "set-place":
      return setIn(find, "place", change, find.place?.[change.field]);
    case "set-rule":
      return setIn(find, "rules", change, find.rules?.[change.field]);
    case "set-find":
      return done(withField(find, change.field, change.value), settingOf(change, find[change.field]));
  }
}

const noBody = (id: string): Parsed<never> => fault("body", `the find has no body ${id}`);

/** The change that sets the same field to what it was. */
const settingOf = (change: Change, before: unknown): Change =>
  changeSchema.parse({ ...change, value: before === undefined ? null : before });

function setIn(
  find: Find,
  part: "site" | "weather" | "place" | "rules",
  change: Extract<Change, { field: string }>,
  before: unknown,
): Parsed<Drafted> {
  const after = withField({ ...find[part] }, change.field, change.value);
  return done(withField(find, part, Object.keys(after).length === 0 ? null : after), settingOf(change, before));
}

function draftLooks(find: Find, change: Extract<Change, { kind: "observe" | "unsee" }>): Parsed<Drafted> {
  const body = find.bodies.find((one) => one.id === change.body);
  if (body === undefined) return noBody(change.body);
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

function done(content: unknown, inverse: Change): Parsed<Drafted> {
  return { ok: true, value: { content, inverse } };
}

function withBody(find: Find, body: { id: string } | Record<string, unknown>): unknown {
  return { ...find, bodies: find.bodies.map((one) => (one.id === body.id ? body : one)) };
}

/** The record with one field set, or left out for null. */
export function withField(record: object, field: string, value: unknown): Record<string, unknown> {
  const { [field]: _before, ...others }: Record<string, unknown> = { ...record };
  return value === null || value === undefined ? others : { ...others, [field]: value };
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
