import { mock } from "node:test";
import { ROUTES } from "@jittery-cap/core/api";
import { expect } from "chai";
import { addressOf, ask, valueOrNothing } from "./client.ts";

const ID = "0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10";

describe("the client", () => {
  const realFetch = globalThis.fetch;
  let asked: { path: string; init: RequestInit | undefined }[] = [];
  /** Answers every request but reports of errors so. */
  const answer = (reply: () => Response | Promise<never>) => {
    asked = [];
    globalThis.fetch = (path, init) => {
      asked.push({ path: String(path), init });
      return Promise.resolve(String(path).includes("browser-errors") ? new Response(null, { status: 204 }) : reply());
    };
  };
  after(() => {
    globalThis.fetch = realFetch;
  });

  it("fills in parameters and leaves out what is not asked", () => {
    expect(addressOf(ROUTES.readDocument, { params: { id: ID } })).to.equal(`/api/documents/${ID}`);
    expect(addressOf(ROUTES.listStandings, { query: { limit: 5, about: undefined } })).to.equal(
      "/api/decisions?limit=5",
    );
    expect(addressOf(ROUTES.health)).to.equal("/api/health");
  });

  it("believes what the contract says and nothing else; what is odd is reported", async () => {
    const good = { status: "ok", database: "up", edition: "e", sheets: 3 };
    answer(() => Response.json(good));
    expect(await ask(ROUTES.health)).to.deep.equal({ kind: "ok", value: good });
    answer(() => Response.json({ ...good, sheets: "many" }));
    expect((await ask(ROUTES.health)).kind).to.equal("unreachable");
    expect(asked.some((one) => one.path.includes("browser-errors"))).to.equal(true);
    answer(() => new Response("<html>", { status: 200 }));
    expect((await ask(ROUTES.health)).kind).to.equal("unreachable");
  });

  it("tells a refusal, which would come again, from a server that is away, which may come back", async () => {
    const problem = { type: "about:blank", title: "Bad", status: 400, detail: "create.id: is wrong" };
    answer(() => Response.json(problem, { status: 400 }));
    expect(await ask(ROUTES.health)).to.deep.equal({ kind: "refused", problem });
    answer(() => new Response("nothing", { status: 404 }));
    const bare = await ask(ROUTES.health);
    expect(bare.kind === "refused" && bare.problem.status).to.equal(404);
    answer(() => Response.json({ ...problem, status: 503, detail: "The judge has too much to do." }, { status: 503 }));
    expect(await ask(ROUTES.health)).to.deep.equal({
      kind: "unreachable",
      text: "The judge has too much to do.",
      isAway: true,
    });
    answer(() => Promise.reject(new TypeError("no network")));
    expect((await ask(ROUTES.health)).kind).to.equal("unreachable");
    expect(await valueOrNothing(ROUTES.health)).to.equal(undefined);
  });

  describe("to a server that stands still, and over a slow line", () => {
    const good = { status: "ok" as const, database: "up" as const, edition: "e", sheets: 3 };
    const pieces = JSON.stringify(good).match(/.{1,12}/g) ?? [];
    /** An answer that comes in pieces, as far as the test lets it; given up, it breaks off as a browser's does. */
    const inPieces = () => {
      let body!: ReadableStreamDefaultController<Uint8Array>;
      const stream = new ReadableStream<Uint8Array>({
        start(controller) {
          body = controller;
        },
      });
      globalThis.fetch = (path, init) => {
        if (String(path).includes("browser-errors")) return Promise.resolve(new Response(null, { status: 204 }));
        init?.signal?.addEventListener("abort", () => body.error(new DOMException("given up", "AbortError")));
        return Promise.resolve(new Response(stream));
      };
      return { send: (text: string) => body.enqueue(new TextEncoder().encode(text)), close: () => body.close() };
    };
    const settled = () => new Promise((resolve) => setImmediate(resolve));
    beforeEach(() => mock.timers.enable({ apis: ["setTimeout"] }));
    afterEach(() => mock.timers.reset());

    it("waits for whoever goes on sending, however slowly", async () => {
      const line = inPieces();
      const asked = ask(ROUTES.health);
      for (const piece of pieces) {
        await settled();
        mock.timers.tick(29_000);
        line.send(piece);
      }
      line.close();
      expect(await asked).to.deep.equal({ kind: "ok", value: good });
    });

    it("gives up on one who is silent, at the beginning as in the middle", async () => {
      const line = inPieces();
      const asked = ask(ROUTES.health);
      await settled();
      line.send(pieces[0] ?? "");
      await settled();
      mock.timers.tick(31_000);
      expect((await asked).kind).to.equal("unreachable");
      globalThis.fetch = (_path, init) =>
        new Promise((_resolve, reject) => init?.signal?.addEventListener("abort", () => reject(new Error("given up"))));
      const again = ask(ROUTES.health);
      await settled();
      mock.timers.tick(31_000);
      expect((await again).kind).to.equal("unreachable");
    });

    it("believes nothing of an answer that was cut off", async () => {
      const line = inPieces();
      const asked = ask(ROUTES.health);
      await settled();
      line.send(pieces[0] ?? "");
      line.close();
      expect((await asked).kind).to.equal("unreachable");
    });
  });

  it("sends JSON as JSON, a file as what it is, and takes a reply of nothing for one", async () => {
    answer(() => new Response(null, { status: 204 }));
    const reported = await ask(ROUTES.withdrawPacket, { params: { id: ID, packet: ID } });
    expect(reported.kind).to.equal("ok");
    expect(asked[0]?.init?.method).to.equal("DELETE");
    answer(() => Response.json({ id: ID, token: "t", madeAt: "m", openUntil: "o" }));
    await ask(ROUTES.makePacket, { params: { id: ID }, body: { id: ID } });
    expect(asked[0]?.init?.body).to.equal(JSON.stringify({ id: ID }));
    expect(asked[0]?.init?.headers).to.deep.equal({ "content-type": "application/json" });
    const file = new Blob(["x"], { type: "image/png" });
    await ask(ROUTES.putPicture, {
      params: { id: ID },
      query: { about: ID, part: "foot", takenAt: "2026-09-14T10:22:00Z" },
      file,
    });
    expect(asked.find((one) => one.path.startsWith("/api/pictures"))?.init?.headers).to.deep.equal({
      "content-type": "image/png",
    });
  });
});
