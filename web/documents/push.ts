/** Sends what one document has waiting, and takes in what the server answers. */

import { canonicalJson } from "@jittery-cap/core";
import { documentSchema, ROUTES, type SentDocument, type Write } from "@jittery-cap/core/api";
import { applyTouches, type KindName, readContent, type Touch, touchSchemaOf } from "@jittery-cap/core/documents";
import type { z } from "zod";
import { ask } from "../api/client.ts";
import { ANOTHERS, type DocumentRow, device, documentRowSchema, type QueuedTouch, UNSENT } from "./device.ts";
import { columnsOf, kindOf, touchNow } from "./documents.ts";

/** The server could not be asked: what waits is sent again later. */
export class Unreachable extends Error {}

/** Touches in one request. */
const A_REQUEST = 200;

/** What one document still has to say. */
interface Waiting {
  readonly row: DocumentRow;
  readonly queued: readonly QueuedTouch[];
}

/** What a document has waiting; undefined where that is nothing, or it is in trouble that a person has to see first. */
export function waitingOf(id: string): Promise<Waiting | undefined> {
  return device.transaction("r", device.documents, device.troubles, device.queue, async () => {
    const row = documentRowSchema.safeParse(await device.documents.get(id));
    if (!row.success) return undefined;
    if ((await device.troubles.get(id)) !== undefined) return undefined;
    const queued = await device.queue.where("documentId").equals(id).sortBy("order");
    return row.data.version > 0 && queued.length === 0 ? undefined : { row: row.data, queued };
  });
}

/** The documents that have something waiting, finds first: what is about one follows it. */
export async function waitingIds(): Promise<string[]> {
  const queued = (await device.queue.toArray()).map((one) => one.documentId);
  const fresh = await device.documents.where("version").equals(UNSENT).toArray();
  const ids = [...new Set([...fresh.filter((row) => row.kind === "find").map((row) => row.id), ...queued])];
  return [...new Set([...ids, ...fresh.map((row) => row.id)])];
}

/** Sends what a document has waiting, until nothing is left or a person has to see to it. @throws Unreachable */
export async function push(id: string): Promise<void> {
  for (;;) {
    const waiting = await waitingOf(id);
    if (waiting === undefined) return;
    const { row, queued } = waiting;
    // what is about a find waits until the server has heard of the find
    if (row.version === 0 && row.about !== "" && ((await device.documents.get(row.about))?.version ?? 1) === 0) return;
    if (row.kind === "picture" && row.version === 0) {
      if (!(await sendPicture(row))) return;
      continue;
    }
    const sent = queued.slice(0, A_REQUEST);
    const outcome = await ask(ROUTES.writeDocument, { params: { id }, body: writeOf(row, sent) });
    if (outcome.kind === "unreachable") throw new Unreachable(outcome.text);
    if (outcome.kind === "ok") {
      await acknowledge(outcome.value, sent);
      continue;
    }
    const { problem } = outcome;
    const current = problem.status === 409 ? documentSchema.safeParse(problem.current) : undefined;
    if (current?.success === true && (await mergeOf(row, current.data))) continue;
    await device.troubles.put({
      documentId: id,
      kind: current?.success === true ? "conflict" : "refused",
      text: problem.detail,
      ...(current?.success === true ? { current: current.data } : {}),
    });
    return;
  }
}

/** The request; its parts are looked through by the schema that the server uses as well. */
function writeOf(row: DocumentRow, queued: readonly QueuedTouch[]): z.input<(typeof ROUTES)["writeDocument"]["body"]> {
  const write = {
    kind: row.kind,
    known: row.version,
    ...(row.version === 0 ? { create: row.base } : {}),
    touches: queued.map((one) => one.touch),
  };
  // what this device kept was looked through when it was kept; the server looks through it again
  return write as Write;
}

/** @returns whether the server has the picture now */
async function sendPicture(row: DocumentRow): Promise<boolean> {
  const content = readContent(kindOf("picture"), row.content, row.schema);
  const file = (await device.files.get(row.id))?.file;
  const refuse = async (text: string) => {
    await device.troubles.put({ documentId: row.id, kind: "refused", text });
    return false;
  };
  if (!content.ok || file === undefined) return refuse("The picture is not on this device any more.");
  const { about, part, body, takenAt } = content.value;
  const outcome = await ask(ROUTES.putPicture, {
    params: { id: row.id },
    query: { about, part, takenAt, ...(body === undefined ? {} : { body }) },
    file,
  });
  if (outcome.kind === "unreachable") throw new Unreachable(outcome.text);
  if (outcome.kind === "refused") return refuse(outcome.problem.detail);
  await acknowledge(outcome.value, []);
  await device.files.delete(row.id);
  return true;
}

/** The server has these touches: what is left rests on the document as it answered it. */
async function acknowledge(sent: SentDocument, touches: readonly QueuedTouch[]): Promise<void> {
  await device.transaction("rw", device.documents, device.queue, device.troubles, async () => {
    await device.queue.bulkDelete(touches.flatMap((one) => one.order ?? []));
    const left = await device.queue.where("documentId").equals(sent.id).sortBy("order");
    await rest(sent, left);
  });
}

/** Puts a document as the server holds it under what still waits here. */
async function rest(sent: SentDocument, left: readonly QueuedTouch[]): Promise<void> {
  const row = documentRowSchema.safeParse(await device.documents.get(sent.id));
  const kind = kindOf(sent.kind);
  const read = readContent(kind, sent.content, sent.schema);
  // what this program cannot read is kept as it came, and shown as unreadable
  if (!read.ok) return putRow(sent, sent.content, sent.archived, row.data, { listedAt: "", about: "" });
  if (left.length === 0)
    return putRow(sent, kind.canonical(read.value), sent.archived, row.data, columnsOf(sent.kind, read.value));
  const touches = left.flatMap((one) => {
    const touch = touchSchemaOf(kind).safeParse(one.touch);
    return touch.success ? [touch.data] : [];
  });
  const applied = applyTouches(kind, { content: read.value, archived: sent.archived }, touches);
  if (applied.ok && touches.length === left.length)
    return putRow(sent, applied.value.content, applied.value.archived, row.data, columnsOf(sent.kind, read.value));
  await putRow(sent, row.data?.content ?? sent.content, sent.archived, row.data, columnsOf(sent.kind, read.value));
  await device.troubles.put({
    documentId: sent.id,
    kind: "conflict",
    text: "what was changed elsewhere leaves no place for what was changed here",
    current: sent,
  });
}

async function putRow(
  sent: SentDocument,
  content: unknown,
  archived: boolean,
  before: DocumentRow | undefined,
  columns: Pick<DocumentRow, "listedAt" | "about">,
): Promise<void> {
  const isSame =
    before !== undefined &&
    (before.archived === 1) === archived &&
    canonicalJson(before.content) === canonicalJson(content);
  await device.documents.put({
    id: sent.id,
    kind: sent.kind,
    schema: sent.schema,
    version: sent.version,
    base: sent.content,
    content: isSame ? before.content : content,
    archived: sent.another === true ? ANOTHERS : archived ? 1 : 0,
    ...columns,
    revision: before === undefined ? 0 : before.revision + (isSame ? 0 : 1),
  });
}

/** Takes in a document that was changed elsewhere, where nothing of it waits here. */
export async function takeIn(sent: SentDocument): Promise<void> {
  const row = await device.documents.get(sent.id);
  if (row !== undefined && row.version >= sent.version) return;
  const waits = await device.queue.where("documentId").equals(sent.id).count();
  if (waits > 0 || (row !== undefined && row.version === 0)) {
    // what waits is sent, and rebased by the server or brought before a person; it may go through now
    await device.troubles.delete(sent.id);
    return;
  }
  await rest(sent, []);
}

/** Gives up what waits here, and takes the document as the server holds it. */
export async function takeTheirs(sent: SentDocument, ...touches: readonly Touch<unknown>[]): Promise<void> {
  await device.transaction("rw", device.documents, device.queue, device.troubles, device.undo, async () => {
    await device.queue.where("documentId").equals(sent.id).delete();
    await device.troubles.delete(sent.id);
    await device.undo.delete(sent.id);
    for (const touch of touches) await device.queue.add({ id: touch.id, documentId: sent.id, touch });
    await rest(sent, await device.queue.where("documentId").equals(sent.id).sortBy("order"));
  });
}

/** Puts together by itself what a kind can put together by itself. @returns whether it could */
async function mergeOf<Name extends KindName>(row: DocumentRow, current: SentDocument): Promise<boolean> {
  if (row.kind === "find") return false;
  const kind = kindOf<Name>(row.kind as Name);
  const [base, mine, theirs] = [
    row.version === 0 ? undefined : readContent(kind, row.base, row.schema),
    readContent(kind, row.content, row.schema),
    readContent(kind, current.content, current.schema),
  ];
  if (!mine.ok || !theirs.ok) return false;
  const merged = kind.merge(base?.ok === true ? base.value : undefined, mine.value, theirs.value);
  const changes = merged === undefined ? undefined : kind.between(theirs.value, merged);
  if (changes === undefined) return false;
  await takeTheirs(current, ...(changes.length === 0 ? [] : [touchNow<unknown>(changes)]));
  return true;
}
