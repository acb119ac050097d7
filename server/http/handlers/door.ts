/** What every handler at the door needs: who knocks from where, what was asked in this session, and a session that begins. */
import type { Request } from "express";
import type { Origin } from "../../people/passkeys.ts";
import type { Parts, Reached } from "../parts.ts";
import { Problem } from "../problem.ts";

export const addressOf = (request: Request): string => request.ip ?? request.socket.remoteAddress ?? "";

export type Door = ReturnType<typeof doorOf>;

export function doorOf({ people, sessions, tries }: Parts, { originOf }: Reached) {
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

  return { originOr404, begin, challengeOf, confirmed };
}
