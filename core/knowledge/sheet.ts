/** The sheet: what is known of one taxon, as data. */
import { z } from "zod";
import { DANGER_TIERS, isTaxonId, registeredTier, TIERS } from "../find/taxa.ts";
import { AGES, type Age, CHARACTER_IDS, type CharacterId, definitionOf, REGIONS } from "../find/vocabulary.ts";
import { type AgeTable, FREQUENCIES, type StateTable, tablesOf } from "./state-tables.ts";

const AGE_SET: ReadonlySet<string> = new Set(AGES);
const frequencyTable = z.record(z.string(), z.enum(FREQUENCIES));

function checkStates(id: CharacterId, table: object, context: z.RefinementCtx, path: string[]): void {
  const allowed = definitionOf(id).states;
  const states = Object.keys(table);
  if (states.length === 0) context.addIssue({ code: "custom", path, message: "lists no state" });
  for (const state of states)
    if (!allowed.includes(state))
      context.addIssue({
        code: "custom",
        path: [...path, state],
        message: `unknown state of ${id}; allowed: ${allowed.join(", ")}`,
      });
}

/** Either one table for every age, or tables by "young" or "mature, old"; the answer is always by age. */
function characterSchema(id: CharacterId) {
  return z
    .union([frequencyTable, z.record(z.string(), frequencyTable)])
    .superRefine((table, context) => {
      for (const [key, inner] of Object.entries(table)) {
        if (typeof inner === "string") continue;
        for (const age of key.split(/\s*,\s*/))
          if (!AGE_SET.has(age))
            context.addIssue({
              code: "custom",
              path: [key],
              message: `unknown age ${age}; allowed: ${AGES.join(", ")}`,
            });
        if (!definitionOf(id).byAge)
          context.addIssue({ code: "custom", path: [key], message: `${id} does not change with age` });
        checkStates(id, inner, context, [key]);
      }
      if (Object.values(table).every((inner) => typeof inner === "string")) checkStates(id, table, context, []);
    })
    .transform((table): AgeTable => {
      const byAge: Partial<Record<Age, StateTable>> = {};
      const whole = frequencyTable.safeParse(table);
      if (whole.success) for (const age of AGES) byAge[age] = whole.data;
      else
        for (const [key, inner] of Object.entries(table))
          if (typeof inner !== "string")
            for (const age of AGES) if (key.split(/\s*,\s*/).includes(age)) byAge[age] = inner;
      return byAge;
    });
}

const charactersSchema = z.strictObject(
  Object.fromEntries(CHARACTER_IDS.map((id) => [id, characterSchema(id).optional()])),
);

const clauseSchema = z.strictObject({
  character: z.enum(CHARACTER_IDS),
  states: z.array(z.string()).min(1),
  /** What may be seen with them and proves nothing by itself: the yellow under the red of a stem. */
  beside: z.array(z.string()).min(1).optional(),
  ages: z.array(z.enum(AGES)).min(1).optional(),
});
/** One sure observation that a must rests on. */
export type Clause = z.infer<typeof clauseSchema>;

const mustSchema = z.strictObject({
  character: z.enum(CHARACTER_IDS),
  says: z.string().min(3),
  /** Asked only in these regions, where a twin lives, and wherever no region is told; left out, it is asked everywhere. */
  regions: z.array(z.enum(REGIONS)).min(1).optional(),
  /** Any one way is enough; all clauses of a way are needed. */
  ways: z.array(z.array(clauseSchema).min(1)).min(1),
});
/** Something that has to be seen before the kind may be named. */
export type Must = z.infer<typeof mustSchema>;

const neverSchema = z
  .strictObject({
    character: z.enum(CHARACTER_IDS),
    states: z.array(z.string()).min(1),
    /** What it rests on, in words. */
    why: z.string().min(3),
  })
  .superRefine(({ character, states }, context) => {
    for (const state of states)
      if (!definitionOf(character).states.includes(state))
        context.addIssue({ code: "custom", path: ["states"], message: `${state} is no state of ${character}` });
  });
/** States that a kind shows at no age, in no weather, wear or light, and that nobody takes for one that it shows. */
export type Never = z.infer<typeof neverSchema>;

const range = z
  .tuple([z.number().positive(), z.number().positive()])
  .refine(([low, high]) => low < high, "the smaller number comes first");
const sizesSchema = z.strictObject({
  capCm: range.optional(),
  stemLengthCm: range.optional(),
  stemWidthMm: range.optional(),
  thicknessMm: range.optional(),
  sporeLengthUm: range.optional(),
  sporeWidthUm: range.optional(),
});

/** What puts a sheet's own mask in force on a body. */
export const MASK_MOMENTS = [
  "always",
  "button",
  "mature",
  "old",
  "wear",
  "rain",
  "weathered",
  "frost",
  "drought",
  "cold",
  "stale",
] as const;
export type MaskMoment = (typeof MASK_MOMENTS)[number];

const ownMaskSchema = z
  .strictObject({
    characters: z.array(z.enum(CHARACTER_IDS)).min(1),
    /** True states that it can hide; left out for all. */
    from: z.array(z.string()).min(1).optional(),
    /** What is then seen; left out for anything. */
    to: z.array(z.string()).min(1).optional(),
    /** Any one of these puts it in force. */
    when: z.array(z.enum(MASK_MOMENTS)).min(1),
    why: z.string().min(3),
    lift: z.string().min(3).optional(),
  })
  .superRefine((mask, context) => {
    for (const field of ["from", "to"] as const)
      for (const state of mask[field] ?? [])
        if (!mask.characters.some((id) => definitionOf(id).states.includes(state)))
          context.addIssue({ code: "custom", path: [field], message: `${state} is a state of none of its characters` });
  });
/** Something that hides this one kind's true states, beyond what hides every kind's. */
export type OwnMask = z.infer<typeof ownMaskSchema>;

/** What the knowledge lint may find and a sheet may excuse, always with a reason. */
export const LINT_RULES = [
  "lookalike-not-mutual",
  "pair-not-separable",
  "pair-of-practice",
  "typical-find",
  "too-few-characters",
  "months",
  "genus-count",
  "basis-of-nothing",
  "veil-at-the-border",
  "ground-tells-nothing",
] as const;
export type LintRule = (typeof LINT_RULES)[number];

const exceptionSchema = z.strictObject({
  rule: z.enum(LINT_RULES),
  /** The other sheet of a pair. */
  with: z.string().optional(),
  reason: z.string().min(10),
});

const basisSchema = z
  .record(
    z.string(),
    z.union([z.enum(["memory", "common-practice"]), z.strictObject({ published: z.string().min(5) })]),
  )
  .refine((basis) => "default" in basis, "says no default basis");

const taxonId = z.string().refine(isTaxonId, "is no known taxon");

const minutes = z.int().positive().max(240);
/** What the kitchen asks of a kind: least times in minutes, and amounts. */
const kitchenSchema = z.strictObject({
  /** At a lively heat, at the least; left out of what is only for infusions. */
  minutes: minutes.optional(),
  /** Boiled first for so long, and that water away. */
  boilMinutes: minutes.optional(),
  /** First dry in the pan, the water poured off. */
  dryPanMinutes: minutes.optional(),
  /** Its stems are cooked by themselves for so long. */
  stemMinutes: minutes.optional(),
  /** Hours without alcohol before and after. */
  alcoholHours: z.tuple([z.number().positive(), z.number().positive()]).optional(),
  /** Gathers metals from the ground: seldom, and never old ones. */
  storesMetals: z.literal(true).optional(),
  /** A small portion at every meal. */
  smallPortion: z.literal(true).optional(),
  /** Small firm ones are pickled. */
  pickles: z.literal(true).optional(),
  /** Of its weight so much is left in the pan. */
  cookedShare: z.number().positive().max(1).optional(),
  infusion: z.strictObject({ perCup: z.string().min(3), minutes, timesAWeek: z.int().positive().max(3) }).optional(),
});

const handlingSchema = z.strictObject({
  parts: z.string(),
  cooking: z.string(),
  /** What else has to be minded about this kind, each a sentence. */
  warnings: z.array(z.string().min(3)).optional(),
  alcohol: z.enum(["never"]).optional(),
  rawPoisonous: z.boolean().optional(),
  boilFirst: z.boolean().optional(),
  /** Too tough for the pan: gathered for infusions, with no claim for health. */
  infusionOnly: z.boolean().optional(),
  /** Parts that come off before cooking. */
  remove: z.array(z.enum(["skin", "tubes", "stem", "foot"])).optional(),
  containers: z.string().optional(),
  kitchen: kitchenSchema.optional(),
});

export const sheetSchema = z
  .strictObject({
    id: taxonId,
    names: z.strictObject({
      scientific: z.string().min(3),
      common: z.string().min(3),
      also: z.array(z.string()),
      synonyms: z.array(z.string()),
    }),
    tier: z.enum(TIERS),
    syndrome: z.string().min(3).optional(),
    onsetHours: range.optional(),
    genus: z.strictObject({
      name: z.string().min(3),
      kindsKnown: z.int().positive(),
      kindsInGenus: z.int().positive(),
      note: z.string(),
    }),
    /** Its buttons pass for buttons of sought kinds. */
    buttonLike: z.boolean().default(false),
    /** A house rule that has to allow it. */
    houseRule: z.enum(["amanitas", "small-brown", "upsetters"]).optional(),
    bearsFrost: z.boolean().default(false),
    musts: z.array(mustSchema).min(2),
    /** On bodies of how many different ages its musts must have been seen. */
    agesNeeded: z.int().min(1).max(3).default(1),
    /** What a danger never shows; sparingly, each with what it rests on. */
    never: z.array(neverSchema).default([]),
    /** Characters whose must has to be seen on every single body that is kept. */
    everyBody: z.array(z.enum(CHARACTER_IDS)).default([]),
    characters: charactersSchema,
    masks: z.array(ownMaskSchema).default([]),
    sizes: sizesSchema,
    months: z.partialRecord(z.enum(REGIONS), z.array(z.int().min(1).max(12)).min(1)),
    /** Seasons say nothing of it: it stands the whole year. */
    allYear: z.boolean().default(false),
    /** Its months are a character of it: without a date it may not be named. */
    seasonIsMust: z.boolean().default(false),
    elevationM: range.optional(),
    lookalikes: z.array(taxonId),
    company: z.array(taxonId),
    keeping: z.strictObject({ frost: z.enum(["borne", "lost"]), coldDays: z.number().nonnegative() }),
    handling: handlingSchema,
    basis: basisSchema,
    /** What the lint may pass over here, and why. */
    exceptions: z.array(exceptionSchema).default([]),
  })
  .superRefine((sheet, context) => {
    if (registeredTier(sheet.id) !== sheet.tier)
      context.addIssue({
        code: "custom",
        path: ["tier"],
        message: `the register holds ${sheet.id} as ${registeredTier(sheet.id)}`,
      });
    checkKitchen(sheet, context);
    if (sheet.never.length > 0 && !DANGER_TIERS.has(sheet.tier))
      context.addIssue({ code: "custom", path: ["never"], message: "is told of dangers only" });
    sheet.never.forEach(({ character, states }, index) => {
      for (const state of states)
        if (tablesOf(sheet.characters[character], undefined).some((table) => state in table))
          context.addIssue({
            code: "custom",
            path: ["never", index],
            message: `${character} ${state} is listed by the sheet itself`,
          });
    });
    sheet.musts.forEach((must, index) => {
      must.ways.flat().forEach((clause) => {
        for (const state of [...clause.states, ...(clause.beside ?? [])]) {
          const listed = tablesOf(sheet.characters[clause.character], clause.ages);
          if (!listed.some((table) => state in table))
            context.addIssue({
              code: "custom",
              path: ["musts", index],
              message: `${clause.character} ${state} is a must that the sheet itself does not list`,
            });
        }
      });
    });
  });

/** What is for the pot says how it is cooked, and what is boiled or never with alcohol says for how long. */
function checkKitchen(
  { tier, handling }: { readonly tier: string; readonly handling: z.infer<typeof handlingSchema> },
  context: z.RefinementCtx,
): void {
  const { kitchen, boilFirst, alcohol, infusionOnly } = handling;
  const wrong = (field: string, message: string) =>
    context.addIssue({ code: "custom", path: ["handling", "kitchen", field], message });
  if (tier === "edible" || tier === "conditional") {
    if (kitchen?.[infusionOnly === true ? "infusion" : "minutes"] === undefined)
      wrong(infusionOnly === true ? "infusion" : "minutes", "is missing of a kind that is for the pot");
  } else if (kitchen !== undefined) wrong("minutes", "is told only of kinds that are for the pot");
  if ((boilFirst === true) !== (kitchen?.boilMinutes !== undefined)) wrong("boilMinutes", "goes with boilFirst");
  if ((alcohol === "never") !== (kitchen?.alcoholHours !== undefined))
    wrong("alcoholHours", "goes with alcohol: never");
}

/** A sheet as compiled from its data file. */
export type Sheet = z.infer<typeof sheetSchema>;
