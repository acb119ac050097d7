/** Bodies that are no cap on a stem: which they are, and what their drawings share. */
import type { Figure, Ink, Part, Point2, Shape } from "./shapes.ts";
import type { BodyView, Stroke } from "./view.ts";

/** How a body is built, as far as the record tells: what nobody has told is drawn as a cap on a stem. */
export type Form = "cap-and-stem" | "bracket" | "ball" | "pitted-head" | "lobed-head";

/** The form of a body. An egg is a ball only where its underside is told to be enclosed: it may be a veiled cap. */
export function formOf(view: BodyView): Form {
  if (view.of("cap-shape").states.includes("shelf")) return "bracket";
  switch (view.first("underside")) {
    case "enclosed":
      return "ball";
    case "honeycomb":
      return "pitted-head";
    case "lobed":
      return "lobed-head";
    default:
      return "cap-and-stem";
  }
}

/** A form drawn: its shapes, the height of its top, how deep it goes, and where leader lines end. */
export interface DrawnForm {
  readonly shapes: readonly Shape[];
  readonly top: number;
  readonly bottom: number;
  readonly anchors: Figure["anchors"];
}

/** The ink of the first state seen. */
export const inkOf = (stroke: Stroke, otherwise: Ink): Ink =>
  stroke.states[0] === undefined ? otherwise : `pigment:${stroke.states[0]}`;

/** Where leader lines end; those of nose, ground and print follow from the others. */
export function anchorsOf(
  view: BodyView,
  places: Readonly<Record<Exclude<Part, "nose" | "ground" | "print">, Point2>>,
): Figure["anchors"] {
  const [x, y] = places.cut;
  return { ...places, nose: [x * 0.9, y * 0.82], ground: [-view.radius * 1.1, 0], print: places.under };
}
