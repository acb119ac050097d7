/**
 * Time and place: they doubt a sought kind and nothing else. Dangers never move by them.
 *
 * Basis of the grace: common practice; of the months, regions and heights: each sheet's own.
 */
import type { Find } from "../find/schema.ts";
import { theKind } from "../find/the-kind.ts";
import { wordList } from "../find/words.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { REASON_WORDS } from "../words/reason-words.ts";

/** A kind told so many days outside its months is still in them. */
export const GRACE_DAYS = 21;
/** Books' heights are read with so many metres to spare. */
export const GRACE_METRES = 200;

/** Why the time or the place of a find doubts a sought kind. */
export interface Misplaced {
  readonly code: "out-of-season" | "out-of-region" | "out-of-height";
  readonly text: string;
}

const MONTHS = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
] as const;

const DAYS_IN_A_YEAR = 365;
const FIRST_DAYS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334, DAYS_IN_A_YEAR];

/** The names of some months, a run of them as "June to November". */
export function monthWords(months: readonly number[]): string {
  const isIn = (month: number) => months.includes(((month + 11) % 12) + 1);
  const starts = [...new Set(months)].filter((month) => !isIn(month - 1)).sort((one, other) => one - other);
  if (starts.length === 0) return "the whole year";
  return wordList(
    starts.map((start) => {
      let end = start;
      while (isIn(end + 1)) end += 1;
      const name = (month: number) => MONTHS[(month + 11) % 12] ?? "";
      return end === start ? name(start) : `${name(start)} to ${name(end)}`;
    }),
    "and",
  );
}

/** Whether a day of the year lies in one of the months, or within the grace of it. */
export function isInMonths(day: number, months: readonly number[]): boolean {
  return months.some((month) => {
    const first = (FIRST_DAYS[month - 1] ?? 0) - GRACE_DAYS;
    const last = (FIRST_DAYS[month] ?? 0) - 1 + GRACE_DAYS;
    return [day - DAYS_IN_A_YEAR, day, day + DAYS_IN_A_YEAR].some((one) => one >= first && one <= last);
  });
}

/** The day of the year, from zero, where the find was made; a date is read as it was written down there. */
function dayOf(foundAt: string): { day: number; month: number } {
  const month = Number(foundAt.slice(5, 7));
  return { day: (FIRST_DAYS[month - 1] ?? 0) + Number(foundAt.slice(8, 10)) - 1, month };
}

const NOWHERE_ODD: readonly Misplaced[] = [];

/** What the time and the place of a find say against a sought kind; nothing where they were not told. */
export function misplacedBy(sheet: Sheet, { foundAt, place }: Find): readonly Misplaced[] {
  if (place === undefined && foundAt === undefined) return NOWHERE_ODD;
  const misplaced: Misplaced[] = [];
  const name = theKind(sheet.names.common);
  const region = place?.region;
  const here = region === undefined ? undefined : sheet.months[region];
  if (region !== undefined && here === undefined)
    misplaced.push({
      code: "out-of-region",
      text: REASON_WORDS.outOfRegion(name, region),
    });
  const months =
    foundAt === undefined || sheet.allYear
      ? []
      : (here ?? (region === undefined ? Object.values(sheet.months).flat() : []));
  if (foundAt !== undefined && months.length > 0) {
    const { day, month } = dayOf(foundAt);
    if (!isInMonths(day, months))
      misplaced.push({
        code: "out-of-season",
        text: REASON_WORDS.outOfSeason(name, monthWords(months), region !== undefined, MONTHS[month - 1]),
      });
  }
  const height = place?.elevationM;
  if (height !== undefined && sheet.elevationM !== undefined) {
    const [low, high] = sheet.elevationM;
    if (height < low - GRACE_METRES || height > high + GRACE_METRES)
      misplaced.push({
        code: "out-of-height",
        text: REASON_WORDS.outOfHeight(name, low, high, height),
      });
  }
  return misplaced;
}
