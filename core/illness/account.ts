/** What is told while somebody is ill: each thing with its time, added and never edited away. */
import { z } from "zod";
import { momentSchema } from "../find/moment.ts";

const words = z.string().trim().min(1).max(400);
const told = { id: z.string().min(1).max(64), toldAt: momentSchema, struckAt: momentSchema.optional() };

export const mealSchema = z.strictObject({
  ...told,
  kind: z.literal("meal"),
  eatenAt: momentSchema,
  what: words,
  /** The meal or tasting of the log that it is, where there is one. */
  logged: z.uuid().optional(),
});
export const feltSchema = z.strictObject({
  ...told,
  kind: z.literal("felt"),
  who: z.string().trim().max(80),
  since: momentSchema,
  what: words,
});
/** One thing that was told. */
export const toldSchema = z.discriminatedUnion("kind", [mealSchema, feltSchema]);

export type Told = z.infer<typeof toldSchema>;
export type Account = readonly Told[];

/** What may be felt, to be told by a touch; in no order of gravity. */
export const FELT = [
  "sick",
  "cramps",
  "loose",
  "sweating",
  "tears and spit",
  "blurred sight",
  "confused",
  "sees things",
  "drowsy",
  "red face, pounding heart",
  "little or no urine",
  "yellow skin or eyes",
  "joint or muscle pain",
  "feels better again",
] as const;

/** The account with one more thing told. What has been told stays. */
export const tell = (account: Account, one: Told): Account => [...account, one];

/** Strikes one thing out: it stands there, struck, with the time. Struck once it stays as it was struck. */
export const strike = (account: Account, id: string, at: string): Account =>
  account.map((one) => (one.id === id && one.struckAt === undefined ? { ...one, struckAt: at } : one));

/** What is kept, one thing after another: what cannot be read is told apart, so that it is kept as it is. */
export function readTold(kept: unknown): { readonly told: Account; readonly unreadable: readonly unknown[] } {
  const told: Told[] = [];
  const unreadable: unknown[] = [];
  for (const one of Array.isArray(kept) ? kept : []) {
    const read = toldSchema.safeParse(one);
    if (read.success) told.push(read.data);
    else unreadable.push(one);
  }
  return { told, unreadable };
}

/** Two tellings of one account as one, in the order of telling: nothing of either is lost, and what either struck is struck. */
export function togetherTold(one: Account, other: Account): Account {
  const all = new Map(one.map((thing) => [thing.id, thing]));
  for (const thing of other) {
    const there = all.get(thing.id);
    const struck = [there?.struckAt, thing.struckAt].filter((at) => at !== undefined).sort()[0];
    all.set(thing.id, struck === undefined ? thing : { ...thing, struckAt: struck });
  }
  return [...all.values()].sort((a, b) => Date.parse(a.toldAt) - Date.parse(b.toldAt) || (a.id < b.id ? -1 : 1));
}

export type Meal = Told & { readonly kind: "meal" };

/** The meals that stand, the latest first: the windows are counted from each of them. */
export function standingMeals(account: Account): readonly Meal[] {
  return account
    .filter((one): one is Meal => one.kind === "meal" && one.struckAt === undefined)
    .sort((one, other) => Date.parse(other.eatenAt) - Date.parse(one.eatenAt));
}

/** As much as somebody reads out on the telephone, characters. */
export const MESSAGE_LENGTH = 1000;

const clock = (iso: string, at: (iso: string) => string, now: Date): string => {
  const hours = Math.round((now.getTime() - Date.parse(iso)) / 360_000) / 10;
  return `${at(iso)} (${hours >= 0 ? `${hours} h ago` : "a time still to come"})`;
};

/**
 * The account as it is read out on the telephone, at most a thousand characters: meals first, then what is felt, as told.
 * @param at a moment in the words of the place
 */
export function messageOf(account: Account, now: Date, at: (iso: string) => string): string {
  const standing = account.filter((one) => one.struckAt === undefined);
  const lines = [
    "Mushrooms were eaten.",
    ...standing.flatMap((one) => (one.kind === "meal" ? `Eaten ${clock(one.eatenAt, at, now)}: ${one.what}.` : [])),
    ...(standing.some((one) => one.kind === "meal") ? [] : ["When and what is not told yet."]),
    ...standing.flatMap((one) =>
      one.kind === "felt"
        ? `${one.who === "" ? "Felt" : one.who}: ${one.what}, since ${clock(one.since, at, now)}.`
        : [],
    ),
  ];
  const end = "More than one kind may have been in it. Early sickness does not exclude a late liver poison.";
  const room = MESSAGE_LENGTH - end.length - 1;
  let text = "";
  for (const line of lines) {
    if (text.length + line.length + 1 > room) {
      const more = "More is written down here.";
      return `${text.slice(0, room - more.length - 1)}${more} ${end}`;
    }
    text += `${line} `;
  }
  return text + end;
}
