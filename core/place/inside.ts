/** Where a position lies: in which place, and how far from another. Areas and distances are those of the sphere (turf). */
import { area } from "@turf/area";
import { booleanPointInPolygon } from "@turf/boolean-point-in-polygon";
import { distance } from "@turf/distance";
import type { OwnPlace, Position } from "./place.ts";

/** A place as it is kept. */
export interface KeptPlace {
  readonly id: string;
  readonly content: OwnPlace;
}

/** A place that is a point alone reaches so far, m. */
export const REACH_M = 250;

/** Metres between two positions. */
export const metresBetween = (one: Position, other: Position): number =>
  distance([one.lon, one.lat], [other.lon, other.lat], { units: "meters" });

const polygonOf = (outline: NonNullable<OwnPlace["outline"]>) => {
  const [first] = outline;
  return {
    type: "Polygon" as const,
    coordinates: [[...outline.map((corner) => [...corner]), ...(first === undefined ? [] : [[...first]])]],
  };
};

/** Square metres of a place; of a point as far as it reaches. */
export const squareMetresOf = ({ outline }: Pick<OwnPlace, "outline">): number =>
  outline === undefined ? Math.PI * REACH_M ** 2 : area(polygonOf(outline));

/** Where a place is told to be: its point, else the middle of its corners. */
export function middleOf({ position, outline }: Pick<OwnPlace, "position" | "outline">): Position | undefined {
  if (position !== undefined) return position;
  if (outline === undefined) return undefined;
  // longitudes are counted from the first corner: a place across the date line has its middle there too
  const [from] = outline;
  if (from === undefined) return undefined;
  const near = (lon: number) => (lon - from[0] > 180 ? lon - 360 : lon - from[0] < -180 ? lon + 360 : lon);
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const lon = mean(outline.map(([one]) => near(one)));
  return { lat: mean(outline.map(([, one]) => one)), lon: lon > 180 ? lon - 360 : lon < -180 ? lon + 360 : lon };
}

/** Whether a position lies in a place. */
export function isInside(position: Position, place: Pick<OwnPlace, "position" | "outline">): boolean {
  if (place.outline !== undefined) return booleanPointInPolygon([position.lon, position.lat], polygonOf(place.outline));
  return place.position !== undefined && metresBetween(position, place.position) <= REACH_M;
}

/** The place in which a position lies: of several that overlap the smallest, which says most. */
export function placeAt(position: Position, places: readonly KeptPlace[]): KeptPlace | undefined {
  let [least, found]: [number, KeptPlace | undefined] = [Number.POSITIVE_INFINITY, undefined];
  for (const place of places) {
    if (!isInside(position, place.content)) continue;
    const size = squareMetresOf(place.content);
    if (size < least) [least, found] = [size, place];
  }
  return found;
}

/** The place of a find: by its position, else by the name that it tells. */
export function placeOfFind(
  told:
    | { readonly lat?: number | undefined; readonly lon?: number | undefined; readonly name?: string | undefined }
    | undefined,
  places: readonly KeptPlace[],
): KeptPlace | undefined {
  if (told === undefined) return undefined;
  const { lat, lon, name } = told;
  const at = lat === undefined || lon === undefined ? undefined : placeAt({ lat, lon }, places);
  return at ?? (name === undefined ? undefined : places.find(({ content }) => content.name === name));
}
