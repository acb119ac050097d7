/** Packets for a second pair of eyes, and what other people and books said. */
import { DataTypes, type QueryInterface } from "sequelize";
import { ensureIndex } from "./repeatable.ts";

const id = () => ({ type: DataTypes.CHAR(36), allowNull: false });
const moment = () => ({ type: DataTypes.DATE(3), allowNull: false });
const json = () => ({ type: DataTypes.JSON, allowNull: false });
const owner = () => ({ ...id(), references: { model: "people", key: "id" } });
const find = () => ({ ...id(), references: { model: "finds", key: "id" }, onDelete: "CASCADE" });

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable("packets", {
    id: { ...id(), primaryKey: true },
    owner_id: owner(),
    find_id: find(),
    token: { type: DataTypes.CHAR(32), allowNull: false, unique: true },
    record: json(),
    made_at: moment(),
  });
  await queries.createTable("witnesses", {
    id: { ...id(), primaryKey: true },
    owner_id: owner(),
    find_id: find(),
    kind: { type: DataTypes.STRING(20), allowNull: false },
    name: { type: DataTypes.STRING(200), allowNull: false },
    agrees: { type: DataTypes.BOOLEAN, allowNull: true },
    looks: json(),
    heard_at: moment(),
  });
  await ensureIndex(queries, "witnesses", ["find_id", "heard_at"]);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable("witnesses");
  await queries.dropTable("packets");
}
