/** What a file brings: finds that are here already, finds that differ from those here, and new ones. */
import { canonicalJson, differences, type Find } from "@jittery-cap/core";

/** One find of a file, beside what is here under its id. */
export type Incoming =
  | { readonly kind: "new"; readonly find: Find }
  | { readonly kind: "same"; readonly find: Find; readonly here: Find }
  | {
      readonly kind: "changed";
      readonly find: Find;
      readonly here: Find;
      readonly lines: ReturnType<typeof differences>;
    };

/**
 * A record without what a file never brings along: rules are the person's own, an ending is worked out anew, and a place may
 * have been left out or rounded when the file was written.
 */
function bare({ rules: _rules, place: _place, ...find }: Find): unknown {
  return { ...find, bodies: find.bodies.map(({ ending: _ending, ...body }) => body) };
}

/** @param here the find under an id on this device, if there is one */
export function sortOut(finds: readonly Find[], here: (id: string) => Find | undefined): readonly Incoming[] {
  return finds.map((find): Incoming => {
    const known = here(find.id);
    if (known === undefined) return { kind: "new", find };
    if (canonicalJson(bare(find)) === canonicalJson(bare(known))) return { kind: "same", find, here: known };
    return { kind: "changed", find, here: known, lines: differences(known, find) };
  });
}
