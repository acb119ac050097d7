/** Signing in, as a person and as somebody who is none. */
import { newFind } from "@jittery-cap/core";
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { expect } from "chai";
import { Op } from "sequelize";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { type ScratchApp, scratchApp, withSessions } from "../tests/scratch-app.ts";

const PASSWORD = "four damp birches leaning";
const OTHER = "nine quiet herons at dusk";
const ILVA = { name: "Ilva Marrund", signInName: "ilva", password: PASSWORD };

describe("people", function () {
  this.timeout(60_000);
  let made: ScratchApp;
  const agent = () => request.agent(made.app);
  /** The first person, signed in. */
  const first = async () => {
    const one = agent();
    const word = await made.parts.setupWord();
    const { status, body } = await one.post("/api/sign-in/first").send({ word, ...ILVA });
    expect(status, JSON.stringify(body)).to.equal(201);
    return one;
  };
  /** Somebody whom the first one invited, signed in. */
  const invited = async (by: ReturnType<typeof agent>, signInName: string) => {
    const id = uuid();
    const { body } = await by.post("/api/invitations").send({ id: uuid(), note: signInName });
    const one = agent();
    const told = { id, name: signInName, signInName, password: OTHER };
    const joined = await one.post(`/api/join/${body.token}`).send(told);
    expect(joined.status, JSON.stringify(joined.body)).to.equal(201);
    return { one, id, token: body.token as string };
  };
  before(async () => {
    made = await scratchApp(undefined, withSessions());
  });
  after(() => made.end());
  /** Each begins where nobody has signed in yet. */
  afterEach(async () => {
    const { models, scratch } = made;
    await models.documents.destroy({ where: {} });
    await models.sessions.destroy({ where: {} });
    for (const table of ["attempts", "feeds"]) await scratch.database.query(`DELETE FROM ${table}`);
    await models.people.destroy({ where: { id: { [Op.ne]: LOCAL_PERSON } } });
    await models.invitations.destroy({ where: {} });
    await models.recoveryCodes.destroy({ where: {} });
    await models.people.update(
      { signInName: null, password: null, isKeeper: false, isInvented: false },
      { where: { id: LOCAL_PERSON } },
    );
  });

  it("lets nobody in who has not signed in, and says so before it reads what they sent", async () => {
    for (const path of ["/api/documents", "/api/finds", "/api/live", "/api/me", "/api/me/export"])
      expect((await request(made.app).get(path)).status, path).to.equal(401);
    const sent = await request(made.app).post(`/api/documents/${uuid()}`).send({ kind: "nonsense" });
    expect(sent.status).to.equal(401);
    expect(sent.type).to.equal("application/problem+json");
    expect((await request(made.app).get("/api/health")).status).to.equal(200);
  });

  it("makes the first person by the setup word, once; what was there before there were people is theirs", async () => {
    expect((await request(made.app).get("/api/sign-in")).body).to.deep.equal({
      isFirst: true,
      invented: [],
      hasPasskeys: false,
    });
    const guess = await request(made.app)
      .post("/api/sign-in/first")
      .send({ word: "aaaa-bbbb-cccc-dddd", ...ILVA });
    expect(guess.status).to.equal(401);
    const one = await first();
    const me = (await one.get("/api/me")).body;
    expect(me).to.deep.include({ id: LOCAL_PERSON, name: ILVA.name, signInName: "ilva", isKeeper: true, signedIn: 1 });
    const word = await made.parts.setupWord();
    const second = await request(made.app)
      .post("/api/sign-in/first")
      .send({ word, ...ILVA, signInName: "second" });
    expect(second.status).to.equal(409);
    expect((await request(made.app).get("/api/sign-in")).body.isFirst).to.equal(false);
  });

  it("of two who have the word at the same moment makes one the first", async () => {
    const word = await made.parts.setupWord();
    const both = await Promise.all(
      ["ilva", "tosk"].map((signInName) =>
        agent()
          .post("/api/sign-in/first")
          .send({ word, ...ILVA, signInName }),
      ),
    );
    expect(both.map(({ status }) => status).sort()).to.deep.equal([201, 409]);
  });

  it("refuses passwords that are short, or guessed first, and names the field", async () => {
    const word = await made.parts.setupWord();
    for (const password of ["short", "passwordpassword", "mushroom1234", "ilva marrund ilva"]) {
      const { status, body } = await request(made.app)
        .post("/api/sign-in/first")
        .send({ word, ...ILVA, password });
      expect(status, password).to.equal(400);
      expect(body.errors[0].path, password).to.equal("password");
    }
  });

  it("keeps passwords as argon2id, sessions and links so that whoever reads the tables signs in nowhere", async () => {
    const one = await first();
    const { token } = await invited(one, "tosk");
    const [person] = await made.models.people.findAll({ where: { signInName: "ilva" } });
    expect(person?.password).to.match(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    const [link] = await made.models.invitations.findAll();
    expect(link?.hash).to.have.length(64).and.not.equal(token);
  });

  it("says the same whatever is wrong with a name or a password", async () => {
    await first();
    const says = async (signInName: string, password: string) => {
      const { status, body } = await request(made.app).post("/api/sign-in/password").send({ signInName, password });
      return `${status} ${body.detail}`;
    };
    expect(await says("ilva", "not hers at all")).to.equal(await says("nobody", PASSWORD));
    const right = await request(made.app)
      .post("/api/sign-in/password")
      .send({ signInName: " ILVA ", password: PASSWORD });
    expect(right.status).to.equal(200);
    const [cookie] = right.headers["set-cookie"] as unknown as string[];
    expect(cookie)
      .to.match(/^jittery-cap=/)
      .and.match(/HttpOnly/)
      .and.match(/SameSite=Strict/);
  });

  it("slows whoever tries too often, by name from wherever, and lets the right one in again by a recovery code", async () => {
    const one = await first();
    const { codes } = (await one.post("/api/me/recovery-codes").send({ password: PASSWORD })).body;
    expect(codes).to.have.length(10);
    const tries = [];
    for (let at = 0; at < 14; at++)
      tries.push(
        (
          await request(made.app)
            .post("/api/sign-in/password")
            .send({ signInName: "ilva", password: `wrong ${at}` })
        ).status,
      );
    expect(tries.filter((status) => status === 429)).to.have.length(4);
    const even = await request(made.app).post("/api/sign-in/password").send({ signInName: "ilva", password: PASSWORD });
    expect(even.status).to.equal(429);
    const byCode = { signInName: "ilva", code: codes[3].toUpperCase(), password: OTHER };
    expect((await agent().post("/api/sign-in/recovery").send(byCode)).status).to.equal(200);
    expect((await one.get("/api/me")).status, "signed out elsewhere").to.equal(401);
    expect((await agent().post("/api/sign-in/recovery").send(byCode)).status, "used up").to.equal(401);
    const now = await agent().post("/api/sign-in/password").send({ signInName: "ilva", password: OTHER });
    expect(now.status).to.equal(200);
  });

  it("gives every sign-in an id that nobody knew before, and forgets it when signed out, here or everywhere", async () => {
    const one = await first();
    const two = agent();
    await two.post("/api/sign-in/password").send({ signInName: "ilva", password: PASSWORD });
    expect((await two.get("/api/me")).body.signedIn).to.equal(2);
    const again = await two.post("/api/sign-in/password").send({ signInName: "ilva", password: PASSWORD });
    expect(again.headers["set-cookie"]).to.be.an("array");
    expect((await one.get("/api/me")).body.signedIn).to.equal(2);
    await two.post("/api/sign-out").send({ everywhere: false });
    expect((await two.get("/api/me")).status).to.equal(401);
    expect((await one.get("/api/me")).status).to.equal(200);
    const three = agent();
    await three.post("/api/sign-in/password").send({ signInName: "ilva", password: PASSWORD });
    await three.post("/api/sign-out").send({ everywhere: true });
    expect((await one.get("/api/me")).status).to.equal(401);
    expect(await made.models.sessions.count()).to.equal(0);
  });

  it("changes a password by the old one, and signs every other device out", async () => {
    const one = await first();
    const two = agent();
    await two.post("/api/sign-in/password").send({ signInName: "ilva", password: PASSWORD });
    const wrong = await one.post("/api/me/password").send({ old: OTHER, password: OTHER });
    expect(wrong.status).to.equal(400);
    expect((await one.post("/api/me/password").send({ old: PASSWORD, password: OTHER })).status).to.equal(200);
    expect((await one.get("/api/me")).status).to.equal(200);
    expect((await two.get("/api/me")).status).to.equal(401);
  });

  it("invites by a link that is used once, is taken back, and is no one else's", async () => {
    const one = await first();
    const { one: tosk, token } = await invited(one, "tosk");
    const told = { id: uuid(), name: "x", signInName: "x1", password: OTHER };
    expect((await agent().post(`/api/join/${token}`).send(told)).status).to.equal(404);
    expect((await tosk.post("/api/invitations").send({ id: uuid() })).status, "no keeper").to.equal(403);
    const { body } = await one.post("/api/invitations").send({ id: uuid(), note: "for Wenna" });
    expect((await request(made.app).get(`/api/join/${body.token}`)).body.from).to.equal(ILVA.name);
    const taken = await agent()
      .post(`/api/join/${body.token}`)
      .send({ ...told, signInName: "tosk" });
    expect(taken.status).to.equal(409);
    expect((await tosk.delete(`/api/invitations/${body.id}`)).status).to.equal(404);
    expect((await one.delete(`/api/invitations/${body.id}`)).status).to.equal(204);
    expect((await agent().post(`/api/join/${body.token}`).send(told)).status).to.equal(404);
    const list = (await one.get("/api/invitations")).body.invitations;
    expect(list.map((row: { usedBy?: string }) => row.usedBy)).to.deep.equal([undefined, "tosk"]);
    expect(JSON.stringify(list)).not.to.include(body.token);
  });

  it("takes invented people on this machine with the demo, and nowhere else", async () => {
    await made.parts.people.invent(LOCAL_PERSON, "Ilva Marrund", "");
    const ask = (running: object, headers: Record<string, string> = {}) =>
      scratchTake(made, running, headers).then(({ status }) => status);
    expect(await ask({ hasInvented: true })).to.equal(200);
    expect(await ask({})).to.equal(404);
    expect(await ask({ hasInvented: true, proxies: 1 })).to.equal(404);
    expect(await ask({ hasInvented: true, publicUrl: new URL("https://circle.example") })).to.equal(404);
    for (const header of ["x-forwarded-for", "forwarded", "via", "x-real-ip"])
      expect(await ask({ hasInvented: true }, { [header]: "127.0.0.1" }), header).to.equal(404);
    expect(await ask({ hasInvented: true, hosts: ["bench.home"] }, { host: "bench.home" })).to.equal(404);
    // nobody who signs in by a name is taken by a touch
    const one = await first();
    const me = (await one.get("/api/me")).body;
    expect(me.id).not.to.equal(LOCAL_PERSON);
    const taken = await scratchTake(made, { hasInvented: true }, {}, me.id);
    expect(taken.status).to.equal(404);
  });

  it("shows nobody anything of another's, not even that it is there", async () => {
    const one = await first();
    const { one: tosk } = await invited(one, "tosk");
    const find = newFind(uuid(), "2026-09-14T10:20:00Z");
    expect(
      (await one.post(`/api/documents/${find.id}`).send({ kind: "find", known: 0, create: find })).status,
    ).to.equal(201);
    const theirs = await tosk.get(`/api/documents/${find.id}`);
    const nothing = await tosk.get(`/api/documents/${uuid()}`);
    expect(theirs.status).to.equal(nothing.status).and.equal(404);
    expect((await tosk.get("/api/finds")).body.finds).to.deep.equal([]);
    const write = { kind: "find", known: 1, touches: [] as object[], create: find };
    expect((await tosk.post(`/api/documents/${find.id}`).send({ ...write, known: 0 })).status).to.equal(404);
  });

  it("hands over all that is a person's, and leaves with it: nothing is left but what others rest on", async () => {
    const one = await first();
    const { one: tosk, id } = await invited(one, "tosk");
    const find = newFind(uuid(), "2026-09-14T10:20:00Z");
    await tosk.post(`/api/documents/${find.id}`).send({ kind: "find", known: 0, create: find });
    const { body, headers } = await tosk
      .get("/api/me/export")
      .buffer(true)
      .parse((response, done) => {
        const parts: Buffer[] = [];
        response.on("data", (part: Buffer) => parts.push(part));
        response.on("end", () => done(null, Buffer.concat(parts)));
      });
    expect(headers["content-type"]).to.equal("application/zip");
    const AdmZip = (await import("adm-zip")).default;
    const archive = new AdmZip(body);
    const read = (name: string) => JSON.parse(archive.readAsText(name));
    expect(read("me.json")).to.deep.include({ id, signInName: "tosk" });
    expect(read("documents/0001.json")[0]).to.deep.include({ id: find.id, kind: "find" });
    expect(archive.readAsText("me.json")).not.to.match(/argon2|password":\s*"/);

    const wrong = await tosk.post("/api/me/leave").send({ password: OTHER, signInName: "ilva" });
    expect(wrong.status).to.equal(400);
    expect((await tosk.post("/api/me/leave").send({ password: OTHER, signInName: "tosk" })).status).to.equal(204);
    expect((await tosk.get("/api/me")).status).to.equal(401);
    expect(await made.models.documents.count({ where: { ownerId: id } })).to.equal(0);
    expect(await made.models.touches.count({ where: { documentId: find.id } })).to.equal(0);
    const left = await made.models.people.findByPk(id);
    expect([left?.name, left?.signInName, left?.password]).to.deep.equal(["somebody who left", null, null]);
    const back = await agent().post("/api/sign-in/password").send({ signInName: "tosk", password: OTHER });
    expect(back.status).to.equal(401);
  });

  it("gives each person a pair of keys, the half that opens to them alone", async () => {
    const one = await first();
    const me = (await one.get("/api/me")).body;
    expect(me.sealKey).to.deep.include({ kty: "RSA", e: "AQAB" }).and.not.have.property("d");
    const opens = (await one.post("/api/me/seal").send({})).body;
    expect(opens).to.have.property("d");
    expect(opens.n).to.equal(me.sealKey.n);
  });
});

/** Tries to take an invented person from an application that is run otherwise. */
async function scratchTake(made: ScratchApp, running: object, headers: Record<string, string>, id = LOCAL_PERSON) {
  const { createApp } = await import("../http/app.ts");
  const app = createApp(made.parts, { ...(await withSessions(running)(made)) });
  let asked = request(app).post("/api/sign-in/invented");
  for (const [name, value] of Object.entries(headers)) asked = asked.set(name, value);
  return asked.send({ id });
}
