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

/** Makes a packet; answers its token. */
export async function makePacket(findId: string): Promise<string | undefined> {
  const parsed = z.object({ token: z.string() }).safeParse(await ask(`/api/finds/${findId}/packets`, { id: uuidv7() }));
  return parsed.success ? parsed.data.token : undefined;
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
