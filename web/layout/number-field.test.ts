import { expect } from "chai";
import { numberOf } from "./number-field.tsx";

describe("a number as it is typed", () => {
  it("may have a comma or a point, and blanks around it", () => {
    expect(numberOf("8,5")).to.equal(8.5);
    expect(numberOf(" 8.5 ")).to.equal(8.5);
    expect(numberOf("-3")).to.equal(-3);
  });
  it("is nothing where nothing was typed, and none where it is no number", () => {
    expect(numberOf("  ")).to.equal(null);
    for (const text of ["eight", "8 cm", "1,000,5", "8..5"]) expect(numberOf(text), text).to.be.NaN;
  });
});
