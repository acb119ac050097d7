/**
 * The study: what comes of following the advice, over many simulated finds of every kind.
 *
 * `npm run study` draws, prints and writes docs/study.md and docs/study.svg; `--draws N` sets the danger's finds a kind
 * at two slips in a hundred. Seeded: equal numbers every time, whatever the number of threads.
 */
import { writeFileSync } from "node:fs";
import { availableParallelism } from "node:os";
import { parseArgs } from "node:util";
import { Worker } from "node:worker_threads";
import { readKnowledge } from "@jittery-cap/shelf";
import { plotOf } from "./plot.ts";
import { reportOf } from "./report.ts";
import type { Tally, Task } from "./tally.ts";

export const SLIPS = [0, 0.02, 0.05, 0.1];
/** Draws a kind: dangers at two slips in a hundred, dangers at the others, sought kinds. */
const DRAWS = { dangersAtTwo: 9_000, dangers: 700, sought: 100 };
/** No task is larger, so that the threads end together. */
const DRAWS_A_TASK = 500;
const DOCS = new URL("../docs/", import.meta.url);

async function main(): Promise<void> {
  const { values } = parseArgs({ options: { draws: { type: "string" }, write: { type: "boolean", default: true } } });
  const atTwo = values.draws === undefined ? DRAWS.dangersAtTwo : Number(values.draws);
  if (!Number.isInteger(atTwo) || atTwo < 1) throw new Error("--draws: a whole number from 1 on");
  const knowledge = readKnowledge();
  const tasks: Task[] = [];
  const add = (sheet: string, slips: number, day: Task["day"], draws: number) => {
    for (let left = draws; left > 0; left -= DRAWS_A_TASK)
      tasks.push({ sheet, slips, day, draws: Math.min(left, DRAWS_A_TASK), seed: 1 + tasks.length * 7919 });
  };
  for (const { id } of knowledge.dangers)
    for (const slips of SLIPS) add(id, slips, "any", slips === 0.02 ? atTwo : Math.min(atTwo, DRAWS.dangers));
  const sought = knowledge.sought.filter((sheet) => sheet.tier !== "inedible");
  for (const { id } of sought) for (const slips of SLIPS) add(id, slips, "ordinary", Math.min(atTwo, DRAWS.sought));
  for (const { id } of sought) add(id, 0, "any", Math.min(atTwo, DRAWS.sought));
  const begun = performance.now();
  const tallies = await simulateAll(tasks);
  const minutes = (performance.now() - begun) / 60_000;
  const report = reportOf(tallies, knowledge, `${minutes.toFixed(0)} minutes on ${availableParallelism()} threads`);
  process.stdout.write(report);
  if (!values.write) return;
  writeFileSync(new URL("study.md", DOCS), report);
  writeFileSync(new URL("study.svg", DOCS), plotOf(tallies, knowledge));
}

/** Threads do not inherit the reading of TypeScript, so each begins with it. */
const STARTING = `import("tsx/esm/api").then(({ register }) => { register(); return import(${JSON.stringify(
  new URL("./worker.ts", import.meta.url).href,
)}); });`;

/** Hands the tasks to as many threads as there are processors; the tallies come in the order of the tasks. */
function simulateAll(tasks: readonly Task[]): Promise<Tally[]> {
  return new Promise((resolve, reject) => {
    const tallies: Tally[] = new Array(tasks.length);
    let next = 0;
    let ended = 0;
    const threads = Array.from({ length: Math.min(availableParallelism(), tasks.length) }, () => {
      const worker = new Worker(STARTING, { eval: true, execArgv: [] });
      let at = -1;
      const give = () => {
        const task = tasks[next];
        if (task === undefined) return;
        at = next;
        next += 1;
        worker.postMessage(task);
      };
      worker.on("error", reject);
      worker.on("message", (tally: Tally) => {
        tallies[at] = tally;
        ended += 1;
        if (ended === tasks.length) {
          for (const thread of threads) void thread.terminate();
          resolve(tallies);
        } else give();
      });
      // the first task waits in the thread's mail until it can read it
      give();
      return worker;
    });
  });
}

await main();
