/** The colour of light: where lamps and daylight lie, and how far a white is from there. */
import type { Linear } from "./colour.ts";

/** Linear sRGB to XYZ, for chromaticities only. */
function uvOf([red, green, blue]: Linear): readonly [number, number] {
  const x = 0.4124 * red + 0.3576 * green + 0.1805 * blue;
  const y = 0.2126 * red + 0.7152 * green + 0.0722 * blue;
  const z = 0.0193 * red + 0.1192 * green + 0.9505 * blue;
  const sum = x + 15 * y + 3 * z;
  return sum === 0 ? [0, 0] : [(4 * x) / sum, (6 * y) / sum];
}

/**
 * A black body's chromaticity in CIE 1960 uv, 1,000 to 15,000 K, within 8e-5 of u and 9e-5 of v (M. Krystek, Color
 * Research and Application 10, 1985; from memory, checked in the tests against the known point of 2,856 K).
 */
export function blackBodyUv(kelvin: number): readonly [u: number, v: number] {
  const t = kelvin;
  return [
    (0.860117757 + 1.54118254e-4 * t + 1.28641212e-7 * t * t) / (1 + 8.42420235e-4 * t + 7.08145163e-7 * t * t),
    (0.317398726 + 4.22806245e-5 * t + 4.20481691e-8 * t * t) / (1 - 2.89741816e-5 * t + 1.61456053e-7 * t * t),
  ];
}

/** The same in linear sRGB, the brightest channel 1; below about 1,900 K blue is nothing. */
export function blackBodyLight(kelvin: number): Linear {
  const [u, v] = blackBodyUv(kelvin);
  const x = (3 * u) / (2 * u - 8 * v + 4);
  const y = (2 * v) / (2 * u - 8 * v + 4);
  const [bigX, bigZ] = [x / y, (1 - x - y) / y];
  const linear = [
    3.2406 * bigX - 1.5372 - 0.4986 * bigZ,
    -0.9689 * bigX + 1.8758 + 0.0415 * bigZ,
    0.0557 * bigX - 0.204 + 1.057 * bigZ,
  ].map((value) => Math.max(0, value));
  const most = Math.max(...linear);
  const [red = 0, green = 0, blue = 0] = linear.map((value) => value / most);
  return [red, green, blue];
}

const COOLEST = 1900;
const HOTTEST = 15_000;
const STEP = 1.06;

/** How far a white is from the light of any black body, in CIE 1960 uv. */
export function distanceFromLightLocus(white: Linear): number {
  const [u, v] = uvOf(white);
  let nearest = Number.POSITIVE_INFINITY;
  for (let kelvin = COOLEST; kelvin < HOTTEST; kelvin *= STEP) {
    const [bu, bv] = blackBodyUv(kelvin);
    nearest = Math.min(nearest, Math.hypot(u - bu, v - bv));
  }
  return nearest;
}
