/** Who of the table may have how much of what, who may not and why, and from when to when nobody of them drinks. */
import {
  EATER_REFUSAL_WORDS,
  type Eater,
  type EaterRefusal,
  type EaterToday,
  isNoneAtAll,
  type KindForEater,
  PORTION_GRAMS,
  refusedAltogether,
  refusedOfKind,
} from "./eaters.ts";
import type { KitchenHandling } from "./handling.ts";
import { kindKey } from "./kind-key.ts";
import type { Meal } from "./meal.ts";
import { TASTING_STEPS } from "./tasting.ts";

/** A person at the table with what is known of them. */
export interface AtTable {
  readonly eater: Eater;
  readonly today: EaterToday;
  /** Kinds that they have had before without trouble, by their word or by a tasting that ended well. */
  readonly known: ReadonlySet<string>;
  /** Kinds of tastings that ended with something felt. */
  readonly troubled?: ReadonlySet<string>;
  /** Days before, in a row, on which they had wild mushrooms. */
  readonly wildDays: number;
}

export interface Share {
  readonly person: string;
  /** The kinds, joined. */
  readonly kind: string;
  /** As much as they may have, grams of fresh weight; nought where they may not. */
  readonly most: number;
  readonly refusals: readonly EaterRefusal[];
  readonly why: string | undefined;
}

/**
 * What each person may have of each kind.
 * @param pot what comes to the pot, each kind once @param servedAt milliseconds
 * @param without kinds that a person would rather not have, joined
 */
export function sharesOf(
  table: readonly AtTable[],
  pot: readonly KitchenHandling[],
  servedAt: number,
  without: (person: string) => ReadonlySet<string> = () => new Set(),
): readonly Share[] {
  return table.flatMap(({ eater, today, known, wildDays, troubled }) => {
    const altogether = refusedAltogether(eater, wildDays);
    const wanted = pot.filter((one) => !without(eater.id).has(kindKey(one.kinds)));
    const forEater = wanted.map(
      (one): KindForEater => ({
        sheet: kindKey(one.kinds),
        alcoholHours: one.alcoholHours,
        // known together, or each of the kinds that it may be by itself
        isKnown: known.has(kindKey(one.kinds)) || one.kinds.every((kind) => known.has(kind)),
        hadTrouble: one.kinds.some(
          (kind) =>
            troubled?.has(kind) === true ||
            eater.had?.some((before) => before.kind === kind && before.trouble) === true,
        ),
      }),
    );
    return wanted.map((one, index): Share => {
      const own = forEater[index];
      const refusals =
        altogether.length > 0 || own === undefined ? altogether : refusedOfKind(own, forEater, today, servedAt);
      return {
        person: eater.id,
        kind: kindKey(one.kinds),
        most: mostOf(one, refusals, eater),
        refusals,
        why: refusals.length === 0 ? undefined : refusals.map((refusal) => EATER_REFUSAL_WORDS[refusal]).join("; "),
      };
    });
  });
}

function mostOf(handling: KitchenHandling, refusals: readonly EaterRefusal[], eater: Eater): number {
  if (refusals.some((one) => isNoneAtAll(one) || one !== "new-kind")) return 0;
  const whole = handling.smallPortion || eater.matters.includes("frail") ? PORTION_GRAMS.small : PORTION_GRAMS.meal;
  // a kind that is new to somebody is tasted: its first portion and no more
  return refusals.includes("new-kind") ? TASTING_STEPS[0].grams : whole;
}

/** A stretch without alcohol for those who have so much as a spoon of a kind, milliseconds. */
export interface DryStretch {
  readonly kind: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** For everybody at the table: a glass is passed on, and a sauce is everywhere. */
export function dryStretches(pot: readonly KitchenHandling[], servedAt: number): readonly DryStretch[] {
  return pot.flatMap(({ kinds, name, alcoholHours }) =>
    alcoholHours === undefined
      ? []
      : [
          {
            kind: kindKey(kinds),
            name,
            from: servedAt - alcoholHours[0] * HOUR_MS,
            to: servedAt + alcoholHours[1] * HOUR_MS,
          },
        ],
  );
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/**
 * On how many days before a meal, in a row, a person had wild mushrooms.
 * @param dayOf the day of a moment by the clock of the place, such as 2026-09-20
 */
export function wildDaysBefore(
  meals: readonly Meal[],
  person: string,
  servedAt: number,
  dayOf: (moment: number) => string,
): number {
  const days = new Set(
    meals.flatMap(({ served }) =>
      served?.portions.some((one) => one.person === person) === true ? [dayOf(Date.parse(served.at))] : [],
    ),
  );
  let count = 0;
  while (days.has(dayOf(servedAt - (count + 1) * DAY_MS))) count += 1;
  return count;
}

/**
 * What is wrong with what was served: a person who may not, more than they may, a time still to come, more than there was.
 * Nothing is served then.
 */
export function servingFaults(
  portions: readonly { readonly person: string; readonly kind: string; readonly grams: number }[],
  shares: readonly Share[],
  grams: ReadonlyMap<string, number>,
): readonly string[] {
  const faults = portions.flatMap(({ person, kind, grams: had }) => {
    const share = shares.find((one) => one.person === person && one.kind === kind);
    if (share === undefined) return ["somebody is served who does not sit there, or of a kind that is not in the pot"];
    if (share.most === 0) return [share.why ?? "may not have it"];
    return had > share.most ? [`more than ${share.most} g for one person`] : [];
  });
  for (const [kind, there] of grams) {
    const all = portions.filter((one) => one.kind === kind).reduce((sum, one) => sum + one.grams, 0);
    if (all > there) faults.push(`more is served than the ${Math.round(there)} g that were cooked`);
  }
  return faults;
}

/** Equal shares of what there is, none above what a person may have. */
export function sharedOut(
  shares: readonly Share[],
  grams: ReadonlyMap<string, number>,
): readonly { person: string; kind: string; grams: number }[] {
  const may = shares.filter((one) => one.most > 0);
  return may
    .map(({ person, kind, most }) => {
      const among = may.filter((one) => one.kind === kind).length;
      return { person, kind, grams: Math.floor(Math.min(most, (grams.get(kind) ?? 0) / among)) };
    })
    .filter((one) => one.grams > 0);
}
