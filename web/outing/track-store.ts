/** The track of an outing on this device: each point is written when it comes, so that a reload or a flat battery costs the next one alone. */
import {
  type CleanTrack,
  cleanTrack,
  MOST_POINTS,
  simplified,
  type TrackPoint,
  trackPointSchema,
} from "@jittery-cap/core/season";
import { device } from "../documents/device.ts";
import { isReadable, keptAbout, listKept, together } from "../documents/documents.ts";
import { make } from "../documents/keep-fields.ts";

export async function keepPoint(outing: string, point: TrackPoint): Promise<void> {
  await device.track.add({ outing, point });
}

/** The points of an outing, in the order in which they came; what cannot be read is left out. */
export async function pointsOf(outing: string): Promise<readonly TrackPoint[]> {
  const rows = await device.track.where("outing").equals(outing).sortBy("order");
  const own = rows.flatMap(({ point }) => {
    const read = trackPointSchema.safeParse(point);
    return read.success ? [read.data] : [];
  });
  if (own.length > 0) return own;
  return (await keptAbout("track", outing)).flatMap(({ content }) => content.points);
}

/** The latest point of an outing, where there is one. */
export async function lastPoint(outing: string): Promise<TrackPoint | undefined> {
  const row = await device.track.where("outing").equals(outing).last();
  const read = trackPointSchema.safeParse(row?.point);
  return read.success ? read.data : undefined;
}

export const trackOf = async (outing: string): Promise<CleanTrack> => cleanTrack(await pointsOf(outing));

/** Puts the track with the record, so that it goes where the record goes; thinned to what carries its line. @returns how many points */
export async function keepWithRecord(outing: string): Promise<number> {
  if ((await keptAbout("track", outing)).length > 0) return 0;
  const { legs } = await trackOf(outing);
  const points = legs.flatMap((leg) => simplified(leg));
  // all pieces or none: with one of them there, the rest would be taken for kept
  await together(async () => {
    for (let from = 0; from < points.length; from += MOST_POINTS)
      await make("track", { about: outing, points: points.slice(from, from + MOST_POINTS) });
  });
  return points.length;
}

/** Forgets the points of an outing on this device. */
export async function forgetTrack(outing: string): Promise<void> {
  await device.track.where("outing").equals(outing).delete();
}

/** Takes a track of a file in for an outing that is there. */
export async function takeInTrack(outing: string, points: readonly TrackPoint[]): Promise<void> {
  await device.track.bulkAdd(points.map((point) => ({ outing, point })));
}

/** The outings on this device, latest first. */
export const keptOutings = async () => (await listKept("outing", Number.POSITIVE_INFINITY)).filter(isReadable);
