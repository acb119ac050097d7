import betaQuantile from "@stdlib/stats-base-dists-beta-quantile";
import { expect } from "chai";
import fc from "fast-check";
import { mean, sampleCorrelation } from "simple-statistics";
import { Rating } from "ts-fsrs";
import type { Try } from "../practice/sitting.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { type Chance, chanceOf } from "./chance.ts";
import { chooseNext, ENOUGH_MINUTES, minutesOf, NEW_A_DAY, todayOf } from "./choose.ts";
import { calibrationOf, dangersFare, FEWEST_TOLD, shareOf } from "./how-well.ts";
import { dueAt, gradeOf, memoryOf, stillKnown, type Tried } from "./memory.ts";
import { allSkills, type Learner, pairId, skillOf, weightOf } from "./skills.ts";
import { DEADLY, TWENTY, testOfTwenty, testOutcome } from "./test-of-twenty.ts";

const DAY = 86_400_000;
const BEGAN = Date.UTC(2026, 8, 1);
const EUROPE: Learner = { region: "europe", ofYear: 243, sought: [], wrongInLog: [] };

const tried = (skill: string, at: number, isRight = true, sure = 0.9): Tried => ({ skill, at, isRight, sure });

describe("what is remembered", () => {
  it("comes back at the dates of the scheduling package's own published example", () => {
    // ts-fsrs, its own test of FSRS-6 (six times good, twice again, five times good, each on its date); from memory
    const ratings = [3, 3, 3, 3, 3, 3, 1, 1, 3, 3, 3, 3, 3];
    const days = [0, 2, 11, 46, 163, 498, 0, 0, 2, 4, 7, 12, 21];
    const tries: Tried[] = [];
    let at = Date.UTC(2022, 11, 29, 12, 30);
    ratings.forEach((rating, index) => {
      tries.push(tried("pair:a/b", at, rating === Rating.Good));
      const known = memoryOf(tries).get("pair:a/b");
      if (known === undefined) throw new Error("nothing is remembered");
      expect(known.card.scheduled_days, `after try ${index + 1}`).to.equal(days[index]);
      at = dueAt(known);
    });
  });
  it("is the same whatever the order in which two devices tell the tries", () => {
    const skills = ["pair:a/b", "look:base/sac", "mask:warts-gone"];
    const tries = fc.array(
      fc.record({
        skill: fc.constantFrom(...skills),
        at: fc.integer({ min: BEGAN, max: BEGAN + 90 * DAY }),
        isRight: fc.boolean(),
        sure: fc.double({ min: 0, max: 1, noNaN: true }),
      }),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(
        fc.uniqueArray(tries, { maxLength: 1 }).map(([one = []]) => one),
        (all) => {
          const unique = [...new Map(all.map((one) => [one.at, one])).values()];
          expect([...memoryOf([...unique].reverse())].sort()).to.deep.equal([...memoryOf(unique)].sort());
        },
      ),
      { numRuns: 60 },
    );
  });
  it("counts wrong as begun anew, and right but unsure as hard", () => {
    expect(gradeOf({ isRight: false, sure: 1 })).to.equal(Rating.Again);
    expect(gradeOf({ isRight: true, sure: 0.5 })).to.equal(Rating.Hard);
    expect(gradeOf({ isRight: true, sure: 0.9 })).to.equal(Rating.Good);
  });
  it("comes back the later the better it was known: wrong before unsure, unsure before sure, whatever went before", () => {
    const history = fc.array(
      fc.record({
        days: fc.integer({ min: 0, max: 200 }),
        isRight: fc.boolean(),
        sure: fc.double({ min: 0, max: 1, noNaN: true }),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(history, fc.integer({ min: 1, max: 400 }), (before, days) => {
        let at = BEGAN;
        const tries = before.map(({ days: later, ...one }) => {
          at += later * DAY + 60_000;
          return { skill: "pair:a/b", at, ...one };
        });
        const now = at + days * DAY;
        const dueAfter = (isRight: boolean, sure: number) => {
          const known = memoryOf([...tries, { skill: "pair:a/b", at: now, isRight, sure }]).get("pair:a/b");
          return known === undefined ? Number.NaN : dueAt(known);
        };
        const [wrong, unsure, sure] = [dueAfter(false, 0.9), dueAfter(true, 0.4), dueAfter(true, 0.9)];
        expect(wrong).to.be.greaterThan(now);
        expect(unsure).to.be.at.least(wrong);
        expect(sure).to.be.at.least(unsure);
      }),
      { numRuns: 150 },
    );
  });
  it("is due the day after whatever was wrong, at the latest", () => {
    for (const later of [1, 10, 100, 300]) {
      const tries = [0, 1, 8, 40].map((day) => tried("pair:a/b", BEGAN + day * DAY));
      const at = BEGAN + (40 + later) * DAY;
      const known = memoryOf([...tries, tried("pair:a/b", at, false)]).get("pair:a/b");
      if (known === undefined) throw new Error("nothing is remembered");
      expect(dueAt(known) - at).to.be.at.most(DAY);
      expect(known.missed).to.equal(1);
      expect(known.tries).to.equal(5);
      expect(known.lastAt).to.equal(at);
    }
  });
  it("fades: a year later less is known than on its date", () => {
    const known = memoryOf([tried("pair:a/b", BEGAN), tried("pair:a/b", BEGAN + DAY)]).get("pair:a/b");
    if (known === undefined) throw new Error("nothing is remembered");
    expect(stillKnown(known, dueAt(known))).to.be.closeTo(0.9, 0.05);
    expect(stillKnown(known, BEGAN + 365 * DAY)).to.be.lessThan(0.8);
  });
});

describe("what is practised", () => {
  it("has ids that read back, pairs of a danger and a kind for the pot, and nothing twice", () => {
    const skills = allSkills(SHIPPED);
    expect(new Set(skills.map(({ id }) => id)).size).to.equal(skills.length);
    for (const skill of skills) expect(skillOf(skill.id)).to.deep.equal(skill);
    expect(skills.map(({ id }) => id)).to.include.members([
      pairId("galerina-marginata", "kuehneromyces-mutabilis"),
      "look:base/sac",
      "mask:base-hidden",
      "colour:spore-print/rust-brown",
    ]);
    expect(skillOf("pair")).to.equal(undefined);
    expect(skillOf("look:no-such/thing")).to.equal(undefined);
  });
  it("weighs the deadly of one's own region and month above the same elsewhere, and above a sickener", () => {
    const at = (id: string, learner: Learner) => {
      const skill = skillOf(id);
      if (skill === undefined) throw new Error(id);
      return weightOf(skill, learner, SHIPPED);
    };
    const bell = pairId("galerina-marginata", "kuehneromyces-mutabilis");
    const angel = pairId("amanita-virosa", "agaricus-campestris");
    expect(at(angel, EUROPE)).to.be.greaterThan(at(angel, { ...EUROPE, ofYear: 45 }));
    expect(at(bell, EUROPE)).to.be.greaterThan(at(pairId("agaricus-xanthodermus", "agaricus-campestris"), EUROPE));
    expect(at(bell, { ...EUROPE, wrongInLog: [bell] })).to.be.greaterThan(at(bell, EUROPE));
  });
  it("puts the local double of what one knew at home before other pairs of the same danger: the death cap for the paddy straw", () => {
    const learner: Learner = { ...EUROPE, region: "north-america-west", ofYear: 300 };
    const at = (id: string, of: Learner) => {
      const skill = skillOf(id);
      return skill === undefined ? 0 : weightOf(skill, of, SHIPPED);
    };
    const double = pairId("amanita-phalloides", "volvariella-volvacea");
    expect(allSkills(SHIPPED).map(({ id }) => id)).to.include(double);
    expect(at(double, { ...learner, learnedIn: "south-asia" })).to.be.greaterThan(at(double, learner));
  });
});

/** Somebody who is weak at some skills: what comes in so many days of so many items. */
function simulate(weak: ReadonlySet<string>, days: number, aDay: number, chance: Chance): Tried[] {
  const tries: Tried[] = [];
  for (let day = 0; day < days; day += 1) {
    const dayBegan = BEGAN + day * DAY;
    for (let index = 0; index < aDay; index += 1) {
      const now = dayBegan + 18 * 3_600_000 + index * 30_000;
      const skill = chooseNext(tries, EUROPE, SHIPPED, now, dayBegan, chance);
      if (skill === undefined) throw new Error("nothing comes next");
      const isWrong = chance.next() < (weak.has(skill.id) ? 0.7 : 0.05);
      tries.push(tried(skill.id, now, !isWrong, isWrong ? 0.6 : 0.9));
    }
  }
  return tries;
}

describe("what comes next", () => {
  it("gives somebody what they are weak at: far more of it in the first hundred items than by chance", () => {
    const skills = allSkills(SHIPPED);
    const ratios = Array.from({ length: 8 }, (_unused, run) => {
      const chance = chanceOf("learner", run);
      // ten confusions with deadly kinds, drawn by chance among those that stand here
      const deadly = skills.filter(
        (skill) =>
          skill.kind === "pair" &&
          SHIPPED.byId.get(skill.danger)?.tier === "deadly" &&
          weightOf(skill, EUROPE, SHIPPED) > 24,
      );
      const weak = new Set(
        Array.from({ length: 10 }, () => deadly[Math.floor(chance.next() * deadly.length)]?.id ?? ""),
      );
      const first = simulate(weak, 5, 20, chance).slice(0, 100);
      const share = first.filter((one) => weak.has(one.skill)).length / 100;
      return { share, chance: weak.size / skills.length };
    });
    const share = mean(ratios.map((one) => one.share));
    const byChance = mean(ratios.map((one) => one.chance));
    console.log(
      `      a learner's ten weak pairs: ${(100 * share).toFixed(0)} of the first 100 items, ${(100 * byChance).toFixed(1)} by chance`,
    );
    expect(share).to.be.greaterThan(4 * byChance);
  });
  it("brings what went wrong back the same day, and leaves what is known alone", () => {
    const chance = chanceOf("again");
    const tries = simulate(new Set(allSkills(SHIPPED).map(({ id }) => id)), 1, 60, chance);
    const wrong = new Set(tries.filter((one) => !one.isRight).map((one) => one.skill));
    const counts = (skill: string) => tries.filter((one) => one.skill === skill).length;
    expect(wrong.size).to.be.greaterThan(0);
    const often = mean([...wrong].map(counts));
    const seldom = mean([...new Set(tries.map((one) => one.skill))].filter((one) => !wrong.has(one)).map(counts));
    expect(often).to.be.greaterThan(seldom);
  });
  it("never asks the same twice in a row, and takes no more than so many new ones a day", () => {
    const tries = simulate(new Set(), 3, 40, chanceOf("row"));
    tries.forEach((one, index) => {
      expect(one.skill).not.to.equal(tries[index + 1]?.skill);
    });
    const firstDay = tries.filter((one) => one.at < BEGAN + DAY);
    expect(new Set(firstDay.slice(0, 30).map((one) => one.skill)).size).to.be.at.most(NEW_A_DAY + 1);
  });
  it("says when it is enough: after ten minutes, or when nothing is due and the day's new ones are spent", () => {
    const began = BEGAN + 18 * 3_600_000;
    const tries = Array.from({ length: 21 }, (_unused, index) => tried(`mask:m-${index}`, began + index * 30_000));
    expect(minutesOf(tries)).to.be.closeTo(10 + 1 / 3, 0.01);
    expect(todayOf(tries, SHIPPED, began + 11 * 60_000, BEGAN).isEnough).to.equal(true);
    expect(todayOf(tries.slice(0, 5), SHIPPED, began + 3 * 60_000, BEGAN).isEnough).to.equal(false);
    expect(ENOUGH_MINUTES).to.equal(10);
  });
  it("counts a pause as no practice", () => {
    expect(minutesOf([{ at: 0 }, { at: 3_600_000 }])).to.be.lessThan(1);
    expect(minutesOf([])).to.equal(0);
  });
  it("survives being left for a year: says so, how long it takes to catch up, and goes on with the gravest", () => {
    const tries = simulate(new Set(), 20, 20, chanceOf("year"));
    const later = BEGAN + 385 * DAY;
    const today = todayOf(tries, SHIPPED, later + 3_600_000, later);
    expect(today.daysAway).to.be.within(364, 367);
    expect(today.due).to.be.greaterThan(20);
    expect(today.daysToCatchUp).to.be.within(1, 60);
    expect(today.isEnough).to.equal(false);
    expect(chooseNext(tries, EUROPE, SHIPPED, later, later, chanceOf("back"))).not.to.equal(undefined);
  });
  it("asks only for the kinds of exercise that are wanted, and always has something", () => {
    for (const kind of ["pair", "look", "mask", "colour"] as const) {
      const many = Array.from({ length: 15 }, (_unused, index) => {
        const [first] = allSkills(SHIPPED)
          .filter((one) => one.kind === kind)
          .slice(index);
        return tried(first?.id ?? "", BEGAN + index * 1000);
      });
      expect(chooseNext(many, EUROPE, SHIPPED, BEGAN + 60_000, BEGAN, chanceOf("k"), [kind])?.kind).to.equal(kind);
    }
  });
});

const aTry = (more: Partial<Try>): Try => ({
  id: "0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10",
  at: "2026-09-01T18:00:00Z",
  exercise: "whole",
  seed: "s",
  edition: "e",
  isRight: true,
  sure: 0.8,
  ...more,
});

describe("how well", () => {
  it("has exact intervals, equal with those of a statistics library", () => {
    // Clopper and Pearson by the quantiles of the beta distribution (@stdlib/stats-base-dists-beta-quantile)
    for (const of of [1, 5, 6, 20, 100])
      for (const some of [0, 1, Math.floor(of / 3), of - 1, of]) {
        const { low, high } = shareOf(some, of);
        expect(low).to.be.closeTo(some === 0 ? 0 : betaQuantile(0.025, some, of - some + 1), 1e-6);
        expect(high).to.be.closeTo(some === of ? 1 : betaQuantile(0.975, some + 1, of - some), 1e-6);
      }
    // none of 59: under five of a hundred, the success-run theorem with half the doubt on this side (59 at 95 %, one-sided)
    expect(shareOf(0, 59).high).to.be.closeTo(1 - 0.025 ** (1 / 59), 1e-9);
  });
  it("tells nothing from five tries", () => {
    expect(shareOf(0, FEWEST_TOLD - 1).isTold).to.equal(false);
    expect(shareOf(0, FEWEST_TOLD).isTold).to.equal(true);
    expect(() => shareOf(3, 2)).to.throw(RangeError);
  });
  it("counts a danger as let through where it came to the basket, whatever else was right", () => {
    const isDanger = (sheet: string) => sheet !== "agaricus-campestris";
    const fares = dangersFare(
      [
        aTry({ kind: "amanita-virosa", isLetThrough: true, isRight: false }),
        aTry({ kind: "amanita-virosa" }),
        aTry({ kind: "galerina-marginata" }),
        aTry({ kind: "agaricus-campestris" }),
        aTry({ exercise: "two", skill: "pair:galerina-marginata/kuehneromyces-mutabilis", isRight: false }),
      ],
      isDanger,
    );
    expect(fares.map((one) => one.sheet)).to.deep.equal(["amanita-virosa", "galerina-marginata"]);
    expect(fares[0]?.letThrough).to.include({ some: 1, of: 2 });
    expect(fares[1]?.confused).to.include({ some: 1, of: 1 });
  });
  it("scores by Brier as the mean square, equal with a statistics library", () => {
    const said = fc.array(fc.record({ sure: fc.double({ min: 0, max: 1, noNaN: true }), isRight: fc.boolean() }), {
      minLength: 1,
      maxLength: 60,
    });
    fc.assert(
      fc.property(said, (tries) => {
        const squares = tries.map((one) => (one.sure - (one.isRight ? 1 : 0)) ** 2);
        expect(calibrationOf(tries).brier).to.be.closeTo(mean(squares), 1e-12);
        expect(calibrationOf(tries).bins.reduce((sum, bin) => sum + bin.right.of, 0)).to.equal(tries.length);
      }),
    );
    expect(calibrationOf([]).brier).to.equal(undefined);
  });
  it("draws a line near the diagonal for somebody who is as often right as they say", () => {
    const chance = chanceOf("calibrated");
    const tries = Array.from({ length: 3000 }, () => {
      const sure = chance.next();
      return { sure, isRight: chance.next() < sure };
    });
    const { bins } = calibrationOf(tries);
    expect(bins).to.have.length(5);
    for (const { sure, right } of bins) expect(right.some / right.of).to.be.closeTo(sure, 0.06);
    expect(
      sampleCorrelation(
        bins.map((bin) => bin.sure),
        bins.map((bin) => bin.right.some / bin.right.of),
      ),
    ).to.be.greaterThan(0.98);
  });
});

describe("a test of twenty", () => {
  it("is the same for the same seed, another for another, with five deadly ones among twenty", () => {
    for (const seed of ["autumn", "club night", "x"]) {
      const items = testOfTwenty(seed, SHIPPED);
      expect(items).to.have.length(TWENTY).and.to.deep.equal(testOfTwenty(seed, SHIPPED));
      expect(items.filter((item) => SHIPPED.byId.get(item.sheet)?.tier === "deadly")).to.have.length(DEADLY);
      expect(new Set(items.map((item) => item.sheet)).size).to.equal(TWENTY);
    }
    expect(testOfTwenty("a", SHIPPED)).not.to.deep.equal(testOfTwenty("b", SHIPPED));
  });
  it("is passed only when all are done and no danger came to the basket", () => {
    const all = Array.from({ length: TWENTY }, () => aTry({}));
    expect(testOutcome(all).isPassed).to.equal(true);
    expect(testOutcome(all.slice(1)).isPassed).to.equal(false);
    const one = [...all.slice(1), aTry({ kind: "amanita-virosa", isLetThrough: true, isRight: false })];
    expect(testOutcome(one)).to.deep.include({ isPassed: false, letThrough: ["amanita-virosa"] });
  });
});
