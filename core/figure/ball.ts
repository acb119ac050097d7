/** A ball, whole and halved. */
import type { PlacedCap } from "./cap.ts";
import { anchorsOf, type DrawnForm, inkOf } from "./forms.ts";
import { type Ink, line, mirrored, type Point2, type Shape, smooth } from "./shapes.ts";
import { surface } from "./skin.ts";
import type { BodyView } from "./view.ts";

const INSIDES: Readonly<Record<string, Ink>> = {
  "dark-inside": "pigment:purple-brown",
  "yellow-olive-inside": "pigment:olive",
  "jelly-layer": "pigment:buff",
};

/** A ball: its skin on the left, halved on the right. */
export function ballForm(view: BodyView): DrawnForm {
  const { radius: r } = view;
  const halved = view.of("bisection");
  const inside = halved.states[0];
  const skin = inkOf(view.of("cap-colour"), "paper");
  const told =
    view.of("cap-colour").knowing === "open" ? view.of("cap-surface").knowing : view.of("cap-colour").knowing;
  const known: Shape["knowing"] = told === "masked" ? "seen" : told;
  const outline: Point2[] = [
    [0, 1.78],
    [0.45, 1.68],
    [0.82, 1.36],
    [0.99, 0.92],
    [0.9, 0.46],
    [0.62, 0.08],
    [0.3, -0.1],
    [0, -0.14],
  ].map(([x = 0, y = 0]): Point2 => [x * r, y * r]);
  const wall = outline.map(([x, y]): Point2 => [x * 0.88, r * 0.84 + (y - r * 0.84) * 0.88]);
  // the skin's marks are those of a cap: a ball's profile goes on below its widest place
  const upper: PlacedCap = { profile: outline.slice(0, 6), edge: r * 0.1, top: r * 1.78 };
  const closed = (points: readonly Point2[]): Shape["steps"] => [...smooth(points), ["Z"]];
  const shapes: Shape[] = [
    { part: "cap", steps: closed(mirrored(outline)), fill: skin, stroke: "none", pen: 0, knowing: "seen" },
    ...surface(view, upper),
    { part: "cap", steps: smooth(mirrored(outline)), fill: "none", stroke: "line", pen: 1.3, knowing: known },
    {
      part: "cut",
      steps: closed(outline),
      fill: inkOf(view.of("flesh-colour"), "flesh"),
      stroke: "none",
      pen: 0,
      knowing: "seen",
    },
  ];
  const cut = (points: readonly Point2[], fill: Ink, pen = 0.9, close = false) =>
    shapes.push({ part: "cut", steps: smooth(points, close), fill, stroke: "line", pen, knowing: halved.knowing });
  const innerInk = inside === undefined ? undefined : INSIDES[inside];
  if (innerInk !== undefined) cut(wall, innerInk);
  if (inside === "jelly-layer")
    cut(
      outline.map(([x, y]): Point2 => [x * 0.66, r * 0.84 + (y - r * 0.84) * 0.66]),
      "flesh",
      0.8,
    );
  if (inside === "embryo-outline") {
    cut(
      [
        [0, r * 1.45],
        [r * 0.4, r * 1.36],
        [r * 0.6, r * 1.02],
        [r * 0.52, r * 0.82],
        [r * 0.2, r * 0.86],
      ],
      "none",
      1.1,
    );
    cut(
      [
        [r * 0.2, r * 0.86],
        [r * 0.18, r * 0.5],
        [r * 0.3, r * 0.22],
        [0, r * 0.14],
      ],
      "none",
      1.1,
    );
    cut(
      [
        [r * 0.24, r * 0.92],
        [r * 0.4, r * 1.05],
        [r * 0.52, r * 0.9],
      ],
      "none",
      0.6,
    );
  }
  if (inside === undefined) cut(wall, "none", 0.6);
  shapes.push(
    { part: "cut", steps: smooth(outline), fill: "none", stroke: "line", pen: 1.2, knowing: "seen" },
    {
      part: "cut",
      steps: line([
        [0, r * 1.78],
        [0, -r * 0.14],
      ]),
      fill: "none",
      stroke: "faint",
      pen: 0.8,
      knowing: "seen",
    },
  );
  return {
    shapes,
    top: r * 1.8,
    bottom: -r * 0.2,
    anchors: anchorsOf(view, {
      cap: [-r * 0.7, r * 1.3],
      under: [r * 0.6, r * 0.5],
      stem: [-r * 0.3, r * 0.05],
      cut: [r * 0.4, r * 1],
      foot: [-r * 0.1, -r * 0.1],
    }),
  };
}
