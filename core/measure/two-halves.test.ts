import { expect } from "chai";
import fc from "fast-check";
import { CHARACTERS } from "../find/vocabulary.ts";
import { printEntry } from "./two-halves.ts";

const state = fc.option(fc.constantFrom(...CHARACTERS["spore-print"].states), { nil: undefined });

describe("a print read by eye on both halves", () => {
  it("is sure where both say the same", () => {
    expect(printEntry({ black: "rust-brown", white: "rust-brown" })).to.deep.equal({
      character: "spore-print",
      states: ["rust-brown"],
    });
  });
  it("white on the black half alone is sure; white on the white half alone is not", () => {
    expect(printEntry({ black: "white", white: undefined })?.sure).to.equal(undefined);
    expect(printEntry({ black: undefined, white: "white" })?.sure).to.equal(false);
  });
  it("chocolate on the white half alone is sure, on the black half alone it is not", () => {
    expect(printEntry({ black: undefined, white: "chocolate-brown" })?.sure).to.equal(undefined);
    expect(printEntry({ black: "chocolate-brown", white: undefined })?.sure).to.equal(false);
  });
  it("two that differ are alternatives, and unsure", () => {
    expect(printEntry({ black: "cream", white: "ochre" })).to.deep.equal({
      character: "spore-print",
      states: ["cream", "ochre"],
      sure: false,
    });
  });
  it("is nothing where neither half was read", () => {
    expect(printEntry({ black: undefined, white: undefined })).to.equal(undefined);
  });
  it("never holds a colour that nobody saw, and is never sure of two", () => {
    fc.assert(
      fc.property(state, state, (black, white) => {
        const entry = printEntry({ black, white });
        for (const one of entry?.states ?? []) expect([black, white]).to.include(one);
        if ((entry?.states?.length ?? 0) > 1) expect(entry?.sure).to.equal(false);
      }),
    );
  });
});
