/** A document as this server holds it, read from its row and looked through. */
import { createHash } from "node:crypto";
import { canonicalJson, type Fault, type Parsed } from "@jittery-cap/core";
import type { SentDocument } from "@jittery-cap/core/api";
import {
  type ContentOf,
  type DocumentKind,
  KIND_NAMES,
  KINDS,
  type KindName,
  readContent,
} from "@jittery-cap/core/documents";
import { LRUCache } from "lru-cache";
import { z } from "zod";
import type { DocumentRow } from "../database/rows.ts";

/** Where documents stand that have no moment to be listed by: behind all others. */
export const UNLISTED = new Date("1000-01-01T00:00:00Z");

/** What of a row is needed to read it. */
export type Row = Pick<
  DocumentRow,
  | "id"
  | "kind"
  | "ownerId"
  | "about"
  | "contentSchema"
  | "version"
  | "content"
  | "made"
  | "listedAt"
  | "place"
  | "createdAt"
  | "updatedAt"
  | "archivedAt"
>;

const nameSchema = z.enum(KIND_NAMES);

/** The kind of a row's document. @throws where the row names none: that is a fault of ours */
export const kindNameOf = (name: string): KindName => nameSchema.parse(name);
export const kindOf = (name: KindName): DocumentKind<unknown, unknown> => KINDS[name];

/** Contents that were looked through lately, by id and version: what was read is not looked through again. */
const READ_LATELY = 4000;
const lately = new LRUCache<string, object>({ max: READ_LATELY });
const keyOf = ({ id, version, updatedAt }: Pick<Row, "id" | "version" | "updatedAt">) =>
  `${id} ${version} ${updatedAt.getTime()}`;

/** The content of a row, or why it cannot be read. */
export function contentOf(row: Row): Parsed<unknown> {
  const known = lately.get(keyOf(row));
  if (known !== undefined) return { ok: true, value: known };
  const read = readContent(kindOf(kindNameOf(row.kind)), row.content, row.contentSchema);
  if (read.ok) remember(row, read.value);
  return read;
}

/** The content of a row of a kind; undefined where it is of another, or cannot be read. */
export function contentAs<Name extends KindName>(row: Row, name: Name): ContentOf[Name] | undefined {
  if (row.kind !== name) return undefined;
  const read = contentOf(row);
  // what was looked through by the schema of its kind is of that kind
  return read.ok ? (read.value as ContentOf[Name]) : undefined;
}

/** Remembers what was written: it was looked through before it was. */
export function remember(row: Pick<Row, "id" | "version" | "updatedAt">, content: unknown): void {
  if (typeof content === "object" && content !== null) lately.set(keyOf(row), content);
}

/** The hash by which a repeated write is known. */
export const hashOf = (content: unknown): string => createHash("sha256").update(canonicalJson(content)).digest("hex");

/** A document as it travels; its content as it is kept, which whoever reads it looks through. */
export function sentOf(row: Row): SentDocument {
  return {
    id: row.id,
    kind: kindNameOf(row.kind),
    schema: row.contentSchema,
    version: row.version,
    content: row.content,
    archived: row.archivedAt !== null,
    updatedAt: row.updatedAt.toISOString(),
    at: row.place,
  };
}

/** What may come of a write. */
export type Written =
  | { readonly kind: "stored"; readonly row: Row; readonly isNew: boolean }
  | { readonly kind: "conflict"; readonly row: Row }
  | { readonly kind: "refused"; readonly faults: readonly Fault[] }
  | { readonly kind: "missing" };
