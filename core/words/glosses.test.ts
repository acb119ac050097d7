import { expect } from "chai";
import { CHARACTER_IDS, definitionOf } from "../find/vocabulary.ts";
import { glossesOf, WORD_GLOSSES } from "./glosses.ts";

describe("a gloss", () => {
  it("is given of states that there are, and of every state of foot, ring, gill joint and halved body that needs one", () => {
    for (const character of CHARACTER_IDS)
      for (const state of Object.keys(glossesOf(character) ?? {}))
        expect(definitionOf(character).states, `${character}: ${state}`).to.include(state);
    const plain = new Set(["none", "plain", "double", "side-attached", "sits-on-ground"]);
    for (const character of ["base", "ring", "gill-attachment", "bisection"] as const)
      for (const state of definitionOf(character).states.filter((one) => !plain.has(one)))
        expect(glossesOf(character)?.[state], `${character}: ${state}`).to.be.a("string");
  });

  it("is one sentence, and never says that something is safe or may be eaten", () => {
    const all = [
      ...WORD_GLOSSES.map((one) => one.means),
      ...CHARACTER_IDS.flatMap((one) => Object.values(glossesOf(one) ?? {})),
    ];
    for (const means of all) {
      expect(means).to.match(/\.$/);
      expect(means).not.to.match(/\bsafe\b|\bedible\b|may be eaten/i);
    }
    expect(new Set(WORD_GLOSSES.map((one) => one.word)).size).to.equal(WORD_GLOSSES.length);
  });
});
