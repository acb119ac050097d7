import { expect } from "chai";
import fc from "fast-check";
import type { Find } from "../find/schema.ts";
import { FAMILIES } from "../find/vocabulary.ts";
import { familyBit } from "../judge/families.ts";
import { judge } from "../judge/judge.ts";
import { finds } from "../tests/arbitraries.ts";
import { borderFinds } from "../tests/border-finds.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { cheapestCover, isAttainable } from "./cover.ts";
import { familiesIn, HARD } from "./needs.ts";
import { coverProblemOf } from "./plan.ts";
import { secondBit } from "./second-looks.ts";

/** A find with some of what was seen taken away: a record on its way. */
const begun: fc.Arbitrary<Find> = fc
  .tuple(fc.oneof({ weight: 3, arbitrary: borderFinds() }, { weight: 1, arbitrary: finds() }), fc.nat({ max: 12 }))
  .map(([find, kept]) => ({
    ...find,
    bodies: find.bodies.map((body) => ({ ...body, seen: (body.seen ?? []).slice(0, kept) })),
  }));

describe("the demands of needs", () => {
  it("choose, gone through in their arrays, what they choose one by one, on records on their way", () => {
    let asking = 0;
    fc.assert(
      fc.property(begun, (find) => {
        const problem = coverProblemOf(judge(find, SHIPPED));
        if (problem === undefined) return;
        if (problem.demands.length > 0) asking += 1;
        expect(problem.demands.every(isAttainable)).to.equal(true);
        expect(problem.cover).to.deep.equal(cheapestCover(problem));
      }),
      { numRuns: 120 },
    );
    expect(asking).to.be.greaterThan(60);
  });

  it("have a bit for what is hard that no family has, nor a family's second look", () => {
    const bits = FAMILIES.map(familyBit);
    const all = [...bits, ...bits.map(secondBit), HARD].map((bit) => bit >>> 0);
    expect(new Set(all)).to.have.length(2 * FAMILIES.length + 1);
    for (const bit of all) expect(Math.log2(bit) % 1).to.equal(0);
    expect(familiesIn(bits.reduce((set, bit) => set | bit | secondBit(bit), HARD))).to.equal(2 * FAMILIES.length);
  });
});
