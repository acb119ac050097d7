/** What is around the person: weather, and the stand-ins for what a device would tell. */
import { z } from "zod";
import { route } from "./route.ts";

const moment = z.strictObject({
  at: z.iso.datetime({ offset: true, error: "expected a date and time with its offset" }),
});

export const readWeather = route({
  method: "get",
  path: "/api/weather",
  about: "The weather before a moment, as a station tells it",
  query: moment,
  reply: z.object({
    station: z.string(),
    simulated: z.boolean(),
    at: z.string(),
    weather: z.object({
      frostLastNight: z.boolean().optional(),
      drySpellDays: z.number().optional(),
      rain24hMm: z.number().optional(),
      airTempC: z.number().optional(),
    }),
  }),
});

export const simulatedPosition = route({
  method: "get",
  path: "/api/stand-ins/position",
  about: "Where a walk that nobody takes is at a moment",
  query: moment,
  reply: z.object({
    lat: z.number(),
    lon: z.number(),
    accuracyM: z.number(),
    elevationM: z.number(),
    simulated: z.literal(true),
  }),
});

export const simulatedScale = route({
  method: "get",
  path: "/api/stand-ins/scale",
  about: "What a scale that does not exist shows",
  query: z.strictObject({ capCm: z.coerce.number<number | string>().positive().max(200).optional() }),
  reply: z.object({ grams: z.number(), simulated: z.literal(true) }),
});
