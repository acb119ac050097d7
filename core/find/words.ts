/** Plain words for characters, families and states, for texts that people read. */
import type { CharacterId, Family } from "./vocabulary.ts";

/** A character in plain words, with the field's standard term where it differs. */
export interface CharacterWords {
  readonly plain: string;
  readonly term?: string;
  /** With an article, where "the" before the plain word makes no phrase. */
  readonly noun?: string;
}

export const CHARACTER_WORDS: Readonly<Record<CharacterId, CharacterWords>> = {
  habitat: { plain: "where it grows", term: "habitat", noun: "the place" },
  substrate: { plain: "what it grows from", term: "substrate", noun: "the ground or wood it grows from" },
  host: { plain: "trees near", term: "host" },
  growth: { plain: "how they stand", term: "growth", noun: "the way they stand" },
  underside: { plain: "underside", term: "hymenophore" },
  "gill-fold": { plain: "pushed with a finger", noun: "what a finger does to the gills" },
  "underside-colour": { plain: "colour of the underside" },
  "gill-attachment": {
    plain: "how the gills meet the stem",
    term: "attachment of lamellae",
    noun: "the way the gills meet the stem",
  },
  "cap-joint": { plain: "how the cap meets the stem", noun: "the joint of cap and stem" },
  "gill-spacing": { plain: "how close the gills stand", term: "spacing", noun: "the spacing of the gills" },
  "short-gills": { plain: "short gills between", term: "lamellulae" },
  "gill-texture": { plain: "feel of the gills" },
  "gill-colour": { plain: "gill colour", term: "lamellae" },
  "pore-colour": { plain: "pore colour" },
  "pore-drops": { plain: "drops on the pores" },
  "spore-print": { plain: "spore print" },
  "cap-shape": { plain: "cap shape", term: "pileus" },
  "cap-colour": { plain: "cap colour" },
  "cap-colour-centre": { plain: "colour of the middle" },
  "two-toned": { plain: "two shades as it dries", term: "hygrophanous", noun: "the shades of the drying cap" },
  "cap-surface": { plain: "cap surface", term: "pileipellis" },
  "cap-zones": { plain: "zones" },
  "cap-edge-band": { plain: "band at the edge" },
  "cap-margin": { plain: "cap edge", term: "margin" },
  "veil-on-cap": {
    plain: "warts or patches on the cap",
    term: "universal veil",
    noun: "what is left of a veil on the cap",
  },
  ring: { plain: "ring", term: "annulus" },
  "veil-in-section": { plain: "veil, in a halved young one", term: "partial veil" },
  "ring-colour": { plain: "ring colour" },
  "ring-edge": { plain: "ring edge" },
  "ring-place": { plain: "where the ring sits", noun: "the place of the ring" },
  "stem-surface": { plain: "stem surface", term: "stipe" },
  "stem-marking-colour": { plain: "colour of the marks on the stem" },
  "stem-inside": { plain: "inside of the stem" },
  "stem-texture": { plain: "how the stem breaks", noun: "the break of the stem" },
  "stem-colour": { plain: "stem colour" },
  base: { plain: "shape of the foot", term: "volva, bulb" },
  "sac-colour": { plain: "colour of the sac", term: "volva" },
  "foot-threads": { plain: "threads or cords at the foot", term: "rhizomorphs" },
  "flesh-colour": { plain: "flesh", term: "context" },
  "stain-cut": { plain: "cut flesh turns", noun: "the stain of the cut flesh" },
  "stain-stem": { plain: "cut stem turns", noun: "the stain of the cut stem" },
  "stain-base": { plain: "nicked foot turns", noun: "the stain of the nicked foot" },
  "stain-rub": { plain: "scratched cap turns", noun: "the stain of the scratched cap" },
  "stain-pores": { plain: "pressed pores turn", noun: "the stain of the pressed pores" },
  "stain-ring": { plain: "handled ring turns", noun: "the stain of the handled ring" },
  "stain-gills": { plain: "bruised gills turn", noun: "the stain of the gills" },
  "stain-heated": { plain: "heated piece turns", noun: "the stain of a heated piece" },
  "stain-speed": { plain: "how fast it turned", noun: "the speed of the stain" },
  latex: { plain: "milk", term: "latex" },
  smell: { plain: "smell" },
  "smell-heated": { plain: "smell of a heated piece" },
  bisection: { plain: "halved from top to bottom", noun: "the inside of the halved body" },
  bend: { plain: "bent", noun: "the way a piece bends" },
};

/** A character as a phrase that stands in a sentence: "the cap edge", "the way the gills meet the stem". */
export function characterPhrase(id: CharacterId): string {
  const { plain, noun } = CHARACTER_WORDS[id];
  return noun ?? `the ${plain}`;
}

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
  if (state === "none") return character.startsWith("smell") ? "no smell" : "none";
  if (state === "spans") return "a skin spans to the stem";
  if (state === "side-attached") return "none: sits on its side";
  if (state === "sits-on-ground") return "none: sits on the ground";
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
