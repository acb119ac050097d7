/** A track put right: positions in the order of their times, kept in legs; what a receiver gets wrong is left out and told. */
import { simplify } from "@turf/simplify";
import { metresBetween } from "../place/inside.ts";
import type { TrackPoint } from "./track-leg.ts";

/** A track put right. */
export interface CleanTrack {
  /** Pieces between which nothing is known. */
  readonly legs: readonly (readonly TrackPoint[])[];
  readonly metres: number;
  /** Points that were left out: of a clock that jumped back, or that nobody can have reached. */
  readonly leftOut: number;
}

/** Nobody moves faster, m/s: on foot or by bicycle in a wood, and by car on a road between two woods. */
const FASTEST = 45;
/** Longer without a point is a gap. */
const GAP_MS = 10 * 60_000;
/** Points worse than this, m, say nothing. */
const WORST_M = 200;

/**
 * Puts a track right. Points keep the order in which they came: one of which the time lies before the point before it is of a
 * clock that jumped, and begins a leg of its own where more follow from there.
 */
export function cleanTrack(points: readonly TrackPoint[]): CleanTrack {
  const legs: TrackPoint[][] = [];
  let metres = 0;
  let leftOut = 0;
  let last: { point: TrackPoint; at: number } | undefined;
  for (const point of points) {
    const at = Date.parse(point.at);
    if (Number.isNaN(at) || (point.accuracyM ?? 0) > WORST_M) {
      leftOut += 1;
      continue;
    }
    if (last === undefined || at < last.at || at - last.at > GAP_MS) legs.push([]);
    else {
      const way = metresBetween(last.point, point);
      if (way > FASTEST * Math.max(1, (at - last.at) / 1000)) {
        leftOut += 1;
        continue;
      }
      metres += way;
    }
    legs.at(-1)?.push(point);
    last = { point, at };
  }
  return { legs: legs.filter((leg) => leg.length > 0), metres, leftOut };
}

/** About a metre and a half, in degrees of latitude. */
const DEGREES_APART = 0.000015;

/** The points that carry the line of a leg (Douglas and Peucker 1973, by turf); first and last always stay. */
export function simplified(leg: readonly TrackPoint[], degrees = DEGREES_APART): readonly TrackPoint[] {
  if (leg.length < 3) return leg;
  const line = { type: "LineString" as const, coordinates: leg.map(({ lon, lat }) => [lon, lat]) };
  const { coordinates } = simplify(line, { tolerance: degrees, highQuality: true });
  const kept: TrackPoint[] = [];
  let from = 0;
  for (const [lon, lat] of coordinates) {
    const index = leg.findIndex((point, at) => at >= from && point.lon === lon && point.lat === lat);
    const point = leg[index];
    if (point === undefined) continue;
    kept.push(point);
    from = index + 1;
  }
  return kept;
}
