/** A date to come back: for one that was left to grow, a bed, the same week next year, after rain, a puzzle. */
import { z } from "zod";
import { momentSchema } from "../find/moment.ts";
import { daySchema } from "../season/day-of-year.ts";

const sizeCm = z.number().positive().max(200);

export const REMINDER_KINDS = ["left-to-grow", "next-year", "after-rain", "puzzle", "weed", "other"] as const;
export type ReminderKind = (typeof REMINDER_KINDS)[number];
export const REMINDER_WORDS: Readonly<Record<ReminderKind, string>> = {
  "left-to-grow": "left to grow on",
  "next-year": "same week next year",
  "after-rain": "after the rain",
  puzzle: "a puzzle",
  weed: "pull the competitors",
  other: "come back",
};

export const reminderSchema = z
  .strictObject({
    kind: z.enum(REMINDER_KINDS),
    what: z.string().trim().min(1).max(400),
    /** The days between which it is due. */
    from: daySchema,
    to: daySchema,
    find: z.uuid().optional(),
    place: z.uuid().optional(),
    patch: z.uuid().optional(),
    /** Of one that was left to grow: how large it was, and how large it should be. */
    left: z
      .strictObject({ at: momentSchema, sizeCm, wantedCm: sizeCm, taxon: z.string().max(100).optional() })
      .optional(),
    /** What was met on coming back; nothing met is told too. */
    came: z.strictObject({ at: momentSchema, sizeCm: sizeCm.optional() }).optional(),
    /** Put aside without coming back. */
    droppedAt: momentSchema.optional(),
    madeAt: momentSchema,
  })
  .refine(({ from, to }) => from <= to, { path: ["to"], message: "is before it begins" });
export type Reminder = z.infer<typeof reminderSchema>;

/** Whether it still stands. */
export const isDue = ({ came, droppedAt }: Reminder): boolean => came === undefined && droppedAt === undefined;
