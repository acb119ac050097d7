import { assess, findSchema } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { DRAWN, dangerGroups } from "./danger-groups.ts";

const knowledge = readKnowledge();
const answerTo = (seen: readonly { character: string; states: string[] }[]) =>
  assess(
    findSchema.parse({
      format: "jittery-cap/find",
      version: 1,
      id: "grouped",
      bodies: [{ id: "A", age: "young", lifted: "whole", seen }],
    }),
    knowledge,
  );

describe("the dangers of a hundred sheets", () => {
  const nothing = answerTo([{ character: "two-toned", states: ["no"] }]);
  const some = answerTo([
    { character: "underside", states: ["pores"] },
    { character: "pore-colour", states: ["yellow"] },
    { character: "latex", states: ["none"] },
  ]);

  it("are all there, each once, whatever is folded", () => {
    for (const { dangers } of [nothing, some]) {
      const { drawn, near, far } = dangerGroups(dangers);
      const shown = [...drawn, ...[...near, ...far].flatMap((fold) => fold.dangers)].map((danger) => danger.sheet);
      expect([...shown].sort()).to.deep.equal(dangers.map((danger) => danger.sheet).sort());
    }
  });
  it("are drawn one by one where they are nearest, the rest folded by distance", () => {
    const { drawn, near, nearCount } = dangerGroups(nothing.dangers);
    expect(drawn.length).to.equal(DRAWN);
    expect(nearCount).to.equal(nothing.dangers.length);
    expect(near.map((fold) => fold.mistakes)).to.deep.equal([0]);
  });
  it("come nearest first, and of those at one distance the deadly before the rest", () => {
    const { drawn, near } = dangerGroups(nothing.dangers);
    const tiers = [...drawn, ...near.flatMap((fold) => fold.dangers)].map((danger) => danger.tier);
    const rest = tiers.slice(tiers.findIndex((tier) => tier !== "deadly"));
    expect(tiers[0]).to.equal("deadly");
    expect(rest).not.to.include("deadly");
  });
  it("past doubt are never drawn among the near", () => {
    const { drawn, far, farCount } = dangerGroups(some.dangers);
    expect(drawn.every((danger) => danger.status !== "ruled-out")).to.equal(true);
    expect(far.flatMap((fold) => fold.dangers).every((danger) => danger.status === "ruled-out")).to.equal(true);
    expect(far.reduce((sum, fold) => sum + fold.dangers.length, 0)).to.equal(farCount);
  });
  it("do not fold one alone behind its own count", () => {
    const standing = nothing.dangers.slice(0, DRAWN + 1);
    expect(dangerGroups(standing).drawn.length).to.equal(DRAWN + 1);
    expect(dangerGroups(standing).near).to.deep.equal([]);
  });
});
