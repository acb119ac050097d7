import { type ChildProcess, spawn } from "node:child_process";
import { newFind } from "@jittery-cap/core";
import { expect } from "chai";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { type Scratch, scratchDatabase } from "./tests/scratch-database.ts";

const AT = "2026-09-14T10:20:00+02:00";

/** The real server as its own process; resolves with its address. */
async function startServer(url: string): Promise<{ process: ChildProcess; address: string }> {
  const child = spawn(process.execPath, ["--import", "tsx", "server/main.ts"], {
    env: { ...process.env, DATABASE_URL: url, PORT: "0", LOG_LEVEL: "silent" },
    stdio: ["ignore", "pipe", "inherit"],
  });
  const address = await new Promise<string>((resolve, reject) => {
    child.once("exit", (code) => reject(new Error(`the server ended with ${code}`)));
    child.stdout.on("data", (data: Buffer) => {
      const found = /http:\S+/.exec(data.toString());
      if (found !== null) resolve(found[0]);
    });
  });
  child.removeAllListeners("exit");
  return { process: child, address };
}

const ended = (child: ChildProcess) =>
  new Promise<number | null>((resolve) => child.once("exit", (code) => resolve(code)));

describe("the server", () => {
  let scratch: Scratch;
  let server: { process: ChildProcess; address: string };

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
    const { status, body } = await request(server.address).get("/api/health");
    expect(status).to.equal(200);
    expect(body).to.include({ status: "ok", database: "up" });
  });

  it("stores, lists, reads, edits, deletes and restores a find", async () => {
    const find = newFind(uuid(), AT);
    const api = request(server.address);
    expect((await api.put(`/api/finds/${find.id}`).send({ version: 0, find })).status).to.equal(201);
    expect((await api.put(`/api/finds/${find.id}`).send({ version: 0, find })).status).to.equal(200);
    const list = await api.get("/api/finds");
    expect(list.body.finds[0]).to.deep.include({ version: 1, verdict: "hold" });
    const edit = {
      id: uuid(),
      at: "2026-09-14T08:21:00Z",
      change: { kind: "set-find", field: "label", value: "pale one" },
    };
    const edited = await api.post(`/api/finds/${find.id}/edits`).send({ version: 1, edits: [edit] });
    expect(edited.body).to.deep.include({ version: 2 });
    expect((await api.get(`/api/finds/${find.id}`)).body.find.label).to.equal("pale one");
    expect((await api.get(`/api/finds/${find.id}/edits`)).body.edits).to.have.length(1);
    expect((await api.delete(`/api/finds/${find.id}`)).status).to.equal(204);
    expect((await api.get(`/api/finds/${find.id}`)).status).to.equal(404);
    expect((await api.post(`/api/finds/${find.id}/restore`).send({})).body.find.label).to.equal("pale one");
  });

  it("answers a conflict with what is there", async () => {
    const find = newFind(uuid(), AT);
    const api = request(server.address);
    await api.put(`/api/finds/${find.id}`).send({ version: 0, find });
    const late = await api.put(`/api/finds/${find.id}`).send({ version: 0, find: { ...find, label: "other" } });
    expect(late.status).to.equal(409);
    expect(late.type).to.equal("application/problem+json");
    expect(late.body.current).to.deep.include({ version: 1 });
  });

  it("never takes a client's word for an answer", async () => {
    const find = newFind(uuid(), AT);
    const { status, body } = await request(server.address)
      .put(`/api/finds/${find.id}`)
      .send({ version: 0, find: { ...find, verdict: "basket" } });
    expect(status).to.equal(400);
    expect(body.errors[0].path).to.equal("find.verdict");
  });

  for (const [what, send, path] of [
    [
      "a bad state",
      { ...newFind("x", AT), bodies: [{ id: "A", seen: [{ character: "ring", states: ["halo"] }] }] },
      "find.bodies[0].seen[0].states[0]",
    ],
    [
      "text for a number",
      { ...newFind("x", AT), bodies: [{ id: "A", measures: { capCm: "8" } }] },
      "find.bodies[0].measures.capCm",
    ],
  ] as const)
    it(`answers ${what} with a problem that names the field, and stores nothing`, async () => {
      const id = uuid();
      const { status, body } = await request(server.address)
        .put(`/api/finds/${id}`)
        .send({ version: 0, find: { ...send, id } });
      expect(status).to.equal(400);
      expect(body.errors[0].path).to.equal(path);
      expect((await request(server.address).get(`/api/finds/${id}`)).status).to.equal(404);
    });

  it("refuses by its field what no database keeps, and what stands twice", async () => {
    const api = request(server.address);
    const find = { ...newFind(uuid(), AT), label: "pale one" };
    const half = await api.put(`/api/finds/${find.id}`).send({ version: 0, find: { ...find, label: "cut \ud83c" } });
    expect(half.status).to.equal(400);
    expect(half.body.errors[0].path).to.equal("find.label");
    const whole = await api.put(`/api/finds/${find.id}`).send({ version: 0, find: { ...find, label: "whole 🍄" } });
    expect(whole.status).to.equal(201);
    let deep: unknown = "bottom";
    for (let index = 0; index < 3000; index++) deep = [deep];
    const nested = await api.post(`/api/finds/${find.id}/edits`).send({ version: 1, edits: deep });
    expect(nested.status).to.equal(400);
    expect(nested.body.detail).to.contain("nested");
    const late = { ...find, id: uuid(), foundAt: "9999-12-31T23:59:59-14:00" };
    const beyond = await api.put(`/api/finds/${late.id}`).send({ version: 0, find: late });
    expect(beyond.status).to.equal(400);
    expect(beyond.body.errors[0].path).to.contain("foundAt");
    const change = { kind: "set-find", field: "note", value: "twice" };
    const edit = { id: uuid(), at: "2026-09-14T11:00:00Z", change };
    const twice = await api.post(`/api/finds/${find.id}/edits`).send({ version: 1, edits: [edit, edit] });
    expect(twice.status).to.equal(400);
    expect(twice.body.errors[0].path).to.equal("edits[1].id");
  });

  it("answers ids that are none, bodies that are no JSON or too large, and unknown addresses with problems", async () => {
    const api = request(server.address);
    const answers = await Promise.all([
      api.get("/api/finds/not-an-id"),
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
    const put = await request(first.address).put(`/api/finds/${find.id}`).send({ version: 0, find });
    first.process.kill("SIGKILL");
    expect(put.status).to.equal(201);
    await ended(first.process);
    const second = await startServer(other.url);
    const { body } = await request(second.address).get(`/api/finds/${find.id}`);
    expect(body.find.label).to.equal("acknowledged");
    second.process.kill("SIGTERM");
    await ended(second.process);
    await other.drop();
  });
});
