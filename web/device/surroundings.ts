/** What is around the person: the weather from the station, the position from the device or from a simulated walk. */
import { type Change, type StationWeather, setChange } from "@jittery-cap/core";
import { ROUTES } from "@jittery-cap/core/api";
import { ask, valueOrNothing } from "../api/client.ts";

/** What the station said, or why it said nothing. */
export type StationAnswer =
  | { readonly kind: "told"; readonly station: string; readonly simulated: boolean; readonly weather: StationWeather }
  | { readonly kind: "silent"; readonly text: string };

/** Asks the station about a moment. */
export async function askStation(at: string): Promise<StationAnswer> {
  const outcome = await ask(ROUTES.readWeather, { query: { at: new Date(at).toISOString() } });
  if (outcome.kind === "ok") return { kind: "told", ...outcome.value };
  return { kind: "silent", text: outcome.kind === "refused" ? outcome.problem.detail : stationAway(outcome.text) };
}

/** Where nobody answers, what can be done instead is said. */
const stationAway = (text: string): string => (/by hand/.test(text) ? text : `${text} Enter the weather by hand.`);

/** The changes that take a station's weather into the record. */
export function weatherChanges(weather: StationWeather): readonly Change[] {
  return (["frostLastNight", "airTempC", "rain24hMm", "drySpellDays"] as const).flatMap((field): Change[] => {
    const value = weather[field];
    return value === undefined ? [] : [setChange({ kind: "set-weather" }, field, value)];
  });
}

/** A position with its accuracy, m. */
export interface Position {
  readonly lat: number;
  readonly lon: number;
  readonly accuracyM?: number | undefined;
  readonly elevationM?: number | undefined;
}

const WITHIN_MS = 15_000;
/** Decimals of a degree that are kept: six are about a decimetre. */
const DECIMALS = 6;

/** Where the device says it is, or why it does not say. */
export function devicePosition(): Promise<Position | string> {
  if (!("geolocation" in navigator)) return Promise.resolve("This device has no receiver.");
  return new Promise((resolve) => {
    navigator.geolocation.getCurrentPosition(
      ({ coords }) =>
        resolve({
          lat: Number(coords.latitude.toFixed(DECIMALS)),
          lon: Number(coords.longitude.toFixed(DECIMALS)),
          accuracyM: Math.round(coords.accuracy),
          ...(coords.altitude === null ? {} : { elevationM: Math.round(coords.altitude) }),
        }),
      (error) =>
        resolve(error.code === error.PERMISSION_DENIED ? "The device was not allowed to say." : "No position yet."),
      { enableHighAccuracy: true, timeout: WITHIN_MS, maximumAge: 0 },
    );
  });
}

/** Where the simulated walk is. */
export async function simulatedPosition(at: Date): Promise<Position | string> {
  const told = await valueOrNothing(ROUTES.simulatedPosition, { query: { at: at.toISOString() } });
  if (told === undefined) return "The simulated walk cannot be reached.";
  const { lat, lon, accuracyM, elevationM } = told;
  return { lat, lon, accuracyM, elevationM };
}

const POSITION_FIELDS = ["lat", "lon", "accuracyM", "elevationM"] as const;

/** The changes that take a position into the record, or out of it for undefined. */
export function positionChanges(position: Position | undefined): readonly Change[] {
  return POSITION_FIELDS.map((field) => ({ kind: "set-place", field, value: position?.[field] ?? null }));
}
