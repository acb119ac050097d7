import { expect } from "chai";
import fc from "fast-check";
import { assess } from "../answer/answer.ts";
import { REASON_CODES } from "../judge/reason.ts";
import { STOP_RULES } from "../judge/stop-rules.ts";
import { finds } from "../tests/arbitraries.ts";
import { borderFinds } from "../tests/border-finds.ts";
import { bodyOf, findOf } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { CONDITION_CODES, CONDITION_WORDS, dangersStand, firstFew, STOP_SIGN_WORDS } from "./reason-words.ts";

describe("the sentences of an answer", () => {
  it("end as sentences do, stumble over no label, and each has a code that stays", () => {
    const seen = new Set<string>();
    fc.assert(
      fc.property(fc.oneof(finds(), borderFinds()), (find) => {
        const answer = assess(find, SHIPPED);
        for (const { code, text } of [...answer.reasons, ...answer.bodies.flatMap((body) => body.reasons)]) {
          seen.add(code);
          expect(REASON_CODES).to.include(code);
          expect(text, code).to.match(/^[A-Z0-9].*[.?]$/s);
          expect(text, code).not.to.match(/undefined|NaN|\bthe the\b|\ba an\b| {2}|\.\.$/);
        }
      }),
      { numRuns: 120 },
    );
    expect(seen.size).to.be.at.least(6);
  });

  it("call a kind whose name has an article by that one article", () => {
    const miller = SHIPPED.byId.get("clitopilus-prunulus");
    expect(miller?.names.common).to.equal("the miller");
    const grey = findOf([
      bodyOf({
        underside: "gills",
        "gill-attachment": "decurrent",
        "spore-print": "pink",
        "gill-colour": "grey",
        smell: "mealy",
      }),
    ]);
    const answer = assess(grey, SHIPPED);
    const told = JSON.stringify([answer.reasons, answer.candidates, answer.dangers]);
    expect(told)
      .to.contain("; the miller has")
      .and.not.match(/\bthe the\b/);
  });

  it("name the first few dangers together with those as far, and count the rest", () => {
    const danger = (name: string, mistakes: number, softOnly = false) => ({ name, mistakes, softOnly });
    expect(dangersStand([danger("the death cap", 0)])).to.equal("Nothing seen speaks against the death cap.");
    expect(dangersStand([danger("the death cap", 1), danger("the panther", 1)])).to.equal(
      "One mistake away: the death cap and the panther.",
    );
    expect(
      dangersStand([danger("a", 0), danger("b", 1), danger("c", 2, true), danger("d", 2), danger("e", 3)]),
    ).to.equal(
      "Nothing seen speaks against a. One mistake away: b. Two mistakes away, but by soft points alone: c. 2 more stand.",
    );
    expect(dangersStand([danger("a", 5), danger("b", 0), danger("c", 0), danger("d", 0)])).to.match(/1 more stands\.$/);
  });

  it("name three and say how many more there are", () => {
    expect(firstFew(["a"])).to.equal("a");
    expect(firstFew(["a", "b", "c", "d", "e"], "and")).to.equal("a, b, c and 2 more");
  });

  it("are there for every stop sign and every condition", () => {
    expect(STOP_RULES.map((rule) => rule.code).sort()).to.deep.equal(Object.keys(STOP_SIGN_WORDS).sort());
    expect(new Set(STOP_RULES.map((rule) => rule.code)).size).to.equal(STOP_RULES.length);
    for (const code of CONDITION_CODES) expect(CONDITION_WORDS[code]).to.match(/\.$/);
    for (const code of Object.keys(STOP_SIGN_WORDS)) expect(REASON_CODES).to.include(code);
  });
});
