import { calibrationOf, shareOf } from "@jittery-cap/core/trainer";
import { expect } from "chai";
import type { WholeTold } from "../worker/practice-room.ts";
import { lineWords } from "./calibration-words.ts";
import { outcomeWords } from "./outcome-words.ts";
import { costWords, shareWords, standsWords } from "./practice-words.ts";

const TODAY = { minutes: 0, tries: 0, due: 0, fresh: 12, isEnough: false, daysAway: undefined, daysToCatchUp: 0 };

describe("what practice says of itself", () => {
  it("to somebody new: ten minutes a day, and that mistakes made here hurt nobody", () => {
    expect(standsWords(TODAY, 0)).to.match(/Ten minutes a day.*hurt nobody/);
  });
  it("to somebody who comes back: what is due, and nothing of what is not", () => {
    expect(standsWords({ ...TODAY, due: 1 }, 40)).to.equal("1 thing is due. 12 new ones today at the most.");
    expect(standsWords({ ...TODAY, due: 7, fresh: 1 }, 40)).to.equal("7 things are due. 1 new one today at the most.");
    expect(standsWords({ ...TODAY, fresh: 0 }, 40)).to.equal("Nothing is due.");
  });
  it("to somebody who was away for a year: so, that nothing is lost, and how long catching up takes", () => {
    const words = standsWords({ ...TODAY, due: 90, daysAway: 365, daysToCatchUp: 4 }, 400);
    expect(words)
      .to.match(/away for 12 months; nothing is lost/)
      .and.to.match(/caught up in 4 days/);
    expect(standsWords({ ...TODAY, due: 3, daysAway: 3 }, 400)).not.to.contain("away");
  });
  it("of a share: nothing from five tries, an interval from more", () => {
    expect(shareWords(shareOf(0, 5))).to.equal("0 of 5, too few to tell");
    expect(shareWords(shareOf(1, 20))).to.match(/^1 of 20, that is 0 to 25 of 100$/);
    expect(shareWords(shareOf(0, 59))).to.equal("0 of 59, that is 0 to 6 of 100");
  });
  it("of what a look costs: minutes, half of one, a night, nothing", () => {
    expect(costWords({ minutes: 2, waitHours: 0 })).to.equal("2 min");
    expect(costWords({ minutes: 0.5, waitHours: 0 })).to.equal("half a minute");
    expect(costWords({ minutes: 3, waitHours: 8 })).to.equal("a night");
    expect(costWords({ minutes: 0, waitHours: 0 })).to.equal("");
  });
});

describe("how sure against how often right", () => {
  const said = (sure: number, right: number, of: number) =>
    Array.from({ length: of }, (_unused, index) => ({ sure, isRight: index < right }));
  it("tells nothing from a few", () => {
    expect(lineWords(calibrationOf(said(0.9, 3, 5)))).to.match(/Too few/);
    expect(lineWords(calibrationOf([]))).to.match(/Too few/);
  });
  it("tells somebody who is surer than right, and somebody who knows more than they say", () => {
    expect(lineWords(calibrationOf(said(0.95, 8, 20)))).to.match(/^You are surer than you are right: .*\(8 of 20\)/);
    expect(lineWords(calibrationOf(said(0.5, 20, 20)))).to.match(/^You know more than you say/);
    expect(lineWords(calibrationOf(said(0.8, 16, 20)))).to.match(/^where you said 8 of ten, 8 of ten were right/);
  });
});

describe("what came of a whole find, in one line", () => {
  const told = (more: object) =>
    outcomeWords({
      said: { verdict: "hold", sure: 0.5 },
      verdict: "hold",
      kind: { id: "amanita-virosa", common: "destroying angel", scientific: "Amanita virosa", tier: "deadly" },
      isLetThrough: false,
      isTooEarly: false,
      isThrownAway: false,
      isRight: false,
      ...more,
    } as WholeTold);
  it("says the gravest first: let through, then too early, then thrown away", () => {
    const all = { isLetThrough: true, isTooEarly: true, isThrownAway: true };
    expect(told(all)).to.equal("the destroying angel went into the basket");
    expect(told({ ...all, isLetThrough: false })).to.equal("too early; by what was seen it is hold");
    expect(told({ isThrownAway: true })).to.equal("the destroying angel was left for nothing");
  });
  it("never congratulates, and says what was said and what it was", () => {
    expect(told({ isRight: true, said: { verdict: "leave", sure: 0.9 } })).to.equal("leave it, the destroying angel");
    expect(told({ verdict: "basket" })).to.equal("it was held; by what was seen it is basket");
    expect(told({ isRight: true })).not.to.match(/safe|well done|congrat|!/i);
  });
});
