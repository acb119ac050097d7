/** /api/settled: the house rules that a person's new finds begin with, and their limits for a day. */
import { settledSchema } from "@jittery-cap/core";
import { Router } from "express";
import { z } from "zod";
import type { SettledStore } from "../store/settled.ts";
import { parseOr400, sendProblem } from "./problem.ts";

const putBody = z.strictObject({ version: z.int().nonnegative(), settled: settledSchema });

/** What the routes need. */
export interface SettledRoutes {
  readonly settled: SettledStore;
  readonly owner: string;
}

/** The routes under /api/settled. */
export function settledRoutes({ settled, owner }: SettledRoutes): Router {
  const router = Router();

  router.get("/", async (_request, response) => {
    response.json(await settled.read(owner));
  });

  router.put("/", async (request, response) => {
    const body = parseOr400(putBody, request.body, response);
    if (body === undefined) return;
    const written = await settled.put(owner, body.version, body.settled);
    if (written.kind === "stored") response.json(written.kept);
    else
      sendProblem(response, 409, `version: what is settled is at version ${written.current.version}`, {
        current: written.current,
      });
  });

  return router;
}
