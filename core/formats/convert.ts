/** Finds in other programs' formats, and back: what each carries, and what it cannot. */

import { type Parsed, parseFinds } from "../find/parse.ts";
import type { Find } from "../find/schema.ts";
import { laidPrints } from "../measure/prints.ts";
import { csvOf, findsOfCsv } from "./csv.ts";
import { darwinCoreOf, findsOfDarwinCore } from "./darwin-core.ts";
import { findsOfGeoJson, geoJsonOf } from "./geojson.ts";
import { findsOfGpx, gpxOf } from "./gpx.ts";
import { printCalendar } from "./ics.ts";
import { type PlaceKind, withPlace } from "./places.ts";

export const TARGETS = ["json", "csv", "geojson", "gpx", "darwin-core", "ics"] as const;
export type Target = (typeof TARGETS)[number];
export const SOURCES = ["json", "csv", "geojson", "gpx", "darwin-core"] as const;
export type Source = (typeof SOURCES)[number];

/** A file made, with what it could not carry, one line a kind of loss. */
export interface Converted {
  readonly content: string | Uint8Array;
  readonly losses: readonly string[];
}

/** Writes finds in a format. @param stamp the moment at which the file is made; only calendars tell it */
export function convertTo(target: Target, finds: readonly Find[], places: PlaceKind, stamp: Date): Converted {
  const going = finds.map((find) => withPlace(find, places));
  switch (target) {
    case "json":
      return { content: `${JSON.stringify(going, null, 2)}\n`, losses: [] };
    case "csv":
      return { content: csvOf(going), losses: [] };
    case "geojson":
      return geoJsonOf(going);
    case "gpx":
      return gpxOf(going);
    case "darwin-core":
      return darwinCoreOf(going);
    case "ics":
      return calendarOf(going, stamp);
  }
}

function calendarOf(finds: readonly Find[], stamp: Date): Converted {
  const prints = finds.flatMap((find) => laidPrints(find, stamp)).filter((print) => print.stage !== "read");
  const without = finds.filter((find) => prints.every((print) => print.find !== find.id)).length;
  return {
    content: printCalendar(prints, stamp),
    losses: [
      ...(without > 0
        ? [`finds: ${without} without a print under its cup ${without === 1 ? "is" : "are"} left out`]
        : []),
      ...(prints.length > 0 ? ["records: only the hours of prints are carried"] : []),
    ],
  };
}

/** Reads finds; faults name the row, the feature or the path. */
export function readFrom(source: Source, content: Uint8Array): Parsed<readonly Find[]> {
  const text = () => new TextDecoder("utf-8").decode(content).replace(/^\uFEFF/, "");
  switch (source) {
    case "json":
      return findsOfJson(text());
    case "csv":
      return findsOfCsv(text());
    case "geojson":
      return findsOfGeoJson(text());
    case "gpx":
      return findsOfGpx(text());
    case "darwin-core":
      return findsOfDarwinCore(content);
  }
}

function findsOfJson(text: string): Parsed<readonly Find[]> {
  try {
    return parseFinds(JSON.parse(text));
  } catch (error) {
    return {
      ok: false,
      faults: [{ path: "(root)", message: `is not JSON: ${error instanceof Error ? error.message : ""}` }],
    };
  }
}

/** What a file is, by its first bytes and its name; undefined where it does not tell. */
export function sourceOf(name: string, content: Uint8Array): Source | undefined {
  if (content[0] === 0x50 && content[1] === 0x4b) return "darwin-core";
  const start = new TextDecoder("utf-8")
    .decode(content.subarray(0, 4000))
    .replace(/^\uFEFF/, "")
    .trimStart();
  if (start.startsWith("<")) return /<gpx[\s>]/.test(start) ? "gpx" : undefined;
  if (start.startsWith("{") || start.startsWith("["))
    return /"type"\s*:\s*"(FeatureCollection|Feature)"/.test(start) &&
      !/"format"\s*:\s*"jittery-cap\/find"/.test(start.slice(0, start.indexOf('"type"')))
      ? "geojson"
      : "json";
  return name.toLowerCase().endsWith(".csv") || start.startsWith("find_id") ? "csv" : undefined;
}
