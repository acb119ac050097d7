import { applyChange, type Change, type Edit, type Find, newFind } from "@jittery-cap/core";
import { expect } from "chai";
import { QueryTypes } from "sequelize";
import { uuidv7 as uuid } from "uuidv7";
import { seasonFinds } from "../../demo/season.ts";
import { loadDemo } from "../demo.ts";
import { type Scratch, scratchDatabase } from "../tests/scratch-database.ts";
import { DAYS_UNTIL_PURGED, FindStore, type Written } from "./finds.ts";
import { LOCAL_PERSON } from "./local-person.ts";
import { migrate, migrationsOf } from "./migrate.ts";
import { defineModels } from "./models.ts";

const AT = "2026-09-14T10:20:00+02:00";
const fresh = (): Find => newFind(uuid(), AT);
const edit = (change: Change): Edit => ({ id: uuid(), at: "2026-09-14T08:21:00Z", change });
const label = (value: string): Edit => edit({ kind: "set-find", field: "label", value });
const stored = (written: Written) => {
  if (written.kind !== "stored") throw new Error(`not stored: ${JSON.stringify(written)}`);
  return written.stored;
};

describe("finds in MariaDB", () => {
  let scratch: Scratch;
  let store: FindStore;

  before(async () => {
    scratch = await scratchDatabase();
    await migrate(scratch.database);
    store = new FindStore(scratch.database, defineModels(scratch.database));
  });
  after(() => scratch.drop());

  it("migrate once, and there is nothing left to do", async () => {
    expect(await migrate(scratch.database)).to.deep.equal([]);
    expect((await migrationsOf(scratch.database).executed()).map((one) => one.name)).to.deep.equal([
      "2026-11-25-first-tables",
      "2026-11-25-pictures",
      "2026-11-25-decisions",
      "2026-11-25-packets",
      "2026-11-25-settled",
      "2026-11-26-demo-finds",
      "2026-11-26-packets-withdrawn",
    ]);
  });

  it("are written to disk at each commit", async () => {
    const rows = await scratch.database.query("SELECT @@innodb_flush_log_at_trx_commit AS flushed", {
      type: QueryTypes.SELECT,
    });
    expect(rows).to.deep.equal([{ flushed: 1 }]);
  });

  it("come back as they were put", async () => {
    const find = fresh();
    const first = await store.put(LOCAL_PERSON, find, 0);
    expect(first).to.include({ kind: "stored", isNew: true });
    expect(await store.read(LOCAL_PERSON, find.id)).to.deep.include({ find, version: 1 });
  });

  it("sent twice are stored once", async () => {
    const find = fresh();
    await store.put(LOCAL_PERSON, find, 0);
    const again = await store.put(LOCAL_PERSON, find, 0);
    expect(again).to.include({ kind: "stored", isNew: false });
    expect(stored(again).version).to.equal(1);
  });

  it("sent twice at the same moment are stored once", async () => {
    const find = fresh();
    const both = await Promise.all([store.put(LOCAL_PERSON, find, 0), store.put(LOCAL_PERSON, find, 0)]);
    expect(both.map((one) => one.kind)).to.deep.equal(["stored", "stored"]);
    expect((await store.read(LOCAL_PERSON, find.id))?.version).to.equal(1);
  });

  it("changed elsewhere in the meantime are a conflict that shows what is there", async () => {
    const find = fresh();
    await store.put(LOCAL_PERSON, find, 0);
    await store.put(LOCAL_PERSON, { ...find, label: "mine" }, 1);
    const late = await store.put(LOCAL_PERSON, { ...find, label: "theirs" }, 1);
    expect(late.kind).to.equal("conflict");
    if (late.kind === "conflict") expect(late.current.find.label).to.equal("mine");
  });

  it("take edits one version each, and the same batch again with more behind it", async () => {
    const find = fresh();
    await store.put(LOCAL_PERSON, find, 0);
    const [one, two, three] = [label("one"), label("two"), label("three")];
    expect(stored(await store.edit(LOCAL_PERSON, find.id, 1, [one, two])).version).to.equal(3);
    expect(stored(await store.edit(LOCAL_PERSON, find.id, 1, [one, two])).version).to.equal(3);
    const more = stored(await store.edit(LOCAL_PERSON, find.id, 1, [one, two, three]));
    expect(more.version).to.equal(4);
    expect(more.find.label).to.equal("three");
    const history = await store.history(LOCAL_PERSON, find.id);
    expect(history.map((line) => line.edit.id)).to.deep.equal([one.id, two.id, three.id]);
  });

  it("take an edit of a stale version as a conflict, and store none of the batch", async () => {
    const find = fresh();
    await store.put(LOCAL_PERSON, find, 0);
    await store.edit(LOCAL_PERSON, find.id, 1, [label("mine")]);
    expect((await store.edit(LOCAL_PERSON, find.id, 1, [label("theirs")])).kind).to.equal("conflict");
    expect((await store.read(LOCAL_PERSON, find.id))?.find.label).to.equal("mine");
  });

  it("store nothing of a batch in which one edit does not hold", async () => {
    const find = fresh();
    await store.put(LOCAL_PERSON, find, 0);
    const bad = edit({ kind: "set-body", body: "A", field: "age", value: "ancient" });
    const written = await store.edit(LOCAL_PERSON, find.id, 1, [label("half"), bad]);
    expect(written.kind).to.equal("refused");
    if (written.kind === "refused") expect(written.faults[0]?.path).to.equal("edits[1].bodies[0].age");
    expect(await store.read(LOCAL_PERSON, find.id)).to.deep.include({ find, version: 1 });
    expect(await store.history(LOCAL_PERSON, find.id)).to.deep.equal([]);
  });

  it("end at the same record as the browser's own copy of the edits", async () => {
    const find = fresh();
    await store.put(LOCAL_PERSON, find, 0);
    const changes: Change[] = [
      { kind: "observe", body: "A", character: "ring", entries: [{ character: "ring", states: ["skirt"] }] },
      {
        kind: "observe",
        body: "A",
        character: "underside",
        entries: [{ character: "underside", states: ["gills"] }],
      },
      { kind: "set-weather", field: "frostLastNight", value: true },
      { kind: "add-body", body: { id: "B", age: "old" } },
      { kind: "unsee", body: "A", character: "ring" },
    ];
    let own = find;
    for (const change of changes) {
      const applied = applyChange(own, change);
      if (applied.ok) own = applied.value.find;
    }
    const written = stored(await store.edit(LOCAL_PERSON, find.id, 1, changes.map(edit)));
    expect(written.find).to.deep.equal(own);
    expect(written.version).to.equal(1 + changes.length);
  });

  it("belong to their owner: nobody else reads, changes or deletes them", async () => {
    const stranger = uuid();
    const find = fresh();
    await store.put(LOCAL_PERSON, find, 0);
    expect(await store.read(stranger, find.id)).to.equal(undefined);
    expect((await store.put(stranger, find, 1)).kind).to.equal("missing");
    expect((await store.edit(stranger, find.id, 1, [label("x")])).kind).to.equal("missing");
    expect(await store.remove(stranger, find.id)).to.equal(false);
  });

  it("deleted can be restored as they were, and go for good after a while", async () => {
    const find = fresh();
    await store.put(LOCAL_PERSON, find, 0);
    expect(await store.remove(LOCAL_PERSON, find.id)).to.equal(true);
    expect(await store.read(LOCAL_PERSON, find.id)).to.equal(undefined);
    expect((await store.list(LOCAL_PERSON, true)).map((one) => one.find.id)).to.include(find.id);
    expect((await store.restore(LOCAL_PERSON, find.id))?.find).to.deep.equal(find);
    await store.remove(LOCAL_PERSON, find.id);
    expect(await store.purge(new Date())).to.equal(0);
    const later = new Date(Date.now() + (DAYS_UNTIL_PURGED + 1) * 24 * 3600 * 1000);
    expect(await store.purge(later)).to.equal(1);
    expect(await store.restore(LOCAL_PERSON, find.id)).to.equal(undefined);
  });

  it("of the demo are loaded once and never over what a person made of them", async () => {
    const loaded = await loadDemo(store, LOCAL_PERSON);
    expect(loaded).to.be.at.least(6);
    expect(await loadDemo(store, LOCAL_PERSON)).to.equal(0);
    // nor when one was deleted so long ago that it is gone for good
    const [first] = seasonFinds();
    await store.remove(LOCAL_PERSON, first?.id ?? "");
    await store.purge(new Date(Date.now() + (DAYS_UNTIL_PURGED + 1) * 24 * 3600 * 1000));
    expect(await loadDemo(store, LOCAL_PERSON)).to.equal(0);
    expect(await store.read(LOCAL_PERSON, first?.id ?? "")).to.equal(undefined);
  });

  it("come to stand in tables that a migration cut off half way had begun", async () => {
    const other = await scratchDatabase();
    await migrate(other.database);
    for (const { name } of await migrationsOf(other.database).executed())
      await other.database.query("DELETE FROM migrations WHERE name = ?", { replacements: [name] });
    expect(await migrate(other.database)).to.have.length.above(4);
    expect(await migrate(other.database)).to.deep.equal([]);
    await other.drop();
  });

  it("can be taken back to no tables at all by the migrations", async () => {
    const other = await scratchDatabase();
    await migrate(other.database);
    await migrationsOf(other.database).down({ to: 0 });
    const tables = await other.database.query(
      "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()",
      { type: QueryTypes.SELECT },
    );
    expect(tables).to.deep.equal([{ name: "migrations" }]);
    await other.drop();
  });
});
