/** Finds in lists, judged; decisions and how they stand; files made of a find. */
import { z } from "zod";
import { PICTURE_PARTS } from "../documents/kinds/picture.ts";
import { momentSchema } from "../find/moment.ts";
import { bodyIdSchema } from "../find/schema.ts";
import { VERDICTS } from "../judge/verdict.ts";
import { documentSchema, uuid } from "./documents.ts";
import { route } from "./route.ts";

const PAGE = z.coerce.number<number | string>().int().min(1).max(200).default(50);
const cursor = z.string().max(200).optional();
const ofFind = z.strictObject({ id: uuid });

/** One line of the list of finds. */
export const listedFindSchema = z.object({
  id: z.string(),
  version: z.int().positive(),
  updatedAt: z.string(),
  archived: z.boolean(),
  /** Set where the record cannot be read; then nothing else is known of it. */
  unreadable: z.string().optional(),
  label: z.string().optional(),
  foundAt: z.string().optional(),
  place: z.string().optional(),
  bodies: z.int().nonnegative().optional(),
  /** Left out while it was not judged yet by today's sheets: unknown is not cleared. */
  verdict: z.enum(VERDICTS).optional(),
});

export const listFinds = route({
  method: "get",
  path: "/api/finds",
  about: "The finds, latest found first, each with how it stands by today's sheets",
  query: z.strictObject({ after: cursor, limit: PAGE, archived: z.enum(["true", "false"]).default("false") }),
  reply: z.object({ edition: z.string(), finds: z.array(listedFindSchema), next: z.string().optional() }),
});

/** How a decision stands now, by the server's own sheets, for the frozen record and for the record as it is. */
export const standingSchema = z.object({
  verdict: z.enum(VERDICTS),
  cleared: z.array(z.string()),
  restsOn: z.array(z.string()),
  conditions: z.array(z.string()),
});

export const listStandings = route({
  method: "get",
  path: "/api/decisions",
  about: "The latest decision of every find that is not put away, and what of it is still cleared",
  query: z.strictObject({ after: cursor, limit: PAGE, about: uuid.optional() }),
  reply: z.object({
    edition: z.string(),
    decisions: z.array(
      z.object({
        id: z.string(),
        about: z.string(),
        decidedAt: z.string(),
        /** Left out while it is not known: then nothing is cleared. */
        standing: standingSchema.optional(),
      }),
    ),
    next: z.string().optional(),
  }),
});

export const PICTURE_TYPES = [
  "image/jpeg",
  "image/png",
  "image/webp",
  "image/avif",
  "image/tiff",
  "application/octet-stream",
] as const;

export const putPicture = route({
  method: "put",
  path: "/api/pictures/:id",
  about: "Keeps a picture, turned upright, sized down, without place or camera data",
  params: z.strictObject({ id: uuid }),
  query: z.strictObject({
    about: uuid,
    part: z.enum(PICTURE_PARTS),
    body: bodyIdSchema.optional(),
    takenAt: momentSchema,
  }),
  file: PICTURE_TYPES,
  reply: documentSchema,
  problems: [404, 409, 413, 415],
});

export const showPicture = route({
  method: "get",
  path: "/api/pictures/:id",
  about: "A picture",
  params: z.strictObject({ id: uuid }),
  reply: { media: "image/jpeg" },
  problems: [404],
});

export const PAPER_SIZES = ["A5", "A4"] as const;
export const paperQuery = z.strictObject({ size: z.enum(PAPER_SIZES).default("A5") });

export const findPaper = route({
  method: "get",
  path: "/api/finds/:id/paper.pdf",
  about: "A find on a page, with its answer",
  params: ofFind,
  query: paperQuery,
  reply: { media: "application/pdf" },
  problems: [404],
});
