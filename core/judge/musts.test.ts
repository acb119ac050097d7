/** What proves a must: the ages asked, what may be seen beside, and what hides by the age alone. */
import { expect } from "chai";
import { answerTo, bodyOf } from "../tests/build.ts";

/** Whether a kind still asks for something of a character. */
const asks = (answer: ReturnType<typeof answerTo>, sheet: string, says: RegExp): boolean => {
  const candidate = answer.candidates.find((one) => one.sheet === sheet);
  if (candidate === undefined) throw new Error(`${sheet} is no candidate`);
  return candidate.missing.some((must) => says.test(must.says));
};

describe("a must", () => {
  const stemOf = (colours: string) =>
    answerTo([bodyOf({ underside: "pores", "stem-colour": colours }, { age: "mature" })]);
  it("is shown by what it asks for, with what may stand beside it, and never by that alone", () => {
    const streaked = /streaked red or brown/;
    expect(asks(stemOf("red, yellow"), "xerocomellus-chrysenteron", streaked)).to.equal(false);
    expect(asks(stemOf("red"), "xerocomellus-chrysenteron", streaked)).to.equal(false);
    expect(asks(stemOf("yellow"), "xerocomellus-chrysenteron", streaked)).to.equal(true);
  });

  const gillsOf = (colour: string, age: "button" | "young" | "mature") =>
    answerTo([bodyOf({ underside: "gills", "gill-colour": colour, ring: "none" }, { age })]);
  const noGreen = /without any green/;
  it("of an age is shown at that age, though pale gills of the young prove nothing else", () => {
    expect(asks(gillsOf("white, grey", "young"), "hypholoma-capnoides", noGreen)).to.equal(false);
    expect(asks(gillsOf("white", "button"), "hypholoma-capnoides", noGreen)).to.equal(true);
    // a ripe body asks for what ripe gills show
    expect(asks(gillsOf("white", "mature"), "hypholoma-capnoides", noGreen)).to.equal(true);
    expect(asks(gillsOf("grey", "mature"), "hypholoma-capnoides", noGreen)).to.equal(false);
  });
  it("of ripe bodies is not shown by pale gills of the young", () => {
    // velvet shank: pale gills asked of ripe bodies alone
    const pale = /gills/;
    expect(asks(gillsOf("cream", "young"), "flammulina-velutipes", pale)).to.equal(true);
    expect(asks(gillsOf("cream", "mature"), "flammulina-velutipes", pale)).to.equal(false);
  });
});
