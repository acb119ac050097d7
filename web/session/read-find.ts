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
  if (here !== "none") return here;
  const outcome = await ask(ROUTES.readDocument, { params: { id } });
  if (outcome.kind === "ok" && isWanted()) await takeIn(outcome.value);
  // it may have come with others meanwhile, whatever was answered
  const now = await readHere(id);
  if (now !== "none") return now;
  return outcome.kind === "unreachable" ? "unreachable" : "missing";
}

/** As this device holds it now, by one look: between two it may have come. */
async function readHere(id: string): Promise<Read> {
  const row = await device.documents.get(id);
  if (row === undefined) return "none";
  const kept = readRow("find", row);
  if (!isReadable(kept)) return "unreadable";
  return kept.archived ? "missing" : kept;
}
