/** What came of a whole find, in one line. */
import { VERDICT_WORDS } from "../standing/verdict-words.ts";
import type { WholeTold } from "../worker/practice-room.ts";

/** In one line what came of it, the gravest first. */
export function outcomeWords(told: WholeTold): string {
  const { said, verdict, kind } = told;
  if (told.isLetThrough) return `the ${kind.common} went into the basket`;
  if (told.isTooEarly) return `too early; by what was seen it is ${VERDICT_WORDS[verdict].toLowerCase()}`;
  if (told.isThrownAway) return `the ${kind.common} was left for nothing`;
  if (told.isRight) return `${VERDICT_WORDS[said.verdict].toLowerCase()}, the ${kind.common}`;
  return `it was held; by what was seen it is ${VERDICT_WORDS[verdict].toLowerCase()}`;
}
