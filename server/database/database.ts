/** The connection to MariaDB. */
import { QueryTypes, Sequelize } from "sequelize";

const MOST_CONNECTIONS = 10;
/** A connection is waited for so long, ms: a busy machine is no reason not to start. */
const CONNECTS_WITHIN_MS = 5000;
/** An error of the database comes through so many places of its own that ours would not be named among the first ten. */
const NAMED_PLACES = 30;

/** Opens a pool on the database that the URL names; nothing is asked of it yet. @param isCluster whether several nodes stand there */
export function openDatabase(url: string, isCluster = false): Sequelize {
  Error.stackTraceLimit = Math.max(Error.stackTraceLimit, NAMED_PLACES);
  const database = new Sequelize(url.replace(/^mysql:/, "mariadb:"), {
    dialect: "mariadb",
    logging: false,
    timezone: "+00:00",
    dialectOptions: { connectTimeout: CONNECTS_WITHIN_MS },
    pool: { max: MOST_CONNECTIONS, idle: 10_000 },
    define: { underscored: true, charset: "utf8mb4", collate: "utf8mb4_bin" },
  });
  if (isCluster)
    database.addHook("afterConnect", async (connection) => {
      // a node that has not yet taken in what another has written is waited for: nobody sees a find older than it was
      await (connection as { query: (sql: string) => Promise<unknown> }).query("SET SESSION wsrep_sync_wait = 1");
    });
  return database;
}

/** A database that has not answered for so long is down, ms: one that was stopped in its tracks never answers at all. */
const ANSWERS_WITHIN_MS = 2000;

/** Whether the database answers, and soon. */
export async function isAnswering(database: Pick<Sequelize, "query">): Promise<boolean> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<false>((resolve) => {
    timer = setTimeout(() => resolve(false), ANSWERS_WITHIN_MS);
  });
  const asked = database.query("SELECT 1", { type: QueryTypes.SELECT }).then(
    () => true,
    () => false,
  );
  const answers = await Promise.race([asked, late]);
  clearTimeout(timer);
  return answers;
}
