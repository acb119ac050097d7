/** One spelling for one record, so that equal finds are equal byte for byte. */
import type { Entry } from "./entry.ts";
import type { Body, Find } from "./schema.ts";
import { CHARACTER_IDS } from "./vocabulary.ts";

const ORDER = new Map<string, number>(CHARACTER_IDS.map((id, index) => [id, index]));

function compareText(one: string, other: string): number {
  return one < other ? -1 : one > other ? 1 : 0;
}

/** Order of handling, then observer, then time. */
export function compareEntries(one: Entry, other: Entry): number {
  return (
    (ORDER.get(one.character) ?? 0) - (ORDER.get(other.character) ?? 0) ||
    compareText(one.by ?? "", other.by ?? "") ||
    compareText(one.at ?? "", other.at ?? "")
  );
}

/** The body with its observations in the order of handling, and without an empty list of them. */
export function canonicalBody(body: Body): Body {
  const { seen, ...rest } = body;
  return seen === undefined || seen.length === 0 ? rest : { ...rest, seen: [...seen].sort(compareEntries) };
}

/** Parts of a find that say nothing when they are empty: left out and empty are one record. */
const PARTS = ["place", "site", "weather", "rules"] as const;

/** The find with every body's observations in the order of handling and without empty parts; bodies keep their order. */
export function canonicalFind(find: Find): Find {
  const canonical: Find = { ...find, bodies: find.bodies.map(canonicalBody) };
  for (const part of PARTS)
    if (canonical[part] !== undefined && Object.keys(canonical[part]).length === 0) delete canonical[part];
  return canonical;
}

/** JSON with sorted keys and without undefined: the same text for the same value, whoever made it. */
export function canonicalJson(value: unknown): string {
  return JSON.stringify(value, (_key, inner: unknown) =>
    typeof inner === "object" && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => compareText(a, b)))
      : inner,
  );
}
