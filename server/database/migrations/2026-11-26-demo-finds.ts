/** Which demo finds were loaded once: what a person has deleted for good is not loaded again. */
import { DataTypes, type QueryInterface } from "sequelize";

export async function up(queries: QueryInterface): Promise<void> {
  const id = { type: DataTypes.CHAR(36), allowNull: false, primaryKey: true };
  await queries.createTable("demo_finds", {
    owner_id: { ...id, references: { model: "people", key: "id" } },
    find_id: { ...id },
  });
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable("demo_finds");
}
