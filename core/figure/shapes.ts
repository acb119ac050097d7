/** What a drawing is made of: plain geometry with names for its inks. No SVG, no colours, no screen. */

/** A point in cm: x to the right of the axis, y up from the ground. */
export type Point2 = readonly [x: number, y: number];

/** One step of an outline: move, line, cubic curve, close. */
export type Step =
  | readonly ["M", number, number]
  | readonly ["L", number, number]
  | readonly ["C", number, number, number, number, number, number]
  | readonly ["Z"];

/** The stations that a part of the drawing leads to. */
export type Part = "ground" | "cap" | "under" | "stem" | "foot" | "cut" | "nose" | "print";

/** How far a part is known: dashed, drawn, half-dashed, hatched. */
export type Knowing = "open" | "seen" | "unsure" | "masked";

/** A colour by its meaning; a state's name stands for its pigment. */
export type Ink =
  | "none"
  | "line"
  | "faint"
  | "paper"
  | "flesh"
  | "shade"
  | "soil"
  | "leaf"
  | "wood"
  | `pigment:${string}`;

/** One outline of the drawing. */
export interface Shape {
  readonly part: Part;
  readonly steps: readonly Step[];
  readonly fill: Ink;
  readonly stroke: Ink;
  /** Line width in units of a fine pen, 1 for an outline. */
  readonly pen: number;
  readonly knowing: Knowing;
}

/** A drawing with the frame it needs, in cm. */
export interface Figure {
  readonly shapes: readonly Shape[];
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
  /** Where a leader line to each part may end. */
  readonly anchors: Readonly<Record<Part, Point2>>;
}

/** A polyline. */
export function line(points: readonly Point2[], close = false): Step[] {
  const steps = points.map(([x, y], index): Step => [index === 0 ? "M" : "L", x, y]);
  return close ? [...steps, ["Z"]] : steps;
}

/**
 * A smooth curve through all points: Catmull-Rom turned into cubic curves (E. Catmull and R. Rom, 1974; the usual
 * conversion with a sixth of the chord as handle).
 */
export function smooth(points: readonly Point2[], close = false): Step[] {
  const first = points[0];
  if (first === undefined) return [];
  const steps: Step[] = [["M", first[0], first[1]]];
  for (let index = 0; index < points.length - 1; index++) {
    const here = points[index] ?? first;
    const next = points[index + 1] ?? here;
    const before = points[index - 1] ?? here;
    const after = points[index + 2] ?? next;
    steps.push([
      "C",
      here[0] + (next[0] - before[0]) / 6,
      here[1] + (next[1] - before[1]) / 6,
      next[0] - (after[0] - here[0]) / 6,
      next[1] - (after[1] - here[1]) / 6,
      next[0],
      next[1],
    ]);
  }
  return close ? [...steps, ["Z"]] : steps;
}

/** The same points on the other side of the axis, in the same order. */
export function mirrored(points: readonly Point2[]): Point2[] {
  return points.map(([x, y]) => [-x, y]);
}

/** A number that looks random and is always the same for the same seed, from 0 to 1. */
export function scatter(seed: number): number {
  const value = Math.sin(seed * 127.1 + 311.7) * 43758.5453;
  return value - Math.floor(value);
}
