import { readRawSheets } from "@jittery-cap/shelf";
import { expect } from "chai";
import { SHIPPED } from "../tests/shipped.ts";
import { compileSheets } from "./knowledge.ts";
import { packSheets, unpackSheets } from "./pack.ts";

describe("sheets as tables", () => {
  const raw = readRawSheets();

  it("are the same sheets again, of the same edition, and take less room", () => {
    const packed = JSON.stringify(packSheets(raw));
    const again = unpackSheets(JSON.parse(packed));
    expect(again).to.deep.equal(raw);
    const compiled = compileSheets(again);
    expect(compiled.ok && compiled.value.edition).to.equal(SHIPPED.edition);
    expect(packed.length).to.be.below(JSON.stringify(raw).length);
  });

  it("are no tables where a sheet is none", () => {
    expect(() => packSheets({ "moon.yaml": "round" })).to.throw("moon.yaml is no sheet");
    expect(() => packSheets({ "moon.yaml": { tier: null, characters: {} } })).to.throw("holds a null");
    expect(() => unpackSheets({ names: ["moon.yaml"] })).to.throw();
  });
});
