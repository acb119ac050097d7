/** A find as it is to be shown: from this device, or by a link to one that this device has never had from the server. */
import { ROUTES } from "@jittery-cap/core/api";
import { ask } from "../api/client.ts";
import { device } from "../documents/device.ts";
import { isReadable, type Kept, readRow } from "../documents/documents.ts";
import { takeIn } from "../documents/push.ts";
import { touchesKept } from "../documents/under-way.ts";
import type { FindStatus } from "../layout/state-of-view.tsx";

/** The find, or why it is not to be had. */
export type Read = Kept<"find"> | Exclude<FindStatus, "loading" | "open">;

/** @param isWanted asked when the server has answered: what came too late is not kept either */
export async function readFind(id: string, isWanted: () => boolean): Promise<Read> {
  await touchesKept();
  const here = await readHere(id);
  if (here !== "missing" || (await device.documents.get(id)) !== undefined) return here;
  const outcome = await ask(ROUTES.readDocument, { params: { id } });
  if (outcome.kind === "unreachable") return "unreachable";
  if (outcome.kind === "ok" && isWanted()) await takeIn(outcome.value);
  return readHere(id);
}

/** As this device holds it now. */
export async function readHere(id: string): Promise<Read> {
  const row = await device.documents.get(id);
  const kept = row === undefined ? undefined : readRow("find", row);
  if (kept === undefined) return "missing";
  if (!isReadable(kept)) return "unreadable";
  return kept.archived ? "missing" : kept;
}
