import { basketOf, canonicalFind, type DecidedFind, type Find, shelve } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import type { Express } from "express";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { seasonFinds } from "../demo/season.ts";
import { DecisionStore } from "./store/decisions.ts";
import { FindStore } from "./store/finds.ts";
import { LOCAL_PERSON } from "./store/local-person.ts";
import { defineModels } from "./store/models.ts";
import { scratchApp } from "./tests/scratch-app.ts";
import type { Scratch } from "./tests/scratch-database.ts";

const demo = (label: string): Find => {
  const find = seasonFinds().find((one) => one.label?.startsWith(label));
  if (find === undefined) throw new Error(`no demo find ${label}`);
  return find;
};
const CLUSTER = demo("cluster on");
const GOOD = demo("white ones in an arc");

describe("decisions", () => {
  let scratch: Scratch;
  let app: Express;
  const knowledge = readKnowledge();

  before(async () => {
    const made = await scratchApp();
    ({ app, scratch } = made);
    const { store } = made;
    for (const find of [CLUSTER, GOOD]) await store.put(LOCAL_PERSON, find, 0);
  });
  after(() => scratch.drop());

  const decideAll = (find: Find, ending: string, more: object = {}, id = uuid()) =>
    request(app)
      .post(`/api/finds/${find.id}/decisions`)
      .send({
        id,
        version: 1,
        endings: find.bodies.map((body) => ({
          body: body.id,
          ending: body.keep === false ? "looked-at-only" : ending,
        })),
        ...more,
      });

  it("put what the server clears in the basket, frozen with record, rules, edition and answer", async () => {
    const { status, body } = await decideAll(GOOD, "basket");
    expect(status).to.equal(201);
    expect(body).to.deep.include({ find: canonicalFind(GOOD), edition: knowledge.edition, version: 1 });
    expect(body.answer.verdict).to.equal("basket");
    expect(body.today).to.deep.include({ edition: knowledge.edition, verdict: "basket" });
    expect(body.today.cleared).to.deep.equal(GOOD.bodies.filter((one) => one.keep !== false).map((one) => one.id));
    const { body: list } = await request(app).get(`/api/finds/${GOOD.id}/decisions`);
    expect(list.decisions).to.have.length(1);
  });

  it("never let one of the mixed cluster into the basket, by whatever request", async () => {
    for (const ending of [
      "basket",
      "basket-cap-only",
      "home-as-one-of-a-group",
      "must-be-cooked",
      "infusion-only",
      "first-tasting",
    ]) {
      const { status, body } = await decideAll(CLUSTER, ending);
      expect(status, ending).to.equal(400);
      expect(body.errors[0].path).to.match(/^endings\[\d\]\.ending$/);
    }
    // an answer that the client brings along is no field of the request
    const forged = await decideAll(CLUSTER, "basket", { answer: { verdict: "basket" } });
    expect(forged.status).to.equal(400);
    expect(forged.body.errors[0].path).to.equal("answer");
    expect((await request(app).get(`/api/finds/${CLUSTER.id}/decisions`)).body.decisions).to.deep.equal([]);
  });

  it("by a rule that rests on experience want the experience, whoever wrote the rule into the record", async () => {
    const find: Find = { ...GOOD, id: uuid(), rules: { smallBrown: "known" } };
    await request(app).put(`/api/finds/${find.id}`).send({ version: 0, find });
    const { status, body } = await decideAll(find, "basket");
    expect(status).to.equal(400);
    expect(body.errors[0].path).to.equal("rules.smallBrown");
  });

  it("sent again are one decision, and an id that decided another find is refused", async () => {
    const id = uuid();
    expect((await decideAll(CLUSTER, "left-test-failed", {}, id)).status).to.equal(201);
    expect((await decideAll(CLUSTER, "left-test-failed", {}, id)).status).to.equal(200);
    expect((await decideAll(GOOD, "basket", {}, id)).status).to.equal(400);
  });

  it("sent several times at the same moment are one decision, and every sender hears of it", async () => {
    const find = { ...GOOD, id: uuid() };
    await request(app).put(`/api/finds/${find.id}`).send({ version: 0, find });
    for (let round = 0; round < 3; round++) {
      const id = uuid();
      const replies = await Promise.all([1, 2, 3, 4].map(() => decideAll(find, "basket", {}, id)));
      expect(replies.map((one) => one.status).every((status) => status === 200 || status === 201)).to.equal(true);
      expect(new Set(replies.map((one) => one.body.id))).to.deep.equal(new Set([id]));
      const packet = uuid();
      const made = await Promise.all(
        [1, 2, 3, 4].map(() => request(app).post(`/api/finds/${find.id}/packets`).send({ id: packet })),
      );
      expect(made.map((one) => one.status)).to.deep.equal([201, 201, 201, 201]);
      expect(new Set(made.map((one) => one.body.token)).size).to.equal(1);
    }
    const { body } = await request(app).get(`/api/finds/${find.id}/decisions`);
    expect(body.decisions).to.have.length(3);
  });

  it("of a record that changed meanwhile are a conflict", async () => {
    const { status, body } = await decideAll(GOOD, "basket", { version: 7 });
    expect(status).to.equal(409);
    expect(body.current.version).to.equal(1);
  });

  it("with bad fields are refused by name, and of no find are not found", async () => {
    const bad = await request(app)
      .post(`/api/finds/${GOOD.id}/decisions`)
      .send({ id: uuid(), version: 1, endings: [{ body: "A", ending: "eaten" }] });
    expect(bad.status).to.equal(400);
    expect(bad.body.errors[0].path).to.equal("endings[0].ending");
    expect((await decideAll({ ...GOOD, id: uuid() }, "basket")).status).to.equal(404);
  });

  it("stay as they were when the sheets change, and say what today's would say", async () => {
    const [dropped, ...others] = knowledge.sheets.filter((sheet) => sheet.tier !== "deadly");
    const models = defineModels(scratch.database);
    const shelf = shelve(knowledge.sheets.filter((sheet) => sheet !== dropped || others.length === 0));
    const later = new DecisionStore(models, new FindStore(scratch.database, models), shelf);
    const [kept] = await later.list(LOCAL_PERSON, GOOD.id);
    expect(kept?.edition).to.equal(knowledge.edition);
    expect(kept?.answer.verdict).to.equal("basket");
    expect(kept?.today.edition).to.equal(shelf.edition).and.not.to.equal(knowledge.edition);
  });

  it("stand in no basket any more once the record says otherwise, however it came to say so", async () => {
    const find = { ...GOOD, id: uuid() };
    await request(app).put(`/api/finds/${find.id}`).send({ version: 0, find });
    expect((await decideAll(find, "basket")).status).to.equal(201);
    const verdictToday = async () =>
      ((await request(app).get("/api/decisions")).body.decisions as { find: Find; today: { verdict: string } }[]).find(
        (one) => one.find.id === find.id,
      )?.today.verdict;
    expect(await verdictToday()).to.equal("basket");
    const change = { kind: "observe", body: "A", character: "base", entries: [{ character: "base", states: ["sac"] }] };
    const edit = { id: uuid(), at: "2026-09-15T08:00:00Z", change };
    await request(app)
      .post(`/api/finds/${find.id}/edits`)
      .send({ version: 1, edits: [edit] });
    expect(await verdictToday()).to.be.oneOf(["hold", "leave"]);
    await request(app).delete(`/api/finds/${find.id}`);
    expect(await verdictToday()).to.equal(undefined);
  });

  it("keep nothing among food that is not there, kept and cleared any more, whichever way the record went", async () => {
    const lookAway = { kind: "set-body", body: "A", field: "keep", value: false };
    const strike = GOOD.bodies
      .find((one) => one.id === "A")
      ?.seen?.map(({ character }) => ({ kind: "unsee", body: "A", character }));
    const unsure = {
      kind: "observe",
      body: "A",
      character: "base",
      entries: [{ character: "base", states: ["plain"], sure: false }],
    };
    for (const [name, changes] of Object.entries({
      "struck and set aside": [...(strike ?? []), lookAway],
      "unsure and set aside": [unsure, lookAway],
      "set aside": [lookAway],
      removed: [{ kind: "remove-body", body: "A" }],
    })) {
      const find = { ...GOOD, id: uuid() };
      await request(app).put(`/api/finds/${find.id}`).send({ version: 0, find });
      expect((await decideAll(find, "basket")).status, name).to.equal(201);
      const edits = changes.map((change) => ({ id: uuid(), at: "2026-09-15T08:00:00Z", change }));
      const edited = await request(app).post(`/api/finds/${find.id}/edits`).send({ version: 1, edits });
      expect(edited.status, `${name}: ${JSON.stringify(edited.body)}`).to.equal(200);
      const latest = ((await request(app).get("/api/decisions")).body.decisions as DecidedFind[]).filter(
        (one) => one.find.id === find.id,
      );
      const food = basketOf(latest).filter((one) => one.compartment !== "apart-from-food");
      expect(
        food.map((one) => one.body),
        name,
      ).not.to.include("A");
      expect(basketOf(latest).find((one) => one.body === "A")?.takenBack, name).not.to.equal(undefined);
      // the find's own list of decisions says the same
      const [own] = (await request(app).get(`/api/finds/${find.id}/decisions`)).body.decisions;
      expect(own.today.cleared, name).not.to.include("A");
    }
  });

  it("of every find: the latest of each", async () => {
    await decideAll(GOOD, "left-to-grow", {
      endings: GOOD.bodies.map((body) => ({ body: body.id, ending: "left-to-grow", reason: "enough for today" })),
    });
    const { body } = await request(app).get("/api/decisions");
    const good = body.decisions.filter((one: { find: Find }) => one.find.id === GOOD.id);
    expect(good).to.have.length(1);
    expect(good[0].endings[0].ending).to.equal("left-to-grow");
  });
});
