import { assess, findSchema } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { whatChanged } from "./what-changed.ts";

const knowledge = readKnowledge();
const GILLS = { character: "underside", states: ["gills"] };
const answer = (seen: unknown[], id = "t") =>
  assess(
    findSchema.parse({
      format: "jittery-cap/find",
      version: 1,
      id,
      bodies: [{ id: "A", age: "young", lifted: "whole", seen }],
    }),
    knowledge,
  );

describe("what a touch moved", () => {
  it("names the danger and its new distance", () => {
    const text = whatChanged(answer([GILLS]), answer([GILLS, { character: "base", states: ["plain"] }]));
    expect(text).to.match(/(destroying angel( \(northern\))?|death cap): now 1 mistake away/);
  });
  it("names what came nearer before what went farther, and a turned answer before both", () => {
    const before = answer([GILLS, { character: "base", states: ["plain"] }]);
    const after = answer([GILLS, { character: "base", states: ["sac"] }, { character: "smell", states: ["chemical"] }]);
    expect(whatChanged(before, after)).to.match(
      /^the answer is now leave · [^·]*: now (nothing speaks against it|1 mistake away)/,
    );
  });
  it("says so when nothing moved, and nothing when there is no answer of this find to compare with", () => {
    expect(whatChanged(answer([]), answer([]))).to.equal("moved no danger");
    expect(whatChanged(undefined, answer([]))).to.equal(undefined);
    expect(whatChanged(answer([], "other"), answer([]))).to.equal(undefined);
  });
});
