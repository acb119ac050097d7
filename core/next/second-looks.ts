/**
 * Second looks at what a danger never shows: seen on two bodies, or by the gills and in the print, it counts as two
 * mistakes. A test may bring such a second look for the body that it is done on, and for another that showed it first.
 */

import type { BodyWeighing } from "../judge/distance.ts";
import { familyBit, familyBitOf } from "../judge/families.ts";
import { NEVER } from "../judge/weigh.ts";
import { type Against, HITS_NEVER, type Option } from "./options.ts";

/** The bit that a family's second look counts under, beside the family's own. */
export const secondBit = (families: number): number => families << 16;

/** One expected result with the rows against which it would be a second look; 0 or HITS_NEVER a row. */
export interface SecondLook {
  readonly against: number;
  readonly family: number;
  readonly hits: Uint8Array;
}

/** The second looks that an option would bring for one body. */
export function secondLooksFor(
  option: Option,
  body: BodyWeighing,
  weighed: readonly BodyWeighing[],
): readonly SecondLook[] {
  return option.against.flatMap((result, against): SecondLook[] => {
    if (!result.never) return [];
    const firsts = firstLooks(option, result, body, weighed);
    if (firsts.length === 0) return [];
    const hits = result.hits.map((hit, row) =>
      hit === HITS_NEVER && firsts.some((weighing) => weighing[row] === NEVER) ? HITS_NEVER : 0,
    );
    return hits.some((hit) => hit > 0) ? [{ against, family: secondBit(result.family), hits }] : [];
  });
}

/**
 * The sure looks that the result would be a second one to: on the body itself any of the same family, on another body
 * the same character. A result of the site has no other body to be seen on.
 */
function firstLooks(
  { body: on }: Option,
  { character, family }: Against,
  body: BodyWeighing,
  weighed: readonly BodyWeighing[],
): readonly Uint8Array[] {
  // a second smell is another person's, and no test brings that
  if (family === familyBit("smell")) return [];
  const own = body.looks.filter(({ look }) => look.sure);
  const same = (one: (typeof own)[number]) => one.look.character === character && one.at !== undefined;
  const isOwn = on === undefined || on.body.id === body.body.body.id;
  const firsts = isOwn
    ? [
        ...own.filter(({ look }) => look.character !== character && familyBitOf(look.character) === family),
        ...weighed.flatMap((other) => (other === body ? [] : other.looks.filter((one) => one.look.sure && same(one)))),
      ]
    : own.filter(same);
  return firsts.map(({ weighing }) => weighing);
}
