/** Looking at a made-up body: what a look shows today, by what is true of it and what weather and wear make of that. */
import type { Entry } from "../find/entry.ts";
import type { Body, Find } from "../find/schema.ts";
import { CHARACTER_IDS, type CharacterId, REGIONS } from "../find/vocabulary.ts";
import { conditionsOf } from "../judge/body-conditions.ts";
import { bodyLooks } from "../judge/looks.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { type Chance, pick } from "./chance.ts";
import { apparentStates, type Specimen } from "./specimen.ts";

/** One thing seen on a body. */
export type SeenEntry = Entry & { readonly states: readonly string[] };

/**
 * What a look at some characters of a body shows, in the order of handling. A character that the kind has nothing of shows
 * nothing. @param chance of all of them together, or one for each character, so that the order of looks changes nothing
 * @param taken what the person takes the states for; left out, for what they are
 */
export function lookedAt(
  chance: Chance | ((character: CharacterId) => Chance),
  find: Find,
  body: Body,
  specimen: Specimen,
  characters: readonly CharacterId[],
  heated: boolean,
  taken: (character: CharacterId, states: readonly string[]) => readonly string[] = (_character, states) => states,
): SeenEntry[] {
  const conditions = conditionsOf(find, body, bodyLooks(find, body));
  return CHARACTER_IDS.filter((one) => characters.includes(one)).flatMap((character): SeenEntry[] => {
    const truth = specimen.truth.get(character);
    if (truth === undefined) return [];
    const own = typeof chance === "function" ? chance(character) : chance;
    const states = taken(character, heated ? truth : apparentStates(own, character, truth, conditions));
    return [{ character, states: [...states], ...(heated ? { method: "heat" as const } : {}) }];
  });
}

/** A region and a month in which the kind is told. */
export function timeAndPlaceOf(chance: Chance, sheet: Sheet): Partial<Pick<Find, "place" | "foundAt">> {
  const region = pick(
    chance,
    REGIONS.filter((one) => sheet.months[one] !== undefined),
  );
  const month = pick(chance, region === undefined ? [] : (sheet.months[region] ?? []));
  if (region === undefined || month === undefined) return {};
  return { place: { region }, foundAt: `2026-${String(month).padStart(2, "0")}-15T10:00:00+00:00` };
}
