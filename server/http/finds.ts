/** /api/finds: list, read, idempotent put and edits with a version, delete with undo for a while. */
import { editSchema, type Find, findSchema } from "@jittery-cap/core";
import { type Response, Router } from "express";
import { z } from "zod";
import type { Judging } from "../judging.ts";
import type { FindStore, Written } from "../store/finds.ts";
import { parseOr400, sendFaults, sendProblem } from "./problem.ts";

const version = z.int().nonnegative();
const parameters = z.object({ id: z.uuid("expected a UUID made by the client") });
const putBody = z.strictObject({ version, find: findSchema });
const MOST_EDITS = 500;
const editsBody = z.strictObject({ version, edits: z.array(editSchema).min(1).max(MOST_EDITS) });
const listQuery = z.strictObject({ deleted: z.enum(["true", "false"]).optional() });

/** What the routes need: the store, the owner of a request, and a verdict for the list. */
export interface FindRoutes {
  readonly store: FindStore;
  readonly owner: string;
  /** Judges with today's sheets; what a client says of an answer is never stored. */
  readonly judging: Judging;
}

/** The routes under /api/finds. */
export function findRoutes({ store, owner, judging }: FindRoutes): Router {
  const router = Router();

  router.get("/", async (request, response) => {
    const query = parseOr400(listQuery, request.query, response);
    if (query === undefined) return;
    const finds = await store.list(owner, query.deleted === "true");
    const listed = await Promise.all(
      finds.map(async (stored) => {
        const { verdict } = await judging.ofFind(stored);
        return { ...stored, verdict };
      }),
    );
    response.json({ finds: listed });
  });

  router.get("/:id", async (request, response) => {
    const params = parseOr400(parameters, request.params, response);
    if (params === undefined) return;
    const stored = await store.read(owner, params.id);
    if (stored === undefined) return sendProblem(response, 404, `There is no find ${params.id}.`);
    response.json(stored);
  });

  router.get("/:id/edits", async (request, response) => {
    const params = parseOr400(parameters, request.params, response);
    if (params === undefined) return;
    if ((await store.read(owner, params.id)) === undefined)
      return sendProblem(response, 404, `There is no find ${params.id}.`);
    response.json({ edits: await store.history(owner, params.id) });
  });

  router.put("/:id", async (request, response) => {
    const params = parseOr400(parameters, request.params, response);
    if (params === undefined) return;
    const body = parseOr400(putBody, request.body, response);
    if (body === undefined) return;
    if (body.find.id !== params.id)
      return sendFaults(response, [{ path: "find.id", message: `is not the id of the address, ${params.id}` }]);
    const find: Find = body.find;
    sendWritten(response, params.id, await store.put(owner, find, body.version));
  });

  router.post("/:id/edits", async (request, response) => {
    const params = parseOr400(parameters, request.params, response);
    if (params === undefined) return;
    const body = parseOr400(editsBody, request.body, response);
    if (body === undefined) return;
    sendWritten(response, params.id, await store.edit(owner, params.id, body.version, body.edits));
  });

  router.delete("/:id", async (request, response) => {
    const params = parseOr400(parameters, request.params, response);
    if (params === undefined) return;
    if (!(await store.remove(owner, params.id))) return sendProblem(response, 404, `There is no find ${params.id}.`);
    response.status(204).end();
  });

  router.post("/:id/restore", async (request, response) => {
    const params = parseOr400(parameters, request.params, response);
    if (params === undefined) return;
    const stored = await store.restore(owner, params.id);
    if (stored === undefined) return sendProblem(response, 404, `There is no find ${params.id}.`);
    response.json(stored);
  });

  return router;
}

function sendWritten(response: Response, id: string, written: Written): void {
  switch (written.kind) {
    case "stored":
      response.status(written.isNew ? 201 : 200).json(written.stored);
      return;
    case "conflict":
      sendProblem(response, 409, `version: the find is at version ${written.current.version}`, {
        current: written.current,
      });
      return;
    case "refused":
      sendFaults(response, written.faults);
      return;
    case "missing":
      sendProblem(response, 404, `There is no find ${id}.`);
      return;
  }
}
