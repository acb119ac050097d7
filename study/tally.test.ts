import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { plotOf } from "./plot.ts";
import { reportOf } from "./report.ts";
import { interval, median, sum, type Tally } from "./tally.ts";

const tally = (more: Partial<Tally>): Tally => ({
  part: "advice",
  sheet: "amanita-virosa",
  slips: 0.02,
  day: "any",
  draws: 1000,
  basket: 0,
  leave: 900,
  minutes: [],
  passedFor: {},
  reasons: {},
  ...more,
});

describe("the figures of the study", () => {
  it("give the interval of a share by the score method", () => {
    // worked examples as statistics texts have them, from memory: 0 of 10 up to 0.2775, 1 of 20 from 0.0089 to 0.2361
    expect(interval(0, 10)[0]).to.equal(0);
    expect(interval(0, 10)[1]).to.be.closeTo(0.2775, 1e-4);
    expect(interval(1, 20)[0]).to.be.closeTo(0.0089, 1e-4);
    expect(interval(1, 20)[1]).to.be.closeTo(0.2361, 1e-4);
  });
  it("say that nothing seen in 400,000 leaves less than 1 in 100,000", () => {
    expect(interval(0, 400_000)[1]).to.be.lessThan(1e-5);
    expect(interval(0, 300_000)[1]).to.be.greaterThan(1e-5);
  });
  it("take the middle of some numbers, and none of none", () => {
    expect(median([3, 1, 2])).to.equal(2);
    expect(median([4, 1, 2, 3])).to.equal(2.5);
    expect(median([])).to.be.NaN;
  });
  it("add up", () => {
    expect(sum([tally({ basket: 1, minutes: [7] }), tally({ leave: 3 })])).to.deep.equal({
      draws: 2000,
      basket: 1,
      leave: 903,
      minutes: [7],
    });
  });
  it("are told with the danger that passed, what it passed for, and the kinds that fall short", () => {
    const report = reportOf(
      [
        tally({ basket: 1, passedFor: { "agaricus-campestris or agaricus-arvensis": 1 } }),
        tally({
          sheet: "hydnum-repandum",
          slips: 0,
          day: "ordinary",
          draws: 10,
          basket: 5,
          minutes: [9, 9, 9, 9, 9],
          reasons: { doubt: 5 },
        }),
      ],
      undefined,
      readKnowledge(),
      "no time",
    );
    expect(report).to.match(/\| 2\.0 % \| destroying angel \(northern\) \| field mushroom or horse mushroom \| 1 \|/);
    expect(report).to.match(/\| hedgehog mushroom \| 50\.0 % \| something was in doubt \(5\) \|/);
    expect(report).to.match(/\| 0\.0 % \| 10 \| 50\.0 % \| 9 \|/);
  });
  it("are plotted as a picture without a screen", () => {
    const picture = plotOf(
      [tally({}), tally({ sheet: "hydnum-repandum", day: "ordinary", basket: 900 })],
      readKnowledge(),
    );
    expect(picture)
      .to.match(/^<svg/)
      .and.to.match(/good finds/);
  });
});
