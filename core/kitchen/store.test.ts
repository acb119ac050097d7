import { expect } from "chai";
import fc from "fast-check";
import jstat from "jstat";
import { batchKind, mealKind, tastingKind } from "../documents/kinds/kitchen.ts";
import { applyTouches } from "../documents/touch.ts";
import { canonicalJson } from "../find/canonical.ts";
import { at, batchOf, carriedOf, FIND, HANNE, JORUN, mealOf, tastingOf } from "../tests/kitchen.ts";
import { batchSchema, CODE_SIGNS, leftOf, newCode, readCode } from "./batch.ts";
import { dryingFactor } from "./drying-factor.ts";
import { mealSchema } from "./meal.ts";
import { needFor } from "./need.ts";
import { recallsOf, recallWords } from "./recall.ts";

describe("the drying factor of a kind", () => {
  it("is ten to one before anything was weighed, and most batches lie about it", () => {
    const rule = dryingFactor([]);
    expect(rule.ratio).to.be.closeTo(10, 1e-9);
    expect(rule.low).to.be.within(4, 8);
    expect(rule.high).to.be.within(12, 20);
  });

  it("goes over to the person's own weights, and its interval is that of Student's t as a statistics library has it", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 100, max: 2000 }), fc.double({ min: 6, max: 14, noNaN: true })), {
          maxLength: 40,
        }),
        (drawn) => {
          const weighings = drawn.map(([gramsIn, ratio]) => ({ gramsIn, gramsOut: gramsIn / ratio }));
          const { ratio, low, high } = dryingFactor(weighings);
          // the conjugate formulas once more, with the quantile of jstat in the place of the table
          const logs = weighings.map((one) => Math.log(one.gramsIn / one.gramsOut));
          const count = logs.length;
          const mean = count === 0 ? 0 : logs.reduce((sum, one) => sum + one, 0) / count;
          const squares = logs.reduce((sum, one) => sum + (one - mean) ** 2, 0);
          const degrees = 4 + count;
          const scale = (4 * 0.04 + squares + ((2 * count) / (2 + count)) * (mean - Math.log(10)) ** 2) / degrees;
          const reach = jstat.studentt.inv(0.95, degrees) * Math.sqrt(scale * (1 + 1 / (2 + count)));
          expect(Math.log(high / ratio)).to.be.closeTo(reach, 0.02 * reach);
          expect(Math.log(ratio / low)).to.be.closeTo(reach, 0.02 * reach);
        },
      ),
    );
    const many = dryingFactor(Array.from({ length: 30 }, () => ({ gramsIn: 700, gramsOut: 100 })));
    expect(many.ratio).to.be.closeTo(7.15, 0.1);
  });

  it("leaves out weighings that are none", () => {
    const odd = [
      { gramsIn: 0, gramsOut: 10 },
      { gramsIn: 100, gramsOut: 0 },
      { gramsIn: 100, gramsOut: -5 },
      { gramsIn: 100, gramsOut: 120 },
      { gramsIn: Number.NaN, gramsOut: 1 },
    ];
    expect(dryingFactor(odd)).to.deep.equal(dryingFactor([]));
  });
});

describe("how much to pick", () => {
  it("is a portion a person over what is left after cleaning, learned from own weights", () => {
    expect(needFor(4, false, []).grams).to.equal(670);
    expect(needFor(0, false, []).grams).to.equal(0);
    const wasteful = Array.from({ length: 20 }, () => ({ gramsPicked: 100, gramsCleaned: 50 }));
    expect(needFor(4, false, wasteful).grams).to.be.within(950, 1000);
    expect(needFor(4, true, []).grams).to.be.below(needFor(4, false, []).grams);
    expect(needFor(4, false, [{ gramsPicked: 50, gramsCleaned: 100 }])).to.deep.equal(needFor(4, false, []));
  });
});

describe("a jar", () => {
  it("has a code that can be read off a label by hand, and none that another has", () => {
    expect(readCode(" 7k-2q x ")).to.equal("7K2QX");
    expect(readCode("oilU5")).to.equal("011V5");
    expect(readCode("7K2Q")).to.equal(undefined);
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 0.999999, noNaN: true }), { minLength: 5, maxLength: 50 }),
        (chances) => {
          let turn = 0;
          const code = newCode(new Set(), () => chances[turn++ % chances.length] ?? 0);
          expect(readCode(code)).to.equal(code);
        },
      ),
    );
    const turns = [0, 0, 0, 0, 0, 0.5, 0.5, 0.5, 0.5, 0.5];
    expect(newCode(new Set(["00000"]), () => turns.shift() ?? 0)).to.equal((CODE_SIGNS[16] ?? "").repeat(5));
  });

  it("has left what was not taken, never under nought, and nobody knows before it was weighed", () => {
    expect(leftOf(batchOf({ took: [{ at: at(1), grams: 10, how: "eaten" }] }))).to.equal(14);
    expect(leftOf(batchOf({ took: [{ at: at(1), grams: 90, how: "thrown-away" }] }))).to.equal(0);
    const { gramsOut: _out, ...unweighed } = batchOf();
    expect(leftOf(unweighed)).to.equal(undefined);
  });

  it("and a meal are refused with a word for amounts of nought, negative, absurd, and for a body twice", () => {
    const jar = (more: object) => batchSchema.safeParse({ ...batchOf(), ...more }).success;
    for (const more of [
      { gramsIn: 0 },
      { gramsIn: -4 },
      { gramsIn: 1e9 },
      { gramsOut: 300 },
      { code: "ILOUX" },
      { from: [] },
      { kinds: ["none-such"] },
    ])
      expect(jar(more), JSON.stringify(more)).to.equal(false);
    expect(jar({ way: "pickled", gramsOut: 500 })).to.equal(true);
    const meal = (more: object) => mealSchema.safeParse({ ...mealOf(), ...more });
    const [item] = mealOf().items;
    for (const more of [
      { items: [item, item] },
      { items: [{ ...item, grams: 0 }] },
      { items: [{ ...item, grams: Number.NaN }] },
      { items: [{ ...item, grams: 1e6 }] },
      { items: [{ ...item, cleanedGrams: 999 }] },
      { seats: [{ person: HANNE }, { person: HANNE }] },
      { at: "tomorrow" },
    ])
      expect(meal(more).success, JSON.stringify(more)).to.equal(false);
    expect(JSON.stringify(meal({ items: [{ ...item, grams: -1 }] }).error?.issues)).to.contain("more than nought");
  });
});

describe("what two devices did in one kitchen", () => {
  const item = (body: string) => ({ find: FIND, body, kinds: ["boletus-edulis"], grams: 100 });
  it("is put together so that nothing that was eaten, felt or taken is lost, and what one took out of the pot stays out", () => {
    const base = mealOf({ items: [item("A"), item("B")] });
    const mine = { ...base, items: [item("A"), item("C")], pans: [{ kind: "x", smell: "ink" as const, at: at(1) }] };
    const theirs = { ...base, items: [item("A"), item("B"), item("D")] };
    const both = mealKind.merge(base, mine, theirs);
    expect(both?.items.map(({ body }) => body).sort()).to.deep.equal(["A", "C", "D"]);
    expect(both?.pans).to.have.length(1);
    const served = (person: string) => ({
      ...base,
      served: { at: at(1), portions: [{ person, kind: "x", grams: 50 }] },
    });
    expect(mealKind.merge(base, served(HANNE), served(JORUN))?.served?.portions).to.have.length(2);
    const took = (grams: number) => ({ ...batchOf(), took: [{ at: at(grams), grams, how: "eaten" as const }] });
    expect(batchKind.merge(batchOf(), took(2), took(3))?.took.map(({ grams }) => grams)).to.deep.equal([2, 3]);
    const felt = (what: string) => ({ ...tastingOf(), felt: [{ at: at(1), what }] });
    expect(tastingKind.merge(tastingOf(), felt("sick"), felt("hot"))?.felt).to.have.length(2);
  });

  it("and does not go together is left to a person, not dropped", () => {
    const portion = (hour: number, grams: number) => ({ at: at(hour), grams });
    const mine = { ...tastingOf(), portions: [portion(0, 15), portion(20, 30)] };
    const theirs = { ...tastingOf(), portions: [portion(1, 15), portion(21, 30)] };
    expect(tastingKind.merge(tastingOf(), mine, theirs)).to.equal(undefined);
  });

  it("is changed field by field, and taken back to the letter", () => {
    const meals = fc
      .record({
        grams: fc.integer({ min: 1, max: 500 }),
        note: fc.option(fc.constantFrom("a", "b")),
        rings: fc.integer({ min: 1, max: 4 }),
      })
      .map(({ grams, note, rings }) =>
        mealSchema.parse({
          ...mealOf(),
          items: [{ ...item("A"), grams }],
          stove: { rings, pans: 2, pots: 1, hands: 1 },
          ...(note === null ? {} : { note }),
        }),
      );
    fc.assert(
      fc.property(meals, meals, (one, other) => {
        const changes = mealKind.between(one, other) ?? [];
        if (changes.length === 0) return;
        const applied = applyTouches(mealKind, { content: one, archived: false }, [{ changes }]);
        if (!applied.ok) throw new Error(JSON.stringify(applied.faults));
        expect(canonicalJson(applied.value.content)).to.equal(canonicalJson(other));
        const back = applyTouches(mealKind, applied.value, [{ changes: applied.value.inverses[0] ?? [] }]);
        expect(back.ok && canonicalJson(back.value.content)).to.equal(canonicalJson(one));
      }),
      { numRuns: 60 },
    );
    const odd = applyTouches(mealKind, { content: mealOf(), archived: false }, [
      { changes: [{ kind: "set-field", field: "items", value: [{ ...item("A"), grams: -2 }] }] },
    ]);
    expect(odd.ok).to.equal(false);
  });
});

describe("a recall", () => {
  const standing = (cleared: readonly string[]) => ({
    verdict: "basket" as const,
    cleared,
    restsOn: [],
    conditions: [],
  });
  const decided = (cleared: readonly string[]) => ({
    find: { id: FIND, label: "ceps under spruce", bodies: [{ id: "A" }, { id: "B" }] },
    current: { id: FIND, label: "ceps under spruce", bodies: [{ id: "A" }, { id: "B" }] },
    decidedAt: carriedOf().decidedAt,
    endings: [
      { body: "A", ending: "basket" as const },
      { body: "B", ending: "basket" as const },
    ],
    today: standing(cleared),
  });
  const held = <Content>(id: string, content: Content) => ({ id, content });
  const became = {
    batches: [
      held("jar", batchOf()),
      held("empty", batchOf({ code: "00000", took: [{ at: at(1), grams: 24, how: "eaten" }] })),
    ],
    meals: [
      held(
        "supper",
        mealOf({
          items: [{ find: FIND, body: "A", batch: "jar", kinds: ["boletus-edulis"], grams: 5 }],
          served: { at: at(2), portions: [{ person: HANNE, kind: "boletus-edulis", grams: 5 }] },
        }),
      ),
      held(
        "other",
        mealOf({
          items: [{ find: "0193a000-0000-7000-8000-0000000000ff", body: "A", kinds: ["boletus-edulis"], grams: 5 }],
        }),
      ),
    ],
    tastings: [held("tasting", tastingOf({ person: JORUN, portions: [{ at: at(1), grams: 15 }] }))],
  };

  it("names every jar, meal, tasting and person that a body touches which is not cleared any more", () => {
    const [recall] = recallsOf([decided(["B"])], became);
    expect(recall?.bodies).to.deep.equal([{ body: "A", why: "not-cleared" }]);
    expect(recall?.batches.map(({ id }) => id)).to.deep.equal(["jar", "empty"]);
    expect(recall?.jarsLeft.map(({ id }) => id)).to.deep.equal(["jar"]);
    expect(recall?.meals.map(({ id }) => id)).to.deep.equal(["supper"]);
    expect(recall?.persons).to.have.members([HANNE, JORUN]);
    expect(recall?.isAnswered).to.equal(false);
    expect(recall === undefined ? "" : recallWords(recall)).to.equal(
      "Two jars (1 with something left), one meal and one tasting rest on this find.",
    );
  });

  it("is none while everything is cleared, and is answered once something was done with every jar that has something left", () => {
    expect(recallsOf([decided(["A", "B"])], became)).to.deep.equal([]);
    const did = {
      ...became,
      batches: [held("jar", batchOf({ recalls: [{ find: FIND, at: at(3), did: "thrown away" }] }))],
    };
    expect(recallsOf([decided([])], did)[0]?.isAnswered).to.equal(true);
    // a find that was put away, or that this device never heard of: what came of it is named as well
    const lost = recallsOf([], became).map((one) => [one.find, one.batches.length, one.bodies[0]?.why]);
    expect(lost).to.deep.equal([[FIND, 2, "unknown"]]);
    const gone = { ...decided([]), current: undefined };
    expect(recallsOf([gone], became)[0]?.bodies.map(({ why }) => why)).to.deep.equal(["unknown", "unknown"]);
  });
});
