/** Signing in and out, and what a person does with themselves. */
import { randomUUID } from "node:crypto";
import type { Request } from "express";
import type { Origin } from "../../people/passkeys.ts";
import { hashOfCode } from "../../people/people.ts";
import type { Parts, Reached } from "../parts.ts";
import { Problem } from "../problem.ts";
import { type Handlers, WithStatus } from "../serve.ts";

type Names =
  | "waysIn"
  | "beFirst"
  | "signInByPassword"
  | "signInByCode"
  | "takeInvented"
  | "passkeyChallenge"
  | "signInByPasskey"
  | "signOut"
  | "readMe"
  | "renameMe"
  | "changePassword"
  | "makeRecoveryCodes"
  | "passkeyToMake"
  | "keepPasskey"
  | "dropPasskey"
  | "openSeal"
  | "exportMine"
  | "leaveForGood"
  | "invite"
  | "listInvitations"
  | "withdrawInvitation"
  | "readInvitation"
  | "join";

/** The word that stands for the setup in the table of secrets. */
export const SETUP_WORD = "setup";

const addressOf = (request: Request): string => request.ip ?? request.socket.remoteAddress ?? "";

export function peopleHandlers(parts: Parts, { originOf, mayTakeInvented }: Reached): Pick<Handlers, Names> {
  const { people, sessions, passkeys, invitations, tries, leaving } = parts;

  const originOr404 = (request: Request): Origin => {
    const origin = originOf(request);
    if (origin === undefined) throw new Problem(404, "Passkeys need a name and https; at this address there are none.");
    return origin;
  };
  const begin = async (request: Request, id: string) => {
    await sessions.begin(request, id);
    return people.own(id);
  };
  /** What was asked for in this session, which is then used up. */
  const challengeOf = (request: Request): string => {
    const { challenge } = request.session;
    delete request.session.challenge;
    if (challenge === undefined) throw new Problem(401, "Nothing was asked for; begin anew.");
    return challenge;
  };
  const confirmed = async (id: string, password: string, request: Request) => {
    await tries.count(id, addressOf(request));
    const person = await people.confirm(id, password);
    await tries.right(id, addressOf(request));
    return person;
  };

  return {
    waysIn: async ({ request }) => ({
      isFirst: await people.isNobodyYet(),
      invented: mayTakeInvented(request)
        ? (await people.invented()).map(({ id, name, about }) => ({ id, name, about: about ?? "" }))
        : [],
      hasPasskeys: originOf(request) !== undefined,
    }),
    beFirst: async ({ body: { word, ...told }, request }) => {
      await tries.count(SETUP_WORD, addressOf(request));
      if (!(await people.isNobodyYet()))
        throw new Problem(409, "word: somebody was the first already; ask them for an invitation");
      if (hashOfCode(word) !== hashOfCode(await parts.setupWord()))
        throw new Problem(401, "word: is not the setup word that the server printed when it was started");
      const id = await people.first(told, randomUUID());
      await tries.right(SETUP_WORD, addressOf(request));
      return new WithStatus(201, await begin(request, id));
    },
    signInByPassword: async ({ body: { signInName, password }, request }) => {
      const name = signInName.trim().toLowerCase();
      await tries.count(name, addressOf(request));
      const id = await people.byPassword(name, password);
      await tries.right(name, addressOf(request));
      return begin(request, id);
    },
    signInByCode: async ({ body: { signInName, code, password }, request }) => {
      const name = signInName.trim().toLowerCase();
      await tries.count(`code ${name}`, addressOf(request));
      // a code is used up whatever comes: a password that is refused must not cost one
      await people.refuseEasy({ name: "", signInName: name, password });
      const person = await people.byCode(name, code);
      await people.setPassword(person, password);
      await sessions.endAll(person.id);
      await tries.right(`code ${name}`, addressOf(request));
      await tries.right(name, addressOf(request));
      return begin(request, person.id);
    },
    takeInvented: async ({ body: { id }, request }) => {
      const person = mayTakeInvented(request) ? await people.read(id) : undefined;
      if (person?.isInvented !== true) throw new Problem(404, "There is no such invented person here.");
      return begin(request, id);
    },
    passkeyChallenge: async ({ request }) => {
      const options = await passkeys.toSign(originOr404(request));
      request.session.challenge = options.challenge;
      await sessions.save(request);
      return { ...options };
    },
    signInByPasskey: async ({ body, request }) => {
      await tries.count(addressOf(request), addressOf(request));
      const id = await passkeys.personOf(originOr404(request), challengeOf(request), body);
      await tries.right(addressOf(request), addressOf(request));
      return begin(request, id);
    },
    signOut: async ({ body: { everywhere }, request }) => {
      const person = sessions.personOf(request);
      if (everywhere && person !== undefined) await sessions.endAll(person);
      await sessions.end(request);
      if (person !== undefined) parts.live.end(person);
      return undefined;
    },
    readMe: ({ actor }) => people.own(actor.id),
    renameMe: async ({ actor, body }) => {
      await people.rename(actor.id, body.name);
      return people.own(actor.id);
    },
    changePassword: async ({ actor, body: { old, password }, request }) => {
      await people.setPassword(await confirmed(actor.id, old, request), password);
      await sessions.endAll(actor.id);
      // whoever knows the old session's id knows nothing any more
      return begin(request, actor.id);
    },
    makeRecoveryCodes: async ({ actor, body, request }) => {
      await confirmed(actor.id, body.password, request);
      return { codes: await people.newCodes(actor.id) };
    },
    passkeyToMake: async ({ actor, request }) => {
      const options = await passkeys.toMake(originOr404(request), await people.own(actor.id));
      request.session.challenge = options.challenge;
      await sessions.save(request);
      return { ...options };
    },
    keepPasskey: async ({ actor, body: { name, made }, request }) => {
      await passkeys.keep(originOr404(request), challengeOf(request), actor.id, name, made);
      return new WithStatus(201, await people.own(actor.id));
    },
    dropPasskey: async ({ actor, params }) => {
      if (!(await passkeys.drop(actor.id, params.id))) throw new Problem(404, "There is no such passkey of yours.");
      return undefined;
    },
    openSeal: ({ actor }) => people.sealKey(actor.id),
    exportMine: async ({ actor, response }) => {
      response.set("content-disposition", 'attachment; filename="jittery-cap-all-of-mine.zip"');
      response.type("application/zip");
      await leaving.everything(actor, response);
      return undefined;
    },
    leaveForGood: async ({ actor, body, request }) => {
      const me = await people.own(actor.id);
      if (me.hasPassword) await confirmed(actor.id, body.password ?? "", request);
      if (body.signInName.trim().toLowerCase() !== (me.signInName ?? me.name.toLowerCase()))
        throw Problem.ofFaults([{ path: "signInName", message: "is not the name by which you sign in" }]);
      await leaving.leave(actor);
      await sessions.endAll(actor.id);
      await sessions.end(request);
      parts.live.end(actor.id);
      return undefined;
    },
    invite: async ({ actor, body }) => new WithStatus(201, await invitations.make(actor.id, body.id, body.note)),
    listInvitations: async ({ actor }) => ({ invitations: await invitations.list(actor.id) }),
    withdrawInvitation: async ({ actor, params }) => {
      await invitations.withdraw(actor.id, params.id);
      return undefined;
    },
    readInvitation: async ({ params, request }) => {
      await tries.count(addressOf(request), addressOf(request));
      const open = await invitations.open(params.token);
      await tries.right(addressOf(request), addressOf(request));
      return open;
    },
    join: async ({ params, body: { id, ...told }, request }) => {
      await tries.count(addressOf(request), addressOf(request));
      await invitations.use(params.token, id, told);
      await tries.right(addressOf(request), addressOf(request));
      return new WithStatus(201, await begin(request, id));
    },
  };
}
