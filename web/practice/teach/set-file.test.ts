import { expect } from "chai";
import { readSet, setFile } from "./set-file.ts";

describe("a set of made finds", () => {
  const items = [{ sheet: "amanita-virosa", seed: "one" }];
  it("comes back from its file as it was", () => {
    expect(readSet(setFile("Club night", items))).to.deep.equal({
      format: "jittery-cap/practice-set",
      version: 1,
      name: "Club night",
      items,
    });
  });
  it("that is none says by the names of its fields why", () => {
    const pathsOf = (text: string) => {
      const read = readSet(text);
      return Array.isArray(read) ? read.map((fault: { path: string }) => fault.path).join(" ") : "read";
    };
    expect(pathsOf("not json")).to.equal("(root)");
    expect(pathsOf(setFile("", items))).to.contain("name");
    expect(pathsOf(setFile("x", []))).to.contain("items");
    expect(pathsOf(setFile("x", [{ sheet: "lunar-cap", seed: "s" }]))).to.contain("sheet");
    expect(pathsOf('{"format":"other"}')).to.contain("format");
  });
});
