import { check } from "@placemarkio/check-geojson";
import { gpx } from "@tmcw/togeojson";
import { DOMParser } from "@xmldom/xmldom";
import AdmZip from "adm-zip";
import { expect } from "chai";
import { parse } from "csv-parse/sync";
import fc from "fast-check";
import { canonicalFind } from "../find/canonical.ts";
import { type Find, findSchema } from "../find/schema.ts";
import { finds } from "../tests/arbitraries.ts";
import { bodyOf, findOf, seen } from "../tests/build.ts";
import { convertTo, readFrom, type Source, sourceOf } from "./convert.ts";
import { withPlace } from "./places.ts";

const STAMP = new Date("2026-09-15T08:00:00Z");
const bytes = (content: string | Uint8Array) =>
  typeof content === "string" ? new TextEncoder().encode(content) : content;
const written = (target: Source, all: readonly Find[]) => bytes(convertTo(target, all, "exact", STAMP).content);
const back = (target: Source, all: readonly Find[]) => {
  const parsed = readFrom(target, written(target, all));
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.faults));
  return parsed.value.map(canonicalFind);
};

/** Everything that a record may hold, with what makes a table stumble. */
const FULL = findOf(
  [
    bodyOf(
      {},
      {
        id: "A",
        age: "mature",
        wear: ["handled", "rain-washed"],
        hoursSincePicked: 2.5,
        firmness: "firm",
        larvae: "few",
        larvaeParts: { stem: "riddled", cap: "none" },
        measures: { capCm: 8.5, sporeLengthUm: [7.1, 8], sporeWidthUm: [4.9, 5.2] },
        measuredBy: "picture",
        print: { laidAt: "2026-09-14T20:00:00Z", paper: "split-black-white", cap: "halved" },
        seen: [
          ...seen({ "gill-colour": "pink, brown" }),
          ...seen({ ring: "?skirt" }),
          { character: "base", unseen: '=left, in "the" ground\nreally' },
          {
            character: "stain-base",
            states: ["chrome-yellow"],
            speed: "at-once",
            by: "ilva",
            method: "scratch",
            at: "2026-09-14T10:30:00Z",
          },
        ],
      },
    ),
    bodyOf({}, { id: "B", sameAs: "A", seenAt: "2026-09-16T10:00:00Z", keep: false, ending: "left-unknown" as never }),
  ].map((body) => {
    const { ending: _ending, ...rest } = body;
    return rest;
  }),
  {
    id: "0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10",
    label: '=HYPERLINK(1); pale, "one"',
    note: "'quoted\nlines, åäö",
    foundAt: "2026-09-14T10:20:00+02:00",
    place: { lat: 61.20314, lon: -24.11825, accuracyM: 8, elevationM: 140, region: "europe", name: "Skirrow Wood" },
    site: {
      habitat: ["mixed-woodland", "path-side"],
      substrate: ["soil"],
      concerns: ["roadside"],
      neighbours: ["note:small brown, unknown"],
    },
    weather: { frostLastNight: false, airTempC: -3, rain24hMm: 6.5 },
    takenFor: "agaricus-campestris",
    rules: { distance: 3 },
    observers: [{ id: "ilva", name: "Ilva", cannotSmell: true }],
  },
);

describe("finds in other formats", () => {
  for (const target of ["json", "csv", "geojson", "darwin-core"] as const) {
    it(`${target} carries everything there and back, for any find`, () => {
      fc.assert(
        fc.property(fc.uniqueArray(finds(), { minLength: 1, maxLength: 3, selector: (find) => find.id }), (all) => {
          expect(back(target, all)).to.deep.equal(all.map(canonicalFind));
        }),
        { numRuns: 40 },
      );
    });
    it(`${target} carries the fullest record there is, quotes, lines, signs and all`, () => {
      expect(back(target, [FULL])).to.deep.equal([canonicalFind(FULL)]);
    });
    it(`${target} is known again without being told`, () => {
      expect(sourceOf("file", written(target, [FULL]))).to.equal(target);
    });
  }

  it("a table is read by an independent parser, a row an observation, and starts no formula", () => {
    const text = new TextDecoder().decode(written("csv", [FULL]));
    const rows = parse(text, { columns: true }) as Record<string, string>[];
    // habitat and substrate of the site, four looks of A, and B without one
    expect(rows).to.have.length(7);
    expect(rows.filter((row) => row.body === "A").map((row) => row.character)).to.have.members([
      "gill-colour",
      "ring",
      "base",
      "stain-base",
    ]);
    for (const row of rows) for (const value of Object.values(row)) expect(value).not.to.match(/^[=+@]/);
    expect(rows[0]?.lon).to.equal("-24.11825");
  });

  it("no table starts a formula, whatever it is led by, and every name comes back to the letter", () => {
    for (const label of ["=2+3", "@SUM(1)", "  =cmd|' /C calc'!A0", "\n=1", "\t-1", "+1", "'quoted", "-"]) {
      const find = findOf([bodyOf({ ring: "skirt" })], { label, note: label });
      const table = parse(new TextDecoder().decode(written("csv", [find])), { columns: true }) as Record<
        string,
        string
      >[];
      const archive = new AdmZip(Buffer.from(written("darwin-core", [find])));
      const occurrences = parse(archive.readAsText("occurrence.csv"), { columns: true });
      for (const row of [...table, ...(occurrences as Record<string, string>[])])
        for (const value of Object.values(row)) expect(value, JSON.stringify(label)).not.to.match(/^\s*[=+@-]\D|^\s*=/);
      expect(back("csv", [find])[0]?.label, JSON.stringify(label)).to.equal(label);
      expect(back("darwin-core", [find])[0]?.label, JSON.stringify(label)).to.equal(label);
    }
  });

  it("points are sound GeoJSON by an independent validator (RFC 7946), longitude first", () => {
    const text = new TextDecoder().decode(written("geojson", [FULL, findOf([bodyOf({})])]));
    const checked = check(text);
    expect(checked.type).to.equal("FeatureCollection");
    const parsed = JSON.parse(text) as { features: { geometry: { coordinates: number[] } | null }[] };
    expect(parsed.features[0]?.geometry?.coordinates).to.deep.equal([-24.11825, 61.20314, 140]);
    expect(parsed.features[1]?.geometry).to.equal(null);
  });

  it("waypoints are read by an independent parser (GPX 1.1), and what is lost is said", () => {
    const { content, losses } = convertTo("gpx", [FULL, findOf([bodyOf({ ring: "none" })])], "exact", STAMP);
    const read = gpx(new DOMParser().parseFromString(String(content), "text/xml") as unknown as Document);
    expect(read.features).to.have.length(1);
    expect(read.features[0]?.geometry).to.deep.equal({ type: "Point", coordinates: [-24.11825, 61.20314, 140] });
    expect(read.features[0]?.properties?.name).to.equal(FULL.label);
    expect(losses.join("\n"))
      .to.match(/1 find has none/)
      .and.to.match(/4 observations/)
      .and.to.match(/weather/)
      .and.to.match(/accuracy/);
  });

  it("waypoints come back with what they can carry", () => {
    const [again] = back("gpx", [FULL]);
    const { id, label, note, foundAt, place } = FULL;
    expect(again).to.deep.equal({
      format: "jittery-cap/find",
      version: 1,
      id,
      label,
      note,
      foundAt,
      place: { lat: place?.lat, lon: place?.lon, elevationM: place?.elevationM },
      bodies: [{ id: "A", lifted: "standing" }],
    });
  });

  it("the archive is a zip whose meta file names every column of its table by a term of Darwin Core", () => {
    const zip = new AdmZip(Buffer.from(written("darwin-core", [FULL])));
    const table = parse(zip.readAsText("occurrence.csv"), { columns: true }) as Record<string, string>[];
    expect(table).to.have.length(2);
    expect(table[0]).to.include({
      basisOfRecord: "HumanObservation",
      scientificName: "Fungi",
      decimalLatitude: "61.20314",
      coordinateUncertaintyInMeters: "8",
    });
    const meta = new DOMParser().parseFromString(zip.readAsText("meta.xml"), "text/xml");
    const terms = Array.from(meta.getElementsByTagName("field")).map((field) => field.getAttribute("term"));
    expect(terms).to.deep.equal(Object.keys(table[0] ?? {}).map((name) => `http://rs.tdwg.org/dwc/terms/${name}`));
    expect(meta.getElementsByTagName("core")[0]?.getAttribute("rowType")).to.equal(
      "http://rs.tdwg.org/dwc/terms/Occurrence",
    );
  });

  it("equal finds make equal archives, byte for byte", () => {
    expect(Buffer.from(written("darwin-core", [FULL])).equals(Buffer.from(written("darwin-core", [FULL])))).to.equal(
      true,
    );
  });

  it("a calendar says that it carries hours and nothing else", () => {
    const { content, losses } = convertTo("ics", [FULL, findOf([bodyOf({})])], "exact", STAMP);
    expect(String(content)).to.contain("BEGIN:VEVENT");
    expect(losses).to.deep.equal([
      "finds: 1 without a print under its cup is left out",
      "records: only the hours of prints are carried",
    ]);
  });
});

describe("points of other programs", () => {
  it("become finds that nobody has looked at, the same each time they are read", () => {
    const text =
      '<?xml version="1.0"?><gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1"><wpt lat="61.5" lon="24.25"><name>spot</name></wpt></gpx>';
    const read = () => readFrom("gpx", bytes(text));
    const first = read();
    expect(first).to.deep.equal(read());
    if (!first.ok) throw new Error("refused");
    expect(first.value[0]).to.deep.include({ label: "spot", bodies: [{ id: "A", lifted: "standing" }] });
    const point =
      '{"type":"Feature","geometry":{"type":"Point","coordinates":[24.25,61.5]},"properties":{"name":"spot"}}';
    const feature = readFrom("geojson", bytes(point));
    expect(feature.ok && feature.value[0]?.place).to.deep.equal({ lat: 61.5, lon: 24.25 });
  });

  for (const [source, text, path] of [
    ["json", '{"format":"jittery-cap/find","version":1,"id":"x","bodies":[]}', /bodies/],
    ["json", "not json", /root/],
    ["csv", "find_id,body,character,states\nx,A,ring,halo\n", /row 2: bodies\[0\]\.seen\[0\]\.states/],
    ["csv", "find_id,body,cap_cm\nx,A,wide\n", /row 2, cap_cm/],
    ["csv", "find_id,colour\nx,red\n", /unknown column/],
    ["csv", "name\nx\n", /no column find_id/],
    [
      "geojson",
      '{"type":"FeatureCollection","features":[{"type":"Feature","geometry":{"type":"LineString","coordinates":[[0,0],[1,1]]},"properties":{}}]}',
      /features\[0\]\.geometry/,
    ],
    ["geojson", '{"type":"Feature","geometry":{"type":"Point","coordinates":[500,10]},"properties":{}}', /lon/],
    ["gpx", "<gpx><wpt", /line 1/],
    ["gpx", '<gpx version="1.1"><wpt lat="north" lon="3"/></gpx>', /wpt\[0\].*lat/],
    ["darwin-core", "this is no zip", /no zip/],
  ] as const)
    it(`${source}: ${text.slice(0, 40)}… is refused with its place`, () => {
      const parsed = readFrom(source, bytes(text));
      if (parsed.ok) throw new Error("taken");
      expect(parsed.faults.map((fault) => `${fault.path}: ${fault.message}`).join("\n")).to.match(path);
    });
});

describe("places that go along", () => {
  const KM = 111.32;
  const away = (one: Find, other: Find) => {
    const [a, b] = [one.place, other.place];
    const lat = ((a?.lat ?? 0) - (b?.lat ?? 0)) * KM;
    const lon = ((a?.lon ?? 0) - (b?.lon ?? 0)) * KM * Math.cos(((a?.lat ?? 0) * Math.PI) / 180);
    return Math.hypot(lat, lon);
  };
  it("rounded are within their square, say how unsure they are, and name nothing", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -84, max: 84, noNaN: true }),
        fc.double({ min: -179, max: 179, noNaN: true }),
        (lat, lon) => {
          const find = findOf([bodyOf({})], {
            place: { lat, lon, accuracyM: 5, elevationM: 10, name: "Skirrow Wood", region: "europe" },
          });
          for (const [kind, km] of [
            ["1km", 1],
            ["10km", 10],
          ] as const) {
            const rounded = withPlace(find, kind);
            expect(away(find, rounded)).to.be.below(km * 0.75);
            expect(rounded.place).to.have.all.keys("lat", "lon", "accuracyM", "region");
            expect((rounded.place?.accuracyM ?? 0) / 1000).to.be.at.least(away(find, rounded) - 0.02);
          }
        },
      ),
    );
  });
  it("rounded twice are rounded once, and neighbours in one square become one place", () => {
    const at = (lat: number) => findOf([bodyOf({})], { place: { lat, lon: 24.5 } });
    expect(withPlace(withPlace(at(61.2), "10km"), "10km").place).to.deep.equal(withPlace(at(61.2), "10km").place);
    expect(withPlace(at(61.2001), "10km").place).to.deep.equal(withPlace(at(61.2002), "10km").place);
  });
  it("left out leave the region, which the judgement needs, and nothing else", () => {
    expect(withPlace(FULL, "none").place).to.deep.equal({ region: "europe" });
    for (const target of ["json", "csv", "geojson", "gpx", "darwin-core"] as const) {
      const text = Buffer.from(bytes(convertTo(target, [FULL], "none", STAMP).content)).toString("latin1");
      expect(text, target).not.to.contain("61.2").and.not.to.contain("Skirrow");
    }
    expect(findSchema.safeParse(withPlace(FULL, "none")).success).to.equal(true);
  });
});
