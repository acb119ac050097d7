import { randomUUID } from "node:crypto";
import { ROUTES } from "@jittery-cap/core/api";
import { makeFind, tallyOf } from "@jittery-cap/core/trainer";
import { expect } from "chai";
import fc from "fast-check";
import request from "supertest";
import { type ScratchApp, scratchApp } from "../tests/scratch-app.ts";

describe("a round that is taught", () => {
  let made: ScratchApp;
  const items = [
    { sheet: "amanita-virosa", seed: "one" },
    { sheet: "agaricus-campestris", seed: "two" },
  ];
  before(async () => {
    made = await scratchApp();
  });
  after(() => made.end());

  const begin = async () => {
    const id = randomUUID();
    const reply = await request(made.app).post("/api/rounds").send({ id, name: "Club night", items });
    expect(reply.status).to.equal(201);
    return { id, token: String(reply.body.token) };
  };
  const shownOf = (at: number, told?: object) => {
    const sheet = made.knowledge.byId.get(items[at]?.sheet ?? "");
    if (sheet === undefined) throw new Error("no sheet");
    const { find } = makeFind(sheet, items[at]?.seed ?? "");
    return {
      at,
      find,
      conditions: ["frost"],
      looks: [],
      minutes: 0,
      dangers: [],
      ...(told === undefined ? {} : { told }),
    };
  };
  const told = {
    kind: { id: "amanita-virosa", common: "destroying angel", tier: "deadly" },
    scientific: "Amanita virosa",
    isDanger: true,
    verdict: "leave",
    reasons: ["It kills."],
    least: 0,
    nearest: ["amanita-virosa"],
  };
  const show = (id: string, shown: object) => request(made.app).put(`/api/rounds/${id}/shown`).send({ shown });
  const join = (token: string, guest?: string) =>
    request(made.app).get(`/api/round-links/${token}${guest === undefined ? "" : `?guest=${guest}`}`);
  const say = (token: string, more: object = {}) =>
    request(made.app)
      .post(`/api/round-links/${token}/answers`)
      .send({ id: randomUUID(), guest: randomUUID(), name: "Ode", at: 0, verdict: "leave", sure: 0.8, ...more });

  it("shows a phone nothing before the table shows it, and never the finds that are to come", async () => {
    const { id, token } = await begin();
    const before = await join(token);
    expect(before.body).to.deep.equal({ name: "Club night", finds: 2, said: 0 });
    await show(id, shownOf(0)).expect(204);
    const reply = await join(token);
    expect(ROUTES.joinRound.reply.safeParse(reply.body).success).to.equal(true);
    expect(reply.text).not.to.contain("campestris").and.not.to.contain("virosa");
  });

  it("hears three phones, keeps the last word of each, and tells what they said only when it is uncovered", async () => {
    const { id, token } = await begin();
    await show(id, shownOf(0)).expect(204);
    const phones = [randomUUID(), randomUUID(), randomUUID()];
    for (const guest of phones) await say(token, { guest, verdict: "basket" }).expect(201);
    await say(token, { guest: phones[0], verdict: "leave" }).expect(201);
    const covered = await join(token, phones[0]);
    expect(covered.body.said).to.equal(3);
    expect(covered.body.tally).to.equal(undefined);
    expect(covered.body.own.verdict).to.equal("leave");
    await show(id, shownOf(0, told)).expect(204);
    expect((await join(token)).body.tally).to.deep.equal({ leave: 1, hold: 0, basket: 2 });
    const table = await request(made.app).get(`/api/rounds/${id}`);
    expect(tallyOf(table.body.answers)).to.deep.equal({ said: 3, leave: 1, hold: 0, basket: 2 });
  });

  it("hears nothing late: not of another find, and not when it is uncovered; the same answer again is the same", async () => {
    const { id, token } = await begin();
    expect((await say(token)).status).to.equal(409);
    await show(id, shownOf(0)).expect(204);
    const answer = { id: randomUUID(), guest: randomUUID() };
    await say(token, answer).expect(201);
    await say(token, answer).expect(201);
    expect((await join(token)).body.said).to.equal(1);
    const other = await say(token, { at: 1 });
    expect(other.status).to.equal(409);
    expect(other.body.detail).to.match(/^at: /);
    await show(id, shownOf(0, told)).expect(204);
    expect((await say(token)).status).to.equal(409);
  });

  it("is one round however often it is made, leads nowhere once it is ended, and cannot be guessed", async () => {
    const id = randomUUID();
    const ask = () => request(made.app).post("/api/rounds").send({ id, name: "Twice", items });
    const [one, other] = [await ask(), await ask()];
    expect(one.body.token).to.equal(other.body.token);
    expect(
      (await request(made.app).get("/api/rounds")).body.rounds.map((round: { id: string }) => round.id),
    ).to.include(id);
    await request(made.app).delete(`/api/rounds/${id}`).expect(204);
    expect((await join(one.body.token)).status).to.equal(404);
    expect((await say(one.body.token)).status).to.equal(404);
    expect((await show(id, shownOf(0))).status).to.equal(404);
    expect((await join("0".repeat(32))).status).to.equal(404);
    expect((await join("zz")).status).to.equal(400);
  });

  it("tells every listening phone at once that something was changed, and lets nobody listen to a round that is none", async () => {
    const { id, token } = await begin();
    const server = made.app.listen(0, "127.0.0.1");
    await new Promise((listening) => server.once("listening", listening));
    try {
      const address = server.address();
      const port = typeof address === "object" && address !== null ? address.port : 0;
      const end = new AbortController();
      const stream = await fetch(`http://127.0.0.1:${port}/api/round-links/${token}/live`, { signal: end.signal });
      expect(stream.headers.get("content-type")).to.contain("text/event-stream");
      const reader = stream.body?.getReader();
      const heard = async () => new TextDecoder().decode((await reader?.read())?.value);
      let text = await heard();
      await show(id, shownOf(0)).expect(204);
      const until = Date.now() + 5000;
      while ((text.match(/event: ?changed/g) ?? []).length < 2 && Date.now() < until) text += await heard();
      expect((text.match(/event: ?changed/g) ?? []).length).to.be.at.least(2);
      end.abort();
      const none = await fetch(`http://127.0.0.1:${port}/api/round-links/${"0".repeat(32)}/live`);
      expect(none.status).to.equal(404);
    } finally {
      server.closeAllConnections();
      server.close();
    }
  });

  it("keeps one answer of a phone that sends two at once", async () => {
    const { id, token } = await begin();
    await show(id, shownOf(0)).expect(204);
    const guest = randomUUID();
    const replies = await Promise.all([
      say(token, { guest, verdict: "hold" }),
      say(token, { guest, verdict: "leave" }),
    ]);
    expect(replies.some((reply) => reply.status === 201)).to.equal(true);
    for (const reply of replies) expect(reply.status).to.be.lessThan(500);
    expect((await join(token)).body.said).to.equal(1);
  });

  it("answers whatever is thrown at it with a reason, and stays up", async () => {
    const { id, token } = await begin();
    await show(id, shownOf(0)).expect(204);
    const anything = fc.jsonValue({ maxDepth: 4 });
    await fc.assert(
      fc.asyncProperty(anything, anything, async (one, other) => {
        const replies = await Promise.all([
          request(made.app).post("/api/rounds").send({ id: randomUUID(), name: one, items: other }),
          request(made.app).put(`/api/rounds/${id}/shown`).send({ shown: one }),
          request(made.app)
            .post(`/api/round-links/${token}/answers`)
            .send({ ...(await valid()), verdict: one, nearest: other }),
          request(made.app).get(`/api/round-links/${encodeURIComponent(JSON.stringify(one))}`),
        ]);
        for (const reply of replies) {
          expect(reply.status).to.be.within(400, 431);
          expect(reply.type).to.equal("application/problem+json");
        }
      }),
      { numRuns: 40 },
    );
    expect((await join(token)).body.said).to.equal(0);
  });
  const valid = async () => ({ id: randomUUID(), guest: randomUUID(), name: "Ode", at: 0, sure: 0.5 });

  it("takes a set of sixty finds and none of sixty-one, and a name as it is, whatever stands in it", async () => {
    const many = (finds: number) =>
      request(made.app)
        .post("/api/rounds")
        .send({
          id: randomUUID(),
          name: "<script>alert(1)</script>",
          items: Array.from({ length: finds }, (_unused, index) => ({ sheet: "amanita-virosa", seed: String(index) })),
        });
    const reply = await many(60);
    expect(reply.status).to.equal(201);
    expect(reply.body.name).to.equal("<script>alert(1)</script>");
    expect(reply.type).to.equal("application/json");
    expect((await many(61)).status).to.equal(400);
  });

  it("names the field that is wrong, and keeps nothing of it", async () => {
    const { id, token } = await begin();
    await show(id, shownOf(0)).expect(204);
    const wrong: readonly (readonly [object, RegExp])[] = [
      [{ name: " " }, /name/],
      [{ verdict: "eat" }, /verdict/],
      [{ nearest: "lunar-cap" }, /nearest/],
      [{ sure: 2 }, /sure/],
      [{ guest: "me" }, /guest/],
    ];
    for (const [more, field] of wrong) {
      const reply = await say(token, more);
      expect(reply.status).to.equal(400);
      expect(JSON.stringify(reply.body)).to.match(field);
    }
    expect((await join(token)).body.said).to.equal(0);
    const bad = await request(made.app)
      .post("/api/rounds")
      .send({ id: randomUUID(), name: "x", items: [{ sheet: "lunar-cap", seed: "s" }] });
    expect(bad.status).to.equal(400);
    expect(JSON.stringify(bad.body)).to.contain("sheet");
  });
});

describe("sittings of practice", () => {
  let made: ScratchApp;
  before(async () => {
    made = await scratchApp();
  });
  after(() => made.end());
  const aTry = (id: string, at: string) => ({
    id,
    at,
    exercise: "look",
    skill: "look:base/sac",
    seed: "s",
    edition: "e",
    isRight: true,
    sure: 0.8,
  });

  it("are kept as documents, and what two devices tried on one of them is all there", async () => {
    const id = randomUUID();
    const tries = [aTry(randomUUID(), "2026-09-01T18:00:00Z")];
    const create = { begunAt: "2026-09-01T18:00:00Z", tries };
    const kept = await request(made.app).post(`/api/documents/${id}`).send({ kind: "sitting", known: 0, create });
    expect(kept.status).to.equal(201);
    const touch = {
      id: randomUUID(),
      at: "2026-09-01T18:05:00Z",
      by: "0193a000-0000-7000-8000-000000000001",
      changes: [{ kind: "set-field", field: "tries", value: [...tries, aTry(randomUUID(), "2026-09-01T18:05:00Z")] }],
    };
    const more = await request(made.app)
      .post(`/api/documents/${id}`)
      .send({ kind: "sitting", known: 1, touches: [touch] });
    expect(more.status).to.equal(200);
    expect(more.body.content.tries).to.have.length(2);
  });
  it("refuse a try that is none, by the name of its field", async () => {
    const create = {
      begunAt: "2026-09-01T18:00:00Z",
      tries: [{ ...aTry(randomUUID(), "yesterday"), skill: "card:7" }],
    };
    const reply = await request(made.app)
      .post(`/api/documents/${randomUUID()}`)
      .send({ kind: "sitting", known: 0, create });
    expect(reply.status).to.equal(400);
    expect(JSON.stringify(reply.body))
      .to.match(/tries.*at/)
      .and.to.match(/skill/);
  });
});
