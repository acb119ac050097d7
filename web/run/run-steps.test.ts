import { assess, newFind } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { openAnswers, runnableTests, runSteps } from "./run-steps.ts";

const knowledge = readKnowledge();
const fresh = newFind("0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10", "2026-09-14T10:00:00Z");
const finds = [...seasonFinds(), fresh];

describe("a hands-free run", () => {
  it("holds no test that waits for hours, and each of its steps asks at least what its test opens", () => {
    let steps = 0;
    for (const find of finds) {
      const tests = runnableTests(assess(find, knowledge));
      expect(tests.every((test) => test.waitHours === 0)).to.equal(true);
      for (const [index, step] of runSteps(tests, "A").entries()) {
        steps += 1;
        expect(step.text).to.equal(tests[index]?.text);
        expect(step.characters.length, step.text).to.be.above(0);
        expect(new Set(step.characters).size).to.equal(step.characters.length);
      }
    }
    expect(steps).to.be.above(5);
  });

  it("has nothing to do without an answer", () => {
    expect(runnableTests(undefined)).to.deep.equal([]);
  });

  it("leaves open what nobody has answered on that body, and nothing that somebody has", () => {
    const steps = runSteps(runnableTests(assess(fresh, knowledge)), "A");
    const open = openAnswers(fresh, steps);
    expect(open.length).to.be.above(0);
    const [one] = open;
    if (one === undefined) throw new Error("nothing open");
    const answered = {
      ...fresh,
      bodies: [
        {
          id: one.step.body ?? "A",
          seen: open.map(({ character }) => ({ character, unseen: "too dark" })),
        },
      ],
    };
    expect(openAnswers(answered, steps).filter(({ step }) => step.body === one.step.body)).to.deep.equal([]);
  });
});
