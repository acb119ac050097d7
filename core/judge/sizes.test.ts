/** What sizes may say. Source: common practice, no source (books stop near 15 cm where 20 has been met). */
import { expect } from "chai";
import type { Measures } from "../find/schema.ts";
import { bodyOf } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { HARD_TIMES, LENIENCY, sizePoints } from "./sizes.ts";

const sheet = SHIPPED.byId.get("galerina-marginata");
if (sheet === undefined) throw new Error("no funeral bell");
const [smallest, largest] = sheet.sizes.capCm ?? [0, 0];
const points = (measures: Measures, age: "young" | "mature" | "old" | undefined = "mature") =>
  sizePoints(sheet, bodyOf({}, { measures, age }));

describe("a measure", () => {
  it("within the sheet's range, or up to one and a half times beyond it, says nothing", () => {
    for (const capCm of [smallest, largest, largest * LENIENCY, smallest / LENIENCY])
      expect(points({ capCm }), String(capCm)).to.deep.equal([]);
  });
  it("beyond that is a soft point, and past twice the largest a hard one", () => {
    expect(points({ capCm: largest * LENIENCY + 0.1 }).map((point) => point.hard)).to.deep.equal([false]);
    expect(points({ capCm: largest * HARD_TIMES + 0.1 }).map((point) => point.hard)).to.deep.equal([true]);
  });
  it("too small speaks only of a grown body, and softly", () => {
    const tiny = { capCm: smallest / LENIENCY - 0.2 };
    expect(points(tiny).map((point) => point.hard)).to.deep.equal([false]);
    expect(points(tiny, "young")).to.deep.equal([]);
    expect(sizePoints(sheet, { id: "A", measures: tiny })).to.deep.equal([]);
  });
  it("of cap, stem and width are one family", () => {
    const all = points({ capCm: 60, stemLengthCm: 60, stemWidthMm: 200 });
    expect(new Set(all.map((point) => point.family))).to.deep.equal(new Set(["size"]));
    expect(all).to.have.length(3);
  });
  it("of spores is a soft family of its own, by the mean", () => {
    expect(points({ sporeLengthUm: [9, 9.5, 10] })).to.deep.equal([]);
    const far = points({ sporeLengthUm: [4, 5, 4.5] });
    expect(far.map((point) => [point.family, point.hard])).to.deep.equal([["spore-size", false]]);
    expect(far[0]?.text).to.contain("4.5 µm");
  });
  it("that nobody took, or that the sheet does not tell, says nothing", () => {
    expect(points({})).to.deep.equal([]);
    expect(points({ thicknessMm: 900 })).to.deep.equal([]);
  });
});
