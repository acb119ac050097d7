/** The skin of the cap as seen from outside: light, surface, edge, remnants of the veil. */
import type { PlacedCap } from "./cap.ts";
import { heightAt } from "./profiles.ts";
import { type Ink, line, type Point2, type Shape, scatter, smooth } from "./shapes.ts";
import type { BodyView } from "./view.ts";

/** Light falls from the upper left: the skin is darker towards its lower edge and the axis. */
export function shade(view: BodyView, { edge }: PlacedCap, left: readonly Point2[]): Shape[] {
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

/** Another colour in the middle of the cap. */
export function centreColour(view: BodyView, { profile }: PlacedCap): Shape[] {
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
export function surface(view: BodyView, { profile }: PlacedCap): Shape[] {
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
