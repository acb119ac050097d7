/** Finds as they are kept: every write in one transaction, idempotent, with a version that detects conflicts. */
import {
  applyEdits,
  canonicalFind,
  canonicalJson,
  type Edit,
  editSchema,
  type Fault,
  type Find,
  parseFind,
} from "@jittery-cap/core";
import { Op, type Sequelize, type Transaction } from "sequelize";
import { inTransaction } from "./collisions.ts";
import type { FindRow, Models } from "./models.ts";

/** A find with its version, as the server holds it. */
export interface StoredFind {
  readonly find: Find;
  readonly version: number;
  readonly updatedAt: string;
  readonly deletedAt?: string;
}

/** What may come of a write. */
export type Written =
  | { readonly kind: "stored"; readonly stored: StoredFind; readonly isNew: boolean }
  | { readonly kind: "conflict"; readonly current: StoredFind }
  | { readonly kind: "refused"; readonly faults: readonly Fault[] }
  | { readonly kind: "missing" };

/** How long a deleted find can be brought back. */
export const DAYS_UNTIL_PURGED = 30;
const DAY_MS = 24 * 60 * 60 * 1000;

/** The finds of all owners; every question names its owner. */
export class FindStore {
  private readonly database: Sequelize;
  private readonly models: Models;

  constructor(database: Sequelize, models: Models) {
    this.database = database;
    this.models = models;
  }

  /** The owner's finds, latest found first; deleted ones only when asked for. */
  async list(ownerId: string, deleted = false): Promise<StoredFind[]> {
    const rows = await this.models.finds.findAll({
      where: { ownerId, deletedAt: deleted ? { [Op.not]: null } : null },
      order: [
        ["foundAt", "DESC"],
        ["id", "DESC"],
      ],
    });
    return rows.map(storedOf);
  }

  /** One find, or undefined where the owner has none by that id. */
  async read(ownerId: string, id: string): Promise<StoredFind | undefined> {
    const row = await this.models.finds.findOne({ where: { ownerId, id, deletedAt: null } });
    return row === null ? undefined : storedOf(row);
  }

  /**
   * Stores a whole find over the version that the writer knew (0 for a new one). The same write sent again is answered
   * as if it were the first.
   */
  async put(ownerId: string, find: Find, known: number): Promise<Written> {
    const record = canonicalFind(find);
    return inTransaction(this.database, async (transaction): Promise<Written> => {
      const row = await this.locked(find.id, transaction);
      if (row !== null && row.ownerId !== ownerId) return { kind: "missing" };
      if (
        row !== null &&
        row.version === known + 1 &&
        canonicalJson(row.record) === canonicalJson(record) &&
        row.deletedAt === null
      )
        return { kind: "stored", stored: storedOf(row), isNew: false };
      if (row === null && known !== 0) return { kind: "missing" };
      if (row !== null && (row.version !== known || row.deletedAt !== null))
        return { kind: "conflict", current: storedOf(row) };
      if (row === null) {
        const created = await this.models.finds.create(
          { id: find.id, ownerId, version: 1, record, foundAt: foundAt(find), deletedAt: null },
          { transaction },
        );
        return { kind: "stored", stored: storedOf(created), isNew: true };
      }
      await row.update({ record, version: known + 1, foundAt: foundAt(find) }, { transaction });
      return { kind: "stored", stored: storedOf(row), isNew: false };
    });
  }

  /**
   * Applies edits, in their order, over the version that the writer knew. Each edit raises the version by one; edits
   * that are already stored are passed over, so a batch may be sent again with more behind it.
   */
  async edit(ownerId: string, id: string, known: number, edits: readonly Edit[]): Promise<Written> {
    const twice = edits.findIndex((one, index) => edits.findIndex((other) => other.id === one.id) < index);
    if (twice >= 0)
      return { kind: "refused", faults: [{ path: `edits[${twice}].id`, message: "stands twice in this batch" }] };
    return inTransaction(this.database, async (transaction): Promise<Written> => {
      const row = await this.locked(id, transaction);
      if (row === null || row.ownerId !== ownerId || row.deletedAt !== null) return { kind: "missing" };
      const stored = await this.models.edits.findAll({
        where: { id: edits.map((one) => one.id) },
        transaction,
      });
      if (stored.some((one) => one.findId !== id))
        return {
          kind: "refused",
          faults: [{ path: "edits", message: "an edit with this id belongs to another find" }],
        };
      const fresh = edits.filter((one) => stored.every((old) => old.id !== one.id));
      if (fresh.length === 0) return { kind: "stored", stored: storedOf(row), isNew: false };
      if (row.version !== known + stored.length) return { kind: "conflict", current: storedOf(row) };
      const applied = applyEdits(storedOf(row).find, fresh);
      if (!applied.ok) {
        const passed = edits.length - fresh.length;
        return { kind: "refused", faults: applied.faults.map((fault) => later(fault, passed)) };
      }
      const { find, inverses } = applied.value;
      const version = row.version + fresh.length;
      const rows = fresh.map((edit, index) => ({
        id: edit.id,
        ownerId,
        findId: id,
        version: row.version + index + 1,
        edit,
        inverse: inverses[index],
        receivedAt: new Date(),
      }));
      await this.models.edits.bulkCreate(rows, { transaction });
      await row.update({ record: canonicalFind(find), version, foundAt: foundAt(find) }, { transaction });
      return { kind: "stored", stored: storedOf(row), isNew: false };
    });
  }

  /**
   * Puts a find that ships as a demo, once: whatever a person has made of it since, it is not put again.
   * @returns whether it was put
   */
  async putOnce(ownerId: string, find: Find): Promise<boolean> {
    const key = { ownerId, findId: find.id };
    if ((await this.models.demoFinds.findOne({ where: key })) !== null) return false;
    const written = await this.put(ownerId, find, 0);
    await this.models.demoFinds.findOrCreate({ where: key, defaults: key });
    return written.kind === "stored" && written.isNew;
  }

  /** The edits of a find, oldest first. */
  async history(ownerId: string, findId: string): Promise<{ version: number; edit: Edit; receivedAt: string }[]> {
    const rows = await this.models.edits.findAll({ where: { ownerId, findId }, order: [["version", "ASC"]] });
    return rows.map((row) => ({
      version: row.version,
      edit: editSchema.parse(row.edit),
      receivedAt: row.receivedAt.toISOString(),
    }));
  }

  /** Marks a find as deleted; it can be restored for a while. Deleting twice is deleting once. */
  async remove(ownerId: string, id: string): Promise<boolean> {
    const row = await this.models.finds.findOne({ where: { ownerId, id } });
    if (row === null) return false;
    if (row.deletedAt === null) await row.update({ deletedAt: new Date() });
    return true;
  }

  /** Brings a deleted find back as it was. */
  async restore(ownerId: string, id: string): Promise<StoredFind | undefined> {
    const row = await this.models.finds.findOne({ where: { ownerId, id } });
    if (row === null) return undefined;
    await row.update({ deletedAt: null });
    return storedOf(row);
  }

  /** Really deletes what was deleted long enough ago. @returns how many finds went */
  async purge(now: Date): Promise<number> {
    const before = new Date(now.getTime() - DAYS_UNTIL_PURGED * DAY_MS);
    return this.models.finds.destroy({ where: { deletedAt: { [Op.lt]: before } } });
  }

  private async locked(id: string, transaction: Transaction): Promise<FindRow | null> {
    return this.models.finds.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
  }
}

/** A fault with its place in the whole batch: the edits before the fresh ones were stored already. */
const later = ({ path, message }: Fault, passed: number): Fault => ({
  path: path.replace(/^edits\[(\d+)\]/, (_all, index: string) => `edits[${Number(index) + passed}]`),
  message,
});

function foundAt(find: Find): Date | null {
  return find.foundAt === undefined ? null : new Date(find.foundAt);
}

/** A row that does not parse is a fault of ours, not of the person's. */
function storedOf(row: FindRow): StoredFind {
  const parsed = parseFind(row.record);
  if (!parsed.ok)
    throw new Error(`find ${row.id} in the database is not well formed: ${JSON.stringify(parsed.faults)}`);
  return {
    find: parsed.value,
    version: row.version,
    updatedAt: row.updatedAt.toISOString(),
    ...(row.deletedAt === null ? {} : { deletedAt: row.deletedAt.toISOString() }),
  };
}
