/** Carries over what this device kept before there were documents: finds, edits that wait, pictures that wait. */
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import type { Transaction } from "dexie";
import { z } from "zod";

const findRow = z.looseObject({
  id: z.string(),
  find: z.looseObject({ foundAt: z.string().optional() }),
  base: z.unknown(),
  version: z.number(),
});
const waitingRow = z.looseObject({
  id: z.string(),
  findId: z.string(),
  order: z.number(),
  edit: z.looseObject({ change: z.unknown() }),
});
const pictureRow = z.looseObject({
  id: z.string(),
  findId: z.string(),
  part: z.string(),
  body: z.string().optional(),
  takenAt: z.string(),
  file: z.instanceof(Blob).optional(),
  sent: z.boolean(),
  away: z.boolean(),
});

/** Rows that have the shape they should; others cannot be carried over. */
const rowsOf = async <Schema extends z.ZodType>(table: string, schema: Schema, transaction: Transaction) =>
  (await transaction.table(table).toArray()).flatMap((row) => {
    const parsed = schema.safeParse(row);
    return parsed.success ? [parsed.data] : [];
  });

export async function carryOver(transaction: Transaction): Promise<void> {
  for (const { id, find, base, version } of await rowsOf("finds", findRow, transaction))
    await transaction.table("documents").put({
      id,
      kind: "find",
      schema: 1,
      version,
      base,
      content: find,
      archived: 0,
      listedAt: find.foundAt ?? "",
      about: "",
      revision: 0,
    });
  const waiting = await rowsOf("waiting", waitingRow, transaction);
  for (const { id, findId, edit } of waiting.sort((one, other) => one.order - other.order)) {
    const { change, ...rest } = edit;
    await transaction
      .table("queue")
      .add({ id, documentId: findId, touch: { ...rest, by: LOCAL_PERSON, changes: [change] } });
  }
  // a picture that the server has comes from there; one that it has not is kept with its file
  for (const { id, findId, part, body, takenAt, file, sent, away } of await rowsOf(
    "pictures",
    pictureRow,
    transaction,
  )) {
    if (sent || away || file === undefined) continue;
    const content = { about: findId, part, takenAt, ...(body === undefined ? {} : { body }) };
    await transaction.table("documents").put({
      id,
      kind: "picture",
      schema: 1,
      version: 0,
      base: content,
      content,
      archived: 0,
      listedAt: takenAt,
      about: findId,
      revision: 0,
    });
    await transaction.table("files").put({ id, file });
  }
}
