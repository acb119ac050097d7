/** From any jar or meal to its finds and back; and what a changed answer touches: every jar, meal, tasting and person, at once. */
import type { DecidedFind, TakenBack } from "../decide/basket.ts";
import { whyTakenBack } from "../decide/basket.ts";
import { isAmongFood } from "../decide/endings.ts";
import { type Batch, leftOf } from "./batch.ts";
import type { Meal } from "./meal.ts";
import type { Tasting } from "./tasting.ts";

export interface Held<Content> {
  readonly id: string;
  readonly content: Content;
}

/** What became of a body that was decided as food. */
export interface Became {
  readonly batches: readonly Held<Batch>[];
  readonly meals: readonly Held<Meal>[];
  readonly tastings: readonly Held<Tasting>[];
}

/** Everything that was made of a body: its own meals, its jars, the meals of those jars, its tastings. */
export function becameOf(find: string, body: string, all: Became): Became {
  const isOf = (one: { readonly find: string; readonly body: string }) => one.find === find && one.body === body;
  const batches = all.batches.filter(({ content }) => content.from.some(isOf));
  const jars = new Set(batches.map(({ id }) => id));
  return {
    batches,
    meals: all.meals.filter(({ content }) =>
      content.items.some((item) => isOf(item) || (item.batch !== undefined && jars.has(item.batch))),
    ),
    tastings: all.tastings.filter(({ content }) => isOf(content)),
  };
}

export interface Recall extends Became {
  readonly find: string;
  readonly label: string;
  readonly bodies: readonly { readonly body: string; readonly why: TakenBack }[];
  /** Jars of which something is left, or of which nobody knows how much. */
  readonly jarsLeft: readonly Held<Batch>[];
  /** Whoever was served of it, by id. */
  readonly persons: readonly string[];
  /** Whether somebody said of every jar that has something left what was done with it, since the decision. */
  readonly isAnswered: boolean;
}

/**
 * What today's answers touch: finds of which a body was decided as food, is not cleared any more, and has become something.
 * @param decided every decision of every find that counts, the latest of each
 */
export function recallsOf(decided: readonly DecidedFind[], all: Became): readonly Recall[] {
  const known = decided.flatMap(({ find, current, endings, today }) => {
    const bodies = endings.flatMap(({ body, ending }) => {
      if (!isAmongFood(ending)) return [];
      const why = whyTakenBack(body, current, today);
      return why === undefined ? [] : [{ body, why }];
    });
    return recallOf(find.id, (current ?? find).label, bodies, all) ?? [];
  });
  return [
    ...known,
    ...lostFinds(decided, all).flatMap(({ find, bodies }) => recallOf(find, undefined, bodies, all) ?? []),
  ];
}

/** Finds that something was made of, and of which no decision is at hand any more: put away, or never heard of. */
function lostFinds(decided: readonly DecidedFind[], all: Became) {
  const at = new Set(decided.map(({ find }) => find.id));
  const made = [
    ...all.batches.flatMap(({ content }) => content.from),
    ...all.meals.flatMap(({ content }) => (content.served === undefined ? [] : content.items)),
    ...all.tastings.map(({ content }) => content),
  ].filter(({ find }) => !at.has(find));
  return [...new Set(made.map(({ find }) => find))].map((find) => ({
    find,
    bodies: [...new Set(made.filter((one) => one.find === find).map(({ body }) => body))].map((body) => ({
      body,
      why: "unknown" as const,
    })),
  }));
}

function recallOf(find: string, label: string | undefined, bodies: Recall["bodies"], all: Became): Recall | undefined {
  const became = bodies.map(({ body }) => becameOf(find, body, all));
  const batches = once(became.flatMap((each) => each.batches));
  const meals = once(became.flatMap((each) => each.meals)).filter(({ content }) => content.served !== undefined);
  const tastings = once(became.flatMap((each) => each.tastings)).filter(({ content }) => content.portions.length > 0);
  if (batches.length + meals.length + tastings.length === 0) return undefined;
  const jarsLeft = batches.filter(({ content }) => leftOf(content) !== 0);
  return {
    find,
    label: label ?? "a find without a name",
    bodies,
    batches,
    meals,
    tastings,
    jarsLeft,
    persons: [
      ...new Set([
        ...meals.flatMap(({ content }) => content.served?.portions.map((portion) => portion.person) ?? []),
        ...tastings.map(({ content }) => content.person),
      ]),
    ],
    isAnswered: jarsLeft.every(({ content }) => content.recalls.some((answer) => answer.find === find)),
  };
}

function once<Content>(all: readonly Held<Content>[]): readonly Held<Content>[] {
  return [...new Map(all.map((one) => [one.id, one])).values()];
}

/** "Three jars and one meal rest on this find." */
export function recallWords({ jarsLeft, batches, meals, tastings }: Recall): string {
  const parts = [
    counted(batches.length, "jar", "jars") +
      (batches.length > 0 && jarsLeft.length < batches.length ? ` (${jarsLeft.length} with something left)` : ""),
    counted(meals.length, "meal", "meals"),
    counted(tastings.length, "tasting", "tastings"),
  ].filter((text) => text !== "");
  const all = parts.length > 1 ? `${parts.slice(0, -1).join(", ")} and ${parts.at(-1)}` : (parts[0] ?? "");
  const isOne = batches.length + meals.length + tastings.length === 1;
  return `${all.charAt(0).toUpperCase()}${all.slice(1)} ${isOne ? "rests" : "rest"} on this find.`;
}

const NUMBERS = ["no", "one", "two", "three", "four", "five", "six"];
const counted = (count: number, one: string, many: string): string =>
  count === 0 ? "" : `${NUMBERS[count] ?? count} ${count === 1 ? one : many}`;
