import { expect } from "chai";
import fc from "fast-check";
import { FIRMNESSES, LARVAE } from "../find/vocabulary.ts";
import { bodyEndingSchema, TRIMMINGS } from "./body-ending.ts";
import { isAmongFood } from "./endings.ts";
import { conditionText, stillToComeOff, takenOff, trimmingFault } from "./trimming.ts";

const SOUND = {};
const RIDDLED = { larvaeParts: { cap: "none", stem: "riddled" } } as const;

const endings = () =>
  fc.record(
    {
      body: fc.constant("A"),
      ending: fc.constantFrom(...bodyEndingSchema.shape.ending.options),
      off: fc.uniqueArray(fc.constantFrom(...TRIMMINGS), { minLength: 1 }),
    },
    { requiredKeys: ["body", "ending"] },
  );

describe("what is cut off", () => {
  it("is said where a body goes in after trimming, and only of what is kept as food", () => {
    expect(trimmingFault(SOUND, { body: "A", ending: "basket-after-trimming" })).to.contain("say what was taken off");
    expect(trimmingFault(SOUND, { body: "A", ending: "basket-after-trimming", off: ["foot"] })).to.equal(undefined);
    expect(trimmingFault(SOUND, { body: "A", ending: "left-unknown", off: ["foot"] })).to.contain("not kept as food");
    expect(trimmingFault(SOUND, { body: "A", ending: "basket" })).to.equal(undefined);
  });

  // a clean cap on a riddled stem is kept as a cap: common practice, no source
  it("of a riddled stem is the stem, whatever the ending among food", () => {
    fc.assert(
      fc.property(endings(), (told) => {
        const stands = trimmingFault(RIDDLED, told) === undefined;
        if (stands && isAmongFood(told.ending)) expect(takenOff(told)).to.include("stem");
      }),
    );
    expect(trimmingFault(RIDDLED, { body: "A", ending: "basket" })).to.contain("riddled");
    expect(trimmingFault(RIDDLED, { body: "A", ending: "basket-cap-only" })).to.equal(undefined);
    expect(trimmingFault(RIDDLED, { body: "A", ending: "left-past-it" })).to.equal(undefined);
  });

  it("by a cap alone is the stem and what else is told, each once", () => {
    expect(takenOff({ body: "A", ending: "basket-cap-only" })).to.deep.equal(["stem"]);
    expect(takenOff({ body: "A", ending: "basket-cap-only", off: ["skin", "stem"] })).to.deep.equal(["stem", "skin"]);
  });

  it("leaves to be done what the kind's handling wants off and nobody took off; more off never leaves more", () => {
    const wants = ["cook-through", "skin-off", "tubes-off"];
    expect(stillToComeOff(SOUND, { body: "A", ending: "basket" }, wants)).to.deep.equal(["skin", "tubes"]);
    expect(stillToComeOff(SOUND, { body: "A", ending: "basket", off: ["tubes"] }, wants)).to.deep.equal(["skin"]);
    expect(stillToComeOff(SOUND, { body: "A", ending: "home-to-finish" }, wants)).to.deep.equal([]);
    fc.assert(
      fc.property(endings(), (told) => {
        const { off: _off, ...bare } = told;
        const before = stillToComeOff(RIDDLED, bare, wants);
        expect(before).to.include.members([...stillToComeOff(RIDDLED, told, wants)]);
      }),
    );
  });

  it("is refused by its name where it is no part", () => {
    expect(bodyEndingSchema.safeParse({ body: "A", ending: "basket", off: ["gills"] }).success).to.equal(false);
    expect(bodyEndingSchema.safeParse({ body: "A", ending: "basket", off: [] }).success).to.equal(false);
  });
});

describe("the condition of a body in words", () => {
  it("says what nobody told", () => {
    expect(conditionText({ id: "A", lifted: "whole" })).to.equal(
      "age not told, firmness not told, tunnels not looked for",
    );
  });
  it("tells age, firmness, tunnels by their parts, and wear", () => {
    expect(
      conditionText({ id: "A", lifted: "whole", age: "mature", firmness: "firm", ...RIDDLED, wear: ["rain-washed"] }),
    ).to.equal("mature, firm, no tunnels in the cap and riddled in the stem, rain washed");
    for (const firmness of FIRMNESSES)
      for (const larvae of LARVAE)
        expect(conditionText({ id: "A", lifted: "whole", firmness, larvae })).to.contain(firmness);
  });
});
