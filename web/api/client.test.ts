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
