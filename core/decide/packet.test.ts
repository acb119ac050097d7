import { expect } from "chai";
import fc from "fast-check";
import { assess } from "../answer/answer.ts";
import { applyChange } from "../find/apply-change.ts";
import { type Find, findSchema } from "../find/schema.ts";
import { finds } from "../tests/arbitraries.ts";
import { bodyOf, FIELD_MUSHROOM, findOf, GRASS, OLDER } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { compareLooks, type OpinionLook, opinionChanges, packetOf, saidOfPacketSchema } from "./packet.ts";

const CLEAR = findOf([bodyOf(FIELD_MUSHROOM), OLDER], {
  ...GRASS,
  takenFor: "agaricus-campestris",
  place: { lat: 61, lon: 24, name: "Skirrow Wood", region: "europe" },
  rules: { distance: 3 },
  note: "by the old gate",
  site: { ...GRASS.site, neighbours: ["agaricus-xanthodermus", "note:by my spot near Skirrow church"] },
});
const look = (character: "gill-colour" | "ring", state: string): OpinionLook => ({
  body: "A",
  entry: { character, states: [state] },
});
const applied = (find: Find, changes: ReturnType<typeof opinionChanges>): Find =>
  changes.reduce((now, change) => {
    const next = applyChange(now, change);
    if (!next.ok) throw new Error(JSON.stringify(next.faults));
    return next.value.find;
  }, find);

describe("a packet for a second pair of eyes", () => {
  it("holds what was seen, and neither answer, name, rules, note nor place", () => {
    const text = JSON.stringify(packetOf(CLEAR, "packet-1"));
    expect(text).to.contain("gill-colour").and.to.contain("grassland");
    for (const hidden of ["campestris", "Skirrow", "61", "distance", "old gate", "rules", `"${CLEAR.id}"`])
      expect(text).not.to.contain(hidden);
    expect(text).to.contain("packet-1").and.to.contain("xanthodermus");
  });

  it("is a sound record for any find, and tells nothing of where it stood", () => {
    fc.assert(
      fc.property(finds(), (find) => {
        const packet = packetOf(find, "packet-1");
        expect(findSchema.safeParse(packet).success).to.equal(true);
        expect(packet.place?.lat).to.equal(undefined);
        expect(packet.id).to.equal("packet-1");
        expect((packet.site?.neighbours ?? []).some((one) => one.startsWith("note:"))).to.equal(false);
        expect(packet.bodies.flatMap((body) => body.seen ?? []).every((entry) => entry.by === undefined)).to.equal(
          true,
        );
      }),
      { numRuns: 60 },
    );
  });
});

describe("a second pair of eyes", () => {
  it("agrees, differs, or saw what the finder did not look at", () => {
    expect(
      compareLooks(CLEAR, [look("gill-colour", "pink"), look("ring", "none")]).map((one) => one.relation),
    ).to.deep.equal(["agrees", "differs"]);
    const bare = findOf([bodyOf({ ring: "skirt" })]);
    expect(compareLooks(bare, [look("gill-colour", "pink")])[0]?.relation).to.equal("new");
  });

  it("that differs makes it unsure, and the find goes from basket to hold", () => {
    const plain = findOf([bodyOf(FIELD_MUSHROOM), OLDER], GRASS);
    expect(assess(plain, SHIPPED).verdict).to.equal("basket");
    const after = applied(plain, opinionChanges(plain, "ilva", "Ilva", false, [look("gill-colour", "white")]));
    expect(assess(after, SHIPPED).verdict).to.equal("hold");
    expect(after.observers).to.deep.equal([{ id: "ilva", name: "Ilva" }]);
  });

  it("from pictures only confirms nothing: looks taken in alone move no danger", () => {
    const bare = findOf([bodyOf({ "cap-colour": "white" })]);
    const after = applied(
      bare,
      opinionChanges(bare, "ilva", "Ilva", true, [look("gill-colour", "pink"), look("ring", "none")]),
    );
    const distances = (find: Find) =>
      assess(find, SHIPPED)
        .dangers.map(({ sheet, mistakes }) => `${sheet} ${mistakes}`)
        .sort();
    expect(distances(after)).to.deep.equal(distances(bare));
  });

  it("names itself and looks at something", () => {
    const opinion = {
      id: "0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10",
      name: "Ilva",
      inHand: true,
      looks: [look("ring", "none")],
    };
    expect(saidOfPacketSchema.safeParse(opinion).success).to.equal(true);
    expect(saidOfPacketSchema.safeParse({ ...opinion, name: "  " }).success).to.equal(false);
    expect(saidOfPacketSchema.safeParse({ ...opinion, looks: [] }).success).to.equal(false);
  });
});
