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
  const colour = view.of("cap-colour");
  const told = view.of("cap-shape").knowing === "open" ? colour.knowing : view.of("cap-shape").knowing;
  // a cap's outline is soft evidence at best: hatching is kept for what a mask makes worthless and matters
  const known = told === "masked" ? "seen" : told;
  const skin = pigment(colour, "paper");
  const under = undersideLine(view, cap);
  const shapes: Shape[] = [];

  shapes.push(...(isHollowed(cap) ? funnelSkin(view, cap, under, skin, known) : domeSkin(view, cap, skin, known)));

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
      ["L", 0, cap.edge - view.stemHalf],
    ],
    fill: "none",
    stroke: "faint",
    pen: 0.7,
    knowing: "seen",
  });
  return shapes;
}

/** Whether the middle lies lower than the edge: then one sees the outside of a funnel, and not its skin. */
function isHollowed({ profile }: PlacedCap): boolean {
  return (profile[0]?.[1] ?? 0) < (profile.at(-1)?.[1] ?? 0);
}

/** A domed cap from outside: its skin down to the rim. */
function domeSkin(view: BodyView, cap: PlacedCap, skin: Ink, known: Shape["knowing"]): Shape[] {
  const left = mirrored(cap.profile);
  const rim = mirrored(rimLine(view, cap));
  const outline = { part: "cap", fill: "none", stroke: "line", knowing: known } as const;
  return [
    {
      part: "cap",
      steps: [...smooth(left), ...smooth(rim).slice(1), ["L", 0, cap.profile[0]?.[1] ?? 0], ["Z"]],
      fill: skin,
      stroke: "none",
      pen: 0,
      knowing: "seen",
    },
    ...shade(view, cap, left),
    ...centreColour(view, cap),
    ...surface(view, cap),
    { ...outline, steps: smooth(left), pen: 1.3 },
    { ...outline, steps: smooth(rim), pen: 0.9 },
  ];
}

/** A funnel from outside: its rim at the top, and folds that run down into the stem. */
function funnelSkin(
  view: BodyView,
  { profile }: PlacedCap,
  under: readonly Point2[],
  skin: Ink,
  known: Shape["knowing"],
): Shape[] {
  const rimHeight = Math.max(...profile.map(([, y]) => y));
  const tip = profile.at(-1) ?? [view.radius, rimHeight];
  const rim: Point2[] = [
    [0, rimHeight + view.radius * 0.05],
    [-tip[0] * 0.5, rimHeight + view.radius * 0.03],
    [-tip[0] * 0.97, rimHeight - view.radius * 0.02],
    [-tip[0], tip[1]],
  ];
  const outside = mirrored(under.filter(([x]) => x >= view.stemHalf)).reverse();
  const foot = outside.at(-1) ?? [-view.stemHalf, 0];
  const sunk = foot[1] - view.radius * 0.09;
  const below = view.of("underside-colour").states[0] ?? view.of("gill-colour").states[0];
  const shapes: Shape[] = [
    {
      part: "cap",
      steps: [...smooth(rim), ...smooth(outside).slice(1), ["L", foot[0], sunk], ["L", 0, sunk], ["Z"]],
      fill: below === undefined ? skin : `pigment:${below}`,
      stroke: "none",
      pen: 0,
      knowing: "seen",
    },
  ];
  for (const share of [0.15, 0.35, 0.55, 0.75, 0.92]) {
    const top: Point2 = [-tip[0] * share, rimHeight - view.radius * 0.04];
    const down: Point2 = [-view.stemHalf * share, foot[1] - view.radius * 0.15];
    const bend: Point2 = [(top[0] + down[0] * 2.2) / 3.2, (top[1] + down[1]) / 2];
    shapes.push({
      part: "under",
      steps: smooth([top, bend, down]),
      fill: "none",
      stroke: "line",
      pen: 0.45,
      knowing: view.of("underside").knowing,
    });
  }
  const outline = { part: "cap", fill: "none", stroke: "line", knowing: known } as const;
  shapes.push({ ...outline, steps: smooth(rim), pen: 1.3 }, { ...outline, steps: smooth(outside), pen: 1.1 });
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
