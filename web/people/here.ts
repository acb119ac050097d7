/**
 * Whose this device is just now. It is known before anything else is, also without a network: everything that is kept here is kept
 * under this person. Another person begins with a page of their own, so that nothing of the one before is left in memory.
 */
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { z } from "zod";
import { create } from "zustand";

const KEY = "jittery-cap person";

const UNHEARD = "jittery-cap signed out";

const hereSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  /** With it is sealed what could not be sent when they sign out. */
  sealKey: z.record(z.string(), z.unknown()),
});
export type Here = z.infer<typeof hereSchema>;

/** A browser that keeps nothing has nobody; and there is none where this is tested without one. */
const storage = (): Storage | undefined => {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
};

function readHere(): Here | undefined {
  try {
    const parsed = hereSchema.safeParse(JSON.parse(storage()?.getItem(KEY) ?? "null"));
    return parsed.success ? parsed.data : undefined;
  } catch {
    return undefined;
  }
}

const kept = readHere();

/** The person under whom this page keeps what it keeps. It never changes while the page is open. */
export const ME: string = kept?.id ?? LOCAL_PERSON;

interface HereState {
  /** asking: nobody is known here, and the server is asked; nobody: somebody has to sign in; somebody: it is `ME`. */
  readonly is: "asking" | "nobody" | "somebody";
  readonly person: Here | undefined;
  /** The server does not know any more that this person is signed in. What is recorded is kept here until it does. */
  readonly isSignedOut: boolean;
}

export const useHere = create<HereState>()(() => ({
  is: kept === undefined ? "asking" : "somebody",
  person: kept,
  isSignedOut: false,
}));

/** The server said so: until somebody signs in again nothing is sent. */
export const heardSignedOut = (isSignedOut: boolean): void => {
  if (useHere.getState().isSignedOut !== isSignedOut) useHere.setState({ isSignedOut });
};

/**
 * Makes this device a person's.
 * @returns whether this page is theirs already; where not, it has to be opened anew
 */
export function settleHere({ id, name, sealKey }: Here): boolean {
  storage()?.setItem(KEY, JSON.stringify({ id, name, sealKey }));
  if (id !== ME) return false;
  useHere.setState({ is: "somebody", person: { id, name, sealKey }, isSignedOut: false });
  return true;
}

/** Makes this device nobody's. @param isHeard whether the server has heard of it; where not, it is told before anything else */
export function leaveHere(isHeard: boolean): void {
  storage()?.removeItem(KEY);
  if (isHeard) storage()?.removeItem(UNHEARD);
  else storage()?.setItem(UNHEARD, "yes");
}

/** Whether somebody signed out here of which the server has not heard: its cookie would open what it must not. */
export const isUnheard = (): boolean => storage()?.getItem(UNHEARD) !== null && storage() !== undefined;

/** Nobody is here, as far as can be known. */
export const settleNobody = (): void => useHere.setState({ is: "nobody", person: undefined });

/** What was recorded before there were people is read without a network too, as it was. */
export const settleAsBefore = (): void => useHere.setState({ is: "somebody", person: undefined, isSignedOut: true });

/** Another tab changed whose this device is: this page is not theirs. @returns how to stop */
export function keepHere(): () => void {
  const look = ({ key }: StorageEvent) => {
    if (key === KEY && readHere()?.id !== useHere.getState().person?.id) window.location.reload();
  };
  window.addEventListener("storage", look);
  return () => window.removeEventListener("storage", look);
}
