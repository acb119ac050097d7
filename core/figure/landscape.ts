/** What stands in a small landscape and what one walks on, each drawn by itself. */
import { type Ink, line, type Point2, type Shape, scatter, smooth } from "./shapes.ts";
import { put } from "./site-mark.ts";

/** Below the ground so far, where a way runs out of the picture. */
export const BOTTOM = -0.9;

/** A closed outline with a fill. */
const area = (points: readonly Point2[], fill: Ink, pen = 0.8): Shape => put(line(points, true), pen, fill);
const blob = (points: readonly Point2[], fill: Ink, pen = 0.8): Shape => put([...smooth(points), ["Z"]], pen, fill);
/** An open line. */
export const stroke = (points: readonly Point2[], pen = 0.7, ink: Ink = "line"): Shape =>
  put(line(points), pen, "none", ink);

/** The outline of a crown that bulges: a ring of bumps round a middle. */
function crown(x: number, y: number, wide: number, tall: number): Shape {
  const bumps = 9;
  const points = Array.from({ length: bumps + 1 }, (_unused, index): Point2 => {
    const turn = (index / bumps) * 2 * Math.PI;
    const out = 0.86 + 0.22 * scatter((index % bumps) + x * 3);
    return [x + Math.cos(turn) * wide * out, y + Math.sin(turn) * tall * out];
  });
  return blob(points, "leaf");
}

const circle = (x: number, y: number, radius: number): Point2[] =>
  Array.from({ length: 9 }, (_unused, index): Point2 => {
    const turn = (index / 8) * 2 * Math.PI;
    return [x + Math.cos(turn) * radius, y + Math.sin(turn) * radius];
  });

/** Each thing by where it stands and how tall or wide it is, in the landscape's own cm. */
export const THINGS = {
  broadleaf: (x: number, size: number): Shape[] => [
    area(
      [
        [x - size * 0.07, 0],
        [x - size * 0.05, size * 0.5],
        [x + size * 0.05, size * 0.5],
        [x + size * 0.07, 0],
      ],
      "wood",
    ),
    crown(x, size * 0.68, size * 0.36, size * 0.32),
  ],
  conifer: (x: number, size: number): Shape[] => [
    area(
      [
        [x - size * 0.05, 0],
        [x - size * 0.05, size * 0.2],
        [x + size * 0.05, size * 0.2],
        [x + size * 0.05, 0],
      ],
      "wood",
    ),
    ...[0.16, 0.42, 0.66].map((from, tier) =>
      area(
        [
          [x - size * (0.26 - tier * 0.06), size * from],
          [x, size * (from + 0.38)],
          [x + size * (0.26 - tier * 0.06), size * from],
        ],
        "leaf",
      ),
    ),
  ],
  fruiting: (x: number, size: number): Shape[] => [
    ...THINGS.broadleaf(x, size),
    ...(
      [
        [-0.18, 0.62],
        [0.12, 0.78],
        [0.16, 0.55],
        [-0.05, 0.86],
      ] as const
    ).map(([along, up]) => blob(circle(x + along * size, up * size, size * 0.055), "pigment:red", 0.6)),
  ],
  shrub: (x: number, size: number): Shape[] => [crown(x, size * 0.45, size * 0.5, size * 0.45)],
  grass: (x: number, size: number): Shape[] =>
    [-0.5, -0.2, 0.1, 0.4].map((lean, index) =>
      stroke(
        [
          [x + lean * size * 0.4, 0],
          [x + lean * size * 0.9, size * (0.7 + 0.3 * scatter(index + x))],
        ],
        0.7,
      ),
    ),
  heather: (x: number, size: number): Shape[] =>
    [-0.6, -0.25, 0.1, 0.45].flatMap((lean) => [
      stroke(
        [
          [x + lean * size * 0.3, 0],
          [x + lean * size, size],
        ],
        0.7,
      ),
      ...[0.55, 0.75, 0.95].map((up) => dot(x + lean * size * up, size * up, 0.17, "pigment:lilac")),
    ]),
  cottongrass: (x: number, size: number): Shape[] => [
    stroke(
      [
        [x, 0],
        [x + 0.08, size],
      ],
      0.7,
    ),
    dot(x + 0.08, size, 0.34, "pigment:white"),
  ],
  water: (x: number, size: number): Shape[] =>
    [-0.15, -0.4, -0.65].map((y, index) =>
      put(
        smooth([
          [x - size + index * 0.3, y],
          [x - size * 0.4, y + 0.1],
          [x + size * 0.2, y - 0.06],
          [x + size - index * 0.2, y],
        ]),
        0.7,
        "none",
        "faint",
      ),
    ),
  dune: (x: number, size: number): Shape[] => [
    blob(
      [
        [x - size, 0],
        [x - size * 0.5, size * 0.22],
        [x + size * 0.05, size * 0.62],
        [x + size * 0.35, size * 0.42],
        [x + size, 0],
      ],
      "pigment:cream",
    ),
  ],
  burnt: (x: number, size: number): Shape[] => [
    area(
      [
        [x - size * 0.12, 0],
        [x - size * 0.08, size * 0.8],
        [x, size * 0.62],
        [x + size * 0.05, size],
        [x + size * 0.12, 0],
      ],
      "pigment:black",
    ),
  ],
  ash: (x: number, size: number): Shape[] => [
    blob(
      [
        [x - size, -0.02],
        [x - size * 0.4, 0.26],
        [x + size * 0.3, 0.2],
        [x + size, -0.02],
      ],
      "pigment:grey",
    ),
  ],
  heap: (x: number, size: number): Shape[] => [
    blob(
      [
        [x - size, 0],
        [x - size * 0.55, size * 0.5],
        [x - size * 0.1, size * 0.78],
        [x + size * 0.4, size * 0.46],
        [x + size, 0],
      ],
      "soil",
    ),
    ...[-0.4, 0.05, 0.4].map((at, index) => dot(x + at * size, size * (0.25 + 0.1 * index), 0.13, "pigment:grey")),
  ],
  spade: (x: number, size: number): Shape[] => [
    stroke(
      [
        [x + size * 0.35, size],
        [x, size * 0.35],
      ],
      1.4,
    ),
    area(
      [
        [x - size * 0.18, size * 0.36],
        [x + size * 0.1, size * 0.5],
        [x + size * 0.02, size * 0.08],
        [x - size * 0.16, 0],
      ],
      "pigment:grey",
    ),
  ],
  bed: (x: number, size: number): Shape[] => [
    area(
      [
        [x - size, 0],
        [x - size * 0.92, 0.55],
        [x + size * 0.92, 0.55],
        [x + size, 0],
      ],
      "wood",
    ),
    area(
      [
        [x - size * 0.92, 0.55],
        [x - size * 0.8, 0.8],
        [x + size * 0.8, 0.8],
        [x + size * 0.92, 0.55],
      ],
      "soil",
    ),
  ],
  leafy: (x: number, size: number): Shape[] =>
    [-0.5, 0, 0.5].map((lean) =>
      blob(
        [
          [x, 0.75],
          [x + lean * size - 0.16, 0.75 + size * 0.7],
          [x + lean * size * 1.2, 0.75 + size],
          [x + lean * size + 0.2, 0.75 + size * 0.55],
          [x, 0.75],
        ],
        "leaf",
        0.7,
      ),
    ),
  path: (x: number, size: number): Shape[] => [way(x, size * 0.34, size * 0.1, "pigment:buff")],
  track: (x: number, size: number): Shape[] => [
    way(x, size * 0.62, size * 0.2, "pigment:buff"),
    ...[-0.3, 0.3].map((side) =>
      stroke(
        [
          [x + side * size, BOTTOM],
          [x + side * size * 0.36, 1.2],
        ],
        1.4,
        "wood",
      ),
    ),
  ],
  road: (x: number, size: number): Shape[] => [
    way(x, size * 0.62, size * 0.2, "pigment:grey"),
    ...[
      [-0.8, -0.35],
      [-0.05, 0.3],
      [0.55, 0.8],
    ].map(([from = 0, to = 0]) =>
      stroke(
        [
          [x, from],
          [x, to],
        ],
        1.3,
        "pigment:white",
      ),
    ),
  ],
  stone: (x: number, size: number): Shape[] => [
    blob(
      [
        [x - size * 0.32, 0],
        [x - size * 0.32, size * 0.62],
        [x - size * 0.18, size * 0.94],
        [x + size * 0.18, size * 0.94],
        [x + size * 0.32, size * 0.62],
        [x + size * 0.32, 0],
      ],
      "pigment:grey",
    ),
  ],
  bench: (x: number, size: number): Shape[] => [
    area(
      [
        [x - size, size * 0.5],
        [x - size, size * 0.62],
        [x + size, size * 0.62],
        [x + size, size * 0.5],
      ],
      "wood",
    ),
    ...[-0.8, 0.8].map((side) =>
      stroke(
        [
          [x + side * size, size * 0.5],
          [x + side * size, 0],
        ],
        1.2,
      ),
    ),
  ],
  turf: (x: number, size: number): Shape[] => [
    area(
      [
        [x - size, 0],
        [x - size, 0.22],
        [x + size, 0.22],
        [x + size, 0],
      ],
      "leaf",
      0.6,
    ),
  ],
} as const;

/** A way that runs off: broad at the front, narrow at the back. */
function way(x: number, front: number, back: number, fill: Ink): Shape {
  return area(
    [
      [x - front, BOTTOM],
      [x - back, 1.2],
      [x + back, 1.2],
      [x + front, BOTTOM],
    ],
    fill,
  );
}

function dot(x: number, y: number, r: number, fill: Ink): Shape {
  return blob(
    [
      [x - r, y],
      [x, y + r],
      [x + r, y],
      [x, y - r],
      [x - r, y],
    ],
    fill,
    0.6,
  );
}
