/** A Mocha root hook that leaves the figures of a run for the closing line of ./test. */
import { randomUUID } from "node:crypto";
import { writeFileSync } from "node:fs";
import { join } from "node:path";

const totals = { passed: 0, failed: 0, skipped: 0 };

export const mochaHooks = {
  afterEach(this: Mocha.Context): void {
    if (this.currentTest?.state === "passed") totals.passed += 1;
    if (this.currentTest?.state === "failed") totals.failed += 1;
    if (this.currentTest?.isPending() === true) totals.skipped += 1;
  },
  afterAll(): void {
    const folder = process.env.TEST_RESULTS;
    if (folder !== undefined) writeFileSync(join(folder, `${randomUUID()}.json`), JSON.stringify(totals));
  },
};
