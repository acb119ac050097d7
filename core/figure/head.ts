/** A head of pits or lobes on its stem. */
import { anchorsOf, type DrawnForm, inkOf } from "./forms.ts";
import { line, mirrored, type Point2, type Shape, smooth } from "./shapes.ts";
import { footShapes } from "./stem.ts";
import type { BodyView } from "./view.ts";

/** What a head is drawn with. */
interface HeadPen {
  readonly view: BodyView;
  readonly put: (shape: Partial<Shape> & Pick<Shape, "steps" | "part">) => void;
  /** The right outline of the head. */
  readonly head: readonly Point2[];
  /** Where the head begins, above the ground, and how tall it is, cm. */
  readonly foot: number;
  readonly tall: number;
}

/** A head of pits (honeycomb) or of lobes on a stem: hollow or chambered inside, as the record tells. */
export function headForm(view: BodyView, form: "pitted-head" | "lobed-head"): DrawnForm {
  const { radius: r, stemHalf: w } = view;
  const foot = view.stemLength * 0.75;
  const tall = form === "pitted-head" ? r * 2.3 : r * 1.5;
  const head = (form === "pitted-head" ? PITTED : LOBED).map(([x, y]): Point2 => [x * r, foot + y * tall]);
  const colour = view.of("cap-colour");
  const skin = inkOf(colour, "paper");
  const stemInk = inkOf(view.of("stem-colour"), "paper");
  const flesh = inkOf(view.of("flesh-colour"), "flesh");
  const shapes: Shape[] = [...footShapes(view)];
  const side: Point2[] = [
    [w * 1.15, 0],
    [w, foot * 0.5],
    [w * 0.92, foot + tall * 0.05],
  ];
  const put: HeadPen["put"] = (shape) =>
    void shapes.push({ fill: "none", stroke: "line", pen: 1, knowing: "seen", ...shape });
  const pen: HeadPen = { view, put, head, foot, tall };
  const stemKnown =
    view.of("stem-colour").knowing === "open" ? view.of("stem-surface").knowing : view.of("stem-colour").knowing;
  put({
    part: "stem",
    steps: [...smooth(mirrored(side)), ["L", 0, foot], ["L", 0, 0], ["Z"]],
    fill: stemInk,
    stroke: "none",
    pen: 0,
  });
  put({
    part: "cut",
    steps: [...smooth(side), ["L", 0, foot], ["L", 0, 0], ["Z"]],
    fill: flesh,
    stroke: "none",
    pen: 0,
  });
  put({ part: "stem", steps: smooth(mirrored(side)), pen: 1.2, knowing: stemKnown });
  put({ part: "stem", steps: smooth(side), pen: 1.2, knowing: stemKnown });
  put({ part: "cap", steps: [...smooth(mirrored(head)), ["Z"]], fill: skin, stroke: "none", pen: 0 });
  put({ part: "cut", steps: [...smooth(head), ["Z"]], fill: flesh, stroke: "none", pen: 0 });
  if (form === "pitted-head") pits(pen);
  else folds(pen);
  insideOf(pen);
  const known = colour.knowing === "masked" ? "seen" : colour.knowing;
  put({ part: "cap", steps: smooth(mirrored(head)), pen: 1.3, knowing: known });
  put({ part: "cut", steps: smooth(head), pen: 1.2 });
  put({
    part: "cut",
    steps: line([
      [0, 0],
      [0, foot + tall],
    ]),
    stroke: "faint",
    pen: 0.7,
  });
  return {
    shapes,
    top: foot + tall * 1.02,
    bottom: Math.min(
      ...footShapes(view).flatMap(({ steps }) =>
        steps.flatMap((step) => (step.length > 2 ? [Number(step.at(-1))] : [])),
      ),
    ),
    anchors: anchorsOf(view, {
      cap: [-r * 0.6, foot + tall * 0.75],
      under: [r * 0.7, foot + tall * 0.3],
      stem: [-w, foot * 0.55],
      cut: [w * 0.4, foot * 0.7],
      foot: [-w * 1.2, -w * 2],
    }),
  };
}

function pits({ view, put, head, foot, tall }: HeadPen): void {
  const under = view.of("underside");
  for (let row = 0; row < 6; row++)
    for (let column = 0; column < 3; column++) {
      const y = foot + tall * (0.1 + row * 0.14 + (column % 2) * 0.05);
      const reach = reachAt(head, y);
      const x = -reach * (0.14 + column * 0.3);
      const pit = tall * 0.052 * (1 - row * 0.07);
      put({
        part: "under",
        steps: smooth(
          [
            [x - pit * 0.9, y],
            [x, y + pit * 1.15],
            [x + pit * 0.9, y + pit * 0.2],
            [x + pit * 0.2, y - pit],
            [x - pit * 0.9, y],
          ],
          true,
        ),
        fill: "shade",
        pen: 0.8,
        knowing: under.knowing,
      });
    }
}

function folds({ view, put, head, foot, tall }: HeadPen): void {
  const under = view.of("underside");
  const r = view.radius;
  for (let fold = 0; fold < 8; fold++) {
    const y = foot + tall * (0.12 + (fold % 4) * 0.22);
    const x = -reachAt(head, y) * (fold < 4 ? 0.32 : 0.72);
    put({
      part: "under",
      steps: smooth([
        [x - r * 0.16, y - tall * 0.06],
        [x - r * 0.1, y + tall * 0.06],
        [x + r * 0.04, y],
        [x + r * 0.14, y + tall * 0.08],
        [x + r * 0.2, y - tall * 0.03],
      ]),
      pen: 0.9,
      knowing: under.knowing,
    });
  }
}

/** Cut open: one hollow, several rooms, or full. */
function insideOf({ view, put, foot, tall }: HeadPen): void {
  const inside = view.of("stem-inside");
  const { radius: r, stemHalf: w } = view;
  if (inside.states[0] === "hollow")
    put({
      part: "cut",
      steps: [
        ...smooth([
          [0, 0.05 * r],
          [w * 0.62, 0.2 * r],
          [w * 0.6, foot * 0.9],
          [r * 0.62, foot + tall * 0.2],
          [r * 0.55, foot + tall * 0.62],
          [0, foot + tall * 0.88],
        ]),
        ["Z"],
      ],
      fill: "shade",
      pen: 0.9,
      knowing: inside.knowing,
    });
  else if (inside.states[0] === "chambered")
    for (let chamber = 0; chamber < 7; chamber++) {
      const y = foot * 0.12 + chamber * (foot + tall * 0.5) * 0.14;
      put({
        part: "cut",
        steps: smooth(
          [
            [0, y],
            [w * 0.7, y + w * 0.1],
            [w * 0.55, y + w * 0.75],
            [0, y + w * 0.6],
            [0, y],
          ],
          true,
        ),
        fill: "shade",
        pen: 0.8,
        knowing: inside.knowing,
      });
    }
  else
    put({
      part: "cut",
      steps: line([
        [w * 0.5, foot * 0.1],
        [w * 0.45, foot * 0.9],
      ]),
      stroke: "faint",
      pen: 0.6,
      knowing: inside.knowing,
    });
}

// biome-ignore format: a table of points reads best a line each
const PITTED: readonly Point2[] = [[0, 1], [0.3, 0.95], [0.6, 0.75], [0.85, 0.45], [0.92, 0.2], [0.72, 0.03], [0.4, 0], [0, 0.02]];
// biome-ignore format: a table of points reads best a line each
const LOBED: readonly Point2[] = [[0, 0.9], [0.22, 1], [0.45, 0.9], [0.6, 0.98], [0.9, 0.8], [0.94, 0.55], [1.04, 0.4], [0.92, 0.12], [0.7, 0.1], [0.5, -0.02], [0.25, 0.06], [0, 0.04]];

/** How far a head reaches from the axis at a height. */
function reachAt(head: readonly Point2[], y: number): number {
  let reach = 0;
  for (let index = 1; index < head.length; index++) {
    const [x0, y0] = head[index - 1] ?? [0, 0];
    const [x1, y1] = head[index] ?? [0, 0];
    if ((y0 - y) * (y1 - y) <= 0 && y0 !== y1) reach = Math.max(reach, x0 + ((x1 - x0) * (y - y0)) / (y1 - y0));
  }
  return reach;
}
