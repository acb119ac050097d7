/** What hangs under the cap, cut through: gills and how they meet the stem, ridges, pores, spines. */
import type { PlacedCap } from "./cap.ts";
import { heightAt } from "./profiles.ts";
import { type Ink, line, type Point2, type Shape, smooth } from "./shapes.ts";
import type { BodyView } from "./view.ts";

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

const DEPTH: Readonly<Record<string, number>> = { gills: 0.2, ridges: 0.06, pores: 0.24, spines: 0.36 };
/** So few that each can be seen where the whole body is as tall as a line of text. */
const TEETH = 6;
const TUBES = 9;
const GILLS: Readonly<Record<string, number>> = { distant: 3, crowded: 7 };
const GILLS_USUAL = 5;

/** What hangs between the flesh and the free edge. */
interface Layer {
  /** The free edge, and the line where flesh ends, both from the stem outwards. */
  readonly edge: readonly Point2[];
  readonly outer: readonly Point2[];
  readonly ink: Ink;
  readonly knowing: Shape["knowing"];
}

/** The shapes under the cap. @param under where flesh ends */
export function underShapes(view: BodyView, cap: PlacedCap, under: readonly Point2[]): Shape[] {
  const kind = view.of("underside");
  const name = kind.states[0];
  // a closed ball shows nothing of its gills until somebody has cut it and looked
  const closed = view.age === "egg" || view.age === "button";
  if (name === "enclosed" || (closed && name === undefined)) return [];
  const colour =
    name === "pores"
      ? view.of("pore-colour")
      : name === "gills" || name === undefined
        ? view.of("gill-colour")
        : view.of("underside-colour");
  const depth = view.radius * (DEPTH[name ?? "gills"] ?? 0.02);
  const layer: Layer = {
    edge: freeEdge(view, cap, under, depth),
    outer: under.filter(([x]) => x >= view.stemHalf * 0.9),
    ink: colour.states[0] === undefined ? "paper" : `pigment:${colour.states[0]}`,
    knowing: kind.knowing === "open" ? colour.knowing : kind.knowing,
  };
  const flesh = stroke(line(layer.outer), 0.5, layer.knowing);
  switch (name) {
    case "spines":
      return [...teeth(layer), flesh];
    case "pores":
      return [filled(layer), ...tubes(layer), flesh];
    case "smooth":
      return [filled(layer), stroke(smooth(layer.edge), 1, layer.knowing), flesh];
    default: {
      const ribs = GILLS[view.first("gill-spacing") ?? ""] ?? GILLS_USUAL;
      return [
        filled(layer),
        ...gills(layer, under.at(-1) ?? [view.radius, 0], ribs),
        stroke(smooth(layer.edge), 1, layer.knowing),
        flesh,
      ];
    }
  }
}

const stroke = (steps: Shape["steps"], pen: number, knowing: Shape["knowing"], fill: Ink = "none"): Shape => ({
  part: "under",
  steps,
  fill,
  stroke: "line",
  pen,
  knowing,
});

/** The layer in its colour, without an outline. */
function filled({ edge, outer, ink }: Layer): Shape {
  const [x, y] = edge[0] ?? [0, 0];
  const back = line([...outer].reverse()).map((step): Shape["steps"][number] =>
    step[0] === "M" ? ["L", step[1], step[2]] : step,
  );
  return {
    part: "under",
    steps: [...smooth(edge), ...back, ["L", x, y], ["Z"]],
    fill: ink,
    stroke: "none",
    pen: 0,
    knowing: "seen",
  };
}

/** Places from the stem outwards, in equal steps: what hangs, hangs straight down. */
function places({ outer }: Layer, count: number): number[] {
  const from = outer[0]?.[0] ?? 0;
  const to = outer.at(-1)?.[0] ?? 0;
  return Array.from({ length: count + 1 }, (_unused, index) => from + ((to - from) * index) / count);
}

/** Spines hang free: each has its own point, and there is air between them. */
function teeth(layer: Layer): Shape[] {
  const { edge, outer, ink, knowing } = layer;
  const at = places(layer, TEETH);
  return at.slice(1).map((to, index) => {
    const from = at[index] ?? to;
    const middle = (from + to) / 2;
    const tooth: Point2[] = [
      [from, heightAt(outer, from)],
      [middle, heightAt(edge, middle)],
      [to, heightAt(outer, to)],
    ];
    return stroke(line(tooth, true), 0.8, knowing, ink);
  });
}

/** Tubes stand wall by wall and end level: their mouths are dark dots along a straight edge. */
function tubes(layer: Layer): Shape[] {
  const { edge, outer, knowing } = layer;
  const at = places(layer, TUBES);
  const wall = (x: number): Point2[] => [
    [x, heightAt(outer, x)],
    [x, heightAt(edge, x)],
  ];
  const mouth = (from: number, to: number): Point2[] =>
    [0.75, 0.25].map((share): Point2 => {
      const x = from * share + to * (1 - share);
      return [x, heightAt(edge, x)];
    });
  return [
    ...at.slice(1, -1).map((x) => stroke(line(wall(x)), 0.5, knowing)),
    stroke(smooth(edge), 0.6, knowing),
    ...at.slice(1).map((to, index) => stroke(line(mouth(at[index] ?? to, to)), 2, knowing)),
  ];
}

/** Gills run from the stem to the edge of the cap. */
function gills({ edge, outer, knowing }: Layer, tip: Point2, ribs: number): Shape[] {
  return Array.from({ length: ribs - 1 }, (_unused, rib) => {
    const along = [0.02, 0.3, 0.6, 0.85].map(
      (at): Point2 => between(pointAt(edge, at), pointAt(outer, at), (rib + 1) / ribs),
    );
    return stroke(smooth([...along, tip]), 0.4, knowing);
  });
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
