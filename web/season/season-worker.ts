/** The season's thread as the screens call it. Each asking rejects where it breaks down or says nothing. */
import { hiring } from "../worker/hired.ts";
import type { SeasonWorker } from "./season.worker.ts";

export const askSeason = hiring<SeasonWorker>(
  () => new Worker(new URL("./season.worker.ts", import.meta.url), { type: "module" }),
  { silence: 20_000, atMost: 120_000 },
);
