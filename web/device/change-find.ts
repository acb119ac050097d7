/** A change to a find that is not open: on this device first, then on its way to the server like any other. */
import { applyChange, type Change } from "@jittery-cap/core";
import { uuidv7 } from "uuidv7";
import { readFind } from "./api.ts";
import { device, touchesKept } from "./device.ts";
import { keepEdit } from "./outbox.ts";

/** @returns whether the change was kept; a find that neither this device nor the server holds cannot be changed */
export async function changeFind(findId: string, change: Change): Promise<boolean> {
  await touchesKept();
  if ((await device.finds.get(findId)) === undefined) {
    const reply = await readFind(findId);
    if (reply.kind !== "stored") return false;
    const { find, version } = reply.stored;
    await device.finds.put({ id: findId, find, base: find, version });
  }
  const kept = await device.finds.get(findId);
  const applied = kept === undefined ? undefined : applyChange(kept.find, change);
  if (applied?.ok !== true) return false;
  await keepEdit(applied.value.find, { id: uuidv7(), at: new Date().toISOString(), change });
  return true;
}
