/** The file of a picture: from this device where it was not sent yet, else from the server or what was kept of it. */

import { under } from "../base.ts";
import { device } from "../documents/device.ts";

/** Nobody waits longer for a picture while somebody is ill. */
const WITHIN_MS = 4000;

export async function pictureFile(id: string): Promise<Uint8Array | undefined> {
  const here = await device.files.get(id).catch(() => undefined);
  if (here !== undefined) return new Uint8Array(await here.file.arrayBuffer());
  const reply = await fetch(under(`/api/pictures/${id}`), { signal: AbortSignal.timeout(WITHIN_MS) });
  return reply.ok ? new Uint8Array(await reply.arrayBuffer()) : undefined;
}
