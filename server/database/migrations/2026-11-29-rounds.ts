/** Rounds that are taught, and what was answered in them. */
import { DataTypes, type QueryInterface } from "sequelize";
import { ensureIndex } from "./repeatable.ts";

const id = () => ({ type: DataTypes.CHAR(36), allowNull: false });

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable("rounds", {
    id: { ...id(), primaryKey: true },
    owner_id: { ...id(), references: { model: "people", key: "id" } },
    token: { type: DataTypes.CHAR(32), allowNull: false, unique: true },
    name: { type: DataTypes.STRING(80), allowNull: false },
    items: { type: DataTypes.JSON, allowNull: false },
    shown: { type: DataTypes.JSON, allowNull: true },
    made_at: { type: DataTypes.DATE(3), allowNull: false },
    withdrawn_at: { type: DataTypes.DATE(3), allowNull: true },
  });
  await queries.createTable("round_answers", {
    id: { ...id(), primaryKey: true },
    round_id: { ...id(), references: { model: "rounds", key: "id" }, onDelete: "CASCADE" },
    guest: id(),
    name: { type: DataTypes.STRING(80), allowNull: false },
    at: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
    said: { type: DataTypes.JSON, allowNull: false },
    said_at: { type: DataTypes.DATE(3), allowNull: false },
  });
  // a phone has one answer to a find
  await ensureIndex(queries, "round_answers", ["round_id", "guest", "at"], { unique: true });
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable("round_answers");
  await queries.dropTable("rounds");
}
