/** What a day looks like to a mushroom: the time of the year, the rain that fed it, the warmth, frost since. */
import { z } from "zod";
import { dayAfter, dayNumber, dayOfYear, daySchema, daysApart } from "./day-of-year.ts";

/** One day of a station: of the past as it was read, of the days ahead as it is foretold. */
export const skyDaySchema = z.strictObject({
  day: daySchema,
  rainMm: z.number().min(0).max(2000),
  meanTempC: z.number().min(-90).max(60),
  minTempC: z.number().min(-90).max(60),
  isForetold: z.boolean(),
});
export type SkyDay = z.infer<typeof skyDaySchema>;

/** What is kept of a day's weather with a visit. */
export const daySkySchema = z.strictObject({
  /** Rain of the fifth to the twentieth day before, mm. */
  rainMm: z.number().min(0).max(10_000),
  /** Mean of the ten days before, °C. */
  meanTempC: z.number().min(-90).max(60),
  /** Nights of frost among the fourteen before. */
  frostNights: z.int().min(0).max(14),
});
export type DaySky = z.infer<typeof daySkySchema>;

/** A day, with its weather where that is known. */
export interface DayLook {
  /** The day of the year, from nought. */
  readonly ofYear: number;
  readonly sky?: DaySky | undefined;
}

/** Rain of those days before feeds what stands today (some ten days to two weeks after a real rain). Common practice, no source. */
export const RAIN_DAYS = { from: 5, to: 20 } as const;
const MEAN_DAYS = 10;
const FROST_DAYS = 14;
/** Air of a station, two metres up, at which the ground has frozen. Common practice, no source. */
const FROST_AIR_C = 0;
/** Days that have to be known of those asked for; what is missing of the rain counts as the mean of what is there. */
const ENOUGH = 0.75;

/** Daily readings by the number of their day. */
export type SkyDays = ReadonlyMap<number, SkyDay>;
export const skyDaysOf = (days: readonly SkyDay[]): SkyDays => new Map(days.map((one) => [dayNumber(one.day), one]));

/** The weather of a day out of daily readings, or undefined where too few are known. */
export function skyOf(day: string, byNumber: SkyDays): DaySky | undefined {
  const today = dayNumber(day);
  const before = (from: number, to: number): readonly SkyDay[] | undefined => {
    const found: SkyDay[] = [];
    for (let ago = from; ago <= to; ago++) {
      const one = byNumber.get(today - ago);
      if (one !== undefined) found.push(one);
    }
    return found.length >= (to - from + 1) * ENOUGH ? found : undefined;
  };
  const wet = before(RAIN_DAYS.from, RAIN_DAYS.to);
  const mild = before(1, MEAN_DAYS);
  const cold = before(1, FROST_DAYS);
  if (wet === undefined || mild === undefined || cold === undefined) return undefined;
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const span = RAIN_DAYS.to - RAIN_DAYS.from + 1;
  return {
    rainMm: round(mean(wet.map(({ rainMm }) => rainMm)) * span),
    meanTempC: round(mean(mild.map(({ meanTempC }) => meanTempC))),
    frostNights: cold.filter(({ minTempC }) => minTempC <= FROST_AIR_C).length,
  };
}

/** A day with its weather. */
export function lookOf(day: string, days: SkyDays): DayLook {
  return { ofYear: dayOfYear(day), sky: skyOf(day, days) };
}

/** The days whose readings tell a day's weather: from the first to the last, both told. */
export const daysNeeded = (day: string): { readonly from: string; readonly to: string } => ({
  from: dayAfter(day, -RAIN_DAYS.to),
  to: dayAfter(day, -1),
});

const round = (value: number): number => Math.round(value * 10) / 10;

/** What breadth of likeness is: one step of this much leaves about six tenths. Set by the simulated seasons (docs/season.md). */
export const BREADTH = { days: 9, logRain: 1, tempC: 5, logFrost: 1.2 } as const;
/** A visit of which the weather is not known counts for so much of one of the same weather. */
const UNKNOWN_SKY = 0.5;

/** How alike two days are, from 0 to 1: a product of normal curves over the time of the year, the rain, the warmth, frost. */
export function alike(one: DayLook, other: DayLook): number {
  const day = bell(daysApart(one.ofYear, other.ofYear) / BREADTH.days);
  if (one.sky === undefined || other.sky === undefined) return day * UNKNOWN_SKY;
  return (
    day *
    bell((Math.log1p(one.sky.rainMm) - Math.log1p(other.sky.rainMm)) / BREADTH.logRain) *
    bell((one.sky.meanTempC - other.sky.meanTempC) / BREADTH.tempC) *
    bell((Math.log1p(one.sky.frostNights) - Math.log1p(other.sky.frostNights)) / BREADTH.logFrost)
  );
}

const bell = (steps: number): number => Math.exp(-0.5 * steps * steps);
