import { type Batch, batchSchema, type Held } from "@jittery-cap/core/kitchen";
import { expect } from "chai";
import jsQR from "jsqr";
import { PDFParse } from "pdf-parse";
import sharp from "sharp";
import { labelsPdf } from "./labels-pdf.ts";
import { printable } from "./printable.ts";

const jar = (code: string): Held<Batch> => ({
  id: code,
  content: batchSchema.parse({
    code,
    way: "dried",
    kinds: ["boletus-edulis"],
    from: [{ find: "0193a000-0000-7000-8000-0000000000f1", body: "A" }],
    madeAt: "2026-09-27T18:00:00Z",
    gramsIn: 240,
    ticks: [],
    took: [],
    recalls: [],
  }),
});
const labels = (...codes: string[]) =>
  labelsPdf(
    codes.map(jar),
    () => "king bolete",
    () => "ceps by the żółw pond",
    "http://127.0.0.1:8460",
  );

describe("labels for jars", () => {
  it("carry a picture of the code that a reader of its own finds in the printed sheet, and that leads to the jar", async () => {
    const parser = new PDFParse({ data: await labels("7K2QX") });
    const { pages } = await parser.getScreenshot({ scale: 3, first: 1 });
    await parser.destroy();
    const [page] = pages;
    if (page === undefined) throw new Error("there is no page");
    const { data, info } = await sharp(page.data)
      .extract({ left: 0, top: 0, width: 600, height: 315 })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const read = jsQR(new Uint8ClampedArray(data), info.width, info.height);
    expect(read?.data).to.equal("http://127.0.0.1:8460/kitchen/store/7K2QX");
  });

  it("stand 24 on a sheet, each with its code, kind, day and find", async () => {
    const codes = Array.from({ length: 25 }, (_none, index) => `0000${"ABCDEFGHJKMNPQRSTVWXYZ123"[index]}`);
    const parser = new PDFParse({ data: await labels(...codes) });
    const { text, pages } = await parser.getText();
    await parser.destroy();
    expect(pages).to.have.length(2);
    for (const code of codes) expect(text).to.contain(code);
    expect(text).to.contain("king bolete").and.contain("Dried 2026-09-27").and.contain("zólw pond");
  });

  it("write what the usual fonts lack as near as they can, and drop no letter silently", () => {
    expect(printable("Żółć, Příbor, Ærø, naïve – „x“ 10 °C")).to.equal("Zólc, Príbor, Ærø, naïve – „x“ 10 °C");
    expect(printable("кот")).to.equal("???");
    expect(printable("a\tb\nc")).to.equal("a b c");
  });
});
