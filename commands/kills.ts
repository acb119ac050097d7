/**
 * `npm run test:kills`: the server and then the database ended as a power cut ends them, again and again, while people record; ends
 * with figures, and with 1 where anything that was acknowledged is lost. KILLS: how often each (200). WHAT: server or database alone.
 */
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { pause, say } from "./regime/child.ts";
import { Machine } from "./regime/machine.ts";

const KILLS = Number(process.env.KILLS ?? 200);
const PEOPLE = Number(process.env.PEOPLE ?? 8);
/** Between two kills, s: something is being written at each, at another moment each time. */
const [LEAST_S, MOST_S] = [0.3, 1.2];

const folder = mkdtempSync(join(tmpdir(), "jittery-kills-"));
const machine = new Machine({
  folder,
  databasePort: Number(process.env.DATABASE_PORT ?? 3490),
  serverPort: Number(process.env.PORT ?? 8490),
  environment: { LOG_LEVEL: "silent" },
});

/** Kills and starts again, at moments by chance, while people record. */
async function regime(what: "server" | "database"): Promise<boolean> {
  const load = machine.load();
  load.begin(PEOPLE);
  let longestDown = 0;
  for (let count = 0; count < KILLS; count++) {
    await pause(LEAST_S + Math.random() * (MOST_S - LEAST_S));
    const begun = performance.now();
    await (what === "server" ? machine.killServer() : machine.killDatabase());
    longestDown = Math.max(longestDown, performance.now() - begun);
  }
  await pause(2);
  await load.end();
  const { isGood, words } = await load.summary();
  say(`${KILLS} kills of the ${what}: ${words}; up again after ${(longestDown / 1000).toFixed(1)} s at the most`);
  return isGood;
}

let isGood = true;
try {
  await machine.begin();
  for (const what of ["server", "database"] as const)
    if (process.env.WHAT === undefined || process.env.WHAT === what) isGood = (await regime(what)) && isGood;
} finally {
  await machine.stop();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(isGood ? 0 : 1);
