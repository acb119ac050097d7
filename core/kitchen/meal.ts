/** A meal: what comes to the pot, who eats, what is asked, and what became of it. */
import { z } from "zod";
import { momentSchema } from "../find/moment.ts";
import { bodyIdSchema } from "../find/schema.ts";
import { isTaxonId } from "../find/taxa.ts";
import { CONDITION_CODES } from "../words/reason-words.ts";

const MOST = 200;
/** Everybody at the largest table has of as many kinds as anybody cooks at once. */
const MOST_PORTIONS = 50 * 20;
/** Nobody cooks more at once; a typing slip does. */
const MOST_GRAMS = 20_000;
const grams = z
  .number("expected grams")
  .positive("expected more than nought")
  .max(MOST_GRAMS, `expected at most ${MOST_GRAMS} g`);

/** A body of a find, or so much of a jar. */
export const potItemSchema = z
  .strictObject({
    find: z.uuid(),
    body: bodyIdSchema,
    /** The jar that it comes from, where it was put up before. */
    batch: z.uuid().optional(),
    /** The kinds that it may be: the strictest of their handlings applies. */
    kinds: z.array(z.string().refine(isTaxonId, "is no known sheet")).min(1).max(50),
    grams,
    /** What was left of it after cleaning. */
    cleanedGrams: grams.optional(),
  })
  .refine((item) => item.cleanedGrams === undefined || item.cleanedGrams <= item.grams, {
    path: ["cleanedGrams"],
    message: "is more than was there before cleaning",
  });
export type PotItem = z.infer<typeof potItemSchema>;

export const seatSchema = z.strictObject({
  person: z.uuid(),
  /** When they last drank alcohol; null: not within the last week; left out: nobody told. */
  lastAlcoholAt: momentSchema.nullable().optional(),
  /** Kinds that they would rather not have. */
  without: z.array(z.string().max(80)).max(50).optional(),
});
export type Seat = z.infer<typeof seatSchema>;

/** What was ticked off of a find's conditions, by hand. */
export const tickSchema = z.strictObject({ find: z.uuid(), code: z.enum(CONDITION_CODES), at: momentSchema });
export type Tick = z.infer<typeof tickSchema>;

/** Every condition of every find that may be there can be ticked. */
export const ticksSchema = z.array(tickSchema).max(MOST * CONDITION_CODES.length);

/** What the pan smelled of: the last test of the button-like kinds. */
export const PAN_SMELLS = ["mushroom", "ink", "other"] as const;
export const panSchema = z.strictObject({ kind: z.string().max(80), smell: z.enum(PAN_SMELLS), at: momentSchema });
export type Pan = z.infer<typeof panSchema>;

export const portionSchema = z.strictObject({ person: z.uuid(), kind: z.string().max(80), grams });
export type Portion = z.infer<typeof portionSchema>;

export const stoveSchema = z.strictObject({
  rings: z.int().min(1).max(8),
  pans: z.int().min(1).max(8),
  pots: z.int().min(0).max(8),
  hands: z.int().min(1).max(6),
});

/**
 * The cooking as it was begun: its schedule stands from then on. Least times are counted by it, whatever is left out, put in or
 * worked out otherwise afterwards.
 */
export const begunSchema = z.strictObject({
  at: momentSchema,
  /** Minutes from the beginning. */
  slots: z
    .array(
      z.strictObject({ task: z.string().max(4000), from: z.int().nonnegative(), to: z.int().positive().max(2000) }),
    )
    .min(1)
    .max(500),
  /** What was in the pot, by the keys of its items. */
  items: z.array(z.string().max(120)).max(MOST),
});

export const mealSchema = z
  .strictObject({
    /** When it is to be ready, or was. */
    at: momentSchema,
    items: z.array(potItemSchema).max(MOST),
    seats: z.array(seatSchema).max(50),
    ticks: ticksSchema,
    stove: stoveSchema,
    /** When the first task began, by the clock of whoever cooks, and what was cooked by which schedule. */
    begun: begunSchema.optional(),
    pans: z.array(panSchema).max(MOST),
    /** What each person had, once it was served. */
    served: z
      .strictObject({
        at: momentSchema,
        portions: z.array(portionSchema).max(MOST_PORTIONS),
        drunk: z.string().trim().max(200).optional(),
      })
      .optional(),
    /** All of it went, and why. */
    thrownAway: z.strictObject({ at: momentSchema, why: z.string().trim().min(1).max(400) }).optional(),
    note: z.string().trim().max(2000).optional(),
  })
  .superRefine(({ items, seats }, context) => {
    items.forEach((item, index) => {
      if (
        items.findIndex((one) => one.find === item.find && one.body === item.body && one.batch === item.batch) < index
      )
        context.addIssue({ code: "custom", path: ["items", index], message: `${item.body} is in the pot twice` });
    });
    seats.forEach((seat, index) => {
      if (seats.findIndex((one) => one.person === seat.person) < index)
        context.addIssue({ code: "custom", path: ["seats", index], message: "the same person sits there twice" });
    });
  });
export type Meal = z.infer<typeof mealSchema>;

/** Whether it is over, in one way or the other: nothing of it is changed then but a note. */
export const isOver = (meal: Meal): boolean => meal.served !== undefined || meal.thrownAway !== undefined;
