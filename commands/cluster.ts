/**
 * `npm run cluster`: three database nodes, the proxy and two servers on loopback, until Ctrl-C.
 * `npm run test:cluster`: the same under load, with nodes and servers killed and cut off; ends with figures, and with 1 where anything
 * that was acknowledged is lost.
 */
import { mkdtempSync, rmSync } from "node:fs";
import { cookieOfFirst } from "../server/tests/sign-in.ts";
import { type NodeName, Nodes } from "./cluster/nodes.ts";
import { FRONT_PORT, SERVER_PORTS, startProxy } from "./cluster/proxy.ts";
import { Servers } from "./cluster/servers.ts";
import { pause, say } from "./regime/child.ts";
import { Load } from "./regime/load.ts";

const FRONT = `http://127.0.0.1:${FRONT_PORT}`;
const PEOPLE = Number(process.env.PEOPLE ?? 12);
/** How long the load runs between two faults, s. */
const CALM = 4;

// the state transfer reads the folder as another user
const folder = mkdtempSync("/tmp/jittery-cluster-");
const nodes = new Nodes(folder);
const servers = new Servers();
let stopProxy: (() => Promise<void>) | undefined;

async function stop(): Promise<void> {
  await servers.stop();
  await stopProxy?.();
  await nodes.stop();
  rmSync(folder, { recursive: true, force: true });
}

async function start(): Promise<void> {
  await nodes.start();
  say("three nodes keep one database");
  stopProxy = await startProxy(folder);
  await servers.start();
  say(`two servers behind ${FRONT}`);
}

/** Does something to the cluster while everybody records, and tells how long nothing was acknowledged. */
async function fault(load: Load, what: string, work: () => Promise<unknown>): Promise<void> {
  const before = load.figures.acknowledged;
  load.figures.longestMs = 0;
  await work();
  await pause(CALM);
  const { acknowledged, longestMs } = load.figures;
  say(`${what}: ${acknowledged - before} acknowledged meanwhile, the longest wait ${(longestMs / 1000).toFixed(1)} s`);
}

async function test(): Promise<boolean> {
  const { name, value } = await cookieOfFirst({ address: FRONT, word: servers.setupWord });
  const cookie = `${name}=${value}`;
  const me = (await (await fetch(`${FRONT}/api/me`, { headers: { cookie } })).json()) as { id: string };
  const load = new Load(FRONT, cookie, me.id);
  load.begin(PEOPLE);
  await fault(load, "nothing", () => pause(CALM));
  const back = async (node: NodeName) => {
    await pause(2);
    await nodes.again(node);
  };
  await fault(load, "the node in use killed, and started again", async () => {
    await nodes.kill(1);
    await back(1);
  });
  await fault(load, "another node killed, and started again", async () => {
    await nodes.kill(3);
    await back(3);
  });
  await fault(load, "the node in use cut off from the others, and let back", async () => {
    await nodes.isolate(1, true);
    await pause(12);
    await nodes.isolate(1, false);
    await pause(6);
  });
  for (const port of SERVER_PORTS)
    await fault(load, `the server at ${port} killed, and started again`, async () => {
      await servers.kill(port);
      await servers.again(port);
    });
  await load.end();
  const { isGood, words } = await load.summary();
  say(`${PEOPLE} people: ${words}`);
  return isGood;
}

let isStopping = false;
for (const signal of ["SIGINT", "SIGTERM"] as const)
  process.once(signal, () => {
    if (isStopping) return;
    isStopping = true;
    void stop().then(() => process.exit(130));
  });
try {
  await start();
  if (process.argv[2] === "test") process.exitCode = (await test()) ? 0 : 1;
  else await new Promise(() => undefined);
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
} finally {
  if (!isStopping) await stop();
}
process.exit();
