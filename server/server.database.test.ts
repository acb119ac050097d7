import { type ChildProcess, spawn } from "node:child_process";
import { newFind } from "@jittery-cap/core";
import { expect } from "chai";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { touchOf } from "./tests/scratch-app.ts";
import { type Scratch, scratchDatabase } from "./tests/scratch-database.ts";
import { addressOf, cookieOfFirst, toldBy } from "./tests/sign-in.ts";

const AT = "2026-09-14T10:20:00+02:00";

/** The real server as its own process; resolves with its address, and with the cookie of its first person. */
async function startServer(
  url: string,
  known?: string,
): Promise<{ process: ChildProcess; address: string; cookie: string }> {
  const child = spawn(process.execPath, ["--import", "tsx", "server/main.ts"], {
    env: { ...process.env, DATABASE_URL: url, PORT: "0", LOG_LEVEL: "silent" },
    stdio: ["ignore", "pipe", "inherit"],
  });
  const told = known === undefined ? await toldBy(child) : { address: await addressOf(child), word: "" };
  child.removeAllListeners("exit");
  if (known !== undefined) return { process: child, address: told.address, cookie: known };
  const { name, value } = await cookieOfFirst(told);
  return { process: child, address: told.address, cookie: `${name}=${value}` };
}

const ended = (child: ChildProcess) =>
  new Promise<number | null>((resolve) => child.once("exit", (code) => resolve(code)));

describe("the server", () => {
  let scratch: Scratch;
  let server: Awaited<ReturnType<typeof startServer>>;
  /** Requests of a server's first person. */
  const mine = ({ address, cookie } = server) => request.agent(address).set("cookie", cookie);

  before(async () => {
    scratch = await scratchDatabase();
    server = await startServer(scratch.url);
  });
  after(async () => {
    server.process.kill("SIGTERM");
    expect(await ended(server.process)).to.equal(0);
    await scratch.drop();
  });

  it("tells the database's state", async () => {
    const { status, body } = await mine().get("/api/health");
    expect(status).to.equal(200);
    expect(body).to.include({ status: "ok", database: "up" });
  });

  const make = (find: { id: string }, at = server) =>
    mine(at).post(`/api/documents/${find.id}`).send({ kind: "find", known: 0, create: find });
  const touch = (id: string, known: number, ...touches: unknown[]) =>
    mine().post(`/api/documents/${id}`).send({ kind: "find", known, touches });

  it("makes a find, lists it, judges it in a thread of its own, and takes touches", async () => {
    const find = newFind(uuid(), AT);
    const api = mine();
    expect((await make(find)).status).to.equal(201);
    const lineOf = async () =>
      ((await api.get("/api/finds")).body.finds as { id: string; version: number; verdict?: string }[]).find(
        (one) => one.id === find.id,
      );
    expect(await lineOf()).to.include({ version: 1 });
    // the list waits for nobody: until it is judged, how it stands is not known
    let line = await lineOf();
    for (let tries = 0; line?.verdict === undefined && tries < 100; tries++) {
      await new Promise((later) => setTimeout(later, 100));
      line = await lineOf();
    }
    expect(line?.verdict).to.equal("hold");
    const touched = await touch(find.id, 1, touchOf({ kind: "set-find", field: "label", value: "pale one" }));
    expect(touched.body).to.deep.include({ version: 2 });
    expect((await api.get(`/api/documents/${find.id}`)).body.content.label).to.equal("pale one");
  });

  it("tells an open page at once that something was changed", async () => {
    const stream = await fetch(`${server.address}/api/live`, { headers: { cookie: server.cookie } });
    expect(stream.headers.get("content-type")).to.contain("text/event-stream");
    const reader = stream.body?.pipeThrough(new TextDecoderStream()).getReader();
    let heard = "";
    const until = async (found: (text: string) => boolean) => {
      while (!found(heard)) heard += (await reader?.read())?.value ?? "";
    };
    const places = () => [...heard.matchAll(/"place":(\d+)/g)].map((one) => Number(one[1]));
    await until(() => places().length === 1);
    const [before = 0] = places();
    await make(newFind(uuid(), AT));
    await until(() => places().some((place) => place > before));
    await reader?.cancel();
  });

  it("never takes a client's word for an answer", async () => {
    const find = newFind(uuid(), AT);
    const { status, body } = await make({ ...find, verdict: "basket" } as { id: string });
    expect(status).to.equal(400);
    expect(body.errors[0].path).to.equal("create.verdict");
  });

  for (const [what, send, path] of [
    [
      "a bad state",
      { ...newFind("x", AT), bodies: [{ id: "A", seen: [{ character: "ring", states: ["halo"] }] }] },
      "create.bodies[0].seen[0].states[0]",
    ],
    [
      "text for a number",
      { ...newFind("x", AT), bodies: [{ id: "A", measures: { capCm: "8" } }] },
      "create.bodies[0].measures.capCm",
    ],
  ] as const)
    it(`answers ${what} with a problem that names the field, and stores nothing`, async () => {
      const id = uuid();
      const { status, body } = await make({ ...send, id });
      expect(status).to.equal(400);
      expect(body.errors[0].path).to.equal(path);
      expect((await mine().get(`/api/documents/${id}`)).status).to.equal(404);
    });

  it("refuses by its field what no database keeps, and what stands twice", async () => {
    const api = mine();
    const find = { ...newFind(uuid(), AT), label: "pale one" };
    const half = await make({ ...find, label: "cut \ud83c" } as { id: string });
    expect(half.status).to.equal(400);
    expect(half.body.errors[0].path).to.equal("create.label");
    expect((await make({ ...find, label: "whole 🍄" } as { id: string })).status).to.equal(201);
    let deep: unknown = "bottom";
    for (let index = 0; index < 3000; index++) deep = [deep];
    const nested = await api.post(`/api/documents/${find.id}`).send({ kind: "find", known: 1, touches: deep });
    expect(nested.status).to.equal(400);
    expect(nested.body.detail).to.contain("nested");
    const beyond = await make({ ...find, id: uuid(), foundAt: "9999-12-31T23:59:59-14:00" } as { id: string });
    expect(beyond.status).to.equal(400);
    expect(beyond.body.errors[0].path).to.contain("foundAt");
    const picture = await api
      .put(
        `/api/pictures/${uuid()}?about=${find.id}&part=top&takenAt=${encodeURIComponent("9999-12-31T23:59:59-14:00")}`,
      )
      .type("image/png")
      .send(Buffer.from("no picture"));
    expect(picture.status).to.equal(400);
    expect(picture.body.errors[0].path).to.contain("takenAt");
    const once = touchOf({ kind: "set-find", field: "note", value: "twice" });
    const twice = await touch(find.id, 1, once, once);
    expect(twice.status).to.equal(400);
    expect(twice.body.errors[0].path).to.equal("touches[1].id");
    const much = touchOf(...Array.from({ length: 401 }, () => ({ kind: "set-find", field: "note", value: "x" })));
    expect((await touch(find.id, 1, much)).status).to.equal(400);
    const most = Array.from({ length: 6 }, () => touchOf(...much.changes.slice(0, 399)));
    expect((await touch(find.id, 1, ...most)).status).to.equal(413);
  });

  it("answers ids that are none, bodies that are no JSON or too large, and unknown addresses with problems", async () => {
    const api = mine();
    const answers = await Promise.all([
      api.get("/api/documents/not-an-id"),
      api.post("/api/assess").type("application/json").send("{ not json"),
      api.post("/api/assess").type("text/plain").send("hello"),
      api
        .post("/api/assess")
        .type("application/json")
        .send(JSON.stringify({ note: "x".repeat(3_000_000) })),
      api.get("/api/nowhere"),
    ]);
    expect(answers.map((one) => one.status)).to.deep.equal([400, 400, 415, 413, 404]);
    for (const one of answers) {
      expect(one.type).to.equal("application/problem+json");
      expect(one.body).to.include.keys("type", "title", "status", "detail");
    }
  });

  it("loses nothing it has acknowledged when it is killed with -9 right after", async () => {
    const other = await scratchDatabase();
    const first = await startServer(other.url);
    const find = { ...newFind(uuid(), AT), label: "acknowledged" };
    const put = await make(find, first);
    first.process.kill("SIGKILL");
    expect(put.status).to.equal(201);
    await ended(first.process);
    const second = await startServer(other.url, first.cookie);
    const { body } = await mine(second).get(`/api/documents/${find.id}`);
    expect(body.content.label).to.equal("acknowledged");
    second.process.kill("SIGTERM");
    await ended(second.process);
    await other.drop();
  });
});
