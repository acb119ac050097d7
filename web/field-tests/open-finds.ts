/** The finds on this device that are not put away and can be read. */
import type { Find } from "@jittery-cap/core";
import { isReadable, listKept } from "../documents/documents.ts";

/** Prints lie for a day at most: older finds have none under way. */
const LATEST = 400;

export async function openFinds(): Promise<Find[]> {
  return (await listKept("find", LATEST)).filter(isReadable).map((one) => one.content);
}
