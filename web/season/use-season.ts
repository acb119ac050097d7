/** All that the season's views stand on: outings, finds and decisions as far as they are counted, places, dates, the sheets' months. */
import { ENDINGS, isAmongFood } from "@jittery-cap/core";
import {
  type CountedFind,
  type FoundThere,
  type KeptPlace,
  placeOfFind,
  type SeasonSheet,
  type Visit,
  visitsOf,
} from "@jittery-cap/core/season";
import { useLiveQuery } from "dexie-react-hooks";
import { useMemo } from "react";
import { z } from "zod";
import { device } from "../documents/device.ts";
import { isReadable, type Kept, listKept } from "../documents/documents.ts";
import { useNow } from "../field-tests/use-now.ts";
import { useShelf } from "../sheets/use-shelf.ts";
import { dayOf } from "./local-day.ts";

/** A find as the season counts it, and as its lists name it. */
export interface SeasonFind extends CountedFind, FoundThere {
  readonly label: string;
  /** The place's document, where it lies in one. */
  readonly placeId: string | undefined;
  readonly position: { readonly lat: number; readonly lon: number } | undefined;
}

export interface Season {
  /** Latest first. */
  readonly outings: readonly Kept<"outing">[];
  readonly finds: readonly SeasonFind[];
  readonly visits: readonly Visit[];
  readonly places: readonly KeptPlace[];
  readonly reminders: readonly Kept<"reminder">[];
  readonly sheets: readonly SeasonSheet[];
  readonly sheetOf: (id: string) => SeasonSheet | undefined;
  readonly nameOf: (id: string) => string;
  readonly now: Date;
  readonly today: string;
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

interface Decided {
  readonly at: number;
  readonly restsOn: readonly string[];
}

function countedOf(
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

async function read() {
  const all = <Name extends "outing" | "place" | "reminder">(name: Name) => listKept(name, Number.POSITIVE_INFINITY);
  const rowsOf = (kind: string) =>
    device.documents.where("[kind+archived+listedAt]").between([kind, 0, ""], [kind, 0, "\uffff"]).toArray();
  const [outings, places, reminders, finds, decisions] = await Promise.all([
    all("outing"),
    all("place"),
    all("reminder"),
    rowsOf("find"),
    rowsOf("decision"),
  ]);
  const kept = places.filter(isReadable);
  const decided = new Map<string, Decided>();
  for (const { content } of decisions) {
    const told = decisionSchema.safeParse(content);
    if (told.success)
      decided.set(told.data.find.id, { at: Date.parse(told.data.decidedAt), restsOn: told.data.answer.restsOn });
  }
  const counted = finds.flatMap(({ content }) => countedOf(content, decided, kept) ?? []);
  const going = outings.filter(isReadable);
  return {
    outings: going,
    places: kept,
    reminders: reminders.filter(isReadable),
    finds: counted,
    visits: visitsOf(going, counted, kept, dayOf),
  };
}

/** Undefined while it is looked for; failed where the sheets cannot be had. */
export function useSeason(): Season | "failed" | undefined {
  const kept = useLiveQuery(read);
  const shelf = useShelf("season", (remote) => remote.seasonSheets());
  const now = useNow();
  const sheets = shelf.state === "told" ? shelf.reply : undefined;
  const byId = useMemo(() => new Map((sheets ?? []).map((sheet) => [sheet.id, sheet])), [sheets]);
  if (shelf.state === "failed") return "failed";
  if (kept === undefined || sheets === undefined) return undefined;
  return {
    ...kept,
    sheets,
    sheetOf: (id) => byId.get(id),
    nameOf: (id) => byId.get(id)?.names.common ?? id,
    now,
    today: dayOf(now),
  };
}
