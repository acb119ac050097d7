/** The way to an answer is promised only where the tests that are left lead to one. */
import { assess, type Find, newFind } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { staysHeld, wayTitle } from "./way-words.ts";

const AT = "2026-10-29T10:00:00+01:00";
const knowledge = readKnowledge();

/** Grown tawny funnels in an arc, described from nature; the second one's print is not laid yet. */
const FUNNELS: Find = {
  ...newFind("01a2f3c0-7a1e-7c64-9d5b-000000000001", AT),
  place: { region: "europe" },
  rules: { upsetters: "cooked" },
  site: { habitat: ["broadleaf-woodland"], substrate: ["leaf-litter"], host: ["beech"], growth: ["ring-or-arc"] },
  weather: { frostLastNight: false, rain24hMm: 0, airTempC: 13, drySpellDays: 1, printPaper: "split-black-white" },
  bodies: (["A", "B"] as const).map((id) => ({
    id,
    age: id === "A" ? ("mature" as const) : ("young" as const),
    lifted: "whole" as const,
    firmness: "firm" as const,
    measures: { capCm: id === "A" ? 8 : 5, stemLengthCm: 4, stemWidthMm: 9 },
    seen: Object.entries({
      underside: "gills",
      "gill-attachment": "decurrent",
      "gill-colour": "cream",
      "cap-colour": "tawny",
      "cap-surface": "smooth",
      "cap-shape": "funnel",
      "stem-colour": "tawny",
      "stem-surface": "fibrillose",
      ring: "none",
      base: "plain",
      smell: "none",
      "flesh-colour": "cream",
      "stain-cut": "none",
      latex: "none",
      ...(id === "A" ? { "spore-print": "cream" } : {}),
    }).map(([character, state]) => ({ character, states: [state] })),
  })) as unknown as Find["bodies"],
};

describe("the tests that are left, at Decide", () => {
  it("are no way to an answer where a danger stands whatever they show", () => {
    const answer = assess(FUNNELS, knowledge);
    expect(answer.verdict).to.equal("hold");
    expect(answer.next.tests.length, "looks are left").to.be.greaterThan(0);
    expect(answer.next.cannotSettle.map((one) => one.sheet)).to.include("paralepistopsis-amoenolens");
    expect(staysHeld(answer)).to.equal(true);
    expect(wayTitle(answer)).to.match(/^Left to look at: \d+ min/);
  });

  const [test] = assess(FUNNELS, knowledge).next.tests;
  const left = (more: object) => ({
    reasons: [],
    next: { tests: [], minutes: 3, waitHours: 4, cannotSettle: [], further: [], ...more },
  });
  it("are one where they settle all, and where a body is left out besides", () => {
    expect(wayTitle(left({ tests: [test] }))).to.equal("The shortest way to an answer: 3 min, then 4 h");
    const unsettled = { tests: [test], cannotSettle: [{ sheet: "galerina-marginata", body: "B", why: "it stands" }] };
    expect(wayTitle(left(unsettled))).to.equal("Left to look at: 3 min, then 4 h");
    const without = { ...unsettled, further: [{ text: "leave B out", leaveOut: ["B"] }] };
    expect(wayTitle(left(without))).to.equal("The shortest way to an answer: 3 min, then 4 h");
  });
  it("are none where the find is held for where or when it stood", () => {
    const abroad = { ...left({ tests: [test] }), reasons: [{ code: "out-of-region" as const, text: "not from here" }] };
    expect(wayTitle(abroad)).to.match(/^Left to look at/);
    const dry = { ...abroad, reasons: [{ code: "dried-out" as const, text: "A has dried out", body: "A" }] };
    expect(wayTitle(dry)).to.match(/^Left to look at/);
  });
  it("say that nothing settles it where none is left", () => {
    expect(wayTitle(left({}))).to.equal("What cannot be settled here");
    expect(wayTitle(left({ further: [{ text: "leave B out", leaveOut: ["B"] }] }))).to.equal(
      "The shortest way to an answer",
    );
  });
});
