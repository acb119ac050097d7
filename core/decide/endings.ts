/** How a body may end: what the answer permits, and how an ending that it does not permit is read. */
import type { Find } from "../find/schema.ts";
import { ENDINGS, type Ending } from "../find/vocabulary.ts";
import type { Verdict } from "../judge/verdict.ts";

/** Endings that put a body among what is eaten, now or later. */
const AMONG_FOOD: ReadonlySet<Ending> = new Set<Ending>([
  "basket",
  "basket-cap-only",
  "basket-after-trimming",
  "home-as-one-of-a-group",
  "must-be-cooked",
  "infusion-only",
  "first-tasting",
]);

/** What of an answer endings rest on. */
export interface EndingAnswer {
  readonly verdict: Verdict;
  readonly bodies: readonly { readonly body: string; readonly kept: boolean; readonly verdict: Verdict }[];
}

/** Whether an ending puts a body among what is eaten. */
export const isAmongFood = (ending: Ending): boolean => AMONG_FOOD.has(ending);

/** The words of an ending, as a person would say it of a body. */
export const ENDING_WORDS: Readonly<Record<Ending, string>> = {
  basket: "in the basket",
  "basket-cap-only": "in the basket, its cap only",
  "basket-after-trimming": "in the basket, after trimming",
  "home-to-finish": "home to finish the naming, apart from food",
  "home-as-one-of-a-group": "home as one of a group, all of them good",
  "must-be-cooked": "in the must-be-cooked part",
  "left-to-grow": "left to grow on",
  "left-past-it": "left: past it, sodden or riddled",
  "left-unclean-ground": "left: the ground is not clean",
  "left-test-failed": "left: a test failed",
  "left-unknown": "left: unknown",
  "left-genus-passed-over": "left: a genus passed over on principle",
  "looked-at-only": "looked at only, to learn it in the hand",
  "weeded-out": "weeded out of one's own bed",
  "infusion-only": "for infusion only",
  "first-tasting": "a first tasting begun",
  "puzzle-kept-open": "a puzzle kept open",
  "named-for-interest": "named for interest, not for food",
};

/**
 * Whether an answer permits an ending for a body. The person may always be stricter; among food goes only what is kept
 * and cleared itself, of a find whose every kept body is cleared: deadly ones stand in one cluster with good ones.
 */
export function permitsEnding(answer: EndingAnswer, body: string, ending: Ending): boolean {
  if (!isAmongFood(ending)) return true;
  const own = answer.bodies.find((one) => one.body === body);
  return answer.verdict === "basket" && own?.kept === true && own.verdict === "basket";
}

/** Every ending with whether it is permitted, in the order of the list. */
export function endingsFor(
  answer: EndingAnswer,
  body: string,
): readonly { readonly ending: Ending; readonly permitted: boolean }[] {
  return ENDINGS.map((ending) => ({ ending, permitted: permitsEnding(answer, body, ending) }));
}

/**
 * The ending that counts: the person's, or, where a record claims more than the answer permits (an older answer, a file
 * from elsewhere, a hand in the database), home to finish, apart from food.
 */
export function endingInForce(answer: EndingAnswer, body: string, ending: Ending | undefined): Ending | undefined {
  return ending === undefined || permitsEnding(answer, body, ending) ? ending : "home-to-finish";
}

/** Whether a person's ending needs a reason: it is stricter than the answer. */
export function isStricter(answer: EndingAnswer, body: string, ending: Ending): boolean {
  return permitsEnding(answer, body, "basket") && !isAmongFood(ending);
}

/**
 * A record as it goes out: what it claims of its bodies is read by the answer that it has now.
 * @param answer undefined where there is none: then nothing is among food
 */
export function withEndingsInForce(find: Find, answer: EndingAnswer | undefined): Find {
  return {
    ...find,
    bodies: find.bodies.map((body) => {
      const ending = endingInForce(answer ?? NO_ANSWER, body.id, body.ending);
      return ending === body.ending ? body : { ...body, ending };
    }),
  };
}

const NO_ANSWER: EndingAnswer = { verdict: "hold", bodies: [] };
