/** An outing with all that belongs to it, as the screens show it. */
import type { Find } from "@jittery-cap/core";
import {
  isUnderWay,
  type KeptPlace,
  type Outing,
  outingFinder,
  type Reminder,
  type StillOpen,
  stillOpen,
  type TrackPoint,
} from "@jittery-cap/core/season";
import { useLiveQuery } from "dexie-react-hooks";
import { device } from "../documents/device.ts";
import { isReadable, type Kept, listKept, readRow } from "../documents/documents.ts";
import { allPlaces } from "./on-the-way.ts";
import { keptOutings, pointsOf } from "./track-store.ts";

export interface WholeOuting {
  readonly id: string;
  readonly content: Outing;
  readonly isGoing: boolean;
  /** Earliest first. */
  readonly finds: readonly Kept<"find">[];
  readonly places: readonly KeptPlace[];
  readonly points: readonly TrackPoint[];
  readonly open: readonly StillOpen[];
}

/** The finds within some hours around an outing; more are not read. */
async function findsAround({ begunAt }: Outing, until: number): Promise<readonly Kept<"find">[]> {
  const from = new Date(Date.parse(begunAt) - 3_600_000).toISOString();
  const rows = await device.documents
    .where("[kind+archived+listedAt]")
    .between(["find", 0, from], ["find", 0, new Date(until + 3_600_000).toISOString()])
    .toArray();
  return rows.map((row) => readRow("find", row)).filter(isReadable);
}

async function whole(outing: Kept<"outing">, outings: readonly Kept<"outing">[], now: number): Promise<WholeOuting> {
  const { id, content } = outing;
  const until = content.endedAt === undefined ? now : Date.parse(content.endedAt);
  const [around, places, points, reminders] = await Promise.all([
    findsAround(content, until),
    allPlaces(),
    pointsOf(id),
    listKept("reminder", Number.POSITIVE_INFINITY),
  ]);
  const outingOf = outingFinder(outings);
  const finds = around.filter(({ content: find }) => belongs(find, outingOf)?.id === id);
  const dates = reminders.filter(isReadable).map((one): Reminder => one.content);
  return {
    id,
    content,
    isGoing: isUnderWay(content, now),
    finds,
    places,
    points,
    open: stillOpen(
      content,
      finds.map((one) => one.content),
      dates,
    ),
  };
}

function belongs({ foundAt, place }: Find, outingOf: ReturnType<typeof outingFinder>) {
  if (foundAt === undefined) return undefined;
  const position = place?.lat === undefined || place.lon === undefined ? undefined : { lat: place.lat, lon: place.lon };
  return outingOf({ at: Date.parse(foundAt), position });
}

/** The outing of an id, or the one under way; null where there is none. Undefined while it is looked for. */
export function useOuting(id?: string): WholeOuting | null | undefined {
  return useLiveQuery(async () => {
    const now = Date.now();
    const outings = await keptOutings();
    const asked = outings.find((one) => (id === undefined ? isUnderWay(one.content, now) : one.id === id));
    return asked === undefined ? null : whole(asked, outings, now);
  }, [id]);
}

/** The latest outings of which something is open, the one under way left out. */
export function useOpenOutings(): readonly WholeOuting[] | undefined {
  return useLiveQuery(async () => {
    const now = Date.now();
    const outings = await keptOutings();
    const latest = outings.filter(({ content }) => !isUnderWay(content, now)).slice(0, LATEST);
    const all = await Promise.all(latest.map((one) => whole(one, outings, now)));
    return all.filter(({ open, content }) => open.length > 0 || content.endedAt === undefined);
  });
}
const LATEST = 8;

/** A find's own name, else what it was taken for, else its number on the way. */
export function nameOf({ label, takenFor }: Find, index: number, names: ReadonlyMap<string, string>): string {
  return label ?? (takenFor === undefined ? undefined : names.get(takenFor)) ?? `find ${index + 1}`;
}
