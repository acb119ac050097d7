/** Where they grow, as small landscapes put together from what stands there. */
import { BOTTOM, stroke, THINGS } from "./landscape.ts";
import type { Figure } from "./shapes.ts";
import { framed } from "./site-mark.ts";

/** Half the width of a landscape and its height above the ground, in its own cm. */
const HALF = 4;
const TOP = 4.4;

/** One thing in a landscape: what, where it stands, how tall or wide it is. */
type Thing = readonly [what: keyof typeof THINGS, x: number, size: number];

/** Landscapes, back to front. */
const LANDSCAPES: Readonly<Record<string, readonly Thing[]>> = {
  "broadleaf-woodland": [
    ["broadleaf", -2.5, 3.6],
    ["broadleaf", 2.4, 3.4],
    ["broadleaf", 0, 4.1],
  ],
  "conifer-woodland": [
    ["conifer", -2.5, 3.5],
    ["conifer", 2.5, 3.3],
    ["conifer", 0, 4.2],
  ],
  "mixed-woodland": [
    ["conifer", -2.4, 3.9],
    ["broadleaf", 2.3, 3.5],
    ["conifer", 0.2, 3.2],
  ],
  "woodland-edge": [
    ["broadleaf", -2.6, 3.8],
    ["broadleaf", -1.2, 3],
    ["shrub", 0, 1.3],
    ["grass", 1.4, 0.9],
    ["grass", 2.4, 0.8],
    ["grass", 3.3, 0.9],
  ],
  grassland: [
    ["grass", -3.2, 1.5],
    ["grass", -2, 1.9],
    ["grass", -0.8, 1.5],
    ["grass", 0.4, 2],
    ["grass", 1.7, 1.6],
    ["grass", 2.9, 1.9],
  ],
  "lawn-or-park": [
    ["turf", 0, 3.9],
    ["broadleaf", 2.3, 3.4],
    ["bench", -1.7, 1.2],
  ],
  heath: [
    ["conifer", 2.9, 2.1],
    ["heather", -2.6, 1.5],
    ["heather", -0.8, 1.8],
    ["heather", 1, 1.5],
  ],
  bog: [
    ["water", 0, 3.4],
    ["cottongrass", -2.5, 2],
    ["cottongrass", -1.5, 2.6],
    ["cottongrass", 0.4, 2.2],
    ["cottongrass", 1.6, 2.7],
    ["cottongrass", 2.5, 1.9],
  ],
  dune: [
    ["dune", 1.2, 2.6],
    ["dune", -1.6, 2.3],
    ["grass", -1.4, 2.2],
    ["grass", 2.2, 1.8],
  ],
  "burnt-ground": [
    ["burnt", -2.2, 2.9],
    ["burnt", 2.1, 2.3],
    ["burnt", 0.1, 1.2],
    ["ash", 0, 3.2],
  ],
  "disturbed-ground": [
    ["heap", -1, 2.3],
    ["spade", 2.2, 2.8],
  ],
  "garden-bed": [
    ["bed", 0, 3.6],
    ["leafy", -2, 1.4],
    ["leafy", 0, 1.7],
    ["leafy", 2, 1.4],
  ],
  "path-side": [
    ["path", 0, 3.2],
    ["grass", -2.4, 1.1],
    ["grass", 2.2, 1.2],
    ["grass", 3.2, 1],
  ],
  "forest-track-side": [
    ["conifer", -3, 3.9],
    ["conifer", 3, 3.6],
    ["track", 0, 3.6],
  ],
  orchard: [
    ["fruiting", -2.6, 2.7],
    ["fruiting", 0, 2.7],
    ["fruiting", 2.6, 2.7],
    ["grass", -1.3, 0.6],
    ["grass", 1.3, 0.6],
  ],
  roadside: [
    ["road", 0, 3.6],
    ["grass", -3.2, 1],
    ["grass", 3, 1],
  ],
  graveyard: [
    ["conifer", 3, 3.4],
    ["stone", -2, 2.3],
    ["stone", 0.3, 1.9],
    ["grass", -0.8, 0.7],
    ["grass", 1.6, 0.7],
  ],
};

/** The drawing of one habitat, or undefined for a state that has none. */
export function habitatMark(state: string): Figure | undefined {
  const things = LANDSCAPES[state];
  if (things === undefined) return undefined;
  const ground = stroke(
    [
      [-HALF, 0],
      [HALF, 0],
    ],
    0.6,
    "faint",
  );
  return framed(
    [ground, ...things.flatMap(([what, x, size]) => THINGS[what](x, size))],
    -HALF - 0.2,
    HALF + 0.2,
    TOP,
    BOTTOM - 0.1,
  );
}
