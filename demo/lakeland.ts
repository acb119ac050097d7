/**
 * The invented lakeland: its waters, woods, bog, pastures, roads and paths as GeoJSON, and the places where an invented circle
 * goes. It lies out on a northern sea, so that no patch of anybody is pointed at.
 */
import type { OwnPlace } from "@jittery-cap/core/season";

/** The middle of it, degrees. */
export const MIDDLE = { lat: 61.9, lon: 19.6 } as const;
const LAT_KM = 1 / 111.32;
const LON_KM = LAT_KM / Math.cos((MIDDLE.lat * Math.PI) / 180);

type Corner = [lon: number, lat: number];

/** A spot so many kilometres east and north of the middle. */
export const spot = (east: number, north: number): Corner => [
  Number((MIDDLE.lon + east * LON_KM).toFixed(5)),
  Number((MIDDLE.lat + north * LAT_KM).toFixed(5)),
];

/** A shore, an edge of a wood: an ellipse that waves, the same for the same seed. Kilometres. */
function outline(east: number, north: number, wide: number, high: number, seed: number, corners = 40): Corner[] {
  return Array.from({ length: corners }, (_unused, index) => {
    const turn = (2 * Math.PI * index) / corners;
    const wave =
      1 +
      0.16 * Math.sin(2 * turn + seed) +
      0.11 * Math.sin(3 * turn + seed * 1.7) +
      0.06 * Math.sin(5 * turn + seed * 2.3) +
      0.03 * Math.sin(9 * turn + seed * 3.1);
    return spot(east + wide * wave * Math.cos(turn), north + high * wave * Math.sin(turn));
  });
}

interface Feature {
  readonly type: "Feature";
  readonly properties: { readonly kind: string; readonly name?: string };
  readonly geometry:
    | { readonly type: "Polygon"; readonly coordinates: readonly (readonly Corner[])[] }
    | { readonly type: "LineString"; readonly coordinates: readonly Corner[] }
    | { readonly type: "Point"; readonly coordinates: Corner };
}

function area(kind: string, corners: readonly Corner[], name?: string): Feature {
  const [first] = corners;
  return {
    type: "Feature",
    properties: { kind, ...(name === undefined ? {} : { name }) },
    geometry: { type: "Polygon", coordinates: [[...corners, ...(first === undefined ? [] : [first])]] },
  };
}
const line = (kind: string, ...corners: readonly (readonly [number, number])[]): Feature => ({
  type: "Feature",
  properties: { kind },
  geometry: { type: "LineString", coordinates: corners.map(([east, north]) => spot(east, north)) },
});
const name = (of: string, east: number, north: number): Feature => ({
  type: "Feature",
  properties: { kind: "name", name: of },
  geometry: { type: "Point", coordinates: spot(east, north) },
});

/** The map that ships, from the ground up. */
export const lakeland = (): { readonly type: "FeatureCollection"; readonly features: readonly Feature[] } => ({
  type: "FeatureCollection",
  features: [
    area("conifer", outline(-1.9, 2.3, 2.1, 1.7, 0.4)),
    area("mixed", outline(2.4, 1.5, 1.5, 1.1, 2.1), "Skirrow Wood"),
    area("conifer", outline(4.3, 3.4, 1.5, 1.2, 4.4), "Fell spruces"),
    area("broadleaf", outline(2.9, 1.15, 0.42, 0.3, 1.2)),
    area("mixed", outline(1.15, 0.15, 0.42, 0.75, 5.2)),
    area("bog", outline(-1.55, 2.15, 0.95, 0.45, 3.3), "Ammerbog"),
    area("pasture", outline(0.4, -1.5, 1.25, 0.75, 0.9), "Quarrel Pasture"),
    area("pasture", outline(-2.7, -1.3, 1.0, 0.8, 2.8)),
    area("orchard", outline(-1.35, -2.45, 0.28, 0.2, 1.1), "Old orchard"),
    area("village", outline(-0.65, -2.7, 0.55, 0.32, 3.9), "Lower Hask"),
    area("lake", outline(-0.15, 0.25, 0.95, 0.75, 1.9), "Ondal Water"),
    area("lake", outline(3.3, -1.2, 0.45, 0.3, 0.2), "Little Ondal"),
    line("brook", [2.4, 3.4], [1.7, 2.5], [1.2, 1.6], [0.7, 0.9]),
    line("brook", [-0.4, -0.5], [-0.6, -1.2], [-1.0, -1.8], [-1.1, -2.8], [-1.6, -3.6]),
    line("road", [-4.4, -3.1], [-2.4, -2.9], [-0.7, -2.75], [1.2, -2.6], [3.1, -2.2], [5.6, -2.4]),
    line("road", [-0.6, -2.6], [-0.95, -1.0], [-1.35, 0.4], [-2.2, 1.2], [-4.2, 1.4]),
    line("path", [-1.35, 0.4], [-0.9, 1.3], [-0.1, 1.25], [0.6, 1.0], [1.3, 0.6], [1.9, 0.9], [2.7, 1.3]),
    line("path", [-2.2, 1.2], [-2.0, 2.0], [-1.6, 2.75], [-0.6, 2.9]),
    line("path", [1.2, -2.6], [0.7, -1.8], [0.9, -0.7], [1.2, -0.1], [1.3, 0.6]),
    line("path", [2.7, 1.3], [3.3, 2.2], [4.1, 3.0], [4.6, 3.9]),
    name("Ammerbog", -1.55, 2.15),
    name("Ondal Water", -0.4, 0.2),
    name("Skirrow Wood", 2.6, 2.85),
    name("Quarrel Pasture", 0.45, -2.3),
    name("Lower Hask", -0.25, -3.35),
    name("Fell spruces", 1.9, 4.3),
  ],
});

const WHERE = "0193a010-0000-7000-8000-00000000000";

const place = (id: number, rest: Omit<OwnPlace, "patches" | "share" | "region"> & Partial<OwnPlace>) => ({
  id: `${WHERE}${id.toString(16)}`,
  content: { region: "europe", share: "none", patches: [], ...rest } satisfies OwnPlace,
});

/** Where the invented circle goes. Two of them overlap: the smaller one says more. */
export const PLACES: readonly { readonly id: string; readonly content: OwnPlace }[] = [
  place(1, {
    name: "Skirrow Wood",
    outline: outline(2.4, 1.5, 1.3, 0.95, 2.1, 24),
    elevationM: 132,
    habitat: ["mixed-woodland"],
    host: ["birch", "spruce", "beech"],
    owner: "The parish of Hask. Ask at the mill before the elk hunt.",
  }),
  place(2, {
    name: "Skirrow Wood, hazel bank",
    outline: outline(2.9, 1.15, 0.36, 0.26, 1.2, 18),
    elevationM: 134,
    habitat: ["broadleaf-woodland"],
    host: ["hazel", "oak"],
  }),
  place(3, {
    name: "Ammerbog, north side",
    outline: outline(-1.5, 2.85, 0.95, 0.3, 0.7, 20),
    elevationM: 147,
    habitat: ["conifer-woodland", "bog"],
    host: ["spruce", "birch"],
    substrate: ["moss", "needle-litter"],
    share: "10km",
  }),
  place(4, {
    name: "Ammerbog, south side",
    outline: outline(-1.7, 1.5, 0.8, 0.28, 2.9, 20),
    elevationM: 146,
    habitat: ["conifer-woodland", "bog"],
    host: ["spruce", "pine"],
  }),
  place(5, {
    name: "Quarrel Pasture, upper gate",
    outline: outline(0.4, -1.45, 0.75, 0.45, 0.9, 18),
    elevationM: 118,
    habitat: ["grassland"],
    owner: "Marten Oyle; greets, and wants the gate shut.",
    rule: "Not while the cows are in: they come down in the second week of October.",
    limits: [{ kind: "all", grams: 2000 }],
  }),
  place(6, {
    name: "Ondal Water, east shore",
    outline: outline(1.15, 0.2, 0.32, 0.6, 5.2, 18),
    elevationM: 140,
    habitat: ["mixed-woodland"],
    host: ["birch", "aspen"],
  }),
  place(7, {
    name: "Ondal Water, boathouse",
    position: { lat: spot(0.45, 1.02)[1], lon: spot(0.45, 1.02)[0] },
    elevationM: 139,
    habitat: ["woodland-edge"],
    host: ["willow", "alder", "elm"],
    substrate: ["standing-dead-wood", "stump"],
  }),
  place(8, {
    name: "Lower Hask",
    outline: outline(-0.65, -2.7, 0.4, 0.25, 3.9, 16),
    elevationM: 98,
    habitat: ["lawn-or-park"],
    host: ["lime"],
    concerns: ["sprayed-lawn"],
    history: "The bowling green is treated against moss each spring.",
  }),
  place(9, {
    name: "Old orchard at Hask",
    outline: outline(-1.35, -2.45, 0.22, 0.16, 1.1, 14),
    elevationM: 101,
    habitat: ["orchard", "grassland"],
    host: ["apple"],
    history: "Apples since 1890. Sprayed with lead arsenate until about 1955: nothing from this ground is eaten.",
    concerns: ["industrial"],
  }),
  place(10, {
    name: "Fell spruces",
    outline: outline(4.3, 3.4, 1.0, 0.8, 4.4, 20),
    elevationM: 410,
    habitat: ["conifer-woodland"],
    host: ["spruce", "pine"],
    closedMonths: [5, 6],
    rule: "Closed while the grouse sit.",
  }),
];

/** A place's document by its name. @throws where there is none */
export function placeNamed(of: string): (typeof PLACES)[number] {
  const found = PLACES.find(({ content }) => content.name === of);
  if (found === undefined) throw new Error(`there is no place ${of}`);
  return found;
}
