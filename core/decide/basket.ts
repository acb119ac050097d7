/** What is carried home: which compartment, what may lie with what, and what a person's own limits leave. */
import type { Body } from "../find/schema.ts";
import type { ConditionCode } from "../judge/verdict.ts";
import type { BodyEnding } from "./decision.ts";
import { isAmongFood } from "./endings.ts";
import type { Limit } from "./settled.ts";
import { stillToComeOff, type Trimming, takenOff } from "./trimming.ts";

export const COMPARTMENTS = ["cook-only", "others", "apart-from-food"] as const;
export type Compartment = (typeof COMPARTMENTS)[number];

/** What of a decision the basket needs. */
export interface DecidedFind {
  /** The record as it is now, where it is known: weights are told after deciding. */
  readonly current?: DecidedFind["find"];
  readonly find: {
    readonly id: string;
    readonly label?: string | undefined;
    readonly place?: { readonly name?: string | undefined } | undefined;
    readonly bodies: readonly {
      readonly id: string;
      readonly measures?: { readonly weightG?: number | undefined } | undefined;
      readonly larvaeParts?: Body["larvaeParts"];
    }[];
  };
  readonly decidedAt: string;
  readonly endings: readonly BodyEnding[];
  readonly answer: { readonly restsOn: readonly string[]; readonly conditions?: readonly string[] | undefined };
  /** What today's sheets say of the record that was decided. */
  readonly today: { readonly verdict: "leave" | "hold" | "basket" };
}

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
  /** Decided as food, but today's sheets no longer clear it: it goes apart. */
  readonly takenBack: boolean;
}

/** Endings that are carried home, but not as food yet. */
const CARRIED_APART: ReadonlySet<BodyEnding["ending"]> = new Set<BodyEnding["ending"]>([
  "home-to-finish",
  "puzzle-kept-open",
]);
const COOK_ONLY: readonly ConditionCode[] = ["raw-poisonous", "boil-first"];

/** The bodies that are carried, each in its compartment. What today's sheets no longer clear lies apart from food. */
export function basketOf(decisions: readonly DecidedFind[]): readonly Carried[] {
  return decisions.flatMap(({ find, current = find, decidedAt, endings, answer, today }) =>
    endings.flatMap((told): Carried[] => {
      const { body, ending } = told;
      const food = isAmongFood(ending);
      if (!food && !CARRIED_APART.has(ending)) return [];
      const cleared = today.verdict === "basket";
      const cookOnly = ending === "must-be-cooked" || COOK_ONLY.some((code) => answer.conditions?.includes(code));
      const record = current.bodies.find((one) => one.id === body);
      return [
        {
          find: find.id,
          label: find.label ?? "a find without a name",
          decidedAt,
          place: current.place?.name,
          body,
          ending,
          kinds: answer.restsOn,
          weightG: record?.measures?.weightG,
          off: takenOff(told),
          toComeOff: stillToComeOff(record, told, answer.conditions),
          compartment: !food || !cleared ? "apart-from-food" : cookOnly ? "cook-only" : "others",
          takenBack: food && !cleared,
        },
      ];
    }),
  );
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
