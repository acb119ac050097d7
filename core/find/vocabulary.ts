/**
 * What one can look at on a mushroom, and what one can see there.
 *
 * Identifiers are part of the file format: lists may grow, nothing is ever renamed or dropped.
 * Terms are the field's own (annulus: ring; lamellae: gills; stipe: stem; pileus: cap).
 */
import type { CharacterDefinition } from "./character-kinds.ts";
import { CHARACTERS } from "./characters.ts";

export { type CharacterDefinition, FAMILIES, type Family } from "./character-kinds.ts";
export { CHARACTERS } from "./characters.ts";

/** The name of something that can be looked at. */
export type CharacterId = keyof typeof CHARACTERS;
/** Every character, in the order of handling. */
export const CHARACTER_IDS = Object.keys(CHARACTERS) as readonly CharacterId[];
/** The four characters that are recorded once for the find. */
export const SITE_CHARACTERS = ["habitat", "substrate", "host", "growth"] as const;
export type SiteCharacterId = (typeof SITE_CHARACTERS)[number];

/** Whether a word names a character. */
export function isCharacterId(word: string): word is CharacterId {
  return Object.hasOwn(CHARACTERS, word);
}

/** The definition of a character. */
export function definitionOf(id: CharacterId): CharacterDefinition {
  return CHARACTERS[id];
}

export const AGES = ["egg", "button", "young", "mature", "old"] as const;
export type Age = (typeof AGES)[number];

export const REGIONS = [
  "europe",
  "north-america-east",
  "north-america-west",
  "rocky-mountains",
  "east-asia",
  "south-asia",
  "africa",
  "australasia",
  "south-america",
] as const;

/** How a body came out of the ground; only `whole` shows the base. */
export const LIFTS = ["standing", "whole", "pulled", "cut", "broken", "mown"] as const;
export type Lift = (typeof LIFTS)[number];

export const WEARS = ["rain-washed", "handled", "frozen", "dried-out", "waterlogged", "nibbled", "cleaned"] as const;
export type Wear = (typeof WEARS)[number];

export const FIRMNESSES = ["firm", "soft", "mushy"] as const;
export const LARVAE = ["none", "few", "riddled"] as const;
export const STAIN_SPEEDS = CHARACTERS["stain-speed"].states;
export type StainSpeed = (typeof STAIN_SPEEDS)[number];
export const METHODS = ["eye", "scratch", "heat", "picture", "microscope", "hand-lens"] as const;
export const PRINT_PAPERS = ["split-black-white", "newsprint", "white-only", "black-only", "glass", "foil"] as const;
export type PrintPaper = (typeof PRINT_PAPERS)[number];

/** What may have spoilt the ground. */
export const CONCERNS = [
  "roadside",
  "city",
  "graveyard",
  "sprayed-lawn",
  "treated-wood",
  "industrial",
  "mine-spoil",
  "flood-silt",
] as const;
export type Concern = (typeof CONCERNS)[number];

/** How a person may part from a body. None of them is a failure. */
export const ENDINGS = [
  "basket",
  "basket-cap-only",
  "basket-after-trimming",
  "home-to-finish",
  "home-as-one-of-a-group",
  "must-be-cooked",
  "left-to-grow",
  "left-past-it",
  "left-unclean-ground",
  "left-test-failed",
  "left-unknown",
  "left-genus-passed-over",
  "looked-at-only",
  "weeded-out",
  "infusion-only",
  "first-tasting",
  "puzzle-kept-open",
  "named-for-interest",
] as const;

export type Ending = (typeof ENDINGS)[number];

/** How a body leaves the basket: taken on to the kitchen, or never to be anybody's food here. */
export const PARTINGS = ["emptied", "given-away", "thrown-away"] as const;
export type Parting = (typeof PARTINGS)[number];

/** How a body was found when it was looked at once more at the table, in good light, before washing. */
export const SORTED_AS = ["as-recorded", "stranger"] as const;
export type SortedAs = (typeof SORTED_AS)[number];

/** Characters of the stained kind: their entries may carry a speed. */
export function isStain(id: string): boolean {
  return id.startsWith("stain-") && id !== "stain-speed";
}

/** Characters of the nose: one that is wrong about a smell is wrong about it on every body, heated or not. */
export function isSmell(id: CharacterId): boolean {
  return definitionOf(id).family === "smell";
}

/**
 * Whether a contradiction by this character counts as hard on a body of this age and with these states. The colour of
 * gills is so only once they are ripe, the breaking of a stem only where it snapped like chalk.
 */
export function isHardLook(id: CharacterId, age: Age | undefined, states: readonly string[]): boolean {
  if (id === "gill-colour") return age === "mature" || age === "old";
  if (id === "stem-texture") return states.every((state) => state === "chalk-brittle");
  return definitionOf(id).hard;
}

/** Whether a character can ever be hard: what a plan may hope for. */
export function canBeHard(id: CharacterId): boolean {
  return definitionOf(id).hard || id === "gill-colour" || id === "stem-texture";
}
