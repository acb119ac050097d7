/** Brings the schema of the database to what this program expects, a step at a time, each step once. */
import type { QueryInterface, Sequelize } from "sequelize";
import { SequelizeStorage, Umzug } from "umzug";
import * as decisions from "./migrations/2026-11-25-decisions.ts";
import * as firstTables from "./migrations/2026-11-25-first-tables.ts";
import * as packets from "./migrations/2026-11-25-packets.ts";
import * as pictures from "./migrations/2026-11-25-pictures.ts";
import * as settled from "./migrations/2026-11-25-settled.ts";
import * as demoFinds from "./migrations/2026-11-26-demo-finds.ts";
import * as packetsWithdrawn from "./migrations/2026-11-26-packets-withdrawn.ts";
import * as documents from "./migrations/2026-11-27-documents.ts";
import * as placeLinks from "./migrations/2026-11-28-place-links.ts";
import * as rounds from "./migrations/2026-11-29-rounds.ts";
import * as people from "./migrations/2026-12-01-people.ts";
import * as circles from "./migrations/2026-12-02-circles.ts";

/** One step forward and, where nothing would be lost, back. */
export interface Migration {
  readonly up: (queries: QueryInterface) => Promise<void>;
  readonly down: (queries: QueryInterface) => Promise<void>;
}

const MIGRATIONS: readonly (readonly [string, Migration])[] = [
  ["2026-11-25-first-tables", firstTables],
  ["2026-11-25-pictures", pictures],
  ["2026-11-25-decisions", decisions],
  ["2026-11-25-packets", packets],
  ["2026-11-25-settled", settled],
  ["2026-11-26-demo-finds", demoFinds],
  ["2026-11-26-packets-withdrawn", packetsWithdrawn],
  ["2026-11-27-documents", documents],
  ["2026-11-28-place-links", placeLinks],
  ["2026-11-29-rounds", rounds],
  ["2026-12-01-people", people],
  ["2026-12-02-circles", circles],
];

/** The migrations of a database. */
export function migrationsOf(database: Sequelize): Umzug<QueryInterface> {
  return new Umzug({
    migrations: MIGRATIONS.map(([name, { up, down }]) => ({
      name,
      up: ({ context }) => up(context),
      down: ({ context }) => down(context),
    })),
    context: database.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize: database, tableName: "migrations" }),
    logger: undefined,
  });
}

/** Runs what has not run yet; returns the names of what ran. */
export async function migrate(database: Sequelize): Promise<string[]> {
  return (await migrationsOf(database).up()).map((migration) => migration.name);
}
