import { convertTo, type Find, readFrom } from "@jittery-cap/core";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { sortOut } from "./sort-out.ts";

const finds = seasonFinds();
const here = (id: string) => finds.find((one) => one.id === id);

describe("a file that is read", () => {
  it("brings nothing new where it was written here, with places or without", () => {
    for (const places of ["exact", "10km", "none"] as const) {
      const written = convertTo("json", finds, places, new Date("2026-11-26T10:00:00Z"));
      const read = readFrom("json", new TextEncoder().encode(String(written.content)));
      if (!read.ok) throw new Error(read.faults[0]?.message);
      expect(sortOut(read.value, here).map((one) => one.kind)).to.deep.equal(finds.map(() => "same"));
    }
  });

  it("brings what is new as new, and tells what differs from what is here", () => {
    const [first] = finds;
    if (first === undefined) throw new Error("no demo find");
    const changed: Find = { ...first, label: "another name" };
    const strange: Find = { ...first, id: "0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10" };
    const [one, other] = sortOut([changed, strange], here);
    expect(one?.kind === "changed" ? one.lines.map((line) => line.theirs) : []).to.include("another name");
    expect(other?.kind).to.equal("new");
  });
});
