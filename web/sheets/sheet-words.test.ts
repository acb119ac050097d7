import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { agedStates, basisOf } from "./sheet-words.ts";

const { byId, sheets } = readKnowledge();
const field = byId.get("agaricus-campestris");
const cap = byId.get("amanita-phalloides");
if (field === undefined || cap === undefined) throw new Error("a sheet is missing");

describe("a sheet as it is read", () => {
  it("takes ages that are alike together, and leaves the ages out where all are", () => {
    const feet = agedStates(cap.characters.base ?? {});
    expect(feet).to.have.length(1);
    expect(feet[0]).not.to.have.property("ages");
    expect(feet[0]?.states[0]).to.deep.equal(["sac", "always"]);
    expect(agedStates(field.characters["gill-colour"] ?? {}).map((group) => group.ages)).to.deep.equal([
      ["button"],
      ["young"],
      ["mature"],
      ["old"],
    ]);
  });
  it("loses no state of any sheet", () => {
    for (const sheet of sheets)
      for (const byAge of Object.values(sheet.characters)) {
        const told = new Set(agedStates(byAge ?? {}).flatMap((group) => group.states.map(([state]) => state)));
        const listed = new Set(Object.values(byAge ?? {}).flatMap((table) => Object.keys(table ?? {})));
        expect(told).to.deep.equal(listed);
      }
  });
  it("tells what every statement rests on: its own basis, its part's, or that of the whole sheet", () => {
    expect(basisOf(field, "characters.stain-base")).to.deep.equal({ words: "common practice", own: true });
    expect(basisOf(field, "characters.latex")).to.deep.equal({ words: "from memory", own: false });
    expect(basisOf(field, "musts")).to.deep.equal({ words: "common practice", own: true });
    const cited = { ...field, basis: { ...field.basis, sizes: { published: "A book of spores, 1999" } } };
    expect(basisOf(cited, "sizes").words).to.equal("A book of spores, 1999");
  });
});
