import { expect } from "chai";
import { AMMERBOG, dayOfMoment, hourOf, idNumber, outingOn, PASTURE, squareAt } from "../tests/season.ts";
import { type FoundThere, visitsOf } from "./visits.ts";

const DAY = "2026-09-14";
const places = [
  { id: AMMERBOG, content: squareAt(61.92, -25.43, 800, { name: "Ammerbog" }) },
  { id: PASTURE, content: squareAt(61.88, -25.39, 800, { name: "Pasture" }) },
];
const searches = [
  { id: idNumber(1), place: AMMERBOG, from: hourOf(DAY, 8), to: hourOf(DAY, 9.5) },
  { id: idNumber(2), place: PASTURE, from: hourOf(DAY, 10), to: hourOf(DAY, 11), nothing: true },
  { id: idNumber(3), from: hourOf(DAY, 11), to: hourOf(DAY, 11.5) },
];
const outings = [{ id: idNumber(9), content: outingOn(DAY, 8, 12, { searches }) }];
const found = (id: number, hour: number, kind: string | undefined, where?: FoundThere["where"]): FoundThere => ({
  id: idNumber(id),
  at: Date.parse(hourOf(DAY, hour)),
  kind,
  where,
});

describe("own visits", () => {
  it("count finds where and while somebody searched, and the empty ones as much", () => {
    const visits = visitsOf(
      outings,
      [found(1, 8.5, "boletus-edulis"), found(2, 9, "boletus-edulis"), found(3, 9.2, undefined)],
      places,
      dayOfMoment,
    );
    expect(visits.map(({ place, hours, day }) => [place, hours, day])).to.deep.equal([
      [AMMERBOG, 1.5, DAY],
      [PASTURE, 1, DAY],
    ]);
    expect(visits.map(({ finds }) => finds.get("boletus-edulis") ?? 0)).to.deep.equal([2, 0]);
  });

  it("count a find at its own place, whatever hour was written on it; one of another day nowhere", () => {
    const late = found(1, 11.2, "marasmius-oreades", { lat: 61.88, lon: -25.39 });
    const named = found(2, 11.3, "marasmius-oreades", { name: "Pasture" });
    const visits = visitsOf(outings, [late, named, found(3, 40, "marasmius-oreades")], places, dayOfMoment);
    expect(visits.map(({ finds }) => finds.get("marasmius-oreades") ?? 0)).to.deep.equal([0, 2]);
  });

  it("of an outing that nobody ended are those of which the end or the minutes were told", () => {
    const told = [
      { id: idNumber(1), place: AMMERBOG, from: hourOf(DAY, 8), to: hourOf(DAY, 9) },
      { id: idNumber(2), place: PASTURE, from: hourOf(DAY, 9), minutes: 20 },
      { id: idNumber(3), place: AMMERBOG, from: hourOf(DAY, 10) },
    ];
    const content = outingOn(DAY, 8, undefined, { searches: told });
    const visits = visitsOf([{ id: idNumber(9), content }], [], places, dayOfMoment);
    expect(visits.map(({ hours }) => Math.round(hours * 60))).to.deep.equal([60, 20]);
    const ended = { ...content, endedAt: hourOf(DAY, 11) };
    expect(visitsOf([{ id: idNumber(9), content: ended }], [], places, dayOfMoment)).to.have.length(3);
  });

  it("of a place that was put away are still visits; a minute's look is none", () => {
    const short = [{ id: idNumber(1), place: AMMERBOG, from: hourOf(DAY, 8), to: hourOf(DAY, 8.01) }];
    expect(
      visitsOf([{ id: idNumber(9), content: outingOn(DAY, 8, 9, { searches: short }) }], [], places, dayOfMoment),
    ).to.deep.equal([]);
    expect(visitsOf(outings, [], [], dayOfMoment)).to.have.length(2);
  });

  it("are of the day that the clock of the place showed: an evening in summer time, a morning across the world", () => {
    const late = [{ id: idNumber(1), place: AMMERBOG, from: "2026-10-24T23:30:00+02:00", minutes: 60 }];
    const content = outingOn("2026-10-24", 20, 23, { searches: late });
    const inBerlin = (moment: number) => new Date(moment).toLocaleDateString("sv-SE", { timeZone: "Europe/Berlin" });
    const inAuckland = (moment: number) =>
      new Date(moment).toLocaleDateString("sv-SE", { timeZone: "Pacific/Auckland" });
    const dayIn = (dayOf: (moment: number) => string) =>
      visitsOf([{ id: idNumber(9), content }], [], places, dayOf)[0]?.day;
    expect(dayIn(inBerlin)).to.equal("2026-10-24");
    expect(dayIn(inAuckland)).to.equal("2026-10-25");
  });
});
