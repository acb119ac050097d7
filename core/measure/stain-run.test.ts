import { expect } from "chai";
import type { Find } from "../find/schema.ts";
import { bodyOf, findOf, type Seen } from "../tests/build.ts";
import { type RunStepId, stainRun } from "./stain-run.ts";

const MILD = { frostLastNight: false, airTempC: 14, drySpellDays: 1 };
const run = (words: Seen, more: Partial<Find> = { weather: MILD }, entry: object = {}) => {
  const body = bodyOf(words);
  const seen = body.seen?.map((one) => (one.character === "smell" ? { ...one, ...entry } : one)) ?? [];
  const find = findOf([{ ...body, seen }], more);
  return stainRun(find, find.bodies[0] ?? body);
};
const stateOf = (of: ReturnType<typeof run>, step: RunStepId) => of.steps.find((one) => one.step === step)?.state;

describe("the run of stain and nose", () => {
  it("goes from cap to foot to nose, in that order", () => {
    expect(run({}).current).to.equal("scratch-cap");
    expect(run({ "stain-rub": "none" }).current).to.equal("nick-foot");
    expect(run({ "stain-rub": "none", "stain-base": "none" }).current).to.equal("nose");
    expect(run({ "stain-rub": "none", "stain-base": "none", smell: "mushroomy" }).current).to.equal(undefined);
  });

  it("ends where chrome shows, and there is no second test", () => {
    const chrome = run({ "stain-rub": "none", "stain-base": "chrome-yellow" });
    expect(chrome.ended).to.equal("Chrome yellow: leave it.");
    expect(stateOf(chrome, "nick-foot")).to.equal("failed");
    expect(stateOf(chrome, "nose")).to.equal("skipped");
    expect(chrome.current).to.equal(undefined);
  });

  it("goes on to the nose after a faint yellow, as practice does", () => {
    const faint = run({ "stain-rub": "faint-yellow", "stain-base": "faint-yellow" });
    expect(faint.ended).to.equal(undefined);
    expect(faint.current).to.equal("nose");
  });

  it("ends at ink, and at a smell that nobody can name and nobody likes", () => {
    for (const smell of ["chemical", "unpleasant-unnamed"])
      expect(run({ "stain-rub": "none", "stain-base": "none", smell }).ended, smell).to.equal(
        "A smell to leave it by.",
      );
  });

  it("after frost the first tests are silent, and heat is asked", () => {
    const frost = run(
      { "stain-rub": "none", "stain-base": "none", smell: "mushroomy" },
      { weather: { frostLastNight: true } },
    );
    expect(["scratch-cap", "nick-foot", "nose"].map((step) => stateOf(frost, step as RunStepId))).to.deep.equal([
      "silent",
      "silent",
      "silent",
    ]);
    expect(frost.current).to.equal("heat");
    const heated = run(
      { "stain-rub": "none", "stain-base": "none", smell: "mushroomy" },
      { weather: { frostLastNight: true } },
      { method: "heat" },
    );
    expect(stateOf(heated, "heat")).to.equal("passed");
  });

  it("in the cold the nose is silent until the piece was warmed", () => {
    const words = { "stain-rub": "none", "stain-base": "none", smell: "mushroomy" };
    expect(stateOf(run(words, { weather: { airTempC: 2, frostLastNight: false } }), "nose")).to.equal("silent");
    expect(
      stateOf(run(words, { weather: { airTempC: 2, frostLastNight: false, warmedInHand: true } }), "nose"),
    ).to.equal("passed");
  });

  it("without a nose the nose is skipped, and the run says that it is not complete", () => {
    const noseless = run({ "stain-rub": "none", "stain-base": "none" }, { weather: { ...MILD, cannotSmell: true } });
    expect(stateOf(noseless, "nose")).to.equal("skipped");
    expect(noseless.steps.find((one) => one.step === "nose")?.why).to.contain("not complete");
  });

  it("a stain that nobody is sure of is no pass", () => {
    expect(stateOf(run({ "stain-rub": "?none" }), "scratch-cap")).to.equal("silent");
  });
});
