/** Puts what a group of writes made of documents into the tables, in few statements: this is what every touch comes by. */
import type { Touch } from "@jittery-cap/core/documents";
import { QueryTypes, type Sequelize, type Transaction } from "sequelize";
import type { Row } from "./document.ts";

/** A touch as it is stored. */
export interface NewTouch {
  readonly id: string;
  readonly documentId: string;
  readonly version: number;
  readonly authorId: string;
  readonly touch: Touch<unknown>;
  readonly inverse: readonly unknown[];
  readonly receivedAt: Date;
}

/** What a group made of one document. */
export interface ChangedDocument {
  row: Row;
  readonly isNew: boolean;
  readonly fresh: readonly NewTouch[];
  /** What is stored with a new document, in the same transaction. */
  readonly beside: readonly ((transaction: Transaction) => Promise<void>)[];
}

const CHANGING_COLUMNS = [
  "about",
  "content_schema",
  "version",
  "content",
  "listed_at",
  "place",
  "updated_at",
  "archived_at",
] as const;
const DOCUMENT_COLUMNS = [
  "id",
  "kind",
  "owner_id",
  "about",
  "content_schema",
  "version",
  "content",
  "made",
  "listed_at",
  "place",
  "created_at",
  "updated_at",
  "archived_at",
] as const;

/**
 * Stores documents with their new touches, each at the next place of its owner's feed.
 * @param places the place of each owner's latest change; moved on here, as the rows are
 */
export async function storeChanged(
  database: Sequelize,
  changed: readonly ChangedDocument[],
  places: Map<string, number>,
  transaction: Transaction,
): Promise<void> {
  if (changed.length === 0) return;
  for (const state of changed) {
    const place = (places.get(state.row.ownerId) ?? 0) + 1;
    places.set(state.row.ownerId, place);
    state.row = { ...state.row, place };
  }
  // in one statement each, without a model instance for every row: this is what every touch comes by
  const insert = (table: string, columns: readonly string[], rows: readonly (readonly unknown[])[], more = "") =>
    database.query(
      `INSERT INTO ${table} (${columns.join()}) VALUES ${rows
        .map((row) => `(${row.map(() => "?").join()})`)
        .join()} ${more}`,
      { type: QueryTypes.INSERT, replacements: rows.flat(), transaction },
    );
  await insert(
    "documents",
    DOCUMENT_COLUMNS,
    changed.map(({ row }) => [
      row.id,
      row.kind,
      row.ownerId,
      row.about,
      row.contentSchema,
      row.version,
      JSON.stringify(row.content),
      row.made,
      row.listedAt,
      row.place,
      row.createdAt,
      row.updatedAt,
      row.archivedAt,
    ]),
    `ON DUPLICATE KEY UPDATE ${CHANGING_COLUMNS.map((column) => `${column} = VALUES(${column})`).join()}`,
  );
  const touches = changed.flatMap((one) => one.fresh);
  if (touches.length > 0)
    await insert(
      "touches",
      ["id", "document_id", "version", "author_id", "touch", "inverse", "received_at"],
      touches.map((one) => [
        one.id,
        one.documentId,
        one.version,
        one.authorId,
        JSON.stringify(one.touch),
        JSON.stringify(one.inverse),
        one.receivedAt,
      ]),
    );
  for (const state of changed) if (state.isNew) for (const store of state.beside) await store(transaction);
  for (const [ownerId, place] of places)
    await database.query("UPDATE feeds SET place = ? WHERE owner_id = ?", {
      type: QueryTypes.UPDATE,
      replacements: [place, ownerId],
      transaction,
    });
}
