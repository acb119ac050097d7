/** A length read off a picture with something of known size beside it, and how far it may be wrong. */
import type { Spot } from "./raster.ts";

/** Two ends marked in a picture. */
export type Span = readonly [Spot, Spot];

/** A length with its uncertainty, both in cm; the true one is within it about 95 times of 100. */
export interface Length {
  readonly cm: number;
  readonly plusMinusCm: number;
}

/** Standard deviation of one marked end, px: a finger on a screen, zoomed in. From memory. */
export const MARKING_PX = 2;
/** What a body that stands above the ruler's plane adds, as a share: a camera at arm's length, a body of a few cm. From memory. */
export const PARALLAX_SHARE = 0.04;
const COVERAGE = 2;

const lengthPx = ([from, to]: Span): number => Math.hypot(to.x - from.x, to.y - from.y);

/**
 * The length of a span by a scale of known size in the same picture. Errors of the four ends and of the scale's own size
 * add up as squares; the share for parallax is added as it stands.
 * @param knownCm size of the scale, cm @param knownWithinCm how exactly that is known, cm
 * @throws RangeError for a scale without length or a size that is none
 */
export function lengthBy(span: Span, scale: Span, knownCm: number, knownWithinCm = 0): Length {
  const scalePx = lengthPx(scale);
  if (!(scalePx > 0) || !(knownCm > 0)) throw new RangeError("the scale needs two ends apart and a size");
  const spanPx = lengthPx(span);
  const cm = (spanPx / scalePx) * knownCm;
  const ends = Math.SQRT2 * MARKING_PX;
  const relative = Math.sqrt(
    (ends / Math.max(spanPx, 1)) ** 2 + (ends / scalePx) ** 2 + (knownWithinCm / COVERAGE / knownCm) ** 2,
  );
  return { cm, plusMinusCm: cm * (COVERAGE * relative + PARALLAX_SHARE) };
}

/** Centimetres in an inch, exactly. */
export const CM_PER_INCH = 2.54;
/** Inches of centimetres. */
export const inchesOf = (cm: number): number => cm / CM_PER_INCH;
/** Centimetres of inches. */
export const cmOf = (inches: number): number => inches * CM_PER_INCH;
