/** Touches on their way into this device's memory, so that nobody reads past them. */

const lines = new Map<string, Promise<unknown>>();
const counts = new Map<string, number>();

/** So long at the most a touch waits for its answer before it is written, ms: writing must not hold up what is shown. */
const LONGEST_WAIT_MS = 100;

/**
 * Does work that brings a touch of a document into this device's memory: when it has been drawn, one touch after another.
 * @param shown settles when all that the touch changes is on the screen; it is not waited for beyond a tenth of a second
 */
export function onItsWay<Outcome>(
  documentId: string,
  work: () => Promise<Outcome>,
  shown: Promise<unknown> = Promise.resolve(),
): Promise<Outcome> {
  counts.set(documentId, underWay(documentId) + 1);
  const drawn = new Promise((done) => setTimeout(done, LONGEST_WAIT_MS));
  const before =
    lines.get(documentId) ?? Promise.race([drawn, shown.then(() => new Promise((done) => setTimeout(done, 0)))]);
  const done = before.then(work, work).finally(() => {
    counts.set(documentId, underWay(documentId) - 1);
    if (underWay(documentId) > 0) return;
    counts.delete(documentId);
    lines.delete(documentId);
  });
  lines.set(documentId, done);
  return done;
}

/** How many touches of a document are on their way. */
export const underWay = (documentId: string): number => counts.get(documentId) ?? 0;

/** Resolves when every touch made so far is in this device's memory, or could not be brought there. */
export async function touchesKept(): Promise<void> {
  await Promise.allSettled([...lines.values()]);
}
