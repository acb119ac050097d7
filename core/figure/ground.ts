/** What it stands in: soil, wood, moss or grass, and a leaf of the tree beside it. */
import { line, type Point2, type Shape, scatter, smooth } from "./shapes.ts";
import type { BodyView } from "./view.ts";

const WOOD = new Set(["standing-dead-wood", "stump", "fallen-wood", "living-trunk", "buried-wood"]);
const NEEDLE_TREES = new Set(["spruce", "pine", "fir", "larch", "douglas-fir", "hemlock-conifer"]);

/** What one side of the ground is drawn with. */
interface GroundPen {
  readonly view: BodyView;
  /** -1 to the left of the stem, 1 to its right. */
  readonly turn: number;
  /** A place from the stem (0) to the end of the ground (1), cm from the axis. */
  readonly at: (share: number) => number;
  /** The unit of what lies in it, cm. */
  readonly scale: number;
  readonly put: (steps: Shape["steps"], stroke: Shape["stroke"], pen: number, fill?: Shape["fill"]) => void;
}

/** The ground on both sides of the stem. @param reach how far it is drawn from the axis, cm */
export function groundShapes(view: BodyView, reach: number): Shape[] {
  const shapes: Shape[] = [];
  const gap = view.stemHalf * (view.rooted ? 1.12 : 2);
  const knowing: Shape["knowing"] = view.substrate.length === 0 ? "open" : "seen";
  const scale = reach / 8;
  const onWood = view.substrate.some((one) => WOOD.has(one));
  const put: GroundPen["put"] = (steps, stroke, pen, fill = "none") =>
    shapes.push({ part: "ground", steps, fill, stroke, pen, knowing });
  for (const turn of [-1, 1]) {
    const pen: GroundPen = { view, turn, scale, put, at: (share) => turn * (gap + (reach - gap) * share) };
    const surface: Point2[] = [0, 0.2, 0.4, 0.6, 0.8, 1].map((share) => [
      pen.at(share),
      scale * 0.14 * (scatter(share * 10 + turn) - 0.5),
    ]);
    shapes.push(bed(pen, surface, reach, gap, onWood ? "wood" : "soil"));
    put(smooth(surface), "line", 1.1);
    grain(pen, onWood);
    if (view.habitat.some((one) => one === "grassland" || one === "lawn-or-park")) grass(pen);
    if (view.substrate.includes("moss")) moss(pen);
  }
  if (view.host.some((one) => NEEDLE_TREES.has(one)) || view.substrate.includes("needle-litter"))
    needles(put, reach, scale);
  if (view.host.some((one) => one !== "none-near" && !NEEDLE_TREES.has(one)) || view.substrate.includes("leaf-litter"))
    leaf(put, -reach * 0.72, scale);
  return shapes;
}

/** What lies under the surface, in its colour. */
function bed(
  { turn, at, scale }: GroundPen,
  surface: readonly Point2[],
  reach: number,
  gap: number,
  fill: Shape["fill"],
): Shape {
  const deep = scale * 1.15;
  const outline: Point2[] = [
    ...surface,
    [turn * reach, -deep * 0.8],
    [at(0.6), -deep],
    [turn * (gap + scale * 0.3), -deep * 0.9],
    [turn * gap, -deep * 0.4],
  ];
  return { part: "ground", steps: line(outline, true), fill, stroke: "none", pen: 0, knowing: "seen" };
}

/** Fibres of wood, or crumbs of soil. */
function grain({ at, scale, put }: GroundPen, onWood: boolean): void {
  for (let index = 0; index < 12; index++) {
    const x = at((index + scatter(index)) / 12);
    const y = -scale * (0.2 + scatter(index + 30) * 0.6);
    const fibre: Point2[] = [
      [x - scale * 0.5, y],
      [x, y + scale * 0.05],
      [x + scale * 0.5, y - scale * 0.03],
    ];
    const crumb: Point2[] = [
      [x, y],
      [x + scale * 0.12, y - scale * 0.1],
    ];
    if (onWood) put(smooth(fibre), "line", 0.5);
    else put(line(crumb), "line", 0.7);
  }
}

function grass({ turn, at, scale, put }: GroundPen): void {
  for (let blade = 0; blade < 9; blade++) {
    const x = at(0.12 + blade * 0.1 + scatter(blade + turn) * 0.05);
    const tall = scale * (0.6 + scatter(blade * 3 + turn) * 0.9);
    const bent: Point2[] = [
      [x, 0],
      [x + scale * 0.06, tall * 0.6],
      [x + scale * (scatter(blade) - 0.5) * 0.7, tall],
    ];
    put(smooth(bent), "leaf", 1.1);
  }
}

function moss({ at, scale, put }: GroundPen): void {
  for (let tuft = 0; tuft < 14; tuft++) {
    const x = at(tuft / 14);
    for (const [aside, tall] of [
      [-0.08, 0.25],
      [0.1, 0.22],
    ] as const) {
      const stalk: Point2[] = [
        [x, 0],
        [x + scale * aside, scale * tall],
      ];
      put(line(stalk), "leaf", 0.9);
    }
  }
}

function needles(put: GroundPen["put"], reach: number, scale: number): void {
  for (let needle = 0; needle < 8; needle++) {
    const x = reach * (0.4 + needle * 0.07);
    const drawn: Point2[] = [
      [x, scale * 0.05],
      [x + scale * 0.35, scale * (0.1 + scatter(needle) * 0.25)],
    ];
    put(line(drawn), "leaf", 0.8);
  }
}

function leaf(put: GroundPen["put"], at: number, scale: number): void {
  const blade: Point2[] = [
    [at - scale * 0.95, scale * 0.12],
    [at - scale * 0.4, scale * 0.52],
    [at + scale * 0.3, scale * 0.46],
    [at + scale * 0.95, scale * 0.1],
    [at + scale * 0.25, scale * 0.02],
    [at - scale * 0.4, scale * 0.03],
  ];
  const rib: Point2[] = [
    [at - scale * 0.95, scale * 0.12],
    [at + scale * 1.25, scale * 0.12],
  ];
  put([...smooth(blade), ["Z"]], "line", 0.8, "leaf");
  put(line(rib), "line", 0.6);
}
