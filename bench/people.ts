/**
 * `npm run bench:people`: many people at one server at once, each signed in, each touching finds of their own and asking for what
 * changed, as fast as somebody records who never stops; prints how long they waited. PEOPLE (500), FINDS a person (20), SECONDS (60).
 */
import { type ChildProcess, spawn } from "node:child_process";
import { newFind } from "@jittery-cap/core";
import { uuidv7 } from "uuidv7";
import { seasonFinds } from "../demo/season.ts";
import { defineModels } from "../server/database/models.ts";
import { hashPassword } from "../server/people/passwords.ts";
import { scratchDatabase } from "../server/tests/scratch-database.ts";
import { cookieOfFirst, FIRST, toldBy } from "../server/tests/sign-in.ts";

const PEOPLE = Number(process.env.PEOPLE ?? 500);
const FINDS = Number(process.env.FINDS ?? 20);
const SECONDS = Number(process.env.SECONDS ?? 60);
/** Between two touches of one person, ms: whoever looks at a mushroom meanwhile is slower. */
const BETWEEN_MS = 10_000;
/** So many finds are made as a device makes them; the rest of a long log is put beside them. */
const MADE_BY_REQUESTS = 20;
const ROWS_AT_ONCE = 500;
const season = seasonFinds();
const AT = "2026-09-14T10:20:00Z";
const say = (text: string) => process.stdout.write(`${text}\n`);

const scratch = await scratchDatabase();
const server: ChildProcess = spawn(process.execPath, ["--import", "tsx", "server/main.ts"], {
  env: { ...process.env, DATABASE_URL: scratch.url, PORT: "0", LOG_LEVEL: "error", NODE_ENV: "production" },
  stdio: ["ignore", "pipe", "inherit"],
});
const told = await toldBy(server);
await cookieOfFirst(told);
const { people } = defineModels(scratch.database);
const password = await hashPassword(FIRST.password);
const all = Array.from({ length: PEOPLE }, (_, at) => ({ id: uuidv7(), name: `p ${at}`, signInName: `p${at}` }));
await people.bulkCreate(all.map((one) => ({ ...one, password, createdAt: new Date() })));

const times = new Map<string, number[]>();
let failed = 0;
async function ask(what: string, cookie: string, path: string, body?: object): Promise<unknown> {
  const begun = performance.now();
  const reply = await fetch(`${told.address}${path}`, {
    method: body === undefined ? "GET" : "POST",
    headers: { cookie, "content-type": "application/json" },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const said: unknown = await reply.json();
  if (!reply.ok) failed += 1;
  times.set(what, [...(times.get(what) ?? []), performance.now() - begun]);
  return said;
}

async function signIn(signInName: string): Promise<string> {
  const reply = await fetch(`${told.address}/api/sign-in/password`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ signInName, password: FIRST.password }),
  });
  if (!reply.ok) throw new Error(`${signInName}: ${reply.status}`);
  return reply.headers.getSetCookie()[0]?.split(";")[0] ?? "";
}

/** Puts finds of earlier years into a person's log, by the tables themselves. */
async function putBeside(person: string, first: number, end: number): Promise<void> {
  const rows = Array.from({ length: end - first }, (_, index) => {
    const id = uuidv7();
    const model = season[(first + index) % season.length];
    const at = new Date(Date.UTC(2020, 0, 1) + (first + index) * 3_600_000);
    return [id, person, JSON.stringify({ ...model, id }), at, first + index + 1];
  });
  await scratch.database.query(
    `INSERT INTO documents (id, kind, owner_id, about, content_schema, version, content, made, listed_at, place, created_at, updated_at, archived_at) VALUES ${rows
      .map(() => "(?, 'find', ?, NULL, 1, 1, ?, '', ?, ?, NOW(3), NOW(3), NULL)")
      .join()}`,
    { replacements: rows.flat() },
  );
  await scratch.database.query("UPDATE feeds SET place = GREATEST(place, ?) WHERE owner_id = ?", {
    replacements: [end + MADE_BY_REQUESTS, person],
  });
}

const signed: { id: string; cookie: string; finds: { id: string; version: number }[] }[] = [];
const begun = performance.now();
for (const one of all) signed.push({ id: one.id, cookie: await signIn(one.signInName), finds: [] });
say(`${PEOPLE} people signed in, ${Math.round((performance.now() - begun) / PEOPLE)} ms each`);
const made = Math.min(FINDS, MADE_BY_REQUESTS);
for (const one of signed)
  await Promise.all(
    Array.from({ length: made }, async () => {
      const find = { id: uuidv7(), version: 1 };
      await ask("make", one.cookie, `/api/documents/${find.id}`, {
        kind: "find",
        known: 0,
        create: newFind(find.id, AT),
      });
      one.finds.push(find);
    }),
  );
// a log of years is put beside what was just made, as it would lie there
for (const one of signed)
  for (let count = made; count < FINDS; count += ROWS_AT_ONCE)
    await putBeside(one.id, count, Math.min(FINDS, count + ROWS_AT_ONCE));
times.clear();
const until = performance.now() + SECONDS * 1000;
await Promise.all(
  signed.map(async ({ id, cookie, finds }) => {
    await new Promise((later) => setTimeout(later, Math.random() * BETWEEN_MS));
    for (let count = 0; performance.now() < until; count++) {
      const find = finds[count % finds.length];
      if (find === undefined) return;
      const touch = {
        id: uuidv7(),
        at: AT,
        by: id,
        changes: [{ kind: "set-find", field: "note", value: `touch ${count}` }],
      };
      const body = { kind: "find", known: find.version, touches: [touch] };
      find.version = ((await ask("a touch", cookie, `/api/documents/${find.id}`, body)) as { version: number }).version;
      await ask("what changed", cookie, "/api/documents?after=0&limit=50");
      await ask("the list", cookie, "/api/finds?limit=50");
      await new Promise((later) => setTimeout(later, BETWEEN_MS / 2 + Math.random() * BETWEEN_MS));
    }
  }),
);
for (const [what, list] of times) {
  const sorted = [...list].sort((one, other) => one - other);
  const at = (share: number) => Math.round(sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0);
  say(
    `${what}: ${list.length} in ${SECONDS} s; middle ${at(0.5)} ms, 95 % ${at(0.95)} ms, 99 % ${at(0.99)} ms, most ${at(1)} ms`,
  );
}
say(`${failed} refused`);
server.kill("SIGTERM");
await new Promise((resolve) => server.once("exit", resolve));
await scratch.drop();
process.exit(failed === 0 ? 0 : 1);
