/** Plain words for characters, families and states, for texts that people read. */
import type { CharacterId, Family } from "./vocabulary.ts";

/** A character in plain words, with the field's standard term where it differs. */
export interface CharacterWords {
  readonly plain: string;
  readonly term?: string;
}

export const CHARACTER_WORDS: Readonly<Record<CharacterId, CharacterWords>> = {
  habitat: { plain: "where it grows", term: "habitat" },
  substrate: { plain: "what it grows from", term: "substrate" },
  host: { plain: "trees near", term: "host" },
  growth: { plain: "how they stand", term: "growth" },
  underside: { plain: "underside", term: "hymenophore" },
  "gill-fold": { plain: "pushed with a finger" },
  "underside-colour": { plain: "colour of the underside" },
  "gill-attachment": { plain: "how the gills meet the stem", term: "attachment of lamellae" },
  "gill-spacing": { plain: "how close the gills stand", term: "spacing" },
  "short-gills": { plain: "short gills between", term: "lamellulae" },
  "gill-texture": { plain: "feel of the gills" },
  "gill-colour": { plain: "gill colour", term: "lamellae" },
  "pore-colour": { plain: "pore colour" },
  "spore-print": { plain: "spore print" },
  "cap-shape": { plain: "cap shape", term: "pileus" },
  "cap-colour": { plain: "cap colour" },
  "cap-colour-centre": { plain: "colour of the middle" },
  "two-toned": { plain: "two shades as it dries", term: "hygrophanous" },
  "cap-surface": { plain: "cap surface", term: "pileipellis" },
  "cap-zones": { plain: "zones" },
  "cap-edge-band": { plain: "band at the edge" },
  "cap-margin": { plain: "cap edge", term: "margin" },
  "veil-on-cap": { plain: "warts or patches on the cap", term: "universal veil" },
  ring: { plain: "ring", term: "annulus" },
  "ring-colour": { plain: "ring colour" },
  "ring-place": { plain: "where the ring sits" },
  "stem-surface": { plain: "stem surface", term: "stipe" },
  "stem-marking-colour": { plain: "colour of the marks on the stem" },
  "stem-inside": { plain: "inside of the stem" },
  "stem-texture": { plain: "how the stem breaks" },
  "stem-colour": { plain: "stem colour" },
  base: { plain: "shape of the foot", term: "volva, bulb" },
  "flesh-colour": { plain: "flesh", term: "context" },
  "stain-cut": { plain: "cut flesh turns" },
  "stain-stem": { plain: "cut stem turns" },
  "stain-base": { plain: "nicked foot turns" },
  "stain-rub": { plain: "scratched cap turns" },
  "stain-pores": { plain: "pressed pores turn" },
  "stain-ring": { plain: "handled ring turns" },
  "stain-speed": { plain: "how fast it turned" },
  latex: { plain: "milk", term: "latex" },
  smell: { plain: "smell" },
  bisection: { plain: "halved from top to bottom" },
  bend: { plain: "bent" },
};

/** A family of evidence in the words of the board. */
export const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  base: "foot",
  ring: "ring",
  "veil-remnants": "remnants",
  underside: "underside",
  "gill-structure": "gill build",
  "spore-colour": "spore colour",
  flesh: "flesh, stain",
  latex: "milk",
  smell: "smell",
  stem: "stem",
  "cap-surface": "cap",
  "cap-colour": "cap colour",
  size: "size",
  growth: "growth",
  "spore-size": "spore size",
};

/** A state in plain words: the identifier without its hyphens, save where that would mislead. */
export function stateWords(character: string, state: string): string {
  if (state === "none") return character === "smell" ? "no smell" : "none";
  if (state === "yes") return "two shades";
  if (state === "no") return "one shade";
  if (state === "pleasant-unnamed") return "pleasant, cannot name it";
  if (state === "unpleasant-unnamed") return "unpleasant, cannot name it";
  return state.replaceAll("-", " ");
}

/** Words joined as people say them: "a", "a or b", "a, b or c". */
export function wordList(words: readonly string[], link: "or" | "and" = "or"): string {
  const last = words.at(-1);
  return words.length < 2 ? (last ?? "") : `${words.slice(0, -1).join(", ")} ${link} ${last}`;
}
