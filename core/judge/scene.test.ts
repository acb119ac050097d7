import { expect } from "chai";
import type { Body } from "../find/schema.ts";
import { answerTo, bodyOf, findOf, mistakesTo, type Seen, seen } from "../tests/build.ts";
import { inheritedLooks, ONCE_ONLY, sceneOf, undoesQuickLook } from "./scene.ts";

const REFERENCE: Seen = {
  underside: "gills",
  "gill-colour": "pink",
  ring: "skirt",
  base: "plain",
  "stain-cut": "none",
  "spore-print": "chocolate-brown",
};
const QUICK: Seen = { underside: "gills", ring: "skirt", base: "plain", "stain-cut": "none" };
const other = (words: Seen, more: Partial<Body> = {}): Body => ({
  id: "B",
  age: "young",
  lifted: "cut",
  seen: seen(words),
  ...more,
});

/** What B takes over from A. */
function inherited(body: Body, reference: Body = bodyOf(REFERENCE)): string[] {
  const scene = sceneOf(findOf([reference, body]));
  const second = scene.bodies.find((one) => one.body.id === "B");
  return second === undefined ? [] : inheritedLooks(scene, second).map(({ look }) => look.character);
}

describe("a body of a troop", () => {
  it("inherits the print and the dug foot after a quick look that agrees", () => {
    expect(inherited(other(QUICK))).to.deep.equal(["spore-print", "base"]);
    expect(ONCE_ONLY).to.deep.equal(["spore-print", "base", "bisection"]);
  });

  for (const touch of Object.keys(QUICK))
    it(`inherits nothing when ${touch} was not looked at`, () => {
      const { [touch]: _left, ...rest } = QUICK;
      expect(inherited(other(rest))).to.deep.equal([]);
    });

  for (const [character, state] of [
    ["underside", "pores"],
    ["ring", "none"],
    ["base", "sac"],
    ["stain-cut", "chrome-yellow"],
  ] as const)
    it(`inherits nothing when its ${character} differs`, () => {
      expect(inherited(other({ ...QUICK, [character]: state }))).to.deep.equal([]);
    });

  it("inherits nothing on the strength of an unsure quick look", () => {
    expect(inherited(other({ ...QUICK, ring: "?skirt" }))).to.deep.equal([]);
  });

  it("inherits no foot from a body whose foot proves nothing itself", () => {
    expect(inherited(other(QUICK), bodyOf(REFERENCE, { lifted: "pulled" }))).to.deep.equal(["spore-print"]);
  });

  it("inherits nothing that it shows itself", () => {
    expect(inherited(other(QUICK, { lifted: "whole" }))).to.deep.equal(["spore-print"]);
  });

  it("may have another ring and other gills at another age, but not a ring against none", () => {
    expect(
      inherited(other({ ...QUICK, ring: "remnants", "gill-colour": "chocolate-brown" }, { age: "mature" })),
    ).to.include("base");
    expect(inherited(other({ ...QUICK, ring: "none" }, { age: "mature" }))).to.deep.equal([]);
  });

  it("gains one mistake at most by all that it inherits, since one wrong quick look undoes all of it", () => {
    const answer = answerTo([bodyOf(REFERENCE, { keep: false }), other({ ...QUICK, "stem-surface": "smooth" })]);
    // its own looks fit the angel; print and foot both speak against it, and count as one
    expect(mistakesTo(answer, "amanita-virosa")).to.equal(1);
  });

  it("is lent nothing while it is young and its quick look hangs on its ring alone, gills looked at or not", () => {
    const hanging = other(QUICK);
    expect(mistakesTo(answerTo([bodyOf(REFERENCE, { keep: false }), hanging]), "amanita-virosa")).to.equal(0);
    // grown, its gills hang on no veil
    const grown = bodyOf({ ...REFERENCE, "gill-colour": "chocolate-brown" }, { keep: false, age: "mature" });
    expect(mistakesTo(answerTo([grown, { ...hanging, age: "mature" }]), "amanita-virosa")).to.equal(1);
  });

  it("is not cleared by leaving out its gills: the print of another would take their place, and a hard one", () => {
    const looks: Seen = { underside: "gills", ring: "none", base: "sac", "stain-base": "none", "gill-colour": "pink" };
    const { "gill-colour": _left, ...without } = looks;
    const printed = bodyOf({ ...looks, "spore-print": "pink" }, { id: "B", age: "mature" });
    const site = {
      site: { habitat: ["grassland" as const], substrate: ["soil" as const], host: ["none-near" as const] },
    };
    const statuses = (words: Seen) =>
      new Map(answerTo([bodyOf(words), printed], site).dangers.map(({ sheet, status }) => [sheet, status]));
    const before = statuses(looks);
    for (const [sheet, status] of statuses(without))
      if (status === "ruled-out") expect(before.get(sheet), sheet).to.equal("ruled-out");
  });

  it("knows which look its quick look stands on", () => {
    const scene = sceneOf(findOf([bodyOf(QUICK)])).bodies[0];
    if (scene === undefined) throw new Error("no body");
    expect(undoesQuickLook(scene, "ring")).to.equal(true);
    expect(undoesQuickLook(scene, "smell")).to.equal(false);
    const both = sceneOf(findOf([bodyOf({ ...QUICK, "stem-surface": "smooth" })])).bodies[0];
    if (both === undefined) throw new Error("no body");
    expect(undoesQuickLook(both, "ring")).to.equal(false);
  });
});
