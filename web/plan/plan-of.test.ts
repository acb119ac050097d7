import {
  alike,
  bestRound,
  dayOfYear,
  forecastBy,
  type KeptPlace,
  newPlace,
  type OwnPlace,
  seasonSheet,
  type Visit,
} from "@jittery-cap/core/season";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { kindsAt, type PlanAsked, type PlannedSeason, planOf, type Reckoner, sceneOf, wasMet } from "./plan-of.ts";

const sheets = readKnowledge().sheets.map(seasonSheet);
const DAY = "2026-09-19";
const HERE: Reckoner = {
  forecasts: async (day, asked) =>
    asked.flatMap(({ place, visits, kinds }) => {
      const weighed = visits.map((visit) => ({ visit, alike: alike(day, visit.look) }));
      return kinds.map(({ kind, prior }) => ({ place, kind, ...forecastBy(weighed, kind, prior) }));
    }),
  round: async (...asked) => bestRound(...asked),
};
const place = (id: string, north: number, more: Partial<OwnPlace> = {}): KeptPlace => ({
  id,
  content: { ...newPlace(id), region: "europe", position: { lat: 61.9 + north / 111.32, lon: 19.6 }, ...more },
});
const visit = (at: string, found: number, hours = 2): Visit => ({
  id: `${at} ${found}`,
  place: at,
  day: "2025-09-18",
  look: { ofYear: dayOfYear("2025-09-18") },
  hours,
  finds: new Map(found === 0 ? [] : [["boletus-edulis", found]]),
});
const season = (places: readonly KeptPlace[], visits: readonly Visit[]): PlannedSeason => ({
  places,
  visits,
  sheets,
  sheetOf: (id) => sheets.find((sheet) => sheet.id === id),
});
const asked = (more: Partial<PlanAsked> = {}): PlanAsked => ({
  day: DAY,
  hours: 5,
  goesBy: "walk",
  home: null,
  without: new Set(),
  ...more,
});
const planned = (places: readonly KeptPlace[], visits: readonly Visit[], more: Partial<PlanAsked> = {}) =>
  planOf(season(places, visits), undefined, asked(more), HERE);
const names = (stops: readonly { readonly place: KeptPlace }[]) => stops.map((stop) => stop.place.id);

describe("the plan of a day", () => {
  const good = place("good", 0);
  const poor = place("poor", 1);
  const visits = [visit("good", 6), visit("good", 4), visit("poor", 0), visit("poor", 0)];

  it("goes first where one's own visits were good, and where hours are few goes there alone", async () => {
    const whole = await planned([poor, good], visits, { hours: 8 });
    expect(names(whole.stops)).to.have.members(["good", "poor"]);
    const short = await planned([poor, good], visits, { hours: 2 });
    expect(names(short.stops)).to.deep.equal(["good"]);
    expect(names(short.others)).to.deep.equal(["poor"]);
    expect(short.round.minutes).to.be.at.most(120);
  });

  it("keeps away from what is closed that month, what was left out, and what has no position", async () => {
    const closed = place("closed", 2, { closedMonths: [9] });
    const nowhere = { id: "nowhere", content: { ...newPlace("nowhere"), region: "europe" as const } };
    const plan = await planned([good, poor, closed, nowhere], visits, { hours: 12, without: new Set(["poor"]) });
    expect(names(plan.stops)).to.deep.equal(["good"]);
    expect(plan.closed.map(({ id }) => id)).to.deep.equal(["closed"]);
    expect(names(plan.others)).to.deep.equal(["nowhere"]);
    const october = await planned([closed], [], { day: "2026-10-03" });
    expect(october.closed).to.deep.equal([]);
  });

  it("goes to no unclean ground for the basket, however much was found there", async () => {
    const dirty = place("dirty", 0.5, { concerns: ["industrial"] });
    const plan = await planned([dirty, poor], [visit("dirty", 20), visit("dirty", 20), visit("poor", 1)], { hours: 8 });
    expect(names(plan.stops)).to.deep.equal(["poor"]);
    expect(names(plan.others)).to.deep.equal(["dirty"]);
  });

  it("counts the way from home and back, and searches as long as one is used to there", async () => {
    const near = await planned([good], visits, { home: { lat: 61.9, lon: 19.6 } });
    const far = await planned([good], visits, { home: { lat: 61.95, lon: 19.6 }, hours: 12 });
    expect(near.stops[0]?.minutes).to.equal(120);
    expect(near.round.minutes).to.equal(120);
    // 5.6 km there and as much back, on foot
    expect(far.round.minutes).to.be.within(120 + 2 * 100, 120 + 2 * 120);
  });

  it("asks of a place what may stand there then, and what was ever met there; dangers are not sought", () => {
    const scene = sceneOf(good, DAY);
    const kinds = kindsAt(season([good], visits), good, scene, DAY).map(({ kind }) => kind);
    expect(kinds[0]).to.equal("boletus-edulis");
    expect(kinds).not.to.include("calocybe-gambosa");
    expect(
      kinds.some((kind) =>
        ["deadly", "serious", "sickener"].includes(sheets.find(({ id }) => id === kind)?.tier ?? ""),
      ),
    ).to.equal(false);
    const spring = kindsAt(
      season([good], [{ ...visit("good", 0), finds: new Map([["calocybe-gambosa", 2]]) }]),
      good,
      scene,
      DAY,
    );
    expect(spring.map(({ kind }) => kind)).to.include("calocybe-gambosa");
    expect(wasMet(season([good], visits), "good", "boletus-edulis")).to.equal(true);
    expect(wasMet(season([good], visits), "poor", "boletus-edulis")).to.equal(false);
  });

  it("is empty where no place is known", async () => {
    const plan = await planned([], []);
    expect(plan).to.deep.include({ stops: [], others: [], closed: [] });
  });
});
