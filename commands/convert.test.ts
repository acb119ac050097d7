import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";

const DEMO = "demo/finds/white-ones-in-an-arc.json";
const run = (...args: string[]) =>
  spawnSync(process.execPath, ["--import", "tsx", "commands/convert.ts", ...args], { maxBuffer: 50_000_000 });

describe("converting without a browser", () => {
  let folder: string;
  before(() => {
    folder = mkdtempSync(join(tmpdir(), "convert-"));
  });
  after(() => rmSync(folder, { recursive: true }));

  for (const format of ["csv", "geojson", "darwin-core", "json"])
    it(`through ${format} and back is the same find`, () => {
      const there = run("--to", format, DEMO);
      expect(there.status, there.stderr.toString()).to.equal(0);
      const path = join(folder, `finds.${format}`);
      writeFileSync(path, there.stdout);
      const again = run("--to", "json", "--from", format, path);
      expect(again.status, again.stderr.toString()).to.equal(0);
      const [find] = JSON.parse(again.stdout.toString()) as unknown[];
      expect(find).to.deep.equal(JSON.parse(readFileSync(DEMO, "utf8")));
      // the file tells what it is, but for its name
      expect(run("--to", "json", path).status).to.equal(0);
    });

  it("tells on standard error what the target cannot carry, one line a kind", () => {
    const { status, stderr, stdout } = run("--to", "gpx", DEMO);
    expect(status).to.equal(0);
    expect(stdout.toString()).to.match(/^<\?xml/);
    for (const line of stderr.toString().trim().split("\n")) expect(line).to.match(/^[a-z ,]+: /);
  });

  it("leaves places out where asked", () => {
    const { stdout } = run("--to", "geojson", "--places", "none", DEMO);
    expect(JSON.parse(stdout.toString()).features[0].geometry).to.equal(null);
  });

  for (const [what, args, message] of [
    ["no target", [DEMO], /--to: is missing/],
    ["an unknown target", ["--to", "pdf", DEMO], /--to: "pdf" is not known; allowed: json, csv/],
    ["no file", ["--to", "csv"], /at least one FILE/],
    ["a file that is not there", ["--to", "csv", "nothing.json"], /nothing\.json/],
    ["a file that does not tell what it is", ["--to", "csv", "LICENSE"], /does not tell what it is/],
    ["a calendar as a source", ["--to", "csv", "--from", "ics", DEMO], /--from: "ics" is not known/],
  ] as const)
    it(`ends with status 2 and the reason for ${what}, and writes nothing`, () => {
      const { status, stdout, stderr } = run(...args);
      expect(status).to.equal(2);
      expect(stderr.toString()).to.match(message);
      expect(stdout.toString()).to.equal("");
    });
});
