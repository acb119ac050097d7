/**
 * Every route, asked in a thousand wrong ways: nothing falls over, nothing tells how it is made, every refusal names what is wrong.
 * FUZZ_SECONDS: how long; FUZZ_SEED: the same requests again.
 */
import { ALL_ROUTES, pathOf, problemSchema, type Route, type RouteName } from "@jittery-cap/core/api";
import { chanceOf, pick } from "@jittery-cap/core/trainer";
import { expect } from "chai";
import request from "supertest";
import { spoilt } from "../tests/hostile.ts";
import { type Asked, type Worlds, worldsOf } from "../tests/requests.ts";
import { type ScratchApp, scratchApp, withSessions } from "../tests/scratch-app.ts";
import type { World } from "../tests/world.ts";
import { createApp, type Running } from "./app.ts";
import { STANDINGS } from "./policy.ts";

const SECONDS = Number(process.env.FUZZ_SECONDS ?? 25);
const SEED = process.env.FUZZ_SEED ?? String(Date.now());
/** A world is worn out by so many requests: finds are put away, circles left. */
const A_WORLD = 400;
/** Streams end when their listener does; they take nothing but a token. */
const STREAMS: readonly RouteName[] = ["live", "watchRound"];
const TOO_LONG = 431;
/** Nobody may hold the server up for so long by one request, ms. */
const LONGEST_MS = 5000;

describe("hostile requests", function () {
  this.timeout(SECONDS * 1000 + 120_000);
  let made: ScratchApp;
  let worlds: Worlds;
  let running: Running;
  const appOf = (me: string | undefined) =>
    createApp(made.parts, { ...running, personOf: () => (me === undefined ? undefined : { kind: "person", id: me }) });
  before(async () => {
    made = await scratchApp();
    running = await withSessions()(made);
    worlds = await worldsOf(made, appOf);
  });
  after(() => made.end());

  it(`of every route end in an answer that says what is wrong (seed ${SEED})`, async () => {
    const chance = chanceOf("hostile", SEED);
    const names = (Object.keys(ALL_ROUTES) as RouteName[]).filter((name) => !STREAMS.includes(name));
    const until = Date.now() + SECONDS * 1000;
    const statuses = new Map<number, number>();
    let world: World | undefined;
    let sent = 0;
    for (; Date.now() < until; sent++) {
      if (world === undefined || sent % A_WORLD === 0) {
        world = await worlds.world();
        await made.scratch.database.query("DELETE FROM attempts");
      }
      const name = pick(chance, names) ?? "health";
      const who = pick(chance, STANDINGS) ?? "nobody";
      const me = who === "nobody" ? undefined : world.who[who];
      const asked = spoilt(await worlds.asked[name](world, me ?? world.who.stranger), chance);
      const begun = performance.now();
      const { status, text, type } = await ask(name, me, asked);
      const what = `${name} by ${who} with ${JSON.stringify(asked).slice(0, 300)}: ${status} ${text?.slice(0, 300)}`;
      expect(performance.now() - begun, what).to.be.below(LONGEST_MS);
      expect(status, what).to.satisfy((one: number) => one < 500 || (one === 503 && name.startsWith("read")));
      expect(text ?? "", what).not.to.match(/node_modules|\.ts:\d+|SELECT |INSERT |sequelize/i);
      // a line that is too long is refused before there is a request
      if (status >= 400 && status !== TOO_LONG) {
        expect(type, what).to.equal("application/problem+json");
        expect(problemSchema.safeParse(JSON.parse(text)).success, what).to.equal(true);
      }
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
    }
    const told = [...statuses].sort(([one], [other]) => one - other).map(([status, times]) => `${times} × ${status}`);
    process.stdout.write(`      ${sent} hostile requests: ${told.join(", ")}\n`);
    expect(statuses.get(400) ?? 0).to.be.above(sent / 10);
    expect((await request(appOf(undefined)).get("/api/health")).status).to.equal(200);
    // nothing that was sent made anybody more than they were
    expect(await made.models.people.count({ where: { isKeeper: true, name: "stranger" } })).to.equal(0);
  });

  async function ask(name: RouteName, me: string | undefined, { params, query, body, file }: Asked) {
    const route: Route = ALL_ROUTES[name];
    const path = `${pathOf(route.path, params ?? {})}?${new URLSearchParams(query)}`;
    const asking = request(appOf(me))[route.method](path).set("host", "localhost");
    const sending =
      file !== undefined
        ? asking.type("image/png").send(file)
        : body === undefined
          ? asking
          : asking.type("application/json").send(JSON.stringify(body) ?? "");
    return sending
      .buffer(true)
      .parse((response, done) => {
        let text = "";
        response.setEncoding("utf8");
        response.on("data", (part: string) => {
          text += part;
        });
        response.on("end", () => done(null, text));
      })
      .then(({ status, body: text, type }) => ({ status, text: String(text), type }));
  }
});
