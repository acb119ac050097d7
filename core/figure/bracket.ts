/** A bracket on its trunk. */
import { capShapes, type PlacedCap } from "./cap.ts";
import { anchorsOf, type DrawnForm } from "./forms.ts";
import { capProfile } from "./profiles.ts";
import { mirrored, type Point2, type Shape, scatter, smooth } from "./shapes.ts";
import type { BodyView } from "./view.ts";

/** Half a trunk's width, in bracket radii. */
const TRUNK = 0.26;
/** Height at which a bracket is drawn on its trunk, in radii. */
const BRACKET_HEIGHT = 0.55;
/** Thickness of the bracket's profile as drawn without a measure, in radii. */
const PROFILE_THICKNESS = 0.38;

/** A bracket: its upper side on the left of the trunk, cut through on the right. */
export function bracketForm(view: BodyView): DrawnForm {
  const { radius } = view;
  const edge = radius * BRACKET_HEIGHT;
  const thick = Math.min(
    1.6,
    Math.max(0.5, (view.thickness ?? radius * PROFILE_THICKNESS) / (radius * PROFILE_THICKNESS)),
  );
  const profile = capProfile("shelf", view.age, radius, view.of("cap-margin").states).map(
    ([x, y]): Point2 => [x, y * thick + edge],
  );
  const top = Math.max(...profile.map(([, y]) => y));
  const cap: PlacedCap = { profile, edge, top };
  const half = radius * TRUNK;
  const tall = top + radius * 0.3;
  const bark: Point2[] = [
    [-half, tall],
    [-half * 1.08, tall * 0.6],
    [-half * 0.96, tall * 0.3],
    [-half * 1.1, 0],
  ];
  const shapes: Shape[] = [...capShapes(view, cap), ...edgeBand(view, cap)];
  const known: Shape["knowing"] = view.substrate.length === 0 ? "open" : "seen";
  shapes.push({
    part: "ground",
    steps: [
      ...smooth(bark),
      ...smooth([...mirrored(bark)].reverse()).map((step): Shape["steps"][number] =>
        step[0] === "M" ? ["L", step[1], step[2]] : step,
      ),
      ["Z"],
    ],
    fill: "wood",
    stroke: "none",
    pen: 0,
    knowing: "seen",
  });
  for (const turn of [-1, 1])
    shapes.push({
      part: "ground",
      steps: smooth(turn < 0 ? bark : mirrored(bark)),
      fill: "none",
      stroke: "line",
      pen: 1,
      knowing: known,
    });
  for (let index = 0; index < 9; index++) {
    const x = half * (scatter(index) * 1.6 - 0.8);
    const y = tall * (0.1 + scatter(index + 20) * 0.75);
    shapes.push({
      part: "ground",
      steps: smooth([
        [x, y],
        [x + half * 0.1, y + radius * 0.07],
        [x - half * 0.06, y + radius * 0.14],
      ]),
      fill: "none",
      stroke: "line",
      pen: 0.6,
      knowing: known,
    });
  }
  return {
    shapes,
    top: tall,
    bottom: -radius * 0.06,
    anchors: anchorsOf(view, {
      cap: [-radius * 0.6, edge + (top - edge) * 0.5],
      under: [radius * 0.7, edge - radius * 0.12],
      stem: [half * 0.5, edge - radius * 0.25],
      cut: [radius * 0.45, edge + (top - edge) * 0.35],
      foot: [half, edge - radius * 0.1],
    }),
  };
}

/** A pale band along the edge, or the line where one would be. */
function edgeBand(view: BodyView, { profile }: PlacedCap): Shape[] {
  const band = view.of("cap-edge-band");
  if (band.states[0] !== "pale") return [];
  const rim = mirrored(profile.slice(-3));
  return [
    { part: "cap", steps: smooth(rim), fill: "none", stroke: "paper", pen: 3.5, knowing: "seen" },
    { part: "cap", steps: smooth(rim), fill: "none", stroke: "line", pen: 0.8, knowing: band.knowing },
  ];
}
