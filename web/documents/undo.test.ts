import "fake-indexeddb/auto";
import type { Change } from "@jittery-cap/core";
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { device } from "./device.ts";
import { keepSteps, keptSteps, type MadeTouch, stepsFrom } from "./undo.ts";

const label = (value: string | null): Change => ({ kind: "set-find", field: "label", value });
const made = (value: string, link: { undoes?: string; redoes?: string } = {}): MadeTouch => ({
  touch: { id: uuidv7(), at: "2026-09-14T10:20:00Z", by: LOCAL_PERSON, changes: [label(value)], ...link },
  inverse: [label(null)],
});
const ids = (steps: readonly { readonly touchId: string }[]) => steps.map((step) => step.touchId);

describe("what a history leaves to be taken back", () => {
  it("is every touch, the latest last", () => {
    const [one, two] = [made("one"), made("two")];
    const { done, undone } = stepsFrom([one, two]);
    expect(ids(done)).to.deep.equal([one.touch.id, two.touch.id]);
    expect(undone).to.deep.equal([]);
    expect(done[1]?.inverse).to.deep.equal([label(null)]);
  });

  it("is not what was taken back already; that can be done again, until something else is touched", () => {
    const [one, two] = [made("one"), made("two")];
    const back = made("one", { undoes: two.touch.id });
    const taken = stepsFrom([one, two, back]);
    expect(ids(taken.done)).to.deep.equal([one.touch.id]);
    expect(ids(taken.undone)).to.deep.equal([two.touch.id]);
    const again = made("two", { redoes: two.touch.id });
    const redone = stepsFrom([one, two, back, again]);
    expect(ids(redone.done)).to.deep.equal([one.touch.id, again.touch.id]);
    expect(redone.undone).to.deep.equal([]);
    expect(stepsFrom([one, two, back, made("three")]).undone).to.deep.equal([]);
  });

  it("offers nothing behind a touch that another hand took back out of turn", () => {
    const [one, two] = [made("one"), made("two")];
    const odd = made("none", { undoes: one.touch.id });
    const { done, undone } = stepsFrom([one, two, odd]);
    expect(done).to.deep.equal([]);
    expect(undone).to.deep.equal([]);
  });
});

describe("the steps on this device", () => {
  const id = uuidv7();
  it("come back as they were kept", async () => {
    const steps = stepsFrom([made("one"), made("two")]);
    await keepSteps(id, steps);
    expect(await keptSteps(id)).to.deep.equal(steps);
    expect(await keptSteps(uuidv7())).to.equal(undefined);
  });

  it("that cannot be read are none, and are never applied", async () => {
    await device.undo.put({
      documentId: id,
      done: [{ touchId: "x", changes: [{ kind: "explode" }], inverse: [] }],
      undone: [],
    });
    expect(await keptSteps(id)).to.equal(undefined);
    await device.undo.put({ documentId: id, done: "all of it", undone: [] });
    expect(await keptSteps(id)).to.equal(undefined);
  });
});
