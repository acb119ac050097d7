/** Outlines of caps and feet, as half profiles. */
import type { Point2 } from "./shapes.ts";

/** Cap profiles from the middle to the edge, in cap radii; the edge is at height 0. Our own. */
// biome-ignore format: a table of points reads best a line each
const CAP_PROFILES: Readonly<Record<string, readonly Point2[]>> = {
  egg: [[0, 1.3], [0.35, 1.2], [0.7, 0.85], [0.94, 0.35], [1, -0.05], [0.88, -0.5], [0.6, -0.78]],
  ball: [[0, 0.98], [0.4, 0.9], [0.75, 0.63], [0.96, 0.2], [1, -0.12], [0.86, -0.48], [0.6, -0.66]],
  bell: [[0, 0.98], [0.2, 0.95], [0.42, 0.78], [0.6, 0.48], [0.76, 0.2], [0.92, 0.04], [1, -0.05], [0.98, -0.1]],
  conical: [[0, 1.02], [0.1, 0.95], [0.4, 0.6], [0.72, 0.24], [0.94, 0.02], [1, -0.05], [0.97, -0.09]],
  convex: [[0, 0.6], [0.3, 0.57], [0.6, 0.45], [0.84, 0.24], [0.97, 0.02], [0.99, -0.08], [0.94, -0.12]],
  umbonate: [[0, 0.55], [0.1, 0.53], [0.22, 0.42], [0.36, 0.35], [0.62, 0.27], [0.86, 0.12], [0.99, -0.03], [0.97, -0.09]],
  blocky: [[0, 0.7], [0.38, 0.7], [0.66, 0.66], [0.84, 0.52], [0.93, 0.24], [0.96, 0], [0.91, -0.09]],
  flat: [[0, 0.25], [0.4, 0.25], [0.7, 0.21], [0.92, 0.1], [1, -0.01], [0.97, -0.08]],
  dimpled: [[0, 0.14], [0.08, 0.17], [0.22, 0.27], [0.45, 0.29], [0.75, 0.2], [0.95, 0.06], [1, -0.02], [0.97, -0.08]],
  depressed: [[0, 0.08], [0.18, 0.1], [0.42, 0.2], [0.68, 0.24], [0.88, 0.15], [0.99, 0.01], [0.97, -0.07]],
  funnel: [[0, -0.3], [0.12, -0.22], [0.3, 0.02], [0.55, 0.26], [0.8, 0.38], [0.95, 0.37], [1, 0.3], [0.97, 0.24]],
  perforated: [[0.06, -0.4], [0.12, -0.2], [0.3, 0.04], [0.55, 0.24], [0.8, 0.33], [0.95, 0.31], [1, 0.24], [0.97, 0.19]],
  wavy: [[0, 0.14], [0.25, 0.17], [0.48, 0.28], [0.66, 0.22], [0.82, 0.1], [0.94, 0.13], [1, 0.03], [0.97, -0.05]],
  shelf: [[0, 0.32], [0.4, 0.3], [0.75, 0.2], [0.95, 0.06], [1, -0.02], [0.96, -0.06]],
};

/** What is drawn while nobody has looked at the shape of the cap. */
const PLAIN_BY_AGE: Readonly<Record<string, string>> = {
  egg: "egg",
  button: "ball",
  young: "convex",
  mature: "convex",
  old: "flat",
};

/** The half profile of a cap, in cm around its edge. @param radius cm */
export function capProfile(
  shape: string | undefined,
  age: string | undefined,
  radius: number,
  margin: readonly string[],
): Point2[] {
  const name = shape ?? PLAIN_BY_AGE[age ?? "mature"] ?? "convex";
  const profile = CAP_PROFILES[name] ?? [];
  const points = profile.map(([x, y]): Point2 => [x * radius, y * radius]);
  const tip = points.at(-1);
  if (tip === undefined) return points;
  if (margin.includes("inrolled") || margin.includes("incurved")) {
    const curl = margin.includes("inrolled") ? 0.13 : 0.07;
    points.push([tip[0] - curl * radius, tip[1] - curl * 0.4 * radius]);
    if (margin.includes("inrolled")) points.push([tip[0] - curl * 1.3 * radius, tip[1] + 0.02 * radius]);
  }
  if (margin.includes("upturned")) points.splice(-1, 1, [tip[0] + 0.02 * radius, tip[1] + 0.14 * radius]);
  return points;
}

/** Height of the cap's upper side over a distance from the axis, both in cm; straight between the profile's points. */
export function heightAt(profile: readonly Point2[], x: number): number {
  for (let index = 1; index < profile.length; index++) {
    const [x0, y0] = profile[index - 1] ?? [0, 0];
    const [x1, y1] = profile[index] ?? [0, 0];
    if (x1 > x0 && x >= x0 && x <= x1) return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
  }
  return profile.at(-1)?.[1] ?? 0;
}

/** Half profiles of feet from ground level down, in half stem widths. */
// biome-ignore format: a table of points reads best a line each
const FOOT_PROFILES: Readonly<Record<string, readonly Point2[]>> = {
  plain: [[1, 0], [1.02, -1], [1, -2], [0.8, -2.7], [0, -2.95]],
  tapered: [[1, 0], [0.9, -1], [0.62, -2.2], [0.3, -3.1], [0, -3.4]],
  rooting: [[1, 0], [0.85, -1], [0.5, -2.4], [0.25, -4], [0.1, -5.4], [0, -5.9]],
  bulb: [[1, 0.6], [1.15, -0.4], [1.6, -1.5], [1.75, -2.4], [1.35, -3.3], [0, -3.7]],
  "abrupt-bulb": [[1, 0.2], [1.03, -0.55], [1.9, -0.75], [2.15, -1.3], [2.05, -2.4], [1.4, -3.2], [0, -3.5]],
  "gutter-bulb": [[1, 0.3], [1.05, -0.75], [1.35, -0.85], [1.6, -0.35], [1.95, -0.55], [2.05, -1.6], [1.8, -2.7], [1.1, -3.4], [0, -3.6]],
  "clasping-rim": [[1, 0.4], [1.04, -0.2], [1.3, -0.05], [1.42, -0.5], [1.65, -1.5], [1.6, -2.6], [1, -3.4], [0, -3.6]],
  "scaly-rings": [[1, 0.8], [1.15, 0], [1.5, -1.1], [1.75, -2.2], [1.4, -3.2], [0, -3.7]],
  sac: [[1, 0.4], [1.08, -0.6], [1.4, -1.8], [1.5, -2.6], [1.1, -3.4], [0, -3.7]],
  "side-attached": [[1, 0], [1.5, -0.25], [1.7, -0.7], [1.1, -1.05], [0, -1.1]],
  "sits-on-ground": [[1, 0], [1.9, -0.1], [2.2, -0.3], [1.6, -0.5], [0, -0.55]],
  fused: [[1, 0], [0.95, -1], [0.8, -2], [0.7, -2.8], [0, -3]],
};

/** The half profile of a foot, in cm, from ground level down. @param half half the stem's width in cm */
export function footProfile(base: string, half: number): Point2[] {
  return (FOOT_PROFILES[base] ?? FOOT_PROFILES.plain ?? []).map(([x, y]) => [x * half, y * half]);
}

/** The free edge of a sac around the foot, from its rim down to where it holds. */
export function sacProfile(half: number): Point2[] {
  const points: Point2[] = [
    [1.5, 1.1],
    [1.75, 0.9],
    [1.7, 0.2],
    [1.85, -0.9],
    [2.05, -2.1],
    [1.95, -3.1],
    [1.4, -3.9],
    [0, -4.25],
  ];
  return points.map(([x, y]) => [x * half, y * half]);
}
