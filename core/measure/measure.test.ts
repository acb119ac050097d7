import { expect } from "chai";
import fc from "fast-check";
import ICAL from "ical.js";
import jstat from "jstat";
import * as statistics from "simple-statistics";
import { printCalendar } from "../formats/ics.ts";
import { answerTo, bodyOf, findOf } from "../tests/build.ts";
import type { Lab } from "./colour.ts";
import { laidPrints, printStage } from "./prints.ts";
import { batchLines, chanceOfNone, looksNeeded, looksNeededOfMany } from "./sampling.ts";
import { cmOf, inchesOf, lengthBy } from "./size.ts";
import { readSpores, sporeStatistics, spreadOf } from "./spores.ts";
import { readStain, type StainMoment } from "./stain-series.ts";

const positive = fc.double({ min: 0.5, max: 40, noNaN: true });

describe("how many of a troop to look at", () => {
  it("without end: 22 for 90/90, 59 for 95/95, 299 for 95 % that fewer than one in a hundred (success-run theorem)", () => {
    expect(looksNeededOfMany(0.1, 0.9)).to.equal(22);
    expect(looksNeededOfMany(0.05, 0.95)).to.equal(59);
    expect(looksNeededOfMany(0.01, 0.95)).to.equal(299);
  });

  it("has the chances of a statistics library's hypergeometric (jStat)", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.nat(60), fc.nat(60), (troop, strange, looked) => {
        const [s, l] = [Math.min(strange, troop), Math.min(looked, troop)];
        expect(chanceOfNone(troop, s, l)).to.be.closeTo(jstat.hypgeom.pdf(0, troop, s, l), 1e-9);
      }),
    );
  });

  it("is the least number that is enough, by counting", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 80 }), fc.integer({ min: 1, max: 10 }), (troop, strange) => {
        const wanted = Math.min(strange, troop);
        const looks = looksNeeded(troop, wanted, 0.95);
        expect(chanceOfNone(troop, wanted, looks)).to.be.at.most(0.05 + 1e-9);
        if (looks > 0) expect(chanceOfNone(troop, wanted, looks - 1)).to.be.above(0.05);
      }),
    );
  });

  it("is nearly all of a small troop when a single one must not be missed: for deadly company it is every one", () => {
    expect(looksNeeded(20, 1, 0.95)).to.equal(19);
    expect(looksNeeded(20, 1, 0.99)).to.equal(20);
    expect(looksNeeded(10, 1, 0.95)).to.equal(10);
    expect(batchLines(40).map((line) => line.looks)).to.satisfy((looks: number[]) => looks.every((one) => one <= 40));
  });

  it("comes near the endless troop as the troop grows", () => {
    expect(looksNeeded(4000, 200, 0.95)).to.be.within(57, 59);
  });

  it("refuses numbers that are none", () => {
    expect(() => looksNeeded(0, 1, 0.95)).to.throw(RangeError);
    expect(() => looksNeeded(5, 6, 0.95)).to.throw(RangeError);
    expect(() => looksNeededOfMany(0.05, 1)).to.throw(RangeError);
  });
});

describe("spores", () => {
  it("have the mean, standard deviation and quantiles of a statistics library (simple-statistics)", () => {
    fc.assert(
      fc.property(fc.array(positive, { minLength: 2, maxLength: 60 }), (values) => {
        const spread = spreadOf(values);
        expect(spread.mean).to.be.closeTo(statistics.mean(values), 1e-9);
        expect(spread.standardDeviation).to.be.closeTo(statistics.sampleStandardDeviation(values), 1e-9);
        expect(spread.min).to.equal(statistics.min(values));
        expect(spread.max).to.equal(statistics.max(values));
        // jStat's quantiles with both parameters 1 are type 7 of Hyndman and Fan
        const [low = 0, high = 0] = jstat.quantiles(values, [0.05, 0.95], 1, 1);
        expect(spread.low).to.be.closeTo(low, 1e-9);
        expect(spread.high).to.be.closeTo(high, 1e-9);
      }),
    );
  });

  it("are told in the books' notation", () => {
    const lengths = Array.from({ length: 30 }, (_unused, index) => 7 + (index % 10) * 0.2);
    const widths = Array.from({ length: 30 }, (_unused, index) => 4.5 + (index % 5) * 0.2);
    const { notation, q } = sporeStatistics(lengths, widths);
    expect(notation).to.match(/^7\.0–8\.8 × 4\.5–5\.3 µm, Q = 1\.\d–1\.\d, Qm = 1\.\d\d, n = 30$/);
    expect(q?.mean).to.be.closeTo(statistics.mean(lengths.map((value, index) => value / (widths[index] ?? 1))), 1e-9);
    expect(sporeStatistics([6, 7, 8, 9, 20]).notation).to.equal("(6.0) 6.2–17.8 (20.0) µm, n = 5");
  });

  it("are read as they are typed: with x, comma, tab, heading, decimal comma", () => {
    for (const text of [
      "8.1 x 4.9\n7.6 × 5",
      "8.1,4.9\n7.6,5.0",
      "length;width\n8,1;4,9\n7,6;5",
      "8.1\t4.9\n7.6\t5",
      " 8.1*4.9 \r\n\r\n7.6*5 ",
    ])
      expect(readSpores(text), text).to.deep.equal({ ok: true, lengths: [8.1, 7.6], widths: [4.9, 5] });
    expect(readSpores("8.1\n7.6")).to.deep.equal({ ok: true, lengths: [8.1, 7.6], widths: [] });
  });

  it("that are none are refused with their line", () => {
    expect(readSpores("8.1 x 4.9\nbig x 5")).to.deep.include({ ok: false });
    expect(JSON.stringify(readSpores("8.1 x 4.9\nbig x 5"))).to.contain("line 2");
    expect(JSON.stringify(readSpores("8 x 5\n-3 x 5"))).to.contain("line 2");
    expect(JSON.stringify(readSpores("8 x 5\n7"))).to.contain("both for every spore");
    expect(JSON.stringify(readSpores("  "))).to.contain("no spore");
  });
});

describe("a size from a picture", () => {
  const span = (length: number) =>
    [
      { x: 10, y: 10 },
      { x: 10 + length, y: 10 },
    ] as const;
  it("is the span by the scale, and as unsure as the marks", () => {
    const { cm, plusMinusCm } = lengthBy(span(600), span(200), 2.325);
    expect(cm).to.be.closeTo(6.975, 1e-9);
    expect(plusMinusCm).to.be.within(0.3, 0.8);
    expect(lengthBy(span(60), span(20), 2.325).plusMinusCm).to.be.above(plusMinusCm);
  });
  it("stays within its own uncertainty in 95 of 100 marked by a shaky finger", () => {
    let seed = 1;
    const next = () => {
      seed = (seed * 1_664_525 + 1_013_904_223) % 2 ** 32;
      return seed / 2 ** 32;
    };
    const shake = () => (next() + next() + next() + next() - 2) * Math.sqrt(3) * 2;
    let within = 0;
    for (let trial = 0; trial < 2000; trial++) {
      const marked = (length: number) =>
        [
          { x: 100 + shake(), y: 100 + shake() },
          { x: 100 + length + shake(), y: 100 + shake() },
        ] as const;
      const { cm, plusMinusCm } = lengthBy(marked(300), marked(100), 2);
      if (Math.abs(cm - 6) <= plusMinusCm) within += 1;
    }
    expect(within / 2000).to.be.above(0.95);
  });
  it("refuses a scale of no length, and turns inches", () => {
    expect(() => lengthBy(span(100), span(0), 2)).to.throw(RangeError);
    expect(() => lengthBy(span(100), span(10), 0)).to.throw(RangeError);
    expect(cmOf(1)).to.equal(2.54);
    expect(inchesOf(cmOf(3.2))).to.be.closeTo(3.2, 1e-12);
  });
});

describe("a stain over time", () => {
  const PALE: Lab = [92, 0, 8];
  const CHROME: Lab = [78, 6, 80];
  const series = (...moments: readonly [number, Lab][]): StainMoment[] =>
    moments.map(([seconds, lab]) => ({ seconds, lab }));

  it("that shows chrome in the first seconds is chrome yellow at once", () => {
    const reading = readStain(series([0, PALE], [6, CHROME], [60, CHROME]), "stain-base");
    expect(reading).to.deep.include({ states: ["chrome-yellow"], speed: "at-once", onset: 6, sure: true });
    expect(reading.strength).to.be.above(20);
    expect(reading.hue).to.be.within(75, 95);
  });

  it("is within a minute, or slow, by when it first shows (practice's marks)", () => {
    expect(readStain(series([0, PALE], [10, PALE], [45, CHROME]), "stain-base").speed).to.equal("within-a-minute");
    expect(readStain(series([0, PALE], [60, PALE], [280, CHROME]), "stain-base").speed).to.equal("slow");
  });

  it("that was not watched from the cut on is never sure", () => {
    expect(readStain(series([40, PALE], [70, CHROME]), "stain-base").sure).to.equal(false);
  });

  it("that shows nothing is none, and says when it was watched too short", () => {
    const short = readStain(series([0, PALE], [60, PALE]), "stain-base");
    expect(short).to.deep.include({ states: ["none"], sure: false });
    expect(short.text).to.contain("too short");
    expect(readStain(series([0, PALE], [300, [91, 0, 9]]), "stain-base").text).to.contain("five minutes");
  });

  it("takes its moments in any order, and needs two", () => {
    const moments = series([60, CHROME], [0, PALE], [6, CHROME]);
    expect(readStain(moments, "stain-base")).to.deep.equal(readStain([...moments].reverse(), "stain-base"));
    expect(() => readStain(series([0, PALE]), "stain-base")).to.throw(RangeError);
  });
});

describe("prints under way", () => {
  const LAID = "2026-09-14T18:00:00Z";
  const at = (hours: number) => new Date(Date.parse(LAID) + hours * 3_600_000);
  const find = findOf(
    [
      bodyOf({}, { id: "A", print: { laidAt: LAID, paper: "split-black-white" } }),
      bodyOf(
        {},
        { id: "B", print: { laidAt: "2026-09-14T17:00:00Z", readAt: "2026-09-15T06:00:00Z", result: "thick" } },
      ),
      bodyOf({}, { id: "C" }),
    ],
    { label: "pale ones; under, the birches" },
  );

  it("are early, may show, are due, and are over due by practice's hours: some, overnight, a day", () => {
    expect([1, 5, 13, 25].map((hours) => printStage(hours, false))).to.deep.equal([
      "early",
      "may-show",
      "due",
      "over-due",
    ]);
    expect(printStage(1, true)).to.equal("read");
    const [first, second] = laidPrints(find, at(13));
    expect(first).to.deep.include({ body: "A", stage: "due", first: at(4), usual: at(12), latest: at(24) });
    expect(second).to.deep.include({ body: "B", stage: "read" });
  });

  it("keep the find on hold and name the hours", () => {
    const answer = answerTo(find.bodies, { label: "x" });
    expect(answer.verdict).to.equal("hold");
    expect(answer.reasons.find((reason) => reason.code === "print-pending")?.text).to.contain("hours");
  });

  it("go into a calendar that an independent parser reads back (ical.js)", () => {
    const text = printCalendar(laidPrints(find, at(2)), at(2));
    for (const line of text.split("\r\n")) expect(new TextEncoder().encode(line).length).to.be.at.most(75);
    const calendar = new ICAL.Component(ICAL.parse(text));
    const events = calendar.getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));
    expect(events).to.have.length(1);
    expect(events[0]?.summary).to.equal("Read the print of A: pale ones; under, the birches");
    expect(events[0]?.startDate.toJSDate().toISOString()).to.equal(at(12).toISOString());
    expect(events[0]?.endDate.toJSDate().toISOString()).to.equal(at(24).toISOString());
    expect(calendar.getFirstSubcomponent("vevent")?.getAllSubcomponents("valarm")).to.have.length(2);
  });

  it("have a calendar without events where none waits, and keep every sign of a long name", () => {
    expect(new ICAL.Component(ICAL.parse(printCalendar([], at(0)))).getAllSubcomponents("vevent")).to.have.length(0);
    const long = findOf([bodyOf({}, { print: { laidAt: LAID } })], {
      label: `${"söta grå hattar, ".repeat(10)}\\ende`,
    });
    const text = printCalendar(laidPrints(long, at(1)), at(1));
    const event = new ICAL.Component(ICAL.parse(text)).getFirstSubcomponent("vevent");
    expect(event?.getFirstPropertyValue("summary")).to.equal(`Read the print of A: ${long.label}`);
  });
});
