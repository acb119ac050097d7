/**
 * Pictures that no camera took: a deposit on the split card under a light of some colour, with noise, shade and blur.
 * The camera's stand-in, and the reader's examination. Chance is passed in.
 */
import type { Chance } from "../study/specimen.ts";
import { channelOf, type Lab, labOf, linearOf, linearOfLab } from "./colour.ts";
import { blackBodyLight } from "./light.ts";
import type { Raster } from "./raster.ts";
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
}

/** A picture with what is to be marked in it. */
export interface SyntheticPicture {
  readonly raster: Raster;
  readonly marks: Marks;
}

const WIDTH = 240;
const HEIGHT = 150;
const RADIUS = 26;
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
  const { side, kelvin, balanced, exposure, coverage, noise, shade, blur, crosstalk } = setting;
  const light = blackBodyLight(kelvin).map((value) => value ** (1 - balanced));
  const brightest = Math.max(...light);
  const colour = linearOfLab(setting.deposit).map((value) => Math.max(0, value));
  const middle = { x: side === "black" ? WIDTH * 0.27 : WIDTH * 0.73, y: HEIGHT * 0.5 };
  const grains = Array.from({ length: Math.ceil(WIDTH / GRAIN) * Math.ceil(HEIGHT / GRAIN) }, () => chance.next());
  const linear = new Float64Array(WIDTH * HEIGHT * 3);
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const card = x < WIDTH / 2 ? CARD.black : CARD.white;
      const inside = Math.hypot(x - middle.x, y - middle.y) <= RADIUS;
      const grain = grains[Math.floor(y / GRAIN) * Math.ceil(WIDTH / GRAIN) + Math.floor(x / GRAIN)] ?? 0;
      // a thin deposit lies in grains: here it hides the half, there it does not
      const hidden = inside ? (coverage >= 1 ? 1 : Math.min(1, Math.max(0, coverage + (grain - 0.5) * 0.9))) : 0;
      const fall = 1 - shade * (x / WIDTH);
      for (const channel of [0, 1, 2] as const) {
        const seen = hidden * (colour[channel] ?? 0) + (1 - hidden) * card;
        linear[(y * WIDTH + x) * 3 + channel] =
          ((light[channel] ?? 1) / brightest) * seen * fall * (exposure / CARD.white);
      }
    }
  const blurred = blur > 0 ? boxBlur(linear, Math.round(blur)) : linear;
  const data = new Uint8ClampedArray(WIDTH * HEIGHT * 4);
  for (let pixel = 0; pixel < WIDTH * HEIGHT; pixel++) {
    const here = [0, 1, 2].map((channel) => blurred[pixel * 3 + channel] ?? 0);
    const sum = here.reduce((total, value) => total + value, 0);
    here.forEach((value, channel) => {
      const mixed = value * (1 - crosstalk) + ((sum - value) / 2) * crosstalk;
      data[pixel * 4 + channel] = channelOf(mixed) + bell(chance) * noise;
    });
    data[pixel * 4 + 3] = 255;
  }
  return {
    raster: { width: WIDTH, height: HEIGHT, data },
    marks: {
      black: { x: WIDTH * 0.1, y: HEIGHT * 0.16 },
      white: { x: WIDTH * 0.9, y: HEIGHT * 0.16 },
      deposit: middle,
      radius: RADIUS * 0.9,
    },
  };
}

/** A box blur along both axes. */
function boxBlur(linear: Float64Array, radius: number): Float64Array {
  const pass = (from: Float64Array, stepX: number, stepY: number): Float64Array => {
    const to = new Float64Array(from.length);
    for (let y = 0; y < HEIGHT; y++)
      for (let x = 0; x < WIDTH; x++)
        for (const channel of [0, 1, 2] as const) {
          let sum = 0;
          let count = 0;
          for (let step = -radius; step <= radius; step++) {
            const [ax, ay] = [x + step * stepX, y + step * stepY];
            if (ax < 0 || ay < 0 || ax >= WIDTH || ay >= HEIGHT) continue;
            sum += from[(ay * WIDTH + ax) * 3 + channel] ?? 0;
            count += 1;
          }
          to[(y * WIDTH + x) * 3 + channel] = sum / count;
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
