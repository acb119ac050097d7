/** Circles: roles, what is shared and what of it is shown, looks under one's own name, and what waits for eyes. */
import { canonicalFind, type Find, newFind, summarise } from "@jittery-cap/core";
import { generaOf, type Role } from "@jittery-cap/core/people";
import { expect } from "chai";
import type { Express } from "express";
import sharp from "sharp";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { seasonFinds } from "../../demo/season.ts";
import { createApp } from "../http/app.ts";
import { type ScratchApp, scratchApp } from "../tests/scratch-app.ts";

const AT = "2026-09-14T10:20:00Z";

describe("circles", function () {
  this.timeout(60_000);
  let made: ScratchApp;
  /** Somebody at an application of their own: who asks is told by the test. */
  const somebody = async (name: string) => {
    const id = uuid();
    await made.models.people.create({ id, name, createdAt: new Date(), signInName: name.toLowerCase() });
    const app: Express = createApp(made.parts, { personOf: () => ({ kind: "person", id }) });
    return { id, name, ask: request(app) };
  };
  type Somebody = Awaited<ReturnType<typeof somebody>>;
  let ilva: Somebody;
  let tosk: Somebody;
  let wenna: Somebody;
  let stranger: Somebody;
  let circle: string;
  const join = async (who: Somebody, role: Role, trusted: string[] = []) => {
    const asked = await ilva.ask.post(`/api/circles/${circle}/invitations`).send({ id: uuid(), role, trusted });
    const joined = await who.ask.post(`/api/circle-invitations/${asked.body.token}`).send({});
    expect(joined.status, JSON.stringify(joined.body)).to.equal(201);
    return asked.body.token as string;
  };
  const keep = async (who: Somebody, more: Partial<Find> = {}) => {
    const find = { ...newFind(uuid(), AT), ...more };
    const { status, body } = await who.ask
      .post(`/api/documents/${find.id}`)
      .send({ kind: "find", known: 0, create: find });
    expect(status, JSON.stringify(body)).to.equal(201);
    return find.id;
  };
  const look = (by: string | undefined, state = "white", character = "cap-colour") => ({
    kind: "observe",
    body: "A",
    character,
    ...(by === undefined ? {} : { by }),
    entries: [{ character, states: [state], ...(by === undefined ? {} : { by }) }],
  });
  const touch = (who: Somebody, id: string, known: number, ...changes: object[]) =>
    who.ask
      .post(`/api/documents/${id}`)
      .send({ kind: "find", known, touches: [{ id: uuid(), at: AT, by: who.id, changes }] });
  const share = (id: string, how: object) => ilva.ask.put(`/api/finds/${id}/shares/${circle}`).send(how);

  before(async () => {
    made = await scratchApp();
    [ilva, tosk, wenna, stranger] = [
      await somebody("Ilva"),
      await somebody("Tosk"),
      await somebody("Wenna"),
      await somebody("Stranger"),
    ];
    circle = uuid();
    expect((await ilva.ask.post("/api/circles").send({ id: circle, name: "Ondal" })).status).to.equal(201);
    const token = await join(tosk, "knows", ["boletus"]);
    await join(wenna, "learner");
    expect((await stranger.ask.post(`/api/circle-invitations/${token}`).send({})).status, "used").to.equal(404);
  });
  after(() => made.end());

  it("are seen by those who are in them, and changed by their owners", async () => {
    expect((await wenna.ask.get("/api/circles")).body.circles[0]).to.deep.include({ id: circle, role: "learner" });
    expect((await stranger.ask.get("/api/circles")).body.circles).to.deep.equal([]);
    const set = (who: Somebody, role: string) =>
      who.ask.put(`/api/circles/${circle}/members/${wenna.id}`).send({ role, trusted: [] });
    expect((await set(tosk, "member")).status).to.equal(403);
    expect((await set(stranger, "member")).status).to.equal(404);
    expect((await set(ilva, "learner")).status).to.equal(200);
    const alone = await ilva.ask.put(`/api/circles/${circle}/members/${ilva.id}`).send({ role: "member", trusted: [] });
    expect(alone.status, "the last owner").to.equal(409);
    expect((await ilva.ask.delete(`/api/circles/${circle}/members/${ilva.id}`)).status).to.equal(409);
  });

  it("see of a shared find what its finder shows, and nothing by any other way", async () => {
    const secret = "Skirrow church";
    const id = await keep(ilva, {
      label: `behind ${secret}`,
      note: secret,
      place: { lat: 61.2345, lon: 24.5678, region: "europe", name: secret },
      site: { habitat: ["grassland"], neighbours: [`note:${secret}`] },
    });
    expect((await touch(ilva, id, 1, { kind: "set-place", field: "name", value: `${secret} again` })).status).to.equal(
      200,
    );
    expect((await tosk.ask.get(`/api/documents/${id}`)).status, "not shared").to.equal(404);
    const everything = async (who: Somebody) =>
      JSON.stringify([
        (await who.ask.get(`/api/documents/${id}`)).body,
        (await who.ask.get(`/api/documents/${id}/touches`)).body,
        (await who.ask.get("/api/shared")).body,
        (await who.ask.get("/api/documents")).body,
      ]);
    await share(id, { place: "none" });
    const none = await everything(tosk);
    expect(none).to.include('"grassland"').and.include('"another":true');
    expect(none).not.to.include(secret).and.not.include("61.2").and.not.include("24.5");
    await share(id, { place: "rounded" });
    const rounded = await everything(tosk);
    expect(rounded).to.include('"lat":61.2,').and.include('"lon":24.6');
    expect(rounded).not.to.include(secret).and.not.include("61.23");
    await share(id, { place: "exact" });
    expect(await everything(tosk))
      .to.include(secret)
      .and.include("61.2345");
    expect(await everything(stranger)).not.to.include(secret);
    expect((await tosk.ask.get("/api/finds")).body.finds, "in no list of their own").to.deep.equal([]);
    expect((await ilva.ask.delete(`/api/finds/${id}/shares/${circle}`)).status).to.equal(204);
    expect(await everything(tosk)).not.to.include(secret);
    expect((await tosk.ask.get(`/api/documents/${id}`)).status).to.equal(404);
  });

  it("see a find that is shared with two of them under both, and under one when it is withdrawn from the other", async () => {
    const second = uuid();
    expect((await ilva.ask.post("/api/circles").send({ id: second, name: "Hask" })).status).to.equal(201);
    const asked = await ilva.ask
      .post(`/api/circles/${second}/invitations`)
      .send({ id: uuid(), role: "member", trusted: [] });
    expect((await tosk.ask.post(`/api/circle-invitations/${asked.body.token}`).send({})).status).to.equal(201);
    const id = await keep(ilva);
    const under = async (who: Somebody): Promise<string[]> =>
      (await who.ask.get("/api/shared")).body.finds.find((one: { id: string }) => one.id === id)?.circles;
    await share(id, {});
    expect(await under(tosk)).to.deep.equal([circle]);
    await ilva.ask.put(`/api/finds/${id}/shares/${second}`).send({});
    expect(await under(tosk)).to.have.members([circle, second]);
    expect(await under(wenna), "who is in one of them hears of no other").to.deep.equal([circle]);
    await ilva.ask.delete(`/api/finds/${id}/shares/${circle}`);
    expect(await under(tosk)).to.deep.equal([second]);
    expect(await under(wenna)).to.equal(undefined);
    await ilva.ask.delete(`/api/finds/${id}/shares/${second}`);
  });

  it("see the pictures of a find that is shared, the ground's where its whole place is, and none of them afterwards", async () => {
    const id = await keep(ilva);
    const pictures: Record<string, string> = {};
    const png = await sharp({ create: { width: 8, height: 8, channels: 3, background: "#caa" } })
      .png()
      .toBuffer();
    for (const part of ["top", "ground"]) {
      const picture = uuid();
      pictures[part] = picture;
      const where = `about=${id}&part=${part}&takenAt=${AT}${part === "top" ? "&body=A" : ""}`;
      expect((await ilva.ask.put(`/api/pictures/${picture}?${where}`).type("image/png").send(png)).status).to.equal(
        201,
      );
    }
    const seen = async (who: Somebody) => {
      const { status, body } = await who.ask.get(`/api/shared/${id}/pictures`);
      return status === 200 ? body.pictures.map((one: { part: string }) => one.part) : status;
    };
    const shown = async (who: Somebody, part: string) =>
      (await who.ask.get(`/api/shared/${id}/pictures/${pictures[part]}`)).status;
    expect(await seen(tosk)).to.equal(404);
    await share(id, { place: "rounded" });
    expect(await seen(tosk)).to.deep.equal(["top"]);
    expect([await shown(tosk, "top"), await shown(tosk, "ground")]).to.deep.equal([200, 404]);
    // no browser keeps what may not be shown tomorrow
    const { headers } = await tosk.ask.get(`/api/shared/${id}/pictures/${pictures.top}`);
    expect(headers["cache-control"]).to.equal("no-store");
    expect((await tosk.ask.get(`/api/pictures/${pictures.top}`)).status).to.equal(404);
    await share(id, { place: "exact" });
    expect((await seen(tosk)).sort()).to.deep.equal(["ground", "top"]);
    expect(await shown(tosk, "ground")).to.equal(200);
    expect(await seen(stranger)).to.equal(404);
    const other = await keep(ilva);
    await share(other, { place: "exact" });
    const strayed = await tosk.ask.get(`/api/shared/${other}/pictures/${pictures.top}`);
    expect(strayed.status, "of another find").to.equal(404);
    expect((await ilva.ask.delete(`/api/finds/${id}/shares/${circle}`)).status).to.equal(204);
    expect([await seen(tosk), await shown(tosk, "top")]).to.deep.equal([404, 404]);
  });

  it("add looks of their own to a find that is shared so, under their own names, and nothing else", async () => {
    const id = await keep(ilva);
    await share(id, { mayRecord: false });
    expect((await tosk.ask.post(`/api/shared/${id}/observers`).send({})).status).to.equal(404);
    await share(id, { mayRecord: true });
    const along = await tosk.ask.post(`/api/shared/${id}/observers`).send({});
    expect(along.body.content.observers).to.deep.equal([{ id: tosk.id, name: "Tosk" }]);
    const { version } = along.body;
    expect((await touch(tosk, id, version, look(tosk.id))).status).to.equal(200);
    for (const change of [
      look(undefined),
      look(wenna.id),
      { kind: "set-find", field: "label", value: "mine" },
      { kind: "set-body", body: "A", field: "ending", value: "basket" },
      { kind: "set-rule", field: "amanitas", value: "often" },
      { kind: "remove-body", body: "A" },
      { kind: "archive" },
    ])
      expect((await touch(tosk, id, version + 1, change)).status, JSON.stringify(change)).to.equal(400);
    expect((await touch(stranger, id, version, look(stranger.id))).status).to.equal(404);
    const sent = await tosk.ask.get(`/api/documents/${id}/touches`);
    expect(sent.body.authors[tosk.id]).to.equal("Tosk");
    const own = (await ilva.ask.get(`/api/documents/${id}`)).body;
    expect(own.content.bodies[0].seen).to.deep.equal([{ character: "cap-colour", states: ["white"], by: tosk.id }]);
    expect(own).not.to.have.property("another");
  });

  it("three who look at one body at once lose nothing, and what each saw stands under their name", async () => {
    const id = await keep(ilva);
    await share(id, { mayRecord: true });
    for (const who of [tosk, wenna]) await who.ask.post(`/api/shared/${id}/observers`).send({});
    const { version } = (await ilva.ask.get(`/api/documents/${id}`)).body;
    // nobody waits for the others: each writes over what they knew
    const states = ["white", "cream", "brown"];
    const wrote = await Promise.all(
      [ilva, tosk, wenna].map((who, at) =>
        touch(who, id, version, look(who === ilva ? undefined : who.id, states[at])),
      ),
    );
    expect(wrote.map((one) => one.status)).to.deep.equal([200, 200, 200]);
    const { content } = (await ilva.ask.get(`/api/documents/${id}`)).body;
    expect(content.bodies[0].seen).to.have.deep.members([
      { character: "cap-colour", states: ["white"] },
      { character: "cap-colour", states: ["cream"], by: tosk.id },
      { character: "cap-colour", states: ["brown"], by: wenna.id },
    ]);
  });

  it("answer what somebody asks without an answer in view, one at a time, under the standing that they have", async () => {
    const id = await keep(ilva, { label: "by the boathouse" });
    const ask = uuid();
    const told = { id: ask, circle, note: "is the ring loose?" };
    expect((await stranger.ask.post(`/api/finds/${id}/asks`).send(told)).status).to.equal(404);
    expect((await ilva.ask.post(`/api/finds/${id}/asks`).send(told)).status).to.equal(201);
    expect((await ilva.ask.post(`/api/finds/${id}/asks`).send(told)).body.id, "once").to.equal(ask);
    expect((await stranger.ask.get("/api/asks")).body.asks).to.deep.equal([]);
    const [seen] = (await tosk.ask.get("/api/asks")).body.asks;
    expect(seen).to.deep.include({ id: ask, by: "Ilva", note: "is the ring loose?", takenByMe: false });
    expect(seen).not.to.have.property("find");
    const packet = (await tosk.ask.get(`/api/packets/${seen.token}`)).body;
    expect(JSON.stringify(packet)).not.to.include("boathouse").and.not.include("verdict");
    expect((await tosk.ask.put(`/api/asks/${ask}/taker`).send({ take: true })).status).to.equal(200);
    expect((await wenna.ask.put(`/api/asks/${ask}/taker`).send({ take: true })).status).to.equal(409);
    const said = { id: uuid(), inHand: true, looks: [{ body: "A", entry: { character: "ring", states: ["skirt"] } }] };
    expect((await wenna.ask.post(`/api/asks/${ask}/opinion`).send(said)).status).to.equal(409);
    const bare = await wenna.ask.post(`/api/packets/${seen.token}/opinions`).send({ ...said, name: "nobody" });
    expect(bare.status, "by the link alone").to.equal(404);
    expect((await ilva.ask.post(`/api/asks/${ask}/opinion`).send(said)).status, "oneself").to.equal(409);
    expect((await tosk.ask.post(`/api/asks/${ask}/opinion`).send(said)).status).to.equal(201);
    const kept = (await ilva.ask.get("/api/documents?after=0&limit=500")).body.documents.find(
      (one: { id: string }) => one.id === said.id,
    );
    expect(kept.content).to.deep.include({ about: id, kind: "in-hand", name: "Tosk" });
    expect(kept.content.by).to.deep.equal({ person: tosk.id, circle, role: "knows", trusted: ["boletus"] });
  });

  it("a learner's find is food only when one who knows has had it in the hand, whom the circle trusts with its genus", async () => {
    const good = seasonFinds().find((one) => one.label?.startsWith("white ones in an arc"));
    if (good === undefined) throw new Error("there is no such find");
    const find = canonicalFind({ ...good, id: uuid() });
    await wenna.ask.post(`/api/documents/${find.id}`).send({ kind: "find", known: 0, create: find });
    const answer = summarise(find, made.knowledge);
    const genera = [...generaOf(answer.restsOn)];
    const decide = async (who: Somebody, one: Find = find) => {
      const endings = one.bodies.map(({ id, keep: kept }) => ({
        body: id,
        ending: kept === false ? "looked-at-only" : "basket",
      }));
      const create = { find: one, endings, edition: made.knowledge.edition, rules: {}, decidedAt: AT, answer };
      return who.ask.post(`/api/documents/${uuid()}`).send({ kind: "decision", known: 0, create });
    };
    const refused = await decide(wenna);
    expect(refused.status).to.equal(400);
    expect(refused.body.errors[0].message).to.include("one who knows");
    const ask = uuid();
    await wenna.ask.post(`/api/finds/${find.id}/asks`).send({ id: ask, circle });
    // the same looks as the finder's, at what the answer rests on
    const looks = find.bodies.flatMap(({ id, seen = [] }) =>
      seen
        .filter((entry) => entry.by === undefined && entry.states !== undefined)
        .map((entry) => ({ body: id, entry })),
    );
    const say = (id: string, who: Somebody) =>
      who.ask.post(`/api/asks/${id}/opinion`).send({ id: uuid(), inHand: true, looks });
    expect((await say(ask, tosk)).status).to.equal(201);
    expect((await decide(wenna)).status, "trusted with another genus").to.equal(400);
    await ilva.ask.put(`/api/circles/${circle}/members/${tosk.id}`).send({ role: "knows", trusted: genera });
    const again = uuid();
    await wenna.ask.post(`/api/finds/${find.id}/asks`).send({ id: again, circle });
    expect((await say(again, tosk)).status).to.equal(201);
    const decided = await decide(wenna);
    expect(decided.status, JSON.stringify(decided.body)).to.equal(201);
    // whoever does not learn needs nobody
    const own = canonicalFind({ ...good, id: uuid() });
    await ilva.ask.post(`/api/documents/${own.id}`).send({ kind: "find", known: 0, create: own });
    expect((await decide(ilva, own)).status).to.equal(201);
    await ilva.ask.put(`/api/circles/${circle}/members/${tosk.id}`).send({ role: "knows", trusted: ["boletus"] });
  });

  it("nobody says of themselves under which standing they spoke", async () => {
    const id = await keep(ilva);
    const by = { person: tosk.id, circle, role: "knows", trusted: ["boletus"] };
    const forged = { about: id, kind: "book", name: "a book", agrees: true, looks: [], saidAt: AT, by };
    const { status, body } = await ilva.ask
      .post(`/api/documents/${uuid()}`)
      .send({ kind: "opinion", known: 0, create: forged });
    expect(status).to.equal(400);
    expect(body.errors[0].path).to.equal("create.by");
  });

  it("somebody who is taken out sees nothing from then on, and nothing of theirs is seen", async () => {
    const mine = await keep(wenna);
    await wenna.ask.put(`/api/finds/${mine}/shares/${circle}`).send({ mayRecord: true });
    const theirs = await keep(ilva);
    await share(theirs, { mayRecord: true });
    expect((await wenna.ask.get(`/api/documents/${theirs}`)).status).to.equal(200);
    expect((await tosk.ask.get(`/api/documents/${mine}`)).status).to.equal(200);
    expect((await tosk.ask.delete(`/api/circles/${circle}/members/${wenna.id}`)).status, "no owner").to.equal(403);
    expect((await ilva.ask.delete(`/api/circles/${circle}/members/${wenna.id}`)).status).to.equal(204);
    expect((await wenna.ask.get(`/api/documents/${theirs}`)).status).to.equal(404);
    expect((await touch(wenna, theirs, 1, look(wenna.id))).status).to.equal(404);
    expect((await tosk.ask.get(`/api/documents/${mine}`)).status).to.equal(404);
    expect((await wenna.ask.get("/api/shared")).body.finds).to.deep.equal([]);
    await join(wenna, "learner");
  });
});
