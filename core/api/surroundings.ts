/** What is around the person: weather, and the stand-ins for what a device would tell. */
import { z } from "zod";
import { momentSchema } from "../find/moment.ts";
import { skyDaySchema } from "../season/day-look.ts";
import { dayNumber, daySchema } from "../season/day-of-year.ts";
import { route } from "./route.ts";

const whenSchema = z.strictObject({ at: momentSchema });

export const readWeather = route({
  method: "get",
  path: "/api/weather",
  about: "The weather before a moment, as a station tells it",
  query: whenSchema,
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

/** Days that are told in one reply. */
export const MOST_SKY_DAYS = 800;

export const readSky = route({
  method: "get",
  path: "/api/weather/days",
  about: "The weather day by day, as a station tells it: the past as it was, some days ahead as they are foretold",
  query: z
    .strictObject({ from: daySchema, to: daySchema })
    .refine(({ from, to }) => from <= to, { path: ["to"], message: "is before it begins" })
    .refine(({ from, to }) => dayNumber(to) - dayNumber(from) < MOST_SKY_DAYS, {
      path: ["to"],
      message: `expected at most ${MOST_SKY_DAYS} days`,
    }),
  reply: z.object({ station: z.string(), simulated: z.boolean(), days: z.array(skyDaySchema) }),
});

export const simulatedPosition = route({
  method: "get",
  path: "/api/stand-ins/position",
  about: "Where a walk that nobody takes is at a moment",
  query: whenSchema,
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
