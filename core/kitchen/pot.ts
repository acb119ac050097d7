/** What may come to the pot, body by body, and what is still missing of the rest. "Cook all the same" does not exist. */
import type { Carried } from "../decide/basket.ts";
import { TAKEN_BACK_WORDS } from "../decide/basket.ts";
import type { SortedAs } from "../find/vocabulary.ts";
import { CONDITION_WORDS, type ConditionCode } from "../words/reason-words.ts";
import type { KitchenHandling } from "./handling.ts";
import { freshUntil } from "./keeping.ts";

/** Conditions that other people, books or the record itself fulfil: a tick of one's own does not. */
export const NOT_BY_TICK: ReadonlySet<ConditionCode> = new Set<ConditionCode>([
  "second-person",
  "two-books",
  "weather-untold",
]);

export interface ForThePot {
  readonly carried: Carried;
  /** What its kinds ask together; undefined where a sheet of them says nothing of the kitchen. */
  readonly handling: KitchenHandling | undefined;
  /** What has to hold before it is cooked, by the answer of today. */
  readonly conditions: readonly ConditionCode[];
  /** Those that people, books and the record fulfil. */
  readonly met: ReadonlySet<string>;
  readonly ticked: ReadonlySet<string>;
  /** The look at the table. */
  readonly sorted: { readonly as: SortedAs; readonly at: string } | undefined;
  /** When it was picked, milliseconds. */
  readonly picked: number | undefined;
  /** In what else it is: a body is eaten once. */
  readonly elsewhere: "meal" | "batch" | undefined;
}

export interface Missing {
  readonly code:
    | "apart"
    | "unsorted"
    | "stranger"
    | "kitchen-unknown"
    | "too-tough"
    | "picked-untold"
    | "too-old"
    | "elsewhere"
    | "no-weight"
    | "tasting"
    | "trim"
    | "condition";
  readonly text: string;
  /** Of a condition: which, and whether a tick of one's own fulfils it. */
  readonly condition?: ConditionCode;
  readonly byTick?: boolean;
}

/**
 * What is missing before a body may be cooked; nothing where it may come to the pot.
 * @param now milliseconds @param way what becomes of it: the pot, or a jar for infusions
 */
export function missingForPot(
  one: ForThePot,
  now: number,
  way: "pot" | "infusion" | "jar" = "pot",
): readonly Missing[] {
  const { carried, handling, sorted, picked, elsewhere } = one;
  const missing: Missing[] = [];
  const say = (code: Missing["code"], text: string) => missing.push({ code, text });
  if (carried.compartment === "apart-from-food")
    say(
      "apart",
      carried.takenBack === undefined ? "not named yet: it lies apart from food" : TAKEN_BACK_WORDS[carried.takenBack],
    );
  if (elsewhere !== undefined) say("elsewhere", elsewhere === "meal" ? "it is in another meal" : "it is in a jar");
  if (carried.ending === "first-tasting") say("tasting", "it was kept for a first tasting");
  if (sorted?.as === "stranger") say("stranger", "at the table it looked like another: back to its own find");
  else if (
    sorted === undefined ||
    !(Date.parse(sorted.at) >= Date.parse(carried.decidedAt)) ||
    !(Date.parse(sorted.at) <= now)
  )
    say("unsorted", "not looked at once more at the table");
  if (handling === undefined) say("kitchen-unknown", "a sheet that it rests on says nothing of the kitchen");
  else {
    if (handling.infusionOnly !== (way === "infusion"))
      say("too-tough", handling.infusionOnly ? "too tough for the pan: for infusions only" : "it is not for infusions");
    if (picked === undefined || picked > now) say("picked-untold", "nobody told when it was picked");
    else if (now > freshUntil(picked, handling.coldDays))
      say("too-old", `its days in the cold are over by then: ${daysWords(handling.coldDays)} from picking`);
  }
  if (carried.weightG === undefined) say("no-weight", "not weighed");
  if (carried.toComeOff.length > 0) say("trim", `still to come off: ${carried.toComeOff.join(" and ")}`);
  for (const code of one.conditions)
    if (!one.met.has(code) && (NOT_BY_TICK.has(code) || !one.ticked.has(code)))
      missing.push({ code: "condition", text: CONDITION_WORDS[code], condition: code, byTick: !NOT_BY_TICK.has(code) });
  return missing;
}

const daysWords = (days: number): string => (days === 0 ? "hours" : days === 1 ? "one day" : `${days} days`);
