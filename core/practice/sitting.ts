/** A sitting of practice: the tries of one day at one table, by which all that is scheduled and told is worked out anew. */
import { z } from "zod";
import { momentSchema } from "../find/moment.ts";
import { VERDICTS } from "../judge/verdict.ts";

/** Tries in one sitting; the next sitting takes the next. */
export const MOST_TRIES = 400;
const MOST_LOOKS = 80;

export const EXERCISES = ["whole", "look", "two", "nothing", "lamp", "own"] as const;
/** What is practised: a whole find, one look, these two, what proves nothing today, a colour under a lamp, a find of one's own. */
export type Exercise = (typeof EXERCISES)[number];
export const EXERCISE_WORDS: Readonly<Record<Exercise, string>> = {
  whole: "Whole find",
  look: "One look",
  two: "These two",
  nothing: "What proves nothing",
  lamp: "Under the lamp",
  own: "Your own finds",
};

const lookSchema = z.strictObject({ test: z.string().min(1).max(60), body: z.string().max(8).optional() });

export const trySchema = z.strictObject({
  id: z.uuid(),
  at: momentSchema,
  exercise: z.enum(EXERCISES),
  /** What it was scheduled for; of one's own finds none. */
  skill: z
    .string()
    .regex(/^(pair|look|mask|colour):[a-z-]+(\/[a-z-]+)?$/, "expected the id of a skill")
    .optional(),
  /** What the item was made from: equal seeds make equal items. */
  seed: z.string().min(1).max(200),
  /** The sheets that it was made by. */
  edition: z.string().max(40),
  /** The kind that was shown, where it was one. */
  kind: z.string().max(100).optional(),
  isRight: z.boolean(),
  /** How sure, from 0 to 1. */
  sure: z.number().min(0).max(1),
  /** What was answered, in the item's own words. */
  answered: z.string().max(200).optional(),
  verdict: z.enum(VERDICTS).optional(),
  /** A danger in the basket. */
  isLetThrough: z.boolean().optional(),
  /** A good one left for nothing. */
  isThrownAway: z.boolean().optional(),
  /** Minutes that the looks cost, of the made wood and not of the learner. */
  minutes: z.number().nonnegative().max(10_000).optional(),
  shortestMinutes: z.number().nonnegative().max(10_000).optional(),
  isNearestRight: z.boolean().optional(),
  isDistanceRight: z.boolean().optional(),
  looks: z.array(lookSchema).max(MOST_LOOKS).optional(),
});
export type Try = z.infer<typeof trySchema>;

export const sittingSchema = z.strictObject({
  begunAt: momentSchema,
  /** The seed of a test of twenty, where it is one. */
  test: z.string().trim().min(1).max(80).optional(),
  tries: z.array(trySchema).max(MOST_TRIES),
});
export type Sitting = z.infer<typeof sittingSchema>;
