/** Which one look a test asks for first. */
import type { CharacterId } from "../find/vocabulary.ts";
import type { Candidate } from "../judge/candidates.ts";
import type { Measure } from "../knowledge/tables.ts";
import { type Needs, weighHelp } from "./needs.ts";
import type { Option } from "./options.ts";
import type { Opens } from "./planned.ts";

/** Soft points never rule out alone, and a nose or a colour is easily mistaken: they are worth less than a hard one. */
export const SOFT_SHARE = 0.25;

/** A missing must, against dangers of its own weight (our own scale; it only chooses what is named first). */
const MUST_WORTH = 6;

/**
 * The character that a test opens: of those it would show, the one that brings most against dangers still near or shows
 * a missing must. Never one that has its sure answer: an option holds none.
 * @param helped the places of the needs that the option still helps
 */
export function openedBy(
  option: Option,
  index: number,
  needs: Needs,
  helped: Uint32Array,
  musts: ReadonlySet<string>,
  supposed: Candidate,
): Opens {
  const of = option.body === undefined ? {} : { body: option.body.body.id };
  const worth = new Map<CharacterId | Measure, number>();
  const add = (character: CharacterId | Measure, more: number) =>
    worth.set(character, (worth.get(character) ?? 0) + more);
  weighHelp(needs, index, helped, SOFT_SHARE, (against, more) => {
    const character = option.against[against]?.character;
    if (character !== undefined) add(character, more);
  });
  for (const { character } of option.looks)
    if (musts.has(character) || supposed.doubts.some((doubt) => doubt.character === character))
      add(character, MUST_WORTH);
  const [best] = [...worth].sort((one, other) => other[1] - one[1]);
  const fallback = option.looks[0]?.character ?? option.against[0]?.character ?? "capCm";
  return { ...of, character: best?.[0] ?? fallback };
}
