/** What pictures show: turned upright, without place or camera data, sized down. They confirm nothing. */
import { createHash } from "node:crypto";
import type { Person, Picture } from "@jittery-cap/core/documents";
import sharp from "sharp";
import type { Models } from "../database/models.ts";
import { hashOf, type Written } from "../documents/document.ts";
import type { Documents } from "../documents/documents.ts";
import type { DocumentWriter } from "../documents/writer.ts";

/** The longest side that is kept, px: enough to see a ring by. */
export const LONGEST_SIDE = 1600;
const QUALITY = 82;
/** A file that unpacks to more is refused before it is unpacked, px. */
const MOST_PIXELS = 60_000_000;

/** What cameras and browsers write. */
const FORMATS: ReadonlySet<string | undefined> = new Set(["jpeg", "png", "webp", "heif", "tiff"]);

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

export class Pictures {
  private readonly models: Models;
  private readonly documents: Documents;
  private readonly writer: DocumentWriter;

  constructor(models: Models, documents: Documents, writer: DocumentWriter) {
    this.models = models;
    this.documents = documents;
    this.writer = writer;
  }

  /** Keeps a picture of a find that is there; the same one again is kept once. */
  async keep(actor: Person, id: string, note: Picture, sent: Buffer): Promise<Written> {
    const hash = createHash("sha256").update(sent).digest("hex");
    const request = {
      actor,
      ownerId: actor.id,
      id,
      kind: "picture" as const,
      known: 0,
      create: note,
      // what it shows is part of what was sent
      made: hashOf({ note, hash }),
      touches: [],
    };
    const known = await this.documents.read(actor, id);
    if (known !== undefined) return this.writer.write(request);
    const prepared = await preparePicture(sent);
    if (prepared === undefined)
      return { kind: "refused", faults: [{ path: "(root)", message: "is no picture that can be read" }] };
    return this.writer.write({
      ...request,
      beside: async (transaction) => {
        await this.models.pictures.create({ documentId: id, sent: hash, ...prepared }, { transaction });
      },
    });
  }

  /** The JPEG of a picture that is not put away, of a find that is not. */
  async content(person: Person, id: string): Promise<Buffer | undefined> {
    const row = await this.documents.open(person, id, "picture");
    if (row === undefined || row.about === null) return undefined;
    if ((await this.documents.open(person, row.about, "find")) === undefined) return undefined;
    return (await this.models.pictures.findByPk(id))?.content;
  }
}
