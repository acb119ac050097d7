/** What of the season other programs read: tables as CSV (RFC 4180), dates as calendar events, tracks and places as GPX and GeoJSON. */
import { XMLBuilder } from "fast-xml-parser";
import Papa from "papaparse";
import { z } from "zod";
import type { Parsed } from "../find/parse.ts";
import type { CalendarEvent } from "../formats/ics.ts";
import { readXml } from "../formats/xml.ts";
import { isDue, REMINDER_WORDS, type Reminder } from "../outing/reminder.ts";
import { type TrackPoint, trackPointSchema } from "../outing/track-leg.ts";
import { newPlace, type OwnPlace } from "../place/place.ts";
import { type SharedPlace, sharedPlace } from "../place/shared.ts";

/** A table as CSV. */
export const tableCsv = (
  header: readonly string[],
  rows: readonly (readonly (string | number | undefined)[])[],
): string =>
  `${Papa.unparse([header.map(String), ...rows.map((row) => row.map((cell) => cell ?? ""))], { newline: "\r\n", escapeFormulae: true })}\r\n`;

/** The dates that stand, from nine in the morning of the first day to six of the last. @param momentOf of a day and an hour there */
export const reminderEvents = (
  reminders: readonly { readonly id: string; readonly content: Reminder }[],
  momentOf: (day: string, hour: number) => Date,
): readonly CalendarEvent[] =>
  reminders
    .filter(({ content }) => isDue(content))
    .map(({ id, content: { kind, what, from, to } }) => ({
      id: `${id}-back`,
      from: momentOf(from, 9),
      to: momentOf(to, 18),
      title: `${what}: ${REMINDER_WORDS[kind]}`,
      about: "Whatever came up there before names nothing that stands there now: look at it anew.",
      alarm: `${what}: ${REMINDER_WORDS[kind]}`,
    }));

/** Points of a file in one go. */
const MOST_POINTS = 200_000;

/** The tracks of a GPX file (GPX 1.1), each segment by itself; points without a time are left out and counted. */
export function tracksOfGpx(
  text: string,
): Parsed<{ readonly segments: readonly (readonly TrackPoint[])[]; readonly untimed: number }> {
  const xml = readXml(text, ["trk", "trkseg", "trkpt"]);
  if (!xml.ok) return xml;
  const read = gpxSchema.safeParse(xml.value);
  if (!read.success) return { ok: false, faults: [{ path: "gpx", message: "there is no track in it" }] };
  const segments: TrackPoint[][] = [];
  let [untimed, count] = [0, 0];
  for (const [t, track] of read.data.gpx.trk.entries())
    for (const [s, segment] of track.trkseg.entries()) {
      const points: TrackPoint[] = [];
      for (const [p, point] of segment.trkpt.entries()) {
        const path = `trk[${t}].trkseg[${s}].trkpt[${p}]`;
        count += 1;
        if (count > MOST_POINTS)
          return { ok: false, faults: [{ path, message: `there are more than ${MOST_POINTS} points in it` }] };
        if (point.time === undefined) {
          untimed += 1;
          continue;
        }
        const made = trackPointSchema.safeParse({
          at: point.time,
          lat: Number(point["@lat"]),
          lon: Number(point["@lon"]),
          ...(point.ele === undefined || point.ele === "" ? {} : { elevationM: Number(point.ele) }),
        });
        if (!made.success) {
          const [issue] = made.error.issues;
          return {
            ok: false,
            faults: [{ path: `${path}.${issue?.path.join(".")}`, message: issue?.message ?? "is wrong" }],
          };
        }
        points.push(made.data);
      }
      if (points.length > 0) segments.push(points);
    }
  if (segments.length === 0 && untimed === 0)
    return { ok: false, faults: [{ path: "gpx", message: "there is no track in it" }] };
  return { ok: true, value: { segments, untimed } };
}

const gpxSchema = z.object({
  gpx: z.object({
    trk: z.array(
      z.object({
        trkseg: z
          .array(
            z.object({
              trkpt: z
                .array(
                  z.object({
                    "@lat": z.string().optional(),
                    "@lon": z.string().optional(),
                    time: z.string().optional(),
                    ele: z.string().optional(),
                  }),
                )
                .default([]),
            }),
          )
          .default([]),
      }),
    ),
  }),
});

/** A track as GPX 1.1, a segment a leg. */
export function gpxOfTrack(name: string, legs: readonly (readonly TrackPoint[])[]): string {
  const builder = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: "@", format: true });
  return String(
    builder.build({
      "?xml": { "@version": "1.0", "@encoding": "UTF-8" },
      gpx: {
        "@version": "1.1",
        "@creator": "Jittery Cap",
        "@xmlns": "http://www.topografix.com/GPX/1/1",
        trk: {
          name,
          trkseg: legs.map((leg) => ({
            // the order of the elements is that of the schema
            trkpt: leg.map(({ at, lat, lon, elevationM }) => ({
              "@lat": lat,
              "@lon": lon,
              ...(elevationM === undefined ? {} : { ele: elevationM }),
              time: at,
            })),
          })),
        },
      },
    }),
  );
}

/**
 * Places as GeoJSON (RFC 7946).
 * @param forWhom oneself: as they are; others: each as its owner shows it, by a name that tells nothing
 */
export function geoJsonOfPlaces(places: readonly OwnPlace[], forWhom: "oneself" | "others"): string {
  const features = places.map((place, index) => {
    const shown: SharedPlace & Pick<Partial<OwnPlace>, "outline"> =
      forWhom === "others"
        ? sharedPlace(place, `place ${index + 1}`)
        : { ...sharedPlace({ ...place, share: "exact" }, place.name) };
    const { outline, position, name, ...rest } = shown;
    const [first] = outline ?? [];
    const geometry =
      outline !== undefined && first !== undefined
        ? { type: "Polygon", coordinates: [counterclockwise([...outline, first])] }
        : position === undefined
          ? null
          : { type: "Point", coordinates: [position.lon, position.lat] };
    return {
      type: "Feature",
      geometry,
      properties: { name, ...(position === undefined ? {} : { accuracyM: position.accuracyM }), ...rest },
    };
  });
  return `${JSON.stringify({ type: "FeatureCollection", features }, null, 2)}\n`;
}

/** An outer ring goes against the clock, as the standard wants it. */
function counterclockwise(ring: readonly [number, number][]): readonly [number, number][] {
  const turned = ring.reduce((sum, [x, y], index) => {
    const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
    return sum + x * nextY - nextX * y;
  }, 0);
  return turned < 0 ? [...ring].reverse() : ring;
}

const ringSchema = z.array(z.tuple([z.number().min(-180).max(180), z.number().min(-90).max(90)], z.number())).min(4);
const placeFeatureSchema = z.object({
  type: z.literal("Feature"),
  geometry: z.discriminatedUnion("type", [
    z.object({
      type: z.literal("Point"),
      coordinates: z.tuple([z.number().min(-180).max(180), z.number().min(-90).max(90)], z.number()),
    }),
    z.object({ type: z.literal("Polygon"), coordinates: z.array(ringSchema).min(1) }),
  ]),
  properties: z.record(z.string(), z.unknown()).nullable(),
});

/** Places of a GeoJSON file (RFC 7946): its points and its areas. What is neither is counted and left out. */
export function placesOfGeoJson(
  text: string,
): Parsed<{ readonly places: readonly OwnPlace[]; readonly leftOut: number }> {
  const root = jsonOf(text);
  const collection = z.object({ type: z.literal("FeatureCollection"), features: z.array(z.unknown()) }).safeParse(root);
  if (!collection.success)
    return { ok: false, faults: [{ path: "(root)", message: "expected a GeoJSON FeatureCollection" }] };
  const places: OwnPlace[] = [];
  let leftOut = 0;
  for (const [index, feature] of collection.data.features.entries()) {
    const read = placeFeatureSchema.safeParse(feature);
    if (!read.success) {
      leftOut += 1;
      continue;
    }
    const { geometry, properties } = read.data;
    const told = properties?.name;
    const place = newPlace(
      typeof told === "string" && told.trim() !== "" ? told.trim().slice(0, 200) : `place ${index + 1}`,
    );
    if (geometry.type === "Point") {
      const [lon, lat] = geometry.coordinates;
      places.push({ ...place, position: { lat, lon } });
    } else {
      // the last corner is the first again; holes are of no account where one walks
      const ring = (geometry.coordinates[0] ?? []).slice(0, -1).map(([lon, lat]): [number, number] => [lon, lat]);
      if (ring.length < 3 || ring.length > 2000) leftOut += 1;
      else places.push({ ...place, outline: ring });
    }
  }
  if (places.length === 0)
    return { ok: false, faults: [{ path: "features", message: "there is no point and no area in it" }] };
  return { ok: true, value: { places, leftOut } };
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
