/**
 * A weather station that does not exist, with the protocol of one that might, over HTTP.
 *
 * GET /hours?from=…&to=… answers { station, simulated, hours: [ { at, airTempC, rainMm } ] }.
 * GET /days?from=YYYY-MM-DD&to=YYYY-MM-DD answers { station, simulated, days: [ { day, rainMm, meanTempC, minTempC, isForetold } ] }:
 * the past as it was, a week ahead as it is foretold, nothing beyond that; a day on which the station was silent is not there.
 * PUT /mood?is=usual|wet|dry turns the weather of the weeks around now, for trying what hangs on it; a real one has no such thing.
 *
 * Everything is worked out from the hour itself, so the same hour always had the same weather.
 */
import { createServer, type Server, type ServerResponse } from "node:http";
import type { StationHour, StationReply } from "@jittery-cap/core";
import type { SkyDay } from "@jittery-cap/core/season";

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const MOST_HOURS = 24 * 60;
const NAME = "Lake station (simulated)";

/** A number from 0 to 1 that looks random and is always the same for the same seed. */
function scatter(seed: number): number {
  const value = Math.sin(seed * 127.1 + 311.7) * 43_758.5453;
  return value - Math.floor(value);
}

/**
 * One hour of an invented lakeland's year: warm in July, cold in January, colder before sunrise, and fronts that bring
 * rain every few days. Ours, made up; only the shape of it has to be like weather.
 */
export function simulatedHour(at: Date): StationHour {
  const day = Math.floor(at.getTime() / DAY_MS);
  const ofYear = (at.getTime() / DAY_MS) % 365.25;
  const season = 7 - 11 * Math.cos((2 * Math.PI * (ofYear - 20)) / 365.25);
  const hour = at.getUTCHours();
  const ofDay = -4.5 * Math.cos((2 * Math.PI * (hour - 3)) / 24);
  const mood = (scatter(day) - 0.5) * 7;
  const isWet = scatter(Math.floor(day / 2) + 500) < 0.42;
  const shower = isWet && scatter(day * 24 + hour) < 0.3 ? scatter(day * 24 + hour + 7000) * 2.4 : 0;
  return {
    at: new Date(Math.floor(at.getTime() / HOUR_MS) * HOUR_MS).toISOString(),
    airTempC: Math.round((season + ofDay * (isWet ? 0.4 : 1) + mood) * 10) / 10,
    rainMm: Math.round(shower * 10) / 10,
  };
}

/** The reply for a span of hours. @throws RangeError where the span is none, or too long */
export function hoursBetween(from: Date, to: Date): StationReply {
  const count = Math.floor((to.getTime() - from.getTime()) / HOUR_MS);
  if (!(count >= 0 && count <= MOST_HOURS)) throw new RangeError(`from and to must span 0 to ${MOST_HOURS} hours`);
  return {
    station: NAME,
    simulated: true,
    hours: Array.from({ length: count }, (_unused, index) => simulatedHour(new Date(from.getTime() + index * HOUR_MS))),
  };
}

const MOODS = ["usual", "wet", "dry"] as const;
type Mood = (typeof MOODS)[number];
/** How far ahead is foretold, and how far back a mood reaches, days. */
const AHEAD = 7;
const MOOD_BACK = 24;
const MOST_DAYS = 800;
/** One day in so many the station was silent. */
const SILENT_ONE_IN = 90;

const round = (value: number): number => Math.round(value * 10) / 10;

/** One day of that year, from its hours, by universal time. */
export function simulatedDay(day: string): Omit<SkyDay, "isForetold"> {
  const from = Date.parse(`${day}T00:00:00Z`);
  const hours = Array.from({ length: 24 }, (_unused, index) => simulatedHour(new Date(from + index * HOUR_MS)));
  const air = hours.map(({ airTempC }) => airTempC ?? 0);
  return {
    day,
    rainMm: round(hours.reduce((sum, { rainMm }) => sum + (rainMm ?? 0), 0)),
    meanTempC: round(air.reduce((sum, one) => sum + one, 0) / air.length),
    minTempC: Math.min(...air),
  };
}

/** The days of a span, both ends among them. @throws RangeError where the span is none, or too long */
export function daysBetween(from: string, to: string, now: Date, mood: Mood = "usual"): readonly SkyDay[] {
  const [first, last] = [Date.parse(`${from}T00:00:00Z`), Date.parse(`${to}T00:00:00Z`)];
  const count = Math.round((last - first) / DAY_MS) + 1;
  if (!(count >= 1 && count <= MOST_DAYS)) throw new RangeError(`from and to must span 1 to ${MOST_DAYS} days`);
  const today = Math.floor(now.getTime() / DAY_MS);
  return Array.from({ length: count }, (_unused, index) => Math.round(first / DAY_MS) + index)
    .filter((day) => day <= today + AHEAD && (day >= today || scatter(day + 9000) > 1 / SILENT_ONE_IN))
    .map((day): SkyDay => {
      const told = simulatedDay(new Date(day * DAY_MS).toISOString().slice(0, 10));
      const isForetold = day >= today;
      const isTurned = day >= today - MOOD_BACK;
      // what is foretold is rounder than what comes
      const rainMm = isForetold ? Math.round(told.rainMm) : told.rainMm;
      return {
        ...told,
        isForetold,
        rainMm: !isTurned || mood === "usual" ? rainMm : mood === "wet" ? rainMm + 6 : 0,
      };
    });
}

/** Listens on loopback. @param port 0 for any free one @returns the server; its address tells the port */
export function startWeatherStation(port = 0): Promise<Server> {
  let mood: Mood = "usual";
  const server = createServer((request, response) => {
    const url = new URL(request.url ?? "/", "http://station");
    if (url.pathname === "/mood" && request.method === "PUT") {
      const asked = MOODS.find((one) => one === url.searchParams.get("is"));
      if (asked === undefined) return send(response, 400, { error: `is must be one of ${MOODS.join(", ")}` });
      mood = asked;
      return send(response, 200, { mood });
    }
    if (url.pathname !== "/hours" && url.pathname !== "/days")
      return send(response, 404, { error: "only /hours and /days are here" });
    try {
      if (url.pathname === "/days")
        return send(response, 200, {
          station: NAME,
          simulated: true,
          days: daysBetween(url.searchParams.get("from") ?? "", url.searchParams.get("to") ?? "", new Date(), mood),
        });
      send(
        response,
        200,
        hoursBetween(new Date(url.searchParams.get("from") ?? ""), new Date(url.searchParams.get("to") ?? "")),
      );
    } catch (error) {
      send(response, 400, { error: error instanceof Error ? error.message : String(error) });
    }
  });
  return new Promise((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, "127.0.0.1", () => resolve(server));
  });
}

function send(response: ServerResponse, status: number, content: unknown): void {
  response.writeHead(status, { "content-type": "application/json" }).end(JSON.stringify(content));
}
