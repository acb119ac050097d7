/** A day worked out: what each place may bring, and the round that is worth most. */
import {
  type DayLook,
  dayOfYear,
  fitsGround,
  isClosedIn,
  isDirty,
  type KeptPlace,
  likelyKinds,
  lookOf,
  MOST_STATIONS,
  metresBetween,
  middleOf,
  minutesFor,
  monthOf,
  monthsIn,
  priorOf,
  type Round,
  type Scene,
  skyDaysOf,
  type WayToGo,
} from "@jittery-cap/core/season";
import type { SeasonWorker, ToldKind } from "../season/season.worker.ts";
import type { ToldSky } from "../season/sky.ts";
import type { Season } from "../season/use-season.ts";

/** What of the season a plan rests on. */
export type PlannedSeason = Pick<Season, "places" | "visits" | "sheets" | "sheetOf">;

/** What the person asks of the day. */
export interface PlanAsked {
  readonly day: string;
  readonly hours: number;
  readonly goesBy: WayToGo;
  readonly home: { readonly lat: number; readonly lon: number } | null;
  /** Places that are left out. */
  readonly without: ReadonlySet<string>;
}

export interface PlaceTold {
  readonly place: KeptPlace;
  readonly kinds: readonly ToldKind[];
  /** Finds of sought kinds an hour may bring, all kinds together. */
  readonly anHour: number;
  /** Minutes of searching that are planned there. */
  readonly minutes: number;
  readonly scene: Scene;
}

export interface Plan {
  readonly look: DayLook;
  readonly round: Round;
  /** In the order of the round, then what is not on it, best first. */
  readonly stops: readonly PlaceTold[];
  readonly others: readonly PlaceTold[];
  readonly ways: readonly (readonly number[])[];
  readonly closed: readonly KeptPlace[];
}

/** Minutes at a place, where one's own visits tell nothing. */
const USUAL_MIN = 60;
const MOST_KINDS = 24;

/** How long one is used to search there: the middle of own visits. */
function usualMinutes(season: PlannedSeason, place: string): number {
  const own = season.visits
    .filter((visit) => visit.place === place)
    .map(({ hours }) => hours * 60)
    .sort((one, other) => one - other);
  return own.length === 0 ? USUAL_MIN : Math.round((own[Math.floor(own.length / 2)] ?? USUAL_MIN) / 5) * 5;
}

export function sceneOf({ content }: KeptPlace, day: string): Scene {
  const { region, habitat, host, substrate } = content;
  return { ofYear: dayOfYear(day), region, habitat, host, substrate };
}

/** The kinds that are asked about at a place: those that may stand there then, and those once found there. */
export function kindsAt(season: PlannedSeason, place: KeptPlace, scene: Scene, day: string) {
  const found = new Set(
    season.visits.filter((visit) => visit.place === place.id).flatMap(({ finds }) => [...finds.keys()]),
  );
  const likely = likelyKinds(season.sheets, scene);
  const asked = new Map(likely.map((sheet) => [sheet.id, sheet]));
  for (const id of found) {
    const sheet = season.sheetOf(id);
    if (sheet !== undefined && (sheet.tier === "edible" || sheet.tier === "conditional")) asked.set(id, sheet);
  }
  return [...asked.values()]
    .sort((one, other) => Number(found.has(other.id)) - Number(found.has(one.id)))
    .slice(0, MOST_KINDS)
    .map((sheet) => ({
      kind: sheet.id,
      prior: priorOf(dayOfYear(day), monthsIn(sheet, scene.region), fitsGround(sheet, scene)),
    }));
}

/** Who works the numbers out: the season's thread. */
export interface Reckoner {
  readonly forecasts: (
    ...asked: Parameters<SeasonWorker["forecasts"]>
  ) => Promise<ReturnType<SeasonWorker["forecasts"]>>;
  readonly round: (...asked: Parameters<SeasonWorker["round"]>) => Promise<Round>;
}

/** The plan of a day. What is closed that month or left out is not on it; what is unclean is worth no way. */
export async function planOf(
  season: PlannedSeason,
  sky: Pick<ToldSky, "days"> | undefined,
  asked: PlanAsked,
  reckoner: Reckoner,
): Promise<Plan> {
  const look = lookOf(asked.day, skyDaysOf(sky?.days ?? []));
  const month = monthOf(asked.day);
  const closed = season.places.filter(({ content }) => isClosedIn(content, month));
  const open = season.places.filter((place) => !closed.includes(place) && !asked.without.has(place.id));
  const scenes = open.map((place) => sceneOf(place, asked.day));
  const told = await reckoner.forecasts(
    look,
    open.map((place, index) => ({
      place: place.id,
      visits: season.visits.filter((visit) => visit.place === place.id),
      kinds: kindsAt(season, place, scenes[index] ?? { ofYear: look.ofYear }, asked.day),
    })),
  );
  const all = open
    .map((place, index): PlaceTold => {
      // the kinds that were ever met there carry a place; what only might stand there is named and weighs little
      const kinds = told
        .filter((one) => one.place === place.id)
        .sort((one, other) => known(other) - known(one) || other.mean - one.mean);
      return {
        place,
        kinds,
        anHour: kinds.reduce((sum, one) => sum + (known(one) > 0 ? one.mean : one.mean * UNMET), 0),
        minutes: usualMinutes(season, place.id),
        scene: scenes[index] ?? { ofYear: look.ofYear },
      };
    })
    .sort((one, other) => other.anHour - one.anHour);
  const standing = all.filter(({ place }) => middleOf(place.content) !== undefined).slice(0, MOST_STATIONS);
  const points = [asked.home, ...standing.map(({ place }) => middleOf(place.content) ?? null)];
  const ways = points.map((one) =>
    points.map((other) => (one === null || other === null ? 0 : minutesFor(metresBetween(one, other), asked.goesBy))),
  );
  const stations = standing.map(({ place, anHour, minutes }) => ({
    minutes,
    worth: isDirty(place.content) ? 0 : (anHour * minutes) / 60,
  }));
  const round = await reckoner.round(stations, ways, asked.hours * 60);
  const stops = round.order.flatMap((one) => standing[one] ?? []);
  return { look, round, ways, closed, stops, others: all.filter((one) => !stops.includes(one)) };
}

/** Whether a kind was ever met there, on whatever day. */
export const wasMet = (season: PlannedSeason, place: string, kind: string): boolean =>
  season.visits.some((visit) => visit.place === place && (visit.finds.get(kind) ?? 0) > 0);

/** Met there on days like this one. */
const known = ({ restsOn }: ToldKind): number => restsOn.reduce((sum, { found, alike }) => sum + found * alike, 0);
/** What was never met at a place is worth so much of what the months alone would say. */
const UNMET = 0.1;
