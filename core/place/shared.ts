/** A place as it goes to others: rounded as its owner says, or without any position; by itself it points at nothing. */
import { roundedPosition } from "../formats/places.ts";
import { middleOf } from "./inside.ts";
import type { OwnPlace } from "./place.ts";

/** What somebody else is shown of a place. */
export interface SharedPlace {
  /** The name that its owner gives it for others. */
  readonly name: string;
  readonly region?: OwnPlace["region"];
  /** The middle of a square of the grid, and how far off the place may be, m. */
  readonly position?: { readonly lat: number; readonly lon: number; readonly accuracyM: number };
  readonly outline?: OwnPlace["outline"];
  readonly habitat?: OwnPlace["habitat"];
  readonly host?: OwnPlace["host"];
  readonly substrate?: OwnPlace["substrate"];
  readonly concerns?: OwnPlace["concerns"];
}

/**
 * The place for others. Patches, the owner of the land, notes, rules, its history and its height stay at home whatever is said of
 * the position: each of them points at it. Its own name stays too, unless it is given as it is.
 * @param name what others call it
 */
export function sharedPlace(place: OwnPlace, name: string): SharedPlace {
  const { region, habitat, host, substrate, concerns, share } = place;
  const ground = {
    ...(habitat === undefined ? {} : { habitat }),
    ...(host === undefined ? {} : { host }),
    ...(substrate === undefined ? {} : { substrate }),
    ...(concerns === undefined ? {} : { concerns }),
    ...(region === undefined ? {} : { region }),
  };
  const middle = middleOf(place);
  if (share === "none" || middle === undefined) return { name, ...ground };
  if (share === "exact")
    return {
      name,
      ...ground,
      position: { lat: middle.lat, lon: middle.lon, accuracyM: middle.accuracyM ?? 0 },
      ...(place.outline === undefined ? {} : { outline: place.outline }),
    };
  return { name, ...ground, position: roundedPosition(middle.lat, middle.lon, share) };
}
