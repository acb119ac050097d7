import { basketOf, canonicalFind, type Find, type Standing, shelve, summarise } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { pino } from "pino";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { seasonFinds } from "../../demo/season.ts";
import { assemble } from "../assemble.ts";
import { judgingHere } from "../judging/judging.ts";
import { asks, ME, type ScratchApp, scratchApp, touchOf } from "../tests/scratch-app.ts";

const demo = (label: string): Find => {
  const find = seasonFinds().find((one) => one.label?.startsWith(label));
  if (find === undefined) throw new Error(`no demo find ${label}`);
  return canonicalFind(find);
};
const CLUSTER = demo("cluster on");
const GOOD = demo("white ones in an arc");
const AT = "2026-09-14T12:00:00.000Z";

interface Line {
  readonly id: string;
  readonly about: string;
  readonly standing?: Standing;
}

describe("decisions", () => {
  let made: ScratchApp;
  let api: ReturnType<typeof asks>;
  const knowledge = readKnowledge();

  before(async () => {
    made = await scratchApp();
    api = asks(made.app);
    for (const find of [CLUSTER, GOOD]) await api.make(find);
  });
  after(() => made.end());

  const frozen = (find: Find, ending: string, more: object = {}) => ({
    find,
    rules: {},
    edition: knowledge.edition,
    answer: summarise(find, knowledge),
    endings: find.bodies.map((body) => ({ body: body.id, ending: body.keep === false ? "looked-at-only" : ending })),
    decidedAt: AT,
    ...more,
  });
  const decideAll = (find: Find, ending: string, more: object = {}, id = uuid()) =>
    api.write(id, { kind: "decision", known: 0, create: frozen(find, ending, more) });
  const linesAbout = async (id: string): Promise<Line[]> =>
    (await request(made.app).get(`/api/decisions?about=${id}`)).body.decisions;
  const latest = async (id: string): Promise<Line | undefined> =>
    ((await request(made.app).get("/api/decisions?limit=200")).body.decisions as Line[]).find(
      (one) => one.about === id,
    );
  const copyOf = async (find: Find): Promise<Find> => {
    const copy = { ...find, id: uuid() };
    await api.make(copy);
    return copy;
  };

  it("put what the server clears in the basket, frozen with record, rules, edition and answer", async () => {
    const { status, body } = await decideAll(GOOD, "basket");
    expect(status).to.equal(201);
    expect(body.content).to.deep.include({ find: GOOD, edition: knowledge.edition, decidedAt: AT });
    expect(body.content.answer.verdict).to.equal("basket");
    expect(body.content.rules).to.include({ amanitas: "never" });
    const [line] = await linesAbout(GOOD.id);
    expect(line?.standing?.verdict).to.equal("basket");
    expect(line?.standing?.cleared).to.deep.equal(GOOD.bodies.filter((one) => one.keep !== false).map((one) => one.id));
  });

  it("are lists of a few bytes: no answer and no record goes along", async () => {
    const { text } = await request(made.app).get(`/api/decisions?about=${GOOD.id}`);
    expect(text.length).to.be.below(1500);
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
      expect(body.errors[0].path).to.match(/^create\.endings\[\d\]\.ending$/);
    }
    expect(await linesAbout(CLUSTER.id)).to.deep.equal([]);
  });

  it("with an answer that the device makes up hold the server's own, and clear nothing more", async () => {
    const { rules: _rules, ...mixed } = CLUSTER;
    const find = await copyOf(mixed);
    const lie = {
      ...summarise(find, knowledge),
      verdict: "basket" as const,
      bodies: find.bodies.map(({ id }) => ({ body: id, kept: true, verdict: "basket" as const })),
    };
    expect((await decideAll(find, "basket", { answer: lie })).status).to.equal(400);
    // a device that says it had other sheets is believed that it decided, and nothing of what it says is cleared
    const old = await decideAll(find, "basket", { answer: lie, edition: "0000older" });
    expect(old.status).to.equal(201);
    expect(old.body.content.answer.verdict).not.to.equal("basket");
    expect(old.body.content.edition).to.equal(knowledge.edition);
    expect((await linesAbout(find.id))[0]?.standing?.cleared).to.deep.equal([]);
  });

  it("of a record that the server never held clear nothing that today's record does not", async () => {
    const find = await copyOf(CLUSTER);
    const other = { ...GOOD, id: find.id };
    const { status } = await decideAll(other, "basket");
    expect(status).to.equal(201);
    expect((await linesAbout(find.id))[0]?.standing?.cleared).to.deep.equal([]);
  });

  it("by a rule that rests on experience want the experience, whoever wrote the rule into the record", async () => {
    const find = await copyOf({ ...GOOD, rules: { smallBrown: "known" } });
    const { status, body } = await decideAll(find, "basket");
    expect(status).to.equal(400);
    expect(body.errors[0].path).to.equal("create.find.rules.smallBrown");
  });

  it("sent again are one decision, and an id that decided another find is refused", async () => {
    const id = uuid();
    expect((await decideAll(CLUSTER, "left-test-failed", {}, id)).status).to.equal(201);
    expect((await decideAll(CLUSTER, "left-test-failed", {}, id)).status).to.equal(200);
    expect((await decideAll(GOOD, "basket", {}, id)).status).to.equal(409);
  });

  it("sent several times at the same moment are one decision, and every sender hears of it", async () => {
    const find = await copyOf(GOOD);
    for (let round = 0; round < 3; round++) {
      const id = uuid();
      const replies = await Promise.all([1, 2, 3, 4].map(() => decideAll(find, "basket", {}, id)));
      expect(replies.every(({ status }) => status === 200 || status === 201)).to.equal(true);
      expect(new Set(replies.map((one) => one.body.id))).to.deep.equal(new Set([id]));
    }
    expect(await linesAbout(find.id)).to.have.length(3);
  });

  it("with bad fields are refused by name, and of no find are not found", async () => {
    const bad = await decideAll(GOOD, "eaten");
    expect(bad.status).to.equal(400);
    expect(bad.body.errors[0].path).to.equal("create.endings[0].ending");
    expect((await decideAll({ ...GOOD, id: uuid() }, "basket")).status).to.equal(404);
  });

  it("stay as they were when the sheets change, and stand by both editions", async () => {
    const [dropped] = knowledge.sheets.filter((sheet) => sheet.tier !== "deadly");
    const shelf = shelve(knowledge.sheets.filter((sheet) => sheet !== dropped));
    const later = assemble(made.scratch.database, judgingHere(shelf), pino({ level: "silent" }));
    const rows = await made.parts.documents.about(ME, GOOD.id, "decision");
    expect((rows[0]?.content as { edition?: string } | undefined)?.edition).to.equal(knowledge.edition);
    expect(shelf.edition).not.to.equal(knowledge.edition);
    const [first] = await later.parts.standings.of(ME, rows);
    expect(first?.standing?.verdict).to.equal("basket");
    await later.close();
  });

  it("stand in no basket any more once the record says otherwise, and in no list once it is put away", async () => {
    const find = await copyOf(GOOD);
    expect((await decideAll(find, "basket")).status).to.equal(201);
    expect((await latest(find.id))?.standing?.verdict).to.equal("basket");
    const sac = { kind: "observe", body: "A", character: "base", entries: [{ character: "base", states: ["sac"] }] };
    await api.touch(find.id, 1, touchOf(sac));
    expect((await latest(find.id))?.standing?.verdict).to.be.oneOf(["hold", "leave"]);
    await api.touch(find.id, 2, touchOf({ kind: "archive" }));
    expect(await latest(find.id)).to.equal(undefined);
    expect((await linesAbout(find.id))[0]?.standing).to.equal(undefined);
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
      const find = await copyOf(GOOD);
      const decided = await decideAll(find, "basket");
      expect(decided.status, name).to.equal(201);
      const edited = await api.touch(find.id, 1, touchOf(...changes));
      expect(edited.status, `${name}: ${JSON.stringify(edited.body)}`).to.equal(200);
      for (const line of [await latest(find.id), (await linesAbout(find.id))[0]]) {
        const { standing } = line ?? {};
        if (standing === undefined) throw new Error(`${name}: not known`);
        const carried = basketOf([{ ...decided.body.content, current: edited.body.content, today: standing }]);
        expect(
          carried.filter((one) => one.compartment !== "apart-from-food").map((one) => one.body),
          name,
        ).not.to.include("A");
        expect(carried.find((one) => one.body === "A")?.takenBack, name).not.to.equal(undefined);
      }
    }
  });

  it("cannot be changed, and come page by page, the latest of each find", async () => {
    const find = await copyOf(GOOD);
    const first = await decideAll(find, "basket");
    const touched = await api.write(first.body.id, {
      kind: "decision",
      known: 1,
      touches: [touchOf({ kind: "set-find", field: "label", value: "x" })],
    });
    expect(touched.status).to.equal(400);
    const second = await decideAll(find, "left-to-grow", {
      decidedAt: "2026-09-15T12:00:00.000Z",
      endings: find.bodies.map((body) => ({ body: body.id, ending: "left-to-grow", reason: "enough for today" })),
    });
    expect((await latest(find.id))?.id).to.equal(second.body.id);
    const ids: string[] = [];
    for (let after = ""; ; ) {
      const { body } = await request(made.app).get(`/api/decisions?limit=2${after}`);
      ids.push(...body.decisions.map((one: Line) => one.about));
      if (body.next === undefined) break;
      after = `&after=${encodeURIComponent(body.next)}`;
    }
    expect(new Set(ids).size).to.equal(ids.length);
    expect(ids).to.include(find.id);
    expect((await request(made.app).get("/api/decisions?after=nowhere")).body.errors[0].path).to.equal("after");
  });
});
