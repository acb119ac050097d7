/** The season's thread as the screens call it. */
import { type Remote, wrap } from "comlink";
import type { SeasonWorker } from "./season.worker.ts";

let remote: Remote<SeasonWorker> | undefined;
const WITHIN_MS = 20_000;

/** Asks the season's thread. Rejects where it breaks down or says nothing; the next asking begins anew. */
export async function askSeason<Reply>(question: (remote: Remote<SeasonWorker>) => Promise<Reply>): Promise<Reply> {
  if (remote === undefined) {
    const worker = new Worker(new URL("./season.worker.ts", import.meta.url), { type: "module" });
    worker.addEventListener("error", () => {
      remote = undefined;
    });
    remote = wrap<SeasonWorker>(worker);
  }
  let timer: ReturnType<typeof setTimeout> | undefined;
  const tooLate = new Promise<never>((_resolve, reject) => {
    timer = setTimeout(() => reject(new Error("the season's thread did not answer")), WITHIN_MS);
  });
  try {
    return await Promise.race([question(remote), tooLate]);
  } catch (error) {
    remote = undefined;
    throw error;
  } finally {
    clearTimeout(timer);
  }
}
