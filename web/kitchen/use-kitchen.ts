/** All that the kitchen's views stand on: what was decided and carried, meals, jars, tastings, who eats, what the sheets ask. */
import { basketOf, type Carried, lyingNow } from "@jittery-cap/core";
import { type Eater, type KitchenSheet, recallsOf } from "@jittery-cap/core/kitchen";
import { useLiveQuery } from "dexie-react-hooks";
import { useLatestDecisions } from "../basket/use-latest-decisions.ts";
import type { ShownDecision } from "../documents/decisions.ts";
import { isReadable, type Kept, listKept } from "../documents/documents.ts";
import { useSync } from "../documents/sync.ts";
import { useNow } from "../field-tests/use-now.ts";
import { useShelf } from "../sheets/use-shelf.ts";
import { people } from "./household.ts";

export interface Kitchen {
  readonly decisions: readonly ShownDecision[];
  readonly carried: readonly Carried[];
  readonly meals: readonly Kept<"meal">[];
  readonly batches: readonly Kept<"batch">[];
  readonly tastings: readonly Kept<"tasting">[];
  readonly people: readonly Eater[];
  /** Documents of the kitchen that are there and cannot be read: nothing is said of them, but that. */
  readonly unreadable: number;
  /** The sheets of what is sought. */
  readonly sheets: readonly KitchenSheet[];
  readonly sheetOf: (id: string) => KitchenSheet | undefined;
  readonly now: Date;
}

async function kept() {
  const all = <Name extends "meal" | "batch" | "tasting">(name: Name) => listKept(name, Number.POSITIVE_INFINITY);
  const [meals, batches, tastings, eaters] = await Promise.all([all("meal"), all("batch"), all("tasting"), people()]);
  return {
    meals: meals.filter(isReadable),
    batches: batches.filter(isReadable),
    tastings: tastings.filter(isReadable),
    people: eaters,
    unreadable: [...meals, ...batches, ...tastings].filter((one) => !isReadable(one)).length,
  };
}

/** Undefined while it is looked for; failed where it cannot be known, and then nothing is cooked. */
export function useKitchen(): Kitchen | "failed" | undefined {
  const decisions = useLatestDecisions();
  const hasPulled = useSync((state) => state.hasPulled);
  const sync = useSync((state) => state.state);
  const documents = useLiveQuery(kept);
  const shelf = useShelf("kitchen", (remote) => remote.kitchenSheets());
  // told again every so often, and with whatever was just written: a portion had a moment ago is not still to come
  useNow();
  const now = new Date();
  if (decisions === "failed" || shelf.state === "failed") return "failed";
  if (decisions === undefined || documents === undefined || shelf.state === "asking") return undefined;
  // a device that has never heard from the server does not know what is carried
  if (!hasPulled && decisions.length === 0) return sync === "unreachable" ? "failed" : undefined;
  const sheets = new Map(shelf.reply.map((sheet) => [sheet.id, sheet]));
  return {
    ...documents,
    decisions,
    carried: lyingNow(basketOf(decisions), now.getTime()),
    sheets: shelf.reply,
    sheetOf: (id) => sheets.get(id),
    now,
  };
}

/** What today's answers touch of what was cooked, put up or tasted. */
export const recallsIn = (kitchen: Kitchen) =>
  recallsOf(kitchen.decisions, { batches: kitchen.batches, meals: kitchen.meals, tastings: kitchen.tastings });

const MORNING_HOUR = 7;

/** Seven in the next morning after a moment, by the clock of the place; milliseconds. */
export function nextMorning(after: number): number {
  const day = new Date(after);
  const morning = new Date(day.getFullYear(), day.getMonth(), day.getDate(), MORNING_HOUR);
  if (morning.getTime() <= after) morning.setDate(morning.getDate() + 1);
  return morning.getTime();
}

/** A day by the clock of the place. */
export const localDay = (moment: number): string => new Date(moment).toDateString();
