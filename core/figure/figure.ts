/** The specimen, half skin and half section, drawn from the record: record in, shapes out. */
import type { Body, Find } from "../find/schema.ts";
import type { CharacterId } from "../find/vocabulary.ts";
import { CHARACTER_WORDS, stateWords, wordList } from "../find/words.ts";
import { ballForm } from "./ball.ts";
import { bracketForm } from "./bracket.ts";
import { capShapes, placeCap } from "./cap.ts";
import { type Form, formOf } from "./forms.ts";
import { groundShapes } from "./ground.ts";
import { headForm } from "./head.ts";
import { ringShapes } from "./ring.ts";
import type { Figure, Part, Point2 } from "./shapes.ts";
import { footShapes, stemShapes } from "./stem.ts";
import { type BodyView, bodyView } from "./view.ts";

/** The box of a body without its ground, cm. */
export type Frame = Pick<Figure, "left" | "right" | "top" | "bottom">;

/** How far the ground is drawn from the axis, cm, also where that follows from the body's own box. */
export type Reach = number | ((bare: Frame) => number);

const reachIn = (reach: Reach | undefined, wide: number, { top, bottom }: Pick<Frame, "top" | "bottom">): number =>
  typeof reach === "function" ? reach({ left: -wide, right: wide, top, bottom }) : (reach ?? wide * 1.42);

/** Draws one body of a find. @param reach how far the ground is drawn from the axis; left out: as far as it needs */
export function figureOf(find: Find, body: Body, reach?: Reach): Figure {
  const view = bodyView(find, body);
  const form = formOf(view);
  if (form !== "cap-and-stem") return figureOfForm(view, form, reach);
  const cap = placeCap(view);
  const wide = Math.max(view.radius * 1.12, view.stemHalf * 4);
  const feet = footShapes(view);
  const bottom = Math.min(
    -view.stemHalf * 4.8,
    ...feet.flatMap((shape) => shape.steps.flatMap((step) => (step.length > 2 ? [Number(step.at(-1))] : []))),
  );
  const frame = { top: cap.top + view.radius * 0.08, bottom: bottom - view.stemHalf * 0.4 };
  const ground = reachIn(reach, wide, frame);
  const anchors: Record<Part, Point2> = {
    cap: [-view.radius * 0.6, cap.edge + (cap.top - cap.edge) * 0.62],
    under: [view.radius * 0.62, cap.edge - view.radius * 0.1],
    stem: [-view.stemHalf, cap.edge * 0.62],
    cut: [view.stemHalf * 0.5, cap.edge * 0.42],
    nose: [view.stemHalf * 0.5, cap.edge * 0.25],
    foot: [-view.stemHalf * 1.4, -view.stemHalf * 2.2],
    ground: [-ground * 0.8, 0],
    print: [view.radius * 0.8, cap.edge],
  };
  const shapes = [...feet, ...stemShapes(view, cap), ...ringShapes(view, cap), ...capShapes(view, cap)];
  // beside its neighbours in a row a body stands without soil of its own
  const soil = ground < wide ? [] : groundShapes(view, ground);
  return {
    shapes: [...soil, ...shapes],
    left: -Math.max(wide, ground),
    right: Math.max(wide, ground),
    ...frame,
    anchors,
  };
}

/** A bracket, a ball or a head in its frame and on its ground. */
function figureOfForm(view: BodyView, form: Exclude<Form, "cap-and-stem">, reach: Reach | undefined): Figure {
  const drawn = form === "bracket" ? bracketForm(view) : form === "ball" ? ballForm(view) : headForm(view, form);
  const wide = view.radius * 1.12;
  const frame = { top: drawn.top + view.radius * 0.08, bottom: drawn.bottom - view.radius * 0.06 };
  const ground = reachIn(reach, wide, frame);
  // a bracket stands on its trunk and not on the soil
  const soil = ground < wide || form === "bracket" ? [] : groundShapes(view, ground);
  return {
    shapes: [...soil, ...drawn.shapes],
    left: -Math.max(wide, ground),
    right: Math.max(wide, ground),
    ...frame,
    anchors: drawn.anchors,
  };
}

const TOLD: readonly CharacterId[] = [
  "cap-shape",
  "cap-colour",
  "cap-surface",
  "veil-on-cap",
  "underside",
  "gill-attachment",
  "gill-colour",
  "ring",
  "stem-surface",
  "base",
  "flesh-colour",
  "stain-base",
  "smell",
  "spore-print",
];

/** The drawing in words, for those who do not see it: "foot not looked at; ring remnants, unsure". */
export function figureText(find: Find, body: Body): string {
  const view: BodyView = bodyView(find, body);
  const lines = TOLD.map((character) => {
    const { states, knowing } = view.of(character);
    const name = CHARACTER_WORDS[character].plain;
    if (knowing === "open") return `${name} not looked at`;
    const seen = wordList(
      states.map((state) => stateWords(character, state)),
      "and",
    );
    return `${name} ${seen}${knowing === "unsure" ? ", unsure" : knowing === "masked" ? ", proves nothing today" : ""}`;
  });
  return `Body ${body.id}, ${body.age ?? "age not told"}: ${lines.join("; ")}.`;
}
