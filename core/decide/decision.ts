/** A decision, frozen: the record, the rules, the sheets' edition and the answer as they were, and how each body ended. */
import { z } from "zod";
import { type Answer, assess } from "../assess.ts";
import type { Fault, Parsed } from "../find/parse.ts";
import { bodyIdSchema, type Find } from "../find/schema.ts";
import { ENDINGS } from "../find/vocabulary.ts";
import { type RulesInForce, rulesOf } from "../judge/condition.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import { ENDING_WORDS, isStricter, permitsEnding } from "./endings.ts";
import { TRIMMINGS, trimmingFault } from "./trimming.ts";

const REASON_LENGTH = 500;

/** How a person decided one body. */
export const bodyEndingSchema = z.strictObject({
  body: bodyIdSchema,
  ending: z.enum(ENDINGS),
  reason: z.string().min(1).max(REASON_LENGTH).optional(),
  /** What was cut off before it is carried. */
  off: z.array(z.enum(TRIMMINGS)).min(1).max(TRIMMINGS.length).optional(),
});
export type BodyEnding = z.infer<typeof bodyEndingSchema>;

/** What is kept of a decision for good. */
export interface Decision {
  readonly find: Find;
  readonly rules: RulesInForce;
  readonly edition: string;
  readonly answer: Answer;
  readonly endings: readonly BodyEnding[];
}

/**
 * Decides a find. The answer is worked out here and now and taken from nobody.
 * @returns the frozen decision, or faults: a body that is missing or told twice, an ending that the answer does not
 * permit, a stricter ending without its reason, a trimming that does not fit
 */
export function decide(find: Find, endings: readonly BodyEnding[], knowledge: Knowledge): Parsed<Decision> {
  const answer = assess(find, knowledge);
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
  if (faults.length > 0) return { ok: false, faults };
  return { ok: true, value: { find, rules: rulesOf(find), edition: answer.edition, answer, endings } };
}
