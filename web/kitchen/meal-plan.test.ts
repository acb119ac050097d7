import "fake-indexeddb/auto";
import { type Carried, NOTHING_CLEARED } from "@jittery-cap/core";
import {
  type Batch,
  batchSchema,
  handlingTogether,
  type KindInPot,
  type Meal,
  mealSchema,
} from "@jittery-cap/core/kitchen";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import fc from "fast-check";
import { cookingOf, sharesAt, stillOpen, tableOf } from "./meal-plan.ts";
import { elsewhereOf, jarLine, kindsInPot, potLines } from "./pot-lines.ts";
import { lanesOf } from "./schedule-chart.tsx";
import { type Kitchen, nextMorning } from "./use-kitchen.ts";

const SHEETS = new Map(readKnowledge().sheets.map((sheet) => [sheet.id, sheet]));
const FIND = "0193a000-0000-7000-8000-0000000000f1";
const HANNE = "0193a000-0000-7000-8000-0000000000a1";
const MINUTE = 60_000;
const AT = new Date("2026-09-27T19:00:00+02:00");

const kinds = (...ids: string[]): KindInPot[] =>
  ids.map((id) => {
    const handling = handlingTogether([id], (one) => SHEETS.get(one));
    if (handling === undefined) throw new Error(`${id} cannot be cooked`);
    return { handling, grams: 300 };
  });
const meal = (more: Partial<Meal> = {}): Meal =>
  mealSchema.parse({
    at: AT.toISOString(),
    items: [],
    seats: [{ person: HANNE }],
    ticks: [],
    stove: { rings: 2, pans: 2, pots: 1, hands: 1 },
    pans: [],
    ...more,
  });
const kept = <Content>(id: string, content: Content) => ({ id, content, version: 1, archived: false, revision: 1 });
const jar = (more: Partial<Batch> = {}) =>
  kept(
    "0193a000-0000-7000-8000-0000000000b1",
    batchSchema.parse({
      code: "7K2QX",
      way: "dried",
      kinds: ["boletus-edulis"],
      from: [{ find: FIND, body: "A" }],
      madeAt: "2026-09-20T12:00:00Z",
      gramsIn: 300,
      gramsOut: 30,
      ticks: [],
      took: [],
      recalls: [],
      ...more,
    }),
  );
const kitchen = (more: Partial<Kitchen> = {}): Kitchen => ({
  decisions: [],
  carried: [],
  meals: [],
  batches: [],
  tastings: [],
  people: [{ id: HANNE, name: "Hanne", matters: [], had: [{ kind: "boletus-edulis", trouble: false }] }],
  unreadable: 0,
  sheets: [...SHEETS.values()],
  sheetOf: (id) => SHEETS.get(id),
  now: AT,
  ...more,
});
const decided = (cleared: readonly string[]): Kitchen["decisions"] =>
  // what of a decision the lines rest on
  [{ find: { id: FIND, label: "ceps" }, today: { ...NOTHING_CLEARED, cleared } }] as unknown as Kitchen["decisions"];

const begunOf = (pot: readonly KindInPot[], at = AT.toISOString()): NonNullable<Meal["begun"]> => ({
  at,
  slots: [...(cookingOf(meal(), pot).schedule?.slots ?? [])],
  items: [],
});

describe("a meal worked out", () => {
  it("ends when it is wanted, begins as late as it can, and once begun counts from there alone", () => {
    const pot = kinds("boletus-edulis", "armillaria-mellea");
    const planned = cookingOf(meal(), pot);
    expect(planned.readyAt).to.equal(AT.getTime());
    expect(planned.beginsAt).to.equal(AT.getTime() - (planned.schedule?.minutes ?? 0) * MINUTE);
    const begun = cookingOf(meal({ begun: begunOf(pot, "2026-09-27T20:00:00+02:00") }), pot);
    expect(begun.beginsAt).to.equal(AT.getTime() + 60 * MINUTE);
    expect(begun.readyAt - begun.beginsAt).to.equal(planned.readyAt - planned.beginsAt);
  });

  it("says what the stove lacks, and is not served then", () => {
    const none = meal({ stove: { rings: 1, pans: 1, pots: 0, hands: 1 } });
    const cooking = cookingOf(none, kinds("armillaria-mellea"));
    expect(cooking.fault).to.contain("pots");
    expect(stillOpen(none, kinds("armillaria-mellea"), cooking, Number.MAX_SAFE_INTEGER).join()).to.contain("pots");
  });

  it("is not served before it was begun, under any least time, by a clock set back, or before the pan was smelled", () => {
    const pot = kinds("agaricus-campestris");
    const begun = meal({ begun: begunOf(pot) });
    const cooking = cookingOf(begun, pot);
    const open = (of: Meal, now: number) => stillOpen(of, pot, cookingOf(of, pot), now);
    expect(open(meal(), AT.getTime()).join()).to.contain("has not begun");
    fc.assert(
      fc.property(fc.integer({ min: -100_000, max: (cooking.readyAt - AT.getTime()) / MINUTE - 1 }), (minutes) => {
        expect(open(begun, AT.getTime() + minutes * MINUTE).join()).to.contain("under its least time");
      }),
    );
    expect(open(begun, cooking.readyAt)).to.deep.equal(["Smell the pan of the field mushroom"]);
    const smelled = (smell: "mushroom" | "ink") =>
      meal({ begun: begunOf(pot), pans: [{ kind: "agaricus-campestris", smell, at: AT.toISOString() }] });
    expect(open(smelled("mushroom"), cooking.readyAt)).to.deep.equal([]);
    expect(open(smelled("ink"), cooking.readyAt)).not.to.deep.equal([]);
  });

  it("gains no time by what is left out, put in or bought for the stove once cooking has begun", () => {
    const one = { rings: 1, pans: 1, pots: 1, hands: 1 };
    const pot = kinds("boletus-edulis", "cantharellus-cibarius");
    const begun = { ...begunOf(pot), slots: [...(cookingOf(meal({ stove: one }), pot).schedule?.slots ?? [])] };
    const cooked = meal({ stove: one, begun });
    const ready = cookingOf(cooked, pot).readyAt;
    // the other kind waits for the ring: without the first it is not ready sooner
    for (const left of [kinds("boletus-edulis"), kinds("cantharellus-cibarius")])
      expect(cookingOf(cooked, left).readyAt).to.equal(ready);
    expect(cookingOf({ ...cooked, stove: { rings: 4, pans: 4, pots: 2, hands: 2 } }, pot).readyAt).to.equal(ready);
    // one that was put in later has no time in it, and neither has more than one pan holds
    for (const more of [kinds("boletus-edulis", "morchella-esculenta"), pot.map((kind) => ({ ...kind, grams: 900 }))]) {
      const late = cookingOf(cooked, more);
      expect(stillOpen(cooked, more, late, Number.MAX_SAFE_INTEGER).join()).to.contain("cooking that was begun");
    }
  });

  it("serves nothing to somebody whom this device does not know", () => {
    const seats = meal({ seats: [{ person: HANNE }, { person: FIND }] });
    const shares = sharesAt(seats, kinds("boletus-edulis"), tableOf(seats, kitchen(), AT.getTime()), AT.getTime());
    expect(shares.map(({ person, most }) => [person, most])).to.deep.equal([[HANNE, 150]]);
  });

  it("is drawn on as many rings as there are, none of them twice at once", () => {
    const pot = kinds("boletus-edulis", "armillaria-mellea", "morchella-esculenta", "cantharellus-cibarius");
    const cooking = cookingOf(meal(), pot);
    const lanes = lanesOf(cooking.tasks, 2);
    expect(lanes.flatMap(({ tasks }) => tasks)).to.have.length(cooking.tasks.length);
    for (const { name, tasks } of lanes.filter((lane) => lane.name !== "table"))
      tasks.forEach((task, index) => {
        const before = tasks[index - 1];
        if (before !== undefined) expect(task.from, name).to.be.at.least(before.to);
      });
  });
});

describe("jars and bodies for the pot", () => {
  it("of a jar lack nothing while what it was made of is cleared, something is left and its time is not over", () => {
    const codes = (one: ReturnType<typeof jar>, more: Partial<Kitchen> = {}) =>
      jarLine(one, {
        kitchen: kitchen({ decisions: decided(["A"]), ...more }),
        met: new Map(),
        ticked: new Set(),
        at: (more.now ?? AT).getTime(),
      }).missing.map(({ code }) => code);
    expect(codes(jar())).to.deep.equal([]);
    expect(codes(jar(), { decisions: decided([]) })).to.deep.equal(["apart"]);
    expect(codes(jar(), { decisions: [] })).to.deep.equal(["apart"]);
    expect(codes(jar(), { now: new Date("2028-01-01") })).to.deep.equal(["too-old"]);
    const asked = (conditions: readonly string[], one = jar()) =>
      codes(one, { decisions: decided(["A"]).map((each) => ({ ...each, today: { ...each.today, conditions } })) });
    expect(asked(["second-person"])).to.deep.equal(["condition"]);
    expect(asked(["cook-through"])).to.deep.equal(["condition"]);
    const ticks = [{ find: FIND, code: "cook-through" as const, at: AT.toISOString() }];
    expect(asked(["cook-through"], jar({ ticks }))).to.deep.equal([]);
    expect(codes(jar({ way: "infusion", kinds: ["trametes-versicolor"] }))).to.deep.equal(["too-tough"]);
  });

  it("count a jar as what it was when it was fresh, and leave out of the pot whatever lacks something or smelled odd", () => {
    const one = jar();
    const state = kitchen({ decisions: decided(["A"]), batches: [one] });
    const cooked = meal({ items: [{ find: FIND, body: "A", batch: one.id, kinds: ["boletus-edulis"], grams: 15 }] });
    const lines = potLines(kept("m", cooked), state, new Map());
    expect(kindsInPot(cooked, lines, state).map(({ grams }) => grams)).to.deep.equal([150]);
    const tooMuch = { ...cooked, items: cooked.items.map((item) => ({ ...item, grams: 999 })) };
    expect(kindsInPot(tooMuch, lines, state).map(({ grams }) => grams)).to.deep.equal([300]);
    const odd = { ...cooked, pans: [{ kind: "boletus-edulis", smell: "other" as const, at: AT.toISOString() }] };
    expect(kindsInPot(odd, lines, state)).to.deep.equal([]);
    const called = { ...state, decisions: decided([]) };
    expect(kindsInPot(cooked, potLines(kept("m", cooked), called, new Map()), called)).to.deep.equal([]);
  });

  it("have to keep until the meal: one that is planned for next month is cooked of nothing fresh", () => {
    const one = jar({ way: "frozen" });
    const state = kitchen({ decisions: decided(["A"]), batches: [one] });
    const lacks = (at: string) =>
      potLines(kept("m", meal({ at })), state, new Map())[0]?.missing.map(({ code }) => code);
    expect(lacks(AT.toISOString())).to.deep.equal([]);
    expect(lacks("2027-09-27T19:00:00+02:00")).to.deep.equal(["too-old"]);
    // a meal that was to be yesterday is eaten now at the earliest
    expect(lacks("2020-01-01T00:00:00Z")).to.deep.equal([]);
  });

  it("are in one meal or one jar, and in no second", () => {
    const other = kept("other", meal({ items: [{ find: FIND, body: "A", kinds: ["boletus-edulis"], grams: 100 }] }));
    expect(elsewhereOf(kitchen({ meals: [other] }), FIND, "A", "mine")).to.equal("meal");
    expect(elsewhereOf(kitchen({ meals: [other] }), FIND, "A", "other")).to.equal(undefined);
    expect(elsewhereOf(kitchen({ batches: [jar()] }), FIND, "A", "mine")).to.equal("batch");
    expect(elsewhereOf(kitchen({ meals: [other] }), FIND, "B", "mine")).to.equal(undefined);
  });

  it("that no longer lie in the basket as food stay in the list of their meal with why", () => {
    const carried: Carried = {
      find: FIND,
      label: "ceps",
      decidedAt: AT.toISOString(),
      place: undefined,
      body: "A",
      ending: "basket",
      kinds: ["boletus-edulis"],
      weightG: 200,
      compartment: "apart-from-food",
      off: [],
      toComeOff: [],
      takenBack: "not-cleared",
    };
    const cooked = meal({ items: [{ find: FIND, body: "A", kinds: ["boletus-edulis"], grams: 200 }] });
    const [line] = potLines(kept("m", cooked), kitchen({ carried: [carried] }), new Map());
    expect(line?.missing.map(({ code }) => code)).to.include("apart");
    expect(potLines(kept("m", meal()), kitchen({ carried: [carried] }), new Map())).to.deep.equal([]);
  });
});

describe("the next morning", () => {
  it("is seven o'clock on the day after, or the same day before seven", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4_000_000_000_000 }), (moment) => {
        const morning = nextMorning(moment);
        expect(new Date(morning).getHours()).to.equal(7);
        expect(morning).to.be.above(moment);
        expect(morning - moment).to.be.at.most(25 * 60 * MINUTE);
      }),
    );
  });
});
