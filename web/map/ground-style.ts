/** How the ground of a map is drawn: pigments, quiet, so that what was found stands out. */
import type { PathOptions } from "leaflet";
import { tone } from "../theme/tokens.ts";

const area = (fillColor: string, fillOpacity = 1): PathOptions => ({
  stroke: false,
  fill: true,
  fillColor,
  fillOpacity,
});
const line = (color: string, weight: number, dashArray?: string): PathOptions => ({
  color,
  weight,
  fill: false,
  ...(dashArray === undefined ? {} : { dashArray }),
});

export const GROUND: Readonly<Record<string, PathOptions>> = {
  conifer: area("#c3c5a6"),
  mixed: area("#cccaa6"),
  broadleaf: area("#d3cba2"),
  bog: area("#d8d0b8"),
  pasture: area("#e7e0bd"),
  orchard: area("#dccfa8"),
  village: area(tone.boneLine),
  lake: { color: "#8fa0a3", weight: 1.5, fill: true, fillColor: "#c4cfcd", fillOpacity: 1 },
  brook: line("#8fa0a3", 2),
  road: line(tone.inkSoft, 3),
  path: line(tone.clay, 1.5, "5 5"),
};

/** What is laid on it. */
export const MARKS = {
  found: { color: tone.bone, weight: 1, fillColor: tone.rust, fillOpacity: 0.85 },
  nothing: { color: tone.ink, weight: 1.5, fill: false, dashArray: "2 3" },
  place: { color: tone.ink, weight: 2, fillColor: tone.paper, fillOpacity: 0.25 },
  dirty: { color: tone.rust, weight: 2, dashArray: "6 4", fillColor: tone.paper, fillOpacity: 0.25 },
  drawn: { color: tone.rust, weight: 3, fill: false },
  way: { color: tone.plum, weight: 3, dashArray: "1 6", fill: false },
} as const satisfies Readonly<Record<string, PathOptions>>;
