/** Chance, ids and clocks of the invented seasons: the same every time they are loaded. */
import type { Chance } from "@jittery-cap/core/study";
import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

const HOUR_MS = 3_600_000;

/** A source of chance that is the same for the same seed. */
export function chanceOf(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  return { next: () => uniformFloat64(generator) };
}

/** An id as clients make them (UUIDv7), the same for the same moment and number. */
export function idAt(moment: number, number: number): string {
  const time = Math.floor(moment).toString(16).padStart(12, "0");
  return `${time.slice(0, 8)}-${time.slice(8, 12)}-7000-8000-${(0x710000000000 + number).toString(16).padStart(12, "0")}`;
}

/** A Poisson number (Knuth 1969). */
export const poisson = (chance: Chance, mean: number): number => {
  let [count, left] = [0, Math.exp(-mean)];
  for (let product = chance.next(); product > left; product *= chance.next()) count += 1;
  return count;
};

/** An offset of the lakeland's clocks: summer time until the last Sunday of October. */
const isSummer = (day: string): boolean => day.slice(5) >= "03-30" && day.slice(5) < "10-26";
/** A moment of a day, hours from its midnight. */
export const momentAt = (day: string, hours: number): number =>
  Date.parse(`${day}T00:00:00${isSummer(day) ? "+02:00" : "+01:00"}`) + Math.round(hours * 60) * 60_000;
/** A moment as its clock told it. */
export function told(moment: number, day: string): string {
  const summer = isSummer(day);
  return `${new Date(moment + (summer ? 2 : 1) * HOUR_MS).toISOString().slice(0, 19)}${summer ? "+02:00" : "+01:00"}`;
}
