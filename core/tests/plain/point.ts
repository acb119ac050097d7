/** The point that a contradicting look makes, put into words anew each time: the oracle for the tables. */
import { AGES, type Age, definitionOf, HARD_FAMILIES } from "../../find/vocabulary.ts";
import { CHARACTER_WORDS, stateWords, wordList } from "../../find/words.ts";
import type { Point } from "../../judge/contradictions.ts";
import type { Look } from "../../judge/looks.ts";
import type { Sheet } from "../../knowledge/sheet.ts";

const TOLD = 4;

/** Same meaning as `pointOf`. */
export function plainPoint(sheet: Sheet, look: Look, age: Age | undefined): Point {
  const { character, body } = look;
  const { family } = definitionOf(character);
  const byAge = sheet.characters[character] ?? {};
  const tables = (age === undefined ? AGES : [age]).map((one) => byAge[one] ?? {});
  const listed = [...new Set(tables.flatMap((table) => Object.keys(table)))];
  const told = wordList(listed.slice(0, TOLD).map((state) => stateWords(character, state)));
  const seen = wordList(
    look.states.map((state) => stateWords(character, state)),
    "and",
  );
  const where = body === "site" ? "" : ` on ${body}`;
  const more = listed.length > TOLD ? " and others" : "";
  return {
    family,
    character,
    body,
    hard: HARD_FAMILIES.has(family),
    text: `${CHARACTER_WORDS[character].plain}: ${seen}${where}; the ${sheet.names.common} has ${told}${more}`,
  };
}
