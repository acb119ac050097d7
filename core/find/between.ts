/** The changes that make one record of a find of another. */
import { canonicalJson } from "./canonical.ts";
import { type Change, setChange } from "./changes.ts";
import type { Entry } from "./entry.ts";
import type { Body, Find } from "./schema.ts";

const PARTS = [
  ["place", "set-place"],
  ["site", "set-site"],
  ["weather", "set-weather"],
  ["rules", "set-rule"],
] as const;

/**
 * The changes from one record to another of the same find; none where they are the same. Bodies that both have keep their order.
 */
export function changesBetween(before: Find, after: Find): readonly Change[] {
  const fields = differing(before, after, ["label", "note", "foundAt", "takenFor", "observers"]).map(([field, value]) =>
    setChange({ kind: "set-find" }, field, value),
  );
  const parts = PARTS.flatMap(([part, kind]) => {
    const [one, other]: readonly Record<string, unknown>[] = [{ ...before[part] }, { ...after[part] }];
    return differing({ ...one }, { ...other }, fieldsOf(one, other)).map(([field, value]) =>
      setChange({ kind }, field, value),
    );
  });
  const bodies = after.bodies.flatMap((body, index): Change[] => {
    const old = before.bodies.find((one) => one.id === body.id);
    return old === undefined ? [{ kind: "add-body", body, index }] : bodyChanges(old, body);
  });
  const gone = before.bodies
    .filter((body) => after.bodies.every((one) => one.id !== body.id))
    .map((body): Change => ({ kind: "remove-body", body: body.id }));
  return [...fields, ...parts, ...bodies, ...gone];
}

const fieldsOf = (...records: readonly (object | undefined)[]): string[] => [
  ...new Set(records.flatMap((record) => Object.keys(record ?? {}))),
];

/** The fields in which two records differ, with what the second holds. */
function differing(before: object, after: object, fields: readonly string[]): [string, unknown][] {
  const [one, other]: readonly Record<string, unknown>[] = [{ ...before }, { ...after }];
  return fields.flatMap((field): [string, unknown][] =>
    canonicalJson(one?.[field] ?? null) === canonicalJson(other?.[field] ?? null) ? [] : [[field, other?.[field]]],
  );
}

function bodyChanges(before: Body, after: Body): Change[] {
  const fields = fieldsOf(before, after).filter((field) => field !== "id" && field !== "seen");
  const set = differing(before, after, fields).map(([field, value]) =>
    setChange({ kind: "set-body", body: before.id }, field, value),
  );
  const [one, other] = [looksOf(before), looksOf(after)];
  const looks = [...new Set([...one.keys(), ...other.keys()])].flatMap((key): Change[] => {
    const [old, entries] = [one.get(key) ?? [], other.get(key) ?? []];
    const [any] = [...old, ...entries];
    if (any === undefined || canonicalJson(old) === canonicalJson(entries)) return [];
    const { character, by } = any;
    return entries.length === 0
      ? [{ kind: "unsee", body: before.id, character, by }]
      : [{ kind: "observe", body: before.id, character, by, entries }];
  });
  return [...set, ...looks];
}

/** The looks of a body by character and observer: what one change sets together. */
function looksOf({ seen = [] }: Body): Map<string, Entry[]> {
  const looks = new Map<string, Entry[]>();
  for (const entry of seen) {
    const key = JSON.stringify([entry.character, entry.by ?? null]);
    looks.set(key, [...(looks.get(key) ?? []), entry]);
  }
  return looks;
}
