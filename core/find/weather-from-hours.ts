/** What hourly readings of a weather station say of a find: frost last night, the dry spell, the last day's rain, the air. */
import { z } from "zod";
import type { Weather } from "./schema.ts";

/** One hour as a station gives it. */
export const stationHourSchema = z.strictObject({
  /** Start of the hour, with its offset. */
  at: z.iso.datetime({ offset: true }),
  airTempC: z.number().min(-90).max(60).nullable(),
  rainMm: z.number().min(0).max(500).nullable(),
});
export type StationHour = z.infer<typeof stationHourSchema>;

/** What a station tells in one reply. */
export const stationReplySchema = z.strictObject({
  station: z.string().min(1).max(200),
  simulated: z.boolean(),
  hours: z.array(stationHourSchema).max(24 * 60),
});
export type StationReply = z.infer<typeof stationReplySchema>;

/** How far back a station is asked, days: as far as a dry spell matters. */
export const STATION_DAYS = 21;

const HOUR_MS = 3_600_000;
/** The night before a find, hours back from it. */
const NIGHT_HOURS = 18;
/**
 * Air at which frost is taken for granted, °C: a screen stands two metres up, and the ground is colder. Common practice
 * among growers is some degrees; the value only has to err towards frost, which keeps dangers standing.
 */
const FROST_AIR_C = 2;
/** A day with less rain than this is dry, mm: the common meteorological convention of a wet day. */
const WET_DAY_MM = 1;
/** Share of the hours that must be there before a sum or a lowest value is believed. */
const ENOUGH = 0.9;

/** The fields that a station can tell. */
export type StationWeather = Pick<Weather, "frostLastNight" | "drySpellDays" | "rain24hMm" | "airTempC">;

/**
 * Works the fields out for a moment. What the hours do not cover is left out, and never guessed: weather that was not
 * told is asked for. Frost is the exception: one cold hour is enough for it, however many are missing.
 */
export function weatherFromHours(hours: readonly StationHour[], at: Date): StationWeather {
  const now = at.getTime();
  const known = hours
    .map((hour) => ({ ...hour, ago: (now - Date.parse(hour.at)) / HOUR_MS }))
    .filter(({ ago }) => ago >= 0)
    .sort((one, other) => one.ago - other.ago);
  const within = (most: number) => known.filter(({ ago }) => ago < most);

  const latest = known.find(({ airTempC, ago }) => airTempC !== null && ago < 2)?.airTempC;
  const night = within(NIGHT_HOURS).flatMap(({ airTempC }) => (airTempC === null ? [] : [airTempC]));
  const froze = night.some((value) => value <= FROST_AIR_C);
  const rain = within(24).flatMap(({ rainMm }) => (rainMm === null ? [] : [rainMm]));
  const dry = dryDays(known);
  return {
    ...(latest === undefined || latest === null ? {} : { airTempC: latest }),
    ...(froze || night.length >= NIGHT_HOURS * ENOUGH ? { frostLastNight: froze } : {}),
    ...(rain.length >= 24 * ENOUGH ? { rain24hMm: round(rain.reduce((sum, value) => sum + value, 0)) } : {}),
    ...(dry === undefined ? {} : { drySpellDays: dry }),
  };
}

const round = (value: number): number => Math.round(value * 10) / 10;

/** Whole days back without a wet one; a day with a gap ends the count that is sure, and nothing is told where it is the first. */
function dryDays(known: readonly { readonly ago: number; readonly rainMm: number | null }[]): number | undefined {
  for (let day = 0; day < STATION_DAYS; day++) {
    const readings = known
      .filter(({ ago }) => ago >= day * 24 && ago < (day + 1) * 24)
      .flatMap(({ rainMm }) => (rainMm === null ? [] : [rainMm]));
    if (readings.reduce((sum, value) => sum + value, 0) >= WET_DAY_MM) return day;
    if (readings.length < 24 * ENOUGH) return day === 0 ? undefined : day;
  }
  return STATION_DAYS;
}
