/** Whether the server has what is on the screen of one document, with its pictures. */
import { documentSchema, type SentDocument } from "@jittery-cap/core/api";
import { liveQuery } from "dexie";
import { type DocumentRow, device, type Trouble, UNSENT } from "./device.ts";
import { type SyncState, useSync } from "./sync.ts";

export interface Delivery {
  readonly waiting: number;
  /**
   * sending: on its way; waiting: something waits for the server; unreachable: nothing waits, but the server is away;
   * failed: this program could not do it, and waiting would not help.
   */
  readonly state: "saved" | "sending" | "waiting" | "unreachable" | "conflict" | "refused" | "failed";
  readonly current?: SentDocument;
  readonly text?: string;
}

const isUnsent = (row: DocumentRow): boolean => row.version === UNSENT;

interface Waiting {
  readonly waiting: number;
  readonly trouble: Delivery | undefined;
  /** The revision of the document of which this is said. */
  readonly revision: number;
}

/** What of a document waits on this device, pictures and opinions about it among it: in one look, at one moment. */
function waitingOf(id: string): Promise<Waiting> {
  return device.transaction("r", device.queue, device.documents, device.troubles, async () => {
    const [touches, row, about, trouble] = await Promise.all([
      device.queue.where("documentId").equals(id).count(),
      device.documents.get(id),
      device.documents.where("about").equals(id).toArray(),
      device.troubles.get(id),
    ]);
    const ofThem = about.length === 0 ? 0 : await waitingAmong(about);
    const waiting = touches + ofThem + (row !== undefined && isUnsent(row) ? 1 : 0);
    return {
      waiting,
      trouble: trouble === undefined ? undefined : told(trouble, waiting),
      revision: row?.revision ?? 0,
    };
  });
}

/** How many of the documents about one wait themselves, and how many changes of them. */
async function waitingAmong(about: readonly DocumentRow[]): Promise<number> {
  const ids = about.map((one) => one.id);
  const troubled = new Set((await device.troubles.bulkGet(ids)).map((one) => one?.documentId));
  const unsent = about.filter((one) => isUnsent(one) && !troubled.has(one.id)).length;
  return unsent + (await device.queue.where("documentId").anyOf(ids).count());
}

function told({ kind, text, current: sent }: Trouble, waiting: number): Delivery {
  const current = documentSchema.safeParse(sent);
  return { waiting, state: kind, text, ...(current.success ? { current: current.data } : {}) };
}

const stateOf = (waiting: number, sync: SyncState): Delivery["state"] => {
  if (sync === "failed") return waiting === 0 ? "saved" : "failed";
  if (waiting > 0) return sync === "unreachable" ? "waiting" : "sending";
  return sync === "unreachable" ? "unreachable" : "saved";
};

/**
 * Watches the delivery of a document. What is told is of a revision of it: what is said of an older one than that on the screen
 * is not of what is on the screen. Returns how to stop.
 */
export function watchDelivery(id: string, tell: (delivery: Delivery, revision: number) => void): () => void {
  const say = ({ waiting, trouble, revision }: Waiting) =>
    tell(trouble ?? { waiting, state: stateOf(waiting, useSync.getState().state) }, revision);
  const fail = () => tell({ waiting: 1, state: "failed" }, Number.POSITIVE_INFINITY);
  const subscription = liveQuery(() => waitingOf(id)).subscribe({ next: say, error: fail });
  const stop = useSync.subscribe((now, before) => {
    // asked anew: what waited a moment ago may be there by now
    if (now.state !== before.state) waitingOf(id).then(say, fail);
  });
  return () => {
    subscription.unsubscribe();
    stop();
  };
}

/** How many changes, of whatever documents, are on this device only. */
export async function waitingInAll(): Promise<number> {
  const unsent = await device.documents.where("version").equals(UNSENT).count();
  return unsent + (await device.queue.count());
}
