/** Eyes on a print, a stain: what the same pigment looks like by lamp, in shade and under leaves, beside the card that tells the light. */
import { type CharacterId, definitionOf } from "../find/vocabulary.ts";
import { channelOf, type Lab, linearOfLab } from "../measure/colour.ts";
import { blackBodyLight } from "../measure/light.ts";
import { READABLE, type Readable, regionsOf } from "../measure/reference-colours.ts";
import { depositLab } from "../measure/synthetic-picture.ts";
import { chanceOf, pick, pickSome } from "./chance.ts";

/** A light, by its colour. */
interface Light {
  readonly name: string;
  /** In linear sRGB, the brightest channel 1. */
  readonly tint: readonly [number, number, number];
}

/** Lights by which people look; the leaves let green through (ours, by eye). */
const LIGHTS: readonly Light[] = [
  { name: "open daylight", tint: blackBodyLight(6500) },
  { name: "a kitchen lamp", tint: blackBodyLight(2700) },
  { name: "a head torch", tint: blackBodyLight(5000) },
  { name: "blue shade", tint: blackBodyLight(10_000) },
  { name: "light under leaves", tint: [0.78, 1, 0.62] },
];

/** How much of the light the eye has got used to, 0 to 1 (our own setting: a screen in a room). */
const USED_TO = 0.55;
const CARD = { white: 0.86, black: 0.03 } as const;

export interface UnderTheLamp {
  readonly kind: "lamp";
  readonly skill: string;
  readonly seed: string;
  readonly character: CharacterId;
  readonly light: string;
  /** As sRGB, #rrggbb: the halves of the card, and the deposit or the stain on each. */
  readonly inks: Readonly<Record<"white" | "black" | "onWhite" | "onBlack", string>>;
  readonly choices: readonly string[];
  readonly answer: string;
}

const CHOICES = 4;
const isReadable = (character: CharacterId): character is Readable => READABLE.some((one) => one === character);

/** Makes one. @returns undefined for a colour that no table holds */
export function makeUnderTheLamp(
  skill: string,
  character: CharacterId,
  state: string,
  seed: string,
): UnderTheLamp | undefined {
  const chance = chanceOf(seed, "lamp");
  const colours = isReadable(character) ? Object.fromEntries(regionsOf(character, definitionOf(character).states)) : {};
  const light = pick(chance, LIGHTS);
  if (light === undefined || colours[state] === undefined) return undefined;
  const isPrint = character === "spore-print";
  const lab: Lab = isPrint ? depositLab(state, chance, 2) : (pick(chance, colours[state]) ?? [50, 0, 0]);
  // a print lets a little of its half through, a stain sits on its own flesh
  const through = isPrint ? 0.12 + chance.next() * 0.15 : 0;
  const tint = light.tint.map((channel) => USED_TO + (1 - USED_TO) * channel);
  const shade = 0.85 + chance.next() * 0.15;
  const inkOf = (linear: readonly number[]): string =>
    `#${linear
      .map((value, index) => Math.round(channelOf(value * (tint[index] ?? 1) * shade)))
      .map((value) => value.toString(16).padStart(2, "0"))
      .join("")}`;
  const over = (half: number) => linearOfLab(lab).map((value) => value * (1 - through) + half * through);
  const flat = (half: number) => [half, half, half];
  const others = Object.keys(colours).filter((one) => one !== state);
  return {
    kind: "lamp",
    skill,
    seed,
    character,
    light: light.name,
    inks: {
      white: inkOf(flat(CARD.white)),
      black: inkOf(flat(CARD.black)),
      onWhite: inkOf(over(CARD.white)),
      onBlack: inkOf(over(CARD.black)),
    },
    choices: pickSome(chance, [state, ...nearest(state, colours, others).slice(0, CHOICES - 1)], CHOICES),
    answer: state,
  };
}

/** Colours by how near they lie to one, in CIELAB. */
function nearest(
  state: string,
  colours: Readonly<Record<string, readonly Lab[]>>,
  others: readonly string[],
): string[] {
  const middle = (name: string): Lab => colours[name]?.[Math.floor((colours[name]?.length ?? 0) / 2)] ?? [0, 0, 0];
  const at = middle(state);
  const far = (name: string) => Math.hypot(...middle(name).map((value, index) => value - (at[index] ?? 0)));
  return [...others].sort((one, other) => far(one) - far(other));
}
