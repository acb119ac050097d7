import { spawnSync } from "node:child_process";
import { expect } from "chai";

const run = (...ids: string[]) =>
  spawnSync(process.execPath, ["--import", "tsx", "commands/compare.ts", ...ids], {
    // a program of its own: its coverage would be mixed into that of this run
    env: { ...process.env, NODE_V8_COVERAGE: "" },
    encoding: "utf8",
  });

describe("comparing two kinds without a browser", () => {
  it("prints what tells them apart, hard things first", () => {
    const { status, stdout } = run("cantharellus-cibarius", "omphalotus-illudens");
    expect(status).to.equal(0);
    expect(stdout).to.match(
      /pushed with a finger · hard · 100 of 100\n {2}chanterelle group: stays put\n {2}jack o'lantern: folds over/,
    );
    expect(stdout.indexOf("· hard ·")).to.be.lessThan(stdout.indexOf("· soft ·"));
  });
  it("answers an unknown sheet, or one alone, with status 2 and what is allowed", () => {
    expect(run("cantharellus-cibarius", "amanita-imaginaria").stderr).to.match(
      /no sheet amanita-imaginaria; allowed: agaricus-arvensis/,
    );
    expect(run("cantharellus-cibarius").status).to.equal(2);
  });
});
