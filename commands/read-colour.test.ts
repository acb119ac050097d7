import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import sharp from "sharp";

const WIDTH = 240;
const HEIGHT = 120;

/** A picture on disc: halves and a disc in plain paint. */
async function picture(path: string, deposit: string, white = "#f0f0ee"): Promise<void> {
  const circle = `<svg width="${WIDTH}" height="${HEIGHT}"><rect width="120" height="120" fill="#191919"/><rect x="120" width="120" height="120" fill="${white}"/><circle cx="180" cy="60" r="24" fill="${deposit}"/></svg>`;
  await sharp(Buffer.from(circle)).toFile(path);
}
const run = (...args: string[]) =>
  spawnSync(process.execPath, ["--import", "tsx", "commands/read-colour.ts", ...args], { encoding: "utf8" });
const MARKS = ["--black", "20,20", "--white", "220,20", "--deposit", "180,60,18", "--for", "spore-print"];

describe("the colour reader without a browser", () => {
  let folder: string;
  const at = (name: string) => join(folder, name);
  before(async () => {
    folder = mkdtempSync(join(tmpdir(), "reader-"));
    await picture(at("rust.png"), "#86491f");
    await picture(at("rust.jpg"), "#86491f");
    await picture(at("white.png"), "#ecebe6");
    writeFileSync(at("text.png"), "no picture at all");
  });
  after(() => rmSync(folder, { recursive: true }));

  it("reads a print from PNG and from JPEG, as one object", () => {
    for (const name of ["rust.png", "rust.jpg"]) {
      const { status, stdout, stderr } = run(at(name), ...MARKS);
      expect(stderr).to.equal("");
      expect(status).to.equal(0);
      const reading = JSON.parse(stdout) as { lab: number[]; deltaE: number; margin: number };
      expect(reading).to.deep.include({ states: ["rust-brown"], sure: true });
      expect(reading.lab).to.have.length(3);
      expect(reading.deltaE).to.be.below(8);
      expect(reading.margin).to.be.above(2);
    }
  });

  it("refuses white on white in words, with status 0: that is an answer", () => {
    const { status, stdout } = run(at("white.png"), ...MARKS);
    expect(status).to.equal(0);
    expect(JSON.parse(stdout)).to.deep.include({ states: [], sure: false, refused: "white-on-white" });
  });

  for (const [what, args, message] of [
    ["a file that is no picture", ["text.png", ...MARKS], /no picture/],
    ["a file that is not there", ["nothing.png", ...MARKS], /nothing\.png/],
    ["a mark outside the picture", ["rust.png", ...MARKS.with(1, "900,20")], /black: 900,20 is outside/],
    ["a missing option", ["rust.png", ...MARKS.slice(2)], /--black: is missing/],
    ["a mark without a number", ["rust.png", ...MARKS.with(5, "180,60,wide")], /--deposit: expected X,Y,R/],
    [
      "a character that is no colour",
      ["rust.png", ...MARKS.with(7, "ring")],
      /--for: "ring" cannot be read; allowed: spore-print/,
    ],
    ["an option nobody knows", ["rust.png", ...MARKS, "--guess"], /--guess/],
  ] as const)
    it(`ends with status 2 and the reason for ${what}`, () => {
      const { status, stdout, stderr } = run(at(args[0]), ...args.slice(1));
      expect(status).to.equal(2);
      expect(stderr).to.match(message);
      expect(stdout).to.equal("");
    });
});
