import { CHARACTERS } from "@jittery-cap/core";
import { expect } from "chai";
import { PIGMENTS } from "./tokens.ts";

/** States of a colour that are told by a drawing, by words, or by no colour of their own. */
const WITHOUT = new Set(["none", "turning-yellow", "turning-green", "turning-lilac", "coloured-threads"]);

describe("pigments", () => {
  it("are there for every state that is a colour, so that no answer stands pale among the others", () => {
    const missing = Object.entries(CHARACTERS)
      .filter(([character]) => /colour|^stain-(?!speed)|spore-print|latex/.test(character))
      .flatMap(([character, { states }]) =>
        states
          .filter((state) => !WITHOUT.has(state) && PIGMENTS[state] === undefined)
          .map((state) => `${character} ${state}`),
      );
    expect(missing).to.deep.equal([]);
  });
});
