/** What each person has settled for themselves, kept with a version that detects conflicts. */
import { canonicalJson, NOTHING_SETTLED, type Settled, settledSchema } from "@jittery-cap/core";
import type { Sequelize } from "sequelize";
import { inTransaction } from "./collisions.ts";
import type { Models, SettledRow } from "./models.ts";

/** What is settled, with its version; 0 where nothing was settled yet. */
export interface KeptSettled {
  readonly version: number;
  readonly settled: Settled;
}

/** What may come of settling. */
export type SettledWritten =
  | { readonly kind: "stored"; readonly kept: KeptSettled }
  | { readonly kind: "conflict"; readonly current: KeptSettled };

/** The settled matters of all owners; every question names its owner. */
export class SettledStore {
  private readonly database: Sequelize;
  private readonly models: Models;

  constructor(database: Sequelize, models: Models) {
    this.database = database;
    this.models = models;
  }

  /** What an owner has settled. */
  async read(ownerId: string): Promise<KeptSettled> {
    return keptOf(await this.models.settled.findByPk(ownerId));
  }

  /** Settles over the version that the writer knew. The same write sent again is answered as if it were the first. */
  async put(ownerId: string, known: number, settled: Settled): Promise<SettledWritten> {
    return inTransaction(this.database, async (transaction): Promise<SettledWritten> => {
      const row = await this.models.settled.findByPk(ownerId, { transaction, lock: transaction.LOCK.UPDATE });
      const there = keptOf(row);
      if (there.version === known + 1 && canonicalJson(there.settled) === canonicalJson(settled))
        return { kind: "stored", kept: there };
      if (there.version !== known) return { kind: "conflict", current: there };
      const written = { ownerId, version: known + 1, content: settled, changedAt: new Date() };
      if (row === null) await this.models.settled.create(written, { transaction });
      else await row.update(written, { transaction });
      return { kind: "stored", kept: { version: known + 1, settled } };
    });
  }
}

/** A row that does not parse is a fault of ours, not of the person's. */
const keptOf = (row: SettledRow | null): KeptSettled =>
  row === null
    ? { version: 0, settled: NOTHING_SETTLED }
    : { version: row.version, settled: settledSchema.parse(row.content) };
