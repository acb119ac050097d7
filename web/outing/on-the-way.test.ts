import "fake-indexeddb/auto";
import { applyChange, type Find, newFind } from "@jittery-cap/core";
import { newPlace } from "@jittery-cap/core/season";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { changesOfPlace } from "./on-the-way.ts";

const orchard = {
  ...newPlace("Old orchard"),
  elevationM: 101,
  region: "europe" as const,
  habitat: ["orchard" as const],
  host: ["apple" as const],
  concerns: ["industrial" as const],
};
const after = (find: Find): Find =>
  changesOfPlace(orchard, find).reduce((now, change) => {
    const applied = applyChange(now, change);
    if (!applied.ok) throw new Error(JSON.stringify(applied.faults));
    return applied.value.find;
  }, find);
const fresh = () => newFind(uuidv7(), "2026-09-14T10:00:00Z");

describe("a find begun in a place that is kept", () => {
  it("has its name, its height and what is wrong with its ground, and no tree that nobody looked at", () => {
    const { place, site } = after(fresh());
    expect(place).to.deep.include({ name: "Old orchard", elevationM: 101, region: "europe" });
    expect(site).to.deep.equal({ concerns: ["industrial"] });
  });

  it("keeps what was told of it before the place was known: nothing wrong with the ground is taken back", () => {
    const told: Find = {
      ...fresh(),
      place: { name: "by the wall", region: "east-asia" },
      site: { concerns: ["roadside"] },
    };
    const { place, site } = after(told);
    expect(place).to.include({ name: "by the wall", region: "east-asia" });
    expect(site?.concerns).to.have.members(["roadside", "industrial"]);
    expect(changesOfPlace(orchard, after(told))).to.deep.equal([]);
  });
});
