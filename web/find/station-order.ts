/** What a station asks first: what still matters for the answer; the rest folds behind "also". */
import type { CharacterId } from "@jittery-cap/core";
import type { Question, Station } from "../specimen/stations.ts";

/** The questions of a station as they are shown. */
export interface StationOrder {
  readonly first: readonly Question[];
  readonly also: readonly Question[];
}

/** So many characters are shown at the least, in the order of handling, whether they matter now or not. */
const AT_LEAST = 3;
/** So many are shown while nobody knows yet what matters. */
const AT_FIRST = 5;

/**
 * Orders a station's questions. What is told (age, lift, weather) always stands first where it stands; of the characters
 * those that matter or were looked at, never fewer than three, all in the order of handling.
 * @param matters characters that still matter; undefined while there is no answer to go by
 * @param isMoot what cannot be looked at on this body is folded, unless it was
 * @param only where the find is checked against one danger: the characters that separate the two, and nothing else
 */
export function orderOf(
  station: Station,
  matters: ReadonlySet<string> | undefined,
  wasLookedAt: (character: CharacterId) => boolean,
  isMoot: (character: CharacterId) => boolean,
  only?: ReadonlySet<string>,
): StationOrder {
  if (only !== undefined)
    return {
      first: station.questions.filter((question) => question.kind !== "character" || only.has(question.character)),
      also: [],
    };
  const characters = station.questions.flatMap((question) =>
    question.kind === "character" ? [question.character] : [],
  );
  const counts = (character: CharacterId) =>
    wasLookedAt(character) || (matters?.has(character) === true && !isMoot(character));
  const chosen = new Set(characters.filter(counts));
  const least = matters === undefined || characters.every((one) => !matters.has(one)) ? AT_FIRST : AT_LEAST;
  for (const character of characters) if (chosen.size < least && !isMoot(character)) chosen.add(character);
  const isFirst = (question: Question) => question.kind !== "character" || chosen.has(question.character);
  return { first: station.questions.filter(isFirst), also: station.questions.filter((one) => !isFirst(one)) };
}
