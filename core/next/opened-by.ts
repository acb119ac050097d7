/** Which one look a test asks for first. */
import type { CharacterId } from "../find/vocabulary.ts";
import type { Candidate } from "../judge/candidates.ts";
import type { Measure } from "../knowledge/tables.ts";
import { helping, isHardOn, type Need } from "./needs.ts";
import type { Option } from "./options.ts";
import type { Opens } from "./planned.ts";

/** Soft points never rule out alone, and a nose or a colour is easily mistaken: they are worth less than a hard one. */
export const SOFT_SHARE = 0.25;

/** A missing must, against dangers of its own weight (our own scale; it only chooses what is named first). */
const MUST_WORTH = 6;

/**
 * The character that a test opens: of those it would show, the one that brings most against dangers still near or shows
 * a missing must. Never one that has its sure answer: an option holds none.
 */
export function openedBy(
  option: Option,
  index: number,
  helped: readonly Need[],
  asked: number,
  musts: ReadonlySet<string>,
  supposed: Candidate,
): Opens {
  const of = option.body === undefined ? {} : { body: option.body.body.id };
  const worth = new Map<CharacterId | Measure, number>();
  const add = (character: CharacterId | Measure, more: number) =>
    worth.set(character, (worth.get(character) ?? 0) + more);
  for (const need of helped)
    for (const result of helping(need, index, asked)) {
      const character = option.against[result.against]?.character;
      if (character !== undefined) add(character, need.weight * (isHardOn(result, need) ? 1 : SOFT_SHARE));
    }
  for (const { character } of option.looks)
    if (musts.has(character) || supposed.doubts.some((doubt) => doubt.character === character))
      add(character, MUST_WORTH);
  const [best] = [...worth].sort((one, other) => other[1] - one[1]);
  const fallback = option.looks[0]?.character ?? option.against[0]?.character ?? "capCm";
  return { ...of, character: best?.[0] ?? fallback };
}
