import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { findJsonSchema } from "@jittery-cap/core";
import { expect } from "chai";

const folder = mkdtempSync(join(tmpdir(), "finds-"));
const file = (name: string, content: unknown): string => {
  const path = join(folder, name);
  writeFileSync(path, typeof content === "string" ? content : JSON.stringify(content));
  return path;
};
const run = (parameters: string[], input?: string) =>
  spawnSync(process.execPath, ["--import", "tsx", "commands/assess.ts", ...parameters], {
    // a program of its own: its coverage would be mixed into that of this run
    env: { ...process.env, NODE_V8_COVERAGE: "" },
    encoding: "utf8",
    input,
  });

const find = { format: "jittery-cap/find", version: 1, id: "one", bodies: [{ id: "A", age: "mature" }] };
const withEntry = (entry: object) => ({ ...find, bodies: [{ id: "A", seen: [entry] }] });

describe("the check without a browser", () => {
  it("prints an array of answers in the order read", () => {
    const { status, stdout } = run([
      file("one.json", find),
      file("two.json", [
        { ...find, id: "two" },
        { ...find, id: "three" },
      ]),
    ]);
    expect(status).to.equal(0);
    const answers = JSON.parse(stdout);
    expect(answers.map((answer: { id: string }) => answer.id)).to.deep.equal(["one", "two", "three"]);
    expect(answers[0]).to.include.keys("verdict", "edition", "reasons", "dangers", "candidates", "next");
    expect(answers[0].dangers[0]).to.include.keys("sheet", "mistakes", "status", "points", "masks");
    expect(answers[0].candidates[0]).to.include.keys(
      "sheet",
      "fits",
      "mustsConfirmed",
      "mustsMissing",
      "contradictions",
    );
    expect(answers[0].next).to.include.keys("tests", "minutes", "waitHours", "cannotSettle");
  });

  it("reads standard input", () => {
    expect(JSON.parse(run(["-"], JSON.stringify(find)).stdout)).to.have.length(1);
  });

  it("lists the sheets", () => {
    const sheets = JSON.parse(run(["--sheets"]).stdout);
    expect(sheets.map((sheet: { id: string }) => sheet.id)).to.include("amanita-phalloides");
    expect(sheets[0]).to.include.keys("id", "names", "tier", "syndrome");
  });

  const broken: [string, unknown, RegExp][] = [
    ["unknown state", withEntry({ character: "ring", states: ["halo"] }), /bodies\[0\]\.seen\[0\]\.states\[0\]/],
    [
      "both states and unseen",
      withEntry({ character: "base", states: ["sac"], unseen: "cut" }),
      /bodies\[0\]\.seen\[0\]/,
    ],
    ["duplicate body", { ...find, bodies: [{ id: "A" }, { id: "A" }] }, /bodies\[1\]\.id/],
    ["negative size", { ...find, bodies: [{ id: "A", measures: { capCm: -1 } }] }, /bodies\[0\]\.measures\.capCm/],
    ["text for a number", { ...find, bodies: [{ id: "A", measures: { capCm: "8" } }] }, /bodies\[0\]\.measures\.capCm/],
    ["future version", { ...find, version: 9 }, /version/],
    ["no JSON", "{ not json", /is not JSON/],
  ];
  it("tells of every bad file what is wrong in it and where, with status 2, and prints nothing of a good one", () => {
    const files = broken.map(([what, content]) => file(`${what}.json`, content));
    const { status, stdout, stderr } = run([file("good.json", find), ...files]);
    expect(status).to.equal(2);
    expect(stdout).to.equal("");
    const lines = stderr.split("\n");
    for (const [what, , error] of broken)
      expect(
        lines.some((line) => line.includes(`${what}.json: `) && error.test(line)),
        what,
      ).to.equal(true);
  });

  it("answers one bad file alone with status 2", () => {
    expect(run([file("alone.json", { ...find, version: 9 })]).status).to.equal(2);
  });

  it("answers a missing file and a missing argument with status 2", () => {
    expect(run([join(folder, "nowhere.json")]).status).to.equal(2);
    expect(run([]).status).to.equal(2);
  });

  it("reads files that the published JSON Schema describes: docs/find.schema.json is what the core generates", () => {
    const published = JSON.parse(readFileSync("docs/find.schema.json", "utf8"));
    expect(published).to.deep.equal(JSON.parse(JSON.stringify(findJsonSchema())));
  });
});
