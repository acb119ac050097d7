/** How long the season takes to be worked out: ten years of a hundred visits each, and the round of fifteen places. */
import { alike, bestRound, type DayLook, forecastBy, priorOf, type Visit } from "@jittery-cap/core/season";
import type { Bench } from "tinybench";

const YEARS = 10;
const VISITS_A_YEAR = 100;
const KINDS = 24;
const PLACES = 15;
const TODAY: DayLook = { ofYear: 260, sky: { rainMm: 40, meanTempC: 11, frostNights: 0 } };

/** The same numbers every time, spread like ones drawn by chance. */
const spread = (index: number, over: number): number => ((index * 7919 + 104_729) % 1000) * (over / 1000);

const VISITS: readonly Visit[] = Array.from({ length: YEARS * VISITS_A_YEAR }, (_unused, index) => ({
  id: String(index),
  place: "place",
  day: "2020-09-14",
  look: {
    ofYear: 180 + spread(index, 140),
    sky: { rainMm: spread(index + 1, 90), meanTempC: 4 + spread(index + 2, 14), frostNights: 0 },
  },
  hours: 0.5 + spread(index + 3, 2),
  finds: new Map([[`kind ${index % KINDS}`, index % 3]]),
}));

/** Adds the season's work to a bench. */
export function addSeason(bench: Bench): void {
  const prior = priorOf(TODAY.ofYear, [8, 9, 10], true);
  bench.add(`${VISITS.length} visits, ${KINDS} kinds foretold`, () => {
    const weighed = VISITS.map((visit) => ({ visit, alike: alike(TODAY, visit.look) }));
    for (let kind = 0; kind < KINDS; kind++) forecastBy(weighed, `kind ${kind}`, prior);
  });
  for (const count of [12, PLACES]) {
    const stations = Array.from({ length: count }, (_unused, index) => ({
      minutes: 30 + spread(index, 60),
      worth: spread(index + 5, 4),
    }));
    const ways = Array.from({ length: count + 1 }, (_row, one) =>
      Array.from({ length: count + 1 }, (_cell, other) => (one === other ? 0 : 5 + spread(Math.abs(one - other), 40))),
    );
    bench.add(`the round of ${count} places`, () => bestRound(stations, ways, 300));
  }
}
