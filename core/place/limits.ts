/** What places ask a day, against what is carried: by where it stood, whatever the place was called then. */
import type { Carried } from "../decide/basket.ts";
import { countLimits, type LimitState } from "../decide/basket.ts";
import { isInside, type KeptPlace } from "./inside.ts";

/** Where a find stood, as its record tells it. */
export interface Stood {
  readonly lat?: number | undefined;
  readonly lon?: number | undefined;
  readonly name?: string | undefined;
}

/** A limit of a place, as it stands. */
export interface PlaceLimit {
  readonly place: string;
  readonly state: LimitState;
}

/**
 * The limits of all places. A body counts to every place in which it stood, to the wood as well as to the bank within it; one
 * without a position to the place of that name.
 * @param carried of one day @param stoodOf where a find stood; undefined where that is not known
 */
export function placeLimits(
  carried: readonly Carried[],
  places: readonly KeptPlace[],
  stoodOf: (find: string) => Stood | undefined,
): readonly PlaceLimit[] {
  return places.flatMap(({ id, content }) => {
    const { limits = [], name } = content;
    if (limits.length === 0) return [];
    const own = carried.filter((one) => {
      const { lat, lon, name: told } = stoodOf(one.find) ?? { name: one.place };
      const isThere = lat !== undefined && lon !== undefined && isInside({ lat, lon }, content);
      return isThere || told === name;
    });
    return countLimits(own, limits).map((state) => ({ place: id, state }));
  });
}
