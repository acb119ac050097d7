import { assess } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { shownAnswer } from "../standing/shown-answer.ts";
import { asksReason, endingsOf, isReady, toldOf } from "./endings-draft.ts";

const find = seasonFinds().find((one) => one.label?.startsWith("white ones in an arc"));
if (find === undefined) throw new Error("no such find");
const answer = shownAnswer(assess(find, readKnowledge()));
const [kept] = find.bodies.filter((body) => body.keep !== false);
if (kept === undefined) throw new Error("nothing kept");

describe("what is chosen to become of a body", () => {
  it("is nothing until an ending is chosen", () => {
    expect(toldOf("A", {})).to.equal(undefined);
    expect(toldOf("A", { reason: "because" })).to.equal(undefined);
    expect(isReady(answer, kept, {})).to.equal(false);
    expect(endingsOf(find, {})).to.deep.equal([]);
  });

  it("wants a reason where the answer would permit more, and blanks are none", () => {
    expect(answer.verdict).to.equal("basket");
    const stricter = { ending: "looked-at-only" } as const;
    expect(asksReason(answer, toldOf(kept.id, stricter))).to.equal(true);
    expect(isReady(answer, kept, { [kept.id]: stricter })).to.equal(false);
    expect(isReady(answer, kept, { [kept.id]: { ...stricter, reason: "   " } })).to.equal(false);
    expect(isReady(answer, kept, { [kept.id]: { ...stricter, reason: "too few" } })).to.equal(true);
    expect(isReady(answer, kept, { [kept.id]: { ending: "basket" } })).to.equal(true);
  });

  it("forgets what was cut off where it is no food any more", () => {
    expect(toldOf("A", { ending: "basket", off: ["stem"] })).to.deep.include({ off: ["stem"] });
    expect(toldOf("A", { ending: "looked-at-only", off: ["stem"] })).not.to.have.property("off");
  });
});
