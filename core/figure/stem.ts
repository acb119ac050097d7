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
  const base = view.of("base");
  const kind = base.states[0] ?? "bulb";
  const right = footProfile(kind, view.stemHalf * 1.1);
  const left = mirrored(right);
  const isOpen = base.knowing === "open";
  const skin: Ink = isOpen
    ? "none"
    : view.first("stem-colour") === undefined
      ? "paper"
      : `pigment:${view.first("stem-colour")}`;
  const pen = isOpen ? 1.5 : 1.2;
  const shapes: Shape[] = [];
  if (kind === "sac") {
    const sac = sacProfile(view.stemHalf * 1.1);
    shapes.push({
      part: "foot",
      steps: [...smooth(mirrored(sac)), ...smooth([...sac].reverse()).slice(1)],
      fill: "paper",
      stroke: "line",
      pen: 1.3,
      knowing: base.knowing,
    });
  }
  if (kind === "fused")
    for (const turn of [-1, 1]) {
      const neighbour: Point2[] = [
        [turn * view.stemHalf * 2.6, view.stemHalf * 2.2],
        [turn * view.stemHalf * 1.9, -view.stemHalf * 0.4],
        [turn * view.stemHalf * 0.7, -view.stemHalf * 2.6],
      ];
      shapes.push({
        part: "foot",
        steps: smooth(neighbour),
        fill: "none",
        stroke: "line",
        pen: 1.1,
        knowing: base.knowing,
      });
    }
  shapes.push({
    part: "foot",
    steps: [...smooth(left), ["L", 0, 0], ["Z"]],
    fill: skin,
    stroke: "none",
    pen: 0,
    knowing: "seen",
  });
  shapes.push({
    part: "foot",
    steps: [...smooth(right), ["L", 0, 0], ["Z"]],
    fill: isOpen ? "none" : "flesh",
    stroke: "none",
    pen: 0,
    knowing: "seen",
  });
  shapes.push({
    part: "foot",
    steps: smooth(left),
    fill: "none",
    stroke: "line",
    pen,
    knowing: base.knowing,
  });
  shapes.push({
    part: "foot",
    steps: smooth(right),
    fill: "none",
    stroke: "line",
    pen,
    knowing: base.knowing,
  });
  if (kind === "scaly-rings")
    for (const level of [0.4, -0.5, -1.3, -2.1])
      shapes.push({
        part: "foot",
        steps: smooth([
          [-view.stemHalf * (1.25 - level * 0.2), level * view.stemHalf],
          [-view.stemHalf * 0.6, (level - 0.25) * view.stemHalf],
          [0, (level - 0.3) * view.stemHalf],
        ]),
        fill: "none",
        stroke: "line",
        pen: 1,
        knowing: base.knowing,
      });
  const nick = view.first("stain-base");
  if (nick !== undefined) {
    const y = -view.stemHalf * 2.3;
    shapes.push({
      part: "foot",
      steps: smooth([
        [view.stemHalf * 0.1, y],
        [view.stemHalf * 0.5, y + view.stemHalf * 0.25],
        [view.stemHalf * 0.85, y + view.stemHalf * 0.3],
      ]),
      fill: "none",
      stroke: nick === "none" ? "line" : `pigment:${nick}`,
      pen: nick === "none" ? 1 : 6,
      knowing: view.of("stain-base").knowing,
    });
  }
  return shapes;
}
