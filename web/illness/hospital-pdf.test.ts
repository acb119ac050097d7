import { hospitalPaper } from "@jittery-cap/core";
import { expect } from "chai";
import { PDFParse } from "pdf-parse";
import sharp from "sharp";
import { seasonFinds } from "../../demo/season.ts";
import { hospitalPdf } from "./hospital-pdf.ts";

const MEAL = "0193a000-0000-7000-8000-0000000000e1";
const [find] = seasonFinds();

function paper(pictures: readonly string[]) {
  if (find === undefined) throw new Error("the season is empty");
  const eatenAt = "2026-09-06T18:00:00Z";
  return hospitalPaper(
    [{ id: "a", kind: "meal", toldAt: eatenAt, eatenAt, what: "Hanne: field mushroom", logged: MEAL }],
    [
      {
        id: MEAL,
        eatenAt,
        what: "Hanne: field mushroom",
        eaters: [],
        kept: [],
        finds: [{ find, takenAs: ["field mushroom"], decidedAt: eatenAt, dangers: [], witnesses: [], pictures }],
      },
    ],
    { now: new Date("2026-09-07T03:00:00Z"), at: (iso) => iso, dateOf: (iso) => new Date(iso) },
  );
}
const colour = { create: { width: 400, height: 300, channels: 3, background: "#c08f35" } } as const;

describe("the paper for the hospital as a file", () => {
  it("holds the pictures of the find, and says of one that cannot be had or read that it cannot", async () => {
    const files: Readonly<Record<string, () => Promise<Uint8Array>>> = {
      jpeg: () => sharp(colour).jpeg().toBuffer(),
      png: () => sharp(colour).png().toBuffer(),
      other: () => Promise.resolve(new Uint8Array([1, 2, 3])),
      broken: () => Promise.reject(new Error("away")),
    };
    const data = await hospitalPdf(paper(["jpeg", "png", "other", "broken", "none"]), async (id) => files[id]?.());
    const parser = new PDFParse({ data });
    const images = (await parser.getImage()).pages.flatMap((page) => page.images);
    const { text } = await parser.getText();
    await parser.destroy();
    expect(images.map(({ width, height }) => [width, height])).to.deep.equal([
      [400, 300],
      [400, 300],
    ]);
    expect(text.match(/cannot be had here now/g)).to.have.length(3);
    expect(text).to.contain("Mushrooms were eaten").and.contain("Drawn from the record");
  });
});
