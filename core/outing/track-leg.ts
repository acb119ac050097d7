/** Positions of a track, and a leg of one as a document. */
import { z } from "zod";
import { momentSchema } from "../find/moment.ts";

export const trackPointSchema = z.strictObject({
  at: momentSchema,
  lat: z.number().min(-90).max(90),
  lon: z.number().min(-180).max(180),
  accuracyM: z.number().nonnegative().max(1_000_000).optional(),
  elevationM: z.number().min(-500).max(9000).optional(),
});
export type TrackPoint = z.infer<typeof trackPointSchema>;

/** A leg of a track is a document of its own: sent once, changed never. */
export const MOST_POINTS = 5000;
export const trackSchema = z.strictObject({
  /** The outing. */
  about: z.uuid("expected the id of an outing"),
  points: z.array(trackPointSchema).min(1).max(MOST_POINTS),
});
export type Track = z.infer<typeof trackSchema>;
