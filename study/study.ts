/**
 * The study: what comes of following the advice, of sheets that are missing or forgot a state, of each weather apart, and
 * of finds described by people who read no sheet.
 *
 * `npm run study` draws, prints and writes docs/study.md and its plots; `-- --short` takes a twentieth of the draws and
 * writes nothing; `-- --part leave-one-out` (advice, leave-one-out, forgotten-one, forgotten-two, weather, described)
 * takes one part, `-- --sheet mycena-pura` the finds of one sheet, and writes nothing. Seeded: equal numbers every time, whatever the number of threads.
 */
import { writeFileSync } from "node:fs";
import { availableParallelism } from "node:os";
import { parseArgs } from "node:util";
import { Worker } from "node:worker_threads";
import type { Knowledge } from "@jittery-cap/core";
import { DAYS } from "@jittery-cap/core/study";
import { readKnowledge } from "@jittery-cap/shelf";
import { describedOutcomes } from "./described.ts";
import { openWorldPlotOf, plotOf } from "./plot.ts";
import { reportOf } from "./report.ts";
import { DRAWN_PARTS, PARTS, type Part, type Tally, type Task } from "./tally.ts";

export const SLIPS = [0, 0.02, 0.05, 0.1];
/** Draws a kind, set so that the whole takes under 40 minutes on two cores. */
const DRAWS = {
  dangersAtTwo: 600,
  dangers: 60,
  sought: 30,
  /** Of the deadly kinds; fewer of the others, of which one in a thousand may pass. */
  leaveOneOutDeadly: 10_000,
  leaveOneOut: 2_000,
  forgotten: 100_000,
  weather: 8,
};
const SHORT = 20;
/** No task is larger, so that the threads end together. */
const DRAWS_A_TASK = 500;
const DOCS = new URL("../docs/", import.meta.url);

function isPart(word: string): word is Part {
  return PARTS.some((part) => part === word);
}

async function main(): Promise<void> {
  const { values } = parseArgs({
    options: {
      part: { type: "string", multiple: true },
      sheet: { type: "string", multiple: true },
      short: { type: "boolean", default: false },
    },
  });
  const parts: readonly Part[] = (values.part ?? [...PARTS]).map((word) => {
    if (!isPart(word)) throw new Error(`--part: one of ${PARTS.join(", ")}`);
    return word;
  });
  const knowledge = readKnowledge();
  for (const id of values.sheet ?? []) if (!knowledge.byId.has(id)) throw new Error(`--sheet: there is no sheet ${id}`);
  const tasks = tasksOf(knowledge, parts, values.short ? SHORT : 1).filter(
    ({ sheet }) => values.sheet === undefined || values.sheet.includes(sheet),
  );
  const begun = performance.now();
  const tallies = await simulateAll(tasks);
  const described = parts.includes("described") ? describedOutcomes(knowledge) : undefined;
  const minutes = (performance.now() - begun) / 60_000;
  const took = `${minutes.toFixed(0)} minutes on ${availableParallelism()} threads`;
  const report = reportOf(tallies, described, knowledge, took);
  process.stdout.write(report);
  if (values.short || values.part !== undefined || values.sheet !== undefined) return;
  writeFileSync(new URL("study.md", DOCS), report);
  writeFileSync(new URL("study.svg", DOCS), plotOf(tallies, knowledge));
  writeFileSync(new URL("study-open-world.svg", DOCS), openWorldPlotOf(tallies));
}

/** The work of some parts, a share of the draws. */
function tasksOf(knowledge: Knowledge, parts: readonly Part[], share: number): Task[] {
  const tasks: Task[] = [];
  const add = (task: Omit<Task, "seed">) => {
    const draws = Math.ceil(task.draws / share);
    for (let left = draws; left > 0; left -= DRAWS_A_TASK)
      tasks.push({ ...task, draws: Math.min(left, DRAWS_A_TASK), seed: 1 + tasks.length * 7919 });
  };
  const dangers = knowledge.dangers.map((sheet) => sheet.id);
  const sought = knowledge.sought.filter((sheet) => sheet.tier !== "inedible").map((sheet) => sheet.id);
  for (const part of DRAWN_PARTS) {
    if (!parts.includes(part)) continue;
    const one = { part, slips: 0, day: "ordinary" } as const;
    switch (part) {
      case "advice":
        for (const sheet of dangers)
          for (const slips of SLIPS)
            add({ part, sheet, slips, day: "any", draws: slips === 0.02 ? DRAWS.dangersAtTwo : DRAWS.dangers });
        for (const sheet of sought) for (const slips of SLIPS) add({ ...one, sheet, slips, draws: DRAWS.sought });
        break;
      case "weather":
        for (const sheet of sought) for (const day of DAYS) add({ ...one, sheet, day, draws: DRAWS.weather });
        break;
      case "leave-one-out":
        for (const { id, tier } of knowledge.dangers)
          add({ ...one, sheet: id, draws: tier === "deadly" ? DRAWS.leaveOneOutDeadly : DRAWS.leaveOneOut });
        break;
      case "forgotten-one":
      case "forgotten-two":
        for (const sheet of dangers) add({ ...one, sheet, draws: Math.ceil(DRAWS.forgotten / dangers.length) });
        break;
    }
  }
  return tasks;
}

/** Threads do not inherit the reading of TypeScript, so each begins with it. */
const STARTING = `import("tsx/esm/api").then(({ register }) => { register(); return import(${JSON.stringify(
  new URL("./worker.ts", import.meta.url).href,
)}); });`;

const TOLD_EVERY = 0.05;

/** Hands the tasks to as many threads as there are processors; the tallies come in the order of the tasks. */
function simulateAll(tasks: readonly Task[]): Promise<Tally[]> {
  if (tasks.length === 0) return Promise.resolve([]);
  return new Promise((resolve, reject) => {
    const tallies: Tally[] = new Array(tasks.length);
    const begun = performance.now();
    let next = 0;
    let ended = 0;
    let told = 0;
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
        const share = ended / tasks.length;
        if (share >= told + TOLD_EVERY) {
          told = share;
          const minutes = (performance.now() - begun) / 60_000;
          process.stderr.write(
            `${(share * 100).toFixed(0)} % of ${tasks.length} tasks, ${minutes.toFixed(1)} minutes, ${tally.part}\n`,
          );
        }
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
