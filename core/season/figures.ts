/** The season in figures: each is a table of which every number leads to the finds that it counts. */

import { isAmongFood } from "../decide/endings.ts";
import type { Ending } from "../find/vocabulary.ts";
import { dayOfYear, seasonOf, weekOf } from "./day-of-year.ts";
import type { Visit } from "./forecast.ts";

/** A find as the figures count it. */
export interface CountedFind {
  readonly id: string;
  readonly day: string;
  readonly kind: string | undefined;
  readonly place: string | undefined;
  readonly grams: number;
  readonly endings: readonly Ending[];
  readonly takenFor: string | undefined;
  /** What it came to be named; none while it is not decided. */
  readonly named: readonly string[];
  /** Minutes from the first touch to the decision. */
  readonly minutes: number | undefined;
}

/** A number with the finds that it counts. */
export interface Counted {
  readonly value: number;
  readonly finds: readonly string[];
}

const counted = (finds: readonly CountedFind[], value = finds.length): Counted => ({
  value,
  finds: finds.map(({ id }) => id),
});

function grouped<Key extends string | number>(
  finds: readonly CountedFind[],
  keyOf: (find: CountedFind) => Key | undefined,
): ReadonlyMap<Key, readonly CountedFind[]> {
  const groups = new Map<Key, CountedFind[]>();
  for (const find of finds) {
    const key = keyOf(find);
    if (key !== undefined) groups.set(key, [...(groups.get(key) ?? []), find]);
  }
  return groups;
}

/** A kind week by week, with its first and last day in each season. */
export interface KindWeeks {
  readonly kind: string;
  /** By week of the year, 0 to 51. */
  readonly weeks: ReadonlyMap<number, Counted>;
  readonly seasons: readonly {
    readonly season: number;
    readonly first: string;
    readonly last: string;
    readonly finds: readonly string[];
  }[];
  readonly all: Counted;
}

/** Weeks against kinds, those met most first. @param monthsOf the months of a kind by its sheet, which part its seasons */
export function weeksOfKinds(
  finds: readonly CountedFind[],
  monthsOf: (kind: string) => readonly number[],
): readonly KindWeeks[] {
  return [...grouped(finds, ({ kind }) => kind)]
    .map(([kind, own]): KindWeeks => {
      const months = monthsOf(kind);
      const seasons = [...grouped(own, ({ day }) => seasonOf(day, months))]
        .sort(([one], [other]) => one - other)
        .map(([season, ofSeason]) => {
          const days = ofSeason.map(({ day }) => day).sort();
          return { season, first: days[0] ?? "", last: days.at(-1) ?? "", finds: ofSeason.map(({ id }) => id) };
        });
      const weeks = [...grouped(own, ({ day }) => weekOf(day))].map(([week, of]) => [week, counted(of)] as const);
      return { kind, weeks: new Map(weeks), seasons, all: counted(own) };
    })
    .sort((one, other) => other.all.value - one.all.value || one.kind.localeCompare(other.kind));
}

/** A table of rows against columns. */
export interface Crossed<Row extends string | number, Column extends string | number> {
  readonly rows: readonly Row[];
  readonly columns: readonly Column[];
  readonly at: (row: Row, column: Column) => Counted | undefined;
}

function crossed<Row extends string | number, Column extends string | number>(
  finds: readonly CountedFind[],
  rowOf: (find: CountedFind) => Row | undefined,
  columnOf: (find: CountedFind) => Column | undefined,
  amountOf: (finds: readonly CountedFind[]) => number,
): Crossed<Row, Column> {
  const byRow = grouped(finds, rowOf);
  const cells = new Map(
    [...byRow].map(([row, own]) => [
      row,
      new Map([...grouped(own, columnOf)].map(([column, of]) => [column, counted(of, amountOf(of))])),
    ]),
  );
  const columns = [...grouped(finds, columnOf).keys()].sort();
  const sizeOf = (row: Row) => byRow.get(row)?.length ?? 0;
  return {
    rows: [...byRow.keys()].sort((one, other) => sizeOf(other) - sizeOf(one)),
    columns,
    at: (row, column) => cells.get(row)?.get(column),
  };
}

export const yearOf = ({ day }: Pick<CountedFind, "day">): string => day.slice(0, 4);
const grams = (finds: readonly CountedFind[]): number => finds.reduce((sum, find) => sum + find.grams, 0);

/** Grams that were carried as food, by place and year. */
export const yieldByPlace = (finds: readonly CountedFind[]): Crossed<string, string> =>
  crossed(
    finds.filter(({ endings }) => endings.some(isAmongFood)),
    ({ place }) => place,
    yearOf,
    grams,
  );

/** What became of a find, in the four words of the season. */
export const FATES = ["basket", "left", "hold", "looked-at"] as const;
export type Fate = (typeof FATES)[number];
export const FATE_WORDS: Readonly<Record<Fate, string>> = {
  basket: "came to the basket",
  left: "left where it stood",
  hold: "held, not decided yet",
  "looked-at": "looked at only",
};

/** What became of a find: food if any of it was, left if it was left, looked at if that was all; else it is held. */
export function fateOf({ endings }: Pick<CountedFind, "endings">): Fate {
  if (endings.some(isAmongFood)) return "basket";
  if (endings.length === 0 || endings.some((one) => HELD.has(one))) return "hold";
  return endings.every((one) => LOOKED_AT.has(one)) ? "looked-at" : "left";
}
const HELD: ReadonlySet<Ending> = new Set(["home-to-finish", "puzzle-kept-open"]);
const LOOKED_AT: ReadonlySet<Ending> = new Set(["looked-at-only", "named-for-interest"]);

/** Finds by what became of them, and year. */
export const fates = (finds: readonly CountedFind[]): Crossed<Fate, string> =>
  crossed(finds, fateOf, yearOf, (of) => of.length);

/** Finds an hour of searching, by year, with the hours. */
export interface Pace {
  readonly year: string;
  readonly hours: number;
  readonly visits: number;
  readonly empty: number;
  readonly finds: Counted;
}

/** How many finds an hour of searching brought, year by year, the empty visits among them. */
export function paces(visits: readonly Visit[], finds: readonly CountedFind[]): readonly Pace[] {
  const years = [...new Set([...visits.map(({ day }) => day.slice(0, 4)), ...finds.map(yearOf)])].sort();
  return years.map((year) => {
    const own = visits.filter(({ day }) => day.startsWith(year));
    return {
      year,
      hours: own.reduce((sum, { hours }) => sum + hours, 0),
      visits: own.length,
      empty: own.filter(({ finds: found }) => found.size === 0).length,
      finds: counted(finds.filter((find) => yearOf(find) === year)),
    };
  });
}

/** Minutes to an answer, year by year: the middle one. */
export function minutesByYear(
  finds: readonly CountedFind[],
): readonly { readonly year: string; readonly minutes: Counted }[] {
  const timed = finds.filter(({ minutes }) => minutes !== undefined);
  return [...grouped(timed, yearOf)]
    .sort(([one], [other]) => one.localeCompare(other))
    .map(([year, own]) => ({ year, minutes: counted(own, median(own.flatMap(({ minutes }) => minutes ?? []))) }));
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? (sorted[middle] ?? 0) : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
}

/** A first idea that was wrong, and what it came to be named. */
export interface WrongIdea {
  readonly takenFor: string;
  readonly named: string;
  readonly finds: readonly string[];
}

/** First ideas that a decision named otherwise, the commonest first; and how many were tried. */
export function firstIdeas(finds: readonly CountedFind[]): {
  readonly tried: number;
  readonly wrong: readonly WrongIdea[];
} {
  const tried = finds.filter(({ takenFor, named }) => takenFor !== undefined && named.length > 0);
  const wrong = tried.filter(({ takenFor, named }) => takenFor !== undefined && !named.includes(takenFor));
  const pairs = [...grouped(wrong, ({ takenFor, named }) => `${takenFor} ${named[0]}`)].map(
    ([pair, own]): WrongIdea => {
      const [takenFor = "", named = ""] = pair.split(" ");
      return { takenFor, named, finds: own.map(({ id }) => id) };
    },
  );
  return { tried: tried.length, wrong: pairs.sort((one, other) => other.finds.length - one.finds.length) };
}

/**
 * A hill over the year: finds smoothed by a normal curve of ten days, by day of the year, its peak 1. The year is a ring.
 * @returns 366 heights; none where nothing was found
 */
export function hillOf(days: readonly string[]): readonly number[] {
  if (days.length === 0) return [];
  const at = days.map(dayOfYear);
  const heights = Array.from({ length: 366 }, (_unused, day) =>
    at.reduce((sum, one) => {
      const apart = Math.abs(one - day);
      return sum + Math.exp(-0.5 * (Math.min(apart, 366 - apart) / HILL_DAYS) ** 2);
    }, 0),
  );
  const peak = Math.max(...heights);
  return heights.map((height) => height / peak);
}
const HILL_DAYS = 8;
