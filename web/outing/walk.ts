/** Where somebody is, again and again: from the device's receiver, or along a walk that nobody takes. */
import type { TrackPoint } from "@jittery-cap/core/season";
import { trackAt } from "../../stand-ins/track.ts";

/** From where the track comes; none: nobody wants one. */
export const TRACK_SOURCES = ["device", "simulated", "none"] as const;
export type TrackSource = (typeof TRACK_SOURCES)[number];

const EVERY_MS = 5000;
const DECIMALS = 6;

/** Follows until it is told to stop. @param onPoint each position as it comes @param onSilent why none comes */
export function followWalk(
  source: TrackSource,
  onPoint: (point: TrackPoint) => void,
  onSilent: (why: string) => void,
): () => void {
  if (source === "none") return () => undefined;
  if (source === "simulated") {
    const tell = () => onPoint(simulatedPoint(new Date()));
    tell();
    const timer = setInterval(tell, EVERY_MS);
    return () => clearInterval(timer);
  }
  if (!("geolocation" in navigator)) {
    onSilent("This device has no receiver.");
    return () => undefined;
  }
  const watch = navigator.geolocation.watchPosition(
    ({ coords, timestamp }) =>
      onPoint({
        at: new Date(timestamp).toISOString(),
        lat: Number(coords.latitude.toFixed(DECIMALS)),
        lon: Number(coords.longitude.toFixed(DECIMALS)),
        accuracyM: Math.round(coords.accuracy),
        ...(coords.altitude === null ? {} : { elevationM: Math.round(coords.altitude) }),
      }),
    (error) =>
      onSilent(
        error.code === error.PERMISSION_DENIED ? "The device was not allowed to say where it is." : "No position yet.",
      ),
    { enableHighAccuracy: true, maximumAge: 5000 },
  );
  return () => navigator.geolocation.clearWatch(watch);
}

/** A point of the walk that nobody takes. */
export function simulatedPoint(at: Date): TrackPoint {
  const { lat, lon, accuracyM, elevationM } = trackAt(at);
  return { at: at.toISOString(), lat, lon, accuracyM, elevationM };
}
