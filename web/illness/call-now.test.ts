import { expect } from "chai";
import { dialled } from "./call-now.tsx";

describe("a line of emergency numbers", () => {
  it("dials its number, with or without words and blanks, and shows its words as they were typed", () => {
    expect(dialled("000")).to.deep.equal({ words: "000", number: "000" });
    expect(dialled("15").number).to.equal("15");
    expect(dialled(" Poison centre 00 000 00 00 ")).to.deep.equal({
      words: "Poison centre 00 000 00 00",
      number: "000000000",
    });
    // the trunk zero is not dialled after the code of a country; an area in brackets is
    expect(dialled("+00 (0)12-345 678").number).to.equal("+0012345678");
    expect(dialled("(030) 00 00 00").number).to.equal("030000000");
  });
  it("never dials the hours of opening", () => {
    expect(dialled("Poison centre, 24/7: 00 000 00 00").number).to.equal("000000000");
    expect(dialled("00 000 00 00 (9-17)").number).to.equal("000000000");
  });
  it("dials nothing where there is no number", () => {
    expect(dialled("Ilva, who knows them").number).to.equal(undefined);
    expect(dialled("ward 7").number).to.equal(undefined);
  });
});
