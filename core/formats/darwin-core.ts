/** Finds as a Darwin Core archive (TDWG): a row a body as an occurrence, a zip with its meta file. */
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import papaparse from "papaparse";
import { canonicalJson } from "../find/canonical.ts";
import { type Fault, type Parsed, parseFind } from "../find/parse.ts";
import type { Find } from "../find/schema.ts";
import { CHARACTER_WORDS, stateWords } from "../find/words.ts";
import { guarded } from "./csv.ts";
import { foreignFind } from "./foreign-find.ts";

const TERMS = "http://rs.tdwg.org/dwc/terms/";
/** The columns after the occurrence's id, each a term of Darwin Core. */
const COLUMNS = [
  "eventID",
  "basisOfRecord",
  "kingdom",
  "scientificName",
  "eventDate",
  "decimalLatitude",
  "decimalLongitude",
  "geodeticDatum",
  "coordinateUncertaintyInMeters",
  "minimumElevationInMeters",
  "locality",
  "habitat",
  "associatedTaxa",
  "recordedBy",
  "fieldNumber",
  "individualCount",
  "lifeStage",
  "occurrenceRemarks",
  "eventRemarks",
  "dynamicProperties",
] as const;

/** The archive. Names are never claimed: every occurrence is a fungus, and what was seen stands in the remarks. */
export function darwinCoreOf(finds: readonly Find[]): { content: Uint8Array; losses: readonly string[] } {
  const rows = finds.flatMap((find) =>
    find.bodies.map((body, index) => {
      const seen = (body.seen ?? [])
        .filter((entry) => entry.states !== undefined)
        .map(
          (entry) =>
            `${CHARACTER_WORDS[entry.character].plain}: ${(entry.states ?? []).map((state) => stateWords(entry.character, state)).join(", ")}${entry.sure === false ? " (unsure)" : ""}`,
        );
      const { bodies: _bodies, ...shared } = find;
      return [
        `${find.id}:${body.id}`,
        find.id,
        "HumanObservation",
        "Fungi",
        "Fungi",
        find.foundAt ?? "",
        find.place?.lat ?? "",
        find.place?.lon ?? "",
        find.place?.lat === undefined ? "" : "WGS84",
        find.place?.accuracyM ?? "",
        find.place?.elevationM ?? "",
        find.place?.name ?? "",
        [...(find.site?.habitat ?? []), ...(find.site?.substrate ?? [])].join(" | "),
        (find.site?.host ?? []).map((tree) => `host: ${tree}`).join(" | "),
        (find.observers ?? []).map((one) => one.name ?? one.id).join(" | "),
        find.label ?? "",
        "1",
        body.age ?? "",
        seen.join("; "),
        find.note ?? "",
        // the record itself, so that nothing is lost on the way back; what is shared stands with the first body
        canonicalJson({ body, ...(index === 0 ? { find: shared } : {}) }),
      ].map((value) => (typeof value === "string" ? guarded(value) : value));
    }),
  );
  const table = papaparse.unparse({ fields: ["occurrenceID", ...COLUMNS], data: rows }, { newline: "\n" });
  const named = finds.some((find) => find.takenFor !== undefined);
  return {
    // one fixed time for all files: equal finds make an equal archive
    content: zipSync(
      { "occurrence.csv": strToU8(`${table}\n`), "meta.xml": strToU8(META) },
      { mtime: "2000-01-01T00:00:00" },
    ),
    losses: named
      ? ["taken for: not written as a name, since nobody has named it; it is kept in dynamicProperties"]
      : [],
  };
}

const META = `<?xml version="1.0" encoding="UTF-8"?>
<archive xmlns="http://rs.tdwg.org/dwc/text/">
  <core encoding="UTF-8" fieldsTerminatedBy="," linesTerminatedBy="\\n" fieldsEnclosedBy='"' ignoreHeaderLines="1" rowType="${TERMS}Occurrence">
    <files><location>occurrence.csv</location></files>
    <id index="0"/>
${["occurrenceID", ...COLUMNS].map((term, index) => `    <field index="${index}" term="${TERMS}${term}"/>`).join("\n")}
  </core>
</archive>
`;

/** An archive that unpacks to more is none of ours, bytes. */
const MOST_BYTES = 200_000_000;

/** Reads an archive, ours or another's with an occurrence.csv. */
export function findsOfDarwinCore(content: Uint8Array): Parsed<readonly Find[]> {
  const table = occurrences(content);
  if (typeof table !== "string") return { ok: false, faults: [table] };
  const { data } = papaparse.parse<Record<string, string>>(table.replace(/^\uFEFF/, ""), {
    header: true,
    skipEmptyLines: "greedy",
  });
  const faults: Fault[] = [];
  const ours = new Map<string, { find: Record<string, unknown>; bodies: unknown[]; row: number }>();
  const finds: Find[] = [];
  for (const [index, row] of data.entries()) {
    const number = index + 2;
    const dynamic = parsedObject(row.dynamicProperties);
    const event = row.eventID ?? "";
    if (dynamic?.body !== undefined) {
      const draft = ours.get(event) ?? { find: {}, bodies: [], row: number };
      if (typeof dynamic.find === "object" && dynamic.find !== null) draft.find = { ...dynamic.find };
      draft.bodies.push(dynamic.body);
      ours.set(event, draft);
      continue;
    }
    const made = foreignFind({
      id: row.occurrenceID,
      lat: numberOf(row.decimalLatitude),
      lon: numberOf(row.decimalLongitude),
      accuracyM: numberOf(row.coordinateUncertaintyInMeters),
      name: row.fieldNumber || undefined,
      note: row.occurrenceRemarks || undefined,
      at: row.eventDate || undefined,
    });
    if (made.ok) finds.push(made.value);
    else faults.push(...made.faults.map((one) => ({ ...one, path: `occurrence.csv row ${number}: ${one.path}` })));
  }
  for (const { find, bodies, row } of ours.values()) {
    const parsed = parseFind({ ...find, bodies });
    if (parsed.ok) finds.push(parsed.value);
    else faults.push(...parsed.faults.map((one) => ({ ...one, path: `occurrence.csv row ${row}: ${one.path}` })));
  }
  if (faults.length === 0 && finds.length === 0)
    faults.push({ path: "occurrence.csv", message: "there is no occurrence in it" });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: finds };
}

function occurrences(content: Uint8Array): string | Fault {
  try {
    let total = 0;
    const files = unzipSync(content, {
      filter: ({ name, originalSize }) => {
        total += originalSize;
        return /(^|\/)occurrence\.(csv|txt)$/i.test(name) && total <= MOST_BYTES;
      },
    });
    const [file] = Object.values(files);
    return file === undefined ? { path: "(root)", message: "the archive holds no occurrence.csv" } : strFromU8(file);
  } catch {
    return { path: "(root)", message: "is no zip archive" };
  }
}

function parsedObject(text: string | undefined): Record<string, unknown> | undefined {
  if (text === undefined || text === "") return undefined;
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === "object" && value !== null ? { ...value } : undefined;
  } catch {
    return undefined;
  }
}

const numberOf = (text: string | undefined): number | undefined =>
  text === undefined || text === "" ? undefined : Number(text);
