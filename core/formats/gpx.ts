/** Finds as waypoints (GPX 1.1): where, when, how high, the name and the note; nothing of what was seen. */
import { XMLBuilder } from "fast-xml-parser";
import type { Fault, Parsed } from "../find/parse.ts";
import type { Find } from "../find/schema.ts";
import { foreignFind } from "./foreign-find.ts";
import { readXml } from "./xml.ts";

const NAMESPACE = "http://www.topografix.com/GPX/1/1";

/** The waypoints of the finds that have a place, and what is not carried. */
export function gpxOf(finds: readonly Find[]): { content: string; losses: readonly string[] } {
  const placed = finds.filter((find) => find.place?.lat !== undefined && find.place.lon !== undefined);
  const builder = new XMLBuilder({
    ignoreAttributes: false,
    attributeNamePrefix: "@",
    format: true,
    suppressEmptyNode: true,
  });
  const content: unknown = builder.build({
    "?xml": { "@version": "1.0", "@encoding": "UTF-8" },
    gpx: {
      "@version": "1.1",
      "@creator": "Jittery Cap",
      "@xmlns": NAMESPACE,
      wpt: placed.map(({ id, label, note, foundAt, place }) => ({
        "@lat": place?.lat,
        "@lon": place?.lon,
        // the order of the elements is that of the schema
        ...(place?.elevationM === undefined ? {} : { ele: place.elevationM }),
        ...(foundAt === undefined ? {} : { time: foundAt }),
        name: label ?? id,
        ...(note === undefined ? {} : { desc: note }),
        src: id,
        type: "find",
      })),
    },
  });
  const without = finds.length - placed.length;
  const looks = placed.reduce(
    (sum, find) => sum + find.bodies.reduce((all, body) => all + (body.seen?.length ?? 0), 0),
    0,
  );
  const told = placed.filter(
    (find) => find.site !== undefined || find.weather !== undefined || find.rules !== undefined,
  ).length;
  const accuracy = placed.filter(
    (find) => find.place?.accuracyM !== undefined || find.place?.region !== undefined || find.place?.name !== undefined,
  ).length;
  return {
    content: String(content),
    losses: [
      ...(without > 0
        ? [
            `places: ${without} ${without === 1 ? "find has" : "finds have"} none and ${without === 1 ? "is" : "are"} left out`,
          ]
        : []),
      ...(placed.length > 0 ? [`bodies: GPX carries none, and none of their ${looks} observations`] : []),
      ...(told > 0 ? ["ground, weather, rules: GPX carries none of them"] : []),
      ...(accuracy > 0 ? ["accuracy, region and name of the place: GPX carries none of them"] : []),
    ],
  };
}

/** Reads waypoints. */
export function findsOfGpx(text: string): Parsed<readonly Find[]> {
  const read = readXml(text, ["wpt"]);
  if (!read.ok) return read;
  const root = read.value;
  const gpx = fieldOf(root, "gpx");
  if (gpx === undefined) return { ok: false, faults: [{ path: "(root)", message: "expected GPX" }] };
  const waypoints = fieldOf(gpx, "wpt");
  const faults: Fault[] = [];
  const finds: Find[] = [];
  for (const [index, wpt] of (Array.isArray(waypoints) ? waypoints : []).entries()) {
    const name = textOf(wpt, "name");
    const id = textOf(wpt, "src");
    const elevation = textOf(wpt, "ele");
    const made = foreignFind({
      id,
      lat: numberOf(textOf(wpt, "@lat")),
      lon: numberOf(textOf(wpt, "@lon")),
      elevationM: elevation === undefined ? undefined : numberOf(elevation),
      // a find without a name was written with its id for one
      name: name === id ? undefined : name,
      note: textOf(wpt, "desc"),
      at: textOf(wpt, "time"),
    });
    if (made.ok) finds.push(made.value);
    else faults.push(...made.faults.map((one) => ({ ...one, path: `wpt[${index}].${one.path}` })));
  }
  if (faults.length === 0 && finds.length === 0) faults.push({ path: "gpx", message: "there is no waypoint in it" });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: finds };
}

function fieldOf(of: unknown, name: string): unknown {
  return typeof of === "object" && of !== null ? Object.getOwnPropertyDescriptor(of, name)?.value : undefined;
}
function textOf(of: unknown, name: string): string | undefined {
  const value = fieldOf(of, name);
  return typeof value === "string" && value !== "" ? value : undefined;
}
/** A number that is none stays one that the schema refuses, with its path. */
const numberOf = (text: string | undefined): number => (text === undefined ? Number.NaN : Number(text));
