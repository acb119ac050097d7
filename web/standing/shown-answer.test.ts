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

  it("is a fraction of it: it crosses from thread to thread at every touch", () => {
    for (const find of seasonFinds()) {
      const whole = assess(find, knowledge);
      expect(JSON.stringify(shownAnswer(whole)).length, find.label).to.be.below(JSON.stringify(whole).length / 2);
    }
  });
});
