/** Stem, ring and foot: skin on the left, section on the right. */
import type { PlacedCap } from "./cap.ts";
import { footProfile, heightAt, sacProfile } from "./profiles.ts";
import { type Ink, line, mirrored, type Point2, type Shape, scatter, smooth } from "./shapes.ts";
import { stemMarks } from "./stem-marks.ts";
import { widthAt } from "./stem-shape.ts";
import { undersideLine } from "./underside.ts";
import type { BodyView } from "./view.ts";

/** The right outline, from where the stem goes into the cap down to the ground. */
function side(view: BodyView, cap: PlacedCap): Point2[] {
  const top = heightAt(undersideLine(view, cap), view.stemHalf) + view.radius * 0.02;
  return [
    [widthAt(view, 1), top],
    ...[1, 0.75, 0.5, 0.25, 0].map((share): Point2 => [widthAt(view, share), Math.min(cap.edge, top) * share]),
  ];
}

/** The stem above ground. */
export function stemShapes(view: BodyView, cap: PlacedCap): Shape[] {
  const right = side(view, cap);
  const left = mirrored(right);
  const colour = view.of("stem-colour");
  const skin: Ink = colour.states[0] === undefined ? "paper" : `pigment:${colour.states[0]}`;
  const surface = view.of("stem-surface");
  const known = colour.knowing === "open" ? surface.knowing : colour.knowing;
  const fleshInk: Ink = view.first("flesh-colour") === undefined ? "flesh" : `pigment:${view.first("flesh-colour")}`;
  const top = right[0]?.[1] ?? cap.edge;
  const shapes: Shape[] = [
    {
      part: "stem",
      steps: [...smooth(left), ["L", 0, 0], ["L", 0, top], ["Z"]],
      fill: skin,
      stroke: "none",
      pen: 0,
      knowing: "seen",
    },
    {
      part: "stem",
      steps: line(
        [
          [-widthAt(view, 1), top],
          [0, top],
          [0, top - view.radius * 0.34],
          [-widthAt(view, 0.9), top - view.radius * 0.2],
        ],
        true,
      ),
      fill: "shade",
      stroke: "none",
      pen: 0,
      knowing: "seen",
    },
    {
      part: "cut",
      steps: [...smooth(right), ["L", 0, 0], ["L", 0, top], ["Z"]],
      fill: fleshInk,
      stroke: "none",
      pen: 0,
      knowing: "seen",
    },
  ];
  shapes.push(...inside(view, cap));
  shapes.push(...stemMarks(view, cap));
  shapes.push({ part: "stem", steps: smooth(left), fill: "none", stroke: "line", pen: 1.2, knowing: known });
  shapes.push({ part: "stem", steps: smooth(right), fill: "none", stroke: "line", pen: 1.2, knowing: known });
  shapes.push({
    part: "cut",
    steps: line([
      [0, 0],
      [0, cap.edge],
    ]),
    fill: "none",
    stroke: "faint",
    pen: 0.7,
    knowing: "seen",
  });
  return shapes;
}

function inside(view: BodyView, cap: PlacedCap): Shape[] {
  const { states, knowing } = view.of("stem-inside");
  const core = view.stemHalf * 0.45;
  const top = Math.min(cap.edge, heightAt(undersideLine(view, cap), view.stemHalf)) * 0.96;
  switch (states[0]) {
    case "hollow":
      return [
        {
          part: "cut",
          steps: [
            ...smooth([
              [0, 0.02],
              [core, 0.1],
              [core * 0.9, top * 0.6],
              [core * 0.6, top],
              [0, top],
            ]),
            ["Z"],
          ],
          fill: "shade",
          stroke: "line",
          pen: 0.7,
          knowing,
        },
      ];
    case "stuffed":
      return Array.from(
        { length: 14 },
        (_unused, index): Shape => ({
          part: "cut",
          steps: line([
            [core * scatter(index), top * (index / 14)],
            [core * scatter(index + 20), top * (index / 14) + view.stemHalf * 0.3],
          ]),
          fill: "none",
          stroke: "line",
          pen: 0.45,
          knowing,
        }),
      );
    case "chambered":
      return [0.2, 0.4, 0.6, 0.8].map(
        (share): Shape => ({
          part: "cut",
          steps: smooth([
            [0, top * share],
            [core * 1.2, top * share + core * 0.4],
            [core * 1.2, top * (share + 0.12)],
            [0, top * (share + 0.14)],
          ]),
          fill: "shade",
          stroke: "line",
          pen: 0.6,
          knowing,
        }),
      );
    case "solid":
      return Array.from(
        { length: 5 },
        (_unused, index): Shape => ({
          part: "cut",
          steps: smooth([
            [view.stemHalf * (0.15 + index * 0.17), 0.1],
            [view.stemHalf * (0.15 + index * 0.16), top * 0.5],
            [view.stemHalf * (0.12 + index * 0.15), top],
          ]),
          fill: "none",
          stroke: "faint",
          pen: 0.5,
          knowing,
        }),
      );
    default:
      return [];
  }
}

/** The foot below ground, dashed until it has been looked at. */
export function footShapes(view: BodyView): Shape[] {
  const { stemHalf: half } = view;
  const { states, knowing } = view.of("base");
  const kind = states[0] ?? "bulb";
  const right = footProfile(kind, half * 1.1);
  const left = mirrored(right);
  const isOpen = knowing === "open";
  const colour = view.first("stem-colour");
  const skin: Ink = colour === undefined ? "paper" : `pigment:${colour}`;
  const put = (steps: Shape["steps"], pen: number, more: Partial<Shape> = {}): Shape => ({
    part: "foot",
    steps,
    fill: "none",
    stroke: pen === 0 ? "none" : "line",
    pen,
    knowing: pen === 0 ? "seen" : knowing,
    ...more,
  });
  const halfFoot = (points: readonly Point2[], fill: Ink) =>
    put([...smooth(points), ["L", 0, 0], ["Z"]], 0, { fill: isOpen ? "none" : fill });
  const pen = isOpen ? 1.5 : 1.2;
  return [
    ...(kind === "sac" ? [put(around(sacProfile(half * 1.1)), 1.3, { fill: "paper" })] : []),
    ...(kind === "fused" ? [-1, 1].map((turn) => put(smooth(neighbour(turn * half, half)), 1.1)) : []),
    halfFoot(left, skin),
    halfFoot(right, "flesh"),
    put(smooth(left), pen),
    put(smooth(right), pen),
    ...(kind === "scaly-rings" ? RINGS.map((level) => put(smooth(scaleRing(level, half)), 1)) : []),
    ...nick(view),
  ];
}

/** A sac stands open around the foot, on both sides. */
const around = (sac: readonly Point2[]): Shape["steps"] => [
  ...smooth(mirrored(sac)),
  ...smooth([...sac].reverse()).slice(1),
];
/** The foot beside it, grown together with it. @param out half the stem, to its side */
const neighbour = (out: number, half: number): Point2[] => [
  [out * 2.6, half * 2.2],
  [out * 1.9, -half * 0.4],
  [out * 0.7, -half * 2.6],
];
/** Levels of the scales on a ringed foot, in halves of the stem. */
const RINGS = [0.4, -0.5, -1.3, -2.1] as const;
const scaleRing = (level: number, half: number): Point2[] => [
  [-half * (1.25 - level * 0.2), level * half],
  [-half * 0.6, (level - 0.25) * half],
  [0, (level - 0.3) * half],
];

/** Where the foot was nicked, in the colour that it turned. */
function nick(view: BodyView): Shape[] {
  const { states, knowing } = view.of("stain-base");
  const [stain] = states;
  if (stain === undefined) return [];
  const half = view.stemHalf;
  const y = -half * 2.3;
  const cut: Point2[] = [
    [half * 0.1, y],
    [half * 0.5, y + half * 0.25],
    [half * 0.85, y + half * 0.3],
  ];
  return [
    {
      part: "foot",
      steps: smooth(cut),
      fill: "none",
      stroke: stain === "none" ? "line" : `pigment:${stain}`,
      pen: stain === "none" ? 1 : 6,
      knowing,
    },
  ];
}
