import { assess, canonicalFind, decisionSchema, type Find, findSchema, newFind } from "@jittery-cap/core";
import { KINDS, type KindName, LOCAL_PERSON, readContent, touchSchemaOf } from "@jittery-cap/core/documents";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { QueryTypes } from "sequelize";
import { uuidv7 as uuid } from "uuidv7";
import { seasonFinds } from "../../demo/season.ts";
import { type Scratch, scratchDatabase } from "../tests/scratch-database.ts";
import { migrate, migrationsOf } from "./migrate.ts";

const BEFORE = "2026-11-26-packets-withdrawn";
const AT = "2026-09-14 10:20:00.000";
const good = canonicalFind(seasonFinds().find((one) => one.label?.startsWith("white ones in an arc")) as Find);

/** Tables as they were before, with a row of every kind in them. */
async function oldDatabase(): Promise<{ scratch: Scratch; ids: Record<string, string> }> {
  const scratch = await scratchDatabase();
  await migrationsOf(scratch.database).up({ to: BEFORE });
  const put = (table: string, row: Record<string, unknown>) =>
    scratch.database.query(
      `INSERT INTO ${table} (${Object.keys(row).join()}) VALUES (${Object.keys(row)
        .map(() => "?")
        .join()})`,
      { replacements: Object.values(row) },
    );
  const knowledge = readKnowledge();
  const ids = Object.fromEntries(
    ["away", "bad", "edit", "picture", "decision", "opinion", "book", "packet"].map((name) => [name, uuid()]),
  );
  const find = (id: string, record: unknown, deleted: string | null = null) =>
    put("finds", {
      id,
      owner_id: LOCAL_PERSON,
      version: 2,
      record: JSON.stringify(record),
      found_at: AT,
      created_at: AT,
      updated_at: AT,
      deleted_at: deleted,
    });
  await find(good.id, good);
  await find(ids.away ?? "", newFind(ids.away ?? "", "2026-09-14T10:20:00Z"), AT);
  await find(ids.bad ?? "", { format: "of another age" });
  const ofGood = { owner_id: LOCAL_PERSON, find_id: good.id };
  await put("edits", {
    id: ids.edit,
    ...ofGood,
    version: 2,
    edit: JSON.stringify({
      id: ids.edit,
      at: "2026-09-14T10:21:00Z",
      change: { kind: "set-find", field: "label", value: good.label },
    }),
    inverse: JSON.stringify({ kind: "set-find", field: "label", value: null }),
    received_at: AT,
  });
  await put("settled", {
    owner_id: LOCAL_PERSON,
    version: 3,
    content: JSON.stringify({ rules: { distance: 3 }, limits: [] }),
    changed_at: AT,
  });
  await put("pictures", {
    id: ids.picture,
    ...ofGood,
    body: "A",
    part: "foot",
    width: 2,
    height: 2,
    sent: "0".repeat(64),
    content: Buffer.from("a picture"),
    received_at: AT,
    deleted_at: null,
  });
  const answer = assess(good, knowledge);
  await put("decisions", {
    id: ids.decision,
    ...ofGood,
    version: 2,
    frozen: JSON.stringify({
      find: good,
      rules: { amanitas: "never" },
      edition: answer.edition,
      answer,
      endings: good.bodies.map(({ id }) => ({ body: id, ending: "looked-at-only", reason: "to learn it" })),
    }),
    decided_at: AT,
  });
  await put("witnesses", {
    id: ids.opinion,
    ...ofGood,
    kind: "in-hand",
    name: "Ilva Marrund",
    agrees: null,
    looks: JSON.stringify([{ body: "A", entry: { character: "ring", states: ["skirt"] } }]),
    heard_at: AT,
  });
  await put("witnesses", {
    id: ids.book,
    ...ofGood,
    kind: "book",
    name: "Lakes",
    agrees: 1,
    looks: "[]",
    heard_at: AT,
  });
  await put("packets", {
    id: ids.packet,
    ...ofGood,
    token: "0".repeat(32),
    record: JSON.stringify(good),
    made_at: AT,
  });
  return { scratch, ids };
}

describe("what was kept before there were documents", () => {
  let scratch: Scratch;
  let ids: Record<string, string>;
  before(async function () {
    this.timeout(60_000);
    ({ scratch, ids } = await oldDatabase());
    await migrate(scratch.database);
  });
  after(() => scratch.drop());

  const select = (query: string) => scratch.database.query<Record<string, unknown>>(query, { type: QueryTypes.SELECT });
  const document = async (id: string | undefined) => (await select(`SELECT * FROM documents WHERE id = '${id}'`))[0];

  it("is all there, each thing readable by its kind, and what was not readable is as it was", async () => {
    const rows = await select("SELECT * FROM documents");
    expect(rows).to.have.length(8);
    for (const row of rows) {
      const read = readContent(KINDS[row.kind as KindName] as (typeof KINDS)["find"], row.content, 1);
      expect(read.ok, `${row.kind} ${JSON.stringify(read)}`).to.equal(row.id !== ids.bad);
    }
    expect(findSchema.parse((await document(good.id))?.content)).to.deep.equal(good);
    expect((await document(ids.bad))?.content).to.deep.equal({ format: "of another age" });
    expect((await document(ids.away))?.archived_at).not.to.equal(null);
    expect((await document(LOCAL_PERSON))?.content).to.deep.equal({ rules: { distance: 3 }, limits: [] });
  });

  it("keeps who touched what, each edit a touch with its way back", async () => {
    const [row] = await select("SELECT * FROM touches");
    const touch = touchSchemaOf(KINDS.find).parse(row?.touch);
    expect(touch).to.deep.include({ id: ids.edit, by: LOCAL_PERSON });
    expect(touch.changes).to.deep.equal([{ kind: "set-find", field: "label", value: good.label }]);
    expect(row?.inverse).to.deep.equal([{ kind: "set-find", field: "label", value: null }]);
  });

  it("keeps of a decision what was answered then, how far each danger was among it", async () => {
    const kept = decisionSchema.parse((await document(ids.decision))?.content);
    const answer = assess(good, readKnowledge());
    expect(kept.answer.verdict).to.equal(answer.verdict);
    for (const { sheet, mistakes } of answer.dangers) expect(kept.answer.mistakes[sheet], sheet).to.equal(mistakes);
  });

  it("keeps what pictures show, and packets with their find", async () => {
    const [picture] = await select("SELECT content FROM picture_contents");
    expect(String(picture?.content)).to.equal("a picture");
    await scratch.database.query("DELETE FROM documents WHERE id = ?", { replacements: [good.id] });
    expect(await select("SELECT id FROM packets")).to.deep.equal([]);
    expect(await select("SELECT id FROM touches")).to.deep.equal([]);
  });

  it("stands in one order of changes, each place taken once, and the feed goes on behind it", async () => {
    const places = (await select("SELECT place FROM documents ORDER BY place")).map((row) => Number(row.place));
    expect(new Set(places).size).to.equal(places.length);
    const [feed] = await select("SELECT place FROM feeds");
    expect(Number(feed?.place)).to.equal(8);
  });

  it("is carried over once, also where the step was cut off in the middle", async function () {
    this.timeout(60_000);
    const { scratch: other } = await oldDatabase();
    const ids = async () =>
      (
        await other.database.query<{ id: string }>("SELECT id FROM documents ORDER BY id", { type: QueryTypes.SELECT })
      ).map((row) => row.id);
    // the last of the tables that are read is out of reach: everything before it is carried over, and it stops there
    await other.database.query("RENAME TABLE witnesses TO hidden");
    let stopped = false;
    await migrate(other.database).catch(() => {
      stopped = true;
    });
    expect(stopped).to.equal(true);
    expect(await ids()).to.have.length(6);
    await other.database.query("RENAME TABLE hidden TO witnesses");
    await migrate(other.database);
    expect(await ids()).to.have.length(8);
    expect(await migrate(other.database)).to.deep.equal([]);
    await other.drop();
  });
});
