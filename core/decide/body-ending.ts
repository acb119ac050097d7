/** How a person decided one body. */
import { z } from "zod";
import { bodyIdSchema } from "../find/schema.ts";
import { ENDINGS } from "../find/vocabulary.ts";

const REASON_LENGTH = 500;

/** What may be taken off a body before it is carried, from below. */
export const TRIMMINGS = ["foot", "stem", "skin", "tubes"] as const;
export type Trimming = (typeof TRIMMINGS)[number];

export const bodyEndingSchema = z.strictObject({
  body: bodyIdSchema,
  ending: z.enum(ENDINGS),
  reason: z.string().min(1).max(REASON_LENGTH).optional(),
  /** What was cut off before it is carried. */
  off: z.array(z.enum(TRIMMINGS)).min(1).max(TRIMMINGS.length).optional(),
});
export type BodyEnding = z.infer<typeof bodyEndingSchema>;
