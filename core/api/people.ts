/** Who somebody is: signing in and out, what they sign in with, invitations, all one's data, and leaving. */
import { z } from "zod";
import {
  newPasswordSchema,
  ownPersonSchema,
  personNameSchema,
  signInNameSchema,
  toldCodeSchema,
  toldPasswordSchema,
} from "../people/person.ts";
import { uuid } from "./documents.ts";
import { route } from "./route.ts";

/** What a browser's own functions for passkeys take and give; whoever uses it looks it through itself. */
const passkeyJson = z.record(z.string(), z.unknown());
const NAME_OF_KEY_LENGTH = 60;
const invitedToken = z.string().regex(/^[0-9a-f]{32}$/, "expected the token of an invitation");

export const waysIn = route({
  method: "get",
  path: "/api/sign-in",
  about: "How one can sign in here: whether the first person is still to come, and who is invented and may be taken",
  access: "entrance",
  reply: z.object({
    /** Nobody has signed in here yet: whoever has the setup word is the first. */
    isFirst: z.boolean(),
    /** On this machine alone, with the demo. */
    invented: z.array(z.object({ id: z.string(), name: z.string(), about: z.string() })),
    /** Whether passkeys work at this address. */
    hasPasskeys: z.boolean(),
  }),
});

export const beFirst = route({
  method: "post",
  path: "/api/sign-in/first",
  about: "Makes the first person, by the setup word that the server printed when it was started",
  access: "entrance",
  body: z.strictObject({
    word: toldCodeSchema,
    name: personNameSchema,
    signInName: signInNameSchema,
    password: newPasswordSchema,
  }),
  reply: ownPersonSchema,
  problems: [401, 409, 429],
});

export const signInByPassword = route({
  method: "post",
  path: "/api/sign-in/password",
  about: "Signs in by name and password",
  access: "entrance",
  body: z.strictObject({ signInName: z.string().max(80), password: toldPasswordSchema }),
  reply: ownPersonSchema,
  problems: [401, 429],
});

export const signInByCode = route({
  method: "post",
  path: "/api/sign-in/recovery",
  about: "Signs in by a recovery code, which is used up by it, and sets a new password; everybody else is signed out",
  access: "entrance",
  body: z.strictObject({ signInName: z.string().max(80), code: toldCodeSchema, password: newPasswordSchema }),
  reply: ownPersonSchema,
  problems: [401, 429],
});

export const takeInvented = route({
  method: "post",
  path: "/api/sign-in/invented",
  about: "Takes an invented person, on this machine alone and with the demo alone",
  access: "entrance",
  body: z.strictObject({ id: uuid }),
  reply: ownPersonSchema,
  problems: [404],
});

export const passkeyChallenge = route({
  method: "post",
  path: "/api/sign-in/passkey/challenge",
  about: "What a passkey is asked for, to sign in",
  access: "entrance",
  body: z.strictObject({}),
  reply: passkeyJson,
  problems: [404, 429],
});

export const signInByPasskey = route({
  method: "post",
  path: "/api/sign-in/passkey",
  about: "Signs in by a passkey",
  access: "entrance",
  body: passkeyJson,
  reply: ownPersonSchema,
  problems: [401, 404, 429],
});

export const signOut = route({
  method: "post",
  path: "/api/sign-out",
  about: "Signs out, here or everywhere",
  access: "entrance",
  body: z.strictObject({ everywhere: z.boolean() }),
  reply: "nothing",
});

export const readMe = route({
  method: "get",
  path: "/api/me",
  about: "Who I am",
  reply: ownPersonSchema,
});

export const renameMe = route({
  method: "put",
  path: "/api/me/name",
  about: "Changes what others call me",
  body: z.strictObject({ name: personNameSchema }),
  reply: ownPersonSchema,
});

export const changePassword = route({
  method: "post",
  path: "/api/me/password",
  about: "Changes the password, by the old one; every other device is signed out",
  body: z.strictObject({ old: toldPasswordSchema, password: newPasswordSchema }),
  reply: ownPersonSchema,
  problems: [429],
});

export const makeRecoveryCodes = route({
  method: "post",
  path: "/api/me/recovery-codes",
  about: "Makes new recovery codes, by the password; the old ones open nothing any more. They are told once",
  body: z.strictObject({ password: toldPasswordSchema }),
  reply: z.object({ codes: z.array(z.string()) }),
  problems: [429],
});

export const passkeyToMake = route({
  method: "post",
  path: "/api/me/passkeys/challenge",
  about: "What a new passkey is made by",
  body: z.strictObject({}),
  reply: passkeyJson,
  problems: [404],
});

export const keepPasskey = route({
  method: "post",
  path: "/api/me/passkeys",
  about: "Keeps a new passkey",
  body: z.strictObject({ name: z.string().trim().min(1).max(NAME_OF_KEY_LENGTH), made: passkeyJson }),
  reply: ownPersonSchema,
  problems: [404],
});

export const dropPasskey = route({
  method: "delete",
  path: "/api/me/passkeys/:id",
  about: "Takes a passkey back: it opens nothing any more",
  params: z.strictObject({ id: z.string().regex(/^[\w-]{1,400}$/, "expected the id of a passkey") }),
  reply: "nothing",
  problems: [404],
});

export const openSeal = route({
  method: "post",
  path: "/api/me/seal",
  about: "The key that opens what my devices have sealed",
  body: z.strictObject({}),
  reply: passkeyJson,
});

export const exportMine = route({
  method: "get",
  path: "/api/me/export",
  about: "All that is kept of me, in one file: documents, who changed what, pictures, links, circles",
  reply: { media: "application/zip" },
});

export const leaveForGood = route({
  method: "post",
  path: "/api/me/leave",
  about: "Deletes me and all that is mine. What others rest on stays, without my name",
  body: z.strictObject({ password: toldPasswordSchema.optional(), signInName: z.string().max(80) }),
  reply: "nothing",
  problems: [409, 429],
});

const invitationSchema = z.object({
  id: z.string(),
  /** Told once, to whoever made it. */
  token: z.string().optional(),
  madeAt: z.string(),
  openUntil: z.string(),
  usedBy: z.string().optional(),
  note: z.string(),
});

export const invite = route({
  method: "post",
  path: "/api/invitations",
  about: "Makes a link by which one person may join this server. Only whoever keeps it may",
  body: z.strictObject({ id: uuid, note: z.string().trim().max(120).default("") }),
  reply: invitationSchema,
  problems: [409],
});

export const listInvitations = route({
  method: "get",
  path: "/api/invitations",
  about: "The invitations that I made, latest first",
  reply: z.object({ invitations: z.array(invitationSchema) }),
});

export const withdrawInvitation = route({
  method: "delete",
  path: "/api/invitations/:id",
  about: "Takes an invitation back",
  params: z.strictObject({ id: uuid }),
  reply: "nothing",
  problems: [404],
});

export const readInvitation = route({
  method: "get",
  path: "/api/join/:token",
  about: "Who invites",
  access: "entrance",
  params: z.strictObject({ token: invitedToken }),
  reply: z.object({ from: z.string(), openUntil: z.string() }),
  problems: [404, 429],
});

export const join = route({
  method: "post",
  path: "/api/join/:token",
  about: "Joins by an invitation, which is used up by it, and signs in",
  access: "entrance",
  params: z.strictObject({ token: invitedToken }),
  body: z.strictObject({
    id: uuid,
    name: personNameSchema,
    signInName: signInNameSchema,
    password: newPasswordSchema,
  }),
  reply: ownPersonSchema,
  problems: [404, 409, 429],
});

/** Routes of who somebody is, by name. */
export const PEOPLE_ROUTES = {
  waysIn,
  beFirst,
  signInByPassword,
  signInByCode,
  takeInvented,
  passkeyChallenge,
  signInByPasskey,
  signOut,
  readMe,
  renameMe,
  changePassword,
  makeRecoveryCodes,
  passkeyToMake,
  keepPasskey,
  dropPasskey,
  openSeal,
  exportMine,
  leaveForGood,
  invite,
  listInvitations,
  withdrawInvitation,
  readInvitation,
  join,
} as const;
