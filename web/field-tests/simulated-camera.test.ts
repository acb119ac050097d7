import { findCard, readColour } from "@jittery-cap/core";
import { expect } from "chai";
import { SIMULATED, simulatedPicture } from "./simulated-camera.ts";

describe("the simulated camera", () => {
  it("shows the same print again for the same take, and another for the next", () => {
    for (const name of ["white", "chocolate-brown"]) {
      expect(simulatedPicture(name, 3).data).to.deep.equal(simulatedPicture(name, 3).data);
      expect(simulatedPicture(name, 3).data).not.to.deep.equal(simulatedPicture(name, 4).data);
    }
  });

  it("shows prints of which the name is always among what is read, on the first take of all", () => {
    for (const name of SIMULATED) {
      const picture = simulatedPicture(name);
      const marks = findCard(picture);
      expect(marks, name).not.to.equal(undefined);
      if (marks !== undefined) expect(readColour(picture, marks, "spore-print").states, name).to.include(name);
    }
  });

  it("gives a sure chocolate brown at the first take, as the chain of three prints wants it", () => {
    const picture = simulatedPicture("chocolate-brown");
    const marks = findCard(picture);
    if (marks === undefined) throw new Error("no card found");
    expect(readColour(picture, marks, "spore-print")).to.deep.include({ states: ["chocolate-brown"], sure: true });
  });

  it("has nothing it was not made for", () => {
    expect(() => simulatedPicture("plaid")).to.throw(RangeError, "plaid");
  });
});
