import { expect } from "chai";
import fc from "fast-check";
import highsLoader from "highs";
import { bestRound, minutesFor, type Round, type Station } from "./round.ts";

interface Wood {
  readonly stations: readonly Station[];
  readonly ways: readonly (readonly number[])[];
}

/** Places on a plain, the start in its middle. */
const woods = (least: number, most: number): fc.Arbitrary<Wood> =>
  fc
    .array(
      fc.record({
        east: fc.integer({ min: -60, max: 60 }),
        north: fc.integer({ min: -60, max: 60 }),
        minutes: fc.integer({ min: 5, max: 60 }),
        worth: fc.integer({ min: 0, max: 40 }),
      }),
      { minLength: least, maxLength: most },
    )
    .map((all) => {
      const points = [{ east: 0, north: 0 }, ...all];
      return {
        stations: all.map(({ minutes, worth }) => ({ minutes, worth: worth / 4 })),
        ways: points.map((one) =>
          points.map((other) => Math.round(Math.hypot(one.east - other.east, one.north - other.north) / 2)),
        ),
      };
    });

/** Minutes of a round in its order. */
function minutesOf({ stations, ways }: Wood, order: readonly number[]): number {
  const stops = [0, ...order.map((one) => one + 1), 0];
  return stops.reduce(
    (sum, stop, index) =>
      sum + (index === 0 ? 0 : (ways[stops[index - 1] ?? 0]?.[stop] ?? 0)) + (stations[stop - 1]?.minutes ?? 0),
    0,
  );
}
const worthOf = ({ stations }: Wood, order: readonly number[]) =>
  order.reduce((sum, one) => sum + (stations[one]?.worth ?? 0), 0);

/** The best worth by trying every order of every subset. */
function byForce(wood: Wood, within: number): number {
  let best = 0;
  const go = (order: readonly number[]): void => {
    if (minutesOf(wood, order) <= within) best = Math.max(best, worthOf(wood, order));
    wood.stations.forEach((_station, next) => {
      if (!order.includes(next)) go([...order, next]);
    });
  };
  go([]);
  return best;
}

const isSound = (wood: Wood, within: number, round: Round) => {
  expect(new Set(round.order).size).to.equal(round.order.length);
  expect(minutesOf(wood, round.order)).to.equal(round.minutes).and.be.at.most(within);
  expect(worthOf(wood, round.order)).to.be.closeTo(round.worth, 1e-9);
};

describe("the round that is worth most within the hours", () => {
  it("is as good as the best of all orders of all choices, up to six places", () => {
    fc.assert(
      fc.property(woods(0, 6), fc.integer({ min: 0, max: 300 }), (wood, within) => {
        const round = bestRound(wood.stations, wood.ways, within);
        isSound(wood, within, round);
        expect(round.worth).to.be.closeTo(byForce(wood, within), 1e-9);
      }),
      { numRuns: 150 },
    );
  });

  it("is as good as an integer program's, up to twelve places", async function () {
    this.timeout(120_000);
    const highs = await highsLoader();
    await fc.assert(
      fc.asyncProperty(woods(8, 12), fc.integer({ min: 60, max: 360 }), async (wood, within) => {
        const round = bestRound(wood.stations, wood.ways, within);
        isSound(wood, within, round);
        const solved = highs.solve(asProgram(wood, within));
        expect(solved.Status).to.equal("Optimal");
        expect(round.worth).to.be.closeTo(solved.ObjectiveValue, 1e-6);
      }),
      { numRuns: 8, seed: 20_260_914 },
    );
  });

  it("of equal worth is the shortest, and stays at home where nothing is worth the way", () => {
    const ways = [
      [0, 10, 10],
      [10, 0, 1],
      [10, 1, 0],
    ];
    const both = [
      { minutes: 10, worth: 1 },
      { minutes: 10, worth: 1 },
    ];
    expect(bestRound(both, ways, 41)).to.include({ worth: 2, minutes: 41 });
    expect(bestRound(both, ways, 40)).to.include({ worth: 1, minutes: 30 });
    expect(bestRound(both, ways, 29).order).to.deep.equal([]);
    expect(
      bestRound(
        [{ minutes: 1, worth: 0 }],
        [
          [0, 1],
          [1, 0],
        ],
        100,
      ).order,
    ).to.deep.equal([]);
    expect(bestRound([], [[0]], 100).order).to.deep.equal([]);
  });

  it("refuses more places than it can put in order, and ways that are not told", () => {
    const many = Array.from({ length: 16 }, () => ({ minutes: 1, worth: 1 }));
    expect(() => bestRound(many, [], 10)).to.throw(RangeError, "at most 15");
    expect(() => bestRound([{ minutes: 1, worth: 1 }], [[0]], 10)).to.throw(RangeError, "ways of 2");
  });

  it("takes longer on foot than by wheel over far ways, and no time to where one is", () => {
    expect(minutesFor(0, "drive")).to.equal(0);
    expect(minutesFor(4000, "walk")).to.equal(78);
    expect(minutesFor(8000, "cycle")).to.be.lessThan(minutesFor(8000, "walk"));
  });
});

/** The same round as a program: arcs, order by the flow of time (Miller, Tucker and Zemlin 1960). */
function asProgram({ stations, ways }: Wood, within: number): string {
  const all = [...stations.keys()].map((one) => one + 1);
  const stops = [0, ...all];
  const arcs = stops.flatMap((from) => stops.filter((to) => to !== from).map((to) => [from, to] as const));
  const x = (from: number, to: number) => `x${from}_${to}`;
  const sum = (terms: readonly string[]) => terms.join(" + ");
  const rows = [
    ...all.flatMap((one) => [
      `${sum(stops.filter((from) => from !== one).map((from) => x(from, one)))} - y${one} = 0`,
      `${sum(stops.filter((to) => to !== one).map((to) => x(one, to)))} - y${one} = 0`,
    ]),
    `${sum(all.map((one) => x(0, one)))} <= 1`,
    `${sum(all.map((one) => x(one, 0)))} - ${all.map((one) => x(0, one)).join(" - ")} = 0`,
    `${sum(arcs.map(([from, to]) => `${(ways[from]?.[to] ?? 0) + (stations[to - 1]?.minutes ?? 0)} ${x(from, to)}`))} <= ${within}`,
    ...all.flatMap((from) =>
      all
        .filter((to) => to !== from)
        .map((to) => `u${from} - u${to} + ${all.length} ${x(from, to)} <= ${all.length - 1}`),
    ),
  ];
  return [
    "Maximize",
    ` worth: ${sum(all.map((one) => `${stations[one - 1]?.worth ?? 0} y${one}`))}`,
    "Subject To",
    ...rows.map((row, index) => ` r${index}: ${row}`),
    "Bounds",
    ...all.map((one) => ` 0 <= u${one} <= ${all.length}`),
    "Binary",
    ` ${[...arcs.map(([from, to]) => x(from, to)), ...all.map((one) => `y${one}`)].join(" ")}`,
    "End",
  ].join("\n");
}
