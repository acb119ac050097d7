import { expect } from "chai";
import { gramsOf, WEIGHT_UNITS, weightIn } from "./weight.ts";

describe("a weight", () => {
  // NIST Handbook 44, appendix C: one avoirdupois pound is 453.592 37 g exactly, a sixteenth of it an ounce (from memory)
  it("is the same in grams, kilograms, ounces and pounds", () => {
    expect(gramsOf(1, "lb")).to.equal(454);
    expect(gramsOf(16, "oz")).to.equal(gramsOf(1, "lb"));
    expect(gramsOf(1.25, "kg")).to.equal(1250);
    expect(weightIn(453.59237, "lb")).to.be.closeTo(1, 1e-12);
  });

  it("comes back from every unit within half a gram", () => {
    for (const unit of WEIGHT_UNITS)
      for (const grams of [1, 37, 250, 4210]) expect(gramsOf(weightIn(grams, unit), unit)).to.equal(grams);
  });
});
