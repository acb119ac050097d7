/**
 * Pictures that no camera took: a deposit on the split card under a light of some colour, with noise, shade and blur.
 * The camera's stand-in, and the reader's examination. Chance is passed in.
 */
import type { Chance } from "../trainer/chance.ts";
import { channelOf, type Lab, labOf, linearOf, linearOfLab } from "./colour.ts";
import { blackBodyLight } from "./light.ts";
import type { Raster, Spot } from "./raster.ts";
import type { Marks } from "./read-colour.ts";

/**
 * Deposits as a painter would mix them, in sRGB; from memory, set down by themselves and not taken from the reader's
 * references, so that the reader is examined and not asked what it knows already.
 */
export const DEPOSITS: Readonly<Record<string, string>> = {
  white: "#f6f3ea",
  cream: "#f0e4c5",
  yellow: "#e6d077",
  ochre: "#c9a052",
  pink: "#d2a092",
  lilac: "#b9a3bf",
  "clay-brown": "#9a744c",
  "rust-brown": "#96552c",
  "chocolate-brown": "#4c3328",
  "purple-brown": "#4c3340",
  "olive-brown": "#6f6440",
  black: "#252321",
  green: "#86986e",
};

/** What a picture is made of. */
export interface Setting {
  readonly deposit: Lab;
  readonly side: "white" | "black";
  /** Colour of the light, K. */
  readonly kelvin: number;
  /** How much the camera has already put the light right, 0 to 1. */
  readonly balanced: number;
  /** Brightness of the white half, 0 to 1 in linear light. */
  readonly exposure: number;
  /** Share of the half that the deposit hides, 0 to 1. */
  readonly coverage: number;
  /** Standard deviation of the camera's noise, channel units. */
  readonly noise: number;
  /** How much darker one end of the card is, 0 to 1. */
  readonly shade: number;
  /** Radius of the blur, px. */
  readonly blur: number;
  /** How much each channel of the camera sees of the others, 0 to 1. */
  readonly crosstalk: number;
  /** How the spores lie; left out, they lie as an even disc. */
  readonly lie?: Lie;
}

/** A print as a cap leaves it: not a disc of paint, but the pattern of its underside. */
export interface Lie {
  readonly pattern: "gills" | "pores" | "smear";
  /** Lines around, for gills; dots across, for pores. */
  readonly count: number;
  /** Share of the print where the half shows between lines or dots, 0 to 1. */
  readonly gaps: number;
  /** Layers of spores where they lie thickest: one layer hides 63 hundredths of the half (Beer and Lambert). */
  readonly layers: number;
  /** How unevenly they lie from place to place, 0 to 1. */
  readonly uneven: number;
  /** Grain from pixel to pixel, 0 to 1. */
  readonly grain: number;
  /** A piece of the circle where nothing fell, degrees. */
  readonly bare: number;
  /** Radius of the print, px in a picture of 480 to 300. */
  readonly radius: number;
  /** Radius of the marked circle, as a share of the print's. */
  readonly circle: number;
}

/** A picture with what is to be marked in it. */
export interface SyntheticPicture {
  readonly raster: Raster;
  readonly marks: Marks;
}

const PLAIN = { width: 240, height: 150, radius: 26 } as const;
/** A print with lines in it wants more pixels. */
const FINE = { width: 480, height: 300 } as const;
const CARD = { white: 0.88, black: 0.04 } as const;
/** Side of a grain of a thin deposit, px. */
const GRAIN = 3;

/** The colour of a deposit in CIELAB, as it is named, or a little beside it. @param beside most that each axis is off */
export function depositLab(name: string, chance?: Chance, beside = 0): Lab {
  const hex = DEPOSITS[name] ?? "#000000";
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => linearOf(Number.parseInt(hex.slice(at, at + 2), 16)));
  const [l, a, b] = labOf([red, green, blue]);
  const off = () => (chance === undefined ? 0 : (chance.next() * 2 - 1) * beside);
  return [l + off(), a + off(), b + off()];
}

/** Something of a bell curve, from a few even draws. */
const bell = (chance: Chance): number =>
  (chance.next() + chance.next() + chance.next() + chance.next() - 2) * Math.sqrt(3);

/** Draws a picture. */
export function syntheticPicture(setting: Setting, chance: Chance): SyntheticPicture {
  const { side, kelvin, balanced, exposure, noise, shade, blur, crosstalk, lie } = setting;
  const size = lie === undefined ? PLAIN : { ...FINE, radius: lie.radius };
  const { width, height, radius } = size;
  const light = blackBodyLight(kelvin).map((value) => value ** (1 - balanced));
  const brightest = Math.max(...light);
  const colour = linearOfLab(setting.deposit).map((value) => Math.max(0, value));
  const middle = { x: side === "black" ? width * 0.27 : width * 0.73, y: height * 0.5 };
  const hiding = lie === undefined ? grainsOf(setting.coverage, size, middle, chance) : lying(lie, middle, chance);
  const linear = new Float64Array(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const card = x < width / 2 ? CARD.black : CARD.white;
      const hidden = hiding(x, y);
      const fall = 1 - shade * (x / width);
      for (const channel of [0, 1, 2] as const) {
        const seen = hidden * (colour[channel] ?? 0) + (1 - hidden) * card;
        linear[(y * width + x) * 3 + channel] =
          ((light[channel] ?? 1) / brightest) * seen * fall * (exposure / CARD.white);
      }
    }
  const blurred = blur > 0 ? boxBlur(linear, width, height, Math.round(blur)) : linear;
  const data = new Uint8ClampedArray(width * height * 4);
  for (let pixel = 0; pixel < width * height; pixel++) {
    const here = [0, 1, 2].map((channel) => blurred[pixel * 3 + channel] ?? 0);
    const sum = here.reduce((total, value) => total + value, 0);
    here.forEach((value, channel) => {
      const mixed = value * (1 - crosstalk) + ((sum - value) / 2) * crosstalk;
      data[pixel * 4 + channel] = channelOf(mixed) + bell(chance) * noise;
    });
    data[pixel * 4 + 3] = 255;
  }
  return {
    raster: { width, height, data },
    marks: {
      black: { x: width * 0.1, y: height * 0.16 },
      white: { x: width * 0.9, y: height * 0.16 },
      deposit: middle,
      radius: radius * (lie?.circle ?? 0.9),
    },
  };
}

/** How much of the half is hidden at a place of the picture, 0 to 1. */
type Hiding = (x: number, y: number) => number;

/** An even disc; a thin one lies in grains: here it hides the half, there it does not. */
function grainsOf(
  coverage: number,
  { width, height, radius }: { width: number; height: number; radius: number },
  middle: Spot,
  chance: Chance,
): Hiding {
  const across = Math.ceil(width / GRAIN);
  const grains = Array.from({ length: across * Math.ceil(height / GRAIN) }, () => chance.next());
  return (x, y) => {
    if (Math.hypot(x - middle.x, y - middle.y) > radius) return 0;
    if (coverage >= 1) return 1;
    const grain = grains[Math.floor(y / GRAIN) * across + Math.floor(x / GRAIN)] ?? 0;
    return Math.min(1, Math.max(0, coverage + (grain - 0.5) * 0.9));
  };
}

/** Share of the radius under the stem, where nothing falls. */
const UNDER_STEM = 0.14;

/** The pattern of an underside, thicker here and thinner there, with a grain. */
function lying(
  { pattern, count, gaps, layers, uneven, grain, bare, radius }: Lie,
  middle: Spot,
  chance: Chance,
): Hiding {
  const turned = chance.next() * 360;
  const waves = Array.from({ length: 5 }, () => ({
    x: (chance.next() - 0.5) * 0.14,
    y: (chance.next() - 0.5) * 0.14,
    at: chance.next() * 2 * Math.PI,
  }));
  const ripple = (x: number, y: number) =>
    waves.reduce((sum, wave) => sum + Math.cos(wave.x * x + wave.y * y + wave.at), 0) / waves.length;
  return (x, y) => {
    const [dx, dy] = [x - middle.x, y - middle.y];
    const far = Math.hypot(dx, dy) / radius;
    if (far > 1 || (pattern === "gills" && far < UNDER_STEM)) return 0;
    const angle = ((Math.atan2(dy, dx) * 180) / Math.PI + 360 + turned) % 360;
    if (angle < bare) return 0;
    const shape =
      pattern === "gills"
        ? ridge((angle / 360) * count * (far > 0.6 ? 2 : 1) + 0.15 * ripple(x, y), gaps)
        : pattern === "pores"
          ? dots(dx, dy, (2 * radius) / count, gaps)
          : 1;
    const thick = layers * shape * Math.max(0, 1 - uneven * (0.5 + 0.5 * ripple(x, y))) * (1 - grain * chance.next());
    return 1 - Math.exp(-thick);
  };
}

/** A line of spores between two gaps. @param at how many lines along, not whole */
function ridge(at: number, gaps: number): number {
  const beside = Math.abs(at - Math.floor(at) - 0.5) * 2;
  return beside > 1 - gaps ? 0 : 1 - (beside / Math.max(1 - gaps, 1e-6)) ** 4;
}

/** A dot of spores under each pore, on a net of squares. @param apart px */
function dots(dx: number, dy: number, apart: number, gaps: number): number {
  const [x, y] = [dx / apart - Math.round(dx / apart), dy / apart - Math.round(dy / apart)];
  const within = 0.5 * Math.sqrt(Math.max(0, 1 - gaps)) * 1.13;
  const far = Math.hypot(x, y) / within;
  return far > 1 ? 0 : 1 - far ** 4;
}

/** A box blur along both axes. */
function boxBlur(linear: Float64Array, width: number, height: number, radius: number): Float64Array {
  const pass = (from: Float64Array, stepX: number, stepY: number): Float64Array => {
    const to = new Float64Array(from.length);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        for (const channel of [0, 1, 2] as const) {
          let sum = 0;
          let count = 0;
          for (let step = -radius; step <= radius; step++) {
            const [ax, ay] = [x + step * stepX, y + step * stepY];
            if (ax < 0 || ay < 0 || ax >= width || ay >= height) continue;
            sum += from[(ay * width + ax) * 3 + channel] ?? 0;
            count += 1;
          }
          to[(y * width + x) * 3 + channel] = sum / count;
        }
    return to;
  };
  return pass(pass(linear, 1, 0), 0, 1);
}

/** The half on which a deposit of a name shows: white and pale ones on black, dark ones on white. */
export function showingSide(name: string): "white" | "black" {
  return depositLab(name)[0] > 62 ? "black" : "white";
}

/** A setting as a table by a window, a lamp or a wood might give it. */
export function drawSetting(name: string, chance: Chance): Setting {
  const between = (low: number, high: number) => low + (high - low) * chance.next();
  return {
    deposit: depositLab(name, chance, 2.5),
    side: showingSide(name),
    kelvin: between(2700, 7500),
    balanced: between(0, 1),
    exposure: between(0.3, 0.85),
    coverage: 1,
    noise: between(0.5, 5),
    shade: between(0, 0.15),
    blur: between(0, 2.4),
    crosstalk: between(0, 0.04),
  };
}

/** A print as it lies, in a setting of a table, a lamp or a wood. */
export function drawLyingPrint(name: string, chance: Chance): Setting {
  const between = (low: number, high: number) => low + (high - low) * chance.next();
  const kind = chance.next();
  return {
    ...drawSetting(name, chance),
    blur: between(0, 1.4),
    lie: {
      pattern: kind < 0.6 ? "gills" : kind < 0.85 ? "pores" : "smear",
      count: kind < 0.6 ? Math.round(between(12, 22)) : Math.round(between(8, 14)),
      gaps: between(0.15, 0.6),
      layers: between(3.5, 7),
      uneven: between(0, 0.8),
      grain: between(0, 0.6),
      bare: chance.next() < 0.3 ? between(20, 140) : 0,
      radius: between(60, 95),
      circle: between(0.35, 1.5),
    },
  };
}
