/** Drawings of single characters that half a specimen cannot show: gills from below, a piece bent or broken, a dial. */
import type { CharacterId } from "../find/vocabulary.ts";
import { arc, around, Sheet } from "./close-up-sheet.ts";
import { fold, gillTexture, slice } from "./close-ups-of-gills.ts";
import { bent, stemBreak } from "./close-ups-of-pieces.ts";
import type { Figure, Ink, Point2 } from "./shapes.ts";
import { smellMarkOf } from "./smell-marks.ts";

/** A cap from above, with what dries or shines on it. */
function capFromAbove(draw: (sheet: Sheet) => void): Figure {
  const sheet = new Sheet("cap");
  sheet.curve(arc(1.6, 0, 360, 24), 1.3, "pigment:clay-brown", true);
  draw(sheet);
  return sheet.figure(-1.75, 1.75, 1.75, -1.75);
}

/** A bracket from above: half a disc that hangs from the wood. */
function fan(draw: (sheet: Sheet) => void): Figure {
  const sheet = new Sheet("cap");
  sheet.straight([...arc(2.2, 180, 360)], 1.3, "pigment:clay-brown", true);
  draw(sheet);
  sheet.straight(
    [
      [-2.5, 0],
      [2.5, 0],
      [2.5, 0.35],
      [-2.5, 0.35],
    ],
    0.8,
    "wood",
    true,
  );
  return sheet.figure(-2.6, 2.6, 0.45, -2.35);
}

/** A dial that shows how much of five minutes has run. */
function dial(state: string): Figure {
  const sheet = new Sheet("cut");
  const until = { "at-once": 10, "within-a-minute": 72, slow: 360 }[state] ?? 0;
  sheet.straight([[0, 0], ...arc(1.5, 90, 90 - until, 24)], 0, "pigment:ochre", true);
  sheet.curve(arc(1.5, 0, 360, 24), 1.3, "none", true);
  for (let tick = 0; tick < 5; tick++) sheet.straight([around(1.3, 90 - tick * 72), around(1.5, 90 - tick * 72)], 1.1);
  sheet.straight([[0, 0], around(1.2, 90 - until)], 1.5);
  return sheet.figure(-1.7, 1.7, 1.7, -1.7);
}

/** A stem with its ring high, in the middle or low. */
function ringPlace(state: string): Figure {
  const sheet = new Sheet("stem");
  sheet.curve(
    [
      [-1.6, 3.3],
      [-1.1, 4.1],
      [0, 4.4],
      [1.1, 4.1],
      [1.6, 3.3],
      [0, 3.15],
      [-1.6, 3.3],
    ],
    1.1,
    "flesh",
    true,
  );
  sheet.straight(
    [
      [-0.35, 3.2],
      [-0.45, 0],
      [0.45, 0],
      [0.35, 3.2],
    ],
    1.1,
    "flesh",
  );
  const y = { high: 2.6, middle: 1.6, low: 0.7 }[state] ?? 1.6;
  sheet.curve(
    [
      [-0.4, y + 0.15],
      [-0.8, y - 0.3],
      [0, y - 0.42],
      [0.8, y - 0.3],
      [0.4, y + 0.15],
    ],
    1.3,
    "pigment:buff",
    true,
  );
  return sheet.figure(-1.8, 1.8, 4.5, -0.1);
}

const SHORTS = {
  none: [],
  tapering: [{ share: 0.5, square: false }],
  "square-cut": [{ share: 0.45, square: true }],
  "several-lengths": [
    { share: 0.3, square: false },
    { share: 0.65, square: false },
    { share: 0.3, square: false },
  ],
} as const;

const DRAWERS: Partial<Record<CharacterId, (state: string) => Figure | undefined>> = {
  smell: smellMarkOf,
  "smell-heated": smellMarkOf,
  "gill-fold": fold,
  "gill-spacing": (state) => slice(state === "crowded" ? 26 : state === "close" ? 15 : 7, []),
  "short-gills": (state) => slice(8, SHORTS[state as keyof typeof SHORTS] ?? []),
  "gill-texture": gillTexture,
  "stem-texture": stemBreak,
  "ring-place": ringPlace,
  "stain-speed": dial,
  bend: bent,
  "two-toned": (state) =>
    capFromAbove((sheet) => {
      if (state === "yes")
        sheet.curve(
          arc(0.95, 0, 360, 20).map(([x, y], index): Point2 => [x * (index % 3 ? 1 : 1.12), y]),
          0.9,
          "pigment:cream",
          true,
        );
    }),
  "cap-zones": (state) =>
    fan((sheet) => {
      if (state === "none") return;
      const inks: readonly Ink[] = ["pigment:brown", "pigment:buff", "pigment:rust", "pigment:cream"];
      [1.85, 1.45, 1.05, 0.6].forEach((radius, index) => {
        sheet.straight(
          arc(radius, 180, 360),
          state === "distinct" ? 1 : 0,
          state === "distinct" ? (inks[index] ?? "none") : "shade",
          true,
        );
      });
    }),
  "cap-edge-band": (state) =>
    fan((sheet) => {
      if (state === "pale") sheet.straight([...arc(2.2, 180, 360), ...arc(1.9, 360, 180)], 0.8, "pigment:white", true);
    }),
};

/** The close-up of one state, or undefined for a character that has none. */
export function closeUpOf(character: CharacterId, state: string): Figure | undefined {
  return DRAWERS[character]?.(state);
}
