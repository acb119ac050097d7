/** What is around the person: the weather from the station, the position from the device or from a simulated walk. */
import type { Change, StationWeather } from "@jittery-cap/core";
import { z } from "zod";

const weatherSchema = z.object({
  station: z.string(),
  simulated: z.boolean(),
  at: z.string(),
  weather: z.object({
    frostLastNight: z.boolean().optional(),
    drySpellDays: z.number().optional(),
    rain24hMm: z.number().optional(),
    airTempC: z.number().optional(),
  }),
});

/** What the station said, or why it said nothing. */
export type StationAnswer =
  | { readonly kind: "told"; readonly station: string; readonly simulated: boolean; readonly weather: StationWeather }
  | { readonly kind: "silent"; readonly text: string };

/** Asks the station about a moment. */
export async function askStation(at: string): Promise<StationAnswer> {
  try {
    const response = await fetch(`/api/weather?${new URLSearchParams({ at: new Date(at).toISOString() })}`);
    const content: unknown = await response.json();
    const parsed = weatherSchema.safeParse(content);
    if (parsed.success) return { kind: "told", ...parsed.data };
    const problem = z.object({ detail: z.string() }).safeParse(content);
    return { kind: "silent", text: problem.success ? problem.data.detail : "The station was not understood." };
  } catch {
    return { kind: "silent", text: "The station cannot be reached. Enter the weather by hand." };
  }
}

/** The changes that take a station's weather into the record. */
export function weatherChanges(weather: StationWeather): readonly Change[] {
  return (["frostLastNight", "airTempC", "rain24hMm", "drySpellDays"] as const).flatMap((field): Change[] => {
    const value = weather[field];
    return value === undefined ? [] : [{ kind: "set-weather", field, value }];
  });
}

/** A position with its accuracy, m. */
export interface Position {
  readonly lat: number;
  readonly lon: number;
  readonly accuracyM?: number;
  readonly elevationM?: number;
}

const positionSchema = z.object({
  lat: z.number(),
  lon: z.number(),
  accuracyM: z.number(),
  elevationM: z.number(),
  simulated: z.literal(true),
});

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
  try {
    const response = await fetch(`/api/stand-ins/position?${new URLSearchParams({ at: at.toISOString() })}`);
    const { lat, lon, accuracyM, elevationM } = positionSchema.parse(await response.json());
    return { lat, lon, accuracyM, elevationM };
  } catch {
    return "The simulated walk cannot be reached.";
  }
}

const POSITION_FIELDS = ["lat", "lon", "accuracyM", "elevationM"] as const;

/** The changes that take a position into the record, or out of it for undefined. */
export function positionChanges(position: Position | undefined): readonly Change[] {
  return POSITION_FIELDS.map((field) => ({ kind: "set-place", field, value: position?.[field] ?? null }));
}
