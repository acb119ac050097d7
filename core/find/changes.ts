/** Every change to a find, as a small value: what a field may be set to follows from the field. */
import { z } from "zod";
import { entrySchema } from "./entry.ts";
import type { Reach } from "./reach.ts";
import { bodyIdSchema, bodySchema, findSchema, placeSchema, rulesSchema, siteSchema, weatherSchema } from "./schema.ts";
import { CHARACTER_IDS } from "./vocabulary.ts";

const observer = z.string().min(1).max(64).optional();

/** One field that can be set, or left out for null. */
const setting = <Kind extends string, Field extends string, Value extends z.ZodType>(
  kind: Kind,
  field: Field,
  value: z.ZodOptional<Value>,
) => z.strictObject({ kind: z.literal(kind), field: z.literal(field), value: z.union([value.unwrap(), z.null()]) });

/** The same, of one body. */
const bodySetting = <Field extends string, Value extends z.ZodType>(field: Field, value: z.ZodOptional<Value>) =>
  setting("set-body", field, value).extend({ body: bodyIdSchema });

const body = bodySchema.shape;
const setBodySchema = z.discriminatedUnion("field", [
  bodySetting("age", body.age),
  bodySetting("lifted", body.lifted),
  bodySetting("wear", body.wear),
  bodySetting("hoursSincePicked", body.hoursSincePicked),
  bodySetting("firmness", body.firmness),
  bodySetting("larvae", body.larvae),
  bodySetting("larvaeParts", body.larvaeParts),
  bodySetting("ending", body.ending),
  bodySetting("measures", body.measures),
  bodySetting("measuredBy", body.measuredBy),
  bodySetting("print", body.print),
  bodySetting("sameAs", body.sameAs),
  bodySetting("seenAt", body.seenAt),
  bodySetting("keep", body.keep),
  bodySetting("note", body.note),
  bodySetting("parted", body.parted),
  bodySetting("sorted", body.sorted),
]);

const site = siteSchema.shape;
const setSiteSchema = z.discriminatedUnion("field", [
  setting("set-site", "habitat", site.habitat),
  setting("set-site", "substrate", site.substrate),
  setting("set-site", "host", site.host),
  setting("set-site", "growth", site.growth),
  setting("set-site", "concerns", site.concerns),
  setting("set-site", "neighbours", site.neighbours),
]);

const weather = weatherSchema.shape;
const setWeatherSchema = z.discriminatedUnion("field", [
  setting("set-weather", "frostLastNight", weather.frostLastNight),
  setting("set-weather", "drySpellDays", weather.drySpellDays),
  setting("set-weather", "rain24hMm", weather.rain24hMm),
  setting("set-weather", "airTempC", weather.airTempC),
  setting("set-weather", "warmedInHand", weather.warmedInHand),
  setting("set-weather", "cannotSmell", weather.cannotSmell),
  setting("set-weather", "printPaper", weather.printPaper),
]);

const place = placeSchema.shape;
const setPlaceSchema = z.discriminatedUnion("field", [
  setting("set-place", "lat", place.lat),
  setting("set-place", "lon", place.lon),
  setting("set-place", "accuracyM", place.accuracyM),
  setting("set-place", "elevationM", place.elevationM),
  setting("set-place", "region", place.region),
  setting("set-place", "name", place.name),
]);

const rule = rulesSchema.shape;
/** A house rule set, in a find or for all new ones. */
export const setRuleSchema = z.discriminatedUnion("field", [
  setting("set-rule", "amanitas", rule.amanitas),
  setting("set-rule", "smallBrown", rule.smallBrown),
  setting("set-rule", "naming", rule.naming),
  setting("set-rule", "upsetters", rule.upsetters),
  setting("set-rule", "dirtyGround", rule.dirtyGround),
  setting("set-rule", "larvae", rule.larvae),
  setting("set-rule", "distance", rule.distance),
  setting("set-rule", "foreignSickeners", rule.foreignSickeners),
]);

const find = findSchema.shape;
const setFindSchema = z.discriminatedUnion("field", [
  setting("set-find", "label", find.label),
  setting("set-find", "note", find.note),
  setting("set-find", "foundAt", find.foundAt),
  setting("set-find", "takenFor", find.takenFor),
  setting("set-find", "observers", find.observers),
]);

/** The kinds of change. Those that set a field carry its name and its value, null for none. */
export const changeSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("observe"),
    body: bodyIdSchema,
    character: z.enum(CHARACTER_IDS),
    by: observer,
    entries: z.array(entrySchema).min(1),
  }),
  z.strictObject({
    kind: z.literal("unsee"),
    body: bodyIdSchema,
    character: z.enum(CHARACTER_IDS),
    by: observer,
  }),
  z.strictObject({ kind: z.literal("add-body"), body: bodySchema, index: z.int().nonnegative().optional() }),
  z.strictObject({ kind: z.literal("remove-body"), body: bodyIdSchema }),
  setBodySchema,
  setSiteSchema,
  setWeatherSchema,
  setPlaceSchema,
  setRuleSchema,
  setFindSchema,
]);
export type Change = z.infer<typeof changeSchema>;

/** A change that sets one field of a find, of its parts or of a body. */
export type SetChange = Extract<Change, { field: string }>;

/**
 * A change that sets a field whose name is known only at run time; nothing said leaves the field out. The value is looked
 * through with the record when the change is applied, and refused there with its path where it is none for the field.
 */
export function setChange(
  target:
    | { readonly kind: "set-body"; readonly body: string }
    | { readonly kind: Exclude<SetChange["kind"], "set-body"> },
  field: string,
  value: unknown,
): Change {
  return { ...target, field, value: value ?? null } as Change;
}

/** How far a change reaches. The order of the bodies is one thing: whoever adds or removes one touches it. */
export function reachOf(change: Change): Reach {
  switch (change.kind) {
    case "observe":
    case "unsee":
      return { touches: [`body/${change.body}/seen/${change.character}/${change.by ?? ""}`], reliesOn: [] };
    case "add-body":
      return {
        touches: ["bodies", `body/${change.body.id}`],
        reliesOn: change.body.sameAs === undefined ? [] : [`body/${change.body.sameAs}/id`],
      };
    case "remove-body":
      return { touches: ["bodies", `body/${change.body}`], reliesOn: [] };
    case "set-body":
      return {
        touches: [`body/${change.body}/${change.field}`],
        // a body cannot be likened to one that is taken out at the same time
        reliesOn: change.field === "sameAs" && change.value !== null ? [`body/${change.value}/id`] : [],
      };
    default:
      return { touches: [`${change.kind}/${change.field}`], reliesOn: [] };
  }
}
