import { type Find, newFind } from "@jittery-cap/core";
import { expect } from "chai";
import { PDFParse } from "pdf-parse";
import { findPaper } from "./find-paper.ts";
import { runsOf } from "./print-type.ts";

/** The text of a page, read back by another program's library. */
async function textOf(find: Find): Promise<string> {
  const parser = new PDFParse({ data: new Uint8Array(await findPaper(find, undefined, "A5")) });
  const { text } = await parser.getText();
  await parser.destroy();
  return text.replace(/\s+/g, " ");
}
const named = (label: string): Find => ({ ...newFind("t", "2026-09-14T10:20:00+02:00"), label });

describe("a page of paper", () => {
  for (const name of [
    "Žampiony pod dębem",
    "грибы под дубом",
    "Україна: ліс і ґрунт",
    "μανιτάρια στο δάσος",
    "nấm rơm",
    "Şapka, ağaç, İzmir",
    "Þórsmörk, ðæ",
  ])
    it(`prints ${name} as it is written`, async () => {
      expect(await textOf(named(name))).to.contain(name.normalize("NFC"));
    });

  it("shows that a letter is missing, and prints no other in its place", async () => {
    const text = await textOf(named("松茸 under pine 🍄"));
    expect(text).to.contain("?? under pine ?");
  });

  it("changes the font only where the alphabet changes", () => {
    expect(runsOf("pale one, 14 cm", "plain")).to.have.length(1);
    expect(runsOf("pod dębem", "bold").map((run) => run.text)).to.deep.equal(["pod d", "ę", "bem"]);
    expect(runsOf("", "plain")).to.deep.equal([]);
  });
});
