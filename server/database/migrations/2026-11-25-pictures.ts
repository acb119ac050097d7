/** Pictures of finds: a memory, kept with the find, owned like it. */
import { DataTypes, type QueryInterface } from "sequelize";
import { ensureIndex } from "./repeatable.ts";

const id = () => ({ type: DataTypes.CHAR(36), allowNull: false });
const moment = () => ({ type: DataTypes.DATE(3), allowNull: false });

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable("pictures", {
    id: { ...id(), primaryKey: true },
    owner_id: { ...id(), references: { model: "people", key: "id" } },
    find_id: { ...id(), references: { model: "finds", key: "id" }, onDelete: "CASCADE" },
    body: { type: DataTypes.STRING(16), allowNull: true },
    part: { type: DataTypes.STRING(16), allowNull: false },
    width: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
    height: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
    sent: { type: DataTypes.CHAR(64), allowNull: false, comment: "SHA-256 of what was sent, to know a repeated write" },
    content: { type: DataTypes.BLOB("medium"), allowNull: false },
    received_at: moment(),
    deleted_at: { type: DataTypes.DATE(3), allowNull: true },
  });
  await ensureIndex(queries, "pictures", ["find_id", "deleted_at", "received_at"]);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable("pictures");
}
