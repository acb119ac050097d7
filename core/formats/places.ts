/** How exactly a find's place goes along: as it is, rounded to a grid, or left out. */
import type { Find, Place } from "../find/schema.ts";

export const PLACE_KINDS = ["exact", "1km", "10km", "none"] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

const KM_PER_DEGREE = 111.32;
const GRID_KM: Readonly<Record<"1km" | "10km", number>> = { "1km": 1, "10km": 10 };
/** Half the diagonal of a grid's square, as a share of its side. */
const HALF_DIAGONAL = Math.SQRT1_2;

/**
 * The find with its place as it may go along. A rounded place is the middle of its square, with the uncertainty that
 * comes of it; height and the place's name would point at it again and are left out. The region stays: the judgement
 * needs it, and it is a part of the world.
 */
export function withPlace(find: Find, kind: PlaceKind): Find {
  if (kind === "exact" || find.place === undefined) return find;
  const { place, ...rest } = find;
  const rounded = kind === "none" ? regionOnly(place) : onGrid(place, GRID_KM[kind]);
  return rounded === undefined ? rest : { ...rest, place: rounded };
}

function regionOnly({ region }: Place): Place | undefined {
  return region === undefined ? undefined : { region };
}

function onGrid({ lat, lon, accuracyM, region }: Place, km: number): Place | undefined {
  if (lat === undefined || lon === undefined) return regionOnly({ region });
  return { ...roundedTo(lat, lon, km, accuracyM), ...(region === undefined ? {} : { region }) };
}

/** A position on the grid: the middle of its square, and how far off that may be. */
export const roundedPosition = (lat: number, lon: number, grid: "1km" | "10km"): RoundedPosition =>
  roundedTo(lat, lon, GRID_KM[grid], undefined);

/** A rounded position; the accuracy, m, tells how far off it may be. */
export interface RoundedPosition {
  readonly lat: number;
  readonly lon: number;
  readonly accuracyM: number;
}

function roundedTo(lat: number, lon: number, km: number, accuracyM: number | undefined): RoundedPosition {
  const latStep = km / KM_PER_DEGREE;
  const middleLat = Math.max(-90, Math.min(90, (Math.floor(lat / latStep) + 0.5) * latStep));
  // near the poles a degree of longitude is short: the square is widened and never split finer than a degree
  const lonStep = Math.min(360, km / (KM_PER_DEGREE * Math.max(Math.cos((middleLat * Math.PI) / 180), 0.01)));
  const middleLon = Math.max(-180, Math.min(180, (Math.floor(lon / lonStep) + 0.5) * lonStep));
  const uncertain = Math.max(accuracyM ?? 0, Math.ceil(km * 1000 * HALF_DIAGONAL));
  return {
    lat: Number(middleLat.toFixed(4)),
    lon: Number(middleLon.toFixed(4)),
    accuracyM: uncertain,
  };
}
