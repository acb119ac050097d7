/** What a person has settled for themselves: at once on this device, and with the server when there is one. */
import {
  canonicalJson,
  FIRST_YEARS,
  limitSchema,
  rulesSchema,
  type Settled,
  settledSchema,
  stricterOf,
} from "@jittery-cap/core";
import { z } from "zod";
import { create } from "zustand";

const KEY = "jittery-cap settled";
/** Where earlier versions kept the same, on the device alone. */
const RULES_BEFORE = "jittery-cap rules";
const LIMITS_BEFORE = "jittery-cap limits";

const keptSchema = z.object({
  version: z.number().int().nonnegative(),
  settled: settledSchema,
  /** Whether the server still has to hear of it. */
  unsent: z.boolean(),
});
type Kept = z.infer<typeof keptSchema>;
const replySchema = keptSchema.omit({ unsent: true });

/** The content of a key as JSON; undefined where there is none, or it cannot be read. */
function stored(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "null") ?? undefined;
  } catch {
    return undefined;
  }
}

function isThere(key: string): boolean {
  try {
    return localStorage.getItem(key) !== null;
  } catch {
    return false;
  }
}

function readKept(): Kept {
  const kept = keptSchema.safeParse(stored(KEY));
  if (kept.success) return kept.data;
  // something was settled and cannot be read: until the server tells it, the strictest holds
  if (isThere(KEY)) return { version: 0, settled: { rules: FIRST_YEARS, limits: [] }, unsent: false };
  const rules = rulesSchema.safeParse(stored(RULES_BEFORE));
  const limits = z.array(limitSchema).safeParse(stored(LIMITS_BEFORE));
  const settled = { rules: rules.data ?? {}, limits: limits.data ?? [] };
  return { version: 0, settled, unsent: rules.success || limits.success };
}

/** What is settled, as the screens see it. */
export const useSettled = create<Kept>()(readKept);

/** Reads again what this device holds. */
export const readSettled = (): void => useSettled.setState(readKept());

function keep(kept: Kept): void {
  useSettled.setState(kept);
  try {
    localStorage.setItem(KEY, JSON.stringify(kept));
  } catch {
    // no room: it holds until the page is closed, and the server is told all the same
  }
}

/** Settles: it holds here at once. */
export async function settle(change: Partial<Settled>): Promise<void> {
  const { version, settled } = useSettled.getState();
  keep({ version, settled: { ...settled, ...change }, unsent: true });
  await matchSettled();
}

/** Devices that settle at the same moment agree within this many rounds, or the next time. */
const ROUNDS = 5;
let matching: Promise<void> | undefined;

/** Tells the server what it has not heard, or hears what another device settled. One at a time. */
export function matchSettled(): Promise<void> {
  matching ??= match().finally(() => {
    matching = undefined;
  });
  return matching;
}

async function match(): Promise<void> {
  for (let round = 0; round < ROUNDS; round++) {
    const sent = useSettled.getState();
    const reply = await ask(sent);
    if (reply === undefined) return;
    const now = useSettled.getState();
    const isUntouched = canonicalJson(now.settled) === canonicalJson(sent.settled);
    if (!sent.unsent) {
      if (isUntouched) return keep({ ...reply.held, unsent: false });
    } else if (reply.isConflict) {
      // settled apart on two devices: nothing of either is lost, and the stricter rule of the two holds
      keep({ version: reply.held.version, settled: stricterOf(now.settled, reply.held.settled), unsent: true });
    } else {
      keep({ version: reply.held.version, settled: now.settled, unsent: !isUntouched });
      if (isUntouched) return;
    }
  }
}

interface Heard {
  readonly held: { readonly version: number; readonly settled: Settled };
  readonly isConflict: boolean;
}

async function ask({ version, settled, unsent }: Kept): Promise<Heard | undefined> {
  try {
    const response = unsent
      ? await fetch("/api/settled", {
          method: "PUT",
          headers: { "content-type": "application/json" },
          body: JSON.stringify({ version, settled }),
        })
      : await fetch("/api/settled");
    const content: unknown = await response.json();
    if (response.status === 409) {
      const conflict = z.object({ current: replySchema }).safeParse(content);
      return conflict.success ? { held: conflict.data.current, isConflict: true } : undefined;
    }
    const held = replySchema.safeParse(content);
    return response.ok && held.success ? { held: held.data, isConflict: false } : undefined;
  } catch {
    return undefined;
  }
}

/** The rules that a new find begins with; undefined where all are the defaults. */
export function ownRules(): Settled["rules"] | undefined {
  const { rules } = useSettled.getState().settled;
  return Object.keys(rules).length > 0 ? rules : undefined;
}

/** Matches with the server now and whenever the network comes back. Returns how to stop. */
export function keepSettled(): () => void {
  const again = () => void matchSettled();
  window.addEventListener("online", again);
  again();
  return () => window.removeEventListener("online", again);
}
