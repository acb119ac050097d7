/** What others share, on a device: all pages of it, and nothing is forgotten before all of them came. */
import "fake-indexeddb/auto";
import { newFind } from "@jittery-cap/core";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { ANOTHERS, device } from "../documents/device.ts";
import { readKept } from "../documents/documents.ts";
import { pullShared } from "./shared.ts";
import { isSharedWith, useShared } from "./use-shared.ts";

const AT = "2026-10-03T09:00:00Z";
const OWNER = uuidv7();
const CIRCLE = uuidv7();
const PAGE = 2;

describe("what others share", () => {
  const realFetch = globalThis.fetch;
  let shared: string[];
  /** Pages that come before nobody answers any more. */
  let answered: number;

  const told = (id: string) => ({
    id,
    version: 1,
    owner: { id: OWNER, name: "Tosk" },
    circle: CIRCLE,
    place: "none",
    mayRecord: true,
  });
  const documentOf = (id: string) => ({
    id,
    kind: "find",
    schema: 1,
    version: 1,
    archived: false,
    updatedAt: AT,
    at: 1,
    content: newFind(id, AT),
    another: true,
  });
  function answer(path: URL): unknown {
    if (path.pathname === "/api/circles") return { circles: [] };
    if (path.pathname !== "/api/shared") return documentOf(path.pathname.split("/").at(-1) ?? "");
    const after = path.searchParams.get("after");
    const from = after === null ? 0 : shared.indexOf(after) + 1;
    const finds = shared.slice(from, from + PAGE);
    return { finds: finds.map(told), ...(from + PAGE < shared.length ? { next: finds.at(-1) } : {}) };
  }

  before(() => {
    globalThis.fetch = async (asked) => {
      const path = new URL(String(asked), "http://here");
      if (path.pathname === "/api/shared") {
        if (answered === 0) throw new TypeError("no network");
        answered -= 1;
      }
      return Response.json(answer(path));
    };
  });
  after(() => {
    globalThis.fetch = realFetch;
  });
  beforeEach(async () => {
    await device.delete();
    await device.open();
    useShared.setState({ finds: new Map() });
    shared = Array.from({ length: 5 }, () => uuidv7());
    answered = Number.POSITIVE_INFINITY;
    await pullShared();
  });

  const held = async () => (await device.documents.toArray()).map((row) => row.id).sort();

  it("is held whole, of however many pages it is, and stands in no list of one's own", async () => {
    expect(await held()).to.deep.equal([...shared].sort());
    expect([...useShared.getState().finds.keys()]).to.deep.equal(shared);
    expect((await device.documents.toArray()).every((row) => row.archived === ANOTHERS)).to.equal(true);
    expect((await readKept("find", shared[4] ?? ""))?.content.id).to.equal(shared[4]);
  });
  it("is not forgotten, nor looks that wait for it, while a page did not come", async () => {
    const [, , , , last = ""] = shared;
    const touch = { id: uuidv7(), at: AT, by: OWNER, changes: [] };
    await device.queue.add({ id: touch.id, documentId: last, touch });
    answered = 1;
    await pullShared();
    expect(await held()).to.deep.equal([...shared].sort());
    expect(await device.queue.where("documentId").equals(last).count()).to.equal(1);
  });
  it("is gone when all pages came and it is on none, with the looks that waited for it", async () => {
    const gone = shared.splice(3, 1)[0] ?? "";
    await device.queue.add({ id: uuidv7(), documentId: gone, touch: { id: uuidv7(), at: AT, by: OWNER, changes: [] } });
    await pullShared();
    expect(await held()).to.deep.equal([...shared].sort());
    expect(await device.queue.where("documentId").equals(gone).count()).to.equal(0);
    expect(useShared.getState().finds.has(gone)).to.equal(false);
  });

  it("stand under every circle with which they are shared, and under the one that was kept where no more was told", () => {
    const [first, second] = [uuidv7(), uuidv7()];
    const one = { ...told(uuidv7()), circle: first, place: "none" as const };
    expect([first, second].map((circle) => isSharedWith({ ...one, circles: [first, second] }, circle))).to.deep.equal([
      true,
      true,
    ]);
    expect([first, second].map((circle) => isSharedWith({ ...one, circles: [second] }, circle))).to.deep.equal([
      false,
      true,
    ]);
    expect([first, second].map((circle) => isSharedWith(one, circle))).to.deep.equal([true, false]);
  });
});
