import { expect } from "chai";
import fc from "fast-check";
import { assess } from "../answer/answer.ts";
import { type Rules, rulesSchema } from "../find/schema.ts";
import { finds } from "../tests/arbitraries.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { FIRST_YEARS, HOUSE_RULES } from "./house-rules.ts";
import { limitSchema, NO_SETTINGS, settingsSchema, stricterRules, stricterSettings } from "./settings.ts";

const RANK = { leave: 0, hold: 1, basket: 2 };

const anyRules = (): fc.Arbitrary<Rules> =>
  fc
    .record(
      Object.fromEntries(
        HOUSE_RULES.map(({ rule, schools }) => [rule, fc.constantFrom(...schools.map((school) => school.value))]),
      ),
      { requiredKeys: [] },
    )
    .map((drawn) => rulesSchema.parse(drawn));

describe("what two devices settled apart", () => {
  it("gives rules under which no find is permitted more than under either", () => {
    fc.assert(
      fc.property(finds(), anyRules(), anyRules(), (find, one, other) => {
        const { rules: _rules, ...plain } = find;
        const verdictBy = (rules: Rules) => RANK[assess({ ...plain, rules }, SHIPPED).verdict];
        expect(verdictBy(stricterRules(one, other))).to.be.at.most(Math.min(verdictBy(one), verdictBy(other)));
      }),
      { numRuns: 80 },
    );
  });

  it("is the same whichever comes first, and nothing is stricter than the first years", () => {
    fc.assert(
      fc.property(anyRules(), anyRules(), (one, other) => {
        expect(stricterRules(one, other)).to.deep.equal(stricterRules(other, one));
        expect(stricterRules(stricterRules(one, other), other)).to.deep.equal(stricterRules(one, other));
      }),
    );
    expect(stricterRules(FIRST_YEARS, { amanitas: "known", larvae: "trim" })).to.deep.equal(
      stricterRules(FIRST_YEARS, FIRST_YEARS),
    );
  });

  it("keeps the limits of both, each once", () => {
    const kilo = { kind: "all", grams: 1000 };
    const here = { kind: "all", place: "Upper pasture", pieces: 20 };
    const both = stricterSettings(
      { rules: {}, limits: [kilo] },
      { rules: {}, limits: [here, { grams: 1000, kind: "all" }] },
    );
    expect(both.limits).to.deep.equal([kilo, here]);
    expect(stricterSettings(NO_SETTINGS, NO_SETTINGS)).to.deep.equal(NO_SETTINGS);
  });
});

describe("a limit", () => {
  it("is grams or pieces, of something, more than none", () => {
    expect(limitSchema.safeParse({ kind: "all", place: "Upper pasture", grams: 2000 }).success).to.equal(true);
    for (const bad of [
      { kind: "all" },
      { kind: "all", grams: 5, pieces: 5 },
      { kind: "", grams: 5 },
      { kind: "all", grams: 0 },
      { kind: "all", pieces: 2.5 },
      { kind: "all", grams: 5, law: "known" },
    ])
      expect(limitSchema.safeParse(bad).success, JSON.stringify(bad)).to.equal(false);
    expect(settingsSchema.safeParse({ rules: { amanitas: "often" }, limits: [] }).success).to.equal(false);
  });
});
