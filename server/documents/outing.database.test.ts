import { expect } from "chai";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { startWeatherStation } from "../../stand-ins/weather-station.ts";
import { asks, ME, type ScratchApp, scratchApp, touchOf } from "../tests/scratch-app.ts";
import { skyAt, stationAt } from "../weather/station.ts";

const at = (hour: number) => `2026-09-27T${String(hour).padStart(2, "0")}:00:00+02:00`;
const outing = () => ({
  begunAt: at(9),
  companions: [],
  searches: [],
  nothing: [],
  foundBy: [],
  packed: [],
  missed: [],
});
const place = () => ({
  name: "the hollow beech",
  position: { lat: 61.912347, lon: 19.583911 },
  share: "1km",
  patches: [],
  owner: "Aino Wexel",
});
const set = (field: string, value: unknown) => touchOf({ kind: "set-field", field, value });

describe("outings and places in MariaDB", () => {
  let made: ScratchApp;
  let api: ReturnType<typeof asks>;
  before(async () => {
    made = await scratchApp();
    api = asks(made.app);
  });
  after(() => made.end());

  const begin = async (kind: string, create: object) => {
    const id = uuid();
    const reply = await api.write(id, { kind, known: 0, create });
    expect(reply.status, JSON.stringify(reply.body)).to.equal(201);
    return id;
  };

  it("are made, changed field by field, and come back as they were written; the same again changes nothing", async () => {
    const id = await begin("outing", outing());
    const nothing = set("nothing", [{ id: uuid(), at: at(10), position: { lat: 61.9, lon: 19.6 } }]);
    const body = { kind: "outing", known: 1, touches: [nothing] };
    expect((await api.write(id, body)).body.version).to.equal(2);
    expect((await api.write(id, body)).body.version).to.equal(2);
    expect((await api.read(id)).body.content.nothing).to.have.length(1);
    expect(
      (
        await api.write(uuid(), {
          kind: "track",
          known: 0,
          create: { about: id, points: [{ at: at(9), lat: 61.9, lon: 19.6 }] },
        })
      ).status,
    ).to.equal(201);
  });

  it("are refused by the field that is wrong, and nothing is stored by halves", async () => {
    const refused = async (kind: string, create: object) => {
      const id = uuid();
      const reply = await api.write(id, { kind, known: 0, create });
      expect(reply.status).to.equal(400);
      expect((await api.read(id)).status).to.equal(404);
      return reply.body.detail as string;
    };
    expect(await refused("outing", { ...outing(), endedAt: at(8) }))
      .to.contain("endedAt")
      .and.contain("before it began");
    expect(await refused("outing", { ...outing(), begunAt: "yesterday" })).to.contain("begunAt");
    expect(await refused("place", { ...place(), position: { lat: 95, lon: 0 } })).to.contain("position.lat");
    expect(await refused("place", { ...place(), verdict: "basket" })).to.contain("verdict");
    expect(
      await refused("reminder", { kind: "puzzle", what: "x", from: "2026-10-02", to: "2026-10-01", madeAt: at(9) }),
    ).to.contain("to");
    expect(await refused("track", { about: uuid(), points: [] })).to.contain("points");
  });

  it("of two devices that set one field apart are before the second one, with what the first made of it", async () => {
    const id = await begin("outing", outing());
    await api.write(id, { kind: "outing", known: 1, touches: [set("missed", ["knife"])] });
    const met = await api.write(id, { kind: "outing", known: 1, touches: [set("missed", ["trowel"])] });
    expect(met.status).to.equal(409);
    expect(met.body.current.content.missed).to.deep.equal(["knife"]);
    expect((await api.write(id, { kind: "outing", known: 1, touches: [set("note", "wet")] })).status).to.equal(200);
  });

  it("are shown by a link as their owner shows them then, and by none once it is taken back", async () => {
    const id = await begin("place", place());
    const link = uuid();
    const make = () => request(made.app).post(`/api/places/${id}/links`).send({ id: link, name: "a beech wood" });
    const { token } = (await make()).body as { token: string };
    expect((await make()).body.token).to.equal(token);
    const open = () => request(made.app).get(`/api/place-links/${token}`);
    const shown = JSON.stringify((await open()).body);
    expect(shown)
      .to.contain("a beech wood")
      .and.not.match(/hollow|Aino|61\.9123|19\.5839/);
    await api.write(id, { kind: "place", known: 1, touches: [set("share", "none")] });
    expect((await open()).body).to.deep.equal({ name: "a beech wood" });
    expect((await request(made.app).delete(`/api/places/${id}/links/${link}`)).status).to.equal(204);
    expect((await open()).status).to.equal(404);
    expect(
      (await request(made.app).post(`/api/places/${uuid()}/links`).send({ id: uuid(), name: "x" })).status,
    ).to.equal(404);
    expect((await request(made.app).get("/api/place-links/zz")).status).to.equal(400);
  });

  it("put away are shown by no link either", async () => {
    const id = await begin("place", place());
    const reply = await request(made.app).post(`/api/places/${id}/links`).send({ id: uuid(), name: "a wood" });
    await api.write(id, { kind: "place", known: 1, touches: [touchOf({ kind: "archive" })] });
    expect((await request(made.app).get(`/api/place-links/${reply.body.token}`)).status).to.equal(404);
  });
});

describe("writes that come in the moment in which others are answered", () => {
  let made: ScratchApp;
  before(async () => {
    made = await scratchApp();
  });
  after(() => made.end());

  it("are written as well: none is left lying because the one who writes was just going home", async () => {
    const write = () =>
      made.parts.writer.write({
        actor: ME,
        ownerId: ME.id,
        id: uuid(),
        kind: "outing",
        known: 0,
        create: outing(),
        touches: [],
      });
    // between the last answer and the end of the round lie a few ticks: one of these falls into each
    for (let ticks = 0; ticks < 12; ticks++) {
      await write();
      for (let tick = 0; tick < ticks; tick++) await undefined;
      const written = await Promise.race([
        write(),
        new Promise((resolve) => setTimeout(() => resolve("left lying"), 5000)),
      ]);
      expect(written, `after ${ticks} ticks`).to.include({ kind: "stored" });
    }
  }).timeout(90_000);
});

describe("the days of the weather station", () => {
  it("are the past as it was and a week ahead as it is foretold, by the protocol of the stand-in", async () => {
    const station = await startWeatherStation();
    const told = station.address();
    const address = `http://127.0.0.1:${typeof told === "object" && told !== null ? told.port : 0}`;
    try {
      const day = (ahead: number) => new Date(Date.now() + ahead * 86_400_000).toISOString().slice(0, 10);
      const { days, simulated } = await skyAt(address)(day(-30), day(30));
      expect(simulated).to.equal(true);
      expect(days.at(-1)?.day).to.equal(day(7));
      expect(days.filter(({ isForetold }) => isForetold)).to.have.length(8);
      // the same day is told alike by its hours
      const past = days.find(({ isForetold }) => !isForetold);
      const from = new Date(`${past?.day}T00:00:00Z`);
      const hours = await stationAt(address)(from, new Date(from.getTime() + 86_400_000));
      const rain = hours.hours.reduce((sum, { rainMm }) => sum + (rainMm ?? 0), 0);
      expect(past?.rainMm).to.be.closeTo(rain, 0.06);
      await fetch(`${address}/mood?is=wet`, { method: "PUT" });
      const wet = await skyAt(address)(day(-30), day(5));
      const sum = (all: typeof days) => all.reduce((mm, { rainMm }) => mm + rainMm, 0);
      expect(sum(wet.days)).to.be.greaterThan(sum(days.slice(0, wet.days.length)) + 100);
      const wrong = await fetch(`${address}/mood?is=stormy`, { method: "PUT" });
      expect(wrong.status).to.equal(400);
      const refused = await skyAt(address)(day(5), day(-5)).catch((error: unknown) => String(error));
      expect(refused).to.contain("400");
    } finally {
      station.close();
    }
  });
});
