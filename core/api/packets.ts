/** Packets: made by the owner, read and answered by whoever has the link. */
import { z } from "zod";
import { saidOfPacketSchema } from "../decide/packet.ts";
import { PICTURE_PARTS } from "../documents/kinds/picture.ts";
import { findSchema } from "../find/schema.ts";
import { uuid } from "./documents.ts";
import { paperQuery } from "./finds.ts";
import { route } from "./route.ts";

const ofFind = z.strictObject({ id: uuid });
const ofPacket = z.strictObject({ token: z.string().regex(/^[0-9a-f]{32}$/, "expected the token of a packet") });

/** A packet as its maker sees it. */
export const packetSchema = z.object({
  id: z.string(),
  token: z.string(),
  madeAt: z.string(),
  /** From then on its link leads nowhere: because it is old, or because it was taken back. */
  openUntil: z.string(),
});

export const makePacket = route({
  method: "post",
  path: "/api/finds/:id/packets",
  about: "Packs a find for somebody else: without answer, name and place",
  params: ofFind,
  body: z.strictObject({ id: uuid }),
  reply: packetSchema,
  problems: [404],
});

export const listPackets = route({
  method: "get",
  path: "/api/finds/:id/packets",
  about: "The packets of a find, latest first",
  params: ofFind,
  reply: z.object({ packets: z.array(packetSchema) }),
  problems: [404],
});

export const withdrawPacket = route({
  method: "delete",
  path: "/api/finds/:id/packets/:packet",
  about: "Takes a packet back: its link leads nowhere from now on",
  params: z.strictObject({ id: uuid, packet: uuid }),
  reply: "nothing",
  problems: [404],
});

export const openPacket = route({
  method: "get",
  path: "/api/packets/:token",
  about: "What a packet holds",
  access: "link",
  params: ofPacket,
  reply: z.object({
    record: findSchema,
    pictures: z.array(z.object({ id: z.string(), part: z.enum(PICTURE_PARTS), body: z.string().optional() })),
  }),
  problems: [404],
});

export const packetPaper = route({
  method: "get",
  path: "/api/packets/:token/paper.pdf",
  about: "A packet on a page, without an answer",
  access: "link",
  params: ofPacket,
  query: paperQuery,
  reply: { media: "application/pdf" },
  problems: [404],
});

export const packetPicture = route({
  method: "get",
  path: "/api/packets/:token/pictures/:picture",
  about: "A picture that was packed",
  access: "link",
  params: ofPacket.extend({ picture: uuid }),
  reply: { media: "image/jpeg" },
  problems: [404],
});

const heard = z.object({ heard: z.string() });

export const sayOfPacket = route({
  method: "post",
  path: "/api/packets/:token/opinions",
  about: "Says what somebody saw of what a packet holds",
  access: "link",
  params: ofPacket,
  body: saidOfPacketSchema,
  reply: heard,
  problems: [404],
});

export const askStandIn = route({
  method: "post",
  path: "/api/packets/:token/stand-in",
  about: "Asks the person who does not exist for an opinion; it fulfils nothing",
  access: "link",
  params: ofPacket,
  body: z.strictObject({ differs: z.boolean() }),
  reply: heard,
  problems: [404, 409],
});
