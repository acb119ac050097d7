/** Finds as documents. */
import { draftChange } from "../../find/apply-change.ts";
import { changesBetween } from "../../find/between.ts";
import { canonicalFind, canonicalJson } from "../../find/canonical.ts";
import { type Change, changeSchema, reachOf } from "../../find/changes.ts";
import { FIND_VERSION, type Find, findSchema } from "../../find/schema.ts";
import { putTogether } from "../../merge/put-together.ts";
import type { DocumentKind } from "../kind.ts";

export const findKind: DocumentKind<Find, Change> = {
  kind: "find",
  version: FIND_VERSION,
  schema: findSchema,
  changes: changeSchema,
  upgrades: [],
  canArchive: true,
  canonical: canonicalFind,
  draft: draftChange,
  reach: reachOf,
  // whether the union permits no more than either is the judge's to say, before it is offered to anybody
  merge: (base, mine, theirs) => {
    const before = base === undefined ? undefined : canonicalJson(canonicalFind(base));
    if (before === canonicalJson(canonicalFind(mine))) return theirs;
    if (before === canonicalJson(canonicalFind(theirs))) return mine;
    return putTogether(mine, theirs, "unsure");
  },
  between: changesBetween,
  listed: (find) => ({ at: find.foundAt }),
};
