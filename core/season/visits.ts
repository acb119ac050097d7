/** Own visits, out of outings and finds: where, when, how long, and how many of what. */
import type { KeptOuting } from "../outing/attach.ts";
import { outingFinder, searchOf } from "../outing/attach.ts";
import { endOf, minutesOf } from "../outing/outing.ts";
import { type KeptPlace, placeOfFind } from "../place/inside.ts";
import type { Position } from "../place/place.ts";
import { dayOfYear } from "./day-of-year.ts";
import type { Visit } from "./forecast.ts";

/** What of a find the season counts. */
export interface FoundThere {
  readonly id: string;
  /** Milliseconds. */
  readonly at: number;
  readonly where?:
    | { readonly lat?: number | undefined; readonly lon?: number | undefined; readonly name?: string | undefined }
    | undefined;
  /** The kind for which it counts; undefined for what has no name. */
  readonly kind: string | undefined;
}

/** A visit that was shorter says nothing, minutes; and one counts for no longer. */
const SHORTEST_MIN = 2;
const LONGEST_MIN = 12 * 60;

/**
 * The visits of all outings. A search without a known place is a visit to nowhere and is left out; a find belongs to the search
 * of its outing at its own place, else to the one that was going on.
 * @param dayOf the day of a moment by the clock of the place
 */
export function visitsOf(
  outings: readonly KeptOuting[],
  finds: readonly FoundThere[],
  places: readonly KeptPlace[],
  dayOf: (moment: number) => string,
): readonly Visit[] {
  const outingOf = outingFinder(outings);
  const counts = new Map<string, Map<string, number>>();
  for (const find of finds) {
    if (find.kind === undefined) continue;
    const position = positionOf(find.where);
    const outing = outingOf({ at: find.at, position });
    if (outing === undefined) continue;
    const there = placeOfFind(find.where, places)?.id;
    const search =
      (there === undefined ? undefined : nearestAt(outing, there, find.at)) ?? searchOf(outing.content, find.at);
    if (search === undefined) continue;
    const own = counts.get(search.id) ?? new Map<string, number>();
    own.set(find.kind, (own.get(find.kind) ?? 0) + 1);
    counts.set(search.id, own);
  }
  return outings.flatMap(({ content }) =>
    content.searches.flatMap((search): Visit[] => {
      // of an outing that nobody ended nobody knows how long was searched
      if (search.minutes === undefined && search.to === undefined && content.endedAt === undefined) return [];
      const minutes = minutesOf(search, endOf(content));
      if (search.place === undefined || minutes < SHORTEST_MIN) return [];
      const day = dayOf(Date.parse(search.from));
      return [
        {
          id: search.id,
          place: search.place,
          day,
          look: { ofYear: dayOfYear(day), sky: content.sky },
          hours: Math.min(LONGEST_MIN, minutes) / 60,
          finds: counts.get(search.id) ?? new Map(),
        },
      ];
    }),
  );
}

const nearestAt = ({ content }: KeptOuting, place: string, at: number) =>
  content.searches
    .filter((search) => search.place === place)
    .sort((one, other) => Math.abs(Date.parse(one.from) - at) - Math.abs(Date.parse(other.from) - at))[0];

const positionOf = (place: FoundThere["where"]): Position | undefined =>
  place?.lat === undefined || place.lon === undefined ? undefined : { lat: place.lat, lon: place.lon };
