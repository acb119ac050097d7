/** Pictures as they are kept: turned upright, without place or camera data, sized down. They confirm nothing. */
import { createHash } from "node:crypto";
import { Op, type Sequelize, UniqueConstraintError } from "sequelize";
import sharp from "sharp";
import { DAYS_UNTIL_PURGED } from "./finds.ts";
import type { Models, PictureRow } from "./models.ts";

/** Where on a body a picture looks. */
export const PICTURE_PARTS = ["top", "under", "stem", "foot", "cut", "print", "ground", "other"] as const;
export type PicturePart = (typeof PICTURE_PARTS)[number];

/** The longest side that is kept, px: enough to see a ring by. */
export const LONGEST_SIDE = 1600;
const QUALITY = 82;
const DAY_MS = 24 * 60 * 60 * 1000;
/** A file that unpacks to more is refused before it is unpacked, px. */
const MOST_PIXELS = 60_000_000;

/** What cameras and browsers write. */
const FORMATS: ReadonlySet<string | undefined> = new Set(["jpeg", "png", "webp", "heif", "tiff"]);

/** What is known of a picture besides its content. */
export interface PictureNote {
  readonly id: string;
  readonly findId: string;
  readonly body?: string;
  readonly part: PicturePart;
  readonly width: number;
  readonly height: number;
  readonly receivedAt: string;
}

/** What may come of keeping a picture. */
export type KeptPicture =
  | { readonly kind: "kept"; readonly picture: PictureNote; readonly isNew: boolean }
  | { readonly kind: "missing" }
  | { readonly kind: "conflict" }
  | { readonly kind: "refused"; readonly text: string };

/** Turns a picture upright by its own note of orientation, strips all metadata (place among them), sizes it down to JPEG. */
export async function preparePicture(
  sent: Buffer,
): Promise<{ content: Buffer; width: number; height: number } | undefined> {
  try {
    const picture = sharp(sent, { limitInputPixels: MOST_PIXELS, failOn: "error" });
    // what no camera makes is not taken: a drawing of a few hundred bytes can cost half a minute
    const { format } = await picture.metadata();
    if (!FORMATS.has(format)) return undefined;
    const { data, info } = await picture
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: "inside", withoutEnlargement: true })
      .jpeg({ quality: QUALITY, mozjpeg: true })
      .toBuffer({ resolveWithObject: true });
    return { content: data, width: info.width, height: info.height };
  } catch {
    return undefined;
  }
}

/** The pictures of all owners; every question names its owner. */
export class PictureStore {
  private readonly database: Sequelize;
  private readonly models: Models;

  constructor(database: Sequelize, models: Models) {
    this.database = database;
    this.models = models;
  }

  /** Keeps a picture under the id the client made. The same write again is answered like the first. */
  async keep(
    ownerId: string,
    findId: string,
    id: string,
    about: { readonly part: PicturePart; readonly body: string | undefined },
    content: Buffer,
  ): Promise<KeptPicture> {
    const find = await this.models.finds.findOne({ where: { ownerId, id: findId, deletedAt: null } });
    if (find === null) return { kind: "missing" };
    const sent = createHash("sha256").update(content).digest("hex");
    const there = await this.models.pictures.findByPk(id);
    if (there !== null) return known(there, ownerId, findId, sent);
    const prepared = await preparePicture(content);
    if (prepared === undefined) return { kind: "refused", text: "is no picture that can be read" };
    try {
      const row = await this.models.pictures.create({
        id,
        ownerId,
        findId,
        body: about.body ?? null,
        part: about.part,
        ...prepared,
        sent,
        receivedAt: new Date(),
        deletedAt: null,
      });
      return { kind: "kept", picture: noteOf(row), isNew: true };
    } catch (error) {
      const first = error instanceof UniqueConstraintError ? await this.models.pictures.findByPk(id) : null;
      if (first === null) throw error;
      return known(first, ownerId, findId, sent);
    }
  }

  /** The pictures of a find, oldest first, without their content. */
  async list(ownerId: string, findId: string): Promise<PictureNote[]> {
    const rows = await this.models.pictures.findAll({
      where: { ownerId, findId, deletedAt: null },
      attributes: { exclude: ["content"] },
      order: [
        ["receivedAt", "ASC"],
        ["id", "ASC"],
      ],
    });
    return rows.map(noteOf);
  }

  /** The JPEG of a picture. */
  async content(ownerId: string, findId: string, id: string): Promise<Buffer | undefined> {
    const row = await this.models.pictures.findOne({ where: { ownerId, findId, id, deletedAt: null } });
    return row?.content;
  }

  /** Puts a picture away or brings it back; both may be asked twice. */
  async setAway(ownerId: string, findId: string, id: string, away: boolean): Promise<boolean> {
    const row = await this.models.pictures.findOne({
      where: { ownerId, findId, id },
      attributes: { exclude: ["content"] },
    });
    if (row === null) return false;
    await this.database.transaction(async (transaction) => {
      await row.update({ deletedAt: away ? (row.deletedAt ?? new Date()) : null }, { transaction });
    });
    return true;
  }

  /** Really deletes what was put away long enough ago. @returns how many pictures went */
  async purge(now: Date): Promise<number> {
    const before = new Date(now.getTime() - DAYS_UNTIL_PURGED * DAY_MS);
    return this.models.pictures.destroy({ where: { deletedAt: { [Op.lt]: before } } });
  }
}

function known(row: PictureRow, ownerId: string, findId: string, sent: string): KeptPicture {
  if (row.ownerId !== ownerId || row.findId !== findId || row.sent !== sent) return { kind: "conflict" };
  return { kind: "kept", picture: noteOf(row), isNew: false };
}

function noteOf(row: PictureRow): PictureNote {
  const part = PICTURE_PARTS.find((one) => one === row.part) ?? "other";
  return {
    id: row.id,
    findId: row.findId,
    ...(row.body === null ? {} : { body: row.body }),
    part,
    width: row.width,
    height: row.height,
    receivedAt: row.receivedAt.toISOString(),
  };
}
