/** A Mocha root hook that leaves the figures of a run for the closing line of ./test; a run in several processes leaves one file each. */
import { writeFileSync } from "node:fs";
import { join } from "node:path";

const totals = { passed: 0, failed: 0, skipped: 0, failures: [] as string[] };

export const mochaHooks = {
  afterEach(this: Mocha.Context): void {
    if (this.currentTest?.state === "passed") totals.passed += 1;
    if (this.currentTest?.state === "failed") {
      totals.failed += 1;
      totals.failures.push(`${this.currentTest.fullTitle()}: ${this.currentTest.err?.message ?? "no reason told"}`);
    }
    if (this.currentTest?.isPending() === true) totals.skipped += 1;
  },
  // after each file where files are shared out among processes: the last of a process holds all of it
  afterAll(): void {
    const { TEST_RESULTS: folder, TEST_RUN: run = "run" } = process.env;
    if (folder !== undefined) writeFileSync(join(folder, `${run}.${process.pid}.json`), JSON.stringify(totals));
  },
};
