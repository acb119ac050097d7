/**
 * A weather station that does not exist, with the protocol of one that might: hourly air and rain over HTTP.
 *
 * GET /hours?from=…&to=… answers { station, simulated, hours: [ { at, airTempC, rainMm } ] }. Everything is worked out from
 * the hour itself, so the same hour always had the same weather.
 */
import { createServer, type Server, type ServerResponse } from "node:http";
import type { StationHour, StationReply } from "@jittery-cap/core";

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const MOST_HOURS = 24 * 60;

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
    station: "Lake station (simulated)",
    simulated: true,
    hours: Array.from({ length: count }, (_unused, index) => simulatedHour(new Date(from.getTime() + index * HOUR_MS))),
  };
}

/** Listens on loopback. @param port 0 for any free one @returns the server; its address tells the port */
export function startWeatherStation(port = 0): Promise<Server> {
  const server = createServer((request, response) => {
    const url = new URL(request.url ?? "/", "http://station");
    if (url.pathname !== "/hours") return send(response, 404, { error: "only /hours is here" });
    try {
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
