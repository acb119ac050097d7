/** What of the ground, its trees and plain handling tells nothing against a danger. */
import { AGES, type CharacterId } from "../find/vocabulary.ts";
import type { Sheet } from "../knowledge/sheet.ts";

/**
 * States that every danger may be found with. Orchards, verges, beds and paths are planted, mulched and walked on: anything comes
 * up there. Trees that have no cap-and-stem fungus of their own (maple, ash, elm, hawthorn, apple, cherry, yew, cypress,
 * horse-chestnut, robinia, palm, bamboo) say nothing of the roots between them, and eucalyptus and madrone are planted with the
 * fungi of others. Litter, moss and chips lie on any soil, and whatever comes through soil may lift some (common practice, no
 * source; the trees: mycorrhiza handbooks, from memory).
 */
export const TELLS_NOTHING = {
  host: [
    "maple",
    "ash",
    "elm",
    "yew",
    "cypress",
    "hawthorn",
    "madrone",
    "horse-chestnut",
    "robinia",
    "cherry",
    "apple",
    "palm",
    "bamboo",
    "eucalyptus",
  ],
  habitat: [
    "orchard",
    "lawn-or-park",
    "woodland-edge",
    "path-side",
    "forest-track-side",
    "roadside",
    "graveyard",
    "garden-bed",
    "disturbed-ground",
  ],
  substrate: ["leaf-litter", "needle-litter", "moss", "wood-chips", "buried-wood"],
  "cap-surface": ["soil-lifted"],
  "stain-rub": ["brown"],
} as const satisfies Partial<Record<CharacterId, readonly string[]>>;

/** True of what comes out of soil alone. */
const OF_SOIL: ReadonlySet<string> = new Set(["substrate", "cap-surface"]);

/** The states above that a danger's sheet would take for evidence against it, each with its character: empty where there are none. */
export function takenForEvidence({ characters }: Sheet): readonly (readonly [character: CharacterId, state: string])[] {
  const isOfSoil = characters.substrate?.mature?.soil !== undefined;
  return (Object.entries(TELLS_NOTHING) as [CharacterId, readonly string[]][]).flatMap(([character, states]) => {
    const byAge = characters[character];
    if (byAge === undefined || (OF_SOIL.has(character) && !isOfSoil)) return [];
    return states
      .filter((state) => AGES.some((age) => byAge[age] !== undefined && byAge[age][state] === undefined))
      .map((state) => [character, state] as const);
  });
}
