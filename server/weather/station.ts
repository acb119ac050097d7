/** The one place that knows how a weather station is asked. Another station is another adapter of this shape. */
import {
  STATION_DAYS,
  type StationReply,
  type StationWeather,
  stationReplySchema,
  weatherFromHours,
} from "@jittery-cap/core";
import { skyDaySchema } from "@jittery-cap/core/season";
import { z } from "zod";

const HOUR_MS = 3_600_000;
/** A station that says nothing for so long is taken for silent. */
const ANSWER_WITHIN_MS = 4000;

/** Asks for hourly readings from one moment to another. Rejects where the station cannot be had or talks nonsense. */
export type Station = (from: Date, to: Date) => Promise<StationReply>;

/** A station that speaks our small protocol over HTTP. */
export function stationAt(address: string): Station {
  return async (from, to) => {
    const url = new URL("/hours", address);
    url.searchParams.set("from", from.toISOString());
    url.searchParams.set("to", to.toISOString());
    const response = await fetch(url, { signal: AbortSignal.timeout(ANSWER_WITHIN_MS) });
    if (!response.ok) throw new Error(`the station answered ${response.status}`);
    return stationReplySchema.parse(await response.json());
  };
}

const skyReplySchema = z.strictObject({
  station: z.string().min(1).max(200),
  simulated: z.boolean(),
  days: z.array(skyDaySchema).max(1000),
});
export type SkyReply = z.infer<typeof skyReplySchema>;

/** Asks for daily weather, both days among it. Rejects where the station cannot be had or talks nonsense. */
export type Sky = (from: string, to: string) => Promise<SkyReply>;

/** The daily weather of a station that speaks our small protocol over HTTP. */
export function skyAt(address: string): Sky {
  return async (from, to) => {
    const url = new URL("/days", address);
    url.searchParams.set("from", from);
    url.searchParams.set("to", to);
    const response = await fetch(url, { signal: AbortSignal.timeout(ANSWER_WITHIN_MS) });
    if (!response.ok) throw new Error(`the station answered ${response.status}`);
    return skyReplySchema.parse(await response.json());
  };
}

/** What the station says of a moment, with where it comes from. */
export interface ToldWeather {
  readonly station: string;
  readonly simulated: boolean;
  readonly at: string;
  readonly weather: StationWeather;
}

/** The weather of a moment from a station. */
export async function weatherAt(station: Station, at: Date): Promise<ToldWeather> {
  const to = new Date(Math.floor(at.getTime() / HOUR_MS) * HOUR_MS + HOUR_MS);
  const from = new Date(to.getTime() - STATION_DAYS * 24 * HOUR_MS);
  const reply = await station(from, to);
  return {
    station: reply.station,
    simulated: reply.simulated,
    at: at.toISOString(),
    weather: weatherFromHours(reply.hours, at),
  };
}
