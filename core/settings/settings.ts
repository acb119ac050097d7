/** What a person has settled for themselves, whatever the find: the house rules a new find begins with, limits for a day. */
import { z } from "zod";
import { canonicalJson } from "../find/canonical.ts";
import { type Rules, rulesSchema } from "../find/schema.ts";
import { DEFAULT_RULES } from "../judge/condition.ts";
import { HOUSE_RULES } from "./house-rules.ts";

const NAME_LENGTH = 200;
const MOST_LIMITS = 100;

/** A limit that the person entered, grams or pieces a day; the program does not know the law. */
export const limitSchema = z
  .strictObject({
    /** A sheet's id, or "all" together. */
    kind: z.string().min(1).max(NAME_LENGTH),
    /** A place's name; left out, it counts wherever they were found. */
    place: z.string().min(1).max(NAME_LENGTH).optional(),
    grams: z.number().positive().max(1_000_000).optional(),
    pieces: z.number().int().positive().max(100_000).optional(),
  })
  .refine((limit) => (limit.grams === undefined) !== (limit.pieces === undefined), {
    message: "expected either grams or pieces",
  });
export type Limit = z.infer<typeof limitSchema>;

export const settingsSchema = z.strictObject({ rules: rulesSchema, limits: z.array(limitSchema).max(MOST_LIMITS) });
export type Settings = z.infer<typeof settingsSchema>;

/** What holds before anybody settled anything: the defaults, and no limit. */
export const NO_SETTINGS: Settings = { rules: {}, limits: [] };

/** The place of a value in its matter, strictest first; what is left out stands where the default does. */
function placeOf(rule: keyof Rules, rules: Rules): number {
  const schools = HOUSE_RULES.find((one) => one.rule === rule)?.schools ?? [];
  return schools.findIndex((school) => school.value === (rules[rule] ?? DEFAULT_RULES[rule]));
}

/** Of two sets of house rules the stricter in every matter. Neither of the two permits less. */
export function stricterRules(one: Rules, other: Rules): Rules {
  const chosen = HOUSE_RULES.flatMap(({ rule }) => {
    const value = placeOf(rule, one) <= placeOf(rule, other) ? one[rule] : other[rule];
    return value === undefined || value === DEFAULT_RULES[rule] ? [] : [[rule, value] as const];
  });
  return rulesSchema.parse(Object.fromEntries(chosen));
}

/** What two devices settled apart from each other, put together: the stricter rules, and the limits of both. */
export function stricterSettings(one: Settings, other: Settings): Settings {
  const limits = new Map([...one.limits, ...other.limits].map((limit) => [canonicalJson(limit), limit]));
  return {
    rules: stricterRules(one.rules, other.rules),
    limits: [...limits.values()].slice(0, MOST_LIMITS),
  };
}
