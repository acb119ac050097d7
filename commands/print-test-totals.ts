/** Adds up what the test runs left behind and closes with one line: how many passed, how many failed. */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { z } from "zod";

const EXPECTED_RUNS = ["check-lint", "check-types", "unit", "database", "browser"];
const runSchema = z.object({
  passed: z.number(),
  failed: z.number(),
  skipped: z.number(),
  failures: z.array(z.string()).default([]),
});

const folder = process.env.TEST_RESULTS ?? "";
const names = readdirSync(folder);
const runs = names.map((name) => runSchema.parse(JSON.parse(readFileSync(join(folder, name), "utf8"))));
const sum = (key: "passed" | "failed" | "skipped") => runs.reduce((total, run) => total + run[key], 0);
const missing = EXPECTED_RUNS.filter((run) => names.every((name) => name.split(".")[0] !== run));
// told again at the end, where a long run's own report has scrolled away
for (const failure of runs.flatMap((run) => run.failures)) process.stdout.write(`failed: ${failure}\n`);
if (missing.length > 0) process.stdout.write(`did not end: ${missing.join(", ")}\n`);
process.stdout.write(`${sum("passed")} passed, ${sum("failed")} failed, ${sum("skipped")} skipped\n`);
process.exitCode = sum("failed") > 0 || missing.length > 0 ? 1 : 0;
