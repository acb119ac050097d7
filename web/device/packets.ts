/** Packets and witnesses as the browser asks for them. */
import { type Find, findSchema, WITNESS_KINDS, type WitnessLook, witnessLookSchema } from "@jittery-cap/core";
import { uuidv7 } from "uuidv7";
import { z } from "zod";

const witnessSchema = z.object({
  id: z.string(),
  kind: z.enum(WITNESS_KINDS),
  name: z.string(),
  agrees: z.boolean().optional(),
  looks: z.array(witnessLookSchema),
  heardAt: z.string(),
});
export type Witness = z.infer<typeof witnessSchema>;
const listSchema = z.object({ witnesses: z.array(witnessSchema) });
const packetSchema = z.object({
  record: findSchema,
  pictures: z.array(z.object({ id: z.string(), part: z.string(), body: z.string().optional() })),
});
export type OpenPacket = z.infer<typeof packetSchema>;

async function ask(path: string, body?: unknown): Promise<unknown> {
  try {
    const response = await fetch(
      path,
      body === undefined
        ? {}
        : { method: "POST", body: JSON.stringify(body), headers: { "content-type": "application/json" } },
    );
    return response.ok ? await response.json() : undefined;
  } catch {
    return undefined;
  }
}

/** What was said of a find, or undefined where the server cannot be reached. */
export async function readWitnesses(findId: string): Promise<readonly Witness[] | undefined> {
  const parsed = listSchema.safeParse(await ask(`/api/finds/${findId}/witnesses`));
  return parsed.success ? parsed.data.witnesses : undefined;
}

const keptPacketSchema = z.object({ id: z.string(), token: z.string(), madeAt: z.string(), openUntil: z.string() });
/** A packet as its maker sees it. */
export type KeptPacket = z.infer<typeof keptPacketSchema>;

/** Makes a packet. */
export async function makePacket(findId: string): Promise<KeptPacket | undefined> {
  const parsed = keptPacketSchema.safeParse(await ask(`/api/finds/${findId}/packets`, { id: uuidv7() }));
  return parsed.success ? parsed.data : undefined;
}

/** The packets of a find whose links still lead somewhere, latest first, or undefined where the server cannot be reached. */
export async function openPackets(findId: string): Promise<readonly KeptPacket[] | undefined> {
  const parsed = z.object({ packets: z.array(keptPacketSchema) }).safeParse(await ask(`/api/finds/${findId}/packets`));
  return parsed.success ? parsed.data.packets.filter((one) => new Date(one.openUntil) > new Date()) : undefined;
}

/** Takes a packet back. @returns whether the server has heard of it */
export async function withdrawPacket(findId: string, id: string): Promise<boolean> {
  const response = await fetch(`/api/finds/${findId}/packets/${id}`, { method: "DELETE" }).catch(() => undefined);
  return response?.ok === true;
}

/** Asks the person who does not exist. */
export async function askStandIn(token: string, differs: boolean): Promise<boolean> {
  return (await ask(`/api/packets/${token}/stand-in`, { differs })) !== undefined;
}

/** Notes a book. */
export async function noteBook(
  findId: string,
  title: string,
  agrees: boolean,
): Promise<readonly Witness[] | undefined> {
  const parsed = listSchema.safeParse(await ask(`/api/finds/${findId}/books`, { id: uuidv7(), title, agrees }));
  return parsed.success ? parsed.data.witnesses : undefined;
}

/** A packet by its token. */
export async function openPacket(token: string): Promise<OpenPacket | undefined> {
  const parsed = packetSchema.safeParse(await ask(`/api/packets/${token}`));
  return parsed.success ? parsed.data : undefined;
}

/** Sends what somebody saw. */
export async function sendOpinion(
  token: string,
  opinion: {
    readonly id: string;
    readonly name: string;
    readonly inHand: boolean;
    readonly looks: readonly WitnessLook[];
  },
): Promise<boolean> {
  return (await ask(`/api/packets/${token}/opinions`, opinion)) !== undefined;
}

/** The looks of a record as a witness's. */
export function looksIn(find: Find): readonly WitnessLook[] {
  return find.bodies.flatMap((body) => (body.seen ?? []).map((entry) => ({ body: body.id, entry })));
}
