/** A piece bent, a stem broken. */
import { Sheet } from "./close-up-sheet.ts";
import type { Figure, Ink, Point2 } from "./shapes.ts";

/** A strip bent between two fingers. */
export function bent(state: string): Figure {
  const sheet = new Sheet("cut");
  if (state === "flexible")
    sheet.curve(
      [
        [-2.2, 0.4],
        [-1, 1.3],
        [0, 1.55],
        [1, 1.3],
        [2.2, 0.4],
        [2, 0.1],
        [0.9, 0.95],
        [0, 1.15],
        [-0.9, 0.95],
        [-2, 0.1],
      ],
      1.1,
      "flesh",
      true,
    );
  else if (state === "corky") {
    sheet.straight(
      [
        [-2.2, 0.5],
        [-0.1, 1.2],
        [2.2, 0.5],
        [2.1, 0],
        [0, 0.65],
        [-2.1, 0],
      ],
      1.1,
      "pigment:buff",
      true,
    );
    for (const x of [-0.35, -0.05, 0.25])
      sheet.straight(
        [
          [x, 1.12],
          [x + 0.1, 0.82],
        ],
        1,
      );
  } else {
    sheet.straight(
      [
        [-2.3, 0.3],
        [-0.45, 1.1],
        [-0.25, 0.85],
        [-0.5, 0.62],
        [-2.2, -0.1],
      ],
      1.1,
      "flesh",
      true,
    );
    sheet.straight(
      [
        [2.3, 0.3],
        [0.45, 1.1],
        [0.15, 0.9],
        [0.45, 0.6],
        [2.2, -0.1],
      ],
      1.1,
      "flesh",
      true,
    );
    for (const [x, y] of [
      [-0.1, 0.35],
      [0.12, 0.15],
      [-0.02, -0.05],
    ] as const)
      sheet.straight(
        [
          [x, y],
          [x + 0.06, y + 0.05],
        ],
        1.4,
      );
  }
  return sheet.figure(-2.5, 2.5, 1.8, -0.3);
}

/** One half of a stem pulled in two, from its outer end to where it broke. */
function half(sheet: Sheet, turn: 1 | -1, end: readonly Point2[], fill: Ink = "flesh"): void {
  sheet.straight(
    [[turn * 2.4, 1.25], ...end.map(([x, y]): Point2 => [turn * x, y]), [turn * 2.4, 0.35]],
    1.1,
    fill,
    true,
  );
}

const BREAKS: Readonly<Record<string, (sheet: Sheet) => void>> = {
  fibrous: (sheet) => {
    for (const turn of [-1, 1] as const) {
      half(sheet, turn, [
        [0.75, 1.25],
        [0.7, 0.35],
      ]);
      for (let fibre = 0; fibre < 6; fibre++) {
        const y = 0.42 + fibre * 0.15;
        sheet.curve(
          [
            [turn * 0.75, y],
            [turn * 0.35, y + 0.05],
            [turn * (0.08 + (fibre % 3) * 0.12), y - 0.06],
          ],
          0.8,
        );
      }
    }
  },
  "chalk-brittle": (sheet) => {
    for (const turn of [-1, 1] as const)
      half(sheet, turn, [
        [0.3, 1.25],
        [0.22, 1],
        [0.34, 0.8],
        [0.2, 0.55],
        [0.3, 0.35],
      ]);
    for (const [x, y] of [
      [-0.1, 0.1],
      [0.1, 0],
      [0, 0.2],
      [0.2, 0.16],
    ] as const)
      sheet.straight(
        [
          [x, y],
          [x + 0.05, y + 0.04],
        ],
        1.8,
      );
  },
  tough: (sheet) =>
    sheet.curve(
      [
        [-2.4, 0.2],
        [-1, 1.2],
        [0, 1.45],
        [1, 1.2],
        [2.4, 0.2],
        [2.1, -0.2],
        [0.8, 0.75],
        [0, 0.95],
        [-0.8, 0.75],
        [-2.1, -0.2],
      ],
      1.1,
      "pigment:buff",
      true,
    ),
  cartilage: (sheet) => {
    for (const turn of [-1, 1] as const) {
      half(
        sheet,
        turn,
        [
          [0.3, 1.25],
          [0.3, 0.35],
        ],
        "pigment:cream",
      );
      sheet.curve(
        [
          [turn * 0.3, 0.35],
          [turn * 0.18, 0.8],
          [turn * 0.3, 1.25],
        ],
        1.1,
        "shade",
      );
    }
  },
};

/** A stem pulled in two. */
export function stemBreak(state: string): Figure {
  const sheet = new Sheet("stem");
  BREAKS[state]?.(sheet);
  return sheet.figure(-2.5, 2.5, 1.65, -0.25);
}
