import { readFileSync } from "node:fs";
import { findSchema } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { engineRun, sameResults } from "./evaluation.ts";
import { generatedShelf } from "./generated.ts";

const shipped = readKnowledge();
const find = findSchema.parse({
  format: "jittery-cap/find",
  version: 1,
  id: "bench",
  bodies: [
    {
      id: "A",
      age: "young",
      lifted: "whole",
      seen: [
        { character: "gill-colour", states: ["pink"] },
        { character: "ring", states: ["skirt"] },
        { character: "base", states: ["plain"] },
      ],
    },
  ],
});

describe("the work that is given to a rule engine for comparison", () => {
  it("is the same work: the engine says all that the core says", async () => {
    await sameResults(find, shipped);
    const [against] = await engineRun(find, shipped)();
    expect(against?.get("amanita-virosa")).to.include.members(["gill-colour", "base"]);
  });

  it("is the same work for the find that it is timed on, with what dangers never show", async () => {
    const demo = new URL("../demo/finds/white-ones-in-an-arc.json", import.meta.url);
    await sameResults(findSchema.parse(JSON.parse(readFileSync(demo, "utf8"))), shipped);
  });
});

describe("generated sheets", () => {
  it("are as many as asked for, the same for the same seed, and still dangers and sought kinds", () => {
    const shelf = generatedShelf(shipped, 300, 1);
    expect(shelf.sheets.length).to.equal(300);
    expect(shelf.edition).to.equal(generatedShelf(shipped, 300, 1).edition);
    expect(shelf.edition).not.to.equal(generatedShelf(shipped, 300, 2).edition);
    expect(shelf.dangers.length).to.be.greaterThan(50);
    expect(shelf.sought.length).to.be.greaterThan(50);
  });
});
