/**
 * An invented specimen to learn the bench on. It is a deadly one: what is learned first is a leave, and nothing that is
 * practised on comes near a basket. What it shows is told only station by station, when somebody looks.
 */
import {
  type Body,
  CHARACTER_WORDS,
  type CharacterId,
  type Find,
  isCharacterId,
  stateWords,
  wordList,
} from "@jittery-cap/core";
import { itemOf, type Station } from "./stations.ts";

export const IN_HAND_LABEL = "A specimen to practise on (invented)";

const LOOKS: Partial<Record<CharacterId, string>> = {
  underside: "gills",
  "gill-attachment": "free",
  "gill-spacing": "close",
  "gill-colour": "white",
  "short-gills": "tapering",
  "gill-texture": "flexible",
  "cap-shape": "convex",
  "cap-colour": "olive",
  "cap-surface": "smooth",
  "cap-margin": "plain",
  "veil-on-cap": "none",
  ring: "skirt",
  "ring-place": "high",
  "ring-colour": "white",
  "stem-colour": "white",
  "stem-surface": "smooth",
  "stem-texture": "fibrous",
  "stem-inside": "stuffed",
  base: "sac",
  "sac-colour": "white",
  "foot-threads": "none",
  "stain-base": "none",
  "stain-cut": "none",
  "flesh-colour": "white",
  latex: "none",
  smell: "sweet",
  "spore-print": "white",
};

export const IN_HAND: Body = {
  id: "A",
  age: "mature",
  lifted: "whole",
  measures: { capCm: 9, stemLengthCm: 11, stemWidthMm: 14 },
  seen: Object.entries(LOOKS).map(([character, state]) => ({ character: character as CharacterId, states: [state] })),
};

export const IN_HAND_SITE: NonNullable<Find["site"]> = {
  habitat: ["broadleaf-woodland"],
  substrate: ["soil"],
  host: ["oak"],
  growth: ["scattered"],
};

/** The specimen as a find, to draw it from. */
export const IN_HAND_FIND: Find = {
  format: "jittery-cap/find",
  version: 1,
  id: "in-hand",
  bodies: [IN_HAND],
  site: IN_HAND_SITE,
};

/** What the told questions come to, in words. */
const TOLD: Readonly<Record<string, string>> = {
  age: "age: mature, its cap open and the gills free to see",
  lifted: "it comes out whole",
  firmness: "it is firm",
  larvae: "no larvae",
  wear: "nothing has happened to it",
  measures: "9 cm across, the stem 11 cm long and 14 mm wide",
  concerns: "the place is clean",
  frostLastNight: "no frost",
  drySpellDays: "no dry spell",
};

/** What a look at one station of the specimen shows, one line for each question that it answers. */
export function looksAt({ questions }: Station): string[] {
  return questions.flatMap((question) => {
    const item = itemOf(question);
    if (!isCharacterId(item)) return TOLD[item] ?? [];
    const states = IN_HAND_SITE[item as keyof typeof IN_HAND_SITE] ?? (LOOKS[item] === undefined ? [] : [LOOKS[item]]);
    if (states.length === 0) return [];
    const words = wordList(
      states.map((state) => stateWords(item, state)),
      "and",
    );
    return `${CHARACTER_WORDS[item].plain}: ${words}`;
  });
}
