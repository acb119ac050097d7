/** A batch in the store: what it was made of, the weights in and out, its code, and what was taken from it. */
import { z } from "zod";
import { momentSchema } from "../find/moment.ts";
import { bodyIdSchema } from "../find/schema.ts";
import { isTaxonId } from "../find/taxa.ts";
import { waySchema } from "./keeping.ts";
import { ticksSchema } from "./meal.ts";

const MOST_GRAMS = 100_000;
const grams = z
  .number("expected grams")
  .positive("expected more than nought")
  .max(MOST_GRAMS, `expected at most ${MOST_GRAMS} g`);

/** Letters and figures that are not taken for each other on a label (Crockford's base 32). */
export const CODE_SIGNS = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
export const CODE_LENGTH = 5;
export const codeSchema = z
  .string()
  .regex(/^[0-9A-HJKMNP-TV-Z]{5}$/, "expected five letters or figures, without I, L, O and U");

/** A code as it was typed off a label: case, spaces and the signs that people take for each other do not matter. */
export function readCode(typed: string): string | undefined {
  const plain = typed.toUpperCase().replace(/[\s-]/g, "").replace(/[IL]/g, "1").replace(/O/g, "0").replace(/U/g, "V");
  return codeSchema.safeParse(plain).success ? plain : undefined;
}

/** A code that none of those given has. @param chance passed in: a number from 0 up to 1 */
export function newCode(taken: ReadonlySet<string>, chance: () => number): string {
  for (;;) {
    const code = Array.from({ length: CODE_LENGTH }, () => CODE_SIGNS[Math.floor(chance() * CODE_SIGNS.length)]).join(
      "",
    );
    if (!taken.has(code)) return code;
  }
}

/** How so much of it left the store. */
export const TAKINGS = ["eaten", "given-away", "thrown-away"] as const;
export type Taking = (typeof TAKINGS)[number];
export const TAKING_WORDS: Readonly<Record<Taking, string>> = {
  eaten: "cooked",
  "given-away": "given away",
  "thrown-away": "thrown away",
};

/** What was done when a later answer named it. */
export const recallAnswerSchema = z.strictObject({
  find: z.uuid(),
  at: momentSchema,
  did: z.string().trim().min(1).max(400),
});
export type RecallAnswer = z.infer<typeof recallAnswerSchema>;

export const batchSchema = z
  .strictObject({
    code: codeSchema,
    way: waySchema,
    /** The kinds that it may be. */
    kinds: z.array(z.string().refine(isTaxonId, "is no known sheet")).min(1).max(50),
    from: z
      .array(z.strictObject({ find: z.uuid(), body: bodyIdSchema }))
      .min(1)
      .max(200),
    madeAt: momentSchema,
    gramsIn: grams,
    /** What it weighed once it was put up; left out until it was weighed. */
    gramsOut: grams.optional(),
    where: z.string().trim().min(1).max(200).optional(),
    ticks: ticksSchema,
    took: z.array(z.strictObject({ at: momentSchema, grams, how: z.enum(TAKINGS) })).max(500),
    recalls: z.array(recallAnswerSchema).max(200),
    note: z.string().trim().max(2000).optional(),
  })
  .superRefine(({ from, gramsIn, gramsOut, way }, context) => {
    from.forEach((one, index) => {
      if (from.findIndex(({ find, body }) => find === one.find && body === one.body) < index)
        context.addIssue({ code: "custom", path: ["from", index], message: `${one.body} is in it twice` });
    });
    if (gramsOut !== undefined && way !== "pickled" && gramsOut > gramsIn)
      context.addIssue({ code: "custom", path: ["gramsOut"], message: "is more than went in" });
  });
export type Batch = z.infer<typeof batchSchema>;

/** What is left of it, grams; undefined until it was weighed. Never under nought. */
export function leftOf({ gramsOut, took }: Pick<Batch, "gramsOut" | "took">): number | undefined {
  if (gramsOut === undefined) return undefined;
  return Math.max(0, gramsOut - took.reduce((sum, one) => sum + one.grams, 0));
}
