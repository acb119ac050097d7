/**
 * Simulated seasons of which the truth is known: how often the forecast's interval of 80 of 100 holds it. The wood is not the
 * model's: each kind has a peak, a breadth and a middle of its own, rain and warmth move it in their own ways, a year may be rich
 * or poor, and finds come in troops (more spread than Poisson's).
 */

import { type DayLook, lookOf, type SkyDay, skyDaysOf } from "../season/day-look.ts";
import { dayAfter, dayNumber } from "../season/day-of-year.ts";
import { forecast, priorOf, type Visit } from "../season/forecast.ts";
import type { Chance } from "../trainer/chance.ts";

/** How the wood behaves. */
export interface Wood {
  /** Years of visits before the day that is asked about, and visits in each. */
  readonly years: number;
  readonly visitsAYear: number;
  /** How much years differ, as the spread of a logarithm. */
  readonly richness: number;
  /** Finds of a visit beyond Poisson: variance over mean, less one, for a mean of one. 0: none. */
  readonly troops: number;
}

export const WOODS = {
  "one year": { years: 1, visitsAYear: 15, richness: 0.2, troops: 0.15 },
  "two years": { years: 2, visitsAYear: 30, richness: 0.25, troops: 0.2 },
  "five years": { years: 5, visitsAYear: 30, richness: 0.25, troops: 0.2 },
  "ten years, twice a week": { years: 10, visitsAYear: 30, richness: 0.3, troops: 0.3 },
  "years much alike, no troops": { years: 3, visitsAYear: 25, richness: 0, troops: 0 },
} as const satisfies Readonly<Record<string, Wood>>;

const MONTHS: readonly number[] = [8, 9, 10];
const FIRST_YEAR = 2016;
const KIND = "kind";

export interface SimulatedSeason {
  readonly truth: number;
  readonly low: number;
  readonly high: number;
  readonly mean: number;
  readonly visits: number;
}

/** A standard normal number (Box and Muller 1958). */
function normal(chance: Chance): number {
  return Math.sqrt(-2 * Math.log(1 - chance.next())) * Math.cos(2 * Math.PI * chance.next());
}

/** A Poisson number by counting exponential waits; means here are small. */
function poisson(chance: Chance, mean: number): number {
  let [count, wait] = [0, -Math.log(1 - chance.next())];
  while (wait < mean && count < 1000) {
    count += 1;
    wait -= Math.log(1 - chance.next());
  }
  return count;
}

/** A gamma number of mean 1 (Marsaglia and Tsang 2000, for shapes of at least one). */
function gammaOfOne(chance: Chance, shape: number): number {
  const d = shape - 1 / 3;
  for (;;) {
    const x = normal(chance);
    const v = (1 + x / Math.sqrt(9 * d)) ** 3;
    if (v > 0 && Math.log(1 - chance.next()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return (d * v) / shape;
  }
}

/** Daily weather of some years: rain in fronts, warmth by the time of the year. */
function weather(chance: Chance, from: string, days: number): readonly SkyDay[] {
  let front = 0;
  return Array.from({ length: days }, (_unused, index) => {
    const day = dayAfter(from, index);
    if (chance.next() < 0.16) front = front > 0 ? 0 : 1;
    const rainMm = front > 0 && chance.next() < 0.7 ? -Math.log(1 - chance.next()) * 5 : 0;
    const season = 7 - 10 * Math.cos((2 * Math.PI * ((dayNumber(day) % 365.25) - 20)) / 365.25);
    const meanTempC = season + normal(chance) * 2.5;
    return { day, rainMm, meanTempC, minTempC: meanTempC - 5, isForetold: false };
  });
}

/** One simulated log, and a day after it: what was foretold for that day, and what was true. */
export function simulatedSeason(chance: Chance, wood: Wood): SimulatedSeason {
  const from = `${FIRST_YEAR}-06-01`;
  const sky = skyDaysOf(weather(chance, from, (wood.years + 1) * 366));
  const peak = Math.exp(Math.log(0.35) + 0.9 * normal(chance));
  const middle = 230 + chance.next() * 60;
  const breadth = 16 + chance.next() * 16;
  const [rainPull, warmPull] = [chance.next() * 0.5, (chance.next() - 0.5) * 0.1];
  const rich = Array.from({ length: wood.years + 1 }, () => Math.exp(wood.richness * normal(chance)));
  const truthOf = (look: DayLook, year: number): number => {
    const season = Math.exp(-0.5 * ((look.ofYear - middle) / breadth) ** 2);
    const rain = look.sky === undefined ? 0 : rainPull * (Math.log1p(look.sky.rainMm) - Math.log1p(35));
    const warm = look.sky === undefined ? 0 : warmPull * (look.sky.meanTempC - 11);
    return peak * season * (rich[year] ?? 1) * Math.exp(rain + warm);
  };
  // somebody goes on the days of the sheet's months, and a little beside them
  const someDay = (year: number): string => dayAfter(`${FIRST_YEAR + year}-07-20`, Math.floor(chance.next() * 110));
  const visits = Array.from({ length: wood.years * wood.visitsAYear }, (_unused, index): Visit => {
    const year = Math.floor(index / wood.visitsAYear);
    const day = someDay(year);
    const look = lookOf(day, sky);
    const hours = 0.5 + chance.next() * 2;
    const mean = truthOf(look, year) * hours;
    const troop = wood.troops === 0 ? 1 : gammaOfOne(chance, 1 / wood.troops);
    const found = poisson(chance, mean * troop);
    return { id: String(index), place: "place", day, look, hours, finds: new Map([[KIND, found]]) };
  });
  const look = lookOf(someDay(wood.years), sky);
  const told = forecast(visits, KIND, look, priorOf(look.ofYear, MONTHS, true));
  return { truth: truthOf(look, wood.years), low: told.low, high: told.high, mean: told.mean, visits: visits.length };
}

/** Of so many seasons, the share of which the interval held the truth. */
export function coverage(chance: Chance, wood: Wood, seasons: number): number {
  let held = 0;
  for (let index = 0; index < seasons; index++) {
    const { truth, low, high } = simulatedSeason(chance, wood);
    if (truth >= low && truth <= high) held += 1;
  }
  return held / seasons;
}
