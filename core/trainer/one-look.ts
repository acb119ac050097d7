/** One look, or one sniff: which foot, which ring, how do these gills meet the stem. The figure is made anew each time. */
import { figureOf } from "../figure/figure.ts";
import type { Figure, Part, Shape } from "../figure/shapes.ts";
import { DRAWN_CHARACTERS } from "../figure/swatches.ts";
import type { Entry } from "../find/entry.ts";
import { dangerNeighbours } from "../find/neighbours.ts";
import type { Body, Measures } from "../find/schema.ts";
import { type Age, type CharacterId, definitionOf } from "../find/vocabulary.ts";
import { CHARACTER_WORDS } from "../find/words.ts";
import { type Chance, chanceOf, pick, pickSome } from "./chance.ts";
import { toldDrawing } from "./told-drawings.ts";

/** A drawing to be named. */
export interface OneLook {
  readonly kind: "look";
  readonly skill: string;
  readonly seed: string;
  readonly character: CharacterId;
  /** The character in words, with its article. */
  readonly asks: string;
  /** Left out of a smell, which is words alone. */
  readonly figure?: Figure;
  /** The same told, as it would be drawn, without its name. */
  readonly told: string;
  readonly choices: readonly string[];
  readonly answer: string;
  /** What this state is told from, for what may be meant by it. */
  readonly near: readonly string[];
}

const CHOICES = 4;
/** Room around what is drawn, as a share of its larger side. */
const MARGIN = 0.08;

/** Makes one. @returns undefined where the state is not drawn or not told */
export function makeOneLook(skill: string, character: CharacterId, state: string, seed: string): OneLook | undefined {
  const chance = chanceOf(seed, "look");
  const figure = drawnLook(character, state, chance);
  const told = toldDrawing(character, state);
  const { states } = definitionOf(character);
  const isSmell = character === "smell";
  if ((figure === undefined && !isSmell) || told === undefined || !states.includes(state)) return undefined;
  const near = dangerNeighbours(character, state);
  // what people take it for stands among the choices, and not alone
  const likely = pickSome(chance, near, CHOICES - 2);
  const others = states.filter(
    (one) => one !== state && !likely.includes(one) && toldDrawing(character, one) !== undefined,
  );
  const wrong = [...likely, ...pickSome(chance, others, CHOICES - 1 - likely.length)];
  const { noun, plain } = CHARACTER_WORDS[character];
  return {
    kind: "look",
    skill,
    seed,
    character,
    asks: noun ?? `the ${plain}`,
    ...(figure === undefined ? {} : { figure }),
    told,
    choices: pickSome(chance, [state, ...wrong], CHOICES),
    answer: state,
    near,
  };
}

const COLOURS = ["cream", "buff", "brown", "grey", "ochre", "tawny", "white"] as const;
const GILLS = ["buff", "cream", "pink", "clay-brown", "white"] as const;
/** Undersides that make a form of their own: the whole body is drawn. */
const WHOLE: ReadonlySet<string> = new Set(["enclosed", "honeycomb", "lobed"]);
const CLOSED: ReadonlySet<string> = new Set(["ball", "egg"]);

/** The drawing of a state on a body that is otherwise as chance makes it, cut to the window that shows it. */
export function drawnLook(character: CharacterId, state: string, chance: Chance): Figure | undefined {
  if (DRAWN_CHARACTERS[character] === undefined) return undefined;
  const isClosed = character === "cap-shape" && CLOSED.has(state);
  const isWhole = character === "underside" && WHOLE.has(state);
  const hangs = character === "ring" && (state === "closed" || state === "cobweb");
  const age: Age = hangs || isClosed ? "young" : (pick(chance, ["young", "mature"] as const) ?? "mature");
  const cap = pick(chance, COLOURS) ?? "cream";
  const context: Entry[] = [
    { character: "cap-shape", states: ["convex"] },
    { character: "underside", states: ["gills"] },
    { character: "stem-colour", states: [pick(chance, COLOURS) ?? "cream"] },
    { character: "stem-surface", states: ["smooth"] },
    { character: "stem-inside", states: ["solid"] },
    { character: "base", states: ["plain"] },
    { character: "ring", states: [isClosed ? "closed" : "none"] },
    { character: "cap-colour", states: [cap] },
    { character: "gill-colour", states: [pick(chance, GILLS) ?? "buff"] },
  ];
  const seen = [
    ...context.filter((entry) => entry.character !== character && (!isWhole || entry.character === "cap-colour")),
    { character, states: [state] },
  ];
  const measures: Measures = {
    capCm: 4.5 + chance.next() * 3.5,
    stemLengthCm: 5.5 + chance.next() * 3,
    stemWidthMm: 9 + chance.next() * 8,
  };
  const body: Body = { id: "S", age, lifted: "whole", measures, seen };
  const figure = figureOf({ format: "jittery-cap/find", version: 1, id: "look", bodies: [body] }, body, 0);
  const shapes = figure.shapes
    .filter((shape) => shape.part !== "ground" || isWhole)
    .map((shape): Shape => ({ ...shape, knowing: "seen" }));
  const whole = { ...figure, shapes };
  return isWhole || hangs ? whole : { ...whole, ...frameOf(character, whole, measures) };
}

/** The window of the body that shows a character, in cm. */
function frameOf(
  character: CharacterId,
  { shapes, top, bottom }: Figure,
  { capCm = 0, stemLengthCm = 0, stemWidthMm = 0 }: Measures,
): Pick<Figure, "left" | "right" | "top" | "bottom"> {
  const radius = capCm / 2;
  const half = stemWidthMm / 20;
  const beside = (side: number) => ({ left: -side, right: side });
  if (character === "base") return { ...beside(half * 6), top: stemLengthCm * 0.34, bottom };
  if (character === "stem-surface" || character === "stem-inside")
    return { ...beside(half * 4), top: stemLengthCm * 0.8, bottom: -half * 0.6 };
  if (character === "ring") return { ...beside(radius * 1.1), top: top, bottom: stemLengthCm * 0.28 };
  const parts: readonly Part[] =
    character.startsWith("cap") || character === "veil-on-cap" ? ["cap"] : ["cap", "under"];
  const box = boxOf(shapes.filter(({ part }) => parts.includes(part)));
  const margin = Math.max(box.right - box.left, box.top - box.bottom) * MARGIN;
  return {
    left: box.left - margin,
    right: box.right + margin,
    top: box.top + margin,
    // how gills meet the stem is seen below them
    bottom: box.bottom - margin * (parts.length > 1 ? 5 : 1),
  };
}

/** The box around some shapes; of none, one of a centimetre. */
function boxOf(shapes: readonly Shape[]): Pick<Figure, "left" | "right" | "top" | "bottom"> {
  const xs: number[] = [];
  const ys: number[] = [];
  for (const { steps } of shapes)
    for (const [, ...numbers] of steps)
      numbers.forEach((value, index) => {
        (index % 2 === 0 ? xs : ys).push(value);
      });
  if (xs.length === 0) return { left: -1, right: 1, top: 1, bottom: -1 };
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) };
}
