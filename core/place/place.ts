/** A place: where one goes. What grows there and what lies in its ground, who allows what, and the patches known of it. */
import { z } from "zod";
import { momentSchema } from "../find/moment.ts";
import { siteSchema } from "../find/schema.ts";
import { isTaxonId } from "../find/taxa.ts";
import { CHARACTERS, CONCERNS, REGIONS } from "../find/vocabulary.ts";

const NAME = 200;
const WORDS = 4000;
const taxon = z.string().refine(isTaxonId, "is no known sheet");
const lat = z.number().min(-90).max(90);
const lon = z.number().min(-180).max(180);
export const positionSchema = z.strictObject({
  lat,
  lon,
  accuracyM: z.number().nonnegative().max(1_000_000).optional(),
});
export type Position = z.infer<typeof positionSchema>;

/** What of a place's position goes to others, where it goes at all. */
export const PLACE_SHARES = ["none", "10km", "1km", "exact"] as const;
export type PlaceShare = (typeof PLACE_SHARES)[number];
export const PLACE_SHARE_WORDS: Readonly<Record<PlaceShare, string>> = {
  none: "nothing",
  "10km": "rounded to 10 km",
  "1km": "rounded to 1 km",
  exact: "as it is",
};

/** The form of a patch. */
export const PATCH_FORMS = ["spot", "bed", "log", "ring", "tree"] as const;
export type PatchForm = (typeof PATCH_FORMS)[number];

/** Once that something was met at a patch, or looked for in vain. */
const metSchema = z.strictObject({
  at: momentSchema,
  bodies: z.int().min(0).max(100_000),
  grams: z.number().min(0).max(1_000_000).optional(),
  find: z.uuid().optional(),
});
export type Met = z.infer<typeof metSchema>;

/** One kind at one spot. What came up there before names nothing that comes up now. */
const patchSchema = z.strictObject({
  id: z.uuid(),
  name: z.string().trim().min(1).max(NAME),
  kind: taxon.optional(),
  form: z.enum(PATCH_FORMS),
  position: positionSchema.optional(),
  met: z.array(metSchema).max(2000),
  /** When competitors were pulled. */
  weeded: z.array(momentSchema).max(500),
});
export type Patch = z.infer<typeof patchSchema>;

/** A limit that the place sets, a day, as the person entered it. */
const placeLimitSchema = z
  .strictObject({
    kind: z.string().min(1).max(NAME),
    grams: z.number().positive().max(1_000_000).optional(),
    pieces: z.int().positive().max(100_000).optional(),
  })
  .refine(({ grams, pieces }) => (grams === undefined) !== (pieces === undefined), "expected either grams or pieces");

export const placeSchema = z
  .strictObject({
    name: z.string().trim().min(1).max(NAME),
    /** A point, or the middle of the outline. */
    position: positionSchema.optional(),
    /** Corners, longitude first, as GeoJSON has them; the last joins the first. */
    outline: z
      .array(z.tuple([lon, lat]))
      .min(3)
      .max(2000)
      .optional(),
    elevationM: z.number().min(-500).max(9000).optional(),
    region: z.enum(REGIONS).optional(),
    habitat: siteSchema.shape.habitat,
    host: siteSchema.shape.host,
    substrate: siteSchema.shape.substrate,
    /** What is wrong with the ground today, and what it was before. */
    concerns: z.array(z.enum(CONCERNS)).max(CONCERNS.length).optional(),
    history: z.string().trim().max(WORDS).optional(),
    owner: z.string().trim().max(WORDS).optional(),
    rule: z.string().trim().max(WORDS).optional(),
    closedMonths: z.array(z.int().min(1).max(12)).max(12).optional(),
    limits: z.array(placeLimitSchema).max(100).optional(),
    share: z.enum(PLACE_SHARES),
    patches: z.array(patchSchema).max(1000),
    note: z.string().trim().max(WORDS).optional(),
  })
  .superRefine(({ patches }, context) => {
    patches.forEach(({ id }, index) => {
      if (patches.findIndex((one) => one.id === id) < index)
        context.addIssue({ code: "custom", path: ["patches", index, "id"], message: "is used twice" });
    });
  });
export type OwnPlace = z.infer<typeof placeSchema>;

export const PLACE_HABITATS = CHARACTERS.habitat.states;
export const PLACE_HOSTS = CHARACTERS.host.states;

/** A place of which nothing but the name is known; its position goes to nobody. */
export const newPlace = (name: string): OwnPlace => ({ name, share: "none", patches: [] });

/** Ground from which nothing is taken, whatever grows there, by the person's own record of its history. */
export const isDirty = ({ concerns = [] }: Pick<OwnPlace, "concerns">): boolean => concerns.length > 0;

/** Whether a place is closed in a month, 1 to 12. */
export const isClosedIn = ({ closedMonths = [] }: Pick<OwnPlace, "closedMonths">, month: number): boolean =>
  closedMonths.includes(month);
