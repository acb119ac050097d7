import { expect } from "chai";
import fc from "fast-check";
import { finds } from "../tests/arbitraries.ts";
import { borderFinds } from "../tests/border-finds.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { assess } from "./answer.ts";
import { answerSummarySchema, summarise, summaryOf } from "./summary.ts";

describe("the summary of an answer", () => {
  it("is the same worked out alone and taken from the whole answer, and is what its schema says", () => {
    fc.assert(
      fc.property(fc.oneof(finds(), borderFinds()), (find) => {
        const alone = summarise(find, SHIPPED);
        expect(alone).to.deep.equal(summaryOf(assess(find, SHIPPED)));
        expect(answerSummarySchema.parse(JSON.parse(JSON.stringify(alone)))).to.deep.equal(alone);
      }),
      { numRuns: 30 },
    );
  });
});
