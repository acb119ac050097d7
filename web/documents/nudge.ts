/** Says that something waits for the server, to whichever of the open tabs sends. */

type Listener = () => void;
const listeners = new Set<Listener>();

/** Something waits. */
export function nudge(): void {
  for (const listener of listeners) listener();
}

/** Hears of it; returns how to stop. */
export function onNudge(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
