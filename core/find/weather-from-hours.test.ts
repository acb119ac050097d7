import { expect } from "chai";
import { answerTo, bodyOf } from "../tests/build.ts";
import { type StationHour, stationReplySchema, weatherFromHours } from "./weather-from-hours.ts";

const AT = new Date("2026-10-12T08:30:00Z");
const DAYS = 21;
/** Hours back from the find: air and rain by how many hours ago. */
const hours = (
  air: (ago: number) => number | null = () => 9,
  rain: (ago: number) => number | null = () => 0,
  days = DAYS,
): StationHour[] =>
  Array.from({ length: days * 24 }, (_unused, index) => ({
    at: new Date(AT.getTime() - (index + 0.5) * 3_600_000).toISOString(),
    airTempC: air(index),
    rainMm: rain(index),
  }));

describe("weather from a station's hours", () => {
  it("tells a mild dry fortnight", () => {
    expect(weatherFromHours(hours(), AT)).to.deep.equal({
      airTempC: 9,
      frostLastNight: false,
      rain24hMm: 0,
      drySpellDays: DAYS,
    });
  });

  it("one cold hour in the night is frost; one the night before is not", () => {
    expect(
      weatherFromHours(
        hours((ago) => (ago === 4 ? 0.5 : 7)),
        AT,
      ).frostLastNight,
    ).to.equal(true);
    expect(
      weatherFromHours(
        hours((ago) => (ago === 30 ? -4 : 7)),
        AT,
      ).frostLastNight,
    ).to.equal(false);
  });

  it("takes air just above freezing for frost on the ground", () => {
    expect(
      weatherFromHours(
        hours(() => 1.8),
        AT,
      ).frostLastNight,
    ).to.equal(true);
  });

  it("adds the rain of a day, and counts dry days since the last wet one", () => {
    const weather = weatherFromHours(
      hours(undefined, (ago) => (ago === 60 ? 4.2 : 0)),
      AT,
    );
    expect(weather).to.include({ rain24hMm: 0, drySpellDays: 2 });
    expect(
      weatherFromHours(
        hours(undefined, (ago) => (ago < 10 ? 0.65 : 0)),
        AT,
      ),
    ).to.include({
      rain24hMm: 6.5,
      drySpellDays: 0,
    });
  });

  it("a drizzle under a millimetre does not end a dry spell", () => {
    expect(
      weatherFromHours(
        hours(undefined, (ago) => (ago % 24 === 3 ? 0.4 : 0)),
        AT,
      ).drySpellDays,
    ).to.equal(DAYS);
  });

  it("leaves out what the hours do not cover, and guesses nothing", () => {
    expect(weatherFromHours([], AT)).to.deep.equal({});
    expect(
      weatherFromHours(
        hours(
          () => null,
          () => null,
        ),
        AT,
      ),
    ).to.deep.equal({});
    const short = weatherFromHours(hours(undefined, undefined, 0.25), AT);
    expect(short).to.deep.equal({ airTempC: 9 });
  });

  it("a gap ends the dry days that are sure", () => {
    expect(
      weatherFromHours(
        hours(undefined, (ago) => (ago > 72 ? null : 0)),
        AT,
      ).drySpellDays,
    ).to.equal(3);
  });

  it("frost is told even where most of the night is missing, as long as one hour froze", () => {
    expect(
      weatherFromHours(
        hours((ago) => (ago === 5 ? -2 : null)),
        AT,
      ).frostLastNight,
    ).to.equal(true);
  });

  it("hours after the find count for nothing", () => {
    const later: StationHour = { at: new Date(AT.getTime() + 3_600_000).toISOString(), airTempC: -5, rainMm: 9 };
    expect(weatherFromHours([...hours(), later], AT)).to.deep.equal(weatherFromHours(hours(), AT));
  });

  it("a station's frost silences the stain of a find, as told by hand", () => {
    const body = bodyOf({ "gill-colour": "pink", "stain-base": "none" });
    const weather = weatherFromHours(
      hours((ago) => (ago === 4 ? -1 : 7)),
      AT,
    );
    const stainer = (told: object) =>
      answerTo([body], { weather: told }).dangers.find(({ sheet }) => sheet === "agaricus-xanthodermus")?.mistakes;
    expect(stainer(weather)).to.equal(0);
    expect(stainer({ frostLastNight: false })).to.equal(1);
  });

  it("a reply with a word for a number is refused", () => {
    const reply = { station: "x", simulated: true, hours: [{ at: "2026-10-12T08:00:00Z", airTempC: "9", rainMm: 0 }] };
    expect(stationReplySchema.safeParse(reply).success).to.equal(false);
  });
});
