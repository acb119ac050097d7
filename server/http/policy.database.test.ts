/** Every route against every standing, each cell tried: what is not granted is refused, and refused as what it is to whoever asks. */
import { readFileSync } from "node:fs";
import type { AddressInfo } from "node:net";
import { ALL_ROUTES, pathOf, type Route, type RouteName } from "@jittery-cap/core/api";
import { expect } from "chai";
import type { Express } from "express";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { policyPage } from "../../commands/write-policy.ts";
import { type Asked, type Worlds, worldsOf } from "../tests/requests.ts";
import { type ScratchApp, scratchApp, withSessions } from "../tests/scratch-app.ts";
import type { World } from "../tests/world.ts";
import { createApp } from "./app.ts";
import { NEEDS, type Outcome, outcomeFor, STANDINGS } from "./policy.ts";

describe("the policy", function () {
  this.timeout(240_000);
  let made: ScratchApp;
  let worlds: Worlds;

  before(async () => {
    made = await scratchApp();
    running = await withSessions()(made);
    worlds = await worldsOf(made, appOf);
  });
  after(() => made.end());

  /** What the right one is told where a route asks for more than to be the right one: a passkey that there is not, a station. */
  const FURTHER: Partial<Record<RouteName, { readonly status: number; readonly says: RegExp }>> = {
    keepPasskey: { status: 401, says: /Nothing was asked for/ },
    readWeather: { status: 503, says: /no weather station/ },
    readSky: { status: 503, says: /no weather station/ },
  };

  const apps = new Map<string, Express>();
  let running: Awaited<ReturnType<ReturnType<typeof withSessions>>>;
  const appOf = (me: string | undefined): Express => {
    const key = me ?? "";
    const there = apps.get(key);
    if (there !== undefined) return there;
    const app = createApp(made.parts, {
      ...running,
      personOf: () => (me === undefined ? undefined : { kind: "person", id: me }),
    });
    apps.set(key, app);
    return app;
  };

  async function tried(name: RouteName, app: Express, sent: Asked): Promise<{ status: number; detail: string }> {
    const route: Route = ALL_ROUTES[name];
    const path = `${pathOf(route.path, sent.params ?? {})}?${new URLSearchParams(sent.query)}`;
    if (typeof route.reply === "object" && "media" in route.reply && route.reply.media === "text/event-stream") {
      const server = app.listen(0);
      const { port } = server.address() as AddressInfo;
      const end = new AbortController();
      const { status } = await fetch(`http://127.0.0.1:${port}${path}`, { signal: end.signal });
      end.abort();
      server.closeAllConnections();
      server.close();
      return { status, detail: "" };
    }
    let asking = request(app)[route.method](path).set("host", "localhost");
    if (sent.file !== undefined) asking = asking.type("image/png").send(sent.file);
    else if (sent.body !== undefined) asking = asking.send(sent.body);
    const { status, body } = await asking;
    return { status, detail: String((body as { detail?: unknown }).detail ?? "") };
  }

  for (const name of Object.keys(ALL_ROUTES) as RouteName[])
    it(name, async () => {
      const need = NEEDS[name];
      let ofNobody: number | undefined;
      const isAlone = need === "anybody" || need === "self" || need === "link";
      let one: World | undefined;
      for (const who of STANDINGS) {
        await made.scratch.database.query("DELETE FROM attempts");
        // what one does with oneself, or by a link, changes nothing for the others
        if (!isAlone || one === undefined) one = await worlds.world();
        const w = one;
        const me = who === "nobody" ? undefined : w.who[who];
        const { status, detail } = await tried(name, appOf(me), await worlds.asked[name](w, me ?? uuid()));
        apps.clear();
        const wanted: Outcome = outcomeFor(need, who);
        const cell = `${name} for ${who}: ${status} ${detail}`;
        if (need === "anybody") {
          // who one is makes no difference, to what is answered or refused
          ofNobody ??= status;
          expect(status, cell).to.equal(ofNobody);
          expect(status, cell).to.be.below(500);
        } else if (wanted !== "done") expect(status, cell).to.equal(wanted);
        else if (FURTHER[name] !== undefined) {
          expect(status, cell).to.equal(FURTHER[name]?.status);
          expect(detail, cell).to.match(FURTHER[name]?.says ?? /./);
        } else expect(status, cell).to.be.within(200, 299);
      }
    });

  it("says for every route that a person has to sign in for it, where it does", () => {
    for (const [name, route] of Object.entries<Route>(ALL_ROUTES)) {
      const isOpen = outcomeFor(NEEDS[name as RouteName], "nobody") === "done";
      expect(isOpen, name).to.equal(route.access !== "person");
    }
  });

  it("is the page that is kept in docs: npm run policy writes it", () => {
    expect(readFileSync("docs/policy.md", "utf8")).to.equal(policyPage());
  });
});
