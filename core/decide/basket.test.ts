import { expect } from "chai";
import { apartBecause, basketOf, countLimits, type DecidedFind, lyingNow, ofDay } from "./basket.ts";

const TODAY: DecidedFind["today"] = {
  verdict: "basket",
  cleared: ["A", "B"],
  restsOn: ["agaricus-campestris"],
  conditions: ["second-person"],
};
const decision = (
  id: string,
  ending: DecidedFind["endings"][number]["ending"],
  { today, ...more }: Partial<Omit<DecidedFind, "today">> & { today?: Partial<DecidedFind["today"]> } = {},
): DecidedFind => {
  const find = { id, label: id, bodies: [{ id: "A", measures: { weightG: 40 } }, { id: "B" }] };
  return {
    find,
    current: find,
    decidedAt: "2026-09-14T12:00:00Z",
    endings: [
      { body: "A", ending },
      { body: "B", ending },
    ],
    ...more,
    today: { ...TODAY, ...today },
  };
};
const first = (...decisions: DecidedFind[]) => {
  const [one] = basketOf(decisions);
  if (one === undefined) throw new Error("nothing carried");
  return one;
};

describe("the basket", () => {
  it("holds what was decided as food, what goes home to finish, and nothing that was left", () => {
    expect(
      basketOf([
        decision("good", "basket"),
        decision("open", "home-to-finish"),
        decision("bad", "left-unknown"),
        decision("seen", "looked-at-only"),
      ]).map((one) => [one.find, one.compartment]),
    ).to.deep.equal([
      ["good", "others"],
      ["good", "others"],
      ["open", "apart-from-food"],
      ["open", "apart-from-food"],
    ]);
  });

  it("offers nothing as food that was decided longer ago than anything keeps, and leaves what lies apart where it is", () => {
    const day = 24 * 60 * 60 * 1000;
    const decided = Date.parse("2026-09-14T12:00:00Z");
    const all = basketOf([
      decision("good", "basket"),
      decision("open", "home-to-finish"),
      decision("withdrawn", "basket", { today: { cleared: [] } }),
    ]);
    const lying = (now: number) => [...new Set(lyingNow(all, now).map((one) => one.find))];
    expect(lying(decided + 21 * day)).to.deep.equal(["good", "open", "withdrawn"]);
    expect(lying(decided + 21 * day + 1)).to.deep.equal(["open", "withdrawn"]);
    // a clock that runs behind offers what was just decided
    expect(lying(decided - day)).to.deep.equal(["good", "open", "withdrawn"]);
  });

  it("keeps what is poisonous raw in the part that is cooked", () => {
    expect(
      first(decision("raw", "basket", { today: { restsOn: ["x"], conditions: ["raw-poisonous"] } })).compartment,
    ).to.equal("cook-only");
    expect(first(decision("cook", "must-be-cooked")).compartment).to.equal("cook-only");
  });

  it("takes out, body by body, what is no longer cleared, kept, there or known, and says which", () => {
    const bodies = [{ id: "A" }, { id: "B" }];
    const lie = (more: Parameters<typeof decision>[2]) =>
      basketOf([decision("old", "basket", more)]).map((one) => [one.compartment, one.takenBack]);
    const apart = "apart-from-food";
    expect(lie({ today: { verdict: "hold", cleared: [] } })).to.deep.equal([
      [apart, "not-cleared"],
      [apart, "not-cleared"],
    ]);
    expect(lie({ today: { cleared: ["B"] } })).to.deep.equal([
      [apart, "not-cleared"],
      ["others", undefined],
    ]);
    expect(lie({ current: { id: "old", bodies: [{ id: "B" }] } })).to.deep.equal([
      [apart, "gone"],
      ["others", undefined],
    ]);
    expect(lie({ current: { id: "old", bodies: [{ id: "A", keep: false }, { id: "B" }] } })).to.deep.equal([
      [apart, "not-kept"],
      ["others", undefined],
    ]);
    expect(lie({ current: undefined })).to.deep.equal([
      [apart, "unknown"],
      [apart, "unknown"],
    ]);
    expect(lie({ current: { id: "old", bodies } })).to.deep.equal([
      ["others", undefined],
      ["others", undefined],
    ]);
  });

  it("lets nothing unsure lie with food, and no two kinds in one bag", () => {
    const good = first(decision("good", "basket"));
    const unsure = first(decision("open", "home-to-finish"));
    const cooked = first(decision("cook", "must-be-cooked"));
    const other = first(decision("other", "basket", { today: { restsOn: ["cantharellus-cibarius"] } }));
    expect(apartBecause(good, unsure)).to.contain("never lies with food");
    expect(apartBecause(good, cooked)).to.contain("raw");
    expect(apartBecause(good, other)).to.contain("own bag");
    expect(apartBecause(good, good)).to.equal(undefined);
  });

  it("counts a day's limits by the day on which it was decided", () => {
    const carried = basketOf([
      decision("today", "basket"),
      decision("before", "basket", { decidedAt: "2026-09-12T12:00:00Z" }),
    ]);
    const dayOf = (moment: string) => moment.slice(0, 10);
    expect(ofDay(carried, "2026-09-14", dayOf).map((one) => one.find)).to.deep.equal(["today", "today"]);
    expect(ofDay(carried, "2026-09-13", dayOf)).to.deep.equal([]);
  });

  it("counts against the person's own limits, and never takes an unweighed body for weightless", () => {
    const carried = basketOf([decision("good", "basket"), decision("open", "home-to-finish")]);
    const [here, there] = countLimits(
      basketOf([
        decision("good", "basket", {
          current: { ...decision("good", "basket").find, place: { name: "Skirrow Wood" } },
        }),
      ]),
      [
        { kind: "all", place: "Skirrow Wood", pieces: 1 },
        { kind: "all", place: "Ammerbog", pieces: 1 },
      ],
    );
    expect([here?.pieces, here?.over, there?.pieces, there?.over]).to.deep.equal([2, true, 0, false]);
    const [grams, pieces, kind] = countLimits(carried, [
      { kind: "all", grams: 30 },
      { kind: "all", pieces: 2 },
      { kind: "boletus-edulis", pieces: 1 },
    ]);
    expect(grams).to.deep.include({ grams: 40, pieces: 2, unweighed: 1, over: true });
    expect(pieces?.over).to.equal(false);
    expect(kind).to.deep.include({ pieces: 0, over: false });
  });
});
