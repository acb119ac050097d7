/** Links by which somebody else sees a place as its owner shows it. */
import { DataTypes, type QueryInterface } from "sequelize";

const id = () => ({ type: DataTypes.CHAR(36), allowNull: false });

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable("place_links", {
    id: { ...id(), primaryKey: true },
    owner_id: { ...id(), references: { model: "people", key: "id" } },
    place_id: { ...id(), references: { model: "documents", key: "id" }, onDelete: "CASCADE" },
    token: { type: DataTypes.CHAR(32), allowNull: false, unique: true },
    name: { type: DataTypes.STRING(120), allowNull: false },
    made_at: { type: DataTypes.DATE(3), allowNull: false },
    withdrawn_at: { type: DataTypes.DATE(3), allowNull: true },
  });
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable("place_links");
}
