/** The three answers as the screens say them. */
import type { Answer, Verdict } from "@jittery-cap/core";

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = { leave: "Leave it", hold: "Hold", basket: "Basket" };

/** fresh: the answer to the record on the screen; working: it is that of the record before; failed: none to be had. */
export type AnswerState = "fresh" | "working" | "failed";

/** The verdict that may be shown: an answer that is not that of the record on the screen is never shown as basket. */
export function shownVerdict(answer: Pick<Answer, "verdict"> | undefined, state: AnswerState): Verdict {
  if (answer === undefined || state === "failed") return "hold";
  return state === "fresh" || answer.verdict !== "basket" ? answer.verdict : "hold";
}
