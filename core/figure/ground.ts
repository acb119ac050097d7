/** What it stands in: soil, wood, moss or grass, and a leaf of the tree beside it. */
import { line, type Point2, type Shape, scatter, smooth } from "./shapes.ts";
import type { BodyView } from "./view.ts";

const WOOD = new Set(["standing-dead-wood", "stump", "fallen-wood", "living-trunk", "buried-wood"]);
const NEEDLE_TREES = new Set(["spruce", "pine", "fir", "larch", "douglas-fir", "hemlock-conifer"]);

/** The ground on both sides of the stem. @param reach how far it is drawn from the axis, cm */
export function groundShapes(view: BodyView, reach: number): Shape[] {
  const shapes: Shape[] = [];
  const gap = view.stemHalf * (view.rooted ? 1.12 : 2);
  const known: Shape["knowing"] = view.substrate.length === 0 ? "open" : "seen";
  const scale = reach / 8;
  const put = (steps: Shape["steps"], stroke: Shape["stroke"], pen: number, fill: Shape["fill"] = "none") =>
    shapes.push({ part: "ground", steps, fill, stroke, pen, knowing: known });
  const onWood = view.substrate.some((one) => WOOD.has(one));
  for (const turn of [-1, 1]) {
    const surface: Point2[] = [0, 0.2, 0.4, 0.6, 0.8, 1].map((share) => [
      turn * (gap + (reach - gap) * share),
      scale * 0.14 * (scatter(share * 10 + turn) - 0.5),
    ]);
    const deep = scale * 1.15;
    const bed: Point2[] = [
      ...surface,
      [turn * reach, -deep * 0.8],
      [turn * (gap + (reach - gap) * 0.6), -deep],
      [turn * (gap + scale * 0.3), -deep * 0.9],
      [turn * gap, -deep * 0.4],
    ];
    shapes.push({
      part: "ground",
      steps: line(bed, true),
      fill: onWood ? "wood" : "soil",
      stroke: "none",
      pen: 0,
      knowing: "seen",
    });
    put(smooth(surface), "line", 1.1);
    for (let index = 0; index < 12; index++) {
      const x = turn * (gap + (reach - gap) * ((index + scatter(index)) / 12));
      const y = -scale * (0.2 + scatter(index + 30) * 0.6);
      if (onWood)
        put(
          smooth([
            [x - scale * 0.5, y],
            [x, y + scale * 0.05],
            [x + scale * 0.5, y - scale * 0.03],
          ]),
          "line",
          0.5,
        );
      else
        put(
          line([
            [x, y],
            [x + scale * 0.12, y - scale * 0.1],
          ]),
          "line",
          0.7,
        );
    }
    if (view.habitat.some((one) => one === "grassland" || one === "lawn-or-park"))
      for (let blade = 0; blade < 9; blade++) {
        const x = turn * (gap + (reach - gap) * (0.12 + blade * 0.1 + scatter(blade + turn) * 0.05));
        const tall = scale * (0.6 + scatter(blade * 3 + turn) * 0.9);
        put(
          smooth([
            [x, 0],
            [x + scale * 0.06, tall * 0.6],
            [x + scale * (scatter(blade) - 0.5) * 0.7, tall],
          ]),
          "leaf",
          1.1,
        );
      }
    if (view.substrate.includes("moss"))
      for (let tuft = 0; tuft < 14; tuft++) {
        const x = turn * (gap + (reach - gap) * (tuft / 14));
        put(
          line([
            [x, 0],
            [x - scale * 0.08, scale * 0.25],
          ]),
          "leaf",
          0.9,
        );
        put(
          line([
            [x, 0],
            [x + scale * 0.1, scale * 0.22],
          ]),
          "leaf",
          0.9,
        );
      }
  }
  if (view.host.some((one) => NEEDLE_TREES.has(one)) || view.substrate.includes("needle-litter"))
    for (let needle = 0; needle < 8; needle++) {
      const x = reach * (0.4 + needle * 0.07);
      put(
        line([
          [x, scale * 0.05],
          [x + scale * 0.35, scale * (0.1 + scatter(needle) * 0.25)],
        ]),
        "leaf",
        0.8,
      );
    }
  if (
    view.host.some((one) => one !== "none-near" && !NEEDLE_TREES.has(one)) ||
    view.substrate.includes("leaf-litter")
  ) {
    const at = -reach * 0.72;
    const leaf: Point2[] = [
      [at - scale * 0.95, scale * 0.12],
      [at - scale * 0.4, scale * 0.52],
      [at + scale * 0.3, scale * 0.46],
      [at + scale * 0.95, scale * 0.1],
      [at + scale * 0.25, scale * 0.02],
      [at - scale * 0.4, scale * 0.03],
    ];
    put([...smooth(leaf), ["Z"]], "line", 0.8, "leaf");
    put(
      line([
        [at - scale * 0.95, scale * 0.12],
        [at + scale * 1.25, scale * 0.12],
      ]),
      "line",
      0.6,
    );
  }
  return shapes;
}
