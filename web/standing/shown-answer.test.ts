import { assess } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { shownAnswer } from "./shown-answer.ts";
import { strokesOf } from "./strokes.ts";

const knowledge = readKnowledge();

describe("an answer as it is shown", () => {
  it("tells of every danger what the whole answer tells: its place, its distance, its strokes, what hides it", () => {
    for (const find of seasonFinds()) {
      const whole = assess(find, knowledge);
      const shown = shownAnswer(whole);
      expect(shown.verdict).to.equal(whole.verdict);
      expect(shown.reasons).to.deep.equal(whole.reasons);
      expect(shown.bodies).to.deep.equal(whole.bodies);
      expect(shown.next).to.deep.equal(whole.next);
      expect(shown.dangers).to.have.length(whole.dangers.length);
      for (const [index, danger] of whole.dangers.entries()) {
        const { sheet, mistakes, status, tier, body } = danger;
        expect(shown.dangers[index]).to.deep.include({ sheet, mistakes, status, tier, body });
        expect(shown.dangers[index]?.strokes).to.deep.equal(strokesOf(danger));
        if (status !== "ruled-out") expect(shown.dangers[index]?.masks).to.deep.equal(danger.masks);
      }
    }
  });

  it("draws as many strokes as mistakes, where what a danger never shows was seen on two bodies as well", () => {
    let twice = 0;
    for (const find of seasonFinds())
      for (const danger of assess(find, knowledge).dangers) {
        const strokes = strokesOf(danger).filter((kind) => kind !== "masked");
        expect(strokes, `${find.label}: ${danger.sheet}`).to.have.length(danger.mistakes);
        if (danger.points.some((point) => point.again === true)) twice += 1;
      }
    expect(twice).to.be.greaterThan(10);
  });

  it("is a fraction of it: it crosses from thread to thread at every touch", () => {
    for (const find of seasonFinds()) {
      const whole = assess(find, knowledge);
      expect(JSON.stringify(shownAnswer(whole)).length, find.label).to.be.below(JSON.stringify(whole).length / 2);
    }
  });
});
