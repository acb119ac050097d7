/** Finds as points (RFC 7946): the place as geometry, the whole record among the properties. */
import { z } from "zod";
import { type Fault, type Parsed, parseFind } from "../find/parse.ts";
import type { Find } from "../find/schema.ts";
import { foreignFind } from "./foreign-find.ts";

/** A feature collection; a find without a place is a feature without geometry. Loses nothing. */
export function geoJsonOf(finds: readonly Find[]): { content: string; losses: readonly string[] } {
  const features = finds.map((find) => {
    const { lat, lon, elevationM } = find.place ?? {};
    return {
      type: "Feature",
      id: find.id,
      geometry:
        lat === undefined || lon === undefined
          ? null
          : { type: "Point", coordinates: [lon, lat, ...(elevationM === undefined ? [] : [elevationM])] },
      properties: {
        label: find.label ?? null,
        foundAt: find.foundAt ?? null,
        bodies: find.bodies.length,
        record: find,
      },
    };
  });
  return { content: `${JSON.stringify({ type: "FeatureCollection", features }, null, 2)}\n`, losses: [] };
}

const pointSchema = z.object({ type: z.literal("Point"), coordinates: z.array(z.number()).min(2) });
const featureSchema = z.object({
  type: z.literal("Feature"),
  id: z.union([z.string(), z.number()]).optional(),
  geometry: z.unknown(),
  properties: z.record(z.string(), z.unknown()).nullable(),
});
const collectionSchema = z.object({ type: z.literal("FeatureCollection"), features: z.array(z.unknown()) });

/** Reads features; points of other programs become finds that nobody has looked at yet. */
export function findsOfGeoJson(text: string): Parsed<readonly Find[]> {
  const root = parsedJson(text);
  const collection = collectionSchema.safeParse(root);
  const single = featureSchema.safeParse(root);
  if (!collection.success && !single.success)
    return { ok: false, faults: [{ path: "(root)", message: "expected a GeoJSON FeatureCollection or Feature" }] };
  const features = collection.success ? collection.data.features : [root];
  const finds: Find[] = [];
  const faults: Fault[] = [];
  for (const [index, raw] of features.entries()) {
    const at = collection.success ? `features[${index}]` : "(root)";
    const feature = featureSchema.safeParse(raw);
    if (!feature.success) {
      faults.push({ path: at, message: "is no Feature" });
      continue;
    }
    const { id, geometry, properties } = feature.data;
    const record = properties?.record;
    if (record !== undefined) {
      const parsed = parseFind(record);
      if (parsed.ok) finds.push(parsed.value);
      else faults.push(...parsed.faults.map((one) => ({ ...one, path: `${at}.properties.record.${one.path}` })));
      continue;
    }
    const point = pointSchema.safeParse(geometry);
    if (!point.success) {
      faults.push({ path: `${at}.geometry`, message: "only points can be read as finds" });
      continue;
    }
    const [lon, lat, elevationM] = point.data.coordinates;
    const made = foreignFind({
      id: id === undefined ? undefined : String(id),
      lat,
      lon,
      elevationM,
      name: text_(properties?.label ?? properties?.name),
      at: text_(properties?.foundAt ?? properties?.time),
    });
    if (made.ok) finds.push(made.value);
    else faults.push(...made.faults.map((one) => ({ ...one, path: `${at}.${one.path}` })));
  }
  if (faults.length === 0 && finds.length === 0) faults.push({ path: "features", message: "there is no find in it" });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: finds };
}

const text_ = (value: unknown): string | undefined => (typeof value === "string" && value !== "" ? value : undefined);

function parsedJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
