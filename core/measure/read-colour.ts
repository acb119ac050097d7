/**
 * A deposit read from a picture beside the split card: calibrated on its black and its white, compared with reference
 * colours, and never told more surely than it can be.
 */
import { definitionOf } from "../find/vocabulary.ts";
import { stateWords } from "../find/words.ts";
import { chromaOf, deltaE, type Lab, type Linear, labOf } from "./colour.ts";
import { distanceFromLightLocus } from "./light.ts";
import { isInside, type Patch, patchOf, type Raster, type Spot } from "./raster.ts";
import { distanceTo, type Readable, regionsOf } from "./reference-colours.ts";

/** Why a picture cannot be read. */
export const REFUSALS = [
  "too-thin",
  "clipped",
  "too-dark",
  "card-not-neutral",
  "white-on-white",
  "uneven-light",
] as const;
export type Refusal = (typeof REFUSALS)[number];

/** What is marked in a picture. */
export interface Marks {
  readonly black: Spot;
  readonly white: Spot;
  readonly deposit: Spot;
  /** Radius of the disc that is read, px. */
  readonly radius: number;
}

/** What a picture says. */
export interface Reading {
  /** One state, two that cannot be told apart, or none. */
  readonly states: readonly string[];
  readonly sure: boolean;
  /** The calibrated colour; left out where the picture was refused before it could be worked out. */
  readonly lab?: Lab;
  /** Distance to the nearest reference, CIEDE2000. */
  readonly deltaE?: number;
  /** How much farther the next state is, CIEDE2000. */
  readonly margin?: number;
  readonly refused?: Refusal;
  readonly text: string;
}

/** Reflectances that the two halves are taken for: printed black and plain paper; usual values, from memory. */
const CARD = { white: 0.9, black: 0.025 } as const;
/** The white half is too dark to be read by below this share of full light (linear). */
const DARKEST_WHITE = 0.06;
/** Channels from here on are taken for clipped, 0 to 255. */
const CLIPPED_FROM = 253;
/** The black half may throw back so much of what the white does, and its channels may differ by so much of it. */
const BLACKEST = { share: 0.3, tint: 0.09 } as const;
/** How far the light may be from that of sun, sky or lamp, in CIE 1960 uv; light under leaves is greenish. */
const LIGHT_WITHIN = 0.05;
/** The light beside the deposit may differ so much from that on the marked half, as a ratio. */
const EVEN_WITHIN = 1.3;
/** A deposit differs at least so much from the half it lies on, CIEDE2000. */
const STANDS_OUT = { white: 20, black: 18 } as const;
/** What lies on white is no pale thing seen through a thin layer below this lightness; on black, above the other. */
const THICK_BY_LIGHTNESS = { white: 60, black: 66 } as const;
/** Grain beyond the card's own noise: the half shows through a thin deposit. Channel units. */
const GRAIN = 6;
/** Within this a colour is surely that of a reference; beyond the other it is none of them. CIEDE2000. */
const NEAR = 8;
const FAR = 13;
/** The next state is at least so much farther, CIEDE2000; less cannot be told apart. */
const MARGIN = 3;

/** A thin layer of the second over paper looks like the first: these two have to be farther apart. CIEDE2000. */
const PALER: Readonly<Record<string, { readonly than: string; readonly margin: number }>> = {
  "clay-brown": { than: "rust-brown", margin: 6.5 },
};

function marginAsked(first: string, second: string): number {
  const paler = PALER[first];
  return paler?.than === second ? paler.margin : MARGIN;
}

const REFUSAL_WORDS: Readonly<Record<Refusal, string>> = {
  "too-thin":
    "The deposit is too thin to be read, or lies on the half that hides it. Leave the cap longer, or read the other half.",
  clipped: "The white half is overexposed: its colour is lost. Take the picture again with less light.",
  "too-dark": "The picture is too dark to be read. Take it in the open.",
  "card-not-neutral":
    "The marked halves are not black and white, or the light is coloured. Mark them again, or go into daylight.",
  "white-on-white": "A white deposit cannot be read on the white half. Read the black half.",
  "uneven-light": "The light differs across the card. Take the picture without a shadow.",
};
const refuse = (refused: Refusal, lab?: Lab): Reading => ({
  states: [],
  sure: false,
  ...(lab === undefined ? {} : { lab: round(lab) }),
  refused,
  text: REFUSAL_WORDS[refused],
});

/** Thrown where a mark lies outside the picture or a radius is none. */
export class MarkError extends Error {}

/**
 * Reads a deposit.
 * @throws MarkError where a mark is outside the picture or the radius is not a positive number
 */
export function readColour(raster: Raster, marks: Marks, character: Readable): Reading {
  for (const name of ["black", "white", "deposit"] as const)
    if (!isInside(raster, marks[name]))
      throw new MarkError(`${name}: ${marks[name].x},${marks[name].y} is outside the picture`);
  if (!(marks.radius > 0)) throw new MarkError("deposit: the radius has to be more than nothing");
  const spot = Math.max(2, Math.min(marks.radius * 0.5, Math.min(raster.width, raster.height) * 0.03));
  const white = patchOf(raster, marks.white, spot);
  const black = patchOf(raster, marks.black, spot);
  const deposit = patchOf(raster, marks.deposit, Math.max(1, marks.radius * 0.85));
  if (white === undefined || black === undefined || deposit === undefined) throw new MarkError("a mark holds no pixel");

  const unfit = cardRefusal(white, black, deposit);
  if (unfit !== undefined) return refuse(unfit);
  const ground = groundOf(raster, marks, white, black);
  const lab = labOf(reflectance(deposit.linear, ground.white, black.linear));
  if (ground.uneven) return refuse("uneven-light", lab);
  if (character === "spore-print") {
    const thin = printRefusal(lab, ground, deposit, Math.max(white.spread, black.spread));
    if (thin !== undefined) return refuse(thin, lab);
  }
  return compared(lab, character, isThick(lab, ground.side, character));
}

const luminance = ([red, green, blue]: Linear): number => 0.2126 * red + 0.7152 * green + 0.0722 * blue;

function cardRefusal(white: Patch, black: Patch, deposit: Patch): Refusal | undefined {
  if (luminance(white.linear) < DARKEST_WHITE) return "too-dark";
  if (white.channels.some((value) => value >= CLIPPED_FROM)) return "clipped";
  if (deposit.channels.some((value) => value >= CLIPPED_FROM)) return "clipped";
  const shares = white.linear.map((value, index) => (black.linear[index] ?? 0) / Math.max(value, 1e-6));
  if (luminance(black.linear) > BLACKEST.share * luminance(white.linear)) return "card-not-neutral";
  if (Math.max(...shares) - Math.min(...shares) > BLACKEST.tint) return "card-not-neutral";
  if (distanceFromLightLocus(white.linear) > LIGHT_WITHIN) return "card-not-neutral";
  return undefined;
}

/** Reflectance of what a patch shows, by the halves beside it. */
function reflectance(seen: Linear, white: Linear, black: Linear): Linear {
  const [red = 0, green = 0, blue = 0] = seen.map((value, index) => {
    const [high, low] = [white[index] ?? 1, black[index] ?? 0];
    return CARD.black + ((value - low) / Math.max(high - low, 1e-6)) * (CARD.white - CARD.black);
  });
  return [Math.max(0, red), Math.max(0, green), Math.max(0, blue)];
}

/** The half that a deposit lies on, with the light there. */
interface Ground {
  readonly side: "white" | "black" | "neither";
  /** The white to calibrate by: that beside the deposit where it lies on white, else the marked one. */
  readonly white: Linear;
  readonly lab: Lab | undefined;
  readonly uneven: boolean;
}

const SECTORS = [0, 90, 180, 270] as const;
/** Rings around the disc in which the half is looked for, in radii: a disc may be marked smaller than the deposit. */
const RINGS = [
  [1.35, 1.9],
  [1.9, 2.6],
  [2.6, 3.6],
] as const;
/** The halves are hardly coloured; a deposit at the ring is. */
const PLAIN_CHROMA = 9;

function groundOf(raster: Raster, marks: Marks, white: Patch, black: Patch): Ground {
  for (const [inner, outer] of RINGS) {
    const parts = SECTORS.flatMap((from) => {
      const part = patchOf(raster, marks.deposit, marks.radius * outer, marks.radius * inner, [from, from + 90]);
      return part === undefined || part.pixels < 4 ? [] : [part.linear];
    });
    const plain = parts.filter((part) => chromaOf(labOf(reflectance(part, white.linear, black.linear))) < PLAIN_CHROMA);
    const share = (part: Linear) => luminance(part) / luminance(white.linear);
    const onWhite = plain.filter((part) => share(part) > 0.55);
    const onBlack = parts.filter((part) => share(part) < 0.25 && share(part) < 3 * share(black.linear) + 0.03);
    const enough = Math.max(2, parts.length - 1);
    if (onWhite.length >= enough) return groundOnWhite(onWhite, white);
    if (onBlack.length >= enough) return groundOnBlack(onBlack, white, black);
  }
  return { side: "neither", white: white.linear, lab: undefined, uneven: false };
}

function groundOnWhite(parts: readonly Linear[], white: Patch): Ground {
  const lights = parts.map(luminance);
  const beside = meanOf(parts);
  const ratio = luminance(beside) / luminance(white.linear);
  const uneven = Math.max(...lights) / Math.min(...lights) > EVEN_WITHIN || Math.max(ratio, 1 / ratio) > EVEN_WITHIN;
  return { side: "white", white: beside, lab: labOf([CARD.white, CARD.white, CARD.white]), uneven };
}

function groundOnBlack(parts: readonly Linear[], white: Patch, black: Patch): Ground {
  const off = parts.map((part) => Math.abs(luminance(part) - luminance(black.linear)) / luminance(white.linear));
  return {
    side: "black",
    white: white.linear,
    lab: labOf([CARD.black, CARD.black, CARD.black]),
    uneven: Math.max(...off) > 0.1,
  };
}

function meanOf(all: readonly Linear[]): Linear {
  const mean = (channel: 0 | 1 | 2) => all.reduce((sum, one) => sum + one[channel], 0) / all.length;
  return [mean(0), mean(1), mean(2)];
}

/** Why a print is not there to be read, if it is not. */
function printRefusal(lab: Lab, ground: Ground, deposit: Patch, noise: number): Refusal | undefined {
  if (ground.side !== "neither" && ground.lab !== undefined) {
    const standsOut = deltaE(lab, ground.lab);
    if (standsOut < STANDS_OUT[ground.side])
      return ground.side === "white" && chromaOf(lab) < PALE.chroma && lab[0] > PALE.lightness
        ? "white-on-white"
        : "too-thin";
  }
  return deposit.spread > 2 * noise + GRAIN ? "too-thin" : undefined;
}

/** From here on towards green there is only green. */
const GREENISH = -8;
/** A deposit as good as the white half itself: it may be a white one. */
const PALE = { chroma: 7, lightness: 86 } as const;

/** Whether what is seen cannot be the half shining through: dark on white, light on black. Only prints can be thin. */
function isThick(lab: Lab, side: Ground["side"], character: Readable): boolean {
  if (character !== "spore-print") return true;
  // paper shining through makes a deposit paler, but it makes none green
  if (side === "white") return lab[0] <= THICK_BY_LIGHTNESS.white || lab[1] < GREENISH;
  return side === "black" && lab[0] >= THICK_BY_LIGHTNESS.black;
}

function compared(lab: Lab, character: Readable, thick: boolean): Reading {
  const distances = regionsOf(character, definitionOf(character).states)
    .map(([state, region]) => ({ state, far: distanceTo(region, lab) }))
    .sort((one, other) => one.far - other.far);
  const [first, second] = distances;
  if (first === undefined || second === undefined) throw new Error(`${character} has no reference colours`);
  const margin = second.far - first.far;
  const isClose = margin < marginAsked(first.state, second.state) || first.far > FAR;
  const states = isClose ? [first.state, second.state] : [first.state];
  // that flesh does not stain is seen by watching it, not in one picture
  const isNoStain = character.startsWith("stain-") && states.includes("none");
  const sure = !isClose && first.far <= NEAR && thick && !isNoStain;
  const words = states.map((state) => stateWords(character, state)).join(" or ");
  return {
    states,
    sure,
    lab: round(lab),
    deltaE: tenth(first.far),
    margin: tenth(margin),
    text: sure
      ? `It reads as ${words}.`
      : `It may be ${words}; the picture cannot say it surely. Look at the deposit itself.`,
  };
}

const tenth = (value: number): number => Math.round(value * 10) / 10;
const round = ([lightness, a, b]: Lab): Lab => [tenth(lightness), tenth(a), tenth(b)];
