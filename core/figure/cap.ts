/** The cap: skin on the left as seen from outside, section on the right with flesh and what hangs under it. */
import { capProfile, heightAt } from "./profiles.ts";
import { type Ink, line, mirrored, type Point2, type Shape, scatter, smooth } from "./shapes.ts";
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

/** Where flesh ends and gills begin, from the axis to the edge. */
export function undersideLine(view: BodyView, { profile }: PlacedCap): Point2[] {
  const tip = profile.at(-1) ?? [view.radius, 0];
  const outermost = Math.max(...profile.map(([x]) => x));
  const points: Point2[] = [];
  for (const share of [0, 0.12, 0.3, 0.5, 0.7, 0.86, 0.95]) {
    const x = share * outermost;
    const thickness = view.radius * (0.05 + 0.26 * (1 - share) ** 0.85);
    points.push([x, heightAt(profile, x) - thickness]);
  }
  return [...points, tip];
}

const DEPTH: Readonly<Record<string, number>> = { gills: 0.2, ridges: 0.06, pores: 0.22, spines: 0.2 };

function underShapes(view: BodyView, cap: PlacedCap, under: readonly Point2[]): Shape[] {
  const kind = view.of("underside");
  const name = kind.states[0];
  if (name === "enclosed") return [];
  const colour =
    name === "pores"
      ? view.of("pore-colour")
      : name === "gills" || name === undefined
        ? view.of("gill-colour")
        : view.of("underside-colour");
  const knowing = kind.knowing === "open" ? colour.knowing : kind.knowing;
  const depth = view.radius * (DEPTH[name ?? "gills"] ?? 0.02);
  const edge = freeEdge(view, cap, under, depth);
  const outer = under.filter(([x]) => x >= view.stemHalf * 0.9);
  const start = edge[0] ?? [0, 0];
  const ink: Ink = colour.states[0] === undefined ? "paper" : `pigment:${colour.states[0]}`;
  const shapes: Shape[] = [
    {
      part: "under",
      steps: [
        ...smooth(edge),
        ...line([...outer].reverse()).map((step): Shape["steps"][number] =>
          step[0] === "M" ? ["L", step[1], step[2]] : step,
        ),
        ["L", start[0], start[1]],
        ["Z"],
      ],
      fill: ink,
      stroke: "none",
      pen: 0,
      knowing: "seen",
    },
  ];
  const tip = under.at(-1) ?? [view.radius, 0];
  const ribs =
    name === "pores"
      ? 12
      : view.first("gill-spacing") === "distant"
        ? 3
        : view.first("gill-spacing") === "crowded"
          ? 7
          : 5;
  if (name === "pores" || name === "spines")
    for (let rib = 1; rib < 12; rib++) {
      const low = pointAt(edge, rib / 12);
      const high = pointAt(outer, rib / 12);
      shapes.push({
        part: "under",
        steps: line(
          name === "spines" ? [[high[0] - depth * 0.2, high[1]], low, [high[0] + depth * 0.2, high[1]]] : [high, low],
        ),
        fill: "none",
        stroke: "line",
        pen: 0.5,
        knowing,
      });
    }
  else if (name !== "smooth")
    for (let rib = 1; rib < ribs; rib++) {
      const share = rib / ribs;
      const along = [0.02, 0.3, 0.6, 0.85].map((at): Point2 => between(pointAt(edge, at), pointAt(outer, at), share));
      shapes.push({
        part: "under",
        steps: smooth([...along, tip]),
        fill: "none",
        stroke: "line",
        pen: 0.4,
        knowing,
      });
    }
  shapes.push({ part: "under", steps: smooth(edge), fill: "none", stroke: "line", pen: 1, knowing });
  shapes.push({ part: "under", steps: line(outer), fill: "none", stroke: "line", pen: 0.5, knowing });
  return shapes;
}

/** The free edge of the gills from the stem outwards; how it meets the stem is the attachment. */
function freeEdge(view: BodyView, cap: PlacedCap, under: readonly Point2[], depth: number): Point2[] {
  const half = view.stemHalf;
  const at = (x: number): number => heightAt(under, x);
  const reach = (under.at(-1)?.[0] ?? view.radius) - half;
  const body: Point2[] = [0.35, 0.6, 0.82].map((share) => [
    half + reach * share,
    at(half + reach * share) - depth * (share < 0.7 ? 1 : 0.7),
  ]);
  const tip = under.at(-1) ?? [view.radius, cap.edge];
  switch (view.first("gill-attachment")) {
    case "free":
      return [
        [half + reach * 0.1, at(half + reach * 0.1)],
        [half + reach * 0.16, at(half + reach * 0.16) - depth * 0.8],
        ...body,
        tip,
      ];
    case "collared":
      return [
        [half + reach * 0.16, at(half + reach * 0.16)],
        [half + reach * 0.18, at(half + reach * 0.18) - depth * 0.9],
        ...body,
        tip,
      ];
    case "adnexed":
      return [
        [half, at(half) - depth * 0.35],
        [half + reach * 0.12, at(half + reach * 0.12) - depth * 0.75],
        ...body,
        tip,
      ];
    case "notched":
      return [
        [half, at(half) - depth * 0.75],
        [half + reach * 0.07, at(half + reach * 0.07) - depth * 0.3],
        [half + reach * 0.2, at(half + reach * 0.2) - depth * 0.95],
        ...body,
        tip,
      ];
    case "decurrent":
      return [
        [half, at(half) - depth - view.radius * 0.5],
        [half + reach * 0.1, at(half + reach * 0.1) - depth * 1.5],
        ...body,
        tip,
      ];
    default:
      return [[half, at(half) - depth * 0.95], [half + reach * 0.15, at(half + reach * 0.15) - depth], ...body, tip];
  }
}

function pointAt(points: readonly Point2[], share: number): Point2 {
  const place = share * (points.length - 1);
  const index = Math.min(Math.floor(place), points.length - 2);
  return between(points[index] ?? [0, 0], points[index + 1] ?? [0, 0], place - index);
}

function between([x0, y0]: Point2, [x1, y1]: Point2, share: number): Point2 {
  return [x0 + (x1 - x0) * share, y0 + (y1 - y0) * share];
}

/** Light falls from the upper left: the skin is darker towards its lower edge and the axis. */
function shade(view: BodyView, { edge }: PlacedCap, left: readonly Point2[]): Shape[] {
  const outline = left.slice(Math.floor(left.length / 3));
  const inner = outline.map(
    ([x, y]): Point2 => [x * 0.86 + view.radius * 0.02, edge + (y - edge) * 0.62 - view.radius * 0.02],
  );
  return [
    {
      part: "cap",
      steps: [
        ...smooth(outline),
        ...line([...inner].reverse()).map((step): Shape["steps"][number] =>
          step[0] === "M" ? ["L", step[1], step[2]] : step,
        ),
        ["Z"],
      ],
      fill: "shade",
      stroke: "none",
      pen: 0,
      knowing: "seen",
    },
  ];
}

function centreColour(view: BodyView, { profile }: PlacedCap): Shape[] {
  const centre = view.of("cap-colour-centre");
  if (centre.states[0] === undefined) return [];
  const top = profile[0]?.[1] ?? 0;
  const span = view.radius * 0.34;
  const outline: Point2[] = [
    [0, top],
    [-span * 0.6, heightAt(profile, span * 0.6)],
    [-span, heightAt(profile, span)],
    [-span * 0.7, heightAt(profile, span) - span * 0.35],
    [0, heightAt(profile, span) - span * 0.45],
  ];
  return [
    {
      part: "cap",
      steps: smooth(outline, true),
      fill: `pigment:${centre.states[0]}`,
      stroke: "none",
      pen: 0,
      knowing: centre.knowing,
    },
  ];
}

/** Marks of surface, edge and veil on the skin. */
function surface(view: BodyView, { profile }: PlacedCap): Shape[] {
  const shapes: Shape[] = [];
  const skin = view.of("cap-surface");
  const outermost = Math.max(...profile.map(([x]) => x));
  /** A spot of the skin: across from axis to edge, down from the outline to the rim. */
  const spot = (across: number, down: number): Point2 => {
    const x = across * outermost * 0.97;
    const tip = profile.at(-1)?.[1] ?? 0;
    const y = heightAt(profile, x);
    return [-x * (1 - down * 0.04), y - (y - tip) * down * 0.92];
  };
  const mark = (
    steps: Shape["steps"],
    pen: number,
    knowing: Shape["knowing"],
    fill: Ink = "none",
    stroke: Ink = "line",
  ) => shapes.push({ part: "cap", steps, fill, stroke, pen, knowing });
  for (const state of skin.states)
    for (let index = 0; index < 26; index++) {
      const across = scatter(index + 1);
      const down = 0.12 + scatter(index + 51) * 0.75;
      const [x, y] = spot(across, down);
      const size = view.radius * 0.07;
      if ((state === "fibrillose" || state === "silky" || state === "hairy") && index < 16)
        mark(
          smooth([spot(across * 0.7, down), spot(across * 0.85, down + 0.05), spot(across, down + 0.16)]),
          state === "silky" ? 0.35 : 0.55,
          skin.knowing,
        );
      if (state === "scaly" && index < 20)
        mark(
          line([
            [x - size, y - size * 0.3],
            [x, y + size * 0.5],
            [x + size, y - size * 0.3],
          ]),
          0.8,
          skin.knowing,
        );
      if (state === "velvety" || state === "powdery")
        mark(
          line([
            [x, y],
            [x, y + size * 0.35],
          ]),
          0.8,
          skin.knowing,
        );
      if (state === "cracked" && index < 14)
        mark(
          line([
            [x - size, y],
            [x, y + size * 0.6],
            [x + size, y],
            [x + size * 1.3, y - size],
          ]),
          0.7,
          skin.knowing,
        );
      if (state === "wrinkled" && index < 10)
        mark(
          smooth([
            [x - size * 1.4, y],
            [x, y + size * 0.5],
            [x + size * 1.4, y],
          ]),
          0.6,
          skin.knowing,
        );
    }
  if (skin.states.some((state) => state === "slimy" || state === "tacky" || state === "smooth")) {
    const wet = !skin.states.includes("smooth");
    mark(smooth([spot(0.72, 0.16), spot(0.55, 0.12), spot(0.38, 0.14)]), wet ? 3 : 1.6, "seen", "none", "paper");
    if (wet) mark(smooth([spot(0.86, 0.3), spot(0.82, 0.26)]), 2.4, "seen", "none", "paper");
  }
  const margin = view.of("cap-margin");
  if (margin.states.includes("striate"))
    for (let index = 1; index < 12; index++)
      mark(line([spot(index / 12, 0.78), spot(index / 12, 1)]), 0.6, margin.knowing);
  if (margin.states.includes("ragged-with-veil"))
    for (let index = 1; index < 9; index++) {
      const [x, y] = spot(index / 9, 1.04);
      mark(
        line(
          [
            [x - 0.05 * view.radius, y],
            [x, y - 0.1 * view.radius],
            [x + 0.05 * view.radius, y],
          ],
          true,
        ),
        0.7,
        margin.knowing,
        "paper",
      );
    }
  const zones = view.of("cap-zones");
  if (zones.states[0] === "distinct" || zones.states[0] === "blending")
    for (const down of [0.25, 0.5, 0.75])
      mark(smooth([spot(0.95, down), spot(0.6, down), spot(0.2, down), spot(0, down)]), 0.9, zones.knowing);
  if (view.first("two-toned") === "yes")
    mark(smooth([spot(0.62, 0), spot(0.6, 0.3), spot(0.4, 0.52), spot(0, 0.58)]), 0.9, view.of("two-toned").knowing);
  const veil = view.of("veil-on-cap");
  for (const state of veil.states) {
    const ink: Ink = state === "sheets" ? "paper" : `pigment:${state.split("-")[0] ?? "white"}`;
    for (let index = 0; index < (state === "sheets" ? 2 : 12); index++) {
      const [x, y] = spot(0.1 + scatter(index + 7) * 0.8, 0.15 + scatter(index + 70) * 0.6);
      const size = view.radius * (state === "sheets" ? 0.22 : 0.055) * (0.8 + scatter(index) * 0.5);
      if (state.endsWith("warts") || state === "sheets")
        mark(
          smooth(
            [
              [x - size, y],
              [x - size * 0.3, y + size * 0.7],
              [x + size, y + size * 0.2],
              [x + size * 0.5, y - size * 0.6],
              [x - size, y],
            ],
            true,
          ),
          0.8,
          veil.knowing,
          ink,
        );
    }
  }
  const rub = view.first("stain-rub");
  if (rub !== undefined && rub !== "none")
    mark(
      smooth([spot(0.5, 0.5), spot(0.62, 0.56), spot(0.74, 0.6)]),
      5,
      view.of("stain-rub").knowing,
      "none",
      `pigment:${rub}`,
    );
  return shapes;
}
