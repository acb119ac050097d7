/** The database that ships with the application: what a run that was killed outright leaves behind never stops the next. */
import { type ChildProcess, spawn } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";

/** A shell that starts the database of a folder, says so, and waits. */
function startIn(folder: string): ChildProcess {
  const script = `set -euo pipefail
    say() { printf '%s\\n' "$*"; }
    . scripts/database.sh
    start_database "${folder}"
    echo "ready $DATABASE_URL"
    sleep 600 & wait $!`;
  return spawn("bash", ["-c", script], { stdio: ["ignore", "pipe", "pipe"], detached: true });
}
/** Kills a shell with what it waits for, as kill -9 of everything in a terminal would; the database has a session of its own. */
const killAll = (shell: ChildProcess): void => {
  if (shell.pid !== undefined) process.kill(-shell.pid, "SIGKILL");
};
const untilReady = (shell: ChildProcess): Promise<string> =>
  new Promise((resolve, reject) => {
    let told = "";
    const hear = (data: Buffer) => {
      told += data.toString();
      const address = /ready (\S+)/.exec(told)?.[1];
      if (address !== undefined) resolve(address);
    };
    shell.stdout?.on("data", hear);
    shell.stderr?.on("data", hear);
    shell.once("exit", () => reject(new Error(`ended: ${told}`)));
  });

describe("the database of one's own", () => {
  it("starts again after its shell was killed with -9 and it was left running", async function () {
    this.timeout(120_000);
    const folder = mkdtempSync(join(tmpdir(), "jittery-own-"));
    const pid = () => Number(readFileSync(join(folder, "mariadbd.pid"), "utf8"));
    try {
      const first = startIn(folder);
      await untilReady(first);
      const orphan = pid();
      first.removeAllListeners("exit");
      killAll(first);
      const second = startIn(folder);
      await untilReady(second);
      second.removeAllListeners("exit");
      expect(pid()).not.to.equal(orphan);
      expect(() => process.kill(orphan, 0)).to.throw();
      process.kill(pid(), "SIGTERM");
      killAll(second);
      // it goes when it has written everything
      for (let wait = 0; wait < 300; wait++) {
        try {
          process.kill(pid(), 0);
        } catch {
          break;
        }
        await new Promise((later) => setTimeout(later, 100));
      }
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
});
