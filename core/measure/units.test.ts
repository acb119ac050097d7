import { expect } from "chai";
import fc from "fast-check";
import { unitShown } from "./units.ts";

const OWN = { length: "in", temperature: "°F" } as const;
const METRIC = { length: "cm", temperature: "°C" } as const;

describe("lengths and temperatures in own units", () => {
  // NIST Special Publication 811, appendix B: 1 in is 2.54 cm exactly, t/°C = (t/°F - 32)/1.8 (from memory)
  it("are those of the tables", () => {
    expect(unitShown("cm", OWN).shown(25.4)).to.equal(10);
    expect(unitShown("mm", OWN).shown(12.7)).to.equal(0.5);
    expect(unitShown("°C", OWN).shown(0)).to.equal(32);
    expect(unitShown("°C", OWN).shown(100)).to.equal(212);
    expect(unitShown("°C", OWN).shown(-40)).to.equal(-40);
    expect(unitShown("°C", OWN).kept(50)).to.equal(10);
  });

  it("are shown again as they were typed", () => {
    for (const [unit, digits] of [
      ["cm", 2],
      ["mm", 2],
      ["°C", 1],
    ] as const) {
      const { shown, kept } = unitShown(unit, OWN);
      fc.assert(
        fc.property(fc.integer({ min: 1, max: 2500 }), (steps) => {
          const typed = Number((steps / 10 ** digits).toFixed(digits));
          expect(shown(kept(typed))).to.equal(typed);
        }),
      );
    }
  });

  it("are kept to the letter where somebody wants them as the record has them", () => {
    for (const unit of ["cm", "mm", "°C", "days"]) {
      expect(unitShown(unit, METRIC).kept(8.125)).to.equal(8.125);
      expect(unitShown(unit, METRIC).unit).to.equal(unit);
    }
    expect(unitShown("days", OWN).unit).to.equal("days");
  });
});
