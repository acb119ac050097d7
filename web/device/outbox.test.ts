import "fake-indexeddb/auto";
import { applyEdit, type Change, type Edit, type Find, newFind } from "@jittery-cap/core";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { device, waitingFor } from "./device.ts";
import { type Delivery, deliver, keepEdit, keepNewFind, onDelivery, waitingInAll } from "./outbox.ts";
import { keepPicture } from "./pictures.ts";

/** A server in memory with the real one's manners: versions, idempotent edits, conflicts. */
class Server {
  readonly finds = new Map<string, { find: Find; version: number; edits: string[] }>();
  readonly requests: string[] = [];
  /** What happens to the next requests: unanswered before or after they took effect. */
  readonly faults: ("lost-request" | "lost-reply" | "broken")[] = [];

  readonly fetch = async (path: string | URL | Request, init: RequestInit = {}): Promise<Response> => {
    this.requests.push(`${init.method ?? "GET"} ${String(path)}`);
    const fault = this.faults.shift();
    if (fault === "lost-request") throw new TypeError("no network");
    if (fault === "broken") return new Response("oh", { status: 500 });
    const body: unknown = typeof init.body === "string" ? JSON.parse(init.body) : null;
    const response = this.answer(String(path), init.method ?? "GET", body as never);
    if (fault === "lost-reply") throw new TypeError("no network");
    return response;
  };

  /** Called while a picture is on its way. */
  onPicture: (() => void) | undefined;

  private answer(path: string, method: string, body: { version: number; find: Find; edits: Edit[] }): Response {
    const id = path.split("/")[3] ?? "";
    if (path.includes("/pictures/")) {
      this.onPicture?.();
      return new Response(null, { status: 201 });
    }
    const held = this.finds.get(id);
    const reply = (status: number, extra = {}) => {
      const now = this.finds.get(id);
      const stored =
        now === undefined ? {} : { find: now.find, version: now.version, updatedAt: "2026-09-14T10:00:00Z" };
      return Response.json(status === 409 ? { detail: "version", current: stored } : { ...stored, ...extra }, {
        status,
      });
    };
    if (method === "PUT") {
      if (held === undefined) this.finds.set(id, { find: body.find, version: 1, edits: [] });
      return reply(held === undefined ? 201 : 200);
    }
    if (held === undefined) return Response.json({ detail: "missing" }, { status: 404 });
    const known = body.edits.filter((edit) => held.edits.includes(edit.id));
    const fresh = body.edits.filter((edit) => !held.edits.includes(edit.id));
    if (fresh.length > 0 && held.version !== body.version + known.length) return reply(409);
    for (const edit of fresh) {
      const applied = applyEdit(held.find, edit);
      if (!applied.ok) return Response.json({ detail: applied.faults[0]?.message }, { status: 400 });
      held.find = applied.value.find;
      held.version += 1;
      held.edits.push(edit.id);
    }
    return reply(200);
  }
}

const AT = "2026-09-14T10:20:00Z";
const label = (value: string): Change => ({ kind: "set-find", field: "label", value });

describe("the outbox of this device", () => {
  let server: Server;
  let told: Delivery[];
  let stopListening: () => void;
  const realFetch = globalThis.fetch;

  beforeEach(async () => {
    server = new Server();
    globalThis.fetch = server.fetch;
    told = [];
    stopListening = onDelivery((delivery) => told.push(delivery));
    await Promise.all([device.finds.clear(), device.waiting.clear(), device.pictures.clear()]);
  });
  afterEach(() => {
    stopListening();
    globalThis.fetch = realFetch;
  });

  /** A new find, kept and delivered. */
  async function started(): Promise<Find> {
    const find = newFind(uuidv7(), AT);
    await keepNewFind(find);
    await deliver(find.id);
    return find;
  }

  /** One change made here, kept on the device and on its way. */
  async function touch(find: Find, change: Change): Promise<Find> {
    const edit: Edit = { id: uuidv7(), at: AT, change };
    const applied = applyEdit(find, edit);
    if (!applied.ok) throw new Error("refused");
    await keepEdit(applied.value.find, edit);
    return applied.value.find;
  }

  it("sends a new find and each touch, in their order, and then says saved", async () => {
    const find = await started();
    const after = await touch(await touch(find, label("one")), label("two"));
    await deliver(find.id);
    expect(server.finds.get(find.id)?.find).to.deep.equal(after);
    expect(server.finds.get(find.id)?.version).to.equal(3);
    expect(await waitingFor(find.id)).to.deep.equal([]);
    expect(told.at(-1)).to.deep.equal({ findId: find.id, waiting: 0, state: "saved" });
  });

  it("sends by itself, and touches that follow each other closely together", async () => {
    const find = await started();
    const before = server.requests.length;
    const after = await touch(await touch(await touch(find, label("one")), label("two")), label("three"));
    expect((await waitingFor(find.id)).length).to.equal(3);
    for (let wait = 0; wait < 100 && told.at(-1)?.state !== "saved"; wait++)
      await new Promise((later) => setTimeout(later, 20));
    while ((await waitingFor(find.id)).length > 0) await new Promise((later) => setTimeout(later, 20));
    expect(server.finds.get(find.id)?.find).to.deep.equal(after);
    expect(server.requests.length - before).to.equal(1);
  });

  it("reads past no touch, also one that is still on its way to the device's own memory", async () => {
    const find = await started();
    const edit: Edit = { id: uuidv7(), at: AT, change: label("just now") };
    const applied = applyEdit(find, edit);
    if (!applied.ok) throw new Error("refused");
    void keepEdit(applied.value.find, edit);
    expect(await waitingInAll()).to.equal(1);
    void keepEdit(applied.value.find, { ...edit, id: uuidv7() });
    await deliver(find.id);
    expect(server.finds.get(find.id)?.edits).to.have.length(2);
    expect(server.finds.get(find.id)?.find.label).to.equal("just now");
    expect(await waitingInAll()).to.equal(0);
  });

  it("never says saved of a touch that came while a picture was on its way", async () => {
    const find = await started();
    const versions: (number | undefined)[] = [];
    const stop = onDelivery((delivery) => {
      if (delivery.state === "saved") versions.push(server.finds.get(find.id)?.version);
    });
    server.onPicture = () => void touch(find, label("meanwhile"));
    const file = new Blob(["picture"], { type: "image/jpeg" });
    await keepPicture({ id: uuidv7(), findId: find.id, part: "foot", body: "A", takenAt: AT, file });
    await deliver(find.id);
    await deliver(find.id);
    stop();
    expect(versions.length).to.be.greaterThan(0);
    expect(new Set(versions)).to.deep.equal(new Set([2]));
  });

  it("keeps what the server never heard, says how much waits, and sends it later", async () => {
    const find = await started();
    server.faults.push("lost-request", "lost-request", "lost-request", "lost-request");
    await touch(await touch(find, label("one")), label("two"));
    await deliver(find.id);
    expect((await waitingFor(find.id)).length).to.equal(2);
    expect(told.at(-1)).to.include({ waiting: 2, state: "waiting" });
    server.faults.length = 0;
    await deliver(find.id);
    expect(server.finds.get(find.id)?.find.label).to.equal("two");
    expect(told.at(-1)?.state).to.equal("saved");
  });

  it("doubles nothing when the reply was lost: the same edits again are one edit each", async () => {
    const find = await started();
    server.faults.push("lost-reply");
    const one = await touch(find, label("one"));
    await deliver(find.id);
    await touch(one, label("two"));
    await deliver(find.id);
    expect(server.finds.get(find.id)?.edits).to.have.length(2);
    expect(server.finds.get(find.id)?.version).to.equal(3);
    expect(await waitingFor(find.id)).to.deep.equal([]);
  });

  it("takes a broken server for one that cannot be reached, and loses nothing", async () => {
    const find = await started();
    server.faults.push("broken", "broken", "broken");
    await touch(find, label("one"));
    await deliver(find.id);
    expect((await waitingFor(find.id)).length).to.equal(1);
    server.faults.length = 0;
    await deliver(find.id);
    expect(server.finds.get(find.id)?.find.label).to.equal("one");
  });

  it("stops at a conflict, keeps what is here, and shows what is there", async () => {
    const find = await started();
    const held = server.finds.get(find.id);
    if (held === undefined) throw new Error("nothing stored");
    held.find = { ...held.find, label: "theirs" };
    held.version = 5;
    await touch(find, label("mine"));
    await deliver(find.id);
    expect(told.at(-1)?.state).to.equal("conflict");
    expect(told.at(-1)?.current?.find.label).to.equal("theirs");
    expect(server.finds.get(find.id)?.find.label).to.equal("theirs");
    expect((await device.finds.get(find.id))?.find.label).to.equal("mine");
    expect((await waitingFor(find.id)).length).to.equal(1);
  });

  it("says so when the server no longer has the find, and keeps it here", async () => {
    const find = await started();
    server.finds.delete(find.id);
    await touch(find, label("mine"));
    await deliver(find.id);
    expect(told.at(-1)?.state).to.equal("refused");
    expect((await device.finds.get(find.id))?.find.label).to.equal("mine");
  });

  it("delivers one find at a time, however often it is asked", async () => {
    const find = newFind(uuidv7(), AT);
    await keepNewFind(find);
    await Promise.all([deliver(find.id), deliver(find.id), deliver(find.id)]);
    expect(server.requests.filter((request) => request.startsWith("PUT"))).to.have.length(1);
  });
});
