/** Packets: made by the owner, read and answered by whoever has the link; witnesses and books of a find. */
import { randomUUID } from "node:crypto";
import { assess, bookSchema, type Knowledge, opinionSchema } from "@jittery-cap/core";
import { Router } from "express";
import { z } from "zod";
import { simulatedOpinion } from "../../stand-ins/second-person.ts";
import { findPaper, PAPER_SIZES } from "../paper/find-paper.ts";
import type { FindStore } from "../store/finds.ts";
import type { OpenPacket, PacketStore } from "../store/packets.ts";
import type { PictureNote, PictureStore } from "../store/pictures.ts";
import { parseOr400, sendFaults, sendProblem } from "./problem.ts";

const uuid = z.uuid("expected a UUID made by the client");
const ofFind = z.object({ id: uuid });
const ofKeptPacket = ofFind.extend({ packet: uuid });
const ofPacket = z.object({ token: z.string().regex(/^[0-9a-f]{32}$/, "expected the token of a packet") });
const ofPicture = ofPacket.extend({ picture: uuid });
const makeBody = z.strictObject({ id: uuid });
const paperQuery = z.strictObject({ size: z.enum(PAPER_SIZES).default("A5") });
const standInBody = z.strictObject({ differs: z.boolean() });

/** What the routes need. */
export interface PacketRoutes {
  readonly packets: PacketStore;
  readonly pictures: PictureStore;
  readonly finds: FindStore;
  readonly knowledge: Knowledge;
  readonly owner: string;
}

/** The routes under /api/finds. */
export function findPacketRoutes({ packets, finds, knowledge, owner }: PacketRoutes): Router {
  const router = Router();

  router.post("/:id/packets", async (request, response) => {
    const params = parseOr400(ofFind, request.params, response);
    if (params === undefined) return;
    const body = parseOr400(makeBody, request.body, response);
    if (body === undefined) return;
    const packet = await packets.make(owner, params.id, body.id);
    if (packet === undefined) return sendProblem(response, 404, `There is no find ${params.id}.`);
    response.status(201).json(packet);
  });

  router.get("/:id/packets", async (request, response) => {
    const params = parseOr400(ofFind, request.params, response);
    if (params !== undefined) response.json({ packets: await packets.list(owner, params.id) });
  });

  router.delete("/:id/packets/:packet", async (request, response) => {
    const params = parseOr400(ofKeptPacket, request.params, response);
    if (params === undefined) return;
    if (!(await packets.withdraw(owner, params.id, params.packet)))
      return sendProblem(response, 404, `There is no packet ${params.packet} of this find.`);
    response.status(204).end();
  });

  router.get("/:id/paper.pdf", async (request, response) => {
    const params = parseOr400(ofFind, request.params, response);
    if (params === undefined) return;
    const query = parseOr400(paperQuery, request.query, response);
    if (query === undefined) return;
    const stored = await finds.read(owner, params.id);
    if (stored === undefined) return sendProblem(response, 404, `There is no find ${params.id}.`);
    const page = await findPaper(stored.find, assess(stored.find, knowledge), query.size);
    response.type("application/pdf").send(page);
  });

  router.get("/:id/witnesses", async (request, response) => {
    const params = parseOr400(ofFind, request.params, response);
    if (params !== undefined) response.json({ witnesses: await packets.witnesses(owner, params.id) });
  });

  router.post("/:id/books", async (request, response) => {
    const params = parseOr400(ofFind, request.params, response);
    if (params === undefined) return;
    const book = parseOr400(bookSchema, request.body, response);
    if (book === undefined) return;
    const heard = await packets.consult(owner, params.id, book);
    if (heard.kind === "missing") return sendProblem(response, 404, `There is no find ${params.id}.`);
    if (heard.kind === "refused") return sendFaults(response, heard.faults);
    response.json({ witnesses: await packets.witnesses(owner, params.id) });
  });

  return router;
}

/** Pictures of the specimen that were there when it was packed; one of the ground may tell the place. */
const goesAlong = ({ part, receivedAt }: PictureNote, { madeAt }: OpenPacket): boolean =>
  part !== "ground" && new Date(receivedAt) <= madeAt;

/** The routes under /api/packets: the token is the only key. */
export function packetRoutes({ packets, pictures }: PacketRoutes): Router {
  const router = Router();
  const missing = "There is no such packet. Its link may be wrong or too old, or it was taken back.";

  router.get("/:token", async (request, response) => {
    const params = parseOr400(ofPacket, request.params, response);
    if (params === undefined) return;
    const packet = await packets.open(params.token);
    if (packet === undefined) return sendProblem(response, 404, missing);
    const all = await pictures.list(packet.ownerId, packet.findId);
    response.json({ record: packet.record, pictures: all.filter((one) => goesAlong(one, packet)) });
  });

  router.get("/:token/paper.pdf", async (request, response) => {
    const params = parseOr400(ofPacket, request.params, response);
    if (params === undefined) return;
    const query = parseOr400(paperQuery, request.query, response);
    if (query === undefined) return;
    const packet = await packets.open(params.token);
    if (packet === undefined) return sendProblem(response, 404, missing);
    // no answer on it: the opinion has to be their own
    response.type("application/pdf").send(await findPaper(packet.record, undefined, query.size));
  });

  router.get("/:token/pictures/:picture", async (request, response) => {
    const params = parseOr400(ofPicture, request.params, response);
    if (params === undefined) return;
    const packet = await packets.open(params.token);
    const all = packet === undefined ? [] : await pictures.list(packet.ownerId, packet.findId);
    const isPacked = all.some((one) => one.id === params.picture && packet !== undefined && goesAlong(one, packet));
    const content =
      packet === undefined || !isPacked
        ? undefined
        : await pictures.content(packet.ownerId, packet.findId, params.picture);
    if (content === undefined) return sendProblem(response, 404, missing);
    response.type("image/jpeg").send(content);
  });

  router.post("/:token/opinions", async (request, response) => {
    const params = parseOr400(ofPacket, request.params, response);
    if (params === undefined) return;
    const opinion = parseOr400(opinionSchema, request.body, response);
    if (opinion === undefined) return;
    const heard = await packets.hear(params.token, opinion, false);
    if (heard.kind === "missing") return sendProblem(response, 404, missing);
    if (heard.kind === "refused") return sendFaults(response, heard.faults);
    response.status(201).json({ heard: opinion.id });
  });

  router.post("/:token/stand-in", async (request, response) => {
    const params = parseOr400(ofPacket, request.params, response);
    if (params === undefined) return;
    const body = parseOr400(standInBody, request.body, response);
    if (body === undefined) return;
    const packet = await packets.open(params.token);
    if (packet === undefined) return sendProblem(response, 404, missing);
    const opinion = simulatedOpinion(randomUUID(), packet.record, body.differs);
    if (opinion === undefined)
      return sendProblem(response, 409, "record: nothing was seen yet that somebody could look at");
    await packets.hear(params.token, opinion, true);
    response.status(201).json({ heard: opinion.id });
  });

  return router;
}
