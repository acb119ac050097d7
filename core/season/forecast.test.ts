import stdlibGamma from "@stdlib/stats-base-dists-gamma-quantile";
import { expect } from "chai";
import fc from "fast-check";
import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { coverage, WOODS } from "../study/seasons.ts";
import { looks, visits } from "../tests/season.ts";
import { alike } from "./day-look.ts";
import {
  chanceOfNothing,
  countQuantile,
  forecast,
  gammaQuantile,
  PRIOR_HOURS,
  priorOf,
  type Visit,
} from "./forecast.ts";

const SEPTEMBER = 257;
const SEASONS = 1000;
const SKY = { rainMm: 40, meanTempC: 11, frostNights: 0 };
const TODAY = { ofYear: SEPTEMBER, sky: SKY };
const visit = (hours: number, found: number, more: Partial<Visit> = {}): Visit => ({
  id: `${hours} ${found}`,
  place: "place",
  day: "2025-09-15",
  look: TODAY,
  hours,
  finds: new Map(found === 0 ? [] : [["kind", found]]),
  ...more,
});
const PRIOR = { rate: 0.3, hours: PRIOR_HOURS };

describe("the quantiles of a gamma", () => {
  it("are those of another library", () => {
    for (const shape of [0.03, 0.4, 0.9, 2.7, 11, 60, 400])
      for (const hours of [0.5, 3, 20])
        for (const share of [0.1, 0.5, 0.9]) {
          const known = stdlibGamma(share, shape, hours);
          expect(gammaQuantile(share, shape, hours)).to.be.closeTo(known, Math.max(1e-12, known * 1e-6));
        }
  });

  it("are the closed form where the shape is one: an exponential", () => {
    for (const share of [0.1, 0.5, 0.9])
      expect(gammaQuantile(share, 1, 4)).to.be.closeTo(-Math.log(1 - share) / 4, 1e-9);
  });
});

describe("how many finds an hour may bring", () => {
  it("is the sheet's months alone while there was no visit", () => {
    const told = forecast([], "kind", TODAY, PRIOR);
    expect(told).to.include({ shape: PRIOR.rate * PRIOR.hours, hours: PRIOR_HOURS, mean: PRIOR.rate, empty: 0 });
    expect(told.restsOn).to.deep.equal([]);
    expect(priorOf(SEPTEMBER, [8, 9, 10], true).rate).to.equal(priorOf(SEPTEMBER, [], true).rate);
    expect(priorOf(40, [8, 9, 10], true).rate).to.be.lessThan(0.02);
    expect(priorOf(SEPTEMBER, [8, 9, 10], false).rate).to.be.lessThan(priorOf(SEPTEMBER, [8, 9, 10], true).rate);
  });

  it("adds finds to the shape and hours to the rate, each by how alike the day was: worked by hand", () => {
    // two visits of the very same weather, 3 h with 4 finds and 2 h with none: each hour counts 1 / (1.5 + 5 / 25)
    const told = forecast([visit(3, 4), visit(2, 0)], "kind", TODAY, PRIOR);
    const share = 1 / (1.5 + 5 / 25);
    expect(told.shape).to.be.closeTo(0.9 + 4 * share, 1e-12);
    expect(told.hours).to.be.closeTo(3 + 5 * share, 1e-12);
    expect(told.mean).to.be.closeTo((0.9 + 4 * share) / (3 + 5 * share), 1e-12);
    expect(told.empty).to.equal(1);
    expect(told.restsOn.map(({ found, alike: weight }) => [found, weight])).to.have.deep.members([
      [4, 1],
      [0, 1],
    ]);
  });

  it("goes down with an empty visit and up with a good one, and a day of another season moves little", () => {
    const before = forecast([visit(2, 2)], "kind", TODAY, PRIOR).mean;
    expect(forecast([visit(2, 2), visit(2, 0)], "kind", TODAY, PRIOR).mean).to.be.lessThan(before);
    expect(forecast([visit(2, 2), visit(2, 6)], "kind", TODAY, PRIOR).mean).to.be.greaterThan(before);
    const spring = visit(2, 9, { look: { ofYear: 100, sky: SKY } });
    expect(forecast([visit(2, 2), spring], "kind", TODAY, PRIOR).mean).to.be.closeTo(before, 1e-6);
  });

  it("never looks surer than its visits: no interval is narrower than if every hour had counted whole", () => {
    fc.assert(
      fc.property(visits(), looks(), (own, day) => {
        const told = forecast(own, "kind", day, PRIOR);
        const found = own.reduce((sum, { finds }) => sum + (finds.get("kind") ?? 0), 0);
        const hours = own.reduce((sum, one) => sum + one.hours, 0);
        expect(told.hours).to.be.at.most(PRIOR_HOURS + Math.min(25, hours) + 1e-9);
        expect(told.shape).to.be.at.most(PRIOR.rate * PRIOR_HOURS + found + 1e-9);
        expect(told.low).to.be.at.most(told.mean);
        expect(told.high).to.be.greaterThan(told.low);
        const turned = forecast([...own].reverse(), "kind", day, PRIOR);
        expect(turned.mean).to.be.closeTo(told.mean, 1e-12 + told.mean * 1e-9);
        for (const {
          visit: { look },
          alike: weight,
        } of told.restsOn)
          expect(weight).to.equal(alike(day, look));
      }),
      { numRuns: 300 },
    );
  });

  it("counts the finds of some hours: none at first, and what Poisson says where the rate is known", () => {
    const sure = { shape: 4e6, hours: 2e6 };
    // Poisson of mean 2 (printed tables): 13.5 % none, 40.6 % at most one, 67.7 % at most two, 85.7, 94.7
    expect(chanceOfNothing(sure, 1)).to.be.closeTo(0.1353, 1e-3);
    expect([0.13, 0.4, 0.67, 0.85, 0.94].map((share) => countQuantile(share, sure, 1))).to.deep.equal([0, 1, 2, 3, 4]);
    const told = forecast([visit(2, 1)], "kind", TODAY, PRIOR);
    expect(chanceOfNothing(told, 0)).to.equal(1);
    expect(countQuantile(0.9, told, 4)).to.be.at.least(countQuantile(0.9, told, 1));
  });

  it("holds the truth in 75 to 85 of 100 simulated seasons, and in none of the woods far from it", () => {
    const generator = xoroshiro128plus(4711);
    const held = Object.entries(WOODS).map(([name, wood]) => {
      const share = coverage({ next: () => uniformFloat64(generator) }, wood, SEASONS / Object.keys(WOODS).length);
      // 200 draws of 80 % lie within 5 % nine times of ten
      expect(share, name).to.be.within(0.7, 0.9);
      return share;
    });
    expect(held.reduce((sum, share) => sum + share, 0) / held.length).to.be.within(0.75, 0.85);
  }).timeout(60_000);
});

describe("how alike two days are", () => {
  it("is one for the same, the same both ways round, and never more", () => {
    fc.assert(
      fc.property(looks(), looks(), (one, other) => {
        const weight = alike(one, other);
        expect(weight).to.be.within(0, 1);
        expect(alike(other, one)).to.be.closeTo(weight, 1e-12);
      }),
    );
    expect(alike(TODAY, TODAY)).to.equal(1);
    expect(alike(TODAY, { ofYear: SEPTEMBER })).to.equal(0.5);
  });

  it("knows no turn of the year: the last of December is like the first of January", () => {
    expect(alike({ ofYear: 364, sky: SKY }, { ofYear: 0, sky: SKY })).to.be.greaterThan(0.98);
  });
});
