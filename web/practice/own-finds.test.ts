import type { Find } from "@jittery-cap/core";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { pastFinds, uncoloured } from "./own-finds.ts";

const LATER = Date.parse("2027-03-01T12:00:00Z");

describe("one's own past finds", () => {
  it("are shown without their name, what they were taken for, notes and endings", () => {
    for (const find of seasonFinds()) {
      const text = JSON.stringify(uncoloured(find));
      expect(text).not.to.match(/"(label|takenFor|note|ending)":/);
    }
  });
  it("are months old, were looked at, and do not come twice in a row", () => {
    const all = seasonFinds();
    const first = pastFinds(all, LATER, new Set(), "seed");
    expect(first.length).to.be.greaterThan(4);
    expect(pastFinds(all, LATER, new Set(first.map(({ id }) => id)), "seed")).to.deep.equal([]);
    expect(pastFinds(all, Date.parse(all[0]?.foundAt ?? ""), new Set(), "seed")).to.deep.equal([]);
    const bare: Find = { ...(all[0] as Find), bodies: [{ id: "A", seen: [] }] };
    expect(pastFinds([bare], LATER, new Set(), "seed")).to.deep.equal([]);
  });
});
