/** Little drawings for the states of a character, made by the same pen as the specimen. */
import type { Entry } from "../find/entry.ts";
import type { Body, Measures } from "../find/schema.ts";
import type { Age, CharacterId } from "../find/vocabulary.ts";
import { closeUpOf } from "./close-ups.ts";
import { figureOf } from "./figure.ts";
import type { Figure, Part, Shape } from "./shapes.ts";
import { siteMarkOf } from "./site-marks.ts";

/** Characters whose states are shapes, with the part of the specimen that shows them. */
export const DRAWN_CHARACTERS: Partial<Record<CharacterId, readonly Part[]>> = {
  "cap-shape": ["cap", "under", "cut"],
  "cap-surface": ["cap"],
  "cap-margin": ["cap"],
  "veil-on-cap": ["cap"],
  underside: ["cap", "under", "cut", "stem"],
  "gill-attachment": ["cap", "under", "cut", "stem"],
  ring: ["stem", "cut"],
  "stem-surface": ["stem"],
  "stem-inside": ["stem", "cut"],
  base: ["foot", "stem"],
};

/** Which window of the specimen a swatch shows, in cm: left, right, top, bottom. */
const WINDOWS: Partial<Record<CharacterId, readonly [number, number, number, number]>> = {
  "cap-shape": [-3.4, 3.4, 10.6, 3.9],
  "cap-surface": [-3.3, 0.3, 9.2, 5.9],
  "cap-margin": [-3.3, 0.3, 9.2, 5.9],
  "veil-on-cap": [-3.3, 0.3, 9.2, 5.9],
  underside: [-0.4, 3.4, 8.6, 4.9],
  "gill-attachment": [-0.2, 3.3, 8.3, 4.8],
  ring: [-1.9, 1.9, 6.9, 3.1],
  "stem-surface": [-1.2, 0.9, 5.6, 2],
  "stem-inside": [-1.2, 0.9, 5.6, 2],
  base: [-2, 2, 1.3, -3.2],
};

/** Undersides that make a form of their own: the whole body is shown. */
const WHOLE: ReadonlySet<string> = new Set(["enclosed", "honeycomb", "lobed"]);
const HANGING = [-3.3, 3.3, 9, 3.6] as const;

/** The drawing of one state, or undefined for a character that is no shape. */
export function swatchOf(character: CharacterId, state: string): Figure | undefined {
  const other = closeUpOf(character, state) ?? siteMarkOf(character, state) ?? ballSwatch(character, state);
  if (other !== undefined) return other;
  const parts = DRAWN_CHARACTERS[character];
  const frame = WINDOWS[character];
  if (parts === undefined || frame === undefined) return undefined;
  const closed = character === "cap-shape" && (state === "ball" || state === "egg");
  const seen = [
    { character: "cap-shape" as const, states: ["convex"] },
    { character: "underside" as const, states: ["gills"] },
    { character: "stem-colour" as const, states: ["cream"] },
    { character: "stem-surface" as const, states: ["smooth"] },
    { character: "base" as const, states: ["plain"] },
    { character: "ring" as const, states: closed ? ["closed"] : ["none"] },
    { character: "cap-colour" as const, states: ["cream"] },
    { character: "gill-colour" as const, states: ["buff"] },
  ].filter((entry) => entry.character !== character);
  if (character === "underside" && WHOLE.has(state)) return formSwatch(state);
  const figure = drawnBody([...seen, { character, states: [state] }], "young", {
    capCm: 6,
    stemLengthCm: 7,
    stemWidthMm: 12,
  });
  // a veil that hangs from the cap cannot be told without the cap
  const hangs = character === "ring" && (state === "closed" || state === "cobweb");
  const [left, right, top, bottom] = hangs ? HANGING : frame;
  const shown = (shape: Shape) => (hangs ? shape.part !== "ground" : parts.includes(shape.part));
  return {
    ...figure,
    shapes: figure.shapes.filter(shown).map((shape) => ({ ...shape, knowing: "seen" })),
    left,
    right,
    top,
    bottom,
  };
}

/** A made-up body with the given looks. */
function drawnBody(seen: readonly Entry[], age: Age, measures: Measures): Figure {
  const body: Body = { id: "S", age, lifted: "whole", measures, seen: [...seen] };
  return figureOf({ format: "jittery-cap/find", version: 1, id: "swatch", bodies: [body] }, body, 0);
}

const plainly = (figure: Figure): Figure => ({
  ...figure,
  shapes: figure.shapes.map((shape) => ({ ...shape, knowing: "seen" })),
});

/** A ball, a morel or a lobed head as a whole. */
function formSwatch(state: string): Figure {
  const seen: Entry[] = [
    { character: "underside", states: [state] },
    { character: "cap-colour", states: ["cream"] },
    { character: "base", states: ["plain"] },
    { character: "stem-inside", states: ["hollow"] },
  ];
  return plainly(drawnBody(seen, "mature", { capCm: 5, stemLengthCm: 5, stemWidthMm: 18 }));
}

/** A halved ball: what its inside shows. */
function ballSwatch(character: CharacterId, state: string): Figure | undefined {
  if (character !== "bisection") return undefined;
  const seen: Entry[] = [
    { character: "underside", states: ["enclosed"] },
    { character: "cap-colour", states: ["cream"] },
    { character, states: [state] },
  ];
  return plainly(drawnBody(seen, "mature", { capCm: 6 }));
}

/** A body of an age, drawn for the choice of ages. */
export function ageSwatchOf(age: Age): Figure {
  const closed = age === "egg" || age === "button";
  const shape = { egg: "egg", button: "ball", young: "bell", mature: "convex", old: "flat" }[age];
  const seen: Entry[] = [
    { character: "cap-shape", states: [shape] },
    { character: "cap-colour", states: ["buff"] },
    { character: "underside", states: ["gills"] },
    { character: "gill-colour", states: ["cream"] },
    { character: "stem-colour", states: ["cream"] },
    { character: "stem-surface", states: ["smooth"] },
    { character: "base", states: [age === "egg" ? "sac" : "bulb"] },
    { character: "ring", states: [closed ? "closed" : age === "old" ? "none" : "skirt"] },
    ...(age === "old" ? [{ character: "cap-margin" as const, states: ["upturned"] }] : []),
  ];
  return plainly(drawnBody(seen, age, SIZES_BY_AGE[age]));
}

/** Sizes of the drawn ages, cm and mm; ours. */
const SIZES_BY_AGE: Readonly<Record<Age, Measures>> = {
  egg: { capCm: 3, stemLengthCm: 1.6, stemWidthMm: 16 },
  button: { capCm: 3.4, stemLengthCm: 3.6, stemWidthMm: 15 },
  young: { capCm: 5, stemLengthCm: 6, stemWidthMm: 13 },
  mature: { capCm: 8, stemLengthCm: 8, stemWidthMm: 13 },
  old: { capCm: 9.5, stemLengthCm: 8, stemWidthMm: 13 },
};
