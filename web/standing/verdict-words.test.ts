import { type Answer, assess, findSchema, VERDICTS } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { shownVerdict, VERDICT_WORDS } from "./verdict-words.ts";

const find = findSchema.parse({ format: "jittery-cap/find", version: 1, id: "t", bodies: [{ id: "A" }] });
const answer = assess(find, readKnowledge());
const saying = (verdict: Answer["verdict"]): Answer => ({ ...answer, verdict });

describe("the verdict on the screen", () => {
  it("is the core's own while it is the answer to the record on the screen", () => {
    for (const verdict of VERDICTS) expect(shownVerdict(saying(verdict), "fresh")).to.equal(verdict);
  });
  it("is never basket for a record that has changed since, nor when there is no answer", () => {
    expect(shownVerdict(saying("basket"), "working")).to.equal("hold");
    expect(shownVerdict(saying("basket"), "failed")).to.equal("hold");
    expect(shownVerdict(undefined, "working")).to.equal("hold");
  });
  it("stays at leave while a new answer is worked out", () =>
    expect(shownVerdict(saying("leave"), "working")).to.equal("leave"));
  it("has a word for each, and none of them is a permission", () => {
    for (const verdict of VERDICTS) expect(VERDICT_WORDS[verdict]).not.to.match(/safe|eat|good|ok/i);
  });
});
