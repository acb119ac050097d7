/** The servers behind the proxy: they share nothing but the database. */
import type { ChildProcess } from "node:child_process";
import { end, spawnServer } from "../regime/child.ts";
import { databaseUrl } from "./nodes.ts";
import { DATABASE_PORT, SERVER_PORTS } from "./proxy.ts";

const READY_WITHIN_MS = 60_000;

export class Servers {
  private readonly running = new Map<number, ChildProcess>();
  /** The word by which the first person is made. */
  setupWord = "";

  /** One after the other: the first brings the tables up to date. */
  async start(): Promise<void> {
    for (const port of SERVER_PORTS) await this.again(port);
  }

  async again(port: number): Promise<void> {
    const child = spawnServer(databaseUrl(DATABASE_PORT), port, { DATABASE_CLUSTER: "yes", TRUST_PROXIES: "1" });
    this.running.set(port, child);
    child.stdout?.on("data", (data: Buffer) => {
      this.setupWord = /setup word is (\S+)/.exec(data.toString())?.[1] ?? this.setupWord;
    });
    const until = Date.now() + READY_WITHIN_MS;
    while (
      !(await fetch(`http://127.0.0.1:${port}/api/health`).then(
        (reply) => reply.ok,
        () => false,
      ))
    )
      if (Date.now() > until) throw new Error(`the server at ${port} did not start`);
      else await new Promise((later) => setTimeout(later, 200));
  }

  async kill(port: number, signal: NodeJS.Signals = "SIGKILL"): Promise<void> {
    const child = this.running.get(port);
    this.running.delete(port);
    await end(child, signal);
  }

  async stop(): Promise<void> {
    for (const port of SERVER_PORTS) await this.kill(port, "SIGTERM");
  }
}
