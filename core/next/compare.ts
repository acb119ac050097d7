/** What tells two kinds apart: the characters that separate their sheets, best first, and what would hide each. */
import { type Age, CHARACTER_IDS, type CharacterId, canBeHard, definitionOf, type Family } from "../find/vocabulary.ts";
import { MASKS } from "../judge/mask-table.ts";
import { SHARE } from "../judge/ranking.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { type StateTable, tablesOf } from "../knowledge/state-tables.ts";

/** One character that separates two kinds. */
export interface Difference {
  readonly character: CharacterId;
  readonly family: Family;
  readonly hard: boolean;
  /** The age at which it separates best; left out where age changes nothing. */
  readonly age?: Age;
  /** How often one look is enough, from 0 to 1: both kinds show a state that the other never does. */
  readonly power: number;
  readonly one: readonly string[];
  readonly other: readonly string[];
  /** Reasons that may hide the difference. */
  readonly hiddenBy: readonly string[];
}

/** The differences of two sheets: hard ones first, then by power, then in the order of handling. */
export function compareSheets(one: Sheet, other: Sheet): readonly Difference[] {
  return CHARACTER_IDS.flatMap((character): Difference[] => {
    const best = bestAge(one, other, character);
    if (best.power === 0) return [];
    const { family, byAge } = definitionOf(character);
    return [
      {
        character,
        family,
        hard: canBeHard(character),
        ...(byAge ? { age: best.age } : {}),
        power: best.power,
        one: statesAt(one, character, best.age),
        other: statesAt(other, character, best.age),
        hiddenBy: MASKS.filter((mask) => mask.characters.includes(character)).map((mask) => mask.why),
      },
    ];
  }).sort((a, b) => Number(b.hard) - Number(a.hard) || b.power - a.power);
}

/** Ages in the order in which bodies are met: of two that separate as well, the commoner is told. */
const AGES_AS_MET: readonly Age[] = ["mature", "young", "old", "button", "egg"];

function bestAge(one: Sheet, other: Sheet, character: CharacterId): { age: Age; power: number } {
  return AGES_AS_MET.map((age) => ({ age, power: separation(one, other, character, [age]) })).reduce((best, next) =>
    next.power > best.power ? next : best,
  );
}

/**
 * How likely one look at a character is to end the matter between two kinds, from 0 to 1: the share of the first's
 * states that the second never has, times the share of the second's that the first never has.
 */
export function separation(one: Sheet, other: Sheet, character: CharacterId, ages: readonly Age[] | undefined): number {
  const mine = tablesOf(one.characters[character], ages);
  const theirs = tablesOf(other.characters[character], ages);
  return shareOutside(mine, theirs) * shareOutside(theirs, mine);
}

function shareOutside(inside: readonly StateTable[], outside: readonly StateTable[]): number {
  if (outside.length === 0) return 0;
  const states = inside.flatMap((table) => Object.entries(table));
  const total = states.reduce((sum, [, frequency]) => sum + SHARE[frequency], 0);
  const strange = states.filter(([state]) => outside.every((table) => table[state] === undefined));
  return total === 0 ? 0 : strange.reduce((sum, [, frequency]) => sum + SHARE[frequency], 0) / total;
}

function statesAt(sheet: Sheet, character: CharacterId, age: Age): string[] {
  return Object.keys(sheet.characters[character]?.[age] ?? {});
}
