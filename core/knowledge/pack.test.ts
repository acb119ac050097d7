import { expect } from "chai";
import fc from "fast-check";
import { assess } from "../answer/answer.ts";
import { finds, shelves } from "../tests/arbitraries.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { type Knowledge, shelve } from "./knowledge.ts";
import { packShelf, unpackShelf } from "./pack.ts";

const sent = (shelf: Knowledge): Knowledge => unpackShelf(JSON.parse(JSON.stringify(packShelf(shelf))));

describe("a packed shelf", () => {
  it("is the shipped one again: the same sheets and edition, in less room", () => {
    const again = sent(SHIPPED);
    expect(again.sheets).to.deep.equal(SHIPPED.sheets);
    expect(again.edition).to.equal(SHIPPED.edition);
    // the edition that it was given is the one that its sheets have
    expect(shelve(again.sheets).edition).to.equal(SHIPPED.edition);
    expect(JSON.stringify(packShelf(SHIPPED)).length).to.be.below(JSON.stringify(SHIPPED.sheets).length / 2);
  });

  it("is any shelf again, and answers alike", () => {
    fc.assert(
      fc.property(shelves(), finds(), (shelf, find) => {
        const again = sent(shelf);
        expect(again.sheets).to.deep.equal(JSON.parse(JSON.stringify(shelf.sheets)));
        expect(assess(find, again)).to.deep.equal(assess(find, shelf));
      }),
      { numRuns: 50 },
    );
  });
});
