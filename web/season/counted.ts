/** Finds as the season counts them, out of records and decisions. */
import { ENDINGS, isAmongFood } from "@jittery-cap/core";
import { type CountedFind, type FoundThere, type KeptPlace, placeOfFind } from "@jittery-cap/core/season";
import { z } from "zod";
import { dayOf } from "./local-day.ts";

/** A find as the season counts it, and as its lists name it. */
export interface SeasonFind extends CountedFind, FoundThere {
  readonly label: string;
  /** The place's document, where it lies in one. */
  readonly placeId: string | undefined;
  readonly position: { readonly lat: number; readonly lon: number } | undefined;
}

/** As much of a record as the season counts: of thousands, so no more than that. */
const findSchema = z.object({
  id: z.string(),
  label: z.string().optional(),
  foundAt: z.string().optional(),
  takenFor: z.string().optional(),
  place: z.object({ lat: z.number().optional(), lon: z.number().optional(), name: z.string().optional() }).optional(),
  bodies: z.array(
    z.object({
      ending: z.enum(ENDINGS).optional(),
      measures: z.object({ weightG: z.number().optional() }).optional(),
    }),
  ),
});
const decisionSchema = z.object({
  find: z.object({ id: z.string() }),
  decidedAt: z.string(),
  answer: z.object({ restsOn: z.array(z.string()) }),
});

/** Endings after which a first idea names nothing any more. */
const REFUTED: ReadonlySet<string> = new Set([
  "left-test-failed",
  "left-unknown",
  "puzzle-kept-open",
  "left-genus-passed-over",
]);
/** A decision that took longer is of another day's work, minutes. */
const LONGEST_MIN = 48 * 60;

/** What a decision came to. */
export interface Decided {
  readonly at: number;
  readonly restsOn: readonly string[];
}

/** The latest decision of each find. @param contents oldest first; what cannot be read is left out */
export function decidedOf(contents: readonly unknown[]): ReadonlyMap<string, Decided> {
  const decided = new Map<string, Decided>();
  for (const content of contents) {
    const told = decisionSchema.safeParse(content);
    if (told.success)
      decided.set(told.data.find.id, { at: Date.parse(told.data.decidedAt), restsOn: told.data.answer.restsOn });
  }
  return decided;
}

/**
 * A find as it counts: for the kind that its decision rests on (the one it was taken for, where that is among them), else for what
 * it was taken for, unless every ending of it says that it was not.
 */
export function countedOf(
  content: unknown,
  decided: ReadonlyMap<string, Decided>,
  places: readonly KeptPlace[],
): SeasonFind | undefined {
  const read = findSchema.safeParse(content);
  if (!read.success || read.data.foundAt === undefined) return undefined;
  const { id, label, foundAt, takenFor, place, bodies } = read.data;
  const at = Date.parse(foundAt);
  const decision = decided.get(id);
  const named = decision?.restsOn ?? [];
  const endings = bodies.flatMap(({ ending }) => ending ?? []);
  const isRefuted = endings.length > 0 && endings.every((ending) => REFUTED.has(ending));
  const kind =
    named.length > 0 ? (named.find((one) => one === takenFor) ?? named[0]) : isRefuted ? undefined : takenFor;
  const there = placeOfFind(place, places);
  const minutes = decision === undefined ? undefined : (decision.at - at) / 60_000;
  return {
    id,
    at,
    day: dayOf(at),
    kind,
    label: label ?? "a find without a name",
    where: place,
    place: there?.content.name ?? place?.name,
    placeId: there?.id,
    position: place?.lat === undefined || place.lon === undefined ? undefined : { lat: place.lat, lon: place.lon },
    grams: bodies.reduce(
      (sum, { ending, measures }) => sum + (ending !== undefined && isAmongFood(ending) ? (measures?.weightG ?? 0) : 0),
      0,
    ),
    endings,
    takenFor,
    named,
    minutes: minutes === undefined || minutes < 0 || minutes > LONGEST_MIN ? undefined : minutes,
  };
}
