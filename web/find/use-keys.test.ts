import { expect } from "chai";
import { actionOf, withCommand } from "./use-keys.ts";

const pressed = (key: string, more: Partial<Pick<KeyboardEvent, "ctrlKey" | "metaKey" | "shiftKey">> = {}) =>
  withCommand({ key, ctrlKey: false, metaKey: false, shiftKey: false, ...more });

describe("keys at the table", () => {
  it("answer by the digit's place, ten to a row, whatever sign it makes with shift", () => {
    expect(actionOf("1", "Digit1")).to.deep.equal({ kind: "digit", index: 0 });
    expect(actionOf("0", "Digit0")).to.deep.equal({ kind: "digit", index: 9 });
    for (const sign of ["!", "1", "&", "+"])
      expect(actionOf(sign, "Digit1", 1), sign).to.deep.equal({ kind: "digit", index: 10 });
    expect(actionOf("£", "Digit3", 2)).to.deep.equal({ kind: "digit", index: 22 });
    expect(actionOf("4", "Numpad4")).to.deep.equal({ kind: "digit", index: 3 });
  });

  it("do nothing where they mean nothing, and letters with alt belong to the system", () => {
    for (const key of ["q", "Enter", "Tab", " ", "Escape"]) expect(actionOf(key)).to.equal(undefined);
    expect(actionOf("z", "KeyZ", 2)).to.equal(undefined);
  });

  it("take back and do again as every desk does", () => {
    expect(pressed("z", { metaKey: true })).to.deep.equal({ kind: "undo" });
    expect(pressed("z", { ctrlKey: true })).to.deep.equal({ kind: "undo" });
    expect(pressed("Z", { ctrlKey: true, shiftKey: true })).to.deep.equal({ kind: "redo" });
    expect(pressed("Z", { metaKey: true, shiftKey: true })).to.deep.equal({ kind: "redo" });
    expect(pressed("y", { ctrlKey: true })).to.deep.equal({ kind: "redo" });
    expect(pressed("z")).to.equal(undefined);
    expect(pressed("s", { ctrlKey: true })).to.equal(undefined);
  });
});
