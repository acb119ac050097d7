import { expect } from "chai";
import fc from "fast-check";
import { at, HANNE, HOUR, JORUN, NOON, nextMorning, tastingOf } from "../tests/kitchen.ts";
import { isUnderWay, keptUntil, knownKinds, portionRefused, READY, tastingSchema, tastingStage } from "./tasting.ts";

const stageAt = (hours: number, tasting = tastingOf()) => tastingStage(tasting, NOON + hours * HOUR, nextMorning);
const had = (...hours: number[]) =>
  tastingOf({ portions: hours.map((hour, index) => ({ at: at(hour), grams: [15, 30, 100][index] ?? 0 })) });

describe("a first tasting", () => {
  // a tablespoon, the next morning double, wait the day, then a meal (common practice, no source)
  it("goes over three portions, each after its wait: the next morning and twelve hours, then a day", () => {
    expect(stageAt(0)).to.deep.equal({ kind: "next", step: 0 });
    expect(stageAt(8, had(0))).to.deep.include({ kind: "wait", step: 1 });
    expect(stageAt(18.9, had(0))).to.deep.include({ kind: "wait" });
    expect(stageAt(19, had(0))).to.deep.equal({ kind: "next", step: 1 });
    // late at night the morning is too near
    expect(stageAt(19, had(14))).to.deep.include({ kind: "wait" });
    expect(stageAt(26, had(14))).to.deep.equal({ kind: "next", step: 1 });
    expect(stageAt(43.5, had(0, 20))).to.deep.include({ kind: "wait", step: 2 });
    expect(stageAt(44, had(0, 20))).to.deep.equal({ kind: "next", step: 2 });
    expect(stageAt(68, had(0, 20, 45))).to.deep.include({ kind: "wait" });
    expect(stageAt(69, had(0, 20, 45))).to.deep.include({ kind: "done" });
  });

  it("waits for a raw one that is kept back, with the place told", () => {
    const { raw: _raw, ...none } = tastingOf();
    expect(stageAt(0, none)).to.deep.equal({ kind: "keep-raw", step: 0 });
    expect(portionRefused(stageAt(0, none), READY)).to.contain("raw one");
    const days = keptUntil(had(0, 20));
    expect(days?.raw).to.equal(NOON + (20 + 72) * HOUR);
    expect(days?.slice).to.equal(NOON + (20 + 21 * 24) * HOUR);
  });

  it("ends with whatever is felt, and stays ended", () => {
    const felt = { ...had(0), felt: [{ at: at(3), what: "a little sick" }] };
    fc.assert(
      fc.property(fc.integer({ min: -50, max: 5000 }), (hours) => {
        expect(stageAt(hours, felt).kind).to.equal("ended");
      }),
    );
    expect(portionRefused(stageAt(30, felt), READY)).to.contain("felt");
  });

  it("is not hurried by a clock that was set back or forth: before the last portion nothing may be had", () => {
    expect(stageAt(-5, had(0)).kind).to.equal("clock");
    expect(portionRefused(stageAt(-5, had(0)), READY)).to.contain("clock");
    fc.assert(
      fc.property(fc.integer({ min: -100, max: 11 }), (hours) => {
        expect(portionRefused(stageAt(hours, had(0)), READY)).not.to.equal(undefined);
      }),
    );
  });

  it("asks before every portion, and one tick that is missing refuses it", () => {
    expect(portionRefused(stageAt(0), READY)).to.equal(undefined);
    for (const one of READY)
      expect(
        portionRefused(
          stageAt(0),
          READY.filter((other) => other !== one),
        ),
      ).to.contain("not ticked");
  });

  it("takes no portion above its own, none before the one before, and not a fourth", () => {
    const read = (portions: unknown) => tastingSchema.safeParse({ ...tastingOf(), portions }).success;
    expect(read([{ at: at(0), grams: 15 }])).to.equal(true);
    expect(read([{ at: at(0), grams: 16 }])).to.equal(false);
    expect(read([{ at: at(0), grams: 0 }])).to.equal(false);
    expect(
      read([
        { at: at(5), grams: 15 },
        { at: at(5), grams: 30 },
      ]),
    ).to.equal(false);
    expect(read([15, 30, 100, 100].map((grams, index) => ({ at: at(index), grams })))).to.equal(false);
  });

  it("makes a kind known to its person alone, and not where it ever ended with something felt", () => {
    const done = had(0, 20, 45);
    const known = (...all: (typeof done)[]) => [...knownKinds(all, HANNE, NOON + 100 * HOUR, nextMorning)];
    expect(known(done)).to.deep.equal(["boletus-edulis"]);
    expect([...knownKinds([done], JORUN, NOON + 100 * HOUR, nextMorning)]).to.deep.equal([]);
    expect(known(had(0, 20))).to.deep.equal([]);
    expect(known(done, { ...had(0), felt: [{ at: at(2), what: "cramps" }] })).to.deep.equal([]);
    expect(isUnderWay(stageAt(60, had(0, 20, 45)))).to.equal(true);
    expect(isUnderWay(stageAt(100, done))).to.equal(false);
  });
});
