/** All that the season's views stand on: outings, finds and decisions as far as they are counted, places, dates, the sheets' months. */
import { type KeptPlace, type SeasonSheet, type Visit, visitsOf } from "@jittery-cap/core/season";
import { useLiveQuery } from "dexie-react-hooks";
import { useMemo } from "react";
import { device } from "../documents/device.ts";
import { isReadable, type Kept, listKept } from "../documents/documents.ts";
import { useSync } from "../documents/sync.ts";
import { useNow } from "../field-tests/use-now.ts";
import { useShelf } from "../sheets/use-shelf.ts";
import { countedOf, decidedOf, type SeasonFind } from "./counted.ts";
import { dayOf } from "./local-day.ts";

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
  /** Whether it stands on all that the server had; where not, the numbers are not all of them. */
  readonly isWhole: boolean;
}

/** @param isWhole whether all was fetched before this is read: what was read before that is not the whole of it */
async function read(isWhole: boolean) {
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
  const decided = decidedOf(decisions.map(({ content }) => content));
  const counted = finds.flatMap(({ content }) => countedOf(content, decided, kept) ?? []);
  const going = outings.filter(isReadable);
  return {
    isWhole,
    outings: going,
    places: kept,
    reminders: reminders.filter(isReadable),
    finds: counted,
    visits: visitsOf(going, counted, kept, dayOf),
  };
}

/** Undefined while it is looked for; failed where the sheets cannot be had. */
export function useSeason(): Season | "failed" | undefined {
  const hasPulled = useSync((state) => state.hasPulled);
  const kept = useLiveQuery(() => read(hasPulled), [hasPulled]);
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
