import { expect } from "chai";
import { bodyOf, findOf } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { courseOf } from "./course.ts";
import { weakInLog } from "./own-log.ts";
import { allSkills, pairId } from "./skills.ts";

const skills = allSkills(SHIPPED);
const weakOf = (log: Partial<Parameters<typeof weakInLog>[0]>) =>
  weakInLog({ finds: [], wrongIdeas: [], opinions: [], ...log }, SHIPPED, skills);

describe("what one's own log feeds", () => {
  it("is nothing where nothing went wrong", () => {
    expect(weakOf({ finds: [findOf([bodyOf({ ring: "skirt" })])] })).to.deep.equal([]);
  });
  it("is the pair of what a find was taken for and what it came to be named, whichever was the danger", () => {
    const bell = pairId("galerina-marginata", "kuehneromyces-mutabilis");
    for (const idea of [
      { takenFor: "kuehneromyces-mutabilis", named: "galerina-marginata" },
      { takenFor: "galerina-marginata", named: "kuehneromyces-mutabilis" },
    ])
      expect(weakOf({ wrongIdeas: [idea] })).to.deep.equal([bell]);
  });
  it("is every double of a kind that a find was taken for and was not, whatever it was", () => {
    const find = findOf([bodyOf({ ring: "skirt" }, { ending: "left-test-failed" })], {
      takenFor: "agaricus-campestris",
    });
    const weak = weakOf({ finds: [find] });
    expect(weak).to.include(pairId("amanita-virosa", "agaricus-campestris"));
    expect(weak.every((id) => id.endsWith("/agaricus-campestris"))).to.equal(true);
  });
  it("is a look that was taken back: both states of it", () => {
    const body = bodyOf({});
    const seen = [
      { character: "base" as const, states: ["bulb"], at: "2026-09-01T10:00:00Z" },
      { character: "base" as const, states: ["sac"], at: "2026-09-01T11:00:00Z" },
    ];
    expect(weakOf({ finds: [findOf([{ ...body, seen }])] })).to.deep.equal(["look:base/bulb", "look:base/sac"]);
  });
  it("is a look that somebody else saw otherwise", () => {
    const find = findOf([bodyOf({ ring: "skirt" })]);
    const looks = [{ body: "A", entry: { character: "ring" as const, states: ["remnants"] } }];
    expect(weakOf({ finds: [find], opinions: [{ about: find.id, looks }] })).to.deep.equal(["look:ring/remnants"]);
  });
});

describe("the course of a poisoning", () => {
  it("is told of every danger, with the hours of its sheet, and without theatre", () => {
    for (const sheet of SHIPPED.dangers) {
      const course = courseOf(sheet);
      expect(course.length, sheet.id).to.be.greaterThan(30);
      if (sheet.onsetHours !== undefined)
        expect(course).to.match(
          /^It begins (\d+(\.\d)? (minutes|hours|days)|an hour) to (\d+(\.\d)? (minutes|hours|days)|an hour) after the meal\./,
        );
      expect(course).not.to.match(/!|skull|horrible|agony/i);
    }
    const deathCap = SHIPPED.byId.get("amanita-phalloides");
    if (deathCap === undefined) throw new Error("no death cap");
    // the day of seeming recovery is why people come too late (White and others, Toxicon 157, 2019; from memory)
    expect(courseOf(deathCap)).to.match(/feels better while the liver fails/);
  });
});
