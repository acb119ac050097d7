/** What a person does with themselves. */
import type { Parts, Reached } from "../parts.ts";
import { Problem } from "../problem.ts";
import { type Handlers, WithStatus } from "../serve.ts";
import { doorOf } from "./door.ts";

type Names =
  | "readMe"
  | "renameMe"
  | "changePassword"
  | "makeRecoveryCodes"
  | "passkeyToMake"
  | "keepPasskey"
  | "dropPasskey"
  | "openSeal"
  | "exportMine"
  | "leaveForGood";

export function peopleHandlers(parts: Parts, reached: Reached): Pick<Handlers, Names> {
  const { people, sessions, passkeys, leaving } = parts;
  const { originOr404, begin, challengeOf, confirmed } = doorOf(parts, reached);
  return {
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
  };
}
