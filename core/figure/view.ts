/** What of a body's record the drawing needs: states with how far they are known, and sizes with defaults. */

import type { Body, Find } from "../find/schema.ts";
import type { Age, CharacterId } from "../find/vocabulary.ts";
import { isHidden } from "../judge/masks.ts";
import { bodySceneOf } from "../judge/scene.ts";
import type { Knowing } from "./shapes.ts";

/** One character as the pen sees it. */
export interface Stroke {
  readonly states: readonly string[];
  readonly knowing: Knowing;
}

/** A body made ready for drawing. */
export interface BodyView {
  readonly id: string;
  readonly age: Age | undefined;
  readonly radius: number;
  readonly stemLength: number;
  readonly stemHalf: number;
  /** Thickness of a bracket where it was measured, cm. */
  readonly thickness: number | undefined;
  readonly rooted: boolean;
  readonly of: (character: CharacterId) => Stroke;
  /** The first state of a character, where one was seen. */
  readonly first: (character: CharacterId) => string | undefined;
  readonly substrate: readonly string[];
  readonly host: readonly string[];
  readonly habitat: readonly string[];
}

const UNLOOKED: Stroke = { states: [], knowing: "open" };

/** Sizes drawn while nothing is measured, in cm (our own; only for the drawing). */
const SIZES: Readonly<Record<Age, readonly [cap: number, length: number, width: number]>> = {
  egg: [3, 2, 1.6],
  button: [3, 3, 1.5],
  young: [6, 7, 1.3],
  mature: [9, 9, 1.4],
  old: [10, 9, 1.4],
};
const ANY_SIZE = SIZES.young;

/** The view of one body of a find. */
export function bodyView(find: Find, body: Body): BodyView {
  const scene = bodySceneOf(find, body);
  const strokeOf = (character: CharacterId): Stroke => {
    const look = scene.looks.get(character);
    if (look === undefined) return UNLOOKED;
    return {
      states: look.states,
      knowing: isHidden(look, scene.conditions) ? "masked" : look.sure ? "seen" : "unsure",
    };
  };
  const [cap, length, width] = body.age === undefined ? ANY_SIZE : SIZES[body.age];
  const radius = (body.measures?.capCm ?? cap) / 2;
  return {
    id: body.id,
    age: body.age,
    radius,
    stemLength: body.measures?.stemLengthCm ?? length * ((body.measures?.capCm ?? cap) / cap),
    stemHalf: Math.min(
      (body.measures?.stemWidthMm ?? width * 10 * ((body.measures?.capCm ?? cap) / cap)) / 20,
      radius * 0.6,
    ),
    thickness: body.measures?.thicknessMm === undefined ? undefined : body.measures.thicknessMm / 10,
    rooted: body.lifted !== "whole",
    of: strokeOf,
    first: (character) => strokeOf(character).states[0],
    substrate: find.site?.substrate ?? [],
    host: find.site?.host ?? [],
    habitat: find.site?.habitat ?? [],
  };
}
