/** What the kitchen's tests cook. */
import type { Carried } from "../decide/basket.ts";
import type { Batch } from "../kitchen/batch.ts";
import type { Eater } from "../kitchen/eaters.ts";
import { handlingTogether, type KitchenHandling } from "../kitchen/handling.ts";
import type { Meal } from "../kitchen/meal.ts";
import type { ForThePot } from "../kitchen/pot.ts";
import type { Tasting } from "../kitchen/tasting.ts";
import { SHIPPED } from "./shipped.ts";

const SHEETS = new Map(SHIPPED.sheets.map((sheet) => [sheet.id, sheet]));
export const sheetNamed = (id: string) => SHEETS.get(id);

export const HOUR = 3_600_000;
export const DAY = 24 * HOUR;
export const NOON = Date.parse("2026-09-20T12:00:00Z");
export const at = (hours: number): string => new Date(NOON + hours * HOUR).toISOString();
/** Seven in the morning after a moment, by universal time. */
export const nextMorning = (after: number): number => (Math.floor((after - 7 * HOUR) / DAY) + 1) * DAY + 7 * HOUR;
export const dayOf = (moment: number): string => new Date(moment).toISOString().slice(0, 10);

/** @throws where the kinds are not for the pot */
export function handled(...kinds: readonly string[]): KitchenHandling {
  const handling = handlingTogether(kinds, sheetNamed);
  if (handling === undefined) throw new Error(`${kinds.join()} cannot be cooked`);
  return handling;
}

export const FIND = "0193a000-0000-7000-8000-0000000000f1";
export const carriedOf = (more: Partial<Carried> = {}): Carried => ({
  find: FIND,
  label: "ceps under spruce",
  decidedAt: at(-5),
  place: undefined,
  body: "A",
  ending: "basket",
  kinds: ["boletus-edulis"],
  weightG: 240,
  compartment: "others",
  off: [],
  toComeOff: [],
  takenBack: undefined,
  ...more,
});

export const forThePot = (more: Partial<ForThePot> = {}): ForThePot => ({
  carried: carriedOf(),
  handling: handled("boletus-edulis"),
  conditions: [],
  met: new Set(),
  ticked: new Set(),
  sorted: { as: "as-recorded", at: at(-1) },
  picked: NOON - 6 * HOUR,
  elsewhere: undefined,
  ...more,
});

export const HANNE = "0193a000-0000-7000-8000-0000000000a1";
export const JORUN = "0193a000-0000-7000-8000-0000000000a2";
export const eaterOf = (more: Partial<Eater> = {}): Eater => ({ id: HANNE, name: "Hanne", matters: [], ...more });

export const mealOf = (more: Partial<Meal> = {}): Meal => ({
  at: at(0),
  items: [{ find: FIND, body: "A", kinds: ["boletus-edulis"], grams: 240 }],
  seats: [{ person: HANNE }],
  ticks: [],
  stove: { rings: 2, pans: 2, pots: 1, hands: 1 },
  pans: [],
  ...more,
});

export const batchOf = (more: Partial<Batch> = {}): Batch => ({
  code: "7K2QX",
  way: "dried",
  kinds: ["boletus-edulis"],
  from: [{ find: FIND, body: "A" }],
  madeAt: at(-2),
  gramsIn: 240,
  gramsOut: 24,
  ticks: [],
  took: [],
  recalls: [],
  ...more,
});

export const tastingOf = (more: Partial<Tasting> = {}): Tasting => ({
  person: HANNE,
  kinds: ["boletus-edulis"],
  find: FIND,
  body: "A",
  begunAt: at(-3),
  portions: [],
  raw: { where: "cellar, blue box", at: at(-3) },
  felt: [],
  ...more,
});
