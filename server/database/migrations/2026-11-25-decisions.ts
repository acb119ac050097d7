/** Decisions, frozen as they were made; and what a person has settled for themselves. */
import { DataTypes, type QueryInterface } from "sequelize";
import { ensureIndex } from "./repeatable.ts";

const id = () => ({ type: DataTypes.CHAR(36), allowNull: false });
const moment = () => ({ type: DataTypes.DATE(3), allowNull: false });
const json = () => ({ type: DataTypes.JSON, allowNull: false });

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable("decisions", {
    id: { ...id(), primaryKey: true },
    owner_id: { ...id(), references: { model: "people", key: "id" } },
    find_id: { ...id(), references: { model: "finds", key: "id" }, onDelete: "CASCADE" },
    version: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false, comment: "the find's version that was decided" },
    frozen: json(),
    decided_at: moment(),
  });
  await ensureIndex(queries, "decisions", ["find_id", "decided_at"]);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable("decisions");
}
