/** How a troop stands, drawn small. */
import { type Figure, line, type Shape, smooth } from "./shapes.ts";
import { framed, put } from "./site-mark.ts";

/** A small mushroom: its foot, its height. */
function small(x: number, y: number, tall: number): Shape[] {
  const wide = tall * 0.42;
  return [
    put(
      line([
        [x - tall * 0.07, y + tall * 0.62],
        [x - tall * 0.09, y],
        [x + tall * 0.09, y],
        [x + tall * 0.07, y + tall * 0.62],
      ]),
      0.8,
      "flesh",
    ),
    put(
      [
        ...smooth([
          [x - wide, y + tall * 0.58],
          [x - wide * 0.7, y + tall * 0.88],
          [x, y + tall],
          [x + wide * 0.7, y + tall * 0.88],
          [x + wide, y + tall * 0.58],
        ]),
        ["Z"],
      ],
      0.9,
      "pigment:buff",
    ),
  ];
}

/** Where the bodies of a troop stand, as [x, y, height]. */
const TROOPS: Readonly<Record<string, readonly (readonly [number, number, number])[]>> = {
  single: [[0, 0, 1.6]],
  scattered: [
    [-2, 0.5, 0.8],
    [0.3, 0.2, 0.9],
    [2.1, 0.7, 0.8],
  ],
  trooping: [
    [-2.2, 0.7, 0.8],
    [-1.3, 0.2, 0.9],
    [-0.4, 0.8, 0.8],
    [0.4, 0.1, 1],
    [1.3, 0.6, 0.8],
    [2.2, 0.2, 0.9],
  ],
  "ring-or-arc": [-2.3, -1.6, -0.8, 0, 0.8, 1.6, 2.3].map(
    (x) => [x, 1.1 - Math.sqrt(Math.max(0, 6 - x * x)) * 0.5, 0.75] as const,
  ),
  "small-tufts": [
    [-1.8, 0.1, 1],
    [-1.4, 0, 0.8],
    [-1.1, 0.15, 0.9],
    [1.2, 0.3, 0.9],
    [1.6, 0.2, 1],
    [2, 0.35, 0.8],
  ],
};

/** Brackets one above the other on a trunk. */
function shelves(): Figure {
  const trunk = put(
    line([
      [-0.5, -0.1],
      [-0.4, 2.1],
      [0.5, 2.1],
      [0.6, -0.1],
    ]),
    0.9,
    "wood",
  );
  const brackets = (
    [
      [0.3, 1.3],
      [0.85, 1.5],
      [1.4, 1.1],
    ] as const
  ).map(([y, wide]) =>
    put(
      [
        ...smooth([
          [0.35, y + 0.35],
          [0.9, y + 0.3],
          [0.4 + wide, y],
          [0.9, y - 0.08],
          [0.4, y - 0.1],
        ]),
        ["Z"],
      ],
      0.9,
      "pigment:buff",
    ),
  );
  return framed([trunk, ...brackets], -1.2, 2.4, 2.2, -0.2);
}

/** Stems from one foot. */
function cluster(): Figure {
  const shapes = (
    [
      [-1.2, 1.2],
      [1.2, 1.2],
      [-0.65, 1.5],
      [0.7, 1.5],
      [0, 1.7],
    ] as const
  ).flatMap(([x, tall]) => [
    put(
      smooth([
        [0, -0.05],
        [x * 0.5, tall * 0.4],
        [x, tall * 0.75],
      ]),
      2.4,
      "none",
      "line",
    ),
    put(
      [
        ...smooth([
          [x - 0.55, tall * 0.72],
          [x - 0.3, tall],
          [x, tall * 1.08],
          [x + 0.3, tall],
          [x + 0.55, tall * 0.72],
        ]),
        ["Z"],
      ],
      0.9,
      "pigment:buff",
    ),
  ]);
  return framed(shapes, -2, 2, 2, -0.2);
}

/** Bodies on the ground, each at its place. */
function troop(places: (typeof TROOPS)[string] = []): Figure {
  const ground = put(
    line([
      [-2.8, 0],
      [2.8, 0],
    ]),
    0.5,
    "none",
    "faint",
  );
  return framed([ground, ...places.flatMap(([x, y, tall]) => small(x, y, tall))], -2.9, 2.9, 2, -0.3);
}

const JOINED: Readonly<Record<string, () => Figure>> = { "overlapping-shelves": shelves, "dense-cluster": cluster };

/** The drawing of one way to stand. */
export function growthMark(state: string): Figure {
  return JOINED[state]?.() ?? troop(TROOPS[state]);
}
