/**
 * A deposit read from a picture beside the split card: calibrated on its black and its white, compared with reference
 * colours, and never told more surely than it can be.
 */
import { definitionOf } from "../find/vocabulary.ts";
import { stateWords } from "../find/words.ts";
import { type Ground, groundOf } from "./card-halves.ts";
import { chromaOf, deltaE, type Lab, labOf, linearOf, luminance } from "./colour.ts";
import { distanceFromLightLocus } from "./light.ts";
import { isInside, type Patch, patchOf, type Raster, type Spot } from "./raster.ts";
import { distanceTo, type Readable, regionsOf } from "./reference-colours.ts";
import { CARD, reflectance } from "./reflectance.ts";
import { type Pigment, pigmentOf } from "./unmix.ts";

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

/** The white half is too dark to be read by below this share of full light (linear). */
const DARKEST_WHITE = 0.06;
/** Channels from here on are taken for clipped, 0 to 255. */
const CLIPPED_FROM = 253;
/** The black half may throw back so much of what the white does, and its channels may differ by so much of it. */
const BLACKEST = { share: 0.3, tint: 0.09 } as const;
/** How far the light may be from that of sun, sky or lamp, in CIE 1960 uv; light under leaves is greenish. */
const LIGHT_WITHIN = 0.05;
/** A deposit differs at least so much from the half it lies on, CIEDE2000. */
const STANDS_OUT = { white: 20, black: 18 } as const;
/** Within this a colour is surely that of a reference; beyond the other it is not that state. CIEDE2000. */
const NEAR = 8;
const REACH = 11;
/** The next state is at least so much farther, CIEDE2000; less cannot be told apart. */
const MARGIN = 3;

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
  const ground = groundOf(raster, marks, { white: white.linear, black: black.linear });
  const whole = labOf(reflectance(deposit.linear, ground.white, ground.black));
  if (ground.uneven) return refuse("uneven-light", whole);
  // only spores lie thin or thick; a piece of flesh or cap is looked at as it is
  if (character !== "spore-print") return compared(character, whole);
  const pigment = pigmentOf(raster, marks, ground, noiseOf(white, black));
  const lab = pigment === undefined ? whole : labOf(pigment.colour);
  const thin = printRefusal(lab, ground, pigment);
  if (thin !== undefined || pigment === undefined) return refuse(thin ?? "too-thin", lab);
  return compared(character, lab, { ground, pigment });
}

/** The picture's noise, as a share of the white's light. */
function noiseOf(white: Patch, black: Patch): number {
  const share = ({ channels, spread }: Patch) =>
    (linearOf(Math.min(255, channels[1] + spread)) - linearOf(channels[1])) / luminance(white.linear);
  return Math.max(share(white), share(black));
}

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

/** A deposit as good as the white half itself: it may be a white one. */
const PALE = { chroma: 7, lightness: 86 } as const;

/** Why a print is not there to be read, if it is not. */
function printRefusal(lab: Lab, { side }: Ground, pigment: Pigment | undefined): Refusal | undefined {
  if (side === "neither") return pigment === undefined ? "too-thin" : undefined;
  const half = labOf([CARD[side], CARD[side], CARD[side]]);
  if (pigment !== undefined && deltaE(lab, half) >= STANDS_OUT[side]) return undefined;
  return side === "white" && chromaOf(lab) < PALE.chroma && lab[0] > PALE.lightness ? "white-on-white" : "too-thin";
}

/** A state, with how far a colour is from it. */
interface Near {
  readonly state: string;
  readonly far: number;
}

function nearestOf(character: Readable, lab: Lab): readonly [Near, Near] {
  const [first, second] = regionsOf(character, definitionOf(character).states)
    .map(([state, region]) => ({ state, far: distanceTo(region, lab) }))
    .sort((one, other) => one.far - other.far);
  if (first === undefined || second === undefined) throw new Error(`${character} has no reference colours`);
  return [first, second];
}

/** States that a print may have in truth: that of its thickest part, and those beyond it if the half still shines through. */
function statesOf(character: Readable, beyond: readonly Lab[], marginAsked: number): readonly string[] {
  const may = new Set<string>();
  beyond.forEach((lab, index) => {
    const [first, second] = nearestOf(character, lab);
    if (first.far <= REACH) may.add(first.state);
    // what lies beyond is a guess already: two states for one of its colours would make it two guesses
    if (index === 0 && second.far <= REACH && second.far - first.far < marginAsked) may.add(second.state);
  });
  return [...may];
}

function compared(character: Readable, lab: Lab, print?: { ground: Ground; pigment: Pigment }): Reading {
  const [first, second] = nearestOf(character, lab);
  const margin = second.far - first.far;
  const marginAsked = MARGIN + (print?.pigment.uncertainty ?? 0) / 2;
  const beyond = print === undefined ? [lab] : print.pigment.beyond.map(labOf);
  const may = statesOf(character, beyond, marginAsked);
  if (may.length > 2) return refuse("too-thin", lab);
  const states = may.length > 0 ? may : [first.state, second.state];
  // that flesh does not stain is seen by watching it, not in one picture
  const isNoStain = character.startsWith("stain-") && states.includes("none");
  const sure = states.length === 1 && first.far <= NEAR && !isNoStain && print?.ground.side !== "neither";
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
