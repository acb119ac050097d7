/** What goes wrong, as it travels: problem details (RFC 9457), naming the field that is wrong. */
import { z } from "zod";

export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  /** Each thing that is wrong, with its path. */
  errors: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
  /** The request's id, by which the server's log names it. */
  request: z.string().optional(),
  /** Of a conflict: the document as the server holds it. */
  current: z.unknown().optional(),
});
export type Problem = z.infer<typeof problemSchema>;
