import { expect } from "chai";
import fc from "fast-check";
import { applyChange } from "../find/apply-change.ts";
import { changeWords } from "../find/change-words.ts";
import type { Body, Find } from "../find/schema.ts";
import { judge } from "../judge/judge.ts";
import { rule } from "../judge/verdict.ts";
import { finds } from "../tests/arbitraries.ts";
import { bodyOf, FIELD_MUSHROOM, findOf, GRASS, OLDER } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { carefulUnion } from "./careful-union.ts";
import { differences } from "./differences.ts";
import { putTogether } from "./put-together.ts";

const PERMITS = { leave: 0, hold: 1, basket: 2 } as const;
const verdictOf = (find: Find) => rule(judge(find, SHIPPED)).verdict;
const CLEAR = findOf([bodyOf(FIELD_MUSHROOM), OLDER], { ...GRASS, label: "pale ones" });
const lookOf = (find: Find, character: string, body = 0) =>
  find.bodies[body]?.seen?.find((entry) => entry.character === character);

/** A find, and the same find after one of its bodies was recorded by another hand. */
const pairs = fc
  .tuple(finds(), finds(), fc.boolean())
  .map(([one, other, keepsBodies]): [Find, Find] => [
    one,
    { ...other, id: one.id, ...(keepsBodies ? { bodies: one.bodies } : {}) },
  ]);

describe("two records of one find as one", () => {
  it("is never more permissive than either, whatever the two hold", () => {
    let offered = 0;
    let all = 0;
    fc.assert(
      fc.property(pairs, ([mine, theirs]) => {
        const both = carefulUnion(mine, theirs, SHIPPED);
        all += 1;
        if (both === undefined) return;
        offered += 1;
        expect(PERMITS[verdictOf(both)]).to.be.at.most(Math.min(PERMITS[verdictOf(mine)], PERMITS[verdictOf(theirs)]));
      }),
      { numRuns: 150 },
    );
    // a rule that never offered anything would hold as well
    expect(offered / all).to.be.greaterThan(0.8);
  });

  it("of two clear records stays clear, where they are the same", () => {
    expect(verdictOf(CLEAR)).to.equal("basket");
    expect(carefulUnion(CLEAR, CLEAR, SHIPPED)).to.deep.equal(putTogether(CLEAR, CLEAR, "unsure"));
    expect(verdictOf(putTogether(CLEAR, CLEAR, "unsure"))).to.equal("basket");
  });

  it("a foot that only one device saw is unsure: the find that both hold is held", () => {
    const theirs = findOf([bodyOf({ ...FIELD_MUSHROOM, smell: "mushroomy" }), OLDER], GRASS);
    const mine: Find = {
      ...theirs,
      bodies: theirs.bodies.map((body) => ({
        ...body,
        seen: body.seen?.filter(({ character }) => character !== "base"),
      })),
    };
    const both = carefulUnion(mine, theirs, SHIPPED);
    expect(both && lookOf(both, "base")).to.deep.include({ sure: false });
    expect(both && verdictOf(both)).to.equal("hold");
  });

  it("a green print that only one device read still refuses the find", () => {
    const mine = findOf([bodyOf({ ...FIELD_MUSHROOM, "spore-print": "green" }, { age: "mature" })], GRASS);
    const theirs = findOf([bodyOf(FIELD_MUSHROOM, { age: "mature" })], GRASS);
    expect(verdictOf(mine)).to.equal("leave");
    const both = carefulUnion(mine, theirs, SHIPPED);
    expect(both && verdictOf(both)).to.equal("leave");
  });

  it("takes the more careful of what was told", () => {
    const one = findOf([bodyOf({}, { wear: ["handled"], lifted: "whole", larvae: "few", keep: false })], {
      weather: { frostLastNight: false, airTempC: 9, drySpellDays: 2 },
      rules: { distance: 2, amanitas: "known", larvae: "trim" },
      site: { concerns: ["roadside"] },
    });
    const other = findOf([bodyOf({}, { wear: ["rain-washed"], lifted: "cut", larvae: "riddled" })], {
      weather: { frostLastNight: true, airTempC: 3, drySpellDays: 9 },
      rules: { distance: 3, larvae: "none" },
    });
    const both = putTogether(one, other, "unsure");
    expect(both.bodies[0]).to.deep.include({ lifted: "cut", larvae: "riddled", keep: true });
    expect(both.bodies[0]?.wear).to.have.members(["handled", "rain-washed"]);
    expect(both.weather).to.deep.equal({ frostLastNight: true, airTempC: 3, drySpellDays: 9 });
    expect(both.rules).to.deep.equal({ distance: 3, larvae: "none" });
    expect(both.site?.concerns).to.deep.equal(["roadside"]);
  });

  it("an age that they tell differently is told by nobody, and a print stays under its cup", () => {
    const laid: Body["print"] = { laidAt: "2026-09-14T20:00:00Z" };
    const one = findOf([bodyOf({}, { age: "young", print: laid })]);
    const other = findOf([
      bodyOf({}, { age: "mature", print: { ...laid, readAt: "2026-09-15T06:00:00Z", result: "thick" } }),
    ]);
    const both = putTogether(one, other, "unsure");
    expect(both.bodies[0]?.age).to.equal(undefined);
    expect(both.bodies[0]?.print).to.deep.equal(laid);
  });
});

describe("what two records differ in", () => {
  it("is named with both sides, and nothing else is", () => {
    const one = findOf([bodyOf({ ring: "skirt" }), OLDER], { label: "pale", weather: { airTempC: 9 } });
    const other = findOf([bodyOf({ ring: "?none" })], { label: "pale", weather: { airTempC: 4 } });
    expect(differences(one, other)).to.deep.equal([
      { what: "weather, airTempC", mine: "9", theirs: "4" },
      { what: "body A, ring", mine: "skirt", theirs: "none, unsure" },
      { what: "body B", mine: "is there", theirs: "nothing" },
    ]);
  });

  it("is empty for one record, and is not for two that read differently", () => {
    fc.assert(
      fc.property(finds(), finds(), (one, other) => {
        expect(differences(one, one)).to.deep.equal([]);
        const renamed: Find = { ...one, label: "another" };
        expect(differences(one, renamed)).to.have.length(one.label === "another" ? 0 : 1);
        expect(differences(one, { ...other, bodies: [...other.bodies] })).to.be.an("array");
      }),
      { numRuns: 60 },
    );
  });
});

describe("a change in words", () => {
  it("tells who was looked at, what was seen, and how surely", () => {
    expect(
      changeWords({
        kind: "observe",
        body: "B",
        character: "ring",
        entries: [{ character: "ring", states: ["skirt"], sure: false }],
      }),
    ).to.equal("B: ring: skirt, unsure");
    expect(
      changeWords({
        kind: "observe",
        body: "B",
        character: "base",
        entries: [{ character: "base", unseen: "too dark" }],
      }),
    ).to.equal("B: shape of the foot: not looked: too dark");
    expect(changeWords({ kind: "unsee", body: "B", character: "ring" })).to.equal("B: ring: taken back");
    expect(changeWords({ kind: "set-body", body: "A", field: "wear", value: ["rain-washed", "handled"] })).to.equal(
      "A: wear: rain washed, handled",
    );
    expect(changeWords({ kind: "set-weather", field: "frostLastNight", value: true })).to.equal(
      "weather: frost last night: yes",
    );
    expect(changeWords({ kind: "set-place", field: "lon", value: -25.4 })).to.equal("place: longitude: -25.4");
    expect(changeWords({ kind: "set-place", field: "lat", value: null })).to.equal("place: latitude: left out");
  });

  it("has words for every change that a person can make", () => {
    const find = findOf([bodyOf({}, { measures: { capCm: 4 } })]);
    const change = { kind: "set-body", body: "A", field: "measures", value: { capCm: 5 } } as const;
    expect(applyChange(find, change).ok).to.equal(true);
    expect(changeWords(change)).to.equal("A: measures: cap, cm 5");
    expect(changeWords({ kind: "add-body", body: bodyOf({}, { id: "C" }) })).to.equal("body C added");
    expect(changeWords({ kind: "remove-body", body: "C" })).to.equal("body C taken out");
    expect(changeWords({ kind: "set-site", field: "host", value: ["birch"] })).to.equal("ground: host: birch");
    expect(changeWords({ kind: "set-rule", field: "distance", value: 3 })).to.equal("house rule: distance: 3");
    expect(changeWords({ kind: "set-find", field: "label", value: "pale" })).to.equal("find: label: pale");
  });
});
