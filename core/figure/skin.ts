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

/** What marks on the skin are drawn with. */
interface SkinPen {
  readonly view: BodyView;
  /** A spot of the skin: across from axis to edge, down from the outline to the rim. */
  readonly spot: (across: number, down: number) => Point2;
  readonly mark: (steps: Shape["steps"], pen: number, knowing: Shape["knowing"], fill?: Ink, stroke?: Ink) => void;
}

/** Where one mark of a surface stands, and how large it is. */
interface MarkPlace {
  readonly across: number;
  readonly down: number;
  readonly at: Point2;
  readonly size: number;
}

/** The mark of a surface: how many there are, how thick, and the line of each. */
interface SurfaceMark {
  readonly most: number;
  readonly pen: number;
  readonly steps: (place: MarkPlace, spot: SkinPen["spot"]) => Shape["steps"];
}

const fibre = (pen: number, most: number): SurfaceMark => ({
  most,
  pen,
  steps: ({ across, down }, spot) =>
    smooth([spot(across * 0.7, down), spot(across * 0.85, down + 0.05), spot(across, down + 0.16)]),
});
/** A stroke that stands up from the skin. @param tall in sizes of a mark @param lean outwards */
const upright = (most: number, pen: number, tall: number, lean = 0): SurfaceMark => ({
  most,
  pen,
  steps: ({ at: [x, y], size }) =>
    line([
      [x, y],
      [x - size * lean, y + size * tall],
    ]),
});

const SURFACES: Readonly<Record<string, SurfaceMark>> = {
  fibrillose: fibre(0.55, 16),
  silky: fibre(0.35, 24),
  hairy: upright(24, 0.6, 1.3, 0.6),
  velvety: upright(26, 0.8, 0.35),
  powdery: upright(44, 0.9, 0.1),
  scaly: {
    most: 20,
    pen: 0.8,
    steps: ({ at: [x, y], size }) =>
      line([
        [x - size, y - size * 0.3],
        [x, y + size * 0.5],
        [x + size, y - size * 0.3],
      ]),
  },
  cracked: {
    most: 14,
    pen: 0.7,
    steps: ({ at: [x, y], size }) =>
      line([
        [x - size, y],
        [x, y + size * 0.6],
        [x + size, y],
        [x + size * 1.3, y - size],
      ]),
  },
  wrinkled: {
    most: 10,
    pen: 0.6,
    steps: ({ at: [x, y], size }) =>
      smooth([
        [x - size * 1.4, y],
        [x, y + size * 0.5],
        [x + size * 1.4, y],
      ]),
  },
};

/** Marks of surface, edge and veil on the skin. */
export function surface(view: BodyView, { profile }: PlacedCap): Shape[] {
  const shapes: Shape[] = [];
  const outermost = Math.max(...profile.map(([x]) => x));
  const pen: SkinPen = {
    view,
    spot: (across, down) => {
      const x = across * outermost * 0.97;
      const tip = profile.at(-1)?.[1] ?? 0;
      const y = heightAt(profile, x);
      return [-x * (1 - down * 0.04), y - (y - tip) * down * 0.92];
    },
    mark: (steps, thick, knowing, fill = "none", stroke = "line") =>
      void shapes.push({ part: "cap", steps, fill, stroke, pen: thick, knowing }),
  };
  for (const draw of [surfaceMarks, gloss, edge, zones, veil, rubbed]) draw(pen);
  return shapes;
}

function surfaceMarks({ view, spot, mark }: SkinPen): void {
  const { states, knowing } = view.of("cap-surface");
  for (const state of states) {
    const told = SURFACES[state];
    for (let index = 0; index < (told?.most ?? 0); index++) {
      const across = scatter(index + 1);
      const down = 0.12 + scatter(index + 51) * 0.75;
      const place = { across, down, at: spot(across, down), size: view.radius * 0.07 };
      if (told !== undefined) mark(told.steps(place, spot), told.pen, knowing);
    }
  }
}

/** The light on what is smooth, and more of it on what is wet. */
function gloss({ view, spot, mark }: SkinPen): void {
  const { states } = view.of("cap-surface");
  if (!states.some((state) => state === "slimy" || state === "tacky" || state === "smooth")) return;
  const wet = !states.includes("smooth");
  mark(smooth([spot(0.72, 0.16), spot(0.55, 0.12), spot(0.38, 0.14)]), wet ? 3 : 1.6, "seen", "none", "paper");
  if (wet) mark(smooth([spot(0.86, 0.3), spot(0.82, 0.26)]), 2.4, "seen", "none", "paper");
  if (states.includes("slimy")) drops({ view, spot, mark });
}

/** Slime hangs in drops from the edge. */
function drops({ view, spot, mark }: Pick<SkinPen, "view" | "spot" | "mark">): void {
  const { knowing } = view.of("cap-surface");
  const wide = view.radius * 0.035;
  for (const across of [0.3, 0.62, 0.9]) {
    const [x, y] = spot(across, 1);
    const drop: Point2[] = [
      [x - wide, y],
      [x - wide * 1.2, y - wide * 3],
      [x, y - wide * 4.4],
      [x + wide * 1.2, y - wide * 3],
      [x + wide, y],
    ];
    mark(smooth(drop), 0.8, knowing, "paper");
  }
}

function edge({ view, spot, mark }: SkinPen): void {
  const { states, knowing } = view.of("cap-margin");
  if (states.includes("striate"))
    for (let index = 1; index < 12; index++) mark(line([spot(index / 12, 0.78), spot(index / 12, 1)]), 0.6, knowing);
  // torn open from the rim inwards
  if (states.includes("split"))
    for (const across of [0.28, 0.58, 0.85])
      mark(line([spot(across - 0.04, 1.02), spot(across, 0.55), spot(across + 0.04, 1.02)]), 0.9, knowing, "shade");
  if (!states.includes("ragged-with-veil")) return;
  for (let index = 1; index < 9; index++) {
    const [x, y] = spot(index / 9, 1.04);
    const shred: Point2[] = [
      [x - 0.05 * view.radius, y],
      [x, y - 0.1 * view.radius],
      [x + 0.05 * view.radius, y],
    ];
    mark(line(shred, true), 0.7, knowing, "paper");
  }
}

function zones({ view, spot, mark }: SkinPen): void {
  const { states, knowing } = view.of("cap-zones");
  if (states[0] === "distinct" || states[0] === "blending")
    for (const down of [0.25, 0.5, 0.75])
      mark(smooth([spot(0.95, down), spot(0.6, down), spot(0.2, down), spot(0, down)]), 0.9, knowing);
  if (view.first("two-toned") === "yes")
    mark(smooth([spot(0.62, 0), spot(0.6, 0.3), spot(0.4, 0.52), spot(0, 0.58)]), 0.9, view.of("two-toned").knowing);
}

/** Grains of a powdery veil on the half that is seen. */
const GRAINS = 48;

/** What is left of a veil: warts, powder, or two broad patches of it. */
function veil({ view, spot, mark }: SkinPen): void {
  const { states, knowing } = view.of("veil-on-cap");
  for (const state of states) {
    if (state === "powder")
      for (let index = 0; index < GRAINS; index++) {
        const [x, y] = spot(scatter(index + 11), 0.08 + scatter(index + 90) * 0.85);
        const grain: Point2[] = [
          [x, y],
          [x + view.radius * 0.014, y],
        ];
        mark(line(grain), 1.8, knowing, "none", "paper");
      }
    if (!state.endsWith("warts") && state !== "sheets") continue;
    const ink: Ink = state === "sheets" ? "paper" : `pigment:${state.split("-")[0] ?? "white"}`;
    for (let index = 0; index < (state === "sheets" ? 2 : 12); index++) {
      const [x, y] = spot(0.1 + scatter(index + 7) * 0.8, 0.15 + scatter(index + 70) * 0.6);
      const size = view.radius * (state === "sheets" ? 0.22 : 0.055) * (0.8 + scatter(index) * 0.5);
      const wart: Point2[] = [
        [x - size, y],
        [x - size * 0.3, y + size * 0.7],
        [x + size, y + size * 0.2],
        [x + size * 0.5, y - size * 0.6],
        [x - size, y],
      ];
      mark(smooth(wart, true), 0.8, knowing, ink);
    }
  }
}

function rubbed({ view, spot, mark }: SkinPen): void {
  const rub = view.first("stain-rub");
  if (rub === undefined || rub === "none") return;
  const stroke = smooth([spot(0.5, 0.5), spot(0.62, 0.56), spot(0.74, 0.6)]);
  mark(stroke, 5, view.of("stain-rub").knowing, "none", `pigment:${rub}`);
}
