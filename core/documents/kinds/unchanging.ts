/** What kinds of document have in common whose content never changes: they are made, and some can be put away. */
import type { z } from "zod";
import { canonicalJson } from "../../find/canonical.ts";
import type { DocumentKind, Listed } from "../kind.ts";

/** A kind whose documents are made once. */
export function unchangingKind<Content>(parts: {
  readonly kind: string;
  readonly schema: z.ZodType<Content>;
  readonly canArchive: boolean;
  readonly listed: (content: Content) => Listed;
}): DocumentKind<Content, never> {
  return {
    ...parts,
    version: 1,
    upgrades: [],
    canonical: (content) => content,
    draft: (_content, change) => change,
    reach: (change) => change,
    merge: (_base, mine, theirs) => (canonicalJson(mine) === canonicalJson(theirs) ? theirs : undefined),
    between: (before, after) => (canonicalJson(before) === canonicalJson(after) ? [] : undefined),
  };
}
