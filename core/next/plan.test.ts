import { expect } from "chai";
import fc from "fast-check";
import loadHighs from "highs";
import { type Answer, assess } from "../answer/answer.ts";
import type { Body } from "../find/schema.ts";
import { judge } from "../judge/judge.ts";
import { EVERYTHING_ALLOWED } from "../lint/lint.ts";
import { typicalFind } from "../lint/typical.ts";
import { finds } from "../tests/arbitraries.ts";
import { asProgram } from "../tests/as-program.ts";
import { answerTo, bodyOf, FIELD_MUSHROOM, findOf, GRASS, OLDER, PALE_ON_GRASS, seen } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { cheapestCover } from "./cover.ts";
import { FIELD_TESTS, TEST_WORDS } from "./field-tests.ts";
import { coverProblemOf } from "./plan.ts";

const tests = (answer: Answer) => answer.next.tests.map((test) => test.test);

describe("what to do next", () => {
  it("is to tell the age of a body first: until then its gills and its foot say nothing", () => {
    const answer = answerTo([bodyOf(PALE_ON_GRASS, { age: undefined, lifted: "standing" })], GRASS);
    expect(tests(answer)[0]).to.equal("tell-the-age");
    expect(tests(answer)).to.include("lift-base-whole");
  });

  it("does not ask to look again at what was seen, nor to lift what was lifted", () => {
    const answer = answerTo([bodyOf(PALE_ON_GRASS)], GRASS);
    expect(tests(answer)).not.to.include.members(["look-at-ring"]);
    expect(tests(answer)).not.to.include("lift-base-whole");
    expect(tests(answer)).to.include("look-at-foot");
  });

  it("asks for an older body where a kind has to be seen at two ages", () => {
    expect(tests(answerTo([bodyOf(FIELD_MUSHROOM)], GRASS))).to.include("find-an-older-one");
  });

  it("asks for warmth in the cold and for heat after frost", () => {
    const cold = answerTo([bodyOf({ ...PALE_ON_GRASS, base: "plain" }), OLDER], { ...GRASS, weather: { airTempC: 3 } });
    expect(tests(cold)).to.include("warm-and-smell").and.not.to.include("crush-and-smell");
    const frost = answerTo([bodyOf({ ...PALE_ON_GRASS, base: "plain" }), OLDER], {
      ...GRASS,
      weather: { frostLastNight: true },
    });
    expect(tests(frost)).to.include("heat-and-smell");
  });

  it("reads the print that is under its cup before another cap is spent", () => {
    const shank = {
      underside: "gills",
      ring: "none",
      "stem-surface": "velvety-darkening",
      "gill-colour": "cream",
      "gill-attachment": "adnexed",
    };
    const wood = { site: { substrate: ["stump"], growth: ["dense-cluster"] } };
    const body = bodyOf(shank, { print: { laidAt: "2026-11-21T16:30:00+01:00" } });
    expect(tests(answerTo([body, bodyOf(shank, { id: "B", age: "mature" })], wood)))
      .to.include("read-spore-print")
      .and.not.to.include("take-spore-print");
  });

  it("counts a print for the other bodies that would take it over, and says of none of them that nothing is left", () => {
    const shank = {
      underside: "gills",
      ring: "none",
      "stem-surface": "velvety-darkening",
      "gill-colour": "cream",
      "gill-attachment": "adnexed",
      base: "fused",
      "flesh-colour": "cream",
    };
    const wood = { site: { substrate: ["stump"], growth: ["dense-cluster"] } };
    const under = bodyOf(shank, { id: "B", age: "mature", print: { laidAt: "2026-11-21T16:30:00+01:00" } });
    const { next } = answerTo([bodyOf(shank), under], wood);
    expect(next.tests.map((test) => [test.test, test.body])).to.deep.include(["read-spore-print", "B"]);
    expect(next.cannotSettle).to.deep.equal([]);
  });

  it("is nothing where the matter has ended", () => {
    expect(tests(answerTo([bodyOf({ smell: "chemical" })]))).to.deep.equal([]);
    expect(tests(answerTo([bodyOf(FIELD_MUSHROOM), OLDER], GRASS))).to.deep.equal([]);
  });

  it("names no test for a find that fits no sheet", () => {
    expect(tests(answerTo([bodyOf({ underside: "lobed", latex: "orange", ring: "cogwheel" })]))).to.deep.equal([]);
  });

  it("says of a danger that nothing here can settle which it is and why", () => {
    const body = bodyOf(
      { ...PALE_ON_GRASS, "stain-base": "none", smell: "mushroomy" },
      { lifted: "whole", wear: ["cleaned"] },
    );
    const footed = { ...body, seen: [...(body.seen ?? []), ...seen({ base: "plain" })] };
    const { cannotSettle } = answerTo([footed], GRASS).next;
    expect(cannotSettle.map((one) => one.sheet)).to.include("amanita-virosa");
    expect(cannotSettle.map((one) => one.why).join()).to.match(/worn away/);
    // beside an older one that was printed, its own print would be the second look at what an angel never shows
    const beside = answerTo([footed, OLDER], GRASS).next;
    expect(beside.cannotSettle.map((one) => one.sheet)).not.to.include("amanita-virosa");
    expect(beside.tests.map((test) => test.test)).to.include("take-spore-print");
  });

  it("names several tests that settle only together what none of them settles alone", () => {
    const worn = bodyOf({ ...FIELD_MUSHROOM, "gill-colour": "?pink" }, { wear: ["cleaned"] });
    const grown = { ...worn, id: "B", age: "mature" as const };
    const { next } = answerTo([worn, grown], GRASS);
    const prints = next.tests.filter((test) => test.test === "take-spore-print");
    expect(prints.map((test) => test.body)).to.have.members(["A", "B"]);
    expect(next.cannotSettle.map((one) => one.sheet)).not.to.include("amanita-virosa");
    const printed = (body: Body): Body => ({
      ...body,
      seen: [...(body.seen ?? []), ...seen({ "spore-print": "chocolate-brown" })],
    });
    const statusOf = (answer: Answer) => answer.dangers.find((danger) => danger.sheet === "amanita-virosa")?.status;
    expect(statusOf(answerTo([printed(worn), grown], GRASS))).not.to.equal("ruled-out");
    expect(statusOf(answerTo([worn, printed(grown)], GRASS))).not.to.equal("ruled-out");
    expect(statusOf(answerTo([printed(worn), printed(grown)], GRASS))).to.equal("ruled-out");
  });

  it("does what it promises: once a test was done and went as supposed, each danger it named is one mistake farther", () => {
    const before = answerTo([bodyOf(PALE_ON_GRASS, { lifted: "standing" })], GRASS);
    const lift = before.next.tests[0];
    expect(lift?.test).to.equal("lift-base-whole");
    const after = answerTo([bodyOf({ ...PALE_ON_GRASS, base: "plain" })], GRASS);
    const at = (answer: Answer, sheet: string) =>
      answer.dangers.find((danger) => danger.sheet === sheet)?.mistakes ?? -1;
    for (const sheet of lift?.movesAway ?? []) expect(at(after, sheet)).to.equal(at(before, sheet) + 1);
  });

  it("adds up its minutes, waits once, and names only tests and dangers that exist", () => {
    fc.assert(
      fc.property(finds(), (find) => {
        const { next, dangers } = assess(find, SHIPPED);
        expect(next.minutes).to.be.closeTo(
          next.tests.reduce((sum, test) => sum + test.minutes, 0),
          1e-9,
        );
        expect(next.waitHours).to.equal(Math.max(0, ...next.tests.map((test) => test.waitHours)));
        const known = new Set(dangers.map((danger) => danger.sheet));
        for (const test of next.tests) {
          expect(TEST_WORDS).to.have.property(test.test);
          for (const sheet of test.movesAway) expect(known).to.include(sheet);
          if (test.body !== undefined) expect(find.bodies.map((body) => body.id)).to.include(test.body);
        }
      }),
      { numRuns: 120 },
    );
  });

  it("measures where size is what tells a large harmless funnel from a small deadly one", () => {
    const sheet = SHIPPED.byId.get("infundibulicybe-geotropa");
    if (sheet === undefined) throw new Error("no such sheet");
    const typical = typicalFind(sheet, {}, "mature");
    const unmeasured = { ...typical, bodies: typical.bodies.map(({ measures: _measures, ...body }) => body) };
    const before = assess(unmeasured, SHIPPED);
    const funnel = (answer: Answer) => answer.dangers.find((danger) => danger.sheet === "clitocybe-rivulosa");
    expect(funnel(before)?.status).not.to.equal("ruled-out");
    const measure = before.next.tests.find((test) => test.test === "measure");
    expect(measure?.movesAway).to.include("clitocybe-rivulosa");
    expect(funnel(assess(typical, SHIPPED))?.status).to.equal("ruled-out");
  });

  it("looks under a young cap for a veil before its gills may show a must", () => {
    const answer = answerTo([bodyOf({ "cap-colour": "white" })], GRASS);
    expect(tests(answer)).to.include("look-under");
    expect(answer.next.tests.find((test) => test.test === "look-under")?.text).to.match(/veil/);
  });

  it("costs what an integer programming solver finds, for the plan of every typical find not yet begun", async () => {
    const highs = await loadHighs();
    let solved = 0;
    for (const sheet of SHIPPED.sought) {
      const typical = typicalFind(sheet, { rules: EVERYTHING_ALLOWED });
      const begun = { ...typical, bodies: typical.bodies.map(({ id, age }) => ({ id, age })) };
      const problem = coverProblemOf(judge(begun, SHIPPED));
      if (problem === undefined || problem.demands.length === 0) continue;
      const cover = cheapestCover(problem);
      const solution = highs.solve(asProgram(problem));
      expect(solution.Status, sheet.id).to.equal("Optimal");
      expect(cover?.cost, sheet.id).to.be.closeTo(solution.ObjectiveValue, 1e-6);
      // the plan goes through the same demands in its arrays
      expect(problem.cover, sheet.id).to.deep.equal(cover);
      solved += 1;
    }
    expect(solved).to.be.greaterThan(40);
  });

  it("has words for every test", () => {
    for (const test of FIELD_TESTS) expect(TEST_WORDS).to.have.property(test.id);
  });
});

describe("what is at stake", () => {
  it("is, at the foot of a pale ringed one, both amanitas; once it was dug and seen, nothing", () => {
    const before = assess(findOf([bodyOf(PALE_ON_GRASS, { lifted: "standing" })], GRASS), SHIPPED);
    expect(before.atStake.base).to.include.members(["amanita-phalloides", "amanita-virosa"]);
    const after = assess(findOf([bodyOf(FIELD_MUSHROOM), OLDER], GRASS), SHIPPED);
    expect(after.atStake).to.deep.equal({});
  });
});
