import "fake-indexeddb/auto";
import { type Change, newFind } from "@jittery-cap/core";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { device, waitingFor } from "../device/device.ts";
import { useFind } from "./find-state.ts";

const keep = (body: string, value: boolean): Change => ({ kind: "set-body", body, field: "keep", value });
const age = (body: string, value: "young" | "old"): Change => ({ kind: "set-body", body, field: "age", value });

describe("the open find", () => {
  const realFetch = globalThis.fetch;
  before(() => {
    // there is no server and no worker here: what is recorded holds all the same, and no answer is given
    globalThis.fetch = () => Promise.reject(new TypeError("no network"));
  });
  after(() => {
    globalThis.fetch = realFetch;
  });
  const state = () => useFind.getState();
  const body = () => state().find?.bodies[0];

  it("takes back as one what was one touch, and a change that stands alone by itself", async () => {
    await state().start();
    state().change(age("A", "young"));
    state().changeTogether([age("A", "old"), keep("A", false)]);
    expect(body()).to.deep.include({ age: "old", keep: false });
    state().undo();
    expect(body()?.age).to.equal("young");
    expect(body()?.keep).not.to.equal(false);
    state().redo();
    expect(body()).to.deep.include({ age: "old", keep: false });
    state().undo();
    state().undo();
    expect(body()?.age).to.equal(undefined);
    expect(state().done).to.deep.equal([]);
    state().undo();
    state().redo();
    expect(body()?.age).to.equal("young");
    expect(state().undone).to.have.length(2);
  });

  it("keeps every step for the history, and what can be undone over a reload", async () => {
    const id = await state().start();
    state().changeTogether([age("A", "old"), keep("A", false)]);
    state().undo();
    for (let wait = 0; wait < 100 && (await waitingFor(id)).length < 4; wait++)
      await new Promise((later) => setTimeout(later, 10));
    const edits = (await waitingFor(id)).map((one) => one.edit);
    expect(edits.map((edit) => edit.undoes !== undefined)).to.deep.equal([false, false, true, true]);
    expect(edits[2]?.undoes).to.equal(edits[1]?.id);
    expect(edits[3]?.undoes).to.equal(edits[0]?.id);
    expect((await device.steps.get(id))?.undone).to.have.length(2);
  });

  it("says why a change is not taken, and changes nothing", async () => {
    await state().start();
    const before = state().find;
    state().changeTogether([age("Q", "old"), keep("A", false)]);
    expect(state().refusal).to.be.a("string").and.to.contain("Q");
    expect(state().find).to.equal(before);
    expect(state().done).to.deep.equal([]);
  });

  it("is the one that was asked for last: one that comes late never takes its place, and no touch lands on it", async () => {
    const [slow, quick] = [newFind(uuidv7(), "2026-09-14T10:00:00Z"), newFind(uuidv7(), "2026-09-14T11:00:00Z")];
    const { fetch } = globalThis;
    let letGo: (() => void) | undefined;
    const held = new Promise<void>((resolve) => {
      letGo = resolve;
    });
    globalThis.fetch = async (path) => {
      const find = String(path).includes(slow.id) ? slow : quick;
      if (find === slow) await held;
      return Response.json({ find, version: 1, updatedAt: "2026-09-14T12:00:00Z" });
    };
    const first = state().open(slow.id);
    await state().open(quick.id);
    expect(state().find?.id).to.equal(quick.id);
    letGo?.();
    await first;
    expect(state().find?.id).to.equal(quick.id);
    state().change(age("A", "old"));
    expect(state().find?.id).to.equal(quick.id);
    // nor does a find begun meanwhile give way to one that was asked for before it
    const late = newFind(uuidv7(), "2026-09-14T09:00:00Z");
    globalThis.fetch = () =>
      Promise.resolve(Response.json({ find: late, version: 1, updatedAt: "2026-09-14T12:00:00Z" }));
    const asked = state().open(late.id);
    const begun = await state().start();
    await asked;
    expect(state().find?.id).to.equal(begun);
    globalThis.fetch = fetch;
  });

  it("says so when this device cannot keep a touch", async () => {
    await state().start();
    const { transaction } = device;
    device.transaction = () => Promise.reject(new Error("no room")) as never;
    state().change(age("A", "old"));
    for (let wait = 0; wait < 100 && state().refusal === undefined; wait++)
      await new Promise((later) => setTimeout(later, 10));
    device.transaction = transaction;
    expect(state().refusal).to.contain("could not keep it");
    expect(body()?.age).to.equal("old");
  });
});
