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

/** The right outline, by the radius: from the top round to the foot. */
const OUTLINE: readonly Point2[] = [
  [0, 1.78],
  [0.45, 1.68],
  [0.82, 1.36],
  [0.99, 0.92],
  [0.9, 0.46],
  [0.62, 0.08],
  [0.3, -0.1],
  [0, -0.14],
];
/** What stands out in a halved egg: a cap, its stem, and the gills between them; by the radius. */
const EMBRYO: readonly (readonly [pen: number, points: readonly Point2[]])[] = [
  [
    1.1,
    [
      [0, 1.45],
      [0.4, 1.36],
      [0.6, 1.02],
      [0.52, 0.82],
      [0.2, 0.86],
    ],
  ],
  [
    1.1,
    [
      [0.2, 0.86],
      [0.18, 0.5],
      [0.3, 0.22],
      [0, 0.14],
    ],
  ],
  [
    0.6,
    [
      [0.24, 0.92],
      [0.4, 1.05],
      [0.52, 0.9],
    ],
  ],
];

const sized = (points: readonly Point2[], r: number): Point2[] => points.map(([x, y]): Point2 => [x * r, y * r]);
/** The same outline farther in: its middle stays. */
const inward = (outline: readonly Point2[], share: number, r: number): Point2[] =>
  outline.map(([x, y]): Point2 => [x * share, r * 0.84 + (y - r * 0.84) * share]);
const closed = (points: readonly Point2[]): Shape["steps"] => [...smooth(points), ["Z"]];
const filled = (part: Shape["part"], steps: Shape["steps"], fill: Ink): Shape => ({
  part,
  steps,
  fill,
  stroke: "none",
  pen: 0,
  knowing: "seen",
});

/** A ball: its skin on the left, halved on the right. */
export function ballForm(view: BodyView): DrawnForm {
  const { radius: r } = view;
  const colour = view.of("cap-colour");
  const told = colour.knowing === "open" ? view.of("cap-surface").knowing : colour.knowing;
  const outline = sized(OUTLINE, r);
  // the skin's marks are those of a cap: a ball's profile goes on below its widest place
  const upper: PlacedCap = { profile: outline.slice(0, 6), edge: r * 0.1, top: r * 1.78 };
  const edge = (part: Shape["part"], steps: Shape["steps"], pen: number, more: Partial<Shape> = {}): Shape => ({
    part,
    steps,
    fill: "none",
    stroke: "line",
    pen,
    knowing: "seen",
    ...more,
  });
  const axis: Point2[] = [
    [0, r * 1.78],
    [0, -r * 0.14],
  ];
  return {
    shapes: [
      filled("cap", closed(mirrored(outline)), inkOf(colour, "paper")),
      ...surface(view, upper),
      edge("cap", smooth(mirrored(outline)), 1.3, { knowing: told === "masked" ? "seen" : told }),
      filled("cut", closed(outline), inkOf(view.of("flesh-colour"), "flesh")),
      ...insideOf(view, outline),
      edge("cut", smooth(outline), 1.2),
      edge("cut", line(axis), 0.8, { stroke: "faint" }),
    ],
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

/** What its inside shows; only a wall where nobody has halved it. */
function insideOf(view: BodyView, outline: readonly Point2[]): Shape[] {
  const { radius: r } = view;
  const { states, knowing } = view.of("bisection");
  const [inside] = states;
  const cut = (points: readonly Point2[], fill: Ink, pen: number): Shape => ({
    part: "cut",
    steps: smooth(points),
    fill,
    stroke: "line",
    pen,
    knowing,
  });
  if (inside === undefined) return [cut(inward(outline, 0.88, r), "none", 0.6)];
  const inner = INSIDES[inside];
  return [
    ...(inner === undefined ? [] : [cut(inward(outline, 0.88, r), inner, 0.9)]),
    ...(inside === "jelly-layer" ? [cut(inward(outline, 0.66, r), "flesh", 0.8)] : []),
    ...(inside === "embryo-outline" ? EMBRYO.map(([pen, points]) => cut(sized(points, r), "none", pen)) : []),
  ];
}
