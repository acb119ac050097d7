/** What a character is, and the lists of states that several of them share. */

/** Evidence that could be wrong for the same reason: it counts once. */
export const FAMILIES = [
  "base",
  "ring",
  "veil-remnants",
  "underside",
  "gill-structure",
  "spore-colour",
  "flesh",
  "latex",
  "smell",
  "stem",
  "cap-surface",
  "cap-colour",
  "size",
  "growth",
  "spore-size",
] as const;
export type Family = (typeof FAMILIES)[number];

export const CAP_COLOURS = [
  "white",
  "cream",
  "buff",
  "yellow",
  "orange",
  "red",
  "pink",
  "wine-red",
  "brown",
  "red-brown",
  "grey",
  "olive",
  "green",
  "yellow-green",
  "lilac",
  "purple",
  "blue",
  "black",
  "ochre",
  "tawny",
] as const;

export const STAINS = [
  "none",
  "faint-yellow",
  "chrome-yellow",
  "orange",
  "pink",
  "red",
  "wine-red",
  "slight-blue",
  "strong-blue",
  "green",
  "grey-black",
  "brown",
  "lilac",
] as const;

export const SMELLS = [
  "mushroomy",
  "aniseed",
  "almond",
  "chemical",
  "mealy",
  "rancid",
  "radish",
  "floral",
  "fruity-apricot",
  "fishy",
  "honey",
  "garlic",
  "urine",
  "soapy",
  "coconut",
  "smoky",
  "nutty",
  "sweet",
  "litter",
  "glue",
  "coumarin",
  "pleasant-unnamed",
  "unpleasant-unnamed",
  "none",
] as const;

/** One thing that can be looked at. */
export interface CharacterDefinition {
  readonly family: Family;
  /** Looked at once for the whole find, or on each body. */
  readonly of: "site" | "body";
  /** Several states may hold at once. */
  readonly many: boolean;
  /** What is true of it changes with the age of the body. */
  readonly byAge: boolean;
  /** Its contradiction can carry a "ruled out"; the rest are soft. See `isHardLook` for those that are so at times only. */
  readonly hard: boolean;
  readonly states: readonly string[];
}

/** One line of the table of characters. */
export function character(
  of: "site" | "body",
  family: Family,
  flags: "" | "many" | "age" | "age many" | "hard" | "many hard" | "age hard" | "age many hard",
  states: readonly string[],
): CharacterDefinition {
  return {
    of,
    family,
    many: flags.includes("many"),
    byAge: flags.includes("age"),
    hard: flags.includes("hard"),
    states,
  };
}
