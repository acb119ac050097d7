/** A database of its own for one test file, on the server that DATABASE_URL names. */
import { randomUUID } from "node:crypto";
import type { Sequelize } from "sequelize";
import { openDatabase } from "../database/database.ts";

export interface Scratch {
  readonly url: string;
  readonly database: Sequelize;
  readonly drop: () => Promise<void>;
}

/** Makes an empty database; the caller drops it. */
export async function scratchDatabase(): Promise<Scratch> {
  const base = process.env.DATABASE_URL;
  if (base === undefined) throw new Error("DATABASE_URL is not set: run the tests with ./test");
  const name = `jittery_test_${randomUUID().replaceAll("-", "").slice(0, 12)}`;
  const admin = openDatabase(base);
  await admin.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4 COLLATE utf8mb4_bin`);
  const url = base.replace(/\/[^/]*$/, `/${name}`);
  const database = openDatabase(url);
  return {
    url,
    database,
    drop: async () => {
      await database.close();
      await admin.query(`DROP DATABASE ${name}`);
      await admin.close();
    },
  };
}
