/** What the small drawings of the site share: one pen and a frame. */
import type { Figure, Ink, Part, Point2, Shape } from "./shapes.ts";

/** One outline of the ground, drawn as seen. */
export const put = (steps: Shape["steps"], pen: number, fill: Ink = "none", stroke: Ink = "line"): Shape => ({
  part: "ground",
  steps,
  fill,
  stroke: pen === 0 ? "none" : stroke,
  pen,
  knowing: "seen",
});

/** Shapes in a frame; whatever a leader line is after, it ends in the middle. */
export function framed(shapes: readonly Shape[], left: number, right: number, top: number, bottom: number): Figure {
  const middle: Point2 = [(left + right) / 2, (top + bottom) / 2];
  const anchors = Object.fromEntries(
    (["ground", "cap", "under", "stem", "foot", "cut", "nose", "print"] as const).map((part) => [part, middle]),
  ) as Record<Part, Point2>;
  return { shapes, left, right, top, bottom, anchors };
}
