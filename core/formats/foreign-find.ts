/** A point of another program as a find: where, when, a name, and one body that nobody has looked at. */
import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex } from "@noble/hashes/utils.js";
import { canonicalJson } from "../find/canonical.ts";
import { type Parsed, parseFind } from "../find/parse.ts";
import type { Find } from "../find/schema.ts";
import { cutText } from "../find/text.ts";

/** What such a point may tell. */
export interface ForeignPoint {
  readonly id: string | undefined;
  readonly lat: number | undefined;
  readonly lon: number | undefined;
  readonly elevationM?: number | undefined;
  readonly accuracyM?: number | undefined;
  readonly name?: string | undefined;
  readonly note?: string | undefined;
  readonly at?: string | undefined;
  readonly age?: string | undefined;
}

const IDENTIFIER = /^[A-Za-z0-9][A-Za-z0-9._-]{0,63}$/;
const ID_LENGTH = 24;
const LABEL_LENGTH = 200;
const NOTE_LENGTH = 4000;

/** The find of a point; the same point gives the same id, so that it is not doubled when it is read again. */
export function foreignFind(point: ForeignPoint): Parsed<Find> {
  const { id, lat, lon, elevationM, accuracyM, name, note, at, age } = point;
  const place = { lat, lon, elevationM, accuracyM };
  const made = `point-${bytesToHex(sha256(new TextEncoder().encode(canonicalJson(point)))).slice(0, ID_LENGTH)}`;
  const known = at === undefined || Number.isNaN(Date.parse(at)) ? undefined : at;
  return parseFind(
    JSON.parse(
      JSON.stringify({
        format: "jittery-cap/find",
        version: 1,
        id: id !== undefined && IDENTIFIER.test(id) ? id : made,
        label: name === undefined ? undefined : cutText(name, LABEL_LENGTH),
        note: note === undefined ? undefined : cutText(note, NOTE_LENGTH),
        foundAt: known !== undefined && /T\d\d:\d\d/.test(known) ? known : undefined,
        ...(lat === undefined ? {} : { place }),
        bodies: [{ id: "A", lifted: "standing", age }],
      }),
    ),
  );
}
