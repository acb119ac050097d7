/** A decision, frozen: the record, the rules, the sheets' edition and the answer as they were, and how each body ended. */
import { z } from "zod";
import { type AnswerSummary, answerSummarySchema } from "../answer/summary.ts";
import { momentSchema } from "../find/moment.ts";
import type { Fault, Parsed } from "../find/parse.ts";
import { type Find, findSchema } from "../find/schema.ts";
import { rulesOf } from "../judge/condition.ts";
import { type BodyEnding, bodyEndingSchema } from "./body-ending.ts";
import { ENDING_WORDS, type EndingAnswer, isStricter, permitsEnding } from "./endings.ts";
import { trimmingFault } from "./trimming.ts";

export const decisionSchema = z.strictObject({
  /** The record that was decided. */
  find: findSchema,
  /** All house rules that were in force, defaults among them. */
  rules: z.record(z.string().max(40), z.union([z.string().max(40), z.number()])),
  edition: z.string().min(1).max(64),
  /** The answer as it was then. A server puts its own in the place of what it is sent. */
  answer: answerSummarySchema,
  endings: z.array(bodyEndingSchema).min(1).max(200),
  decidedAt: momentSchema,
});
export type Decision = z.infer<typeof decisionSchema>;

/**
 * What is wrong with how a find's bodies are said to end, by an answer to it: a body that is missing or told twice, an ending
 * that the answer does not permit, a stricter ending without its reason, a trimming that does not fit.
 */
export function endingFaults(find: Find, endings: readonly BodyEnding[], answer: EndingAnswer): readonly Fault[] {
  const faults: Fault[] = [];
  endings.forEach((told, index) => {
    const { body, ending, reason } = told;
    const at = (field: string) => `endings[${index}].${field}`;
    const record = find.bodies.find((one) => one.id === body);
    const trimming = record === undefined ? undefined : trimmingFault(record, told);
    if (record === undefined) faults.push({ path: at("body"), message: `the find has no body ${body}` });
    else if (endings.findIndex((one) => one.body === body) < index)
      faults.push({ path: at("body"), message: `${body} is decided twice` });
    else if (!permitsEnding(answer, body, ending))
      faults.push({
        path: at("ending"),
        message: `the answer does not clear ${body}: it cannot be ${ENDING_WORDS[ending]}; at most home to finish, apart from food`,
      });
    else if (isStricter(answer, body, ending) && reason === undefined)
      faults.push({ path: at("reason"), message: `is missing: the answer would permit more for ${body}` });
    else if (trimming !== undefined) faults.push({ path: at("off"), message: trimming });
  });
  for (const { id } of find.bodies)
    if (endings.every((one) => one.body !== id)) faults.push({ path: "endings", message: `${id} is not decided` });
  return faults;
}

/**
 * Decides a find by an answer to it.
 * @param edition the edition of the sheets that the answer is by
 * @returns the frozen decision, or what is wrong with the endings
 */
export function decide(
  find: Find,
  endings: readonly BodyEnding[],
  answer: AnswerSummary,
  edition: string,
  decidedAt: string,
): Parsed<Decision> {
  const faults = endingFaults(find, endings, answer);
  if (faults.length > 0) return { ok: false, faults };
  return { ok: true, value: { find, rules: { ...rulesOf(find) }, edition, answer, endings: [...endings], decidedAt } };
}
