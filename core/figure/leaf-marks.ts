/** A leaf or a twig of each tree, drawn small. */
import { type Figure, line, type Point2, type Shape, smooth } from "./shapes.ts";
import { framed, put } from "./site-mark.ts";

/** How a tree's leaf is drawn: broad ones by length, breadth, where they are broadest, teeth and lobes; needles by how they stand. */
type Leaf =
  | {
      readonly kind: "broad";
      readonly breadth: number;
      readonly broadest: number;
      readonly teeth: number;
      readonly lobes: number;
      readonly notch?: boolean;
    }
  | { readonly kind: "feathered"; readonly pairs: number; readonly leaflet: number }
  | { readonly kind: "hand"; readonly cut: number }
  | { readonly kind: "needles"; readonly per: number; readonly long: number; readonly flat: boolean };

const broad = (breadth: number, broadest: number, teeth = 0, lobes = 0, notch = false): Leaf => ({
  kind: "broad",
  breadth,
  broadest,
  teeth,
  lobes,
  notch,
});
const needles = (per: number, long: number, flat = false): Leaf => ({ kind: "needles", per, long, flat });

/** Leaves by tree: their usual outlines; common knowledge, drawn by us. */
const LEAVES: Readonly<Record<string, Leaf>> = {
  oak: broad(0.62, 0.6, 0, 5),
  beech: broad(0.6, 0.5),
  birch: broad(0.72, 0.3, 9),
  hazel: broad(0.86, 0.62, 10),
  hornbeam: broad(0.5, 0.45, 12),
  chestnut: broad(0.34, 0.5, 10),
  aspen: broad(0.98, 0.5, 6),
  poplar: broad(0.95, 0.28, 5),
  willow: broad(0.2, 0.45),
  alder: broad(0.86, 0.68, 7, 0, true),
  lime: broad(0.92, 0.35, 8),
  elm: broad(0.6, 0.5, 10),
  maple: { kind: "hand", cut: 0.55 },
  "horse-chestnut": { kind: "hand", cut: 0.14 },
  ash: { kind: "feathered", pairs: 3, leaflet: 0.3 },
  robinia: { kind: "feathered", pairs: 5, leaflet: 0.22 },
  palm: { kind: "feathered", pairs: 9, leaflet: 0.08 },
  hawthorn: broad(0.74, 0.55, 0, 3),
  madrone: broad(0.46, 0.52),
  cherry: broad(0.5, 0.58, 14),
  apple: broad(0.7, 0.5, 8),
  bamboo: broad(0.14, 0.25),
  eucalyptus: broad(0.16, 0.4),
  spruce: needles(1, 0.42),
  pine: needles(2, 1.15),
  fir: needles(1, 0.6, true),
  larch: needles(8, 0.55),
  yew: needles(1, 0.46, true),
  cypress: needles(4, 0.24, true),
  "douglas-fir": needles(1, 0.55),
  "hemlock-conifer": needles(1, 0.32, true),
};
/** None near: open sky over an empty line. */
function noLeaf(): Figure {
  const shapes: Shape[] = [];
  // none near: open sky over an empty line
  shapes.push(
    put(
      line([
        [-2, 0],
        [2, 0],
      ]),
      1,
    ),
    put(
      line([
        [-1.2, 0],
        [-1.2, 0.3],
      ]),
      0.8,
    ),
    put(
      line([
        [0.9, 0],
        [0.9, 0.25],
      ]),
      0.8,
    ),
  );
  return framed(shapes, -2.2, 2.2, 1.6, -0.5);
}

/** Needles on a twig: alone, in pairs, in tufts. */
function needlesLeaf(leaf: Extract<Leaf, { kind: "needles" }>): Figure {
  const shapes: Shape[] = [];
  shapes.push(
    put(
      line([
        [-2, 0],
        [2, 0],
      ]),
      1.8,
    ),
  );
  for (let place = 0; place < (leaf.per > 2 ? 4 : leaf.per === 2 ? 6 : 13); place++) {
    const x = -1.9 + (place * 3.8) / (leaf.per > 2 ? 3.4 : leaf.per === 2 ? 5.4 : 12.4);
    for (let needle = 0; needle < leaf.per; needle++)
      for (const turn of [-1, 1]) {
        const spread = leaf.per > 2 ? (needle / (leaf.per - 1) - 0.5) * 1.6 : leaf.per === 2 ? needle * 0.35 : 0.3;
        const end: Point2 = [
          x + leaf.long * (leaf.flat ? 0.15 : 0.5) * (leaf.per > 2 ? spread * 1.4 : 1) + spread * 0.3,
          turn * leaf.long,
        ];
        shapes.push(put(line([[x, 0], end]), leaf.flat ? 2 : 1, "none", "leaf"));
      }
  }
  return framed(shapes, -2.2, 2.4, 1.3, -1.3);
}

/** Leaflets in pairs along a stalk. */
function featheredLeaf(leaf: Extract<Leaf, { kind: "feathered" }>): Figure {
  const shapes: Shape[] = [];
  shapes.push(
    put(
      line([
        [-2, 0],
        [1.6, 0],
      ]),
      1.1,
    ),
  );
  for (let pair = 0; pair < leaf.pairs; pair++)
    for (const turn of [-1, 1]) {
      const x = -1.2 + (pair * 1.8) / (leaf.pairs - 1);
      const out = leaf.leaflet > 0.25 ? 0.95 : 0.9 - 0.15 * Math.abs(pair / (leaf.pairs - 1) - 0.4);
      shapes.push(
        put(
          [
            ...smooth([
              [x, 0],
              [x + 0.35 - leaf.leaflet / 2, turn * 0.5],
              [x + 0.6, turn * out],
              [x + 0.35 + leaf.leaflet / 2, turn * 0.45],
              [x, 0],
            ]),
            ["Z"],
          ],
          0.8,
          "leaf",
        ),
      );
    }
  shapes.push(
    put(
      [
        ...smooth([
          [1.2, 0],
          [1.6, 0.3],
          [2.1, 0],
          [1.6, -0.3],
          [1.2, 0],
        ]),
        ["Z"],
      ],
      0.8,
      "leaf",
    ),
  );
  return framed(shapes, -2.2, 2.3, 1.3, -1.3);
}

/** Lobes spread like the fingers of a hand. */
function handLeaf(leaf: Extract<Leaf, { kind: "hand" }>): Figure {
  const shapes: Shape[] = [];
  const outline: Point2[] = [];
  for (const angle of [-140, -75, 0, 75, 140]) {
    const at = (radius: number, turn: number): Point2 => [
      radius * Math.cos(((angle + turn) * Math.PI) / 180) * 1.1,
      radius * Math.sin(((angle + turn) * Math.PI) / 180),
    ];
    outline.push(at(leaf.cut, -32), at(0.95, -14), at(1.45, 0), at(0.95, 14));
  }
  shapes.push(
    put(line(outline, true), 0.9, "leaf"),
    put(
      line([
        [-2.1, 0],
        [1.2, 0],
      ]),
      0.8,
    ),
  );
  for (const angle of [-75, 75])
    shapes.push(
      put(
        line([
          [-0.3, 0],
          [Math.cos((angle * Math.PI) / 180) * 1.1, Math.sin((angle * Math.PI) / 180) * 1.1],
        ]),
        0.6,
      ),
    );
  return framed(shapes, -2.2, 1.8, 1.5, -1.5);
}

/** One blade, toothed or lobed at its edge. */
function broadLeaf(leaf: Extract<Leaf, { kind: "broad" }>): Figure {
  const shapes: Shape[] = [];
  const half: Point2[] = [];
  const steps = Math.max(12, leaf.teeth * 2, leaf.lobes * 4);
  for (let step = 0; step <= steps; step++) {
    const share = step / steps;
    const bulge = Math.sin(Math.PI * share ** (Math.log(0.5) / Math.log(leaf.broadest)));
    const tooth = leaf.teeth > 0 && step % 2 === 1 ? 0.9 : 1;
    const lobe = leaf.lobes > 0 ? 0.78 + 0.24 * Math.cos(share * leaf.lobes * 2 * Math.PI) : 1;
    half.push([-1.7 + share * 3.4, bulge * leaf.breadth * 1.55 * tooth * lobe]);
  }
  if (leaf.notch === true) half[half.length - 1] = [1.35, 0];
  const whole = [...half, ...[...half].reverse().map(([x, y]): Point2 => [x, -y])];
  shapes.push(put(leaf.teeth > 0 ? line(whole, true) : [...smooth(whole), ["Z"]], 0.9, "leaf"));
  shapes.push(
    put(
      line([
        [-2.2, 0],
        [1.3, 0],
      ]),
      0.8,
    ),
  );
  for (const x of [-0.9, -0.2, 0.5])
    for (const turn of [-1, 1])
      shapes.push(
        put(
          line([
            [x, 0],
            [x + 0.45, turn * leaf.breadth * 0.85],
          ]),
          0.5,
        ),
      );
  return framed(shapes, -2.3, 1.9, 1.65, -1.65);
}

/** The drawing of one tree's leaf. */
export function leafMark(state: string): Figure {
  const leaf = LEAVES[state];
  switch (leaf?.kind) {
    case undefined:
      return noLeaf();
    case "needles":
      return needlesLeaf(leaf);
    case "feathered":
      return featheredLeaf(leaf);
    case "hand":
      return handLeaf(leaf);
    case "broad":
      return broadLeaf(leaf);
  }
}
