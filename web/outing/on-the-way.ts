/** What one touch does on the way: found one here, nothing here, a picture. The position comes after it, and never holds it up. */
import { type Change, type Find, newFind } from "@jittery-cap/core";
import {
  type Companion,
  isUnderWay,
  type KeptPlace,
  newOuting,
  type Outing,
  type OwnPlace,
  type Position,
  placeAt,
  searchingAt,
  type TrackPoint,
} from "@jittery-cap/core/season";
import { uuidv7 } from "uuidv7";
import { usePreferences } from "../device/preferences.ts";
import { devicePosition, positionChanges } from "../device/surroundings.ts";
import {
  isReadable,
  type Kept,
  keepTouch,
  listKept,
  makeDocument,
  readKept,
  touchNow,
} from "../documents/documents.ts";
import { make, setFields } from "../documents/keep-fields.ts";
import { keepPicture } from "../documents/pictures.ts";
import { ownRules } from "../documents/settings.ts";
import { keptOutings, lastPoint } from "./track-store.ts";
import { simulatedPoint } from "./walk.ts";

/** The outing that is under way, where one is. */
export async function outingUnderWay(now = Date.now()): Promise<Kept<"outing"> | undefined> {
  return (await keptOutings()).find(({ content }) => isUnderWay(content, now));
}

/** Begins an outing here and now; one touch. @returns its id */
export async function beginOuting(companions: readonly Companion[], packed: readonly string[]): Promise<string> {
  const going = await outingUnderWay();
  if (going !== undefined) return going.id;
  return make("outing", newOuting(new Date().toISOString(), companions, packed));
}

export const allPlaces = async (): Promise<readonly KeptPlace[]> =>
  (await listKept("place", Number.POSITIVE_INFINITY)).filter(isReadable);

/** A point that is older is no position of now, ms. */
const FRESH_MS = 30_000;

/** Where somebody is now: the track's last point, or what the receiver says. */
async function positionNow(outing: string): Promise<TrackPoint | undefined> {
  const { trackSource } = usePreferences.getState();
  const last = await lastPoint(outing);
  if (last !== undefined && Math.abs(Date.now() - Date.parse(last.at)) < FRESH_MS) return last;
  if (trackSource === "simulated") return simulatedPoint(new Date());
  if (trackSource === "none") return undefined;
  const told = await devicePosition();
  return typeof told === "string" ? undefined : { at: new Date().toISOString(), ...told };
}

const positionOf = ({ lat, lon, accuracyM }: TrackPoint): Position => ({
  lat,
  lon,
  ...(accuracyM === undefined ? {} : { accuracyM }),
});

let turn: Promise<unknown> = Promise.resolve();

/** Changes an outing by what it holds then: two touches in a row see each other's, and neither is lost. */
export function changeOuting(
  id: string,
  change: (outing: Outing) => Parameters<typeof setFields<"outing">>[2] | undefined,
): Promise<string | undefined> {
  const work = async () => {
    const kept = await readKept("outing", id);
    const fields = kept === undefined ? undefined : change(kept.content);
    return fields === undefined ? undefined : setFields("outing", id, fields);
  };
  const done = turn.then(work, work);
  turn = done;
  return done;
}

/** Searching goes on, or begins, at a place. */
export async function searchAt(
  outing: string,
  place: string | undefined,
  at = new Date().toISOString(),
): Promise<void> {
  await changeOuting(outing, ({ searches }) => {
    const next = searchingAt(searches, place, at, uuidv7());
    return next === searches ? undefined : { searches: [...next] };
  });
}

/** The place where somebody searches now: where the position lies, else where the search goes on. */
async function placeHere(outing: string, point: TrackPoint | undefined): Promise<KeptPlace | undefined> {
  const places = await allPlaces();
  const at = point === undefined ? undefined : placeAt(point, places);
  if (at !== undefined) return at;
  const kept = await readKept("outing", outing);
  const open = kept?.content.searches.findLast(({ to }) => to === undefined);
  return places.find(({ id }) => id === open?.place);
}

/**
 * What a place says of a find in it, as far as the record does not say it yet: its name, its height, its part of the world; and
 * what is wrong with its ground, beside whatever was told of that. What grows there is for eyes to tell.
 */
export function changesOfPlace({ name, elevationM, region, concerns = [] }: OwnPlace, find: Find): readonly Change[] {
  const changes: Change[] = [];
  const { place, site } = find;
  if (place?.name === undefined) changes.push({ kind: "set-place", field: "name", value: name });
  if (elevationM !== undefined && place?.elevationM === undefined)
    changes.push({ kind: "set-place", field: "elevationM", value: elevationM });
  if (region !== undefined && place?.region === undefined)
    changes.push({ kind: "set-place", field: "region", value: region });
  const known = site?.concerns ?? [];
  if (concerns.some((one) => !known.includes(one)))
    changes.push({ kind: "set-site", field: "concerns", value: [...new Set([...known, ...concerns])] });
  return changes;
}

/** Begins a find here: it is kept at once, and gets its position and place as soon as they are known. @returns its id */
export async function foundHere(outing: string, by: string | undefined): Promise<string> {
  const at = new Date().toISOString();
  const rules = await ownRules();
  const { region } = usePreferences.getState();
  const find: Find = {
    ...newFind(uuidv7(), at),
    ...(rules === undefined ? {} : { rules }),
    ...(region === null ? {} : { place: { region } }),
  };
  await makeDocument("find", find.id, find);
  if (by !== undefined)
    await changeOuting(outing, ({ foundBy }) => ({ foundBy: [...foundBy, { find: find.id, name: by }] }));
  // a receiver may take a quarter of a minute: whoever wants to look at the find need not wait for it
  void placeFind(outing, find.id, at);
  return find.id;
}

async function placeFind(outing: string, find: string, at: string): Promise<void> {
  const point = await positionNow(outing);
  const place = await placeHere(outing, point);
  await searchAt(outing, place?.id, at);
  const kept = await readKept("find", find);
  if (kept === undefined) return;
  const changes = [
    ...(point === undefined || kept.content.place?.lat !== undefined ? [] : positionChanges(point)),
    ...(place === undefined ? [] : changesOfPlace(place.content, kept.content)),
  ];
  if (changes.length > 0) await keepTouch("find", find, touchNow(changes));
}

/** Looked, and there is nothing. */
export async function nothingHere(outing: string): Promise<void> {
  const at = new Date().toISOString();
  const id = uuidv7();
  await changeOuting(outing, ({ nothing }) => ({ nothing: [...nothing, { id, at }] }));
  const point = await positionNow(outing);
  const place = await placeHere(outing, point);
  await searchAt(outing, place?.id, at);
  if (point === undefined) return;
  await changeOuting(outing, ({ nothing }) => ({
    nothing: nothing.map((one) => (one.id === id ? { ...one, position: positionOf(point) } : one)),
  }));
}

/** A picture belongs to what was found shortly before, ms; else it begins a find of its own. */
const OF_THE_LAST_MS = 15 * 60_000;

/** Takes a picture in. @returns the find that it is of */
export async function pictureHere(outing: string, file: Blob, by: string | undefined): Promise<string> {
  const now = Date.now();
  const latest = (await listKept("find", 1)).filter(isReadable)[0];
  const foundAt = latest?.content.foundAt;
  const isRecent = foundAt !== undefined && Math.abs(now - Date.parse(foundAt)) < OF_THE_LAST_MS;
  const findId = isRecent && latest !== undefined ? latest.id : await foundHere(outing, by);
  const body = undefined;
  await keepPicture({ id: uuidv7(), findId, part: "other", body, takenAt: new Date(now).toISOString(), file });
  return findId;
}
