/** Takes a find of a file over: never over one that is here, and by this person's own rules. */
import type { Find } from "@jittery-cap/core";
import { uuidv7 } from "uuidv7";
import { z } from "zod";
import { device } from "../documents/device.ts";
import { makeDocument } from "../documents/documents.ts";
import { ownRules } from "../documents/settings.ts";
import type { Incoming } from "./sort-out.ts";

const isUuid = (id: string): boolean => z.uuid().safeParse(id).success;

/** @returns the find as it was made */
export async function takeOver({ find: brought }: Incoming): Promise<Find> {
  const { rules: _rules, ...find } = brought;
  const rules = await ownRules();
  // an id that is taken here, be it of a find that was put away, is left alone
  const isFree = isUuid(find.id) && (await device.documents.get(find.id)) === undefined;
  const made: Find = { ...find, id: isFree ? find.id : uuidv7(), ...(rules === undefined ? {} : { rules }) };
  await makeDocument("find", made.id, made);
  return made;
}
