/** A device against the real server and database: nothing lost, nothing doubled, what meets nothing put together. */
import "fake-indexeddb/auto";
import type { Server } from "node:http";
import { type Change, type Find, newFind } from "@jittery-cap/core";
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { expect } from "chai";
import fc from "fast-check";
import sharp from "sharp";
import { uuidv7 } from "uuidv7";
import { type ScratchApp, scratchApp, touchOf } from "../../server/tests/scratch-app.ts";
import { waitingInAll } from "./delivery.ts";
import { device } from "./device.ts";
import { isReadable, keepTouch, listKept, makeDocument, readKept, setArchived, touchNow } from "./documents.ts";
import { keepPicture, shownPictures } from "./pictures.ts";
import { takeTheirs } from "./push.ts";
import { settle, useSettings } from "./settings.ts";
import { match, restorePulled, useSync } from "./sync.ts";
import { stepsFrom, stepsOfServer } from "./undo.ts";

/** What happens to the next requests: unanswered before or after they took effect, or answered with a failure. */
type Fault = "lost-request" | "lost-reply" | "broken";

describe("a device and the server", () => {
  const realFetch = globalThis.fetch;
  const faults: Fault[] = [];
  const requests: string[] = [];
  let made: ScratchApp;
  let server: Server;
  let address: string;

  before(async () => {
    made = await scratchApp();
    await new Promise<void>((listening) => {
      server = made.app.listen(0, "127.0.0.1", () => listening());
    });
    const at = server.address();
    address = `http://127.0.0.1:${typeof at === "object" && at !== null ? at.port : 0}`;
    globalThis.fetch = async (path, init) => {
      // what others share is asked for a moment after each whole match, by a timer of its own: no fault is meant for that
      const isShared = /^\/api\/(shared|circles)/.test(String(path));
      if (!isShared) requests.push(`${init?.method ?? "GET"} ${String(path)}`);
      const fault = isShared ? undefined : faults.shift();
      if (fault === "lost-request") throw new TypeError("no network");
      if (fault === "broken") return new Response("oh", { status: 500 });
      const response = await realFetch(address + String(path), init);
      if (fault === "lost-reply") throw new TypeError("no network");
      return response;
    };
  });
  after(async () => {
    globalThis.fetch = realFetch;
    server.close();
    await made.end();
  });
  beforeEach(async () => {
    faults.length = 0;
    await device.delete();
    await device.open();
    requests.length = 0;
  });

  const label = (value: string): Change => ({ kind: "set-find", field: "label", value });
  const ring = (state: string): Change => ({
    kind: "observe",
    body: "A",
    character: "ring",
    entries: [{ character: "ring", states: [state] }],
  });
  const begin = async (): Promise<Find> => {
    const find = newFind(uuidv7(), "2026-09-14T10:20:00Z");
    await makeDocument("find", find.id, find);
    return find;
  };
  const touch = (id: string, ...changes: Change[]) => keepTouch("find", id, touchNow(changes));
  /** The document as the server holds it, asked for past the faults. */
  const held = async (id: string) =>
    (await (await realFetch(`${address}/api/documents/${id}`)).json()) as { content: Find; version: number };
  const elsewhere = (id: string, known: number, ...changes: Change[]) =>
    realFetch(`${address}/api/documents/${id}`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ kind: "find", known, touches: [touchOf(...changes)] }),
    });
  const here = async (id: string) => (await readKept("find", id))?.content;
  const matchUntilThere = async () => {
    while (faults.length > 0) await match();
    expect(await match()).to.equal(true);
  };

  it("loses and doubles nothing, whatever is lost on the way and however often it is sent", async function () {
    this.timeout(120_000);
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom("young", "mature", "old"), { minLength: 1, maxLength: 5 }),
        fc.array(fc.constantFrom<Fault>("lost-request", "lost-reply", "broken"), { maxLength: 6 }),
        async (ages, trouble) => {
          const find = await begin();
          for (const age of ages) await touch(find.id, { kind: "set-body", body: "A", field: "age", value: age });
          faults.push(...trouble);
          await matchUntilThere();
          expect(await waitingInAll()).to.equal(0);
          const there = await held(find.id);
          expect(there.version).to.equal(1 + ages.length);
          expect(there.content).to.deep.equal(await here(find.id));
          expect(there.content.bodies[0]?.age).to.equal(ages.at(-1));
        },
      ),
      { numRuns: 25 },
    );
  });

  it("sends a touch as one, however many changes it is, and asks for nothing when nothing waits", async () => {
    const find = await begin();
    await match();
    await touch(find.id, label("at once"), ring("skirt"));
    requests.length = 0;
    await match("send");
    expect(requests).to.deep.equal([`POST /api/documents/${find.id}`]);
    expect((await held(find.id)).version).to.equal(2);
    requests.length = 0;
    await match("send");
    expect(requests).to.deep.equal([]);
  });

  it("takes itself for whole only where the first fetch came to its end, and keeps that without the server", async () => {
    for (let made = 0; made < 3; made += 1) await begin();
    await match();
    await device.delete();
    await device.open();
    const reload = async () => {
      useSync.setState({ state: "starting", hasPulled: false });
      await restorePulled();
      return useSync.getState().hasPulled;
    };
    expect(await reload(), "nothing fetched yet").to.equal(false);
    const answering = globalThis.fetch;
    let pages = 0;
    globalThis.fetch = async (path, init) => {
      if (!String(path).includes("limit=")) return answering(path, init);
      pages += 1;
      if (pages > 1) throw new TypeError("no network");
      // a page of two is followed by another, as one of many is
      return answering(String(path).replace(/limit=\d+/, "limit=2"), init);
    };
    try {
      await match();
      expect(pages, "another page was asked for").to.be.above(1);
      expect(await device.documents.count(), "a first page is there").to.be.above(0);
      expect(await reload(), "cut off behind the first page").to.equal(false);
    } finally {
      globalThis.fetch = answering;
    }
    await match();
    faults.push("lost-request");
    expect(await reload(), "all was fetched once").to.equal(true);
    expect(await match()).to.equal(false);
    expect(useSync.getState().hasPulled, "the server is away again").to.equal(true);
    await matchUntilThere();
  });

  it("puts together what meets nothing of what was changed elsewhere, both ways", async () => {
    const find = await begin();
    await match();
    await elsewhere(find.id, 1, label("by the pond"));
    await touch(find.id, ring("skirt"));
    await match();
    expect(await here(find.id)).to.deep.equal((await held(find.id)).content);
    expect((await here(find.id))?.label).to.equal("by the pond");
    expect((await here(find.id))?.bodies[0]?.seen?.[0]?.states).to.deep.equal(["skirt"]);
    expect(await waitingInAll()).to.equal(0);
  });

  it("shows what collides, keeps both until a person says, and sends on when one has", async () => {
    const find = await begin();
    await match();
    await elsewhere(find.id, 1, ring("none"));
    await touch(find.id, ring("skirt"));
    await match();
    const trouble = await device.troubles.get(find.id);
    expect(trouble?.kind).to.equal("conflict");
    expect((await here(find.id))?.bodies[0]?.seen?.[0]?.states).to.deep.equal(["skirt"]);
    expect((await held(find.id)).content.bodies[0]?.seen?.[0]?.states).to.deep.equal(["none"]);
    await takeTheirs(trouble?.current as never, touchNow<unknown>([label("seen twice")]));
    await match();
    expect(await here(find.id)).to.deep.equal((await held(find.id)).content);
    expect((await here(find.id))?.label).to.equal("seen twice");
  });

  it("keeps what the server refuses, says why, and tries again with the next touch", async () => {
    const find = await begin();
    await match();
    // what an older program kept on this device, and no server takes
    await device.queue.add({
      id: uuidv7(),
      documentId: find.id,
      touch: { ...touchNow([label("x")]), by: uuidv7() },
    });
    await match();
    expect((await device.troubles.get(find.id))?.text).to.contain("touches[0].by");
    await device.queue.clear();
    await touch(find.id, label("in one's own name"));
    await match();
    expect((await held(find.id)).content.label).to.equal("in one's own name");
    expect(await device.troubles.get(find.id)).to.equal(undefined);
  });

  it("puts away and brings back without a network, and holds what was touched elsewhere meanwhile", async () => {
    const find = await begin();
    await match();
    faults.push("lost-request");
    await setArchived("find", find.id, true);
    expect(await match()).to.equal(false);
    expect(useSync.getState().state).to.equal("unreachable");
    expect((await listKept("find", 10)).map((one) => one.id)).not.to.include(find.id);
    await match();
    expect((await held(find.id)) as { archived?: boolean }).to.include({ archived: true });
    await setArchived("find", find.id, false);
    await match();
    expect((await listKept("find", 10)).map((one) => one.id)).to.include(find.id);
  });

  it("keeps what was touched here when the find was put away elsewhere, and sends it once it is back", async () => {
    const find = await begin();
    await match();
    await elsewhere(find.id, 1, { kind: "archive" } as never);
    await touch(find.id, label("written in the wood"));
    await match();
    expect((await device.troubles.get(find.id))?.kind).to.equal("conflict");
    expect((await here(find.id))?.label).to.equal("written in the wood");
    await elsewhere(find.id, 2, { kind: "restore" } as never);
    await match();
    expect(await waitingInAll()).to.equal(0);
    expect((await held(find.id)).content.label).to.equal("written in the wood");
    expect(await device.troubles.get(find.id)).to.equal(undefined);
  });

  it("fetches what was recorded elsewhere, page by page, and shows what it cannot read as unreadable", async () => {
    const find = newFind(uuidv7(), "2026-09-14T10:20:00Z");
    await made.parts.writer.write({
      actor: { kind: "person", id: LOCAL_PERSON },
      ownerId: LOCAL_PERSON,
      id: find.id,
      kind: "find",
      known: 0,
      create: find,
      touches: [],
    });
    const odd = { ...find, id: uuidv7() };
    await made.parts.writer.write({
      actor: { kind: "person", id: LOCAL_PERSON },
      ownerId: LOCAL_PERSON,
      id: odd.id,
      kind: "find",
      known: 0,
      create: odd,
      touches: [],
    });
    await made.scratch.database.query("UPDATE documents SET content_schema = 99 WHERE id = ?", {
      replacements: [odd.id],
    });
    await match();
    const kept = await listKept("find", 1000);
    expect(kept.find((one) => one.id === find.id && isReadable(one))).not.to.equal(undefined);
    const unread = kept.concat([]).find((one) => one.id === odd.id);
    const row = await device.documents.get(odd.id);
    expect(row?.schema).to.equal(99);
    expect(unread === undefined || !isReadable(unread)).to.equal(true);
    await made.models.documents.destroy({ where: { id: odd.id } });
  });

  it("sends pictures with their file once the find is there, and tells why one is refused", async () => {
    const find = await begin();
    const file = new Blob(
      [
        new Uint8Array(
          await sharp({ create: { width: 40, height: 30, channels: 3, background: "#a06030" } })
            .jpeg()
            .toBuffer(),
        ),
      ],
      { type: "image/jpeg" },
    );
    const about = { findId: find.id, part: "foot", body: "A", takenAt: "2026-09-14T10:21:00Z" } as const;
    const [good, bad] = [uuidv7(), uuidv7()];
    await keepPicture({ ...about, id: good, file });
    await keepPicture({ ...about, id: bad, file: new Blob(["no picture"], { type: "image/jpeg" }) });
    expect((await shownPictures(find.id)).map((one) => one.onDeviceOnly)).to.deep.equal([true, true]);
    faults.push("lost-reply");
    await matchUntilThere();
    const shown = await shownPictures(find.id);
    expect(shown.find((one) => one.id === good)).to.deep.include({
      onDeviceOnly: false,
      source: `/api/pictures/${good}`,
      refused: undefined,
    });
    expect(shown.find((one) => one.id === bad)?.refused).to.contain("no picture");
    expect(await device.files.get(good)).to.equal(undefined);
    expect(await device.files.get(bad)).not.to.equal(undefined);
  });

  it("settles apart on two devices what holds on both: the stricter rule, and the limits of both", async () => {
    await made.models.documents.destroy({ where: { id: LOCAL_PERSON } });
    await settle({ rules: { distance: 3 } });
    await match();
    await made.parts.writer.write({
      actor: { kind: "person", id: LOCAL_PERSON },
      ownerId: LOCAL_PERSON,
      id: LOCAL_PERSON,
      kind: "settings",
      known: 1,
      touches: [
        touchOf(
          { kind: "set-rule", field: "larvae", value: "trim" },
          { kind: "set-limits", limits: [{ kind: "all", grams: 1000 }] },
        ),
      ],
    });
    await settle({ rules: { distance: 3, larvae: "none" }, limits: [{ kind: "all", pieces: 20 }] });
    await match();
    await match();
    const settings = (await readKept("settings", LOCAL_PERSON))?.content;
    expect(settings?.rules).to.deep.equal({ distance: 3, larvae: "none" });
    expect(settings?.limits).to.have.deep.members([
      { kind: "all", grams: 1000 },
      { kind: "all", pieces: 20 },
    ]);
    const there = (await held(LOCAL_PERSON)) as unknown as { content: unknown };
    expect(there.content).to.deep.equal(settings);
    expect(useSettings.getState().settings).not.to.equal(undefined);
  });

  it("tells from the server's history what can be taken back, each touch as one", async () => {
    const find = await begin();
    await touch(find.id, label("one"), ring("skirt"));
    await touch(find.id, label("two"));
    await match();
    const steps = await stepsOfServer(find.id);
    expect(steps?.done.map((step) => step.changes.length)).to.deep.equal([2, 1]);
    const last = steps?.done.at(-1);
    if (last === undefined) throw new Error("nothing to take back");
    await keepTouch("find", find.id, touchNow(last.inverse as Change[], { undoes: last.touchId }));
    await match();
    expect((await held(find.id)).content.label).to.equal("one");
    const after = await stepsOfServer(find.id);
    expect(after?.done).to.have.length(1);
    expect(after?.undone.map((step) => step.touchId)).to.deep.equal([last.touchId]);
    expect(stepsFrom([])).to.deep.equal({ done: [], undone: [] });
  });
});
