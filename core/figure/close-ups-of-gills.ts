/** Gills from below: how close, what stands between them, what they do under a finger. */
import { arc, around, Sheet } from "./close-up-sheet.ts";
import type { Figure, Point2 } from "./shapes.ts";

const SLICE = { from: 25, to: 155, rim: 3, stem: 0.55 } as const;

/** A slice of the underside, seen from below: stem at the foot of the drawing, rim at its top. */
export function slice(gaps: number, shorts: readonly { readonly share: number; readonly square: boolean }[]): Figure {
  const sheet = new Sheet("under");
  const { from, to, rim, stem } = SLICE;
  sheet.straight([...arc(rim, from, to), ...arc(stem, to, from)], 0, "flesh", true);
  const between = (to - from) / gaps;
  for (let gill = 0; gill <= gaps; gill++) {
    const angle = from + gill * between;
    sheet.straight([around(stem, angle), around(rim, angle)], 0.9);
    if (gill === gaps) continue;
    shorts.forEach(({ share, square }, index) => {
      const at = angle + (between * (index + 1)) / (shorts.length + 1);
      const inner = rim - (rim - stem) * share;
      if (square) {
        sheet.straight([around(inner, at), around(rim, at)], 1.6);
        sheet.straight([around(inner, at - 2.2), around(inner, at + 2.2)], 1.6);
      } else sheet.curve([around(inner, at), around((inner + rim) / 2, at + 0.5), around(rim, at)], 0.7);
    });
  }
  sheet.curve(arc(rim, from, to), 1.4);
  sheet.curve(arc(stem, from, to), 1.2);
  return sheet.figure(-2.9, 2.9, 3.15, 0.1);
}

/** The dark finger that pushes: its tip over what is pushed. */
export function fold(state: string): Figure {
  const sheet = new Sheet("under");
  const folds = state === "folds-over";
  for (let gill = 0; gill < 7; gill++) {
    const x = -2.4 + gill * 0.8;
    const lean = folds && gill > 1 && gill < 6 ? 0.75 : 0;
    if (folds)
      sheet.curve(
        [
          [x, 2.2],
          [x + lean * 0.3, 1.3],
          [x + lean, 0.55],
        ],
        1.2,
      );
    else
      sheet.curve(
        [
          [x - 0.3, 2.2],
          [x - 0.12, 1.3],
          [x, 1.05],
          [x + 0.12, 1.3],
          [x + 0.3, 2.2],
        ],
        1.1,
        "flesh",
      );
  }
  sheet.straight(
    [
      [-2.9, 2.2],
      [2.9, 2.2],
    ],
    1.4,
  );
  const tip: Point2 = folds ? [-0.6, 0.75] : [-0.1, 1];
  sheet.curve(
    [[tip[0] - 1.5, -0.4], [tip[0] - 0.5, 0.45], tip, [tip[0] + 0.32, 0.3], [tip[0] - 0.3, -0.4]],
    1,
    "pigment:peach",
  );
  return sheet.figure(-2.9, 2.9, 2.4, -0.4);
}

/** Gills that break, bend or feel like wax. */
export function gillTexture(state: string): Figure {
  const sheet = new Sheet("under");
  if (state === "brittle") {
    for (const [x, y, turn] of [
      [-1.8, 1.3, 0.2],
      [-0.9, 0.5, -0.3],
      [0.1, 1.4, 0.4],
      [1, 0.6, 0.1],
      [1.9, 1.3, -0.2],
    ] as const)
      sheet.straight(
        [
          [x - 0.35, y - 0.5 + turn],
          [x - 0.1, y + 0.5],
          [x + 0.3, y + 0.35 - turn],
          [x + 0.15, y - 0.45],
        ],
        1,
        "flesh",
        true,
      );
  } else if (state === "flexible") {
    for (const lift of [0, 0.5, 1])
      sheet.curve(
        [
          [-2.2, 0.4 + lift],
          [-0.8, 1.1 + lift],
          [0.7, 0.2 + lift],
          [2.2, 0.8 + lift],
        ],
        1.1,
      );
  } else {
    for (const x of [-1.7, -0.2, 1.3])
      sheet.curve(
        [
          [x - 0.5, 2],
          [x - 0.35, 0.9],
          [x, 0.5],
          [x + 0.35, 0.9],
          [x + 0.5, 2],
        ],
        1.3,
        "pigment:cream",
      );
    for (const x of [-1.8, -0.3, 1.2])
      sheet.curve(
        [
          [x, 1.6],
          [x + 0.05, 1.1],
        ],
        2.2,
      );
  }
  return sheet.figure(-2.6, 2.6, 2.2, 0);
}
