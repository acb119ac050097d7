/** Two devices changed one find where they meet: the three ways out, each chosen by a person. */
import type { Find } from "@jittery-cap/core";
import type { SentDocument } from "@jittery-cap/core/api";
import { readContent } from "@jittery-cap/core/documents";
import { uuidv7 } from "uuidv7";
import { kindOf, makeDocument, touchNow } from "../documents/documents.ts";
import { nudge } from "../documents/nudge.ts";
import { takeTheirs } from "../documents/push.ts";
import { touchesKept } from "../documents/under-way.ts";
import { askUnion } from "../worker/judge.ts";

/** Takes the other record; what this device holds and the server does not is given up. */
export async function takeOther(theirs: SentDocument): Promise<void> {
  await touchesKept();
  await takeTheirs(theirs);
}

/** Makes this device's record a find of its own, and takes the other. @returns the id of the new find */
export async function keepMineApart(mine: Find, theirs: SentDocument): Promise<string> {
  const copy: Find = { ...mine, id: uuidv7(), label: `${mine.label ?? "find"} (kept from this device)` };
  await touchesKept();
  // the copy first: what only this device holds stands in two finds for a moment, but never in none
  await makeDocument("find", copy.id, copy);
  await takeTheirs(theirs);
  return copy.id;
}

/** Puts both records together where that permits no more than either. @returns why not, where it cannot be */
export async function takeBoth(mine: Find, theirs: SentDocument): Promise<string | undefined> {
  const other = readContent(kindOf("find"), theirs.content, theirs.schema);
  if (!other.ok) return "The other record cannot be read here.";
  const both = await askUnion(mine, other.value).catch(() => undefined);
  const changes = both === undefined ? undefined : kindOf("find").between(other.value, both);
  if (changes === undefined)
    return "Together they would permit more than one of them alone. Take one of them, or look again.";
  await touchesKept();
  await takeTheirs(theirs, ...(changes.length === 0 ? [] : [touchNow<unknown>(changes)]));
  nudge();
  return undefined;
}
