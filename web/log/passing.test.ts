/** When the lines of the log go by too quickly to be seen. */
import { expect } from "chai";
import { isPassing } from "./passing.ts";

describe("lines that go by", () => {
  const SCREEN = 780;

  it("are seen at the speed of a thumb, up and down", () => {
    for (const step of [0, 12, 60, 250]) {
      expect(isPassing(4000, 4000 + step, SCREEN), `${step} px down`).to.equal(false);
      expect(isPassing(4000, 4000 - step, SCREEN), `${step} px up`).to.equal(false);
    }
  });

  it("are not seen where half a screen goes by in one frame, up or down", () => {
    expect(isPassing(4000, 4000 + SCREEN / 2, SCREEN)).to.equal(true);
    expect(isPassing(4000, 4000 - SCREEN / 2, SCREEN)).to.equal(true);
  });
});
