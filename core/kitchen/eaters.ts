/** Who eats, and what each may not have. Children, the pregnant and the ill get none, and nothing here can switch that off. */
import { z } from "zod";

/** What matters of a person at the table. */
export const MATTERS = ["child", "pregnant", "breastfeeding", "ill", "frail"] as const;
export type Matter = (typeof MATTERS)[number];

const NAME_LENGTH = 80;

/** A person of the household. Kept on the device alone: a meal that is sent knows people by their ids. */
export const eaterSchema = z.strictObject({
  id: z.uuid(),
  name: z.string().trim().min(1, "expected a name").max(NAME_LENGTH),
  matters: z.array(z.enum(MATTERS)).max(MATTERS.length),
  ageYears: z.number().min(0).max(130).optional(),
  weightKg: z.number().positive().max(400).optional(),
  medicines: z.string().trim().max(400).optional(),
  /** Kinds that they have had before, as they tell it, and whether there ever was trouble. */
  had: z
    .array(z.strictObject({ kind: z.string().max(80), trouble: z.boolean() }))
    .max(300)
    .optional(),
});
export type Eater = z.infer<typeof eaterSchema>;

/** Under this age somebody is a child, whatever else was told (common practice, no source; the strict side of it). */
export const CHILD_UNTIL_YEARS = 16;
/** Wild mushrooms on so many days before in a row are enough (common practice, no source). */
export const DAYS_RUNNING = 2;

/** A cooked portion, grams of fresh weight a person: a meal, the small one of kinds that ask for it and of the frail. */
export const PORTION_GRAMS = { least: 100, meal: 150, small: 50 } as const;

export const EATER_REFUSALS = [
  "child",
  "pregnant",
  "breastfeeding",
  "ill",
  "had-trouble",
  "alcohol",
  "alcohol-untold",
  "days-running",
  "new-kind",
  "second-new-kind",
  "other-tasting",
  "own-tasting",
] as const;
export type EaterRefusal = (typeof EATER_REFUSALS)[number];

export const EATER_REFUSAL_WORDS: Readonly<Record<EaterRefusal, string>> = {
  child: "a child: none of any wild mushroom",
  pregnant: "pregnant: none of any wild mushroom",
  breastfeeding: "breastfeeding: none of any wild mushroom",
  ill: "ill: none of any wild mushroom",
  "had-trouble": "had trouble with this kind before: never again",
  alcohol: "has drunk alcohol within the hours that this kind forbids it",
  "alcohol-untold": "not told when there was alcohol last, and this kind forbids it for days",
  "days-running": "had wild mushrooms on two days running: none today",
  "new-kind": "new to this kind: a first tasting only, a tablespoon",
  "second-new-kind": "two new kinds on one day: one at a time",
  "other-tasting": "a first tasting of another kind is under way",
  "own-tasting": "a first tasting of it is under way: its portions are had by that, each after its wait",
};

/** Those that no kind changes: who has one of them eats none at all. */
const NONE_AT_ALL: ReadonlySet<EaterRefusal> = new Set(["child", "pregnant", "breastfeeding", "ill", "days-running"]);
export const isNoneAtAll = (refusal: EaterRefusal): boolean => NONE_AT_ALL.has(refusal);

/** What refuses every wild mushroom to a person. @param wildDays days before, in a row, on which they had some */
export function refusedAltogether(
  eater: Pick<Eater, "matters" | "ageYears">,
  wildDays: number,
): readonly EaterRefusal[] {
  const matters = new Set<Matter>(eater.matters);
  if (eater.ageYears !== undefined && eater.ageYears < CHILD_UNTIL_YEARS) matters.add("child");
  return [
    ...(["child", "pregnant", "breastfeeding", "ill"] as const).filter((one) => matters.has(one)),
    ...(wildDays >= DAYS_RUNNING ? (["days-running"] as const) : []),
  ];
}

/** What of a kind, and of what a person has had, decides whether they may have it. */
export interface KindForEater {
  readonly sheet: string;
  /** Hours without alcohol before and after, where the kind asks for them. */
  readonly alcoholHours: readonly [before: number, after: number] | undefined;
  /** Whether the person has had it before without trouble, or a whole tasting of it that ended well. */
  readonly isKnown: boolean;
  readonly hadTrouble: boolean;
}

export interface EaterToday {
  /** When they last drank alcohol; null: not within the last week; undefined: nobody told. */
  readonly lastAlcoholAt: string | null | undefined;
  /** The kind of a tasting that is under way, or of which a portion was had today. */
  readonly tasting: string | undefined;
}

/**
 * What refuses one kind to a person, beside what refuses all.
 * @param kinds every kind of the meal that the person would have
 * @param servedAt when it is served, milliseconds
 */
export function refusedOfKind(
  kind: KindForEater,
  kinds: readonly KindForEater[],
  today: EaterToday,
  servedAt: number,
): readonly EaterRefusal[] {
  const refusals: EaterRefusal[] = kind.hadTrouble ? ["had-trouble"] : [];
  const { alcoholHours } = kind;
  if (alcoholHours !== undefined) {
    const { lastAlcoholAt } = today;
    if (lastAlcoholAt === undefined) refusals.push("alcohol-untold");
    // a drink that is still to come forbids it as well: it would fall into the hours after
    else if (lastAlcoholAt !== null && !(servedAt - Date.parse(lastAlcoholAt) >= alcoholHours[0] * HOUR_MS))
      refusals.push("alcohol");
  }
  if (!kind.isKnown) {
    if (today.tasting !== undefined) refusals.push(today.tasting === kind.sheet ? "own-tasting" : "other-tasting");
    else if (kinds.some((other) => !other.isKnown && other.sheet !== kind.sheet)) refusals.push("second-new-kind");
    else refusals.push("new-kind");
  }
  return refusals;
}

const HOUR_MS = 3_600_000;
