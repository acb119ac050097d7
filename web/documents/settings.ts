/** What a person has settled for themselves, as the screens see it: a document like any other, the strictest where it cannot be read. */
import { FIRST_YEARS, NO_SETTINGS, type Settings } from "@jittery-cap/core";
import { liveQuery } from "dexie";
import { create } from "zustand";
import { ME } from "../people/here.ts";
import { device } from "./device.ts";
import { isReadable, keepTouch, kindOf, makeDocument, readRow, touchNow } from "./documents.ts";

interface OwnSettings {
  readonly settings: Settings;
  /** Whether this device has looked; until then the strictest holds. */
  readonly isKnown: boolean;
  /** Whether the server still has to hear of it. */
  readonly unsent: boolean;
}

const STRICTEST: Settings = { rules: FIRST_YEARS, limits: [] };

async function read(): Promise<OwnSettings> {
  const row = await device.documents.get(ME);
  if (row === undefined) return { settings: NO_SETTINGS, isKnown: true, unsent: false };
  const unsent = row.version === 0 || (await device.queue.where("documentId").equals(ME).count()) > 0;
  const kept = readRow("settings", row);
  // something was settled and cannot be read: the strictest holds
  return { settings: isReadable(kept) ? kept.content : STRICTEST, isKnown: true, unsent };
}

/** What is settled. */
export const useSettings = create<OwnSettings>()(() => ({ settings: STRICTEST, isKnown: false, unsent: false }));

/** Keeps what the screens see like what this device holds. Returns how to stop. */
export function keepSettings(): () => void {
  const subscription = liveQuery(read).subscribe({
    next: (own) => useSettings.setState(own),
    error: () => useSettings.setState({ settings: STRICTEST, isKnown: false }),
  });
  return () => subscription.unsubscribe();
}

/** Settles: it holds here at once. @returns whether it was kept */
export async function settle(change: Partial<Settings>): Promise<boolean> {
  const { settings } = await read();
  const after = { ...settings, ...change };
  if ((await device.documents.get(ME)) === undefined) {
    await makeDocument("settings", ME, after);
    return true;
  }
  const changes = kindOf("settings").between(settings, after) ?? [];
  if (changes.length === 0) return true;
  return (await keepTouch("settings", ME, touchNow(changes))).ok;
}

/** The rules that a new find begins with; undefined where all are the defaults. */
export async function ownRules(): Promise<Settings["rules"] | undefined> {
  const { rules } = (await read()).settings;
  return Object.keys(rules).length > 0 ? rules : undefined;
}
