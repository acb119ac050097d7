/** What people have settled for themselves: house rules for new finds, and limits for a day. */
import { DataTypes, type QueryInterface } from "sequelize";

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable("settled", {
    owner_id: {
      type: DataTypes.CHAR(36),
      allowNull: false,
      primaryKey: true,
      references: { model: "people", key: "id" },
    },
    version: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
    content: { type: DataTypes.JSON, allowNull: false },
    changed_at: { type: DataTypes.DATE(3), allowNull: false },
  });
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable("settled");
}
