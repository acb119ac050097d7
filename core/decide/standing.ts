/** How a decision stands now: what was cleared when it was decided and is cleared still, of the frozen record and of today's. */
import type { Verdict } from "../judge/verdict.ts";
import { type EndingAnswer, permitsEnding } from "./endings.ts";

/** What of an answer a standing is made of. */
export interface StandingAnswer extends EndingAnswer {
  readonly restsOn: readonly string[];
  readonly conditions?: readonly string[] | undefined;
}

/** What several answers say together: each thing by the strictest of them. */
export interface Standing {
  readonly verdict: Verdict;
  /** The bodies that every one of the answers clears for food. */
  readonly cleared: readonly string[];
  /** The kinds that any of them rests on. */
  readonly restsOn: readonly string[];
  /** What any of them asks before anything is cooked. */
  readonly conditions: readonly string[];
}

const PERMITS: Readonly<Record<Verdict, number>> = { leave: 0, hold: 1, basket: 2 };
/** How a decision stands of which nothing is known. */
export const NOTHING_CLEARED: Standing = { verdict: "hold", cleared: [], restsOn: [], conditions: [] };

/**
 * Puts the answers together that a decision has had: to the frozen record then and by today's sheets, and to the record
 * as it is now. A body that one of them does not know, does not keep or does not clear is not cleared.
 * @param answers none where nothing is known: then nothing is cleared
 */
export function standingOf(answers: readonly StandingAnswer[]): Standing {
  const [first, ...others] = answers;
  if (first === undefined) return NOTHING_CLEARED;
  const cleared = first.bodies
    .map(({ body }) => body)
    .filter((body) => answers.every((answer) => permitsEnding(answer, body, "basket")));
  const strictest = others.reduce(
    (low, { verdict }) => (PERMITS[verdict] < PERMITS[low] ? verdict : low),
    first.verdict,
  );
  return {
    verdict: strictest,
    cleared,
    restsOn: [...new Set(answers.flatMap((answer) => answer.restsOn))],
    conditions: [...new Set(answers.flatMap((answer) => answer.conditions ?? []))],
  };
}

/** Of two ways in which a decision is said to stand the stricter: cleared is what both clear. */
export function stricterStanding(one: Standing, other: Standing): Standing {
  return {
    verdict: PERMITS[one.verdict] <= PERMITS[other.verdict] ? one.verdict : other.verdict,
    cleared: one.cleared.filter((body) => other.cleared.includes(body)),
    restsOn: [...new Set([...one.restsOn, ...other.restsOn])],
    conditions: [...new Set([...one.conditions, ...other.conditions])],
  };
}
