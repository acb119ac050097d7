/** Finds that begin on this device: a new one, and one that is split off another. */
import { type Change, type Find, newFind, splitOff } from "@jittery-cap/core";
import { uuidv7 } from "uuidv7";
import { usePreferences } from "../device/preferences.ts";
import { makeDocument } from "../documents/documents.ts";
import { ownRules } from "../documents/settings.ts";

/**
 * Begins a find by the person's own rules.
 * @param label its name, where it has one from the start @returns its id
 */
export async function beginFind(label?: string): Promise<string> {
  const rules = await ownRules();
  const { region } = usePreferences.getState();
  const find: Find = {
    ...newFind(uuidv7(), new Date().toISOString()),
    ...(label === undefined ? {} : { label }),
    ...(rules === undefined ? {} : { rules }),
    ...(region === null ? {} : { place: { region } }),
  };
  await makeDocument("find", find.id, find);
  return find.id;
}

/** What is left to do once some bodies have a find of their own. */
export interface SplitOff {
  /** The new find. */
  readonly id: string;
  /** What takes them out of the old one. */
  readonly changes: readonly Change[];
}

/** Gives some bodies a find of their own, here and now; undefined where that cannot be. */
export async function beginApart(find: Find, bodies: readonly string[]): Promise<SplitOff | undefined> {
  const split = splitOff(find, bodies, uuidv7());
  if (split === undefined) return undefined;
  // the new find first: a body may stand in two finds for a moment, but never in none
  await makeDocument("find", split.apart.id, split.apart);
  return { id: split.apart.id, changes: split.changes };
}
