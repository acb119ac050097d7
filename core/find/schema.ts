/** The find file, format version 1: what a record may hold, and nothing else. */
import { z } from "zod";
import { entrySchema } from "./entry.ts";
import { localMomentSchema } from "./moment.ts";
import { isTaxonId } from "./taxa.ts";
import {
  AGES,
  CHARACTERS,
  CONCERNS,
  ENDINGS,
  FIRMNESSES,
  LARVAE,
  LIFTS,
  PARTINGS,
  PRINT_PAPERS,
  REGIONS,
  SORTED_AS,
  WEARS,
} from "./vocabulary.ts";

export const FIND_FORMAT = "jittery-cap/find";
export const FIND_VERSION = 1;

const LABEL_LENGTH = 200;
const NOTE_LENGTH = 4000;

const identifier = z
  .string()
  .regex(/^[A-Za-z0-9][A-Za-z0-9._-]{0,63}$/, "expected 1 to 64 letters, digits, dots, hyphens or underscores");
const positive = z.number().positive();
const many = (words: readonly string[]) => z.array(z.enum(words)).min(1).max(words.length);
const taxon = z.string().refine(isTaxonId, { error: (issue) => `${JSON.stringify(issue.input)} is no known sheet` });

/** A sheet's id, a whole genus, or a neighbour in the person's own words. */
const neighbour = z
  .string()
  .max(LABEL_LENGTH)
  .refine((word) => isTaxonId(word) || /^(genus:[a-z]+|note:.+)$/s.test(word), {
    error: (issue) => `${JSON.stringify(issue.input)} is no known sheet; allowed: a sheet's id, genus:NAME, note:WORDS`,
  });

export const placeSchema = z.strictObject({
  lat: z.number().min(-90).max(90).optional(),
  lon: z.number().min(-180).max(180).optional(),
  accuracyM: z.number().nonnegative().optional(),
  elevationM: z.number().min(-500).max(9000).optional(),
  region: z.enum(REGIONS).optional(),
  name: z.string().min(1).max(LABEL_LENGTH).optional(),
});

export const siteSchema = z.strictObject({
  habitat: many(CHARACTERS.habitat.states).optional(),
  substrate: many(CHARACTERS.substrate.states).optional(),
  host: many(CHARACTERS.host.states).optional(),
  growth: many(CHARACTERS.growth.states).optional(),
  concerns: z.array(z.enum(CONCERNS)).max(CONCERNS.length).optional(),
  neighbours: z.array(neighbour).max(50).optional(),
});

export const weatherSchema = z.strictObject({
  frostLastNight: z.boolean().optional(),
  drySpellDays: z.number().min(0).max(400).optional(),
  rain24hMm: z.number().min(0).max(2000).optional(),
  airTempC: z.number().min(-60).max(60).optional(),
  warmedInHand: z.boolean().optional(),
  cannotSmell: z.boolean().optional(),
  printPaper: z.enum(PRINT_PAPERS).optional(),
});

/** House rules in force; what is left out takes its default. */
export const rulesSchema = z.strictObject({
  amanitas: z.enum(["never", "known"]).optional(),
  smallBrown: z.enum(["never", "known"]).optional(),
  naming: z.enum(["species", "group"]).optional(),
  upsetters: z.enum(["leave", "cooked"]).optional(),
  dirtyGround: z.enum(["never", "judged"]).optional(),
  larvae: z.enum(["none", "few", "trim"]).optional(),
  distance: z.literal([2, 3]).optional(),
  foreignSickeners: z.enum(["aside", "count"]).optional(),
});

export const observerSchema = z.strictObject({
  id: identifier,
  name: z.string().max(LABEL_LENGTH).optional(),
  cannotSmell: z.boolean().optional(),
  smellsKnown: z.array(z.enum(CHARACTERS.smell.states)).optional(),
});

export const measuresSchema = z.strictObject({
  capCm: positive.max(200).optional(),
  stemLengthCm: positive.max(200).optional(),
  stemWidthMm: positive.max(1000).optional(),
  thicknessMm: positive.max(1000).optional(),
  weightG: positive.max(100_000).optional(),
  sporeLengthUm: z.array(positive.max(1000)).min(1).max(10_000).optional(),
  sporeWidthUm: z.array(positive.max(1000)).min(1).max(10_000).optional(),
});

export const printSchema = z.strictObject({
  laidAt: localMomentSchema.optional(),
  readAt: localMomentSchema.optional(),
  paper: z.enum(PRINT_PAPERS).optional(),
  cap: z.enum(["whole", "halved", "wetted"]).optional(),
  covered: z.boolean().optional(),
  result: z.enum(["thick", "thin", "none"]).optional(),
});

const larvaeParts = z.strictObject({
  cap: z.enum(LARVAE).optional(),
  stem: z.enum(LARVAE).optional(),
  tubes: z.enum(LARVAE).optional(),
});

export const bodyIdSchema = z
  .string()
  .regex(/^[A-Za-z0-9][A-Za-z0-9_-]{0,15}$/, "expected 1 to 16 letters, digits, hyphens or underscores");

export const bodySchema = z.strictObject({
  id: bodyIdSchema,
  age: z.enum(AGES).optional(),
  lifted: z.enum(LIFTS).optional(),
  wear: z.array(z.enum(WEARS)).max(WEARS.length).optional(),
  hoursSincePicked: z
    .number()
    .min(0)
    .max(24 * 365)
    .optional(),
  firmness: z.enum(FIRMNESSES).optional(),
  larvae: z.enum(LARVAE).optional(),
  larvaeParts: larvaeParts.optional(),
  ending: z.enum(ENDINGS).optional(),
  measures: measuresSchema.optional(),
  measuredBy: z.enum(["hand", "picture"]).optional(),
  print: printSchema.optional(),
  seen: z.array(entrySchema).max(1000).optional(),
  sameAs: bodyIdSchema.optional(),
  seenAt: localMomentSchema.optional(),
  keep: z.boolean().optional(),
  note: z.string().max(NOTE_LENGTH).optional(),
  /** How it left the basket again, and when. */
  parted: z.strictObject({ how: z.enum(PARTINGS), at: localMomentSchema }).optional(),
  /** The last look at the table: foot, ring and gills once more against the record. */
  sorted: z.strictObject({ as: z.enum(SORTED_AS), at: localMomentSchema }).optional(),
});

/** One collecting event. */
export const findSchema = z
  .strictObject({
    format: z.literal(FIND_FORMAT),
    version: z.literal(FIND_VERSION, {
      error: (issue) =>
        typeof issue.input === "number" && issue.input > FIND_VERSION
          ? `version ${issue.input} is newer than this program, which reads version ${FIND_VERSION}`
          : `expected the number ${FIND_VERSION}`,
    }),
    id: identifier,
    label: z.string().max(LABEL_LENGTH).optional(),
    note: z.string().max(NOTE_LENGTH).optional(),
    foundAt: localMomentSchema.optional(),
    place: placeSchema.optional(),
    site: siteSchema.optional(),
    weather: weatherSchema.optional(),
    takenFor: taxon.optional(),
    rules: rulesSchema.optional(),
    observers: z.array(observerSchema).max(50).optional(),
    bodies: z.array(bodySchema).min(1).max(200),
  })
  .superRefine((find, context) => {
    refuseTwice(
      find.bodies.map((body) => body.id),
      (index) => ["bodies", index, "id"],
      "body",
      context,
    );
    refuseTwice(
      (find.observers ?? []).map((observer) => observer.id),
      (index) => ["observers", index, "id"],
      "observer",
      context,
    );
    const bodyIds = new Set<string>(find.bodies.map((body) => body.id));
    find.bodies.forEach((body, bodyIndex) => {
      if (body.sameAs !== undefined && (body.sameAs === body.id || !bodyIds.has(body.sameAs)))
        context.addIssue({
          code: "custom",
          path: ["bodies", bodyIndex, "sameAs"],
          message: `${JSON.stringify(body.sameAs)} is no other body of this find`,
        });
      const looks = new Set<string>();
      (body.seen ?? []).forEach((entry, entryIndex) => {
        const look = JSON.stringify([entry.character, entry.by ?? null, entry.at ?? null]);
        if (looks.has(look))
          context.addIssue({
            code: "custom",
            path: ["bodies", bodyIndex, "seen", entryIndex, "character"],
            message: `${JSON.stringify(entry.character)} stands twice for the same observer and time`,
          });
        looks.add(look);
      });
    });
  });

function refuseTwice(
  ids: readonly string[],
  pathOf: (index: number) => (string | number)[],
  what: string,
  context: z.RefinementCtx,
): void {
  ids.forEach((id, index) => {
    if (ids.indexOf(id) < index)
      context.addIssue({
        code: "custom",
        path: pathOf(index),
        message: `${what} id ${JSON.stringify(id)} is used twice`,
      });
  });
}

export type Find = z.infer<typeof findSchema>;
export type Body = z.infer<typeof bodySchema>;
export type Site = z.infer<typeof siteSchema>;
export type Weather = z.infer<typeof weatherSchema>;
export type Place = z.infer<typeof placeSchema>;
export type Rules = z.infer<typeof rulesSchema>;
export type Observer = z.infer<typeof observerSchema>;
export type Measures = z.infer<typeof measuresSchema>;
export type SporePrint = z.infer<typeof printSchema>;
