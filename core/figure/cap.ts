/** The cap: skin on the left as seen from outside, section on the right with flesh and what hangs under it. */
import { capProfile } from "./profiles.ts";
import { type Ink, line, mirrored, type Point2, type Shape, smooth } from "./shapes.ts";
import { centreColour, shade, surface } from "./skin.ts";
import { underShapes, undersideLine } from "./underside.ts";
import type { BodyView, Stroke } from "./view.ts";

/** A cap placed on its stem: everything is measured from the height of its edge. */
export interface PlacedCap {
  readonly profile: readonly Point2[];
  /** Height of the cap's edge over the ground, cm. */
  readonly edge: number;
  readonly top: number;
}

/** Sets the cap so that the stem reaches into its flesh. */
export function placeCap(view: BodyView): PlacedCap {
  const profile = capProfile(view.first("cap-shape"), view.age, view.radius, view.of("cap-margin").states);
  const middle = profile[0]?.[1] ?? 0;
  const edge = Math.max(view.stemLength - Math.max(0, middle * 0.35), view.stemHalf);
  return {
    profile: profile.map(([x, y]) => [x, y + edge]),
    edge,
    top: Math.max(...profile.map(([, y]) => y)) + edge,
  };
}

const pigment = (stroke: Stroke, otherwise: Ink): Ink =>
  stroke.states[0] === undefined ? otherwise : `pigment:${stroke.states[0]}`;

/** All shapes of the cap. */
export function capShapes(view: BodyView, cap: PlacedCap): Shape[] {
  const { profile } = cap;
  const half = view.stemHalf;
  const colour = view.of("cap-colour");
  const told = view.of("cap-shape").knowing === "open" ? colour.knowing : view.of("cap-shape").knowing;
  // a cap's outline is soft evidence at best: hatching is kept for what a mask makes worthless and matters
  const known = told === "masked" ? "seen" : told;
  const skin = pigment(colour, "paper");
  const under = undersideLine(view, cap);
  const shapes: Shape[] = [];

  const left = mirrored(profile);
  const rim = mirrored(rimLine(view, cap));
  shapes.push({
    part: "cap",
    steps: [...smooth(left), ...smooth(rim).slice(1), ["L", 0, profile[0]?.[1] ?? 0], ["Z"]],
    fill: skin,
    stroke: "none",
    pen: 0,
    knowing: "seen",
  });
  shapes.push(...shade(view, cap, left));
  shapes.push(...centreColour(view, cap));
  shapes.push(...surface(view, cap));
  shapes.push({ part: "cap", steps: smooth(left), fill: "none", stroke: "line", pen: 1.3, knowing: known });
  shapes.push({ part: "cap", steps: smooth(rim), fill: "none", stroke: "line", pen: 0.9, knowing: known });

  const flesh: Point2[] = [...profile, ...[...under].reverse()];
  const tint = view.first("stain-cut");
  const fleshInk = pigment(view.of("flesh-colour"), "flesh");
  shapes.push({
    part: "cut",
    steps: [...smooth(profile), ...line([...under].reverse()).slice(1), ["L", 0, under[0]?.[1] ?? 0], ["Z"]],
    fill: fleshInk,
    stroke: "none",
    pen: 0,
    knowing: "seen",
  });
  if (tint !== undefined && tint !== "none")
    shapes.push({
      part: "cut",
      steps: smooth(flesh.slice(1, 4).map(([x, y]): Point2 => [x * 0.8, y - view.radius * 0.1])),
      fill: "none",
      stroke: `pigment:${tint}`,
      pen: 4,
      knowing: view.of("stain-cut").knowing,
    });
  shapes.push(...underShapes(view, cap, under));
  shapes.push({
    part: "cap",
    steps: smooth(profile),
    fill: "none",
    stroke: skin === "paper" ? "line" : skin,
    pen: 3.4,
    knowing: "seen",
  });
  shapes.push({
    part: "cap",
    steps: smooth(profile),
    fill: "none",
    stroke: "line",
    pen: 1.3,
    knowing: known,
  });
  shapes.push({
    part: "cut",
    steps: [
      ["M", 0, profile[0]?.[1] ?? 0],
      ["L", 0, cap.edge - half],
    ],
    fill: "none",
    stroke: "faint",
    pen: 0.7,
    knowing: "seen",
  });
  return shapes;
}

/** The lower edge of the cap as seen from outside, a little from below: never a straight cut. */
function rimLine(view: BodyView, { profile }: PlacedCap): Point2[] {
  const tip = profile.at(-1) ?? [view.radius, 0];
  const sag = view.radius * 0.1;
  return [
    tip,
    [tip[0] * 0.72, tip[1] - sag * 0.25],
    [tip[0] * 0.4, tip[1] + sag * 0.15],
    [view.stemHalf, tip[1] + sag * 0.55],
    [0, tip[1] + sag * 0.6],
  ];
}
