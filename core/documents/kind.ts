/** What a kept document is: its schema with version and upgrades, its typed changes, how it is merged and listed. */
import type { z } from "zod";
import { type Fault, type Parsed, parseWith } from "../find/parse.ts";
import type { Reach } from "../find/reach.ts";

/** The columns that a document is listed by. */
export interface Listed {
  /** The moment it is sorted by; left out, it stands last. */
  readonly at?: string | undefined;
  /** The find that it is about. */
  readonly about?: string | undefined;
}

/**
 * A kind of document.
 * @typeParam Content what is kept of one
 * @typeParam Change the changes of this kind; putting away and bringing back are of every kind that allows it
 */
export interface DocumentKind<Content, Change> {
  readonly kind: string;
  /** The version of the content's schema. */
  readonly version: number;
  readonly schema: z.ZodType<Content>;
  /** Left out where the content never changes. */
  readonly changes?: z.ZodType<Change> | undefined;
  /** Upgrades of old content: the one at place n makes version n + 2 of version n + 1. */
  readonly upgrades: readonly ((content: unknown) => unknown)[];
  /** Whether it can be put away and brought back. */
  readonly canArchive: boolean;
  /** One spelling for one content. */
  canonical(content: Content): Content;
  /** The content after a change, not yet looked through, with what takes the change back. */
  draft(content: Content, change: Change): Parsed<{ readonly content: unknown; readonly inverse: Change }>;
  /** How far a change reaches. */
  reach(change: Change): Reach;
  /**
   * What two devices made of one document, put together so that it permits no more than either.
   * @returns undefined where only a person can say
   */
  merge(base: Content | undefined, mine: Content, theirs: Content): Content | undefined;
  /** The changes that make one content of another; undefined where there are no such changes. */
  between(before: Content, after: Content): readonly Change[] | undefined;
  listed(content: Content): Listed;
}

/** Reads the content of a document that was kept under a version of its schema, perhaps an old one. */
export function readContent<Content, Change>(
  kind: DocumentKind<Content, Change>,
  content: unknown,
  version: number,
): Parsed<Content> {
  if (version > kind.version)
    return unreadable([
      { path: "version", message: `${version} is newer than this program, which reads ${kind.version}` },
    ]);
  if (version < 1) return unreadable([{ path: "version", message: `there is no version ${version}` }]);
  const upgraded = kind.upgrades.slice(version - 1).reduce((old, upgrade) => upgrade(old), content);
  return parseWith(kind.schema, upgraded);
}

const unreadable = (faults: readonly Fault[]): Parsed<never> => ({ ok: false, faults });
