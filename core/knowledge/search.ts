/** Search over names that forgives: misspelt scientific names, names of old books, common names of other countries. */
import Fuse from "fuse.js";
import type { Sheet } from "./sheet.ts";

/** What kind of name was met. */
export type NameKind = "scientific" | "common" | "also" | "synonym";

/** A sheet met by one of its names. */
export interface NameMatch {
  readonly sheet: string;
  /** The name that was met, as the sheet has it. */
  readonly name: string;
  readonly kind: NameKind;
  /** From 0, the very same, to 1, nothing alike. */
  readonly distance: number;
}

export type NameSearch = (query: string, limit?: number) => readonly NameMatch[];

/** How unlike a name may be and still be met; found by trying the misspellings that the tests hold. */
const UNLIKE_AT_MOST = 0.42;
/** Shorter queries say too little. */
const SHORTEST = 2;
const MATCHES = 8;

interface Named {
  readonly sheet: string;
  readonly name: string;
  readonly kind: NameKind;
  readonly plain: string;
}

/** Names without capitals, accents, hyphens and apostrophes, and with the spellings that sound alike made one. */
function plainName(name: string): string {
  return name
    .normalize("NFD")
    .replace(/\p{Diacritic}/gu, "")
    .toLowerCase()
    .replace(/['’-]/g, " ")
    .replace(/ph/g, "f")
    .replace(/y/g, "i")
    .replace(/ae|oe/g, "e")
    .replace(/(.)\1/g, "$1")
    .replace(/\s+/g, " ")
    .trim();
}

/** Makes the search for these sheets. Each sheet is met once, by its nearest name, the nearest sheet first. */
export function nameSearch(sheets: readonly Sheet[]): NameSearch {
  const named = sheets.flatMap(({ id, names }) => {
    const as = (kind: NameKind) => (name: string) => ({ sheet: id, name, kind, plain: plainName(name) });
    return [
      as("scientific")(names.scientific),
      as("common")(names.common),
      ...names.also.map(as("also")),
      ...names.synonyms.map(as("synonym")),
    ] satisfies Named[];
  });
  const fuse = new Fuse<Named>(named, {
    keys: ["plain"],
    includeScore: true,
    ignoreLocation: true,
    threshold: UNLIKE_AT_MOST,
    minMatchCharLength: SHORTEST,
  });
  return (query, limit = MATCHES) => {
    const plain = plainName(query);
    if (plain.length < SHORTEST) return [];
    const nearest = new Map<string, NameMatch>();
    for (const { item, score = 0 } of fuse.search(plain)) {
      const distance = nearness(score, plain, item.plain);
      const known = nearest.get(item.sheet);
      if (known === undefined || distance < known.distance)
        nearest.set(item.sheet, { sheet: item.sheet, name: item.name, kind: item.kind, distance });
    }
    return [...nearest.values()]
      .sort((one, other) => one.distance - other.distance || (one.sheet < other.sheet ? -1 : 1))
      .slice(0, limit);
  };
}

/** A name that begins as the query does is nearer than one that holds it somewhere; a like length decides the rest. */
function nearness(score: number, query: string, name: string): number {
  const begins = name.startsWith(query) ? 0 : 0.1;
  const lengths = Math.abs(name.length - query.length) / Math.max(name.length, query.length);
  return Math.min(1, score * 0.7 + begins + lengths * 0.2);
}
