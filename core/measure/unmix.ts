/**
 * Spores lie on the card in lines, dots and grains, with the half between them. Every pixel of such a print is a mixture of
 * half and pigment, and in linear light all mixtures of two colours lie on the straight line between them. The pigment is
 * read at the far end of the cloud of pixels, where the spores lie thickest.
 */

import type { Ground } from "./card-halves.ts";
import { deltaE, type Lab, LINEAR, type Linear, labOf, meanOf } from "./colour.ts";
import type { Raster, Spot } from "./raster.ts";
import { CARD, reflectance } from "./reflectance.ts";

/** The thick part of a deposit. */
export interface Pigment {
  /** Its reflectance, linear. */
  readonly colour: Linear;
  /** How far parts of it differ from one another, CIEDE2000. */
  readonly uncertainty: number;
  /** Share of the disc where anything lies, 0 to 1. */
  readonly covers: number;
  /** Reflectances that it may have in truth if the half still shines through where the spores lie thickest; itself first. */
  readonly beyond: readonly Linear[];
}

/** Most pixels that are looked at. */
const MOST = 6000;
/** A pixel is deposit where its surroundings are so far along the line, in reflectance, or so many times the noise. */
const LIES = { least: 0.02, share: 0.18, noise: 3 } as const;
/** The thick part: from which to which share of the deposit's pixels; the very last are specks and lights. */
const THICK = { from: 0.88, to: 0.985 } as const;
/** Less of the disc than this is a speck and no print. */
const LEAST_COVER = 0.03;
/** Pixels nearer the seam than this are left out, as a share of the disc's radius. */
const OFF_SEAM = 0.06;
/** The thick part hides at least so much of the half: thinner ones do not stand out from it. */
const LEAST_HIDING = { white: 0.25, black: 0.1 } as const;
/** No pigment throws back less or more than this in a channel. */
const PIGMENTS = { darkest: 0.006, brightest: 0.95 } as const;
/** Steps in which the line is drawn on. */
const STEPS = 12;

interface Pixel {
  /** Reflectance of the pixel, off the half. */
  readonly own: Linear;
  /** Mean of the eight beside it, off the half: chosen by these, so that a pixel's own noise does not choose it. */
  readonly beside: Linear;
  readonly sector: number;
}

/**
 * Unmixes half and pigment within a disc.
 * @param noise of the picture, as a share of the white's light
 * @returns undefined where nothing lies in the disc that stands out from the half
 */
export function pigmentOf(
  raster: Raster,
  { deposit, radius }: { deposit: Spot; radius: number },
  ground: Ground,
  noise: number,
): Pigment | undefined {
  const half = ground.side === "black" ? CARD.black : CARD.white;
  const pixels = pixelsOf(raster, deposit, radius, ground, half);
  if (pixels.length === 0) return undefined;
  const line = lineOf(pixels);
  if (line === undefined) return undefined;
  const along = pixels.map((pixel) => ({ pixel, far: dot(pixel.beside, line) }));
  const farthest = quantile(
    along.map((one) => one.far).sort((one, other) => one - other),
    THICK.to,
  );
  const floor = Math.max(LIES.least, LIES.share * farthest, LIES.noise * noise);
  const lying = along.filter((one) => one.far > floor).sort((one, other) => one.far - other.far);
  if (lying.length < LEAST_COVER * pixels.length || lying.length < 8) return undefined;
  const thick = lying.slice(Math.floor(lying.length * THICK.from), Math.max(1, Math.ceil(lying.length * THICK.to)));
  const off = meanOf(thick.map((one) => one.pixel.own));
  const colour = onto(half, off, 1);
  return {
    colour,
    uncertainty: uncertaintyOf(
      thick.map((one) => one.pixel),
      half,
    ),
    covers: lying.length / pixels.length,
    beyond: ground.side === "neither" ? [colour] : beyondOf(half, off, 1 / LEAST_HIDING[ground.side]),
  };
}

function pixelsOf(raster: Raster, { x, y }: Spot, radius: number, ground: Ground, half: number): readonly Pixel[] {
  const { width, height, data } = raster;
  const step = Math.max(1, Math.floor(Math.sqrt((Math.PI * radius ** 2) / MOST)));
  const seen = (column: number, row: number): Linear => {
    const at = (row * width + column) * 4;
    const [red, green, blue] = reflectance(
      [LINEAR[data[at] ?? 0] ?? 0, LINEAR[data[at + 1] ?? 0] ?? 0, LINEAR[data[at + 2] ?? 0] ?? 0],
      ground.white,
      ground.black,
    );
    return [red - half, green - half, blue - half];
  };
  const pixels: Pixel[] = [];
  for (let row = Math.max(1, Math.ceil(y - radius)); row <= Math.min(height - 2, y + radius); row += step)
    for (let column = Math.max(1, Math.ceil(x - radius)); column <= Math.min(width - 2, x + radius); column += step) {
      const [dx, dy] = [column - x, row - y];
      if (dx ** 2 + dy ** 2 > radius ** 2 || ground.fromSeam(column, row) < OFF_SEAM * radius) continue;
      const around = AROUND.map(([right, down]) => seen(column + right, row + down));
      const sector = (dx > 0 ? 1 : 0) + (dy > 0 ? 2 : 0);
      pixels.push({ own: seen(column, row), beside: meanOf(around), sector });
    }
  return pixels;
}

const AROUND = [
  [-1, -1],
  [0, -1],
  [1, -1],
  [-1, 0],
  [1, 0],
  [-1, 1],
  [0, 1],
  [1, 1],
] as const;

/** The direction from the half to the pigment: the mean of the pixels that are farthest from the half. */
function lineOf(pixels: readonly Pixel[]): Linear | undefined {
  const far = pixels
    .map(({ beside }) => ({ beside, length: Math.hypot(...beside) }))
    .sort((one, other) => other.length - one.length)
    .slice(0, Math.ceil(pixels.length * 0.3));
  const mean = meanOf(far.map((one) => one.beside));
  const length = Math.hypot(...mean);
  return length === 0 ? undefined : [mean[0] / length, mean[1] / length, mean[2] / length];
}

const dot = (one: Linear, other: Linear): number => one[0] * other[0] + one[1] * other[1] + one[2] * other[2];

function onto(half: number, off: Linear, times: number): Linear {
  const [red = 0, green = 0, blue = 0] = off.map((value) => Math.max(0, half + value * times));
  return [red, green, blue];
}

/** The farthest that the thick parts of two quarters of the disc are from each other, CIEDE2000. */
function uncertaintyOf(thick: readonly Pixel[], half: number): number {
  const labs = [0, 1, 2, 3].flatMap((sector): Lab[] => {
    const here = thick.filter((pixel) => pixel.sector === sector);
    return here.length < 12 ? [] : [labOf(onto(half, meanOf(here.map((pixel) => pixel.own)), 1))];
  });
  return Math.max(0, ...labs.flatMap((one, index) => labs.slice(index + 1).map((other) => deltaE(one, other))));
}

/** The line drawn on beyond the thickest pixel, as far as a pigment can be: the colours it may have in truth. */
function beyondOf(half: number, off: Linear, times: number): readonly Linear[] {
  const room = off.map((value) =>
    value < 0
      ? (PIGMENTS.darkest - half) / value
      : value > 0
        ? (PIGMENTS.brightest - half) / value
        : Number.POSITIVE_INFINITY,
  );
  const most = Math.max(1, Math.min(times, ...room));
  return Array.from({ length: STEPS + 1 }, (_, step) => onto(half, off, most ** (step / STEPS)));
}

function quantile(sorted: readonly number[], share: number): number {
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;
}
