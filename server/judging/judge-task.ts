/** What a judging thread does: it holds the sheets, and answers finds. */
import { type Answer, type AnswerSummary, assess, type Find, summarise } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";

/** Finds to be judged, in whole answers or in what is kept of them. */
export type JudgeTask =
  | { readonly kind: "answers"; readonly finds: readonly Find[] }
  | { readonly kind: "summaries"; readonly finds: readonly Find[] };

const knowledge = readKnowledge();

/**
 * Judges.
 * @returns the answers as JSON text: what is told on demand has to be told here, and a text crosses threads at no cost
 */
export function work(task: JudgeTask): string {
  const judged: readonly (Answer | AnswerSummary)[] =
    task.kind === "answers"
      ? task.finds.map((find) => assess(find, knowledge))
      : task.finds.map((find) => summarise(find, knowledge));
  return JSON.stringify(judged);
}
