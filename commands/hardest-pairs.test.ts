import { readFileSync } from "node:fs";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { hardestPairsPage } from "./hardest-pairs.ts";

describe("the page of the hardest pairs", () => {
  const page = hardestPairsPage(readKnowledge());
  it("is on the disk as the command writes it", () => {
    expect(readFileSync(new URL("../docs/hardest-pairs.md", import.meta.url), "utf8")).to.equal(page);
  });
  it("begins with the pair that is told apart least often", () => {
    const shares = [...page.matchAll(/\| (\d+\.\d) % \|/g)].map((match) => Number(match[1]));
    expect(shares.length).to.equal(40);
    expect(shares).to.deep.equal([...shares].sort((one, other) => one - other));
  });
  it("names the sheathed woodtuft beside the funeral bell", () => {
    expect(page).to.match(/sheathed woodtuft \| funeral bell/);
  });
});
