/** What is carried home: which compartment, what may lie with what, and what a person's own limits leave. */
import type { Body } from "../find/schema.ts";
import type { Limit } from "../settings/settings.ts";
import type { ConditionCode } from "../words/reason-words.ts";
import type { BodyEnding, Trimming } from "./body-ending.ts";
import { isAmongFood } from "./endings.ts";
import type { Standing } from "./standing.ts";
import { stillToComeOff, takenOff } from "./trimming.ts";

export const COMPARTMENTS = ["cook-only", "others", "apart-from-food"] as const;
export type Compartment = (typeof COMPARTMENTS)[number];

/** What of a record the basket needs. */
export interface CarriedRecord {
  readonly id: string;
  readonly label?: string | undefined;
  readonly place?: { readonly name?: string | undefined } | undefined;
  readonly bodies: readonly {
    readonly id: string;
    readonly keep?: boolean | undefined;
    readonly measures?: { readonly weightG?: number | undefined } | undefined;
    readonly larvaeParts?: Body["larvaeParts"];
    readonly parted?: Body["parted"];
  }[];
}

/** What of a decision the basket needs. */
export interface DecidedFind {
  /** The record that was decided. */
  readonly find: CarriedRecord;
  /** The record as it is now; undefined where that is not known, and then nothing of it is food. */
  readonly current: CarriedRecord | undefined;
  readonly decidedAt: string;
  readonly endings: readonly BodyEnding[];
  readonly today: Standing;
}

/** Why a body that was decided as food is food no longer. */
export const TAKEN_BACK = ["gone", "not-kept", "not-cleared", "unknown"] as const;
export type TakenBack = (typeof TAKEN_BACK)[number];

/** The same, as the basket says it. */
export const TAKEN_BACK_WORDS: Readonly<Record<TakenBack, string>> = {
  gone: "it is not in the record any more: take it out",
  "not-kept": "the record does not keep it any more: take it out",
  "not-cleared": "today's answer does not clear it: take it out",
  unknown: "how its record stands now is not known: hold it apart",
};

/** One body in the basket. */
export interface Carried {
  readonly find: string;
  readonly label: string;
  /** When it was decided. */
  readonly decidedAt: string;
  /** The place's own name, where it has one. */
  readonly place: string | undefined;
  readonly body: string;
  readonly ending: BodyEnding["ending"];
  readonly kinds: readonly string[];
  readonly weightG: number | undefined;
  readonly compartment: Compartment;
  /** What was cut off it, and what has still to come off before it is cooked. */
  readonly off: readonly Trimming[];
  readonly toComeOff: readonly Trimming[];
  /** Decided as food, and food no longer: it goes apart, and why. */
  readonly takenBack: TakenBack | undefined;
}

/** Endings that are carried home, but not as food yet. */
const CARRIED_APART: ReadonlySet<BodyEnding["ending"]> = new Set<BodyEnding["ending"]>([
  "home-to-finish",
  "puzzle-kept-open",
]);
const COOK_ONLY: readonly ConditionCode[] = ["raw-poisonous", "boil-first"];

/**
 * The bodies that are carried, each in its compartment. Food is what the frozen record and today's both clear, body by
 * body; whatever is no longer there, kept or cleared lies apart from it and says so.
 */
export function basketOf(decisions: readonly DecidedFind[]): readonly Carried[] {
  return decisions.flatMap(({ find, current, decidedAt, endings, today }) =>
    endings.flatMap((told): Carried[] => {
      const { body, ending } = told;
      const food = isAmongFood(ending);
      if (!food && !CARRIED_APART.has(ending)) return [];
      const takenBack = food ? whyTakenBack(body, current, today) : undefined;
      const cookOnly = ending === "must-be-cooked" || COOK_ONLY.some((code) => today.conditions.includes(code));
      const record = current?.bodies.find((one) => one.id === body);
      // it has left the basket since: a later decision would put it back
      if (record?.parted !== undefined && Date.parse(record.parted.at) >= Date.parse(decidedAt)) return [];
      return [
        {
          find: find.id,
          label: (current ?? find).label ?? "a find without a name",
          decidedAt,
          place: (current ?? find).place?.name,
          body,
          ending,
          kinds: today.restsOn,
          weightG: record?.measures?.weightG,
          off: takenOff(told),
          toComeOff: stillToComeOff(record, told, today.conditions),
          compartment: !food || takenBack !== undefined ? "apart-from-food" : cookOnly ? "cook-only" : "others",
          takenBack,
        },
      ];
    }),
  );
}

/**
 * No kind lies fresh for longer, days: hedgehog and winter chanterelle keep about two weeks in the cold (common practice, no source),
 * and a week is added for whoever is late.
 */
const LIES_DAYS = 21;
const DAY_MS = 24 * 60 * 60 * 1000;

/**
 * What of it can still lie there: food that was decided so long ago was eaten, put up or thrown away, whether anybody told or not, and
 * is not offered as food again. What lies apart from food stays until somebody takes it out.
 * @param now milliseconds
 */
export const lyingNow = (carried: readonly Carried[], now: number): readonly Carried[] =>
  carried.filter(
    ({ compartment, decidedAt }) =>
      compartment === "apart-from-food" || now - Date.parse(decidedAt) <= LIES_DAYS * DAY_MS,
  );

/** Why a body that was decided as food is food no longer; undefined where it still is. */
export function whyTakenBack(body: string, current: CarriedRecord | undefined, today: Standing): TakenBack | undefined {
  if (current === undefined) return "unknown";
  const record = current.bodies.find((one) => one.id === body);
  if (record === undefined) return "gone";
  if (record.keep === false) return "not-kept";
  return today.cleared.includes(body) ? undefined : "not-cleared";
}

/** Why two bodies may not lie together, or undefined where they may. */
export function apartBecause(one: Carried, other: Carried): string | undefined {
  if ((one.compartment === "apart-from-food") !== (other.compartment === "apart-from-food"))
    return "what is not named yet never lies with food";
  if (one.compartment !== other.compartment) return "raw-poisonous ones lie apart from what is not cooked";
  if (one.find !== other.find && one.kinds.join() !== other.kinds.join()) return "kinds lie apart, each in its own bag";
  return undefined;
}

/** How a limit stands. */
export interface LimitState {
  readonly limit: Limit;
  readonly grams: number;
  readonly pieces: number;
  /** Bodies without a weight: the grams are more than they seem. */
  readonly unweighed: number;
  readonly over: boolean;
}

/** What was decided on the same day as a moment, by the clock of the place. */
export function ofDay(carried: readonly Carried[], day: string, dayOf: (moment: string) => string): readonly Carried[] {
  return carried.filter((one) => dayOf(one.decidedAt) === day);
}

/** Counts what is carried as food against limits for a day; a body without a weight is never taken for weightless. */
export function countLimits(carried: readonly Carried[], limits: readonly Limit[]): readonly LimitState[] {
  return limits.map((limit) => {
    const counted = carried.filter(
      (one) =>
        one.compartment !== "apart-from-food" &&
        (limit.kind === "all" || one.kinds.includes(limit.kind)) &&
        (limit.place === undefined || one.place === limit.place),
    );
    const grams = counted.reduce((sum, one) => sum + (one.weightG ?? 0), 0);
    return {
      limit,
      grams,
      pieces: counted.length,
      unweighed: counted.filter((one) => one.weightG === undefined).length,
      over:
        (limit.grams !== undefined && grams > limit.grams) ||
        (limit.pieces !== undefined && counted.length > limit.pieces),
    };
  });
}
