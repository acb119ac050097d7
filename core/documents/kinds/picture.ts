/** Pictures as documents: what is known of one. What it shows is kept beside it, and confirms nothing. */
import { z } from "zod";
import { momentSchema } from "../../find/moment.ts";
import { bodyIdSchema } from "../../find/schema.ts";
import { unchangingKind } from "./unchanging.ts";

/** Where on a body a picture looks. */
export const PICTURE_PARTS = ["top", "under", "stem", "foot", "cut", "print", "ground", "other"] as const;
export type PicturePart = (typeof PICTURE_PARTS)[number];

export const pictureSchema = z.strictObject({
  about: z.uuid("expected the id of a find"),
  part: z.enum(PICTURE_PARTS),
  body: bodyIdSchema.optional(),
  takenAt: momentSchema,
});
export type Picture = z.infer<typeof pictureSchema>;

export const pictureKind = unchangingKind<Picture>({
  kind: "picture",
  schema: pictureSchema,
  canArchive: true,
  listed: ({ about, takenAt }) => ({ about, at: takenAt }),
});
