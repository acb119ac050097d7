import { assess, findSchema } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { DRAWN, dangerGroups, isDrawnAlike } from "./danger-groups.ts";
import { shownAnswer } from "./shown-answer.ts";

const knowledge = readKnowledge();
const answerTo = (seen: readonly { character: string; states: string[] }[]) =>
  shownAnswer(
    assess(
      findSchema.parse({
        format: "jittery-cap/find",
        version: 1,
        id: "grouped",
        bodies: [{ id: "A", age: "young", lifted: "whole", seen }],
      }),
      knowledge,
    ),
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

describe("a danger's row", () => {
  const before = answerTo([{ character: "underside", states: ["gills"] }]);
  const after = answerTo([
    { character: "underside", states: ["gills"] },
    { character: "gill-colour", states: ["brown"] },
    { character: "base", states: ["plain"] },
  ]);

  it("is left as it is only where name, tier, distance and strokes are the same", () => {
    let kept = 0;
    for (const danger of after.dangers) {
      const was = before.dangers.find((one) => one.sheet === danger.sheet);
      if (was === undefined) throw new Error(`${danger.sheet} was not there`);
      const isKept = isDrawnAlike(was, danger);
      kept += Number(isKept);
      if (isKept) expect(was.mistakes, danger.sheet).to.equal(danger.mistakes);
      if (was.mistakes !== danger.mistakes) expect(isKept, danger.sheet).to.equal(false);
      expect(isDrawnAlike(danger, structuredClone(danger)), danger.sheet).to.equal(true);
      expect(isDrawnAlike(danger, { ...danger, mistakes: danger.mistakes + 1 }), danger.sheet).to.equal(false);
      expect(isDrawnAlike(danger, { ...danger, tier: "inedible" as never }), danger.sheet).to.equal(false);
    }
    expect(kept).to.be.within(1, after.dangers.length - 1);
  });
  it("is drawn anew where a stroke breaks, though the count stays", () => {
    const [danger] = after.dangers.filter((one) => one.strokes.includes("hard"));
    if (danger === undefined) throw new Error("no danger with a hard point");
    const softer = { ...danger, strokes: danger.strokes.map(() => "soft" as const) };
    expect(isDrawnAlike(danger, softer)).to.equal(false);
  });
  it("is drawn anew where a house rule sets it aside, and not where another body is its nearest", () => {
    const [one] = after.dangers;
    if (one === undefined) throw new Error("no danger");
    expect(isDrawnAlike(one, { ...one, body: "B" })).to.equal(true);
    expect(isDrawnAlike(one, { ...one, aside: true })).to.equal(false);
  });
});
