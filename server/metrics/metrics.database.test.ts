import { expect } from "chai";
import parsePrometheusTextFormat from "parse-prometheus-text-format";
import { pino } from "pino";
import request from "supertest";
import { seasonFinds } from "../../demo/season.ts";
import { createApp } from "../http/app.ts";
import { readSettings } from "../settings.ts";
import { asks, ME, type ScratchApp, scratchApp } from "../tests/scratch-app.ts";
import { Metrics } from "./metrics.ts";

interface Family {
  readonly name: string;
  readonly type: string;
  readonly metrics: readonly {
    readonly labels?: Readonly<Record<string, string>>;
    readonly value?: string;
  }[];
}

describe("how the server fares", () => {
  let made: ScratchApp;
  const metrics = new Metrics();
  before(async () => {
    made = await scratchApp();
    metrics.gauge("listening_pages", "Pages that listen", () => 3);
  });
  after(() => made.end());

  const told = async (): Promise<readonly Family[]> => parsePrometheusTextFormat(await metrics.text()) as Family[];

  it("is told in the open text format, as an independent parser reads it: requests by route and outcome", async () => {
    const app = createApp({ ...made.parts, logger: pino({ level: "silent" }) }, { metrics, personOf: () => ME });
    const [find] = seasonFinds();
    if (find === undefined) throw new Error("there is no find");
    await asks(app).make(find).expect(201);
    for (let turn = 0; turn < 3; turn += 1) await asks(app).read(find.id).expect(200);
    await asks(app).read("0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10").expect(404);
    await request(app).get("/no/such/thing").expect(404);
    const families = await told();
    expect(families.find((one) => one.name === "http_request_duration_seconds")?.type).to.equal("HISTOGRAM");
    const family = families.find((one) => one.name === "http_requests_total");
    const countOf = (route: string, status: string) =>
      (family?.metrics ?? [])
        .filter((one) => one.labels?.route === route && one.labels?.status === status)
        .reduce((sum, one) => sum + Number(one.value), 0);
    expect(countOf("/api/documents/:id", "201")).to.equal(1);
    expect(countOf("/api/documents/:id", "200")).to.equal(3);
    expect(countOf("/api/documents/:id", "404")).to.equal(1);
  });

  it("tells no id, address or word of what anybody keeps", async () => {
    const text = await metrics.text();
    for (const find of seasonFinds()) expect(text).not.to.contain(find.id);
    expect(text).not.to.contain("0192f3c0").and.not.to.contain("no/such/thing");
  });

  it("tells who listens, and what the process uses", async () => {
    const families = await told();
    expect(families.find((one) => one.name === "listening_pages")?.metrics[0]?.value).to.equal("3");
    expect(families.map((one) => one.name)).to.include("process_resident_memory_bytes");
  });

  it("is to be had on a port of this machine alone, at one address, and nowhere in the application", async () => {
    const server = await metrics.listen(0);
    try {
      const address = server.address();
      if (typeof address !== "object" || address === null) throw new Error("it does not listen");
      expect(address.address).to.equal("127.0.0.1");
      const reply = await fetch(`http://127.0.0.1:${address.port}/metrics`);
      expect(reply.status).to.equal(200);
      expect(reply.headers.get("content-type")).to.match(/^text\/plain; version=0\.0\.4/);
      expect((await fetch(`http://127.0.0.1:${address.port}/`)).status).to.equal(404);
    } finally {
      server.close();
    }
    await request(made.app).get("/metrics").expect(404);
    await request(made.app).get("/api/metrics").expect(404);
  });

  it("is told of nowhere unless a port is named", () => {
    const settings = { DATABASE_URL: "mariadb://a:b@127.0.0.1:1/c" };
    expect(readSettings(settings).METRICS_PORT).to.equal(undefined);
    expect(readSettings({ ...settings, METRICS_PORT: "9460" }).METRICS_PORT).to.equal(9460);
    expect(() => readSettings({ ...settings, METRICS_PORT: "many" })).to.throw(/METRICS_PORT/);
  });
});

describe("alive and ready", () => {
  it("are two answers: a server without its database lives on, and is not ready", async () => {
    const made = await scratchApp();
    try {
      await request(made.app).get("/api/alive").expect(200);
      await request(made.app).get("/api/health").expect(200);
      const app = createApp({ ...made.parts, isDatabaseUp: async () => false });
      await request(app).get("/api/alive").expect(200);
      const ready = await request(app).get("/api/health");
      expect(ready.status).to.equal(503);
      expect(ready.body.database).to.equal("down");
    } finally {
      await made.end();
    }
  });
});
