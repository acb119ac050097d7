/** How the finds of the invented season are told in short, and what several of them share. */
import { type Body, type Entry, type Find, isCharacterId } from "@jittery-cap/core";

type Words = Readonly<Record<string, string>>;

/** Entries from "state" or "state, state"; "?" before it: unsure; "-" before it: could not look, and why. */
function seen(words: Words, more: Partial<Entry> = {}): Entry[] {
  return Object.entries(words).map(([character, text]) => {
    if (!isCharacterId(character)) throw new Error(`no such character: ${character}`);
    if (text.startsWith("-")) return { character, unseen: text.slice(1) };
    const sure = text.startsWith("?") ? { sure: false } : {};
    return { character, states: text.replace("?", "").split(", "), ...sure, ...more };
  });
}

export function body(id: string, about: Omit<Body, "id" | "seen">, words: Words, more: Partial<Entry> = {}): Body {
  return { id, ...about, seen: seen(words, more) };
}

export const OBSERVERS = [
  { id: "ilva", name: "Ilva Marrund" },
  { id: "tosk", name: "Tosk Ammerel", smellsKnown: ["mushroomy" as const, "aniseed" as const] },
];

export const pasture = { habitat: ["grassland"], substrate: ["soil"], growth: ["ring-or-arc"], host: ["none-near"] };
export const pinkGilled = {
  underside: "gills",
  "gill-attachment": "free",
  "gill-colour": "pink",
  "cap-colour": "white",
  "cap-shape": "convex",
  "cap-surface": "silky",
  "veil-on-cap": "none",
  ring: "skirt",
  "stem-surface": "smooth",
  "stem-colour": "white",
};
export const chanterelle = {
  underside: "ridges",
  "gill-fold": "stays-put",
  "gill-attachment": "decurrent",
  "gill-spacing": "distant",
  "underside-colour": "yellow",
  "cap-shape": "funnel, wavy",
  "cap-colour": "yellow",
  "cap-surface": "smooth",
  "cap-margin": "incurved",
  ring: "none",
  "stem-surface": "smooth",
  "stem-colour": "yellow",
  "stem-inside": "solid",
  base: "tapered",
  "flesh-colour": "white",
  smell: "fruity-apricot",
};
export const woodtuft = {
  underside: "gills",
  "gill-attachment": "adnate",
  "gill-colour": "clay-brown",
  "cap-shape": "umbonate",
  "cap-colour": "orange, brown",
  "two-toned": "yes",
  "cap-surface": "smooth",
  ring: "sheath",
  "stem-surface": "scaly-below-ring",
  "stem-colour": "brown",
  base: "fused",
  smell: "mushroomy",
};

export interface Told extends Omit<Find, "format" | "version" | "id" | "bodies"> {
  readonly bodies: readonly Body[];
}
