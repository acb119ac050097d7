/** The connection to MariaDB. */
import { QueryTypes, Sequelize } from "sequelize";

const MOST_CONNECTIONS = 10;

/** Opens a pool on the database that the URL names; nothing is asked of it yet. */
export function openDatabase(url: string): Sequelize {
  return new Sequelize(url.replace(/^mysql:/, "mariadb:"), {
    dialect: "mariadb",
    logging: false,
    timezone: "+00:00",
    pool: { max: MOST_CONNECTIONS, idle: 10_000 },
    define: { underscored: true, charset: "utf8mb4", collate: "utf8mb4_bin" },
  });
}

/** Whether the database answers. */
export async function isAnswering(database: Sequelize): Promise<boolean> {
  try {
    await database.query("SELECT 1", { type: QueryTypes.SELECT });
    return true;
  } catch {
    return false;
  }
}
