import { expect } from "chai";
import fc from "fast-check";
import { changeSchema } from "../find/changes.ts";
import { type Find, findSchema } from "../find/schema.ts";
import { borderFinds, verdictOn } from "../tests/border-finds.ts";
import { PLACES_SHOWN } from "./circle.ts";
import { sharedFind, tellsMore } from "./shared-find.ts";

const RUNS = Number(process.env.LAW_RUNS ?? 60);
/** How much a verdict permits. */
const PERMITS = { leave: 0, hold: 1, basket: 2 } as const;
const SECRET = "under the third oak";
/** A find with its place told in every way that there is. */
const told = (find: Find, lat: number, lon: number): Find => ({
  ...find,
  label: `label ${SECRET}`,
  note: `note ${SECRET}`,
  place: { ...find.place, lat, lon, elevationM: 123.25, name: `name ${SECRET}` },
  site: { ...find.site, neighbours: [...(find.site?.neighbours ?? []), `note:neighbour ${SECRET}`] },
  bodies: find.bodies.map((body) => ({
    ...body,
    note: `body ${SECRET}`,
    seen: [
      ...(body.seen ?? []).filter((one) => one.character !== "smell"),
      { character: "smell", unseen: `why ${SECRET}` },
    ],
  })),
});
const degrees = (most: number) =>
  fc.double({ min: -most, max: most, noNaN: true }).map((one) => Math.round(one * 1e5) / 1e5);

describe("a find as others see it", () => {
  it("tells nothing of its place, in whatever words, unless its finder shows it", () => {
    fc.assert(
      fc.property(borderFinds(), degrees(89), degrees(179), (find, lat, lon) => {
        const text = JSON.stringify(sharedFind(told(find, lat, lon), "none"));
        expect(text).not.to.include(SECRET);
        expect(text).not.to.match(/"lat"|"lon"|"elevationM"|"accuracyM"/);
        const rounded = sharedFind(told(find, lat, lon), "rounded");
        expect(JSON.stringify(rounded)).not.to.include(SECRET);
        expect(rounded.place?.elevationM).to.equal(undefined);
        expect(Math.abs((rounded.place?.lat ?? 99) - lat)).to.be.at.most(0.0501);
        expect(String(rounded.place?.lon)).to.match(/^-?\d+(\.\d)?$/);
      }),
      { numRuns: RUNS },
    );
  });

  it("is a sound record, and the same again where it is shared as it is", () => {
    fc.assert(
      fc.property(borderFinds(), fc.constantFrom(...PLACES_SHOWN), (find, shown) => {
        const shared = sharedFind(told(find, 61.2, 24.5), shown);
        expect(findSchema.safeParse(shared).success).to.equal(true);
        expect(sharedFind(shared, shown)).to.deep.equal(shared);
        expect(shared.bodies.map((body) => body.id)).to.deep.equal(find.bodies.map((body) => body.id));
      }),
      { numRuns: RUNS },
    );
  });

  it("never comes to more than its finder's own record does", () => {
    fc.assert(
      fc.property(borderFinds(), fc.constantFrom(...PLACES_SHOWN), (find, shown) => {
        const own = told(find, 61.2, 24.5);
        expect(PERMITS[verdictOn(sharedFind(own, shown))]).to.be.at.most(PERMITS[verdictOn(own)]);
      }),
      { numRuns: RUNS },
    );
  });

  it("has a history without the changes that would tell more, of every kind that there is", () => {
    const change = (value: unknown) => changeSchema.parse(value);
    const telling = [
      { kind: "set-place", field: "lat", value: 61 },
      { kind: "set-place", field: "name", value: SECRET },
      { kind: "set-place", field: "elevationM", value: 12 },
      { kind: "set-find", field: "label", value: SECRET },
      { kind: "set-find", field: "note", value: SECRET },
      { kind: "set-site", field: "neighbours", value: [`note:${SECRET}`] },
      { kind: "set-body", body: "A", field: "note", value: SECRET },
      { kind: "observe", body: "A", character: "smell", entries: [{ character: "smell", unseen: SECRET }] },
      { kind: "add-body", body: { id: "B", note: SECRET } },
    ].map(change);
    const plain = [
      { kind: "set-place", field: "region", value: "europe" },
      { kind: "set-find", field: "takenFor", value: null },
      { kind: "set-site", field: "habitat", value: ["grassland"] },
      { kind: "set-weather", field: "frostLastNight", value: true },
      { kind: "set-rule", field: "distance", value: 3 },
      { kind: "observe", body: "A", character: "ring", entries: [{ character: "ring", states: ["skirt"] }] },
      { kind: "unsee", body: "A", character: "ring" },
      { kind: "add-body", body: { id: "B" } },
      { kind: "remove-body", body: "B" },
    ].map(change);
    for (const one of telling) {
      expect(tellsMore(one, "none"), JSON.stringify(one)).to.equal(true);
      expect(tellsMore(one, "rounded"), JSON.stringify(one)).to.equal(true);
      expect(tellsMore(one, "exact")).to.equal(false);
    }
    for (const one of plain) expect(tellsMore(one, "none"), JSON.stringify(one)).to.equal(false);
  });
});
