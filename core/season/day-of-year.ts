/** Days written as YYYY-MM-DD, by the clock of the place where they were: counted, set apart, and placed in the year. */
import { z } from "zod";

/** A day by the clock of its place. */
export const daySchema = z.iso.date("expected a day such as 2026-09-14");

const DAY_MS = 86_400_000;
const YEAR = 365.25;

/** Days since 1970, whatever the zone: days are no moments. */
export const dayNumber = (day: string): number => Math.round(Date.parse(`${day.slice(0, 10)}T00:00:00Z`) / DAY_MS);

/** The day that lies so many days after another. @param dateOf milliseconds as a date: the core has no clock of its own */
export function dayAfter(day: string, days: number): string {
  const [year, month, date] = civil(dayNumber(day) + days);
  return `${String(year).padStart(4, "0")}-${String(month).padStart(2, "0")}-${String(date).padStart(2, "0")}`;
}

/** Year, month and day of a day number (the usual proleptic Gregorian count, in eras of 400 years). */
function civil(number: number): readonly [year: number, month: number, day: number] {
  const shifted = number + 719_468;
  const era = Math.floor(shifted / 146_097);
  const ofEra = shifted - era * 146_097;
  const yearOfEra = Math.floor(
    (ofEra - Math.floor(ofEra / 1460) + Math.floor(ofEra / 36_524) - Math.floor(ofEra / 146_096)) / 365,
  );
  const ofYear = ofEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const from = Math.floor((5 * ofYear + 2) / 153);
  const month = from < 10 ? from + 3 : from - 9;
  return [yearOfEra + era * 400 + (month <= 2 ? 1 : 0), month, ofYear - Math.floor((153 * from + 2) / 5) + 1];
}

/** The day of the year, from nought; 29 February and what follows shift by one, which no mushroom knows of. */
export const dayOfYear = (day: string): number => dayNumber(day) - dayNumber(`${day.slice(0, 4)}-01-01`);

/** Days between two days of the year, the short way round: the turn of the year parts nothing. From 0 to 183. */
export function daysApart(one: number, other: number): number {
  const apart = Math.abs(one - other) % YEAR;
  return Math.min(apart, YEAR - apart);
}

/** The week of the year, from 0 to 51: seven days each from 1 January; the last one takes the days that are left. */
export const weekOf = (day: string): number => Math.min(51, Math.floor(dayOfYear(day) / 7));

/** The month of a day, from 1 to 12. */
export const monthOf = (day: string): number => Number(day.slice(5, 7));

const FIRST_DAYS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334, 365] as const;

/** How many days a day of the year lies outside some months; 0 within them. Nothing lies within no months. */
export function daysOutside(day: number, months: readonly number[]): number {
  let least = 183;
  for (const month of months) {
    const [first, last] = [FIRST_DAYS[month - 1] ?? 0, (FIRST_DAYS[month] ?? 365) - 1];
    if (day >= first && day <= last) return 0;
    least = Math.min(least, daysApart(day, first), daysApart(day, last));
  }
  return least;
}

/**
 * The season to which a day belongs, by the year in which that season begins: kinds of the winter are not cut in two at new year,
 * nor are those of a southern autumn. The year is parted in the middle of the longest run of months in which the kind is not told.
 */
export function seasonOf(day: string, months: readonly number[]): number {
  const year = Number(day.slice(0, 4));
  return dayOfYear(day) < partingOf(months) ? year - 1 : year;
}

/** The day of the year at which seasons of a kind are parted; 0 for one of the whole year, or of no told months. */
export function partingOf(months: readonly number[]): number {
  const told = new Set(months);
  let [begins, longest] = [1, 0];
  for (let month = 1; month <= 12; month++) {
    let run = 0;
    while (run < 12 && !told.has(((month - 1 + run) % 12) + 1)) run += 1;
    if (run > longest) [begins, longest] = [month, run];
  }
  if (longest === 0 || longest === 12) return 0;
  const gapFrom = FIRST_DAYS[begins - 1] ?? 0;
  const gapDays = longest * (YEAR / 12);
  const parting = Math.round(gapFrom + gapDays / 2) % 365;
  // where the gap holds the turn of the year, that is where everybody parts it
  return gapFrom + gapDays >= 365 ? 0 : parting;
}
