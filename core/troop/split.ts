/** Two kinds in one record: the second is given a find of its own. */
import type { Change } from "../find/changes.ts";
import { type Body, type Find, findSchema } from "../find/schema.ts";
import { cutText } from "../find/text.ts";

/** The new find, and the changes that take its bodies out of the old one. */
export interface Split {
  readonly apart: Find;
  readonly changes: readonly Change[];
}

const NEIGHBOUR = "note:another kind stood among these";

/**
 * Splits bodies off a find. Ground, weather, place, rules and observers are those of both; each is told of the other,
 * since two kinds that grow together are easily mixed again. Ids keep their letters.
 * @param id the new find's id, made by the caller
 * @throws never; undefined where nothing or everything would be split off, or a body is not of the find
 */
export function splitOff(find: Find, bodies: readonly string[], id: string): Split | undefined {
  const goes = new Set(bodies);
  const going = find.bodies.filter((body) => goes.has(body.id));
  const staying = find.bodies.filter((body) => !goes.has(body.id));
  if (going.length === 0 || staying.length === 0 || going.length !== goes.size) return undefined;
  const neighbours = [...new Set([...(find.site?.neighbours ?? []), NEIGHBOUR])];
  const { takenFor: _takenFor, ...shared } = find;
  const apart = findSchema.parse({
    ...shared,
    id,
    label: cutText(`${find.label ?? "find"}, the other kind`, LABEL_LENGTH),
    site: { ...find.site, neighbours },
    bodies: going.map((body) => withoutLink(body, goes)),
  });
  const staysWith = new Set(staying.map((body) => body.id));
  return {
    apart,
    changes: [
      ...staying
        .filter((body) => body.sameAs !== undefined && !staysWith.has(body.sameAs))
        .map((body): Change => ({ kind: "set-body", body: body.id, field: "sameAs", value: null })),
      ...going.map((body): Change => ({ kind: "remove-body", body: body.id })),
      { kind: "set-site", field: "neighbours", value: neighbours },
    ],
  };
}

const LABEL_LENGTH = 200;

/** A body that was a second look at one that goes elsewhere stands by itself. */
function withoutLink(body: Body, here: ReadonlySet<string>): Body {
  const { sameAs, ...rest } = body;
  return sameAs === undefined || here.has(sameAs) ? body : rest;
}
