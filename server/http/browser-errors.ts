/** /api/browser-errors: what failed in a browser, into the server's log. */
import { Router } from "express";
import type { Logger } from "pino";
import { z } from "zod";
import { parseOr400, sendProblem } from "./problem.ts";

const reportBody = z.strictObject({
  where: z.string().min(1).max(40),
  message: z.string().min(1).max(500),
  stack: z.string().max(4000).optional(),
});

/** So many are written down in so long, ms: a page that fails again and again fills no disk. */
const MOST = { reports: 60, within: 60_000 } as const;

/** The route. Nothing is stored, and nothing comes back. */
export function browserErrorRoutes(logger: Logger): Router {
  const router = Router();
  let since = 0;
  let heard = 0;
  router.post("/", (request, response) => {
    const browser = parseOr400(reportBody, request.body, response);
    if (browser === undefined) return;
    const now = Date.now();
    if (now - since > MOST.within) {
      since = now;
      heard = 0;
    }
    heard += 1;
    if (heard > MOST.reports)
      return sendProblem(response, 429, "Too many errors in a minute; this one is not written down.");
    logger.warn({ browser }, "a browser reported an error");
    response.status(204).end();
  });
  return router;
}
