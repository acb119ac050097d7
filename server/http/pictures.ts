/** /api/finds/ID/pictures: sent as the raw file, answered as a small upright JPEG without place data. */
import { bodyIdSchema } from "@jittery-cap/core";
import express, { type Response, Router } from "express";
import { z } from "zod";
import { type KeptPicture, PICTURE_PARTS, type PictureStore } from "../store/pictures.ts";
import { parseOr400, sendFaults, sendProblem } from "./problem.ts";

const PICTURE_LIMIT = "25mb";
const PICTURE_TYPES = ["image/jpeg", "image/png", "image/webp", "image/avif", "image/tiff", "application/octet-stream"];
const uuid = z.uuid("expected a UUID made by the client");
const ofFind = z.object({ id: uuid });
const ofPicture = z.object({ id: uuid, picture: uuid });
const about = z.strictObject({ part: z.enum(PICTURE_PARTS), body: bodyIdSchema.optional() });
const YEAR_SECONDS = 365 * 24 * 60 * 60;

/** What the routes need. */
export interface PictureRoutes {
  readonly pictures: PictureStore;
  readonly owner: string;
}

/** The routes under /api/finds that have to do with pictures. */
export function pictureRoutes({ pictures, owner }: PictureRoutes): Router {
  const router = Router();

  router.get("/:id/pictures", async (request, response) => {
    const params = parseOr400(ofFind, request.params, response);
    if (params !== undefined) response.json({ pictures: await pictures.list(owner, params.id) });
  });

  router.put(
    "/:id/pictures/:picture",
    express.raw({ limit: PICTURE_LIMIT, type: PICTURE_TYPES }),
    async (request, response) => {
      const params = parseOr400(ofPicture, request.params, response);
      if (params === undefined) return;
      const query = parseOr400(about, request.query, response);
      if (query === undefined) return;
      const content: unknown = request.body;
      if (!Buffer.isBuffer(content) || content.length === 0)
        return sendProblem(response, 415, `(root): send the picture itself, as one of ${PICTURE_TYPES.join(", ")}`);
      const kept = await pictures.keep(
        owner,
        params.id,
        params.picture,
        { part: query.part, body: query.body },
        content,
      );
      sendKept(response, params.id, kept);
    },
  );

  router.get("/:id/pictures/:picture", async (request, response) => {
    const params = parseOr400(ofPicture, request.params, response);
    if (params === undefined) return;
    const content = await pictures.content(owner, params.id, params.picture);
    if (content === undefined) return sendProblem(response, 404, `There is no picture ${params.picture}.`);
    // a picture never changes under its id
    response.set("cache-control", `private, max-age=${YEAR_SECONDS}, immutable`).type("image/jpeg").send(content);
  });

  for (const [method, path, away] of [
    ["delete", "/:id/pictures/:picture", true],
    ["post", "/:id/pictures/:picture/restore", false],
  ] as const)
    router[method](path, async (request, response) => {
      const params = parseOr400(ofPicture, request.params, response);
      if (params === undefined) return;
      if (!(await pictures.setAway(owner, params.id, params.picture, away)))
        return sendProblem(response, 404, `There is no picture ${params.picture}.`);
      response.status(204).end();
    });

  return router;
}

function sendKept(response: Response, findId: string, kept: KeptPicture): void {
  switch (kept.kind) {
    case "kept":
      response.status(kept.isNew ? 201 : 200).json(kept.picture);
      return;
    case "missing":
      sendProblem(response, 404, `There is no find ${findId}.`);
      return;
    case "conflict":
      sendProblem(response, 409, "picture: another picture has this id");
      return;
    case "refused":
      sendFaults(response, [{ path: "(root)", message: kept.text }]);
      return;
  }
}
