/** Signing in and out. */
import { randomUUID } from "node:crypto";
import { hashOfCode } from "../../people/people.ts";
import type { Parts, Reached } from "../parts.ts";
import { Problem } from "../problem.ts";
import { type Handlers, WithStatus } from "../serve.ts";
import { addressOf, doorOf } from "./door.ts";

/** The word that stands for the setup in the table of secrets. */
export const SETUP_WORD = "setup";

type Names =
  | "waysIn"
  | "beFirst"
  | "signInByPassword"
  | "signInByCode"
  | "takeInvented"
  | "passkeyChallenge"
  | "signInByPasskey"
  | "signOut";

export function signInHandlers(parts: Parts, reached: Reached): Pick<Handlers, Names> {
  const { people, sessions, passkeys, tries } = parts;
  const { originOf, mayTakeInvented } = reached;
  const { originOr404, begin, challengeOf } = doorOf(parts, reached);
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
  };
}
