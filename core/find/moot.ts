/** What cannot be looked at on a body for what its underside is: nobody is asked how gills stand where there are pores. */
import type { CharacterId } from "./vocabulary.ts";

const BETWEEN_GILLS: readonly CharacterId[] = [
  "gill-spacing",
  "short-gills",
  "gill-texture",
  "gill-colour",
  "stain-gills",
];
const OF_GILLS: readonly CharacterId[] = [...BETWEEN_GILLS, "gill-attachment", "gill-fold"];
const OF_PORES: readonly CharacterId[] = ["pore-colour", "pore-drops", "stain-pores"];
/** Of a hollow head on a stem, halved. */
const OF_HEADS: readonly CharacterId[] = ["cap-joint"];

/**
 * By underside. A closed ball hides what it has, so nothing is moot there; what is nearly smooth may run down the stem, and be
 * ridges to a finger.
 */
const MOOT: Readonly<Record<string, ReadonlySet<CharacterId>>> = {
  gills: new Set([...OF_PORES, ...OF_HEADS]),
  ridges: new Set([...OF_PORES, ...OF_HEADS]),
  pores: new Set([...OF_GILLS, ...OF_HEADS]),
  spines: new Set([...OF_GILLS, ...OF_PORES, ...OF_HEADS]),
  honeycomb: new Set([...OF_GILLS, ...OF_PORES]),
  lobed: new Set([...OF_GILLS, ...OF_PORES]),
  smooth: new Set([...BETWEEN_GILLS, ...OF_PORES]),
};

const NONE: ReadonlySet<CharacterId> = new Set();

/**
 * Whether a character cannot be looked at on a body.
 * @param underside what was surely seen below it, one state or several; none where it was not looked at
 */
export function isMoot(character: CharacterId, underside: readonly string[] = []): boolean {
  return underside.length > 0 && underside.every((state) => (MOOT[state] ?? NONE).has(character));
}
