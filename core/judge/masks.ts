/**
 * What hides what: time, weather and handling turn one state into another.
 *
 * A state that a kind can reach through a mask in force fits that kind.
 */
import type { CharacterId } from "../find/vocabulary.ts";
import type { MaskMoment, Sheet } from "../knowledge/sheet.ts";
import { type Conditions, isButton, isOld, WASHES, weathered, worn } from "./body-conditions.ts";
import type { Look } from "./looks.ts";
import { MASKS, type Mask } from "./mask-table.ts";

const MASKS_BY_CHARACTER = new Map<CharacterId, readonly Mask[]>();
for (const mask of MASKS)
  for (const character of mask.characters)
    MASKS_BY_CHARACTER.set(character, [...(MASKS_BY_CHARACTER.get(character) ?? []), mask]);

const IN_FORCE = new WeakMap<Conditions, Map<Look, readonly Mask[]>>();

/** The masks in force on one look; a look at the site has none. Worked out once for all sheets. */
export function masksInForce(look: Look, conditions: Conditions | undefined): readonly Mask[] {
  if (conditions === undefined) return [];
  const known = IN_FORCE.get(conditions) ?? new Map<Look, readonly Mask[]>();
  IN_FORCE.set(conditions, known);
  const before = known.get(look);
  if (before !== undefined) return before;
  const masks = (MASKS_BY_CHARACTER.get(look.character) ?? []).filter((mask) => mask.inForce(conditions, look));
  known.set(look, masks);
  return masks;
}

/** What puts a sheet's own mask in force. */
const MOMENTS: Readonly<Record<MaskMoment, (c: Conditions) => boolean>> = {
  always: () => true,
  button: isButton,
  mature: (c) => c.age === undefined || c.age === "mature",
  old: isOld,
  wear: (c) => worn(c, ...WASHES),
  rain: (c) => c.rain,
  weathered,
  frost: (c) => c.frost || c.wear.has("frozen"),
  drought: (c) => c.drought || c.wear.has("dried-out"),
  cold: (c) => c.cold,
  stale: (c) => c.stale,
};

const OWN = new WeakMap<Sheet, readonly Mask[]>();

/** The masks that a sheet has of its own and that are in force on one look. */
export function ownMasksInForce(sheet: Sheet, look: Look, conditions: Conditions | undefined): readonly Mask[] {
  if (conditions === undefined || sheet.masks.length === 0) return [];
  let own = OWN.get(sheet);
  if (own === undefined) {
    own = sheet.masks.map(({ when, from, to, lift, ...mask }, index): Mask => {
      const moments = when.map((moment) => MOMENTS[moment]);
      return {
        ...mask,
        ...(from === undefined ? {} : { from }),
        ...(to === undefined ? {} : { to }),
        ...(lift === undefined ? {} : { lift }),
        id: `${sheet.id}-${index + 1}`,
        inForce: (now) => moments.some((holds) => holds(now)),
      };
    });
    OWN.set(sheet, own);
  }
  return own.filter((mask) => mask.characters.includes(look.character) && mask.inForce(conditions, look));
}

/** Whether a mask can make a true state look like the one observed. */
export function canHide(mask: Mask, truth: string, observed: string): boolean {
  return (
    (mask.from === undefined || mask.from.includes(truth)) && (mask.to === undefined || mask.to.includes(observed))
  );
}

/**
 * Whether a mask in force could have made this look out of another truth: then it proves no must.
 * @param atItsAge for what is asked of the body's very age: what hides by that age alone does not count
 */
export function isHidden(look: Look, conditions: Conditions | undefined, atItsAge = false): boolean {
  return masksInForce(look, conditions).some(
    (mask) =>
      mask.provesMusts !== true &&
      !(atItsAge && mask.ofAge === true) &&
      (mask.to === undefined || look.states.some((state) => mask.to?.includes(state))),
  );
}
