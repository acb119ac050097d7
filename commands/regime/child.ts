/** Processes that a regime of faults starts, and ends as a power cut does, or lets stand still. */
import { type ChildProcess, spawn } from "node:child_process";

/** What a server is told besides where its database is. */
export type Environment = Readonly<Record<string, string>>;

/** A server of its own process on a database. @param modules loaded before it */
export function spawnServer(
  databaseUrl: string,
  port: number,
  more: Environment = {},
  modules: readonly string[] = [],
) {
  return spawn(
    process.execPath,
    ["--import", "tsx", ...modules.flatMap((module) => ["--import", module]), "server/main.ts"],
    {
      env: {
        ...process.env,
        DATABASE_URL: databaseUrl,
        PORT: String(port),
        LOG_LEVEL: "fatal",
        LOAD_DEMO: "no",
        NODE_ENV: "production",
        ...more,
      },
      stdio: ["ignore", "pipe", "inherit"],
    },
  );
}

/** Ends a process, and waits until it has ended. */
export async function end(child: ChildProcess | undefined, signal: NodeJS.Signals): Promise<void> {
  if (child === undefined || child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((resolve) => child.once("exit", resolve));
  child.kill(signal);
  await ended;
}

/** Tells what happens, a line each. */
export const say = (text: string): void => {
  process.stdout.write(`${text}\n`);
};

/** @param seconds how long */
export const pause = (seconds: number): Promise<void> => new Promise((later) => setTimeout(later, seconds * 1000));
