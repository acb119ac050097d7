/** Kinds of document that are a row of fields: each is set by itself, and what two devices set apart is put together field by field. */
import { z } from "zod";
import { canonicalJson } from "../../find/canonical.ts";
import type { DocumentKind, Listed } from "../kind.ts";

/** One field set, or left out for null. What it may hold is looked through with the whole content. */
export interface SetField {
  readonly kind: "set-field";
  readonly field: string;
  readonly value?: unknown;
}

type Row = Readonly<Record<string, unknown>>;

/** How two values of one field that both were changed become one. @returns undefined to leave it out */
export type Join = (mine: unknown, theirs: unknown, base: unknown) => unknown;

interface FieldKind<Content> {
  readonly kind: string;
  readonly schema: z.ZodType<Content>;
  readonly fields: readonly [string, ...string[]];
  /** Fields that both devices changed; one that is not named here keeps what the server has. */
  readonly joins: Readonly<Record<string, Join>>;
  readonly listed: (content: Content) => Listed;
}

const toRow = (content: unknown): Row => z.record(z.string(), z.unknown()).parse(content);
const isSame = (one: unknown, other: unknown): boolean => canonicalJson(one ?? null) === canonicalJson(other ?? null);

/** Makes such a kind. */
export function fieldKind<Content extends object>({
  kind,
  schema,
  fields,
  joins,
  listed,
}: FieldKind<Content>): DocumentKind<Content, SetField> {
  const changes = z.strictObject({ kind: z.literal("set-field"), field: z.enum(fields), value: z.unknown() });
  return {
    kind,
    version: 1,
    schema,
    changes,
    upgrades: [],
    canArchive: true,
    canonical: (content) => content,
    draft: (content, { field, value }) => {
      const row = toRow(content);
      const next = { ...row };
      if (value === null || value === undefined) delete next[field];
      else next[field] = value;
      return { ok: true, value: { content: next, inverse: { kind: "set-field", field, value: row[field] ?? null } } };
    },
    reach: ({ field }) => ({ touches: [field], reliesOn: [] }),
    merge: (base, mine, theirs) => {
      const [before, one, other] = [base === undefined ? {} : toRow(base), toRow(mine), toRow(theirs)];
      const merged: Record<string, unknown> = {};
      for (const field of fields) {
        const value = isSame(one[field], before[field])
          ? other[field]
          : isSame(other[field], before[field]) || isSame(one[field], other[field])
            ? one[field]
            : (joins[field]?.(one[field], other[field], before[field]) ?? other[field]);
        if (value !== undefined) merged[field] = value;
      }
      const read = schema.safeParse(merged);
      // what does not go together is for a person to see
      return read.success ? read.data : undefined;
    },
    between: (before, after) => {
      const [one, other] = [toRow(before), toRow(after)];
      return fields.flatMap((field) =>
        isSame(one[field], other[field]) ? [] : [{ kind: "set-field" as const, field, value: other[field] ?? null }],
      );
    },
    listed,
  };
}

/** What tells things of a list apart: some of their fields. */
export const keyed =
  (...names: readonly string[]) =>
  (one: unknown): string => {
    const row = z.record(z.string(), z.unknown()).safeParse(one);
    return canonicalJson(names.map((name) => (row.success ? (row.data[name] ?? null) : null)));
  };

/** Lists of things that were said or done: nothing of either is lost. @param by the field that says when */
export const allOf =
  (keyOf: (one: unknown) => string = canonicalJson, by = "at"): Join =>
  (mine, theirs) => {
    const all = new Map([...listOf(theirs), ...listOf(mine)].map((one) => [keyOf(one), one]));
    return [...all.values()].sort((one, other) => momentOf(one, by) - momentOf(other, by));
  };

/** Lists of what is to be had: kept is what neither took out; what either put in is in. */
export const heldBy =
  (keyOf: (one: unknown) => string): Join =>
  (mine, theirs, base) => {
    const [own, other, before] = [mine, theirs, base].map(
      (list) => new Map(listOf(list).map((one) => [keyOf(one), one])),
    );
    const kept = [...(other ?? new Map<string, unknown>())].filter(
      ([key]) => own?.has(key) === true || before?.has(key) !== true,
    );
    const added = [...(own ?? new Map<string, unknown>())].filter(
      ([key]) => other?.has(key) !== true && before?.has(key) !== true,
    );
    return [...kept, ...added].map(([, one]) => one);
  };

const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);
function momentOf(one: unknown, by: string): number {
  const read = z.object({ [by]: z.string() }).safeParse(one);
  return read.success ? Date.parse(read.data[by] ?? "") : 0;
}
