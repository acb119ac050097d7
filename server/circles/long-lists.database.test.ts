/** Long lists in a circle: all that is shared comes, a page at a time, and nobody's question is pushed off by answers. */
import { newFind } from "@jittery-cap/core";
import { expect } from "chai";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { createApp } from "../http/app.ts";
import { type ScratchApp, scratchApp } from "../tests/scratch-app.ts";

const AT = "2026-09-14T10:20:00Z";

describe("long lists in a circle", function () {
  this.timeout(60_000);
  let made: ScratchApp;
  const somebody = async (name: string) => {
    const id = uuid();
    await made.models.people.create({ id, name, createdAt: new Date(), signInName: name.toLowerCase() });
    return { id, ask: request(createApp(made.parts, { personOf: () => ({ kind: "person", id }) })) };
  };
  type Somebody = Awaited<ReturnType<typeof somebody>>;
  let ilva: Somebody;
  let tosk: Somebody;
  let circle: string;
  /** A circle of the one that the other is in. */
  const circleOfTwo = async (name: string) => {
    const id = uuid();
    expect((await ilva.ask.post("/api/circles").send({ id, name })).status).to.equal(201);
    const asked = await ilva.ask
      .post(`/api/circles/${id}/invitations`)
      .send({ id: uuid(), role: "member", trusted: [] });
    expect((await tosk.ask.post(`/api/circle-invitations/${asked.body.token}`).send({})).status).to.equal(201);
    return id;
  };
  const keep = async () => {
    const find = newFind(uuid(), AT);
    const { status } = await ilva.ask.post(`/api/documents/${find.id}`).send({ kind: "find", known: 0, create: find });
    expect(status).to.equal(201);
    return find.id;
  };
  const share = (id: string, how: object, of = circle) => ilva.ask.put(`/api/finds/${id}/shares/${of}`).send(how);

  before(async () => {
    made = await scratchApp();
    [ilva, tosk] = [await somebody("Ilva"), await somebody("Tosk")];
    circle = await circleOfTwo("Ondal");
  });
  after(() => made.end());

  it("tell all that is shared, however much, a page at a time, each find once with the most that is shown of it", async () => {
    const second = await circleOfTwo("Ondal too");
    const ids: string[] = [];
    for (let count = 0; count < 7; count += 1) {
      const id = await keep();
      ids.push(id);
      await share(id, { place: "none" });
      if (count % 2 === 0) await share(id, { place: "exact", mayRecord: true }, second);
    }
    const told: { id: string; place: string; mayRecord: boolean; circle: string }[] = [];
    let after: string | undefined;
    for (let pages = 0; pages === 0 || after !== undefined; pages += 1) {
      const { status, body } = await tosk.ask.get(`/api/shared?limit=2${after === undefined ? "" : `&after=${after}`}`);
      expect(status, JSON.stringify(body)).to.equal(200);
      expect(body.finds.length).to.be.at.most(2);
      told.push(...body.finds);
      after = body.next;
      // one that is taken back meanwhile moves no other off its page
      if (pages === 0) await ilva.ask.delete(`/api/finds/${ids[6]}/shares/${circle}`);
      expect(pages).to.be.below(9);
    }
    const mine = told.filter((one) => ids.includes(one.id));
    expect(mine.map((one) => one.id)).to.deep.equal([...ids].reverse());
    for (const one of mine) {
      const isTwice = ids.indexOf(one.id) % 2 === 0;
      expect([one.place, one.mayRecord], one.id).to.deep.equal(isTwice ? ["exact", true] : ["none", false]);
      expect(one.circle, "where it was shared last").to.equal(isTwice ? second : circle);
    }
    for (const query of ["limit=0", "limit=501", "after=x"])
      expect((await tosk.ask.get(`/api/shared?${query}`)).status, query).to.equal(400);
    for (const id of ids) for (const of of [circle, second]) await ilva.ask.delete(`/api/finds/${id}/shares/${of}`);
    expect((await tosk.ask.get("/api/shared")).body).to.deep.equal({ finds: [] });
  });

  it("tell what waits, however much was answered lately: nobody's question is pushed off the list", async () => {
    const find = await keep();
    const waiting = uuid();
    await ilva.ask.post(`/api/finds/${find}/asks`).send({ id: waiting, circle });
    const one = (await made.models.asks.findByPk(waiting))?.get({ plain: true });
    if (one === undefined) throw new Error("nothing was asked");
    const before = new Date(Date.now() - 86_400_000);
    const answered = Array.from({ length: 250 }, () => ({
      ...one,
      id: uuid(),
      askedAt: before,
      answeredBy: tosk.id,
      answeredAt: before,
    }));
    await made.models.asks.bulkCreate(answered);
    const told: { id: string; answeredAt?: string }[] = (await tosk.ask.get("/api/asks")).body.asks;
    expect(told[0]?.id).to.equal(waiting);
    expect(told.filter((ask) => ask.answeredAt !== undefined).length).to.equal(100);
    await made.models.asks.destroy({ where: { findId: find } });
  });
});
