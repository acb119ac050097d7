import "fake-indexeddb/auto";
import { newFind } from "@jittery-cap/core";
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { expect } from "chai";
import Dexie from "dexie";
import { uuidv7 } from "uuidv7";
import { device } from "./device.ts";
import { readKept } from "./documents.ts";
import { waitingIds } from "./push.ts";

/** The device's memory as an earlier version of this program left it. */
async function oldMemory(fill: (old: Dexie) => Promise<unknown>): Promise<void> {
  await device.delete();
  const old = new Dexie("jittery-cap");
  old.version(1).stores({ finds: "id", waiting: "id, findId, [findId+order]" });
  old.version(2).stores({ steps: "findId", pictures: "id, findId" });
  await old.open();
  await fill(old);
  old.close();
  await device.open();
}

describe("what an earlier version left on this device", () => {
  // whatever is tried behind this begins with an empty memory that is open
  after(async () => {
    await device.delete();
    await device.open();
  });
  const find = { ...newFind(uuidv7(), "2026-09-14T10:20:00Z"), label: "touched in the wood" };
  const base = newFind(find.id, "2026-09-14T10:20:00Z");

  it("is all there: finds as they were here, and what the server has not heard of, in its order", async () => {
    const [first, second] = [uuidv7(), uuidv7()];
    const edit = (id: string, change: object) => ({ id, at: "2026-09-14T10:21:00Z", change });
    await oldMemory(async (old) => {
      await old.table("finds").put({ id: find.id, find, base, version: 3 });
      await old.table("waiting").bulkPut([
        { id: second, findId: find.id, order: 1, edit: edit(second, { kind: "set-find", field: "label", value: "b" }) },
        { id: first, findId: find.id, order: 0, edit: edit(first, { kind: "set-find", field: "label", value: "a" }) },
      ]);
    });
    const kept = await readKept("find", find.id);
    expect(kept?.content).to.deep.equal(find);
    expect(kept?.version).to.equal(3);
    const queued = await device.queue.orderBy("order").toArray();
    expect(queued.map((one) => one.id)).to.deep.equal([first, second]);
    expect(queued[0]?.touch).to.deep.equal({
      id: first,
      at: "2026-09-14T10:21:00Z",
      by: LOCAL_PERSON,
      changes: [{ kind: "set-find", field: "label", value: "a" }],
    });
    expect(await waitingIds()).to.deep.equal([find.id]);
  });

  it("keeps a picture that the server has not got with its file, and lets go of one that it has", async () => {
    const [waiting, sent] = [uuidv7(), uuidv7()];
    const about = { findId: find.id, part: "foot", body: "A", takenAt: "2026-09-14T10:22:00Z", away: false };
    await oldMemory(async (old) => {
      await old.table("finds").put({ id: find.id, find, base, version: 0 });
      await old.table("pictures").bulkPut([
        { ...about, id: waiting, file: new Blob(["x"]), sent: false },
        { ...about, id: sent, file: undefined, sent: true },
      ]);
    });
    expect((await readKept("picture", waiting))?.content).to.deep.include({ about: find.id, part: "foot", body: "A" });
    expect(await device.files.count()).to.equal(1);
    expect(await readKept("picture", sent)).to.equal(undefined);
    // a find that the server never heard of goes first
    expect(await waitingIds()).to.deep.equal([find.id, waiting]);
  });

  it("that has not the shape it should is passed over, and the rest is carried all the same", async () => {
    await oldMemory(async (old) => {
      await old.table("finds").bulkPut([
        { id: "odd", nothing: "of a find" },
        { id: find.id, find, base, version: 1 },
      ]);
      await old.table("waiting").put({ id: "odd", findId: find.id, order: "first" });
    });
    expect((await device.documents.toArray()).map((row) => row.id)).to.deep.equal([find.id]);
    expect(await device.queue.count()).to.equal(0);
  });
});
