/**
 * Times the real server on a database of its own: touches a second with nothing lost, how late its event loop is, lists of ten
 * thousand finds. Usage: npm run bench:server (with DATABASE_URL, or by ./test's database)
 */
import { type ChildProcess, spawn } from "node:child_process";
import { Agent, request } from "node:http";
import { newFind } from "@jittery-cap/core";
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { QueryTypes } from "sequelize";
import { uuidv7 } from "uuidv7";
import { type Scratch, scratchDatabase } from "../server/tests/scratch-database.ts";
import { addressOf, cookieOfFirst, toldBy } from "../server/tests/sign-in.ts";
import { FINDS, fill } from "./ten-thousand-finds.ts";

const CLIENTS = 100;
const SECONDS = 10;
const PAGES = 20;

interface Delay {
  readonly p50: number;
  readonly p99: number;
  readonly most: number;
}
interface Running {
  readonly address: string;
  readonly delay: (reset?: boolean) => Promise<Delay>;
  readonly stop: () => Promise<void>;
}

/** The first person's, at whose finds all of this is measured. */
let cookie = "";

async function start(url: string, known?: string): Promise<Running> {
  const child: ChildProcess = spawn(
    process.execPath,
    [
      ...(process.env.PROF === undefined ? [] : ["--cpu-prof", "--cpu-prof-dir=/tmp/prof"]),
      "--import",
      "tsx",
      "--import",
      new URL("./loop-probe.mjs", import.meta.url).href,
      "server/main.ts",
    ],
    {
      env: { ...process.env, DATABASE_URL: url, PORT: "0", LOG_LEVEL: "error", NODE_ENV: "production" },
      stdio: ["ignore", "pipe", "inherit", "ipc"],
    },
  );
  const { address, word } = known === undefined ? await toldBy(child) : { address: await addressOf(child), word: "" };
  child.removeAllListeners("exit");
  const { name, value } = known === undefined ? await cookieOfFirst({ address, word }) : { name: "", value: "" };
  cookie = known ?? `${name}=${value}`;
  return {
    address,
    delay: (reset = false) =>
      new Promise((resolve) => {
        child.once("message", (told) => resolve(told as Delay));
        child.send(reset ? "reset" : "tell");
      }),
    stop: () =>
      new Promise((resolve) => {
        child.once("exit", () => resolve());
        child.kill("SIGTERM");
      }),
  };
}

/** The time of one request, ms. */
async function timed(address: string): Promise<{ ms: number; body: unknown }> {
  const begun = performance.now();
  const response = await fetch(address, { headers: { cookie } });
  const body: unknown = await response.json();
  return { ms: performance.now() - begun, body };
}

/** Sends JSON over a connection that is kept. @returns the status */
function post(agent: Agent, address: string, path: string, body: unknown): Promise<number> {
  return new Promise((resolve, reject) => {
    const content = JSON.stringify(body);
    const asked = request(
      `${address}${path}`,
      {
        method: "POST",
        agent,
        headers: { cookie, "content-type": "application/json", "content-length": Buffer.byteLength(content) },
      },
      (response) => {
        response.resume();
        response.once("end", () => resolve(response.statusCode ?? 0));
      },
    );
    asked.once("error", reject);
    asked.end(content);
  });
}

/** Clients that touch finds of their own, one touch a request, each after the answer to the one before. */
async function touches(running: Running, scratch: Scratch, together: number): Promise<string> {
  const agent = new Agent({ keepAlive: true, maxSockets: CLIENTS });
  const finds = Array.from({ length: CLIENTS }, () => newFind(uuidv7(), "2026-09-14T10:20:00Z"));
  const to = (id: string, body: object) =>
    post(agent, running.address, `/api/documents/${id}`, { kind: "find", ...body });
  for (const find of finds) await to(find.id, { known: 0, create: find });
  const until = performance.now() + SECONDS * 1000;
  let refused = 0;
  const versions = new Map(finds.map((find) => [find.id, 1]));
  await running.delay(true);
  const begun = performance.now();
  await Promise.all(
    finds.map(async ({ id }) => {
      for (let count = 0; performance.now() < until; count++) {
        const sent = Array.from({ length: together }, (_, index) => ({
          id: uuidv7(),
          at: "2026-09-14T10:21:00Z",
          by: LOCAL_PERSON,
          changes: [{ kind: "set-find", field: "note", value: `touch ${count}.${index}` }],
        }));
        const known = versions.get(id) ?? 0;
        if ((await to(id, { known, touches: sent })) === 200) versions.set(id, known + together);
        else refused += 1;
      }
    }),
  );
  const seconds = (performance.now() - begun) / 1000;
  const delay = await running.delay();
  agent.destroy();
  const acknowledged = [...versions.values()].reduce((sum, version) => sum + version - 1, 0);
  const rows = await scratch.database.query<{ id: string; count: number }>(
    "SELECT document_id AS id, COUNT(*) AS count FROM touches GROUP BY document_id",
    { type: QueryTypes.SELECT },
  );
  const lost = finds.filter(
    ({ id }) => Number(rows.find((row) => row.id === id)?.count) + 1 !== versions.get(id),
  ).length;
  return `${CLIENTS} clients, ${together === 1 ? "one touch" : `${together} touches`} a request: ${Math.round(acknowledged / seconds)} touches a second (${acknowledged} acknowledged, ${lost} finds with another number of touches stored, ${refused} refused); event loop late by ${delay.p50} ms, 99 % ${delay.p99} ms, most ${delay.most} ms`;
}

async function lists(address: string): Promise<string> {
  // the client's own first request loads what the client needs; it asks for no list
  await timed(`${address}/api/health`);
  const times: number[] = [];
  let after = "";
  for (let page = 0; page < PAGES; page++) {
    const { ms, body } = await timed(`${address}/api/finds?limit=50${after}`);
    times.push(ms);
    const { next } = body as { next?: string };
    if (next === undefined) break;
    after = `&after=${encodeURIComponent(next)}`;
  }
  const [first = 0, ...rest] = times;
  const sorted = [...rest].sort((one, other) => one - other);
  return `first page after a start ${Math.round(first)} ms; the next ${rest.length}: middle ${Math.round(sorted[Math.floor(sorted.length / 2)] ?? 0)} ms, longest ${Math.round(sorted.at(-1) ?? 0)} ms`;
}

const scratch = await scratchDatabase();
const first = await start(scratch.url);
process.stdout.write(`${await touches(first, scratch, 1)}\n`);
// what somebody touches within the moment that a device waits before it sends
process.stdout.write(`${await touches(first, scratch, 3)}\n`);
await fill(scratch);
await first.stop();
const second = await start(scratch.url, cookie);
await second.delay(true);
process.stdout.write(`${FINDS} finds: ${await lists(second.address)}\n`);
await new Promise((later) => setTimeout(later, 8000));
const { ms } = await timed(`${second.address}/api/documents?after=0&limit=200`);
process.stdout.write(`a page of 200 changed documents ${Math.round(ms)} ms\n`);
const delay = await second.delay();
process.stdout.write(
  `meanwhile all are judged in the background: event loop late by ${delay.p50} ms, 99 % ${delay.p99} ms, most ${delay.most} ms\n`,
);
await second.stop();
await scratch.drop();
