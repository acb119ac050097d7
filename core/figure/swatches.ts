/** Little drawings for the states of a character, made by the same pen as the specimen. */
import type { Find } from "../find/schema.ts";
import type { CharacterId } from "../find/vocabulary.ts";
import { figureOf } from "./figure.ts";
import type { Figure, Part, Shape } from "./shapes.ts";

/** Characters whose states are shapes, with the part of the specimen that shows them. */
export const DRAWN_CHARACTERS: Partial<Record<CharacterId, readonly Part[]>> = {
  "cap-shape": ["cap", "under", "cut"],
  "cap-surface": ["cap"],
  "cap-margin": ["cap"],
  "veil-on-cap": ["cap"],
  underside: ["cap", "under", "cut", "stem"],
  "gill-attachment": ["cap", "under", "cut", "stem"],
  "gill-spacing": ["under", "cut", "cap", "stem"],
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
  "gill-spacing": [-0.2, 3.3, 8.3, 4.8],
  ring: [-1.9, 1.9, 6.9, 3.1],
  "stem-surface": [-1.2, 0.9, 5.6, 2],
  "stem-inside": [-1.2, 0.9, 5.6, 2],
  base: [-2, 2, 1.3, -3.2],
};

/** Undersides of balls, morels and their like: a capped specimen cannot show them, so they are told by their names. */
const NOT_DRAWN: ReadonlySet<string> = new Set(["enclosed", "honeycomb", "lobed"]);
const HANGING = [-3.3, 3.3, 9, 3.6] as const;

/** The drawing of one state, or undefined for a character that is no shape. */
export function swatchOf(character: CharacterId, state: string): Figure | undefined {
  const parts = DRAWN_CHARACTERS[character];
  const frame = WINDOWS[character];
  if (parts === undefined || frame === undefined || NOT_DRAWN.has(state)) return undefined;
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
  const find: Find = {
    format: "jittery-cap/find",
    version: 1,
    id: "swatch",
    bodies: [
      {
        id: "S",
        age: "young",
        lifted: "whole",
        measures: { capCm: 6, stemLengthCm: 7, stemWidthMm: 12 },
        seen: [...seen, { character, states: [state] }],
      },
    ],
  };
  const body = find.bodies[0];
  if (body === undefined) return undefined;
  const figure = figureOf(find, body);
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
