/** Packets as the browser asks for them: they need the server, which says so where it is away. */
import type { SaidOfPacket } from "@jittery-cap/core";
import { type ReplyOf, ROUTES } from "@jittery-cap/core/api";
import { uuidv7 } from "uuidv7";
import { ask, valueOrNothing } from "./client.ts";

/** A packet as its maker sees it. */
export type KeptPacket = ReplyOf<(typeof ROUTES)["makePacket"]>;
/** A packet as whoever has its link sees it. */
export type OpenPacket = ReplyOf<(typeof ROUTES)["openPacket"]>;

/** Makes a packet. */
export const makePacket = (findId: string): Promise<KeptPacket | undefined> =>
  valueOrNothing(ROUTES.makePacket, { params: { id: findId }, body: { id: uuidv7() } });

/** The packets of a find whose links still lead somewhere, latest first, or undefined where the server cannot be reached. */
export async function openPackets(findId: string): Promise<readonly KeptPacket[] | undefined> {
  const reply = await valueOrNothing(ROUTES.listPackets, { params: { id: findId } });
  return reply?.packets.filter((one) => new Date(one.openUntil) > new Date());
}

/** Takes a packet back. @returns whether the server has heard of it */
export async function withdrawPacket(findId: string, id: string): Promise<boolean> {
  return (await ask(ROUTES.withdrawPacket, { params: { id: findId, packet: id } })).kind === "ok";
}

/** Asks the person who does not exist. */
export async function askStandIn(token: string, differs: boolean): Promise<boolean> {
  return (await ask(ROUTES.askStandIn, { params: { token }, body: { differs } })).kind === "ok";
}

/** A packet by its token. */
export const openPacket = (token: string): Promise<OpenPacket | undefined> =>
  valueOrNothing(ROUTES.openPacket, { params: { token } });

/** Sends what somebody saw. @returns why it was not taken, or undefined where it was */
export async function sendOpinion(token: string, said: SaidOfPacket): Promise<string | undefined> {
  const outcome = await ask(ROUTES.sayOfPacket, { params: { token }, body: said });
  if (outcome.kind === "ok") return undefined;
  return outcome.kind === "refused" ? outcome.problem.detail : outcome.text;
}
