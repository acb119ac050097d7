/**
 * One table for all that a person keeps, one for the touches that made it. What was in tables of its own is carried over: finds
 * and their edits, own settings, pictures, decisions, what other people and books said. Every step can be taken again.
 */
import { DataTypes, type QueryInterface, QueryTypes } from "sequelize";
import { carryOver } from "./carry-over.ts";
import { ensureIndex } from "./repeatable.ts";

const id = () => ({ type: DataTypes.CHAR(36), allowNull: false });
const moment = () => ({ type: DataTypes.DATE(3), allowNull: false });
const json = () => ({ type: DataTypes.JSON, allowNull: false });
const count = () => ({ type: DataTypes.INTEGER.UNSIGNED, allowNull: false });
const place = () => ({ type: DataTypes.BIGINT, allowNull: false });
const person = () => ({ ...id(), references: { model: "people", key: "id" } });
const document = () => ({ ...id(), references: { model: "documents", key: "id" }, onDelete: "CASCADE" });

/** The tables that were one for each kind, those first that point to others. */
const BEFORE = ["edits", "decisions", "witnesses", "pictures", "settled", "finds"] as const;

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable("documents", {
    id: { ...id(), primaryKey: true },
    kind: { type: DataTypes.STRING(20), allowNull: false },
    owner_id: person(),
    about: { type: DataTypes.CHAR(36), allowNull: true, comment: "the find that it is about" },
    content_schema: count(),
    version: count(),
    content: json(),
    made: { type: DataTypes.CHAR(64), allowNull: false, comment: "SHA-256 of what it was made of" },
    listed_at: moment(),
    place: { ...place(), comment: "where it stands in the order of its owner's changes" },
    created_at: moment(),
    updated_at: moment(),
    archived_at: { type: DataTypes.DATE(3), allowNull: true },
  });
  await ensureIndex(queries, "documents", ["owner_id", "place"], { unique: true });
  await ensureIndex(queries, "documents", ["owner_id", "kind", "archived_at", "listed_at", "id"]);
  await ensureIndex(queries, "documents", ["about", "kind"]);
  await queries.createTable("touches", {
    id: { ...id(), primaryKey: true },
    document_id: document(),
    version: { ...count(), comment: "the document's version after it" },
    author_id: id(),
    touch: json(),
    inverse: json(),
    received_at: moment(),
  });
  await ensureIndex(queries, "touches", ["document_id", "version"], { unique: true });
  await queries.createTable("feeds", { owner_id: { ...person(), primaryKey: true }, place: place() });
  await queries.createTable("verdicts", {
    document_id: { ...document(), primaryKey: true },
    version: count(),
    edition: { type: DataTypes.STRING(64), allowNull: false },
    verdict: { type: DataTypes.STRING(12), allowNull: false },
    summary: json(),
  });
  await queries.createTable("picture_contents", {
    document_id: { ...document(), primaryKey: true },
    sent: { type: DataTypes.CHAR(64), allowNull: false },
    width: count(),
    height: count(),
    content: { type: DataTypes.BLOB("medium"), allowNull: false },
  });
  // the finds go last: as long as they are there, not everything was carried over
  if (await queries.tableExists("finds")) {
    await carryOver(queries);
    await dropForeignKeys(queries, "packets", "finds");
    for (const table of BEFORE) await queries.dropTable(table);
  }
  if ((await foreignKeys(queries, "packets", "documents")).length === 0)
    await queries.sequelize.query(
      "ALTER TABLE packets ADD CONSTRAINT packets_document FOREIGN KEY (find_id) REFERENCES documents (id) ON DELETE CASCADE",
    );
}

/** The names of the constraints by which one table points to another. */
async function foreignKeys(queries: QueryInterface, table: string, other: string): Promise<readonly string[]> {
  const rows = await queries.sequelize.query<{ name: string }>(
    `SELECT CONSTRAINT_NAME AS name FROM information_schema.KEY_COLUMN_USAGE
     WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = ? AND REFERENCED_TABLE_NAME = ?`,
    { type: QueryTypes.SELECT, replacements: [table, other] },
  );
  return rows.map((row) => row.name);
}

async function dropForeignKeys(queries: QueryInterface, table: string, other: string): Promise<void> {
  for (const name of await foreignKeys(queries, table, other))
    await queries.sequelize.query(`ALTER TABLE ${table} DROP FOREIGN KEY \`${name}\``);
}

export async function down(): Promise<void> {
  // one touch of several changes, and records rebased upon each other, have no place in the tables of before
  throw new Error("documents cannot be taken apart again: bring a copy of the database back instead");
}
