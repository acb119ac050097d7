/** How long what was picked keeps, and what becomes of it: every deadline counts from the picking. */
import { z } from "zod";

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** A kind that keeps no day keeps these hours (common practice, no source: inkcaps go in an afternoon). */
export const KEEPS_HOURS = 12;

/** When a fresh body has to be cooked or put up, milliseconds. @param coldDays of its sheet @param picked milliseconds */
export const freshUntil = (picked: number, coldDays: number): number =>
  picked + (coldDays === 0 ? KEEPS_HOURS * HOUR_MS : coldDays * DAY_MS);

/** When a find's bodies were picked, milliseconds. Undefined where nobody told: then their time counts as over. */
export function pickedAt(foundAt: string | undefined): number | undefined {
  const time = foundAt === undefined ? Number.NaN : Date.parse(foundAt);
  return Number.isNaN(time) ? undefined : time;
}

/** How a batch is put up for later. */
export const WAYS = ["dried", "frozen", "pickled", "powder", "infusion"] as const;
export type Way = (typeof WAYS)[number];

interface WayFacts {
  readonly name: string;
  /** How it is done, by those who do it. */
  readonly how: string;
  /** Months that a jar keeps. Common practice, no source; the shorter of what is told. */
  readonly months: number;
}

export const WAY_FACTS: Readonly<Record<Way, WayFacts>> = {
  dried: {
    name: "Dried",
    how: "Slices of about 5 mm, at 40 to 50 °C with moving air, until they snap. Airtight, in the dark.",
    months: 12,
  },
  frozen: { name: "Frozen", how: "Cooked first, never raw. The date on it.", months: 6 },
  pickled: {
    name: "Pickled",
    how: "Boiled first; a tested recipe with its acid and salt to the letter. Nothing under oil at room temperature: botulism.",
    months: 12,
  },
  powder: { name: "Powder", how: "Dried until it snaps, then ground: what is too poor to slice.", months: 12 },
  infusion: {
    name: "For infusion",
    how: "Tough brackets, dried and named before drying. No claim is made for any effect.",
    months: 12,
  },
};

/** Why a kind may not be put up in a way, or undefined where it may. */
export function notPutUpAs(
  way: Way,
  handling: {
    readonly infusionOnly?: boolean | undefined;
    readonly kitchen?: { readonly pickles?: boolean | undefined } | undefined;
  },
): string | undefined {
  if ((handling.infusionOnly === true) !== (way === "infusion"))
    return way === "infusion" ? "only tough brackets are for infusions" : "too tough for the pan: for infusions only";
  if (way === "pickled" && handling.kitchen?.pickles !== true)
    return "only small firm saffron milkcaps and ceps are pickled";
  return undefined;
}

const MONTH_DAYS = 30;

/** The last moment of a jar, milliseconds. */
export const keepsUntil = (madeAt: number, way: Way): number => madeAt + WAY_FACTS[way].months * MONTH_DAYS * DAY_MS;

export const waySchema = z.enum(WAYS);
