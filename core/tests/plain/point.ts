/** The point that a contradicting look makes, put into words anew each time: the oracle for the tables. */
import { theKind } from "../../find/the-kind.ts";
import { AGES, type Age, definitionOf, isHardLook } from "../../find/vocabulary.ts";
import { CHARACTER_WORDS, stateWords, wordList } from "../../find/words.ts";
import type { Point } from "../../judge/contradictions.ts";
import type { Look } from "../../judge/looks.ts";
import type { Sheet } from "../../knowledge/sheet.ts";
import { plainClaims } from "./agreement.ts";

const TOLD = 4;

/** Whether the kind never shows any of what was seen, or one of what was seen at once and is a claim each. */
function isNever({ never }: Sheet, look: Look): boolean {
  const told = never.filter((one) => one.character === look.character).flatMap((one) => one.states);
  return look.states.every((state) => told.includes(state)) || plainClaims(look).some((state) => told.includes(state));
}

/** A point, and whether the danger never shows such a thing. */
export interface PlainPoint extends Point {
  readonly never: boolean;
}

/** Same meaning as `pointsOf`. */
export function plainPoint(sheet: Sheet, look: Look, age: Age | undefined): PlainPoint {
  const { character, body } = look;
  const { family } = definitionOf(character);
  const byAge = sheet.characters[character] ?? {};
  const tables = (age === undefined ? AGES : [age]).map((one) => byAge[one]);
  // of a body of unknown age a sheet tells what it lists at every age, or nothing
  const listed = tables.includes(undefined) ? [] : [...new Set(tables.flatMap((table) => Object.keys(table ?? {})))];
  const told = wordList(listed.slice(0, TOLD).map((state) => stateWords(character, state)));
  const seen = wordList(
    look.states.map((state) => stateWords(character, state)),
    "and",
  );
  const where = body === "site" ? "" : ` on ${body}`;
  const has = listed.length === 0 ? "never shows that" : `has ${told}`;
  const more = listed.length > TOLD ? " and others" : "";
  return {
    never: isNever(sheet, look),
    family,
    character,
    body,
    hard: isHardLook(character, age, look.states) || isNever(sheet, look),
    text: `${CHARACTER_WORDS[character].plain}: ${seen}${where}; ${theKind(sheet.names.common)} ${has}${more}`,
  };
}
