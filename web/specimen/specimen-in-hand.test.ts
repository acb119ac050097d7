import { assess, findSchema } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { IN_HAND_FIND, looksAt } from "./specimen-in-hand.ts";
import { STATIONS } from "./stations.ts";

describe("the specimen that a first evening is practised on", () => {
  it("is recorded whole in words of the vocabulary, and is told to be left", () => {
    const find = findSchema.parse({ ...IN_HAND_FIND, id: "0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10" });
    const answer = assess(find, readKnowledge());
    expect(answer.verdict).to.equal("leave");
    expect(answer.dangers.find((danger) => danger.sheet === "amanita-phalloides")?.mistakes).to.equal(0);
  });

  it("is never in the basket, whichever of its looks are left out or told as they are", () => {
    const knowledge = readKnowledge();
    const [body] = IN_HAND_FIND.bodies;
    if (body?.seen === undefined) throw new Error("no body");
    for (let left = 0; left < body.seen.length; left++) {
      const seen = body.seen.filter((_entry, index) => index !== left);
      expect(assess({ ...IN_HAND_FIND, bodies: [{ ...body, seen }] }, knowledge).verdict).not.to.equal("basket");
    }
  });

  it("shows something at every station of handling", () => {
    for (const station of STATIONS) expect(looksAt(station).length, station.id).to.be.above(0);
  });
});
