import { FIRST_YEARS, type Settled, settledSchema } from "@jittery-cap/core";
import { expect } from "chai";
import { matchSettled, ownRules, readSettled, settle, useSettled } from "./settled.ts";

/** A server in memory with the real one's manners: versions and conflicts. */
class Server {
  held: { version: number; settled: Settled } = { version: 0, settled: { rules: {}, limits: [] } };
  away = false;
  /** Called while a write is on its way. */
  onPut: (() => void) | undefined;

  readonly fetch = async (_path: string | URL | Request, init: RequestInit = {}): Promise<Response> => {
    if (this.away) throw new TypeError("no network");
    if (init.method !== "PUT") return Response.json(this.held);
    this.onPut?.();
    const body = JSON.parse(String(init.body)) as Server["held"];
    if (body.version !== this.held.version) return Response.json({ current: this.held }, { status: 409 });
    this.held = { version: body.version + 1, settled: settledSchema.parse(body.settled) };
    return Response.json(this.held);
  };
}

const KILO = { kind: "all", grams: 1000 };
const PLACED = { kind: "all", place: "Upper pasture", pieces: 20 };

describe("what is settled on this device", () => {
  const realFetch = globalThis.fetch;
  const realStorage = Object.getOwnPropertyDescriptor(globalThis, "localStorage");
  let server: Server;
  let shelf: Map<string, string>;

  beforeEach(() => {
    server = new Server();
    globalThis.fetch = server.fetch;
    shelf = new Map();
    const storage = {
      getItem: (key: string) => shelf.get(key) ?? null,
      setItem: (key: string, value: string) => void shelf.set(key, value),
    };
    Object.defineProperty(globalThis, "localStorage", { value: storage, configurable: true });
    readSettled();
  });
  afterEach(() => {
    globalThis.fetch = realFetch;
    if (realStorage === undefined) Reflect.deleteProperty(globalThis, "localStorage");
    else Object.defineProperty(globalThis, "localStorage", realStorage);
  });

  it("holds at once, is with the server after, and is there again after a reload, places and all", async () => {
    await settle({ rules: { distance: 3 } });
    await settle({ limits: [KILO, PLACED] });
    expect(server.held).to.deep.equal({ version: 2, settled: { rules: { distance: 3 }, limits: [KILO, PLACED] } });
    readSettled();
    expect(useSettled.getState()).to.deep.include({ version: 2, unsent: false });
    expect(useSettled.getState().settled.limits).to.deep.equal([KILO, PLACED]);
    expect(ownRules()).to.deep.equal({ distance: 3 });
  });

  it("without a server holds here, says so, and is sent when there is one", async () => {
    server.away = true;
    await settle({ limits: [KILO] });
    expect(useSettled.getState()).to.deep.include({ version: 0, unsent: true });
    readSettled();
    server.away = false;
    await matchSettled();
    expect(server.held.settled.limits).to.deep.equal([KILO]);
    expect(useSettled.getState().unsent).to.equal(false);
  });

  it("hears what another device settled", async () => {
    server.held = { version: 4, settled: { rules: { amanitas: "known" }, limits: [PLACED] } };
    await matchSettled();
    expect(useSettled.getState()).to.deep.equal({ ...server.held, unsent: false });
  });

  it("apart from another device is put together to the stricter, and nothing of either is lost", async () => {
    server.held = { version: 4, settled: { rules: { amanitas: "known", larvae: "none" }, limits: [PLACED] } };
    await settle({ rules: { smallBrown: "known", distance: 3 }, limits: [KILO] });
    expect(server.held).to.deep.equal({
      version: 5,
      settled: { rules: { distance: 3, larvae: "none" }, limits: [KILO, PLACED] },
    });
    expect(useSettled.getState()).to.deep.equal({ ...server.held, unsent: false });
  });

  it("while it is on its way is sent behind it", async () => {
    server.onPut = () => {
      server.onPut = undefined;
      void settle({ limits: [KILO] });
    };
    await settle({ rules: { distance: 3 } });
    expect(server.held).to.deep.equal({ version: 2, settled: { rules: { distance: 3 }, limits: [KILO] } });
    expect(useSettled.getState().unsent).to.equal(false);
  });

  it("takes over what an earlier version kept on the device alone", async () => {
    shelf.set("jittery-cap rules", JSON.stringify({ distance: 3 }));
    shelf.set("jittery-cap limits", JSON.stringify([KILO]));
    readSettled();
    expect(ownRules()).to.deep.equal({ distance: 3 });
    await matchSettled();
    expect(server.held.settled).to.deep.equal({ rules: { distance: 3 }, limits: [KILO] });
  });

  it("that cannot be read is the strictest there is, until the server tells what it was", async () => {
    shelf.set("jittery-cap settled", "{ broken");
    readSettled();
    expect(ownRules()).to.deep.equal(FIRST_YEARS);
    server.held = { version: 3, settled: { rules: { larvae: "none" }, limits: [KILO] } };
    await matchSettled();
    expect(useSettled.getState()).to.deep.equal({ ...server.held, unsent: false });
  });

  it("is nothing where nothing was settled: the defaults, and no limit", () => {
    expect(useSettled.getState()).to.deep.equal({ version: 0, settled: { rules: {}, limits: [] }, unsent: false });
    expect(ownRules()).to.equal(undefined);
  });
});
