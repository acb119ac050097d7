import "fake-indexeddb/auto";
import { type Change, type Find, newFind } from "@jittery-cap/core";
import type { SentDocument } from "@jittery-cap/core/api";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { device } from "../documents/device.ts";
import { takeIn } from "../documents/push.ts";
import { touchesKept } from "../documents/under-way.ts";
import { keptSteps } from "../documents/undo.ts";
import { beginFind } from "./begin-find.ts";
import { type FindSession, findSession } from "./find-session.ts";

const keep = (body: string, value: boolean): Change => ({ kind: "set-body", body, field: "keep", value });
const age = (body: string, value: "young" | "old"): Change => ({ kind: "set-body", body, field: "age", value });

/** A find as the server sends it. */
const sent = (find: Find) => ({
  id: find.id,
  kind: "find",
  schema: 1,
  version: 1,
  content: find,
  archived: false,
  updatedAt: "2026-09-14T12:00:00Z",
  at: 1,
});

describe("the find that is open", () => {
  const realFetch = globalThis.fetch;
  let session: FindSession;
  before(() => {
    // there is no server and no worker here: what is recorded holds all the same, and no answer is given
    globalThis.fetch = () => Promise.reject(new TypeError("no network"));
  });
  after(() => {
    globalThis.fetch = realFetch;
  });
  afterEach(() => session.close());
  const begin = async () => {
    session = findSession(await beginFind());
    await session.open();
    return session.id;
  };
  const state = () => session.store.getState();
  const body = () => state().find?.bodies[0];
  const untilStatus = async (status: string) => {
    for (let tries = 0; state().status !== status && tries < 100; tries += 1)
      await new Promise((again) => setTimeout(again, 10));
    expect(state().status).to.equal(status);
  };

  it("takes back as one what was one touch, and a change that stands alone by itself", async () => {
    await begin();
    session.change(age("A", "young"));
    session.changeTogether([age("A", "old"), keep("A", false)]);
    expect(body()).to.deep.include({ age: "old", keep: false });
    session.undo();
    expect(body()?.age).to.equal("young");
    expect(body()?.keep).not.to.equal(false);
    session.redo();
    expect(body()).to.deep.include({ age: "old", keep: false });
    session.undo();
    session.undo();
    expect(body()?.age).to.equal(undefined);
    expect(state().done).to.deep.equal([]);
    session.undo();
    session.redo();
    expect(body()?.age).to.equal("young");
    expect(state().undone).to.have.length(1);
  });

  it("keeps every step for the history, and what can be undone over a reload", async () => {
    const id = await begin();
    session.changeTogether([age("A", "old"), keep("A", false)]);
    session.undo();
    await touchesKept();
    const touches = (await device.queue.where("documentId").equals(id).sortBy("order")).map(
      (one) => one.touch as { id: string; undoes?: string; changes: unknown[] },
    );
    // one touch is one, with all its changes, and so is what takes it back
    expect(touches.map((touch) => touch.changes.length)).to.deep.equal([2, 2]);
    expect(touches[1]?.undoes).to.equal(touches[0]?.id);
    expect((await keptSteps(id))?.undone).to.have.length(1);
    await session.open();
    session.redo();
    expect(body()).to.deep.include({ age: "old", keep: false });
  });

  it("says why a change is not taken, and changes nothing", async () => {
    await begin();
    const before = state().find;
    session.changeTogether([age("Q", "old"), keep("A", false)]);
    expect(state().refusal).to.be.a("string").and.to.contain("Q");
    expect(state().find).to.equal(before);
    expect(state().done).to.deep.equal([]);
  });

  it("is the one of its own address: a find that comes late is shown nowhere, and no touch lands on another", async () => {
    const [slow, quick] = [newFind(uuidv7(), "2026-09-14T10:00:00Z"), newFind(uuidv7(), "2026-09-14T11:00:00Z")];
    let letGo: (() => void) | undefined;
    const held = new Promise<void>((resolve) => {
      letGo = resolve;
    });
    const { fetch } = globalThis;
    globalThis.fetch = async (path) => {
      const find = String(path).includes(slow.id) ? slow : quick;
      if (find === slow) await held;
      return Response.json(sent(find));
    };
    const late = findSession(slow.id);
    const opened = late.open();
    // the person goes on to another find before the first has come
    late.close();
    session = findSession(quick.id);
    await session.open();
    letGo?.();
    await opened;
    expect(late.store.getState()).to.deep.include({ status: "none", find: undefined });
    expect(await device.documents.get(slow.id)).to.equal(undefined);
    late.change(age("A", "old"));
    session.change(age("A", "young"));
    await touchesKept();
    expect(state().find?.id).to.equal(quick.id);
    expect(body()?.age).to.equal("young");
    expect(await device.queue.where("documentId").equals(slow.id).count()).to.equal(0);
    globalThis.fetch = fetch;
  });

  it("keeps a touch that was made just before it was closed, and shows it when it is opened again", async () => {
    await begin();
    session.change(age("A", "old"));
    session.close();
    await touchesKept();
    await session.open();
    expect(body()?.age).to.equal("old");
  });

  it("is found where it comes to this device while it is looked for, and shown where it comes later", async () => {
    const [meanwhile, later] = [newFind(uuidv7(), "2026-09-14T10:00:00Z"), newFind(uuidv7(), "2026-09-14T11:00:00Z")];
    const { documents } = device;
    const get = documents.get.bind(documents) as (id: string) => Promise<unknown>;
    let looked = 0;
    documents.get = (async (id: string) => {
      const row = await get(id);
      looked += 1;
      if (looked === 1) await takeIn(sent(meanwhile) as SentDocument);
      return row;
    }) as never;
    session = findSession(meanwhile.id);
    await session.open().finally(() => Reflect.deleteProperty(documents, "get"));
    expect(state()).to.deep.include({ status: "open", find: meanwhile });
    session.close();
    session = findSession(later.id);
    await session.open();
    expect(state().status).to.equal("unreachable");
    await takeIn(sent(later) as SentDocument);
    await untilStatus("open");
    expect(state().find).to.deep.equal(later);
    // another's find is forgotten and fetched anew where they share more or less of it
    await device.documents.delete(later.id);
    await untilStatus("missing");
    expect(state().find).to.equal(undefined);
    await takeIn(sent(later) as SentDocument);
    await untilStatus("open");
    expect(state().find).to.deep.equal(later);
  });

  it("gives some bodies a find of their own, and loses none of them", async () => {
    await begin();
    session.changeTogether([{ kind: "add-body", body: { id: "B" } }]);
    const id = await session.split(["B"]);
    expect(state().find?.bodies.map((one) => one.id)).to.deep.equal(["A"]);
    const apart = findSession(id ?? "");
    await apart.open();
    expect(apart.store.getState().find?.bodies).to.have.length(1);
    apart.close();
  });

  it("says so when this device cannot keep a touch", async () => {
    await begin();
    const { transaction } = device;
    device.transaction = () => Promise.reject(new Error("no room")) as never;
    session.change(age("A", "old"));
    await touchesKept();
    await new Promise((told) => setTimeout(told, 0));
    device.transaction = transaction;
    expect(state().refusal).to.contain("could not keep it");
    expect(body()?.age).to.equal("old");
  });
});
