/** A round that is taught: made finds on one screen, answered from many phones, and what of it who may see. */
import { z } from "zod";
import { findSchema } from "../find/schema.ts";
import { isTaxonId, TIERS } from "../find/taxa.ts";
import { VERDICTS } from "../judge/verdict.ts";

/** Finds in one set. */
export const MOST_ITEMS = 60;
const NAME_LENGTH = 80;

export const name = z.string().trim().min(1).max(NAME_LENGTH);
const taxon = z.string().refine(isTaxonId, "is no known taxon");

/** One find of a set: equal sheets and seeds make equal finds. */
export const setItemSchema = z.strictObject({ sheet: taxon, seed: z.string().trim().min(1).max(120) });
export type SetItem = z.infer<typeof setItemSchema>;

export const PRACTICE_SET_FORMAT = "jittery-cap/practice-set";

/** A set of finds as a file. */
export const practiceSetSchema = z.strictObject({
  format: z.literal(PRACTICE_SET_FORMAT),
  version: z.literal(1),
  name,
  items: z.array(setItemSchema).min(1).max(MOST_ITEMS),
});
export type PracticeSet = z.infer<typeof practiceSetSchema>;

const line = z.strictObject({ id: taxon, common: z.string().max(120), tier: z.enum(TIERS) });

/** What the table shows: how far the find was looked at, and, once it is uncovered, what it was. */
export const shownSchema = z.strictObject({
  /** Which find of the set, from nought. */
  at: z.int().nonnegative().max(MOST_ITEMS),
  find: findSchema,
  /** The day and the bodies, a clause each; what the looks showed. */
  conditions: z.array(z.string().max(300)).max(12),
  looks: z
    .array(
      z.strictObject({
        test: z.string().max(60),
        body: z.string().max(8).optional(),
        text: z.string().max(200),
        saw: z.string().max(1000),
      }),
    )
    .max(120),
  minutes: z.number().nonnegative().max(10_000),
  /** Dangers among which the nearest is named. */
  dangers: z.array(line).max(12),
  told: z
    .strictObject({
      kind: line,
      scientific: z.string().max(120),
      isDanger: z.boolean(),
      verdict: z.enum(VERDICTS),
      reasons: z.array(z.string().max(600)).max(6),
      least: z.int().nonnegative(),
      nearest: z.array(taxon).max(12),
    })
    .optional(),
});
export type Shown = z.infer<typeof shownSchema>;

/** What somebody at the table says of one find. */
export const roundAnswerSchema = z.strictObject({
  id: z.uuid("expected a UUID made by the client"),
  /** The phone, made once by it: who answers again answers anew. */
  guest: z.uuid("expected a UUID made by the client"),
  name,
  at: z.int().nonnegative().max(MOST_ITEMS),
  verdict: z.enum(VERDICTS),
  nearest: taxon.optional(),
  mistakes: z.int().min(0).max(3).optional(),
  sure: z.number().min(0).max(1),
});
export type RoundAnswer = z.infer<typeof roundAnswerSchema>;

/** How the answers to one find stand, without names. */
export interface Tally {
  readonly said: number;
  readonly leave: number;
  readonly hold: number;
  readonly basket: number;
}

/** Counts the answers to one find. */
export function tallyOf(answers: readonly Pick<RoundAnswer, "verdict">[]): Tally {
  const of = (verdict: RoundAnswer["verdict"]) => answers.filter((one) => one.verdict === verdict).length;
  return { said: answers.length, leave: of("leave"), hold: of("hold"), basket: of("basket") };
}
