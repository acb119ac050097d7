/** All finds of this device as a file of another program. */
import {
  type Converted,
  convertTo,
  type Find,
  isAmongFood,
  type PlaceKind,
  type Target,
  withEndingsInForce,
} from "@jittery-cap/core";
import { isReadable, listKept } from "../documents/documents.ts";
import { match } from "../documents/sync.ts";
import { touchesKept } from "../documents/under-way.ts";
import { askJudge } from "../worker/judge.ts";
import type { Tell } from "./long-work.tsx";

/** A find that claims one of its bodies to be among food is judged before it goes out: the claim may be older than the record. */
async function asItStands(find: Find): Promise<Find> {
  if (find.bodies.every((body) => body.ending === undefined || !isAmongFood(body.ending))) return find;
  return withEndingsInForce(find, await askJudge(find).catch(() => undefined));
}

/** @throws where it was stopped */
export async function findsAsFile(
  target: Target,
  places: PlaceKind,
  tell: Tell,
  signal: AbortSignal,
): Promise<Converted> {
  // what other devices have recorded since goes along, where the server can be asked
  await touchesKept();
  await match();
  const all = (await listKept("find", Number.POSITIVE_INFINITY)).filter(isReadable).map((one) => one.content);
  const standing: Find[] = [];
  for (const find of all) {
    signal.throwIfAborted();
    standing.push(await asItStands(find));
    tell(standing.length, all.length);
  }
  return convertTo(target, standing, places, new Date());
}
