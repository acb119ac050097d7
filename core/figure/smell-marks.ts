/** A small mark for each smell: the thing that most noses know it by. Ours, drawn by the pen of the specimen. */
import { arc, around, Sheet } from "./close-up-sheet.ts";
import type { Figure, Ink, Point2 } from "./shapes.ts";

/** One stroke of a mark: its points, how it is drawn, and what fills it. */
interface Mark {
  readonly points: readonly Point2[];
  readonly kind: "curve" | "straight";
  readonly fill?: Ink;
  readonly open?: boolean;
  readonly pen?: number;
}

/** Points as they are written below: "x y, x y". */
const at = (points: Points): readonly Point2[] =>
  typeof points === "string"
    ? points.split(", ").map((pair): Point2 => {
        const [x = 0, y = 0] = pair.split(" ").map(Number);
        return [x, y];
      })
    : points;
type Points = string | readonly Point2[];

const curve = (fill: Ink, points: Points, pen?: number): Mark => ({
  points: at(points),
  kind: "curve",
  fill,
  ...(pen === undefined ? {} : { pen }),
});
const shape = (fill: Ink, points: Points): Mark => ({ points: at(points), kind: "straight", fill });
const stroke = (points: Points, pen?: number): Mark => ({
  points: at(points),
  kind: "curve",
  open: true,
  ...(pen === undefined ? {} : { pen }),
});
const ray = (points: Points, pen?: number): Mark => ({ ...stroke(points, pen), kind: "straight" });
const moved = (points: readonly Point2[], x: number, y: number): Point2[] => points.map(([px, py]) => [px + x, py + y]);
const ring = (radius: number, x = 0, y = 0): Point2[] => moved(arc(radius, 0, 360, 16), x, y);
/** Petals or fruits around a middle: the outline of each, narrow at the middle. */
const petals = (count: number, inner: number, outer: number, width: number, fill: Ink): Mark[] =>
  Array.from({ length: count }, (_unused, index) => {
    const turn = 90 + (index * 360) / count;
    const middle = (inner + outer) / 2;
    return curve(fill, [
      around(inner, turn),
      around(middle, turn + width),
      around(outer, turn),
      around(middle, turn - width),
      around(inner, turn),
    ]);
  });
const DROP = at("0 0.75, 0.3 0.2, 0.42 -0.2, 0 -0.6, -0.42 -0.2, -0.3 0.2, 0 0.75");
const LEAF = at("-0.95 -0.55, -0.55 0.25, 0.2 0.6, 0.95 0.65, 0.7 -0.1, 0.05 -0.6, -0.95 -0.55");
/** Air that rises: three waves. */
const waves = (from: number): Mark[] =>
  [-0.55, 0, 0.55].map((x) =>
    stroke([
      [x, from],
      [x + 0.16, from + 0.35],
      [x - 0.12, from + 0.75],
      [x + 0.1, from + 1.15],
    ]),
  );
const hexagon = (x: number, y: number): Mark =>
  shape(
    "pigment:yellow",
    Array.from({ length: 6 }, (_unused, side) => {
      const [px, py] = around(0.48, 30 + side * 60);
      return [px + x, py + y];
    }),
  );

const MARKS: Readonly<Record<string, readonly Mark[]>> = {
  mushroomy: [
    curve("flesh", "-0.25 0.1, -0.3 -0.9, 0.3 -0.9, 0.25 0.1"),
    curve("pigment:buff", "-0.95 0.05, -0.6 0.75, 0 0.95, 0.6 0.75, 0.95 0.05, 0 -0.08, -0.95 0.05"),
  ],
  // the eight boats of a star of anise
  aniseed: [...petals(8, 0.12, 1, 11, "pigment:brown"), curve("pigment:ochre", ring(0.14))],
  almond: [
    curve("pigment:clay-brown", "0 1, 0.5 0.3, 0.55 -0.4, 0 -0.95, -0.55 -0.4, -0.5 0.3, 0 1"),
    ...[-0.22, 0, 0.22].map((x) =>
      stroke(
        [
          [x * 0.6, 0.65],
          [x * 1.3, 0],
          [x * 0.8, -0.65],
        ],
        0.7,
      ),
    ),
  ],
  // an ink bottle
  chemical: [
    shape("flesh", "-0.28 0.95, 0.28 0.95, 0.28 0.45, 0.85 0.1, 0.85 -0.9, -0.85 -0.9, -0.85 0.1, -0.28 0.45"),
    shape("pigment:strong-blue", "-0.8 -0.25, 0.8 -0.25, 0.8 -0.85, -0.8 -0.85"),
  ],
  // an ear of corn
  mealy: [
    ray("0 -1, 0 0.9"),
    ...[-0.35, 0, 0.35].flatMap((y) =>
      [1, -1].map((side) =>
        curve("pigment:cream", [
          [0, y],
          [side * 0.42, y + 0.12],
          [side * 0.5, y + 0.48],
          [side * 0.12, y + 0.34],
          [0, y],
        ]),
      ),
    ),
    ray("-0.3 1, 0 0.6, 0.3 1", 0.8),
  ],
  // a tallow candle just blown out, on its plate
  rancid: [
    shape("pigment:cream", "-0.24 0.25, 0.24 0.25, 0.24 -0.75, -0.24 -0.75"),
    curve("pigment:cream", "0.24 0.25, 0.4 -0.05, 0.36 -0.4, 0.24 -0.2, 0.24 0.25"),
    shape("flesh", "-0.85 -0.72, 0.85 -0.72, 0.6 -0.98, -0.6 -0.98"),
    ray("0 0.25, 0.04 0.5"),
    stroke("0.04 0.55, -0.14 0.72, 0.1 0.88, -0.06 1.08", 0.8),
  ],
  radish: [
    curve("pigment:red", "0 0.35, 0.6 0.15, 0.5 -0.4, 0.08 -0.75, 0 -1.05, -0.08 -0.75, -0.5 -0.4, -0.6 0.15, 0 0.35"),
    ...[-0.45, 0, 0.45].map((x) =>
      curve("pigment:olive-green", [
        [0, 0.32],
        [x - 0.16, 0.75],
        [x * 1.4, 1.05],
        [x + 0.16, 0.7],
        [0, 0.32],
      ]),
    ),
  ],
  floral: [...petals(5, 0.1, 1, 26, "pigment:pink"), curve("pigment:yellow", ring(0.24))],
  "fruity-apricot": [
    curve("pigment:orange", ring(0.8, 0, -0.15)),
    stroke("0.05 0.62, -0.28 0, -0.05 -0.85"),
    curve("pigment:olive-green", "0.05 0.62, 0.4 1, 0.9 0.95, 0.6 0.65, 0.05 0.62"),
  ],
  fishy: [
    curve("pigment:slight-blue", "-1 0, -0.45 0.45, 0.2 0.38, 0.6 0, 0.2 -0.38, -0.45 -0.45, -1 0"),
    shape("pigment:slight-blue", "0.52 0, 1.05 0.42, 1.05 -0.42"),
    curve("line", ring(0.07, -0.6, 0.12)),
    stroke("-0.32 0.32, -0.2 0, -0.32 -0.32", 0.8),
  ],
  honey: [hexagon(0, 0.44), hexagon(-0.42, -0.28), hexagon(0.42, -0.28)],
  garlic: [
    curve("flesh", "0 1.05, 0.15 0.5, 0.8 -0.05, 0.6 -0.75, 0 -0.85, -0.6 -0.75, -0.8 -0.05, -0.15 0.5, 0 1.05"),
    ...[1, -1].map((side) =>
      stroke([
        [side * 0.06, 0.5],
        [side * 0.32, -0.1],
        [side * 0.16, -0.82],
      ]),
    ),
  ],
  urine: [
    curve("pigment:yellow", moved(DROP, -0.35, 0.25)),
    curve(
      "pigment:yellow",
      DROP.map(([x, y]): Point2 => [x * 0.7 + 0.5, y * 0.7 - 0.45]),
    ),
  ],
  soapy: [
    shape("pigment:pinkish", "-0.95 -0.15, 0.55 -0.15, 0.75 -0.35, 0.75 -0.85, -0.95 -0.85"),
    ...[
      [0.2, -0.45, 0.3],
      [0.32, 0.25, 0.5],
      [0.16, 0.75, 0.15],
    ].map(([radius = 0, x, y]) => curve("paper", ring(radius, x, y))),
  ],
  // half a nut
  coconut: [
    curve("pigment:brown", [...arc(1, 180, 360), [0, 0.2], [-1, 0]]),
    curve("flesh", "-1 0, 0 0.3, 1 0, 0 -0.3, -1 0"),
    curve("pigment:cream", "-0.6 0, 0 0.14, 0.6 0, 0 -0.14, -0.6 0", 0.7),
  ],
  smoky: [shape("wood", "-0.9 -0.6, 0.9 -0.6, 0.9 -0.95, -0.9 -0.95"), ...waves(-0.35)],
  nutty: [
    curve("pigment:clay-brown", "-0.7 0.15, -0.55 -0.6, 0 -1, 0.55 -0.6, 0.7 0.15"),
    curve("pigment:buff", "-0.8 0.1, -0.6 0.75, 0 0.95, 0.6 0.75, 0.8 0.1, 0 -0.05, -0.8 0.1"),
  ],
  // a wrapped sweet
  sweet: [
    curve("pigment:peach", ring(0.5)),
    ...[1, -1].map((side) =>
      shape("pigment:cream", [
        [side * 0.48, 0],
        [side * 1.05, 0.42],
        [side * 1.05, -0.42],
      ]),
    ),
  ],
  litter: [
    curve("leaf", LEAF),
    stroke("-1.05 -0.75, -0.3 -0.15, 0.6 0.45"),
    ray("-0.2 -0.08, -0.15 0.3", 0.7),
    ray("0.2 0.2, 0.4 -0.1", 0.7),
  ],
  // a tube, its cap off
  glue: [
    shape("pigment:slight-blue", "-0.55 -0.95, 0.55 -0.95, 0.4 0.3, -0.4 0.3"),
    shape("flesh", "-0.2 0.3, 0.2 0.3, 0.1 0.75, -0.1 0.75"),
    stroke("0 0.75, 0.15 0.95, 0.5 0.85, 0.6 0.55"),
  ],
  // a swath of cut grass, bound
  coumarin: [
    ...[-0.75, -0.4, 0, 0.4, 0.75].map((x) =>
      stroke([
        [x, 1],
        [x * 0.35, 0.2],
        [x * 0.2, -0.25],
        [x * 0.6, -0.95],
      ]),
    ),
    shape("pigment:ochre", "-0.32 0, 0.32 0, 0.32 -0.25, -0.32 -0.25"),
  ],
  "pleasant-unnamed": waves(-0.55),
  "unpleasant-unnamed": [...waves(-0.55), ray("-0.95 -0.85, 0.95 0.85", 1.6)],
};

/** The mark of a smell; undefined for "none", which is nothing to draw, and for what is no smell. */
export function smellMarkOf(state: string): Figure | undefined {
  const marks = MARKS[state];
  if (marks === undefined) return undefined;
  const sheet = new Sheet("nose");
  for (const { points, kind, fill = "none", open = false, pen = 1.1 } of marks) {
    if (kind === "curve") sheet.curve(points, pen, fill, !open);
    else sheet.straight(points, pen, fill, !open);
  }
  return sheet.figure(-1.2, 1.2, 1.2, -1.2);
}
