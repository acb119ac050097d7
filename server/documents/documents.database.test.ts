import { applyChange, type Change, type Find, newFind } from "@jittery-cap/core";
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { expect } from "chai";
import { QueryTypes } from "sequelize";
import { uuidv7 as uuid } from "uuidv7";
import { seasonFinds } from "../../demo/season.ts";
import { loadDemo } from "../demo.ts";
import { asks, type ScratchApp, scratchApp, touchOf } from "../tests/scratch-app.ts";
import { DAYS_UNTIL_PURGED } from "./documents.ts";

const AT = "2026-09-14T10:20:00+02:00";
const LATER = new Date(Date.now() + (DAYS_UNTIL_PURGED + 1) * 24 * 3600 * 1000);
const fresh = (): Find => newFind(uuid(), AT);
const label = (value: string) => touchOf({ kind: "set-find", field: "label", value });
const ring = (state: string) =>
  touchOf({ kind: "observe", body: "A", character: "ring", entries: [{ character: "ring", states: [state] }] });

describe("documents in MariaDB", () => {
  let made: ScratchApp;
  let api: ReturnType<typeof asks>;

  before(async () => {
    made = await scratchApp();
    api = asks(made.app);
  });
  after(() => made.end());

  const contentOf = async (id: string) => (await api.read(id)).body.content as Find;

  it("are written to disk at each commit", async () => {
    const rows = await made.scratch.database.query("SELECT @@innodb_flush_log_at_trx_commit AS flushed", {
      type: QueryTypes.SELECT,
    });
    expect(rows).to.deep.equal([{ flushed: 1 }]);
  });

  it("come back as they were made, and made twice are there once", async () => {
    const find = fresh();
    const first = await api.make(find);
    expect(first.status).to.equal(201);
    expect(first.body).to.deep.include({ id: find.id, kind: "find", version: 1, content: find, archived: false });
    const again = await api.make(find);
    expect(again.status).to.equal(200);
    expect(again.body.version).to.equal(1);
    const other = await api.make({ ...find, label: "another under the same id" });
    expect(other.status).to.equal(409);
    expect(other.body.current.content).to.deep.equal(find);
  });

  it("made at the same moment are made once", async () => {
    const find = fresh();
    const all = await Promise.all([api.make(find), api.make(find), api.make(find)]);
    expect(all.map((one) => one.status).sort()).to.deep.equal([200, 200, 201]);
  });

  it("take touches one version each, and the same again with more behind them", async () => {
    const find = fresh();
    await api.make(find);
    const [one, two, three] = [label("one"), label("two"), label("three")];
    expect((await api.touch(find.id, 1, one, two)).body.version).to.equal(3);
    expect((await api.touch(find.id, 1, one, two)).body.version).to.equal(3);
    const more = await api.touch(find.id, 1, one, two, three);
    expect(more.body).to.deep.include({ version: 4 });
    expect(more.body.content.label).to.equal("three");
    const { body } = await api.read(`${find.id}/touches`);
    expect(body.touches.map((line: { touch: { id: string } }) => line.touch.id)).to.deep.equal([
      three.id,
      two.id,
      one.id,
    ]);
    expect(body.touches[0].touch.by).to.equal(LOCAL_PERSON);
  });

  it("keep what was one touch as one, with one way back", async () => {
    const find = fresh();
    await api.make(find);
    const both = touchOf(
      { kind: "set-body", body: "A", field: "age", value: "old" },
      { kind: "set-weather", field: "rain24hMm", value: 3 },
    );
    expect((await api.touch(find.id, 1, both)).body.version).to.equal(2);
    const [line] = (await api.read(`${find.id}/touches`)).body.touches;
    expect(line.touch).to.deep.equal(both);
    await api.touch(find.id, 2, { ...touchOf(...line.inverse), undoes: both.id });
    expect(await contentOf(find.id)).to.deep.equal(find);
  });

  it("made and touched in one go are both or neither", async () => {
    const find = fresh();
    const good = await api.write(find.id, { kind: "find", known: 0, create: find, touches: [label("at once")] });
    expect(good.status).to.equal(201);
    expect(good.body).to.deep.include({ version: 2 });
    const other = fresh();
    const stray = touchOf({ kind: "remove-body", body: "Q" });
    const bad = await api.write(other.id, { kind: "find", known: 0, create: other, touches: [stray] });
    expect(bad.status).to.equal(400);
    expect((await api.read(other.id)).status).to.equal(404);
  });

  it("take touches over an old version where they meet nothing of what came in between", async () => {
    const find = fresh();
    await api.make(find);
    expect((await api.touch(find.id, 1, label("from the desk"))).body.version).to.equal(2);
    const late = await api.touch(find.id, 1, ring("skirt"));
    expect(late.status).to.equal(200);
    expect(late.body.version).to.equal(3);
    const content = await contentOf(find.id);
    expect(content.label).to.equal("from the desk");
    expect(content.bodies[0]?.seen?.[0]?.states).to.deep.equal(["skirt"]);
  });

  it("take nothing of what meets it, and show what is there", async () => {
    const find = fresh();
    await api.make(find);
    await api.touch(find.id, 1, ring("skirt"));
    const late = await api.touch(find.id, 1, label("with it"), ring("none"));
    expect(late.status).to.equal(409);
    expect(late.body.current).to.deep.include({ version: 2 });
    const content = await contentOf(find.id);
    expect(content.label).to.equal(undefined);
    expect(content.bodies[0]?.seen?.[0]?.states).to.deep.equal(["skirt"]);
  });

  it("in any order come to one record, whoever was first", async () => {
    const orders = await Promise.all(
      [0, 1, 2].map(async (turn) => {
        const find = { ...fresh(), id: uuid() };
        await api.make(find);
        const touches = [
          label("by the pond"),
          ring("skirt"),
          touchOf({ kind: "set-site", field: "habitat", value: ["bog"] }),
        ];
        await Promise.all(
          [...touches.slice(turn), ...touches.slice(0, turn)].map((touch) => api.touch(find.id, 1, touch)),
        );
        const { id: _id, ...content } = await contentOf(find.id);
        return content;
      }),
    );
    expect(orders[1]).to.deep.equal(orders[0]);
    expect(orders[2]).to.deep.equal(orders[0]);
    expect(orders[0]?.site?.habitat).to.deep.equal(["bog"]);
  });

  it("store nothing of a batch in which one touch does not hold", async () => {
    const find = fresh();
    await api.make(find);
    const bad = touchOf({ kind: "set-body", body: "A", field: "sameAs", value: "Q" });
    const { status, body } = await api.touch(find.id, 1, label("half"), bad);
    expect(status).to.equal(400);
    expect(body.errors[0].path).to.equal("touches[1].bodies[0].sameAs");
    expect((await api.read(find.id)).body).to.deep.include({ version: 1, content: find });
    expect((await api.read(`${find.id}/touches`)).body.touches).to.deep.equal([]);
  });

  it("of many writers at once lose nothing, each touch a version of its own", async () => {
    const finds = Array.from({ length: 6 }, fresh);
    await Promise.all(finds.map((find) => api.make(find)));
    const sent = finds.flatMap((find) =>
      ["age", "lifted", "firmness", "keep", "larvae"].map((field) => ({
        id: find.id,
        touch: touchOf({
          kind: "set-body",
          body: "A",
          field,
          value: { age: "old", lifted: "whole", firmness: "firm", keep: true, larvae: "none" }[field],
        }),
      })),
    );
    const replies = await Promise.all(sent.map(({ id, touch }) => api.touch(id, 1, touch)));
    expect(replies.map((one) => one.status)).to.deep.equal(sent.map(() => 200));
    for (const find of finds) {
      const { body } = await api.read(`${find.id}/touches`);
      expect(body.touches.map((line: { version: number }) => line.version)).to.deep.equal([6, 5, 4, 3, 2]);
    }
  });

  it("end at the same record as the browser's own copy of the touches", async () => {
    const find = fresh();
    await api.make(find);
    const changes: Change[] = [
      { kind: "observe", body: "A", character: "ring", entries: [{ character: "ring", states: ["skirt"] }] },
      { kind: "observe", body: "A", character: "underside", entries: [{ character: "underside", states: ["gills"] }] },
      { kind: "set-weather", field: "frostLastNight", value: true },
      { kind: "add-body", body: { id: "B", age: "old" } },
      { kind: "unsee", body: "A", character: "ring" },
    ];
    let own = find;
    for (const change of changes) {
      const applied = applyChange(own, change);
      if (applied.ok) own = applied.value.find;
    }
    await api.touch(find.id, 1, ...changes.map((change) => touchOf(change)));
    expect(await contentOf(find.id)).to.deep.equal(own);
  });

  it("belong to their owner: nobody else reads or changes them, and nobody touches in another's name", async () => {
    const find = fresh();
    await api.make(find);
    const stranger = uuid();
    expect(await made.parts.documents.read({ kind: "person", id: stranger }, find.id)).to.equal(undefined);
    const theirs = await made.parts.writer.write({
      actor: { kind: "person", id: stranger },
      ownerId: LOCAL_PERSON,
      id: find.id,
      kind: "find",
      known: 1,
      touches: [{ ...label("x"), by: stranger }],
    });
    expect(theirs.kind).to.equal("refused");
    const forged = await api.touch(find.id, 1, { ...label("x"), by: stranger });
    expect(forged.status).to.equal(400);
    expect(forged.body.errors[0].path).to.equal("touches[0].by");
    expect(await contentOf(find.id)).to.deep.equal(find);
  });

  it("refuse a touch that stands twice or belongs to another, and a document of another kind under its id", async () => {
    const [one, other] = [fresh(), fresh()];
    await api.make(one);
    await api.make(other);
    const touch = label("once");
    const twice = await api.touch(one.id, 1, touch, touch);
    expect(twice.status).to.equal(400);
    expect(twice.body.errors[0].path).to.equal("touches[1].id");
    await api.touch(one.id, 1, touch);
    const strayed = await api.touch(other.id, 1, touch);
    expect(strayed.body.errors[0].path).to.equal("touches[0].id");
    const settings = await api.write(one.id, { kind: "settings", known: 0, create: { rules: {}, limits: [] } });
    expect(settings.status).to.equal(400);
  });

  it("put away can be brought back as they were, take no touch until then, and go for good after a while", async () => {
    const find = fresh();
    await api.make(find);
    const away = await api.touch(find.id, 1, touchOf({ kind: "archive" }));
    expect(away.body).to.deep.include({ archived: true, version: 2 });
    expect((await api.touch(find.id, 2, label("late"))).status).to.equal(400);
    expect((await api.touch(find.id, 1, label("later"))).status, "from a device that has not heard").to.equal(409);
    expect((await api.touch(find.id, 2, touchOf({ kind: "restore" }))).body.content).to.deep.equal(find);
    await api.touch(find.id, 3, touchOf({ kind: "archive" }));
    expect(await made.parts.documents.purge(new Date())).to.equal(0);
    expect(await made.parts.documents.purgeByClock(LATER), "by a clock that ran ahead").to.equal(0);
    expect((await api.read(find.id)).status).to.equal(200);
    expect(await made.parts.documents.purge(LATER)).to.be.at.least(1);
    expect((await api.read(find.id)).status).to.equal(404);
  });

  it("tell what changed since a place, page by page, each document as it is now", async () => {
    const { body: before } = await api.read("?after=0&limit=500");
    const finds = [fresh(), fresh(), fresh()];
    for (const find of finds) await api.make(find);
    await api.touch(finds[0]?.id ?? "", 1, label("touched last"));
    const seen: string[] = [];
    let after = before.next as number;
    for (let more = true; more; ) {
      const { body } = await api.read(`?after=${after}&limit=2`);
      seen.push(...body.documents.map((one: { id: string }) => one.id));
      more = body.more;
      after = body.next;
    }
    expect(seen).to.deep.equal([finds[1]?.id, finds[2]?.id, finds[0]?.id]);
    expect((await api.read(`?after=${after}`)).body).to.deep.equal({ documents: [], next: after, more: false });
  });

  it("that cannot be read are listed as unreadable and break no list", async () => {
    const find = fresh();
    await api.make(find);
    await made.scratch.database.query("UPDATE documents SET content = ?, version = 9 WHERE id = ?", {
      replacements: [JSON.stringify({ ...find, bodies: "none" }), find.id],
    });
    const { status, body } = await api.finds("?limit=200");
    expect(status).to.equal(200);
    const line = body.finds.find((one: { id: string }) => one.id === find.id);
    expect(line.unreadable).to.be.a("string");
    expect(line.verdict).to.equal(undefined);
    expect((await api.touch(find.id, 9, label("onto nothing"))).status).to.equal(400);
    await made.models.documents.destroy({ where: { id: find.id } });
  });

  it("of the demo are loaded once and never over what a person made of them", async () => {
    const load = () => loadDemo(made.parts.writer, made.models, LOCAL_PERSON);
    expect(await load()).to.be.at.least(6);
    expect(await load()).to.equal(0);
    // nor when one was put away so long ago that it is gone for good
    const first = seasonFinds()[0]?.id ?? "";
    await api.touch(first, 1, touchOf({ kind: "archive" }));
    await made.parts.documents.purge(LATER);
    expect(await load()).to.equal(0);
    expect((await api.read(first)).status).to.equal(404);
  });
});
