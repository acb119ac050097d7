/** What to carry, by what is likely there; what was missed last time comes first. */
import type { SeasonSheet } from "./stands-there.ts";

/** Everything that may be carried, in the order of use. */
export const ITEMS = [
  "split-card",
  "knife",
  "trowel",
  "ruler",
  "hand-lens",
  "paper-bags",
  "unknown-box",
  "basket",
  "cover-cup",
  "water",
  "light",
  "warm-hand",
] as const;
export type Item = (typeof ITEMS)[number];

export const ITEM_WORDS: Readonly<Record<Item, string>> = {
  "split-card": "split card, black and white",
  knife: "knife",
  trowel: "trowel, to lift a foot whole",
  ruler: "ruler",
  "hand-lens": "hand lens",
  "paper-bags": "paper bags, one a kind",
  "unknown-box": "box for the unknown, never with food",
  basket: "basket with a partition",
  "cover-cup": "cup to cover a print",
  water: "water, also to rinse hands",
  light: "head torch",
  "warm-hand": "hand warmer: cold silences stain and smell",
};

/** One item, and why. */
export interface ToCarry {
  readonly item: Item;
  readonly because: string;
  readonly wasMissed: boolean;
}

export interface PackingFor {
  /** The kinds that are likely there, and the dangers that stand with them. */
  readonly likely: readonly SeasonSheet[];
  readonly dangers: readonly SeasonSheet[];
  /** The mean of the day, °C, where it is told. */
  readonly tempC?: number | undefined;
  /** Whether the way back may end in the dark. */
  readonly endsLate: boolean;
  /** What was missed on the last outing. */
  readonly missed: readonly string[];
}

/** At and below this, °C, stain and smell are silent. The same bound as the judge's mask of cold. */
const COLD_C = 5;

const GENERA_WITH_SACS = /^amanita-|^volvariella-|^volvopluteus-/;
const ON_WOOD = new Set(["standing-dead-wood", "stump", "fallen-wood", "living-trunk", "buried-wood"]);

/** What to carry: what is always carried, and what the kinds and the day ask for. */
export function toCarry({ likely, dangers, tempC, endsLate, missed }: PackingFor): readonly ToCarry[] {
  const sacs = dangers.filter(({ id }) => GENERA_WITH_SACS.test(id)).length;
  const wood = likely.filter(({ substrate }) => substrate.some((one) => ON_WOOD.has(one))).length;
  const kinds = likely.length;
  const because: Readonly<Partial<Record<Item, string>>> = {
    "split-card": "a white print shows on black alone, a dark one on white",
    knife: "cut, bisect, clean where it stands",
    trowel:
      sacs > 0
        ? `${count(sacs, "danger")} there ${sacs === 1 ? "has its" : "have their"} mark in the ground`
        : "a foot that was not lifted is not seen",
    ruler: "sizes, and how large one was left",
    "hand-lens": wood > 0 ? "rings and scales of small ones on wood" : "pores, hairs, dots on a stem",
    "paper-bags":
      kinds > 0
        ? `${count(kinds, "sought kind")} may stand there; kinds never lie together`
        : "kinds never lie together",
    "unknown-box": "what is not named lies with nothing that is",
    basket: "what is poisonous raw lies apart",
    "cover-cup": "a print needs still air from the first minute",
    water: "to drink, and for hands that touched what is not known",
    ...(endsLate ? { light: "the way back may end in the dark" } : {}),
    ...(tempC !== undefined && tempC <= COLD_C ? { "warm-hand": `about ${Math.round(tempC)} °C` } : {}),
  };
  return ITEMS.flatMap((item): ToCarry[] => {
    const why = because[item];
    const wasMissed = missed.includes(item);
    return why === undefined && !wasMissed ? [] : [{ item, because: why ?? "missed last time", wasMissed }];
  }).sort((one, other) => Number(other.wasMissed) - Number(one.wasMissed));
}

const count = (number: number, noun: string): string => `${number} ${noun}${number === 1 ? "" : "s"}`;
