/** Circles, what is shared with them, and finds that wait for somebody's eyes. */
import { z } from "zod";
import { opinionLookSchema } from "../decide/packet.ts";
import { PICTURE_PARTS } from "../documents/kinds/picture.ts";
import { PLACES_SHOWN, ROLES, trustedSchema } from "../people/circle.ts";
import { documentSchema, uuid } from "./documents.ts";
import { route } from "./route.ts";

const NAME_LENGTH = 80;
const NOTE_LENGTH = 300;
const token = z.string().regex(/^[0-9a-f]{32}$/, "expected the token of an invitation");
const ofCircle = z.strictObject({ id: uuid });
const ofMember = z.strictObject({ id: uuid, person: uuid });
const ofShare = z.strictObject({ id: uuid, circle: uuid });

const memberSchema = z.object({
  id: z.string(),
  name: z.string(),
  role: z.enum(ROLES),
  /** The genera that the circle trusts them with. */
  trusted: z.array(z.string()),
  joinedAt: z.string(),
});

const circleSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** What I am in it. */
  role: z.enum(ROLES),
  members: z.array(memberSchema),
});

export const listCircles = route({
  method: "get",
  path: "/api/circles",
  about: "The circles that I am in, with who is in them",
  reply: z.object({ circles: z.array(circleSchema) }),
});

export const makeCircle = route({
  method: "post",
  path: "/api/circles",
  about: "Makes a circle, of which I am the owner",
  body: z.strictObject({ id: uuid, name: z.string().trim().min(1).max(NAME_LENGTH) }),
  reply: circleSchema,
  problems: [409],
});

export const inviteToCircle = route({
  method: "post",
  path: "/api/circles/:id/invitations",
  about: "Makes a link by which one person who has signed in joins a circle, in a role. Only an owner may",
  params: ofCircle,
  body: z.strictObject({ id: uuid, role: z.enum(ROLES), trusted: trustedSchema.default([]) }),
  reply: z.object({ token: z.string(), openUntil: z.string() }),
  problems: [404, 409],
});

export const readCircleInvitation = route({
  method: "get",
  path: "/api/circle-invitations/:token",
  about: "Which circle one is invited to, by whom and as what",
  params: z.strictObject({ token }),
  reply: z.object({ circle: z.string(), from: z.string(), role: z.enum(ROLES) }),
  problems: [404],
});

export const joinCircle = route({
  method: "post",
  path: "/api/circle-invitations/:token",
  about: "Joins a circle; the invitation is used up by it",
  params: z.strictObject({ token }),
  body: z.strictObject({}),
  reply: circleSchema,
  problems: [404],
});

export const setMember = route({
  method: "put",
  path: "/api/circles/:id/members/:person",
  about: "Changes what somebody is in a circle, and what it trusts them with. Only an owner may",
  params: ofMember,
  body: z.strictObject({ role: z.enum(ROLES), trusted: trustedSchema }),
  reply: circleSchema,
  problems: [404, 409],
});

export const leaveCircle = route({
  method: "delete",
  path: "/api/circles/:id/members/:person",
  about: "Somebody leaves a circle, or an owner takes them out: from then on they see nothing of it",
  params: ofMember,
  reply: "nothing",
  problems: [404, 409],
});

const shareSchema = z.object({
  circle: z.string(),
  name: z.string(),
  place: z.enum(PLACES_SHOWN),
  mayRecord: z.boolean(),
  sharedAt: z.string(),
});

export const listShares = route({
  method: "get",
  path: "/api/finds/:id/shares",
  about: "With which circles a find of mine is shared, and how",
  params: ofCircle,
  reply: z.object({ shares: z.array(shareSchema) }),
  problems: [404],
});

export const shareFind = route({
  method: "put",
  path: "/api/finds/:id/shares/:circle",
  about: "Shares a find of mine with a circle that I am in",
  params: ofShare,
  body: z.strictObject({ place: z.enum(PLACES_SHOWN).default("none"), mayRecord: z.boolean().default(false) }),
  reply: z.object({ shares: z.array(shareSchema) }),
  problems: [404],
});

export const withdrawShare = route({
  method: "delete",
  path: "/api/finds/:id/shares/:circle",
  about: "Shares a find of mine no longer",
  params: ofShare,
  reply: "nothing",
  problems: [404],
});

/** A find that others share with me. */
const sharedWithMe = z.object({
  id: z.string(),
  version: z.int().positive(),
  owner: z.object({ id: z.string(), name: z.string() }),
  circle: z.string().describe("The circle with which it was shared last, of those in which I am"),
  circles: z.array(z.string()).optional().describe("All of them; left out by a server before it told them"),
  place: z.enum(PLACES_SHOWN),
  mayRecord: z.boolean(),
});

export const listShared = route({
  method: "get",
  path: "/api/shared",
  about:
    "The finds that others share with me now, latest made first. What is on none of the pages is not mine to see any more",
  query: z.strictObject({
    after: uuid.optional(),
    limit: z.coerce.number<number | string>().int().min(1).max(500).default(200),
  }),
  reply: z.object({ finds: z.array(sharedWithMe), next: z.string().optional() }),
});

export const listSharedPictures = route({
  method: "get",
  path: "/api/shared/:id/pictures",
  about:
    "The pictures of a find that is shared with me, oldest first; those of the ground where its whole place is shared",
  params: ofCircle,
  reply: z.object({
    pictures: z.array(z.object({ id: z.string(), part: z.enum(PICTURE_PARTS), body: z.string().optional() })),
  }),
  problems: [404],
});

export const showSharedPicture = route({
  method: "get",
  path: "/api/shared/:id/pictures/:picture",
  about: "A picture of a find that is shared with me: kept by nobody, since it may not be shared tomorrow",
  params: z.strictObject({ id: uuid, picture: uuid }),
  reply: { media: "image/jpeg" },
  problems: [404],
});

export const recordAlong = route({
  method: "post",
  path: "/api/shared/:id/observers",
  about: "Makes me an observer of a find that is shared with me, so that looks of mine stand under my name",
  params: ofCircle,
  body: z.strictObject({}),
  reply: documentSchema,
  problems: [404, 409],
});

const askSchema = z.object({
  id: z.string(),
  circle: z.string(),
  circleName: z.string(),
  /** The find, where it is mine. */
  find: z.string().optional(),
  by: z.string(),
  note: z.string(),
  askedAt: z.string(),
  /** Who said that they would look. */
  takenBy: z.string().optional(),
  takenByMe: z.boolean(),
  answeredAt: z.string().optional(),
  /** Leads to the record, without an answer and without the place. */
  token: z.string().optional(),
});

export const askCircle = route({
  method: "post",
  path: "/api/finds/:id/asks",
  about: "Asks a circle to look at a find of mine: without my answer, so that theirs is their own",
  params: ofCircle,
  body: z.strictObject({ id: uuid, circle: uuid, note: z.string().trim().max(NOTE_LENGTH).default("") }),
  reply: askSchema,
  problems: [404, 409],
});

export const listAsks = route({
  method: "get",
  path: "/api/asks",
  about: "What waits for somebody's eyes in my circles, longest first, and what was answered lately",
  reply: z.object({ asks: z.array(askSchema) }),
});

export const takeAsk = route({
  method: "put",
  path: "/api/asks/:id/taker",
  about: "Says that I look at it, or that I do not after all",
  params: ofCircle,
  body: z.strictObject({ take: z.boolean() }),
  reply: askSchema,
  problems: [404, 409],
});

export const answerAsk = route({
  method: "post",
  path: "/api/asks/:id/opinion",
  about: "Says what I saw. Under which standing is kept with it; looks in the hand count as the circle trusts me",
  params: ofCircle,
  body: z.strictObject({ id: uuid, inHand: z.boolean(), looks: z.array(opinionLookSchema).min(1).max(400) }),
  reply: z.object({ heard: z.string() }),
  problems: [404, 409],
});

export const withdrawAsk = route({
  method: "delete",
  path: "/api/asks/:id",
  about: "Asks no longer",
  params: ofCircle,
  reply: "nothing",
  problems: [404],
});

/** Routes of circles, by name. */
export const CIRCLE_ROUTES = {
  listCircles,
  makeCircle,
  inviteToCircle,
  readCircleInvitation,
  joinCircle,
  setMember,
  leaveCircle,
  listShares,
  shareFind,
  withdrawShare,
  listShared,
  listSharedPictures,
  showSharedPicture,
  recordAlong,
  askCircle,
  listAsks,
  takeAsk,
  answerAsk,
  withdrawAsk,
} as const;
