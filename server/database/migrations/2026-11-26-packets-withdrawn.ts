/** A packet can be taken back. */
import { DataTypes, type QueryInterface } from "sequelize";

export async function up(queries: QueryInterface): Promise<void> {
  const columns = await queries.describeTable("packets");
  if (columns.withdrawn_at === undefined)
    await queries.addColumn("packets", "withdrawn_at", { type: DataTypes.DATE(3), allowNull: true });
}

export async function down(queries: QueryInterface): Promise<void> {
  // Sequelize stumbles over what this database answers to its own question about foreign keys
  await queries.sequelize.query("ALTER TABLE packets DROP COLUMN withdrawn_at");
}
