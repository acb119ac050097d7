/** An outing: begun by one touch, in the pocket all the way, ended with what is open. */
import { z } from "zod";
import { momentSchema } from "../find/moment.ts";
import { positionSchema } from "../place/place.ts";
import { daySkySchema } from "../season/day-look.ts";

const NAME = 200;
const WORDS = 4000;

/** How long an outing that nobody ended goes on by itself, hours: a phone that died in the wood ends it too. */
export const LONGEST_HOURS = 16;

const companionSchema = z.strictObject({
  name: z.string().trim().min(1).max(NAME),
  /** Somebody who is new: what they find is looked at by somebody else as well. */
  isNew: z.boolean(),
});
export type Companion = z.infer<typeof companionSchema>;

/** Searching at one place, from when to when. */
const searchSchema = z
  .strictObject({
    id: z.uuid(),
    /** The place's document; left out where it is none of the known ones. */
    place: z.uuid().optional(),
    from: momentSchema,
    to: momentSchema.optional(),
    /** Minutes of searching, as told when leaving; left out, those between. */
    minutes: z
      .number()
      .min(0)
      .max(24 * 60)
      .optional(),
    /** Looked, and there was nothing: as important as a basket. */
    nothing: z.boolean().optional(),
    weeded: z.string().trim().max(WORDS).optional(),
  })
  .refine(({ from, to }) => to === undefined || Date.parse(to) >= Date.parse(from), {
    path: ["to"],
    message: "is before it began",
  });
export type Search = z.infer<typeof searchSchema>;

/** One "nothing here". */
const nothingSchema = z.strictObject({ id: z.uuid(), at: momentSchema, position: positionSchema.optional() });
export type NothingHere = z.infer<typeof nothingSchema>;

export const outingSchema = z
  .strictObject({
    begunAt: momentSchema,
    endedAt: momentSchema.optional(),
    name: z.string().trim().min(1).max(NAME).optional(),
    companions: z.array(companionSchema).max(100),
    sky: daySkySchema.optional(),
    searches: z.array(searchSchema).max(500),
    nothing: z.array(nothingSchema).max(2000),
    /** Who found what, where it was not the person whose log this is. */
    foundBy: z
      .array(
        z.strictObject({
          find: z.uuid(),
          name: z.string().trim().min(1).max(NAME),
          seenBy: z.string().trim().min(1).max(NAME).optional(),
        }),
      )
      .max(2000),
    /** Items that were with one, and those that were missed. */
    packed: z.array(z.string().max(64)).max(100),
    missed: z.array(z.string().max(64)).max(100),
    note: z.string().trim().max(WORDS).optional(),
  })
  .superRefine(({ begunAt, endedAt, searches }, context) => {
    if (endedAt !== undefined && Date.parse(endedAt) < Date.parse(begunAt))
      context.addIssue({ code: "custom", path: ["endedAt"], message: "is before it began" });
    searches.forEach(({ id }, index) => {
      if (searches.findIndex((one) => one.id === id) < index)
        context.addIssue({ code: "custom", path: ["searches", index, "id"], message: "is used twice" });
    });
  });
export type Outing = z.infer<typeof outingSchema>;

/** An outing that begins. */
export const newOuting = (begunAt: string, companions: readonly Companion[], packed: readonly string[]): Outing => ({
  begunAt,
  companions: [...companions],
  searches: [],
  nothing: [],
  foundBy: [],
  packed: [...packed],
  missed: [],
});

const HOUR_MS = 3_600_000;

/** Until when an outing went on, milliseconds: its end, or the longest that one is believed to last. */
export const endOf = ({ begunAt, endedAt }: Pick<Outing, "begunAt" | "endedAt">): number =>
  endedAt === undefined ? Date.parse(begunAt) + LONGEST_HOURS * HOUR_MS : Date.parse(endedAt);

/** Whether an outing is under way. A clock that stands before its beginning was set back: it is. */
export const isUnderWay = (outing: Pick<Outing, "begunAt" | "endedAt">, now: number): boolean =>
  outing.endedAt === undefined && now <= endOf(outing);

/** Minutes of searching: as told, else what lies between. An open search counts until now, or the outing's end. */
export function minutesOf(search: Search, until: number): number {
  if (search.minutes !== undefined) return search.minutes;
  const to = search.to === undefined ? until : Date.parse(search.to);
  return Math.max(0, (to - Date.parse(search.from)) / 60_000);
}

/** The search that is open, where one is. */
export const openSearch = ({ searches }: Pick<Outing, "searches">): Search | undefined =>
  searches.findLast(({ to }) => to === undefined);

/**
 * The searches once somebody searches at a place from a moment on: an open one at the same place goes on, another ends there.
 * @param id of the search that begins, where one does
 */
export function searchingAt(
  searches: readonly Search[],
  place: string | undefined,
  at: string,
  id: string,
): readonly Search[] {
  const open = searches.findLast(({ to }) => to === undefined);
  if (open !== undefined && open.place === place) return searches;
  // a clock that jumped back ends nothing before it began
  const ended = searches.map((one) =>
    one.to === undefined ? { ...one, to: Date.parse(at) < Date.parse(one.from) ? one.from : at } : one,
  );
  return [...ended, { id, from: at, ...(place === undefined ? {} : { place }) }];
}
