/** What of an answer is kept with a decision and sent in lists: the verdict, what it rests on, how far each danger was. */
import { z } from "zod";
import { bodyIdSchema, type Find } from "../find/schema.ts";
import { judge } from "../judge/judge.ts";
import { rule, VERDICTS } from "../judge/verdict.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import { CONDITION_CODES } from "../words/reason-words.ts";
import type { Answer, DangerAnswer } from "./answer.ts";

const verdict = z.enum(VERDICTS);

export const answerSummarySchema = z.strictObject({
  verdict,
  bodies: z.array(z.strictObject({ body: bodyIdSchema, kept: z.boolean(), verdict })).max(200),
  restsOn: z.array(z.string().max(64)).max(200),
  conditions: z.array(z.enum(CONDITION_CODES)).optional(),
  /** How many separate mistakes away each danger was, by its sheet. */
  mistakes: z.record(z.string().max(64), z.int().nonnegative()),
});
export type AnswerSummary = z.infer<typeof answerSummarySchema>;

/** As much of an answer as its summary is made of. */
export interface Summed extends Pick<Answer, "verdict" | "bodies" | "restsOn" | "conditions"> {
  readonly dangers: readonly Pick<DangerAnswer, "sheet" | "mistakes">[];
}

/** The summary of an answer. */
export const summaryOf = (answer: Summed): AnswerSummary =>
  summaryFrom(
    answer,
    answer.dangers.map(({ sheet, mistakes }) => [sheet, mistakes]),
  );

/** Judges a find for its summary alone: without a plan, and without telling what stands behind each danger. */
export function summarise(find: Find, knowledge: Knowledge): AnswerSummary {
  const judgement = judge(find, knowledge);
  return summaryFrom(
    rule(judgement),
    judgement.dangers.map(({ sheet, mistakes }) => [sheet.id, mistakes]),
  );
}

function summaryFrom(
  { verdict: given, bodies, restsOn, conditions = [] }: Pick<Answer, "verdict" | "bodies" | "restsOn" | "conditions">,
  mistakes: readonly (readonly [sheet: string, mistakes: number])[],
): AnswerSummary {
  return {
    verdict: given,
    bodies: bodies.map(({ body, kept, verdict: of }) => ({ body, kept, verdict: of })),
    restsOn: [...restsOn],
    ...(conditions.length === 0 ? {} : { conditions: [...conditions] }),
    mistakes: Object.fromEntries(mistakes),
  };
}
