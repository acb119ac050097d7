/** The ring: outside view on the left, cut through on the right. */
import type { PlacedCap } from "./cap.ts";
import { type Ink, type Point2, type Shape, scatter, smooth } from "./shapes.ts";
import { RING_HEIGHT } from "./stem-shape.ts";
import type { BodyView } from "./view.ts";

/** What a ring is drawn with. */
interface RingPen {
  readonly put: (points: readonly Point2[], more?: Partial<Shape>) => void;
  /** Half the thickness of the stem at the ring. */
  readonly w: number;
  /** Where the ring sits, above the ground. */
  readonly height: number;
  /** The edge of the cap, to which a veil spans. */
  readonly tip: Point2;
  readonly colour: Ink;
}
type DrawRing = (pen: RingPen) => void;

/** A hanging membrane, its hem a little wavy; grooved, doubled or toothed below as the kind has it. */
const skirt =
  (kind: "skirt" | "grooved-skirt" | "double" | "cogwheel"): DrawRing =>
  ({ put, w, height, colour }) => {
    const drop = w * (kind === "double" || kind === "cogwheel" ? 1.1 : 1.9);
    const hem: Point2[] = [
      [-w * 1.75, height - drop],
      [-w * 1.3, height - drop * 1.14],
      [-w * 0.8, height - drop * 1.02],
      [-w * 0.4, height - drop * 1.16],
      [0, height - drop * 1.06],
    ];
    put(
      [
        [0, height + w * 0.1],
        [-w * 1.02, height + w * 0.05],
        [-w * 1.4, height - drop * 0.4],
        ...hem,
        [0, height + w * 0.1],
      ],
      { fill: colour },
    );
    if (kind === "grooved-skirt")
      for (const share of [0.2, 0.4, 0.6, 0.8])
        put(
          [
            [-w * share, height],
            [-w * 1.5 * share, height - drop],
          ],
          { pen: 0.6 },
        );
    else
      for (const share of [0.35, 0.75])
        put(
          [
            [-w * share * 1.1, height - drop * 0.25],
            [-w * 1.45 * share, height - drop * 0.95],
          ],
          { pen: 0.5 },
        );
    put(
      [
        [w, height + w * 0.05],
        [w * 1.35, height - drop * 0.3],
        [w * 1.7, height - drop],
        [w * 1.5, height - drop * 0.85],
        [w * 1.22, height - drop * 0.3],
        [w, height - w * 0.2],
      ],
      { fill: colour },
    );
    if (kind === "cogwheel")
      for (let tooth = 0; tooth < 5; tooth++)
        put(
          [
            [-w * (0.2 + tooth * 0.34), height - drop * 1.1],
            [-w * (0.3 + tooth * 0.34), height - drop * 1.45],
            [-w * (0.42 + tooth * 0.34), height - drop * 1.05],
          ],
          { fill: colour, pen: 0.8 },
        );
    if (kind === "double")
      put([
        [-w * 1.4, height - drop * 1.1],
        [-w * 0.9, height - drop * 1.5],
        [0, height - drop * 1.4],
      ]);
  };

const RINGS: Readonly<Record<string, DrawRing>> = {
  unlooked: ({ put, w, height }) => {
    put([
      [-w * 1.5, height - w * 0.5],
      [-w * 1.25, height - w * 0.1],
      [-w, height],
    ]);
    put([
      [w * 1.5, height - w * 0.5],
      [w * 1.25, height - w * 0.1],
      [w, height],
    ]);
  },
  none: () => undefined,
  closed: ({ put, w, height, tip }) => {
    put(
      [
        [-tip[0], tip[1]],
        [-w * 1.4, height + w * 0.2],
        [-w, height],
      ],
      { pen: 1.3 },
    );
    put(
      [
        [tip[0], tip[1]],
        [w * 1.4, height + w * 0.2],
        [w, height],
      ],
      { pen: 1.3 },
    );
  },
  cobweb: ({ put, w, height, tip }) => {
    for (let thread = 0; thread < 7; thread++)
      for (const turn of [-1, 1])
        put(
          [
            [turn * tip[0] * (1 - thread * 0.03), tip[1] + thread * 0.02],
            [turn * w * 1.6, height + w * (0.9 - thread * 0.1)],
            [turn * w, height - w * 0.25 * thread],
          ],
          { pen: 0.4 },
        );
  },
  remnants: ({ put, w, height, colour }) => {
    for (const [x, y] of [
      [-1, 0.1],
      [-0.6, -0.3],
      [-0.2, 0],
      [1, -0.1],
    ] as const)
      put(
        [
          [x * w * 1.02, height + y * w],
          [x * w * 1.22, height + (y - 0.35) * w],
          [x * w * 0.98, height + (y - 0.5) * w],
        ],
        { fill: colour, pen: 0.8 },
      );
  },
  "fibrous-zone": ({ put, w, height }) => {
    for (let index = 0; index < 9; index++)
      put(
        [
          [-w * (0.1 + index * 0.11), height + scatter(index) * w * 0.4],
          [-w * (0.1 + index * 0.11), height - w * (0.3 + scatter(index + 9) * 0.3)],
        ],
        { pen: 0.8 },
      );
    put(
      [
        [w, height + w * 0.2],
        [w * 1.12, height - w * 0.1],
        [w, height - w * 0.4],
      ],
      { pen: 0.9 },
    );
  },
  sheath: ({ put, w, height, colour }) => {
    put(
      [
        [-w * 1.02, height - w * 0.1],
        [-w * 1.5, height + w * 0.25],
        [-w * 1.28, height - w * 0.4],
        [-w * 1.16, height * 0.5],
        [-w * 1.12, 0.1],
      ],
      { fill: colour },
    );
    put([
      [-w * 1.45, height + w * 0.2],
      [-w * 0.7, height - w * 0.1],
      [0, height - w * 0.16],
    ]);
    put([
      [w, height - w * 0.1],
      [w * 1.45, height + w * 0.2],
      [w * 1.22, height - w * 0.3],
      [w * 1.16, height * 0.5],
    ]);
  },
  "movable-collar": ({ put, w, height, colour }) => {
    put(
      [
        [-w * 1.35, height + w * 0.2],
        [-w * 1.4, height - w * 0.3],
        [-w * 0.7, height - w * 0.5],
        [0, height - w * 0.55],
        [0, height - w * 0.05],
        [-w * 0.7, height],
        [-w * 1.35, height + w * 0.2],
      ],
      { fill: colour },
    );
    put(
      [
        [w * 1.3, height + w * 0.2],
        [w * 1.36, height - w * 0.3],
        [w * 1.12, height - w * 0.4],
        [w * 1.1, height + w * 0.1],
        [w * 1.3, height + w * 0.2],
      ],
      { fill: colour },
    );
  },
  felted: ({ put, w, height, colour }) => {
    put(
      [
        [-w, height + w * 0.3],
        [-w * 1.5, height + w * 0.1],
        [-w * 1.45, height - w * 0.45],
        [-w * 0.7, height - w * 0.7],
        [0, height - w * 0.6],
        [0, height],
        [-w, height + w * 0.3],
      ],
      { fill: colour },
    );
    put(
      [
        [w, height + w * 0.3],
        [w * 1.5, height],
        [w * 1.3, height - w * 0.5],
        [w, height - w * 0.4],
      ],
      { fill: colour },
    );
  },
  // loose flocks along a soft band, where felt has a clean edge
  cottony: ({ put, w, height, colour }) => {
    for (const [x, y, wide] of [
      [-1.15, -0.05, 0.42],
      [-0.72, -0.3, 0.44],
      [-0.28, -0.12, 0.42],
      [-0.9, -0.62, 0.36],
      [-0.45, -0.7, 0.34],
      [-0.05, -0.5, 0.3],
      [1.18, -0.1, 0.34],
      [1.2, -0.55, 0.26],
    ] as const)
      put(
        [
          [w * (x - wide), height + w * y],
          [w * x, height + w * (y + wide * 0.8)],
          [w * (x + wide), height + w * y],
          [w * x, height + w * (y - wide * 0.7)],
          [w * (x - wide), height + w * y],
        ],
        { fill: colour, pen: 0.8 },
      );
  },
  skirt: skirt("skirt"),
  "grooved-skirt": skirt("grooved-skirt"),
  double: skirt("double"),
  cogwheel: skirt("cogwheel"),
};

/** The ring; a dashed ghost of one until it has been looked at. */
export function ringShapes(view: BodyView, cap: PlacedCap): Shape[] {
  const ring = view.of("ring");
  const shapes: Shape[] = [];
  const pen: RingPen = {
    w: view.stemHalf,
    height: cap.edge * (RING_HEIGHT[view.first("ring-place") ?? "high"] ?? 0.78) * 0.96,
    tip: cap.profile.at(-1) ?? [view.radius, cap.edge],
    colour: view.first("ring-colour") === undefined ? "paper" : `pigment:${view.first("ring-colour")}`,
    put: (points, more = {}) =>
      void shapes.push({
        part: "stem",
        steps: smooth(points),
        fill: "none",
        stroke: "line",
        pen: 1.1,
        knowing: ring.knowing,
        ...more,
      }),
  };
  for (const kind of ring.knowing === "open" ? ["unlooked"] : ring.states) RINGS[kind]?.(pen);
  return shapes;
}
