/** Sends what waits on this device to the server, in order, again and again until it is acknowledged. */
import type { Edit, Find } from "@jittery-cap/core";
import { putFind, type Reply, type Stored, sendEdits } from "./api.ts";
import {
  type DeviceSteps,
  device,
  isWaiting,
  picturesWaitingFor,
  touchesKept,
  touchesUnderWay,
  underWayHere,
  waitingFor,
} from "./device.ts";
import { deliverPictures } from "./pictures.ts";
import { reportError } from "./report-error.ts";

const AGAIN_AFTER_MS = 4000;
/** A touch is on the device at once; it goes to the server when its answer has been drawn, with those that came behind it. */
const SEND_AFTER_MS = 150;

/** What the outbox tells the screens about one find. */
export interface Delivery {
  readonly findId: string;
  readonly waiting: number;
  /**
   * sending: on its way; waiting: something waits for the server; unreachable: nothing waits, but the server is away;
   * failed: this program could not do it, and waiting would not help.
   */
  readonly state: "saved" | "sending" | "waiting" | "unreachable" | "conflict" | "refused" | "failed";
  readonly current?: Stored;
  readonly text?: string;
}

type Listener = (delivery: Delivery) => void;
const listeners = new Set<Listener>();
const busy = new Map<string, Promise<void>>();
/** Finds whose touches are about to be sent. */
const soon = new Set<string>();

/** Listens to deliveries; returns how to stop. */
export function onDelivery(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function tell(delivery: Delivery): void {
  for (const listener of listeners) listener(delivery);
}

/** Keeps a new find on the device and sends it. */
export async function keepNewFind(find: Find): Promise<void> {
  await device.finds.put({ id: find.id, find, base: find, version: 0 });
  void deliver(find.id);
}

/**
 * Keeps an edit, the record after it and what can then be undone on the device, all or none, then sends it.
 * It begins when the touch has been drawn, and in the order of the touches.
 */
export async function keepEdit(find: Find, edit: Edit, steps?: Pick<DeviceSteps, "done" | "undone">): Promise<void> {
  try {
    await underWayHere(find.id, keep(find, edit, steps));
  } finally {
    deliverSoon(find.id);
  }
}

async function keep(find: Find, edit: Edit, steps: Pick<DeviceSteps, "done" | "undone"> | undefined): Promise<void> {
  await new Promise((drawn) => setTimeout(drawn, 0));
  await device.transaction("rw", device.finds, device.waiting, device.steps, async () => {
    if (steps !== undefined) await device.steps.put({ findId: find.id, ...steps });
    const last = (await waitingFor(find.id)).at(-1);
    await device.waiting.put({ id: edit.id, findId: find.id, order: last === undefined ? 0 : last.order + 1, edit });
    await device.finds.update(find.id, { find });
  });
}

function deliverSoon(findId: string): void {
  if (soon.has(findId)) return;
  soon.add(findId);
  setTimeout(() => {
    soon.delete(findId);
    void deliver(findId);
  }, SEND_AFTER_MS);
}

/** Sends what waits for one find; a second call while one is under way follows behind it. */
export function deliver(findId: string): Promise<void> {
  const following = (busy.get(findId) ?? Promise.resolve())
    .then(() => deliverOnce(findId))
    .catch((error: unknown) => {
      // a server that is away is no error and comes as a reply: this is a fault of the program or of the device
      reportError("delivery", error);
      tell({ findId, waiting: 1, state: "failed" });
    });
  busy.set(findId, following);
  return following;
}

async function deliverOnce(findId: string): Promise<void> {
  await touchesKept();
  const kept = await device.finds.get(findId);
  if (kept === undefined) return;
  const waiting = await waitingFor(findId);
  if (kept.version > 0 && waiting.length === 0) return deliverRest(findId);
  const reply =
    kept.version === 0
      ? await putFind(kept.base, 0)
      : await sendEdits(
          findId,
          kept.version,
          waiting.map((one) => one.edit),
        );
  await settle(findId, reply, kept.version === 0 ? [] : waiting.map((one) => one.id));
}

/** The record is with the server; its pictures follow it. */
async function deliverRest(findId: string): Promise<void> {
  const pictures = await deliverPictures(findId);
  // touched again meanwhile: that touch is delivered behind this one, and says saved itself
  const edits = await device.waiting.where("findId").equals(findId).count();
  const more = Math.max(edits, touchesUnderWay(findId));
  if (more > 0) return tell({ findId, waiting: more + pictures, state: "sending" });
  tell({ findId, waiting: pictures, state: pictures === 0 ? "saved" : "waiting" });
}

async function settle(findId: string, reply: Reply, sent: readonly string[]): Promise<void> {
  const count = async () =>
    (await device.waiting.where("findId").equals(findId).count()) + (await picturesWaitingFor(findId)).length;
  const editsLeft = () => device.waiting.where("findId").equals(findId).count();
  switch (reply.kind) {
    case "stored": {
      await device.transaction("rw", device.finds, device.waiting, async () => {
        await device.waiting.bulkDelete([...sent]);
        await device.finds.update(findId, { base: reply.stored.find, version: reply.stored.version });
      });
      const left = await editsLeft();
      if (left > 0) return deliverOnce(findId);
      return deliverRest(findId);
    }
    case "conflict":
      return tell({ findId, waiting: await count(), state: "conflict", current: reply.current });
    case "refused":
      return tell({ findId, waiting: await count(), state: "refused", text: reply.text });
    case "missing":
      return tell({
        findId,
        waiting: await count(),
        state: "refused",
        text: "The server no longer has this find.",
      });
    case "unreachable":
      return tell({ findId, waiting: Math.max(1, await count()), state: "waiting" });
  }
}

/** How many changes, of records and of pictures, are on this device only. */
export async function waitingInAll(): Promise<number> {
  await touchesKept();
  const unsent = (await device.finds.toArray()).filter((kept) => kept.version === 0).length;
  const pictures = (await device.pictures.toArray()).filter(isWaiting).length;
  return unsent + pictures + (await device.waiting.count());
}

/** Tries again whenever the network comes back, and every few seconds while something waits. Returns how to stop. */
export function keepSending(): () => void {
  const sendAll = async () => {
    const waiting = new Set((await device.waiting.toArray()).map((one) => one.findId));
    for (const kept of await device.finds.toArray()) if (kept.version === 0) waiting.add(kept.id);
    for (const picture of await device.pictures.toArray()) if (isWaiting(picture)) waiting.add(picture.findId);
    for (const findId of waiting) await deliver(findId);
  };
  const timer = setInterval(() => void sendAll(), AGAIN_AFTER_MS);
  window.addEventListener("online", sendAll);
  void sendAll();
  return () => {
    clearInterval(timer);
    window.removeEventListener("online", sendAll);
  };
}
