import { type Find, newFind } from "@jittery-cap/core";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { GUIDE, stepOf } from "./first-find.ts";

describe("a first find, led by the hand", () => {
  const fresh = newFind("0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10", "2026-09-14T10:00:00Z");

  it("goes on by what is recorded, in six steps", () => {
    expect(GUIDE).to.have.length(6);
    expect(stepOf(fresh)).to.equal(0);
    const aged: Find = { ...fresh, bodies: [{ id: "A", age: "mature" }] };
    expect(stepOf(aged)).to.equal(1);
    const stood: Find = { ...aged, site: { substrate: ["soil"] } };
    expect(stepOf(stood)).to.equal(2);
    const turned: Find = {
      ...stood,
      bodies: [{ id: "A", age: "mature", seen: [{ character: "underside", states: ["gills"] }] }],
    };
    expect(stepOf(turned)).to.equal(3);
  });

  it("ends with a find that was decided, and a step taken early is never asked again", () => {
    const decided = seasonFinds().filter((find) => find.bodies.some((body) => body.ending !== undefined));
    expect(decided.length).to.be.above(3);
    for (const find of decided) expect(stepOf(find) ?? 6, find.label).not.to.equal(5);
  });
});
