/** Pictures of a find on their way: first to this device, then to the server when there is one. */
import { z } from "zod";
import { type DevicePicture, device, isWaiting, PICTURE_PARTS, type PicturePart } from "./device.ts";

const noteSchema = z.object({
  id: z.string(),
  part: z.enum(PICTURE_PARTS),
  body: z.string().optional(),
  receivedAt: z.string(),
});
const listSchema = z.object({ pictures: z.array(noteSchema) });

/** A picture as the screen shows it. */
export interface ShownPicture {
  readonly id: string;
  readonly part: PicturePart;
  readonly body: string | undefined;
  /** Where it can be had: the server's address, or the file on this device. */
  readonly source: string | Blob;
  readonly onDeviceOnly: boolean;
  readonly refused: string | undefined;
}

const addressOf = (findId: string, id: string): string => `/api/finds/${findId}/pictures/${id}`;

/** Keeps a picture on this device; it is sent with the find. */
export async function keepPicture(picture: {
  readonly id: string;
  readonly findId: string;
  readonly part: PicturePart;
  readonly body: string | undefined;
  readonly takenAt: string;
  readonly file: Blob;
}): Promise<void> {
  await device.pictures.put({ ...picture, sent: false, away: false, refused: undefined });
}

/** Puts a picture away, or brings it back. */
export async function setPictureAway(findId: string, shown: ShownPicture, away: boolean): Promise<void> {
  const kept = await device.pictures.get(shown.id);
  await device.pictures.put({
    ...(kept ?? {
      id: shown.id,
      findId,
      part: shown.part,
      body: shown.body,
      takenAt: new Date().toISOString(),
      file: undefined,
      sent: true,
      refused: undefined,
    }),
    away,
  });
}

/** The pictures of a find: those of the server as far as it can be reached, and those of this device. */
export async function shownPictures(findId: string): Promise<readonly ShownPicture[]> {
  const here = await device.pictures.where("findId").equals(findId).toArray();
  const away = new Set(here.filter((one) => one.away).map((one) => one.id));
  const own = here.flatMap((one): ShownPicture[] =>
    one.away || one.file === undefined ? [] : [{ ...one, source: one.file, onDeviceOnly: !one.sent }],
  );
  const ownIds = new Set(own.map((one) => one.id));
  const there = (await listed(findId)).filter(({ id }) => !away.has(id) && !ownIds.has(id));
  return [
    ...there.map(({ id, part, body }) => ({
      id,
      part,
      body,
      source: addressOf(findId, id),
      onDeviceOnly: false,
      refused: undefined,
    })),
    ...own,
  ];
}

async function listed(findId: string): Promise<z.infer<typeof noteSchema>[]> {
  try {
    const response = await fetch(`/api/finds/${findId}/pictures`);
    const parsed = listSchema.safeParse(await response.json());
    return parsed.success ? parsed.data.pictures : [];
  } catch {
    return [];
  }
}

/** Sends what the server has not heard of a find's pictures. @returns how many still wait */
export async function deliverPictures(findId: string): Promise<number> {
  const waiting = (await device.pictures.where("findId").equals(findId).toArray()).filter(isWaiting);
  for (const picture of waiting) await deliverOne(picture);
  return (await device.pictures.where("findId").equals(findId).toArray()).filter(isWaiting).length;
}

async function deliverOne(picture: DevicePicture): Promise<void> {
  const { id, findId, part, body, file, away } = picture;
  const query = new URLSearchParams({ part, ...(body === undefined ? {} : { body }) });
  const reply = away
    ? await reach(addressOf(findId, id), { method: "DELETE" })
    : file === undefined
      ? await reach(`${addressOf(findId, id)}/restore`, {
          method: "POST",
          headers: { "content-type": "application/json" },
          body: "{}",
        })
      : await reach(`${addressOf(findId, id)}?${query}`, {
          method: "PUT",
          body: file,
          headers: { "content-type": file.type === "" ? "application/octet-stream" : file.type },
        });
  if (reply === undefined || reply.status >= 500) return;
  if (reply.ok || (away && reply.status === 404)) {
    // what was asked for may have turned in the meantime
    const now = await device.pictures.get(id);
    if (now?.away === away) await settle(picture);
    return;
  }
  const problem = z.object({ detail: z.string() }).safeParse(await reply.json().catch(() => undefined));
  await device.pictures.update(id, { refused: problem.success ? problem.data.detail : `status ${reply.status}` });
}

/** The server has it as it is wanted. */
async function settle({ id, away }: DevicePicture): Promise<void> {
  if (away) await device.pictures.update(id, { sent: false, away: true, file: undefined });
  else await device.pictures.delete(id);
}

async function reach(path: string, init: RequestInit): Promise<Response | undefined> {
  try {
    return await fetch(path, init);
  } catch {
    return undefined;
  }
}
