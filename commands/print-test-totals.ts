/** Adds up what the test runs left behind and closes with one line: how many passed, how many failed. */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { z } from "zod";

/** Lint, types, unit, database, browser. */
const EXPECTED_RUNS = 5;
const runSchema = z.object({ passed: z.number(), failed: z.number(), skipped: z.number() });

const folder = process.env.TEST_RESULTS ?? "";
const runs = readdirSync(folder).map((name) => runSchema.parse(JSON.parse(readFileSync(join(folder, name), "utf8"))));
const sum = (key: "passed" | "failed" | "skipped") => runs.reduce((total, run) => total + run[key], 0);
if (runs.length !== EXPECTED_RUNS)
  process.stdout.write(`${EXPECTED_RUNS - runs.length} of the test runs did not end\n`);
process.stdout.write(`${sum("passed")} passed, ${sum("failed")} failed, ${sum("skipped")} skipped\n`);
process.exitCode = sum("failed") > 0 || runs.length !== EXPECTED_RUNS ? 1 : 0;
