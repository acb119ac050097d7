/** What they grow from, drawn small. */
import { groundShapes } from "./ground.ts";
import { GROUND_MARKS } from "./ground-marks.ts";
import type { Figure, Shape } from "./shapes.ts";
import { framed } from "./site-mark.ts";
import type { BodyView } from "./view.ts";
import { WOOD_MARKS } from "./wood-marks.ts";

const GROUND_VIEW: Omit<BodyView, "substrate" | "host" | "habitat"> = {
  id: "S",
  age: "mature",
  radius: 4,
  stemLength: 6,
  stemHalf: 0,
  thickness: undefined,
  rooted: true,
  of: () => ({ states: [], knowing: "open" }),
  first: () => undefined,
};
const REACH = 4;
/** Lays its shapes over the ground, each over the one before. */
export type Mark = (more: Shape[]) => void;

/** The drawing of one ground. */
export function substrateMark(state: string): Figure {
  const more: Shape[] = [];
  (GROUND_MARKS[state] ?? WOOD_MARKS[state])?.(more);
  // behind a trunk or a heap there is no need of the leaf that groundShapes lays beside
  const shapes = groundShapes({ ...GROUND_VIEW, substrate: [state], host: [], habitat: [] }, REACH);
  return framed([...shapes, ...more], -REACH, REACH, 2.7, -0.7);
}
