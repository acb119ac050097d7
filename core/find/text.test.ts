import { expect } from "chai";
import fc from "fast-check";
import { cutText } from "./text.ts";

describe("a text that is cut", () => {
  it("is a beginning of the text, short enough, and whole if the text was: Unicode's own check of halves", () => {
    fc.assert(
      fc.property(fc.string({ unit: "binary", maxLength: 30 }), fc.integer({ min: 1, max: 30 }), (text, most) => {
        const cut = cutText(text, most);
        expect(text.startsWith(cut)).to.equal(true);
        expect(cut.length).to.be.at.most(most);
        expect(cut.length).to.be.at.least(Math.min(text.length, most - 1));
        // what cannot be told apart from a half is no text that a database takes
        expect(() => encodeURIComponent(cut)).not.to.throw();
      }),
    );
    expect(cutText("ab🍄", 3)).to.equal("ab");
    expect(cutText("ab🍄", 4)).to.equal("ab🍄");
  });
});
