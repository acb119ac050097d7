import { createServer, type Server } from "node:http";
import { expect } from "chai";
import { hoursBetween, simulatedHour, startWeatherStation } from "../../stand-ins/weather-station.ts";
import { stationAt, weatherAt } from "./station.ts";

const portOf = (server: Server) => {
  const address = server.address();
  return typeof address === "object" && address !== null ? address.port : 0;
};
/** A station that answers anything at all. */
const answering = (status: number, content: string): Promise<Server> =>
  new Promise((resolve) => {
    const server = createServer((_request, response) => response.writeHead(status).end(content));
    server.listen(0, "127.0.0.1", () => resolve(server));
  });
const failureOf = (promise: Promise<unknown>): Promise<string> =>
  promise.then(
    () => "no failure",
    (error: unknown) => String(error),
  );

describe("the weather station", () => {
  let station: Server;
  before(async () => {
    station = await startWeatherStation();
  });
  after(() => station.close());
  const ask = () => stationAt(`http://127.0.0.1:${portOf(station)}`);

  it("tells the weather of a moment, all four fields, and says that it is simulated", async () => {
    const told = await weatherAt(ask(), new Date("2026-10-12T08:30:00Z"));
    expect(told.simulated).to.equal(true);
    expect(told.weather).to.have.all.keys("frostLastNight", "drySpellDays", "rain24hMm", "airTempC");
  });

  it("had the same weather yesterday however often it is asked", () => {
    const at = new Date("2026-09-14T05:00:00Z");
    expect(simulatedHour(at)).to.deep.equal(simulatedHour(at));
  });

  it("is warm in July and freezes in January, and rains on some days but not on all", () => {
    const mean = (month: string) => {
      const { hours } = hoursBetween(new Date(`2026-${month}-01T00:00:00Z`), new Date(`2026-${month}-28T00:00:00Z`));
      return hours.reduce((sum, hour) => sum + (hour.airTempC ?? 0), 0) / hours.length;
    };
    expect(mean("07")).to.be.greaterThan(12);
    expect(mean("01")).to.be.lessThan(1);
    const days = Array.from({ length: 60 }, (_unused, day) => {
      const from = new Date(Date.UTC(2026, 8, 1 + day));
      const { hours } = hoursBetween(from, new Date(from.getTime() + 86_400_000));
      return hours.reduce((sum, hour) => sum + (hour.rainMm ?? 0), 0) >= 1;
    });
    expect(days.filter(Boolean).length).to.be.within(8, 45);
  });

  it("refuses a span that is none or endless", async () => {
    const from = new Date("2026-10-12T00:00:00Z");
    expect(() => hoursBetween(from, new Date("2026-10-11T00:00:00Z"))).to.throw(RangeError);
    expect(() => hoursBetween(from, new Date("2030-10-11T00:00:00Z"))).to.throw(RangeError);
    expect(await failureOf(ask()(from, new Date("2030-01-01T00:00:00Z")))).to.contain("400");
  });

  it("that is not there, fails or talks nonsense gives an error and never a guess", async () => {
    const at = new Date("2026-10-12T08:30:00Z");
    expect(await failureOf(weatherAt(stationAt("http://127.0.0.1:1"), at))).to.match(/fetch failed/);
    const broken = await answering(500, "no");
    expect(await failureOf(weatherAt(stationAt(`http://127.0.0.1:${portOf(broken)}`), at))).to.contain("500");
    broken.close();
    const odd = await answering(200, JSON.stringify({ station: "x", simulated: false, hours: [{ at: "soon" }] }));
    expect(await failureOf(weatherAt(stationAt(`http://127.0.0.1:${portOf(odd)}`), at))).to.contain("hours");
    odd.close();
  });
});
