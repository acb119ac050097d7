/** People, finds and the edits that made them. Every row has an owner from the first day. */

import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { DataTypes, type QueryInterface } from "sequelize";
import { ensureIndex } from "./repeatable.ts";

const id = { type: DataTypes.CHAR(36), allowNull: false };
const owner = { ...id, references: { model: "people", key: "id" } };
const moment = { type: DataTypes.DATE(3), allowNull: false };

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable("people", {
    id: { ...id, primaryKey: true },
    name: { type: DataTypes.STRING(200), allowNull: false },
    created_at: moment,
  });
  await queries.bulkInsert("people", [{ id: LOCAL_PERSON, name: "this person", created_at: new Date() }], {
    ignoreDuplicates: true,
  } as object);
  await queries.createTable("finds", {
    id: { ...id, primaryKey: true },
    owner_id: owner,
    version: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
    record: { type: DataTypes.JSON, allowNull: false },
    found_at: { type: DataTypes.DATE(3), allowNull: true },
    created_at: moment,
    updated_at: moment,
    deleted_at: { type: DataTypes.DATE(3), allowNull: true },
  });
  await ensureIndex(queries, "finds", ["owner_id", "deleted_at", "found_at"]);
  await queries.createTable("edits", {
    id: { ...id, primaryKey: true },
    owner_id: owner,
    find_id: { ...id, references: { model: "finds", key: "id" }, onDelete: "CASCADE" },
    version: {
      type: DataTypes.INTEGER.UNSIGNED,
      allowNull: false,
      comment: "the find's version after this edit",
    },
    edit: { type: DataTypes.JSON, allowNull: false },
    inverse: { type: DataTypes.JSON, allowNull: false },
    received_at: moment,
  });
  await ensureIndex(queries, "edits", ["find_id", "version"], { unique: true });
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable("edits");
  await queries.dropTable("finds");
  await queries.dropTable("people");
}
