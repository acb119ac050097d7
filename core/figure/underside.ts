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

const DEPTH: Readonly<Record<string, number>> = { gills: 0.2, ridges: 0.06, pores: 0.22, spines: 0.2 };

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
