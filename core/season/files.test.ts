import { check } from "@placemarkio/check-geojson";
import { gpx as asGeoJson } from "@tmcw/togeojson";
import { DOMParser } from "@xmldom/xmldom";
import { expect } from "chai";
import { parse } from "csv-parse/sync";
import ICAL from "ical.js";
import { calendarOf } from "../formats/ics.ts";
import { REMINDER_KINDS, type Reminder } from "../outing/reminder.ts";
import { hourOf, idNumber, squareAt } from "../tests/season.ts";
import { geoJsonOfPlaces, gpxOfTrack, placesOfGeoJson, reminderEvents, tableCsv, tracksOfGpx } from "./files.ts";

const gpxOf = (...points: readonly string[]) =>
  `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${points.join("")}</trkseg></trk></gpx>`;
const point = (lat: number, lon: number, time?: string) =>
  `<trkpt lat="${lat}" lon="${lon}">${time === undefined ? "" : `<time>${time}</time>`}</trkpt>`;

describe("a track of another program", () => {
  it("is read as another reader reads it, segment by segment", () => {
    const text = gpxOf(
      ...Array.from({ length: 30 }, (_unused, index) =>
        point(61.9 + index / 1000, -25.4, `2026-09-14T08:${String(index).padStart(2, "0")}:00Z`),
      ),
    );
    const read = tracksOfGpx(text);
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    const known = asGeoJson(new DOMParser().parseFromString(text, "text/xml") as unknown as Document);
    const geometry = known.features[0]?.geometry;
    expect(geometry?.type).to.equal("LineString");
    if (geometry?.type === "LineString")
      expect(read.value.segments[0]?.map(({ lon, lat }) => [lon, lat])).to.deep.equal(
        geometry.coordinates.map(([lon, lat]) => [lon, lat]),
      );
  });

  it("without times says so and is no track; broken it is refused with the place that is wrong", () => {
    const untimed = tracksOfGpx(gpxOf(point(61, 24), point(61, 25)));
    expect(untimed.ok && untimed.value).to.deep.equal({ segments: [], untimed: 2 });
    const wrong = tracksOfGpx(gpxOf(point(61, 24, "2026-09-14T08:00:00Z"), point(99, 24, "2026-09-14T08:01:00Z")));
    expect(wrong.ok ? "" : wrong.faults[0]?.path).to.equal("trk[0].trkseg[0].trkpt[1].lat");
    const noTime = tracksOfGpx(gpxOf(point(61, 24, "yesterday")));
    expect(noTime.ok ? "" : noTime.faults[0]?.path).to.equal("trk[0].trkseg[0].trkpt[0].at");
    expect(tracksOfGpx("<gpx><trk>").ok).to.equal(false);
    expect(tracksOfGpx("{}").ok).to.equal(false);
  });

  it("of fifty thousand points is read whole", () => {
    const start = Date.parse("2026-09-14T00:00:00Z");
    const points = Array.from({ length: 50_000 }, (_unused, index) =>
      point(61.9, -25.4 + index / 1e6, new Date(start + index * 1000).toISOString()),
    );
    const read = tracksOfGpx(gpxOf(...points));
    expect(read.ok && read.value.segments[0]).to.have.length(50_000);
  }).timeout(30_000);
});

describe("places of another program", () => {
  const collection = (...features: readonly object[]) => JSON.stringify({ type: "FeatureCollection", features });
  const feature = (geometry: object, name?: string) => ({
    type: "Feature",
    geometry,
    properties: name === undefined ? null : { name },
  });
  it("are its areas and its points; what is neither is counted and left out", () => {
    const ring = [
      [24, 61],
      [24.01, 61],
      [24.01, 61.01],
      [24, 61],
    ];
    const read = placesOfGeoJson(
      collection(
        feature({ type: "Polygon", coordinates: [ring] }, "a wood"),
        feature({ type: "Point", coordinates: [24, 61, 120] }),
        feature({
          type: "LineString",
          coordinates: [
            [24, 61],
            [25, 61],
          ],
        }),
      ),
    );
    if (!read.ok) throw new Error("is sound");
    expect(read.value.leftOut).to.equal(1);
    expect(read.value.places.map(({ name, share }) => [name, share])).to.deep.equal([
      ["a wood", "none"],
      ["place 2", "none"],
    ]);
    expect(read.value.places[0]?.outline).to.deep.equal(ring.slice(0, 3));
  });

  it("that are none are refused", () => {
    for (const text of ["", "[]", collection(), collection(feature({ type: "Point", coordinates: [500, 0] }))])
      expect(placesOfGeoJson(text).ok, text).to.equal(false);
  });
});

describe("own tracks and places for other programs", () => {
  const at = (second: number) => ({
    at: new Date(Date.parse(hourOf("2026-09-14", 8)) + second * 1000).toISOString(),
    lat: 61.9 + second / 1e5,
    lon: 19.6,
  });
  it("are GPX that comes back leg by leg, here and in another reader", () => {
    const legs = [
      [at(0), at(10), { ...at(20), elevationM: 140 }],
      [at(4000), at(4010)],
    ];
    const text = gpxOfTrack('the "bog" & back', legs);
    const read = tracksOfGpx(text);
    expect(read.ok && read.value.segments).to.deep.equal(legs);
    const known = asGeoJson(new DOMParser().parseFromString(text, "text/xml") as unknown as Document);
    expect(known.features[0]?.geometry?.type).to.equal("MultiLineString");
    expect(known.features[0]?.properties?.name).to.equal('the "bog" & back');
  });

  it("are GeoJSON by an independent reader; for others each place shows itself and nothing more", () => {
    const secret = {
      ...squareAt(61.912347, 19.583911, 120, { name: "the hollow beech" }),
      share: "none" as const,
      note: "third stile",
    };
    const near = { ...secret, name: "the bog", share: "1km" as const };
    const own = geoJsonOfPlaces([secret, near], "oneself");
    const others = geoJsonOfPlaces([secret, near], "others");
    for (const text of [own, others]) expect(() => check(text)).not.to.throw();
    expect(others).not.to.match(/hollow|bog|stile|61\.9123|19\.5839/);
    expect(
      JSON.parse(others).features.map(({ geometry }: { geometry: { type: string } | null }) => geometry?.type ?? null),
    ).to.deep.equal([null, "Point"]);
    const back = placesOfGeoJson(own);
    expect(back.ok && back.value.places.map(({ outline }) => outline?.length)).to.deep.equal([4, 4]);
  });
});

describe("dates to come back", () => {
  const reminder = (more: Partial<Reminder>): Reminder => ({
    kind: "puzzle",
    what: "the grey brittle one; again",
    from: "2026-10-12",
    to: "2026-10-14",
    madeAt: hourOf("2026-09-28", 12),
    ...more,
  });
  it("stand in a calendar that another program reads, and what was met or dropped does not", () => {
    const all = [
      ...REMINDER_KINDS.map((kind, index) => ({ id: idNumber(index + 1), content: reminder({ kind }) })),
      { id: idNumber(90), content: reminder({ came: { at: hourOf("2026-10-01", 9) } }) },
      { id: idNumber(91), content: reminder({ droppedAt: hourOf("2026-10-01", 9) }) },
    ];
    const text = calendarOf(
      "Return",
      reminderEvents(all, (day, hour) => new Date(hourOf(day, hour))),
      new Date(hourOf("2026-09-28", 12)),
    );
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));
    expect(events).to.have.length(REMINDER_KINDS.length);
    expect(events[0]?.startDate.toJSDate().toISOString()).to.equal("2026-10-12T09:00:00.000Z");
    expect(events[0]?.summary).to.contain("grey brittle one; again");
  });
});

describe("a table as CSV", () => {
  it("comes back cell by cell, and a formula is no formula", () => {
    const rows = [
      ["a, b", 3, undefined],
      ['say "no"', -2, "line\nline"],
      ["=1+1", 0, ""],
    ] as const;
    const read: string[][] = parse(tableCsv(["kind", "finds", "note"], rows));
    expect(read).to.deep.equal([
      ["kind", "finds", "note"],
      ["a, b", "3", ""],
      ['say "no"', "-2", "line\nline"],
      ["'=1+1", "0", ""],
    ]);
  });
});
