/**
 * The first tasting of one kind by one person: a tablespoon, a double one, a meal, each with its wait; one new kind at a time.
 * Whatever is felt ends it; whether it was the mushroom is not ours to say.
 */
import { z } from "zod";
import { momentSchema } from "../find/moment.ts";
import { bodyIdSchema } from "../find/schema.ts";
import { isTaxonId } from "../find/taxa.ts";
import { kindKey } from "./kind-key.ts";

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const WORDS = 400;

export interface TastingStep {
  readonly name: string;
  /** Cooked portion as grams of fresh weight; a tablespoon is about 15 g. Common practice, no source. */
  readonly grams: number;
  /** Least hours until the next one; the first waits for a morning as well. */
  readonly waitHours: number;
}

/** In their order. */
export const TASTING_STEPS = [
  { name: "a tablespoon", grams: 15, waitHours: 12 },
  { name: "about double", grams: 30, waitHours: 24 },
  { name: "a meal", grams: 100, waitHours: 24 },
] as const satisfies readonly TastingStep[];

/** A raw body is kept in the cold so long after the last portion, a dried slice as long as the slowest poison takes. */
export const RAW_KEPT_DAYS = 3;
export const SLICE_KEPT_DAYS = 21;

/** What is asked before every portion. */
export const READY = ["well-and-rested", "no-alcohol", "somebody-knows", "no-other-new-kind"] as const;
export type Ready = (typeof READY)[number];
export const READY_WORDS: Readonly<Record<Ready, string>> = {
  "well-and-rested": "Well and rested.",
  "no-alcohol": "No alcohol today, and none with it.",
  "somebody-knows": "Somebody knows of it and is about.",
  "no-other-new-kind": "No other new kind today, also none from elsewhere.",
};

const keptSchema = z.strictObject({ where: z.string().trim().min(1).max(WORDS), at: momentSchema });

export const tastingSchema = z
  .strictObject({
    person: z.uuid(),
    /** The kinds that it may be: tasted together, and known together. */
    kinds: z.array(z.string().refine(isTaxonId, "is no known sheet")).min(1).max(50),
    find: z.uuid(),
    body: bodyIdSchema,
    begunAt: momentSchema,
    portions: z
      .array(z.strictObject({ at: momentSchema, grams: z.number().positive().max(500) }))
      .max(TASTING_STEPS.length),
    /** What was kept raw, and the dried slice: where. */
    raw: keptSchema.optional(),
    slice: keptSchema.optional(),
    felt: z.array(z.strictObject({ at: momentSchema, what: z.string().trim().min(1).max(WORDS) })).max(50),
    /** Given up by the person, without anything felt. */
    givenUpAt: momentSchema.optional(),
  })
  .superRefine(({ portions }, context) => {
    portions.forEach(({ at, grams }, index) => {
      const before = portions[index - 1];
      if (before !== undefined && Date.parse(at) <= Date.parse(before.at))
        context.addIssue({
          code: "custom",
          path: ["portions", index, "at"],
          message: "is not after the portion before",
        });
      const most = TASTING_STEPS[index]?.grams ?? 0;
      if (grams > most)
        context.addIssue({ code: "custom", path: ["portions", index, "grams"], message: `is more than ${most} g` });
    });
  });
export type Tasting = z.infer<typeof tastingSchema>;

export type TastingStage =
  /** The next portion may be had. */
  | { readonly kind: "next"; readonly step: number }
  /** It may be had from then on. */
  | { readonly kind: "wait"; readonly step: number; readonly from: number }
  /** The clock stands before what was told: it was set back, and nothing is had until it is right. */
  | { readonly kind: "clock"; readonly step: number; readonly from: number }
  /** Nothing raw is kept back: the first portion waits for it. */
  | { readonly kind: "keep-raw"; readonly step: number }
  | { readonly kind: "ended"; readonly why: "felt" | "given-up" }
  | { readonly kind: "done"; readonly at: number };

/**
 * Where a tasting stands.
 * @param now milliseconds
 * @param nextMorning the next morning after a moment, by the clock of the place
 */
export function tastingStage(tasting: Tasting, now: number, nextMorning: (after: number) => number): TastingStage {
  if (tasting.felt.length > 0) return { kind: "ended", why: "felt" };
  if (tasting.givenUpAt !== undefined) return { kind: "ended", why: "given-up" };
  const step = tasting.portions.length;
  const last = tasting.portions.at(-1);
  if (last === undefined) return tasting.raw === undefined ? { kind: "keep-raw", step } : { kind: "next", step };
  const had = Date.parse(last.at);
  const from = waitedUntil(had, step - 1, nextMorning);
  if (now < had) return { kind: "clock", step, from };
  if (now < from) return { kind: "wait", step, from };
  return step >= TASTING_STEPS.length ? { kind: "done", at: from } : { kind: "next", step };
}

function waitedUntil(had: number, step: number, nextMorning: (after: number) => number): number {
  const least = had + (TASTING_STEPS[step]?.waitHours ?? 0) * HOUR_MS;
  return step === 0 ? Math.max(least, nextMorning(had)) : least;
}

/** Whether a tasting that stands so still keeps its person from another new kind. */
export const isUnderWay = (stage: TastingStage): boolean => stage.kind !== "ended" && stage.kind !== "done";

/** Until when the raw one and the slice are kept, milliseconds; undefined before the first portion. */
export function keptUntil(
  tasting: Pick<Tasting, "portions">,
): { readonly raw: number; readonly slice: number } | undefined {
  const last = tasting.portions.at(-1);
  if (last === undefined) return undefined;
  const had = Date.parse(last.at);
  return { raw: had + RAW_KEPT_DAYS * DAY_MS, slice: had + SLICE_KEPT_DAYS * DAY_MS };
}

/** Why the next portion may not be had, or undefined where it may. @param ready what was ticked for this portion */
export function portionRefused(stage: TastingStage, ready: readonly Ready[]): string | undefined {
  switch (stage.kind) {
    case "ended":
      return stage.why === "felt" ? "something was felt: the tasting has ended" : "the tasting was given up";
    case "done":
      return "the tasting is over";
    case "keep-raw":
      return "keep a raw one back in the cold first, and say where";
    case "clock":
      return "the clock stands before the last portion: set it right";
    case "wait":
      return "the wait is not over";
    case "next": {
      const missing = READY.find((one) => !ready.includes(one));
      return missing === undefined ? undefined : `not ticked: ${READY_WORDS[missing]}`;
    }
  }
}

/** The kinds, joined where they were tasted together, that a person has had a whole tasting of, which ended well. */
export function knownKinds(
  tastings: readonly Tasting[],
  person: string,
  now: number,
  nextMorning: (after: number) => number,
): ReadonlySet<string> {
  const known = new Set<string>();
  const ended = new Set<string>();
  for (const tasting of tastings) {
    if (tasting.person !== person) continue;
    const stage = tastingStage(tasting, now, nextMorning);
    if (stage.kind === "done") known.add(kindKey(tasting.kinds));
    if (stage.kind === "ended" && stage.why === "felt") ended.add(kindKey(tasting.kinds));
  }
  // what once ended with something felt is not known, whatever came before or after
  for (const kind of ended) known.delete(kind);
  return known;
}
