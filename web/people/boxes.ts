/** What is left on a device of people who have signed out: sealed boxes, and nothing else. */
import Dexie, { type EntityTable, type Table } from "dexie";
import { z } from "zod";
import { type Device, deviceOf, STORE_OF_BOXES } from "../documents/device.ts";
import { type Box, canSeal, seal, unseal } from "./seal.ts";

class Boxes extends Dexie {
  declare boxes: EntityTable<Box & { id: number }, "id">;

  constructor() {
    super(STORE_OF_BOXES);
    this.version(1).stores({ boxes: "++id, person" });
  }
}

/** Works at the boxes, and closes them behind it: another page may want to delete what is under them. */
async function atBoxes<Outcome>(work: (boxes: Boxes["boxes"]) => Promise<Outcome>): Promise<Outcome> {
  const kept = new Boxes();
  try {
    return await work(kept.boxes);
  } finally {
    kept.close();
  }
}

/** Keys of what is kept beside the database, for one person. */
const BESIDE = ["preferences", "illness"] as const;

type Row = Record<string, unknown>;
const rows = z.array(z.record(z.string(), z.unknown()));
const contentSchema = z.object({
  documents: rows,
  queue: rows,
  troubles: rows,
  household: rows,
  track: rows,
  files: z.array(z.object({ id: z.string(), type: z.string() })),
  beside: z.record(z.string(), z.string()),
});

/** What a person's store holds that the server has not got, and would be lost with it. */
async function unsentOf(device: Device) {
  const [queue, troubles, household, track, files] = await Promise.all([
    device.queue.toArray(),
    device.troubles.toArray(),
    device.household.toArray(),
    device.track.toArray(),
    device.files.toArray(),
  ]);
  const ids = new Set([...queue, ...troubles].map((one) => one.documentId));
  const documents = await device.documents.filter((row) => row.version === 0 || ids.has(row.id)).toArray();
  return { documents, queue, troubles, household, track, files };
}

/** How many documents wait for the server, of a person's store. */
export async function countUnsent(device: Device): Promise<number> {
  return (await unsentOf(device)).documents.length;
}

/**
 * Clears a person off this device: what the server has not got is sealed first, and only when that is kept is the rest deleted.
 * @returns false where something would be lost: then nothing was deleted
 */
export async function clearOff(person: string, sealKey: unknown): Promise<boolean> {
  const device = deviceOf(person);
  const { files, ...content } = await unsentOf(device);
  if (canSeal()) {
    const told = {
      ...content,
      files: files.map(({ id, file }) => ({ id, type: file.type })),
      beside: Object.fromEntries(
        BESIDE.flatMap((key) => {
          const text = localStorage.getItem(key);
          return text === null ? [] : [[key, text]];
        }),
      ),
    };
    const box = await seal(person, sealKey, told, await Promise.all(files.map(({ file }) => file.arrayBuffer())));
    await atBoxes((boxes) => boxes.add(box as Box & { id: number }));
  } else if (content.documents.length > 0 || content.track.length > 0) return false;
  await wipe(device);
  return true;
}

/** How long a store that another page holds open is waited for, ms. It is empty by then. */
const DELETED_WITHIN_MS = 3000;

async function wipe(device: Device): Promise<void> {
  // emptied first: another page that holds the store open holds up its deletion, and nothing else
  await device.transaction("rw", device.tables, () => Promise.all(device.tables.map((table) => table.clear())));
  await Promise.race([device.delete(), new Promise((resolve) => setTimeout(resolve, DELETED_WITHIN_MS))]);
  for (const key of BESIDE) localStorage.removeItem(key);
  if ("caches" in globalThis) await caches.delete("pictures");
}

/** Deletes all that a device has of a person, what lies sealed as well. */
export async function forget(person: string): Promise<void> {
  await wipe(deviceOf(person));
  await atBoxes((boxes) => boxes.where("person").equals(person).delete());
}

/** Whether something of a person's lies sealed here. */
export const hasBox = async (person: string): Promise<boolean> =>
  (await atBoxes((boxes) => boxes.where("person").equals(person).count())) > 0;

/** Opens what was sealed, into the person's store; a box goes when what was in it is there. */
export async function openBoxes(person: string, privateKey: unknown): Promise<void> {
  const device = deviceOf(person);
  for (const box of await atBoxes((boxes) => boxes.where("person").equals(person).sortBy("id"))) {
    const { content, files } = await unseal(box, privateKey);
    const told = contentSchema.parse(content);
    await device.transaction("rw", device.tables, async () => {
      // what is here since is newer than what lay sealed
      for (const [table, rows] of [
        [device.documents, told.documents],
        [device.troubles, told.troubles],
        [device.household, told.household],
      ] as [Table, Row[]][])
        for (const row of rows) await table.add(row).catch(() => undefined);
      for (const { order: _order, ...touch } of told.queue)
        await (device.queue as Table).add(touch).catch(() => undefined);
      for (const { order: _order, ...point } of told.track) await (device.track as Table).add(point);
      for (const [at, { id, type }] of told.files.entries()) {
        const file = files[at];
        if (file !== undefined) await device.files.put({ id, file: new Blob([file], { type }) });
      }
    });
    for (const [key, text] of Object.entries(told.beside))
      if (BESIDE.some((one) => one === key)) localStorage.setItem(key, text);
    await atBoxes((boxes) => boxes.delete(box.id));
  }
}
