import { expect } from "chai";
import { lightOf, turnRoundAt } from "./light.ts";

/** Sunrise and sunset as almanacs print them, universal time; from memory, to the minute. */
const PRINTED = [
  ["Greenwich, longest day", "2024-06-20", 51.477, 0, "03:43", "20:21"],
  ["Greenwich, shortest day", "2024-12-21", 51.477, 0, "08:04", "15:53"],
  ["Oslo, shortest day", "2024-12-21", 59.913, 10.752, "08:18", "14:12"],
  ["Sydney, longest day", "2024-12-21", -33.868, 151.209, "18:41", "09:05"],
  ["New York, equinox", "2024-03-20", 40.713, -74.006, "10:59", "23:08"],
] as const;

const minutesApart = (moment: number | undefined, printed: string): number => {
  const date = new Date(moment ?? Number.NaN);
  const [hours = 0, minutes = 0] = printed.split(":").map(Number);
  const apart = Math.abs(
    date.getUTCHours() * 60 + date.getUTCMinutes() + date.getUTCSeconds() / 60 - hours * 60 - minutes,
  );
  return Math.min(apart, 1440 - apart);
};

describe("light", () => {
  for (const [name, day, lat, lon, rises, sets] of PRINTED)
    it(`is the almanac's within two minutes: ${name}`, () => {
      const light = lightOf(new Date(Date.parse(`${day}T12:00:00Z`) - (lon / 15) * 3_600_000), lat, lon);
      expect(minutesApart(light.rises, rises), "sunrise").to.be.at.most(2);
      expect(minutesApart(light.sets, sets), "sunset").to.be.at.most(2);
    });

  it("lasts all day, or is not there, beyond the circles: north in summer as south in winter", () => {
    const at = (day: string, lat: number) => lightOf(new Date(`${day}T12:00:00Z`), lat, 20).allDay;
    expect([at("2026-06-21", 78), at("2026-12-21", 78)]).to.deep.equal(["light", "dark"]);
    expect([at("2026-06-21", -78), at("2026-12-21", -78)]).to.deep.equal(["dark", "light"]);
    expect(at("2026-09-14", 62)).to.equal(undefined);
  });

  it("leaves half an hour between being back and sunset", () => {
    const sets = Date.parse("2026-11-28T15:48:00Z");
    expect(new Date(turnRoundAt(sets, 38)).toISOString()).to.equal("2026-11-28T14:40:00.000Z");
  });
});
