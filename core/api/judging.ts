/** The judge asked directly, the server's health, and what failed in a browser. */
import { z } from "zod";
import { VERDICTS } from "../judge/verdict.ts";
import { route } from "./route.ts";

export const alive = route({
  method: "get",
  path: "/api/alive",
  about: "Whether the server answers at all; whether it can do its work is told by its health",
  access: "anybody",
  reply: z.object({ status: z.literal("ok") }),
});

export const health = route({
  method: "get",
  path: "/api/health",
  about: "Whether server and database answer, and by which sheets is judged",
  access: "anybody",
  reply: z.object({
    status: z.enum(["ok", "unavailable"]),
    database: z.enum(["up", "down"]),
    edition: z.string(),
    sheets: z.int().nonnegative(),
  }),
});

/** An answer as files carry it; here only what identifies it is told, the rest is described in the documents. */
export const answerSchema = z.looseObject({ id: z.string(), verdict: z.enum(VERDICTS), edition: z.string() });

/** What is judged in one request: more would keep everybody else waiting. */
export const MOST_ASSESSED = { finds: 50, bodies: 400 } as const;

export const assessFinds = route({
  method: "post",
  path: "/api/assess",
  about: `Judges one find, or up to ${MOST_ASSESSED.finds} in an array, and keeps nothing`,
  // which of the two it is, and what of it is wrong, is told by the core's own parser, which names the field
  body: z.unknown().meta({ description: "A find, or an array of finds, each as docs/find.schema.json describes it" }),
  reply: z.union([z.array(answerSchema), answerSchema]),
  problems: [413, 415],
});

export const reportBrowserError = route({
  method: "post",
  path: "/api/browser-errors",
  about: "Writes into the server's log what failed in a browser",
  access: "anybody",
  body: z.strictObject({
    where: z.string().min(1).max(40),
    message: z.string().min(1).max(500),
    stack: z.string().max(4000).optional(),
  }),
  reply: "nothing",
  problems: [429],
});

export const describeApi = route({
  method: "get",
  path: "/api/openapi.json",
  about: "This description of the interface, as OpenAPI 3.1",
  access: "anybody",
  reply: z.looseObject({ openapi: z.string() }),
});
