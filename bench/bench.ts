/**
 * How long the judgement takes, and how it compares with a rule engine and an integer programming solver.
 * Run by `npm run bench`; prints medians in milliseconds and ratios. Nothing here is asserted but equal results.
 */
import { readdirSync, readFileSync } from "node:fs";
import { cpus } from "node:os";
import { assess, type Find, findSchema, type Knowledge } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import loadHighs from "highs";
import { Bench } from "tinybench";
import { engineRun, ourRun, sameResults } from "./evaluation.ts";
import { generatedShelf } from "./generated.ts";
import { coverProblems, hardCoverProblems, planAll, solveAll } from "./planning.ts";
import { addSeason } from "./season.ts";

const DEMO = new URL("../demo/finds/", import.meta.url);
const SEED = 7;

const find = (name: string): Find => findSchema.parse(JSON.parse(readFileSync(new URL(name, DEMO), "utf8")));
const FULL = find("white-ones-in-an-arc.json");
const OPEN = find("pale-one-under-the-birches.json");
const EMPTY = findSchema.parse({
  format: "jittery-cap/find",
  version: 1,
  id: "empty",
  bodies: [{ id: "A" }, { id: "B" }, { id: "C" }],
});

async function main(): Promise<void> {
  const shipped = readKnowledge();
  process.stdout.write(`${cpus()[0]?.model ?? "unknown processor"}, Node ${process.version}\n\n`);
  await answers("shipped sheets", shipped);
  for (const count of [1_000, 10_000]) await answers(`${count} generated sheets`, generatedShelf(shipped, count, SEED));
  await manyFinds(shipped);
  await againstRuleEngine(shipped);
  await againstSolver(shipped);
  const season = new Bench({ time: 1_000, warmupTime: 300 });
  addSeason(season);
  await report(season);
}

/** The whole answer, with the next tests. */
async function answers(name: string, shelf: Knowledge): Promise<void> {
  const bench = new Bench({ time: 1_000, warmupTime: 500 });
  bench.add(`a full record, ${name}`, () => assess(FULL, shelf));
  bench.add(`an open record, ${name}`, () => assess(OPEN, shelf));
  bench.add(`an empty record of three bodies, ${name}`, () => assess(EMPTY, shelf));
  await report(bench);
}

async function manyFinds(shelf: Knowledge): Promise<void> {
  const finds = readdirSync(DEMO).map((name) => find(name));
  const count = 10_000;
  const begun = performance.now();
  for (let index = 0; index < count; index += 1) {
    const next = finds[index % finds.length];
    if (next !== undefined) assess({ ...next, id: String(index) }, shelf);
  }
  const took = performance.now() - begun;
  line(
    `${count} finds in a row, shipped sheets`,
    `${(took / 1000).toFixed(1)} s, ${(took / count).toFixed(2)} ms each`,
  );
}

async function againstRuleEngine(shelf: Knowledge): Promise<void> {
  await sameResults(FULL, shelf);
  const bench = new Bench({ time: 1_500, warmupTime: 500 });
  bench.add("evaluation, ours", () => ourRun(FULL, shelf));
  const engine = engineRun(FULL, shelf);
  bench.add("evaluation, json-rules-engine", () => engine());
  const [ours, theirs] = await report(bench);
  line("ratio", `${((theirs ?? 0) / (ours ?? 1)).toFixed(0)} times`);
}

async function againstSolver(shelf: Knowledge): Promise<void> {
  const highs = await loadHighs();
  for (const [name, problems] of [
    ["the demo's and every typical find's plans", coverProblems(shelf)],
    ["generated hard plans", hardCoverProblems(SEED)],
  ] as const) {
    const bench = new Bench({ time: 1_500, warmupTime: 300 });
    bench.add(`${problems.length} of ${name}, ours`, () => planAll(problems));
    bench.add(`${problems.length} of ${name}, HiGHS`, () => solveAll(highs, problems));
    const [ours, theirs] = await report(bench);
    line("ratio", `${((theirs ?? 0) / (ours ?? 1)).toFixed(0)} times`);
  }
}

/** Runs a bench, prints its medians, and returns them in milliseconds. */
async function report(bench: Bench): Promise<number[]> {
  await bench.run();
  return bench.tasks.map((task) => {
    const { result } = task;
    if (result.state !== "completed") throw new Error(`${task.name} did not run to its end`);
    const { p50, p99 } = result.latency;
    line(task.name, `median ${p50.toFixed(3)} ms, 99 % under ${p99.toFixed(3)} ms`);
    return p50;
  });
}

function line(name: string, figure: string): void {
  process.stdout.write(`${name.padEnd(66)} ${figure}\n`);
}

await main();
