/** The finds on this device that something is open of: a print under its cup, or days so few that they may wait to be decided. */
import type { Find } from "@jittery-cap/core";
import { z } from "zod";
import { isReadable, listKept } from "../documents/documents.ts";

/** Prints lie for a day at most: older finds have none under way. */
const LATEST = 400;
/** A find this old that nobody decided is no matter of today any more, ms. */
export const FRESH_MS = 7 * 24 * 60 * 60 * 1000;

/** As much of a record as tells whether it is one of them: hundreds are looked through, and few of them read. */
const askedSchema = z.object({
  foundAt: z.string().optional(),
  bodies: z.array(
    z.object({ print: z.object({ laidAt: z.string().optional(), readAt: z.string().optional() }).optional() }),
  ),
});

/** Whether something of a record is open at a moment. */
export function isOpen(content: unknown, now: Date): boolean {
  const asked = askedSchema.safeParse(content);
  if (!asked.success) return false;
  const { foundAt, bodies } = asked.data;
  const isFresh = foundAt !== undefined && now.getTime() - Date.parse(foundAt) < FRESH_MS;
  return isFresh || bodies.some(({ print }) => print?.laidAt !== undefined && print.readAt === undefined);
}

export async function openFinds(): Promise<Find[]> {
  const now = new Date();
  return (await listKept("find", LATEST, (content) => isOpen(content, now)))
    .filter(isReadable)
    .map((one) => one.content);
}
