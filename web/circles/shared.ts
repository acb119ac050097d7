/** Finds that others share, as this device holds them: fetched when they change, gone as soon as they are not shared any more. */
import { CIRCLE_ROUTES, type ReplyOf, ROUTES } from "@jittery-cap/core/api";
import { z } from "zod";
import { ask } from "../api/client.ts";
import { ANOTHERS, device, SHARED_MARK } from "../documents/device.ts";
import { takeIn } from "../documents/push.ts";
import { type SharedFind, useShared } from "./use-shared.ts";

type Told = ReplyOf<(typeof CIRCLE_ROUTES)["listShared"]>["finds"][number];
const LEARNS = "learns in";
const circleIds = z.array(z.string());

/** Shows what was shared when this device last heard of it, also without a network. */
export async function restoreShared(): Promise<void> {
  const kept = CIRCLE_ROUTES.listShared.reply.shape.finds.safeParse((await device.marks.get(SHARED_MARK))?.value);
  if (kept.success && kept.data.length > 0) show(kept.data);
  const learns = circleIds.safeParse((await device.marks.get(LEARNS))?.value);
  if (learns.success) useShared.setState({ learnsIn: learns.data });
}

/** Remembers in which circles this person learns: what they may put among food is known without a network, too. */
async function pullRoles(): Promise<void> {
  const outcome = await ask(CIRCLE_ROUTES.listCircles);
  if (outcome.kind !== "ok") return;
  const learnsIn = outcome.value.circles.filter((one) => one.role === "learner").map((one) => one.id);
  useShared.setState({ learnsIn });
  await device.marks.put({ name: LEARNS, value: learnsIn });
}

const show = (finds: readonly SharedFind[]): void => useShared.getState().show(finds);

/** All that is shared now; undefined where a page did not come: then nobody knows what is not shared any more. */
async function allShared(): Promise<Told[] | undefined> {
  const all: Told[] = [];
  let after: string | undefined;
  do {
    const outcome = await ask(CIRCLE_ROUTES.listShared, { query: after === undefined ? {} : { after } });
    if (outcome.kind !== "ok") return undefined;
    all.push(...outcome.value.finds);
    after = outcome.value.next;
  } while (after !== undefined);
  return all;
}

/** Fetches what is shared and was changed, and forgets what is not shared any more. */
export async function pullShared(): Promise<void> {
  const finds = await allShared();
  if (finds === undefined) return restoreShared();
  await pullRoles();
  const there = await device.documents
    .where("[kind+archived+listedAt]")
    .between(["find", ANOTHERS, ""], ["find", ANOTHERS, "\uffff"])
    .toArray();
  if (finds.length === 0 && there.length === 0) return show(finds);
  const wanted = new Set(finds.map((one) => one.id));
  for (const row of there) if (!wanted.has(row.id)) await forget(row.id);
  const shown = new Map(useShared.getState().finds);
  for (const one of finds) if (await isOld(one, shown.get(one.id))) await fetchOne(one.id);
  await device.marks.put({ name: SHARED_MARK, value: finds });
  show(finds);
}

/** Whether this device holds a find otherwise than it is shared now: with an older version, or more or less of its place. */
async function isOld(told: Told, before: SharedFind | undefined): Promise<boolean> {
  const row = await device.documents.get(told.id);
  if (row === undefined || row.version < told.version) return true;
  if (before === undefined || before.place === told.place) return false;
  // looks that wait are sent first, and what is answered shows as much as is shown now
  if ((await device.queue.where("documentId").equals(told.id).count()) > 0) return false;
  await forget(told.id);
  return true;
}

/** Takes in a find of somebody else's. */
export async function fetchOne(id: string): Promise<void> {
  const outcome = await ask(ROUTES.readDocument, { params: { id } });
  if (outcome.kind !== "ok") return;
  await takeIn(outcome.value);
}

/** What was shared and is not any more leaves nothing here, looks that wait for it neither: nobody would take them. */
async function forget(id: string): Promise<void> {
  const { documents, queue, undo, troubles } = device;
  await device.transaction("rw", documents, queue, undo, troubles, async () => {
    await documents.delete(id);
    await queue.where("documentId").equals(id).delete();
    await undo.delete(id);
    await troubles.delete(id);
  });
}

/** Puts this person among the observers of a shared find, so that their looks stand under their name. @returns whether they are */
export async function recordAlong(id: string): Promise<boolean> {
  const outcome = await ask(CIRCLE_ROUTES.recordAlong, { params: { id }, body: {} });
  if (outcome.kind !== "ok") return false;
  await takeIn(outcome.value);
  return true;
}
