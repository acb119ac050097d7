import { expect } from "chai";
import fc from "fast-check";
import { at, carriedOf, DAY, forThePot, HOUR, handled, NOON, sheetNamed } from "../tests/kitchen.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { CONDITION_CODES } from "../words/reason-words.ts";
import { handlingTogether } from "./handling.ts";
import { freshUntil, KEEPS_HOURS, keepsUntil, notPutUpAs, WAYS } from "./keeping.ts";
import { mealSchema } from "./meal.ts";
import { type ForThePot, missingForPot, NOT_BY_TICK } from "./pot.ts";
import { LEAST_MINUTES, tasksOf } from "./tasks.ts";

const codes = (more: Partial<ForThePot> = {}, now = NOON, way?: "infusion" | "jar") =>
  missingForPot(forThePot(more), now, way).map(({ code }) => code);

describe("what comes to the pot", () => {
  it("is a cleared body that was looked at once more, weighed, in its days, with every condition fulfilled", () => {
    expect(codes()).to.deep.equal([]);
  });

  it("is none that is not cleared today, whatever else holds", () => {
    expect(codes({ carried: carriedOf({ compartment: "apart-from-food", takenBack: "not-cleared" }) })).to.include(
      "apart",
    );
    expect(codes({ carried: carriedOf({ compartment: "apart-from-food", ending: "home-to-finish" }) })).to.include(
      "apart",
    );
  });

  it("is none that nobody looked at since it was decided, and no stranger", () => {
    expect(codes({ sorted: undefined })).to.deep.equal(["unsorted"]);
    expect(codes({ sorted: { as: "as-recorded", at: at(-6) } })).to.deep.equal(["unsorted"]);
    expect(codes({ sorted: { as: "as-recorded", at: "never" } })).to.deep.equal(["unsorted"]);
    expect(codes({ sorted: { as: "stranger", at: at(-1) } })).to.deep.equal(["stranger"]);
  });

  it("is none past its days in the cold, counted from the picking and not from today", () => {
    expect(codes({ picked: NOON - 3 * DAY })).to.deep.equal([]);
    expect(codes({ picked: NOON - 3 * DAY - 1 })).to.deep.equal(["too-old"]);
    expect(codes({ picked: undefined })).to.deep.equal(["picked-untold"]);
    // a time that is still to come is none that anybody told
    expect(codes({ picked: NOON + DAY })).to.deep.equal(["picked-untold"]);
    expect(codes({ sorted: { as: "as-recorded", at: at(1) } })).to.deep.equal(["unsorted"]);
    const inkcap = { handling: handled("coprinus-comatus"), carried: carriedOf({ kinds: ["coprinus-comatus"] }) };
    expect(codes({ ...inkcap, picked: NOON - KEEPS_HOURS * HOUR })).to.deep.equal([]);
    expect(codes({ ...inkcap, picked: NOON - KEEPS_HOURS * HOUR - 1 })).to.deep.equal(["too-old"]);
    // hedgehog and winter chanterelle about two weeks, firm boletes three days (common practice, no source)
    for (const [kind, days] of [
      ["hydnum-repandum", 14],
      ["craterellus-tubaeformis", 14],
      ["boletus-edulis", 3],
    ] as const)
      expect(freshUntil(0, sheetNamed(kind)?.keeping.coldDays ?? 0)).to.equal(days * DAY);
  });

  it("is none that is in a jar or another meal, kept for a tasting, not weighed, or not trimmed", () => {
    expect(codes({ elsewhere: "meal" })).to.deep.equal(["elsewhere"]);
    expect(codes({ elsewhere: "batch" })).to.deep.equal(["elsewhere"]);
    expect(codes({ carried: carriedOf({ ending: "first-tasting" }) })).to.deep.equal(["tasting"]);
    expect(codes({ carried: carriedOf({ weightG: undefined }) })).to.deep.equal(["no-weight"]);
    expect(codes({ carried: carriedOf({ toComeOff: ["skin"] }) })).to.deep.equal(["trim"]);
    expect(codes({ handling: undefined })).to.deep.equal(["kitchen-unknown"]);
  });

  it("has room for every tick of the largest pot, and for what everybody had of it", () => {
    const id = (number: number) => `0192f3c0-7a1e-7c64-9d53-${String(number).padStart(12, "0")}`;
    const moment = "2026-09-27T16:00:00Z";
    const [FINDS, PEOPLE, KINDS] = [200, 50, 8];
    const meal = {
      at: moment,
      items: [],
      seats: [],
      ticks: Array.from({ length: FINDS }, (_, find) =>
        CONDITION_CODES.map((code) => ({ find: id(find), code, at: moment })),
      ).flat(),
      stove: { rings: 4, pans: 2, pots: 1, hands: 1 },
      pans: [],
      served: {
        at: moment,
        portions: Array.from({ length: PEOPLE * KINDS }, (_, at) => ({
          person: id(at % PEOPLE),
          kind: `kind ${at % KINDS}`,
          grams: 60,
        })),
      },
    };
    expect(mealSchema.safeParse(meal).error?.issues).to.equal(undefined);
  });

  it("wants every condition: people and books cannot be ticked, the rest can", () => {
    for (const code of CONDITION_CODES) {
      const conditions = [code];
      expect(codes({ conditions }), code).to.deep.equal(["condition"]);
      expect(codes({ conditions, ticked: new Set([code]) }), code).to.deep.equal(
        NOT_BY_TICK.has(code) ? ["condition"] : [],
      );
      expect(codes({ conditions, met: new Set([code]) }), code).to.deep.equal([]);
    }
  });

  it("is never more for something that is missing beside", () => {
    const worse: readonly Partial<ForThePot>[] = [
      { sorted: undefined },
      { picked: undefined },
      { elsewhere: "meal" },
      { handling: undefined },
      { conditions: ["second-person"] },
      { carried: carriedOf({ compartment: "apart-from-food" }) },
    ];
    fc.assert(
      fc.property(fc.subarray([...worse]), fc.constantFrom(...worse), (some, one) => {
        const before = missingForPot(forThePot(Object.assign({}, ...some)), NOON).length;
        const after = missingForPot(forThePot(Object.assign({}, ...some, one)), NOON).length;
        expect(after).to.be.at.least(Math.min(1, before));
        expect(after).to.be.above(0);
      }),
    );
  });

  it("keeps tough brackets for infusions, and the rest from them", () => {
    const bracket = {
      handling: handled("trametes-versicolor"),
      carried: carriedOf({ kinds: ["trametes-versicolor"] }),
    };
    expect(codes(bracket)).to.deep.equal(["too-tough"]);
    expect(codes(bracket, NOON, "infusion")).to.deep.equal([]);
    expect(codes({}, NOON, "infusion")).to.deep.equal(["too-tough"]);
    expect(codes(bracket, NOON, "jar")).to.deep.equal(["too-tough"]);
  });
});

describe("what kinds ask of the kitchen", () => {
  it("is told by every sheet that is for the pot, and never under fifteen minutes", () => {
    let cooked = 0;
    for (const { id, tier, handling } of SHIPPED.sheets) {
      if (tier !== "edible" && tier !== "conditional") continue;
      const together = handlingTogether([id], sheetNamed);
      expect(together, id).not.to.equal(undefined);
      if (together === undefined || handling.infusionOnly === true) continue;
      cooked += 1;
      expect(together.minutes, id).to.be.at.least(LEAST_MINUTES);
      // what the sheet says in words and in figures is one thing
      const words = /(\d+) minutes/.exec(handling.cooking.replace(/boil it[^,]*,/, ""))?.[1] ?? "15";
      expect(together.minutes, `${id}: ${handling.cooking}`).to.be.at.least(Math.min(15, Number(words)));
    }
    expect(cooked).to.be.above(70);
  });

  // least times as people cook them (common practice, no source)
  it("has the times of the trade: twenty for scaber stalks, blusher, chicken of the woods, brick tuft and morels", () => {
    for (const kind of [
      "leccinum-group",
      "amanita-rubescens",
      "laetiporus-sulphureus",
      "hypholoma-lateritium",
      "morchella-esculenta",
    ])
      expect(handled(kind).minutes, kind).to.equal(20);
    expect(handled("armillaria-mellea")).to.deep.include({ boilMinutes: 15, minutes: 15, smallPortion: true });
    expect(handled("craterellus-tubaeformis").dryPanMinutes).to.equal(1);
    for (const kind of ["flammulina-velutipes", "armillaria-mellea", "marasmius-oreades"])
      expect(handled(kind).off, kind).to.include("stem");
    expect(handled("coprinopsis-atramentaria").alcoholHours).to.deep.equal([120, 120]);
    expect(handled("agaricus-campestris").panTells).to.equal(true);
  });

  it("of several kinds is the strictest of each: none of them is handled more lightly than by itself", () => {
    const kinds = SHIPPED.sheets
      .filter(({ id }) => handlingTogether([id], sheetNamed) !== undefined)
      .map(({ id }) => id);
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...kinds), { minLength: 1, maxLength: 4 }), (some) => {
        const all = handled(...some);
        for (const one of some.map((id) => handled(id))) {
          expect(all.minutes).to.be.at.least(one.minutes);
          expect(all.boilMinutes).to.be.at.least(one.boilMinutes);
          expect(all.coldDays).to.be.at.most(one.coldDays);
          expect(all.alcoholHours?.[0] ?? 0).to.be.at.least(one.alcoholHours?.[0] ?? 0);
          expect(all.alcoholHours?.[1] ?? 0).to.be.at.least(one.alcoholHours?.[1] ?? 0);
          for (const part of one.off) expect(all.off).to.include(part);
          for (const flag of ["smallPortion", "storesMetals", "panTells", "infusionOnly"] as const)
            expect(Number(all[flag])).to.be.at.least(Number(one[flag]));
        }
      }),
    );
  });

  it("is not told of a kind without a sheet, of a danger, or of one that is not for the pot", () => {
    for (const kinds of [["no-such-kind"], ["amanita-phalloides"], ["boletus-edulis", "amanita-phalloides"], []])
      expect(handlingTogether(kinds, sheetNamed), kinds.join()).to.equal(undefined);
  });

  it("becomes tasks with no kind under its least time: boiled before the water goes, fried after it went", () => {
    const tasks = tasksOf([
      { handling: handled("armillaria-mellea"), grams: 1200 },
      { handling: handled("agaricus-campestris"), grams: 300 },
    ]);
    const of = (doing: string, kind: string) => tasks.filter((task) => task.doing === doing && task.kind === kind);
    expect(of("boil", "armillaria-mellea").map(({ minutes }) => minutes)).to.deep.equal([15, 15]);
    expect(of("pour-off", "armillaria-mellea")[0]?.after).to.have.length(2);
    expect(of("fry", "armillaria-mellea")).to.have.length(3);
    for (const fry of of("fry", "armillaria-mellea")) expect(fry.after).to.deep.equal(["pour-off armillaria-mellea"]);
    expect(of("fry", "agaricus-campestris")[0]).to.deep.include({ smellAt: 4, minutes: 15 });
    expect(of("boil", "agaricus-campestris")).to.deep.equal([]);
  });
});

describe("what is put up for later", () => {
  it("is pickled only of small firm milkcaps and ceps, and of brackets only for infusions", () => {
    const refused = (kind: string) =>
      WAYS.filter((way) => notPutUpAs(way, sheetNamed(kind)?.handling ?? {}) !== undefined);
    expect(refused("boletus-edulis")).to.deep.equal(["infusion"]);
    expect(refused("hydnum-repandum")).to.deep.equal(["pickled", "infusion"]);
    expect(refused("fomitopsis-betulina")).to.deep.equal(["dried", "frozen", "pickled", "powder"]);
    expect(keepsUntil(0, "frozen")).to.equal(180 * DAY);
  });
});
