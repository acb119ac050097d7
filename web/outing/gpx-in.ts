/** A track of another receiver, taken in for an outing; read in the season's thread, so that nothing waits for it. */
import { askSeason } from "../season/season-worker.ts";
import { takeInTrack } from "./track-store.ts";

/** @returns what came of it, in words */
export async function takeInGpx(outing: string, file: File): Promise<string> {
  const text = await file.text();
  const read = await askSeason((remote) => remote.readTrack(text)).catch(() => undefined);
  if (read === undefined) return "The file could not be read here. Nothing was taken in.";
  if (read.faults.length > 0)
    return `Nothing was taken in: ${read.faults.map(({ path, message }) => `${path} ${message}`).join("; ")}.`;
  const points = read.segments.flat();
  if (points.length === 0) return `Nothing was taken in: none of its ${read.untimed} points has a time.`;
  await takeInTrack(outing, points);
  return `${points.length} points are here${read.untimed > 0 ? `; ${read.untimed} had no time and are left out` : ""}.`;
}
