/** Pictures of a find, as the screens show them: from this device until the server has them, then from there. */
import { ROUTES } from "@jittery-cap/core/api";
import type { PicturePart } from "@jittery-cap/core/documents";
import { addressOf } from "../api/client.ts";
import { device } from "./device.ts";
import { keptAbout, makeDocument, setArchived } from "./documents.ts";

export interface ShownPicture {
  readonly id: string;
  readonly part: PicturePart;
  readonly body: string | undefined;
  /** Where it can be had: the server's address, or the file on this device. */
  readonly source: string | Blob;
  readonly onDeviceOnly: boolean;
  readonly refused: string | undefined;
}

/** Keeps a picture on this device; it is sent when there is a server. */
export async function keepPicture(picture: {
  readonly id: string;
  readonly findId: string;
  readonly part: PicturePart;
  readonly body: string | undefined;
  readonly takenAt: string;
  readonly file: Blob;
}): Promise<void> {
  const { id, findId, part, body, takenAt, file } = picture;
  await makeDocument("picture", id, { about: findId, part, takenAt, ...(body === undefined ? {} : { body }) }, file);
}

/** Puts a picture away, or brings it back. */
export async function setPictureAway(id: string, away: boolean): Promise<void> {
  await setArchived("picture", id, away);
}

/** The pictures of a find that are not put away, oldest first. */
export async function shownPictures(findId: string): Promise<readonly ShownPicture[]> {
  const kept = await keptAbout("picture", findId);
  const files = await device.files.bulkGet(kept.map((one) => one.id));
  const troubles = await device.troubles.bulkGet(kept.map((one) => one.id));
  return kept.map(({ id, content, version }, index) => ({
    id,
    part: content.part,
    body: content.body,
    source: files[index]?.file ?? addressOf(ROUTES.showPicture, { params: { id } }),
    onDeviceOnly: version === 0,
    refused: troubles[index]?.text,
  }));
}
