/** Opinions as documents: what somebody else saw, or a book says. They stay as they were said. */
import { z } from "zod";
import { OPINION_KINDS, opinionLookSchema } from "../../decide/packet.ts";
import { momentSchema } from "../../find/moment.ts";
import { saidBySchema } from "../../people/circle.ts";
import { unchangingKind } from "./unchanging.ts";

const NAME_LENGTH = 120;

export const opinionSchema = z.strictObject({
  about: z.uuid("expected the id of a find"),
  kind: z.enum(OPINION_KINDS),
  /** A person's name, or a book's title. */
  name: z.string().trim().min(1).max(NAME_LENGTH),
  /** Of a book: whether it agrees with every feature. */
  agrees: z.boolean().optional(),
  /** Of somebody in a circle: under which standing they said it. The server writes it, nobody else. */
  by: saidBySchema.optional(),
  looks: z.array(opinionLookSchema).max(400),
  saidAt: momentSchema,
});
export type Opinion = z.infer<typeof opinionSchema>;

export const opinionKind = unchangingKind<Opinion>({
  kind: "opinion",
  schema: opinionSchema,
  canArchive: false,
  listed: ({ about, saidAt }) => ({ about, at: saidAt }),
});
