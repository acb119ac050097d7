/**
 * Reference colours of the states that a picture may be read as, in CIELAB as calibrated on the card.
 *
 * From memory and from mixing: the words of spore colours as fungus books use them, set down as the lightest, the usual and
 * the darkest a thick deposit shows. Somebody with prints and a spectrometer should put them right.
 */
import type { CharacterId } from "../find/vocabulary.ts";
import { deltaE, type Lab } from "./colour.ts";

/** A state's colours: a few points, between which everything belongs to it. */
type Region = readonly Lab[];

// biome-ignore format: tables of colours, a line each
const SPORE_PRINT: Readonly<Record<string, Region>> = {
  white: [[97, 0, 2], [93, 0, 4], [89, 0, 5]],
  cream: [[93, 0, 11], [90, 1, 14], [87, 2, 19]],
  yellow: [[86, 0, 36], [80, 3, 46]],
  ochre: [[78, 9, 38], [71, 12, 44], [64, 13, 44]],
  pink: [[77, 15, 13], [69, 20, 17], [60, 22, 18]],
  lilac: [[77, 8, -8], [68, 11, -11], [60, 13, -13]],
  "clay-brown": [[58, 11, 27], [51, 11, 26], [46, 10, 24]],
  "rust-brown": [[46, 26, 38], [42, 22, 30], [35, 24, 28]],
  "chocolate-brown": [[31, 10, 12], [24, 10, 11], [15, 10, 10]],
  "purple-brown": [[31, 15, 1], [25, 14, -2], [15, 14, -5]],
  "olive-brown": [[47, 0, 27], [41, 1, 25], [35, 1, 21]],
  black: [[20, 1, 1], [15, 1, 0], [10, 0, 0], [5, 0, 0]],
  green: [[66, -15, 19], [58, -16, 19], [50, -15, 18]],
};

// biome-ignore format: tables of colours, a line each
const STAINS: Readonly<Record<string, Region>> = {
  none: [[96, 0, 3], [92, 0, 7], [86, 1, 11]],
  "faint-yellow": [[92, -4, 27], [88, -3, 36]],
  "chrome-yellow": [[84, 2, 76], [78, 6, 82], [72, 9, 76]],
  orange: [[70, 33, 55], [62, 38, 58]],
  pink: [[79, 20, 10], [71, 27, 13]],
  red: [[50, 50, 30], [44, 48, 28]],
  "wine-red": [[36, 34, 12], [28, 28, 8]],
  "slight-blue": [[78, -5, -9], [70, -6, -15]],
  "strong-blue": [[46, -4, -32], [36, 0, -32], [27, 3, -26]],
  green: [[66, -20, 22], [54, -22, 20]],
  "grey-black": [[54, 0, 1], [40, 0, 0], [26, 0, 0]],
  brown: [[54, 12, 24], [44, 14, 22], [34, 13, 17]],
  lilac: [[72, 14, -15], [62, 18, -20]],
};

// biome-ignore format: tables of colours, a line each
const BODY_COLOURS: Readonly<Record<string, Region>> = {
  white: [[97, 0, 2], [91, 0, 4]],
  cream: [[92, 0, 12], [87, 2, 18]],
  buff: [[80, 6, 23], [73, 8, 25]],
  yellow: [[84, 1, 52], [77, 5, 66]],
  orange: [[68, 32, 56], [60, 35, 55]],
  peach: [[79, 19, 26], [73, 24, 30]],
  red: [[48, 50, 32], [40, 46, 28]],
  pink: [[74, 20, 11], [66, 26, 14]],
  pinkish: [[77, 14, 12], [70, 20, 15]],
  "wine-red": [[36, 32, 12], [28, 28, 8]],
  brown: [[48, 13, 23], [38, 13, 19]],
  "clay-brown": [[58, 11, 26], [50, 12, 26]],
  "rust-brown": [[46, 26, 38], [38, 25, 31]],
  "red-brown": [[40, 27, 24], [32, 24, 20]],
  "chocolate-brown": [[29, 10, 11], [22, 8, 8]],
  grey: [[70, 0, 2], [56, 0, 2]],
  "purple-grey": [[52, 6, -6], [44, 7, -8]],
  olive: [[52, -4, 30], [42, -4, 26]],
  "olive-green": [[58, -8, 34], [48, -10, 30]],
  green: [[60, -20, 24], [50, -22, 22]],
  "yellow-green": [[74, -11, 44], [66, -12, 46]],
  lilac: [[66, 15, -16], [56, 18, -20]],
  purple: [[40, 24, -22], [32, 22, -20]],
  blue: [[50, -5, -22], [40, -3, -25]],
  black: [[20, 0, 1], [10, 0, 0]],
};

/** Characters that can be read from a picture. */
export const READABLE = [
  "spore-print",
  "stain-cut",
  "stain-base",
  "stain-rub",
  "gill-colour",
  "cap-colour",
  "pore-colour",
] as const satisfies readonly CharacterId[];
export type Readable = (typeof READABLE)[number];

/** The regions of a character's states. */
export function regionsOf(character: Readable, states: readonly string[]): readonly (readonly [string, Region])[] {
  const table = character === "spore-print" ? SPORE_PRINT : character.startsWith("stain-") ? STAINS : BODY_COLOURS;
  return states.flatMap((state): (readonly [string, Region])[] => {
    const region = table[state];
    return region === undefined ? [] : [[state, region]];
  });
}

/** How finely the way between two points of a region is walked. */
const STEPS = 4;

/** How far a colour is from a region: from the nearest of its points and of those between them. */
export function distanceTo(region: Region, colour: Lab): number {
  let nearest = Number.POSITIVE_INFINITY;
  region.forEach((point, index) => {
    const next = region[index + 1];
    for (let step = 0; step < (next === undefined ? 1 : STEPS); step++) {
      const share = step / STEPS;
      const between = point.map((value, axis) => value + ((next?.[axis] ?? value) - value) * share);
      nearest = Math.min(nearest, deltaE(colour, [between[0] ?? 0, between[1] ?? 0, between[2] ?? 0]));
    }
  });
  return nearest;
}
