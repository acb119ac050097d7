/** What close-ups are drawn on. */
import { type Figure, type Ink, line, type Part, type Point2, type Shape, smooth } from "./shapes.ts";

/** Collects shapes of one part. */
export class Sheet {
  readonly shapes: Shape[] = [];
  private readonly part: Part;

  constructor(part: Part) {
    this.part = part;
  }

  curve(points: readonly Point2[], pen = 1, fill: Ink = "none", close = false): void {
    this.put(smooth(points, close), pen, fill);
  }

  straight(points: readonly Point2[], pen = 1, fill: Ink = "none", close = false): void {
    this.put(line(points, close), pen, fill);
  }

  put(steps: Shape["steps"], pen: number, fill: Ink): void {
    this.shapes.push({ part: this.part, steps, fill, stroke: pen === 0 ? "none" : "line", pen, knowing: "seen" });
  }

  figure(left: number, right: number, top: number, bottom: number): Figure {
    const middle: Point2 = [(left + right) / 2, (top + bottom) / 2];
    const anchors = Object.fromEntries(
      (["ground", "cap", "under", "stem", "foot", "cut", "nose", "print"] as const).map((part) => [part, middle]),
    ) as Record<Part, Point2>;
    return { shapes: this.shapes, left, right, top, bottom, anchors };
  }
}

/** A point at a distance and an angle in degrees. */
export const around = (radius: number, degrees: number): Point2 => [
  radius * Math.cos((degrees * Math.PI) / 180),
  radius * Math.sin((degrees * Math.PI) / 180),
];
/** Points along an arc, angles in degrees. */
export const arc = (radius: number, from: number, to: number, steps = 16): Point2[] =>
  Array.from({ length: steps + 1 }, (_unused, index) => around(radius, from + ((to - from) * index) / steps));
