/** Colours as an eye weighs them: from a picture's numbers to linear light, to CIELAB, and how far two of them are apart. */

/** Red, green and blue in linear light, 0 to 1 where nothing is brighter than the white. */
export type Linear = readonly [red: number, green: number, blue: number];
/** CIELAB under D65: lightness 0 to 100, green to red, blue to yellow. */
export type Lab = readonly [lightness: number, a: number, b: number];

/** One channel of an sRGB picture, 0 to 255, in linear light, 0 to 1 (IEC 61966-2-1). */
export function linearOf(channel: number): number {
  const share = channel / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
}

/** `linearOf` of every value that a channel can have: pictures have many pixels. */
export const LINEAR: Float64Array = Float64Array.from({ length: 256 }, (_, channel) => linearOf(channel));

/** The mean of some colours, in linear light. */
export function meanOf(all: readonly Linear[]): Linear {
  let [red, green, blue] = [0, 0, 0];
  for (const one of all) {
    red += one[0];
    green += one[1];
    blue += one[2];
  }
  return [red / all.length, green / all.length, blue / all.length];
}

/** Linear light, 0 to 1, as a channel of an sRGB picture, 0 to 255, not rounded (IEC 61966-2-1). */
export function channelOf(linear: number): number {
  const within = Math.min(1, Math.max(0, linear));
  return 255 * (within <= 0.0031308 ? 12.92 * within : 1.055 * within ** (1 / 2.4) - 0.055);
}

/** How bright linear light is to the eye, 0 to 1 (IEC 61966-2-1). */
export const luminance = ([red, green, blue]: Linear): number => 0.2126 * red + 0.7152 * green + 0.0722 * blue;

/** XYZ of the sRGB primaries (IEC 61966-2-1, to the digits that make white come out as D65). */
const TO_XYZ = [
  [0.4123907992659595, 0.357584339383878, 0.1804807884018343],
  [0.21263900587151027, 0.715168678767756, 0.07219231536073371],
  [0.01933081871559182, 0.11919477979462598, 0.9505321522496607],
] as const;
const FROM_XYZ = [
  [3.2409699419045226, -1.537383177570094, -0.4986107602930034],
  [-0.9692436362808796, 1.8759675015077202, 0.04155505740717559],
  [0.05563007969699366, -0.20397695888897652, 1.0569715142428786],
] as const;
/** D65, 2 degrees: x = 0.3127, y = 0.3290. */
const WHITE = [0.3127 / 0.329, 1, (1 - 0.3127 - 0.329) / 0.329] as const;

/** CIE 15: the bend of the cube root near black. */
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

/** CIELAB of linear light (CIE 15). */
export function labOf([red, green, blue]: Linear): Lab {
  const [x, y, z] = TO_XYZ.map(([r, g, b], index) => bend((r * red + g * green + b * blue) / (WHITE[index] ?? 1)));
  return [116 * (y ?? 0) - 16, 500 * ((x ?? 0) - (y ?? 0)), 200 * ((y ?? 0) - (z ?? 0))];
}

/** Linear light of a CIELAB colour; it may fall outside what sRGB can show. */
export function linearOfLab([lightness, a, b]: Lab): Linear {
  const y = (lightness + 16) / 116;
  const xyz = [unbend(y + a / 500), unbend(y), unbend(y - b / 200)].map((value, index) => value * (WHITE[index] ?? 1));
  const [red = 0, green = 0, blue = 0] = FROM_XYZ.map(
    ([x, up, z]) => x * (xyz[0] ?? 0) + up * (xyz[1] ?? 0) + z * (xyz[2] ?? 0),
  );
  return [red, green, blue];
}

const bend = (value: number): number => (value > EPSILON ? Math.cbrt(value) : (KAPPA * value + 16) / 116);
const unbend = (value: number): number => (value ** 3 > EPSILON ? value ** 3 : (116 * value - 16) / KAPPA);

/** How vivid a colour is. */
export const chromaOf = ([, a, b]: Lab): number => Math.hypot(a, b);

const DEGREES = 180 / Math.PI;
const hue = (a: number, b: number): number => (a === 0 && b === 0 ? 0 : (Math.atan2(b, a) * DEGREES + 360) % 360);
const cosine = (degrees: number): number => Math.cos(degrees / DEGREES);
const TWENTY_FIVE_TO_7 = 25 ** 7;

/**
 * The difference of two colours by CIEDE2000, all weights 1: about 1 is just seen, about 10 is plainly another colour.
 * After G. Sharma, W. Wu and E. N. Dalal, Color Research and Application 30 (2005), whose test pairs hold it.
 */
export function deltaE(one: Lab, other: Lab): number {
  const mean7 = ((chromaOf(one) + chromaOf(other)) / 2) ** 7;
  const stretch = 1.5 - 0.5 * Math.sqrt(mean7 / (mean7 + TWENTY_FIVE_TO_7));
  const [l1, a1, b1] = [one[0], one[1] * stretch, one[2]];
  const [l2, a2, b2] = [other[0], other[1] * stretch, other[2]];
  const [c1, c2] = [Math.hypot(a1, b1), Math.hypot(a2, b2)];
  const [h1, h2] = [hue(a1, b1), hue(a2, b2)];
  const isGrey = c1 * c2 === 0;

  const lightness = l2 - l1;
  const chroma = c2 - c1;
  const turn = isGrey ? 0 : Math.abs(h2 - h1) <= 180 ? h2 - h1 : h2 <= h1 ? h2 - h1 + 360 : h2 - h1 - 360;
  const hues = 2 * Math.sqrt(c1 * c2) * Math.sin(turn / 2 / DEGREES);

  const l = (l1 + l2) / 2;
  const c = (c1 + c2) / 2;
  const sum = h1 + h2;
  const h = isGrey ? sum : Math.abs(h1 - h2) <= 180 ? sum / 2 : sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
  const t = 1 - 0.17 * cosine(h - 30) + 0.24 * cosine(2 * h) + 0.32 * cosine(3 * h + 6) - 0.2 * cosine(4 * h - 63);
  const c7 = c ** 7;
  const rotation =
    -2 * Math.sqrt(c7 / (c7 + TWENTY_FIVE_TO_7)) * Math.sin((60 * Math.exp(-(((h - 275) / 25) ** 2))) / DEGREES);
  const sl = 1 + (0.015 * (l - 50) ** 2) / Math.sqrt(20 + (l - 50) ** 2);
  const sc = 1 + 0.045 * c;
  const sh = 1 + 0.015 * c * t;
  return Math.sqrt(
    (lightness / sl) ** 2 + (chroma / sc) ** 2 + (hues / sh) ** 2 + rotation * (chroma / sc) * (hues / sh),
  );
}
