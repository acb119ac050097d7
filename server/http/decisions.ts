/** /api/finds/ID/decisions and /api/decisions: how bodies ended, frozen; the server judges again each time. */
import { bodyEndingSchema } from "@jittery-cap/core";
import { type Response, Router } from "express";
import { z } from "zod";
import type { Decided, DecisionStore } from "../store/decisions.ts";
import { parseOr400, sendFaults, sendProblem } from "./problem.ts";

const uuid = z.uuid("expected a UUID made by the client");
const parameters = z.object({ id: uuid });
const decideBody = z.strictObject({
  id: uuid,
  version: z.int().positive(),
  endings: z.array(bodyEndingSchema).min(1).max(200),
});

/** What the routes need. */
export interface DecisionRoutes {
  readonly decisions: DecisionStore;
  readonly owner: string;
}

/** The routes under /api/finds that decide. */
export function findDecisionRoutes({ decisions, owner }: DecisionRoutes): Router {
  const router = Router();

  router.get("/:id/decisions", async (request, response) => {
    const params = parseOr400(parameters, request.params, response);
    if (params !== undefined) response.json({ decisions: await decisions.list(owner, params.id) });
  });

  router.post("/:id/decisions", async (request, response) => {
    const params = parseOr400(parameters, request.params, response);
    if (params === undefined) return;
    const body = parseOr400(decideBody, request.body, response);
    if (body === undefined) return;
    sendDecided(response, params.id, await decisions.decide(owner, params.id, body.id, body.version, body.endings));
  });

  return router;
}

/** The latest decision of every find. */
export function latestDecisionRoutes({ decisions, owner }: DecisionRoutes): Router {
  const router = Router();
  router.get("/", async (_request, response) => {
    response.json({ decisions: await decisions.latest(owner) });
  });
  return router;
}

function sendDecided(response: Response, findId: string, decided: Decided): void {
  switch (decided.kind) {
    case "decided":
      response.status(decided.isNew ? 201 : 200).json(decided.decision);
      return;
    case "missing":
      sendProblem(response, 404, `There is no find ${findId}.`);
      return;
    case "conflict":
      sendProblem(response, 409, `version: the find is at version ${decided.current.version}`, {
        current: decided.current,
      });
      return;
    case "refused":
      sendFaults(response, decided.faults);
      return;
  }
}
