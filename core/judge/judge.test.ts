/** The compiled tables against the plain, slow reading of the sheets. */
import { expect } from "chai";
import fc from "fast-check";
import type { Find } from "../find/schema.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import { finds, shelves } from "../tests/arbitraries.ts";
import { bodyOf, FIELD_MUSHROOM, findOf, GRASS, OLDER } from "../tests/build.ts";
import { plainCandidate } from "../tests/plain/candidates.ts";
import { plainDistance } from "../tests/plain/distance.ts";
import { plainLikeliness } from "../tests/plain/ranking.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { evidenceOf, judge } from "./judge.ts";
import { inheritedLooks } from "./scene.ts";

/** Compares everything that the judgement says with what the plain reading says; how often each thing was compared. */
function compareWithPlain(find: Find, shelf: Knowledge, tally: Map<string, number>): void {
  const count = (what: string) => tally.set(what, (tally.get(what) ?? 0) + 1);
  const judgement = judge(find, shelf);
  const { scene, rules } = judgement;
  for (const danger of judgement.dangers) {
    expect(danger.likeliness, danger.sheet.id).to.be.closeTo(plainLikeliness(danger.sheet, scene), 1e-9);
    for (const body of scene.bodies) {
      const plain = plainDistance(danger.sheet, scene, body, inheritedLooks(scene, body), rules.distance);
      const quick = danger.perBody.find((one) => one.body === body.body.id);
      expect(quick?.mistakes, danger.sheet.id).to.equal(plain.mistakes);
      expect(quick?.status, danger.sheet.id).to.equal(plain.status);
      expect(evidenceOf(judgement, danger, body.body.id), danger.sheet.id).to.deep.equal({
        points: plain.points.map(({ never: _never, ...point }) => point),
        masks: plain.masks,
        speaksFor: plain.speaksFor,
      });
      count(plain.status);
      if (plain.masks.length > 0) count("masked");
      if (inheritedLooks(scene, body).length > 0) count("inherited");
    }
  }
  for (const candidate of judgement.candidates) {
    const plain = plainCandidate(candidate.sheet, scene, rules);
    // asked name by name: a candidate works most of them out when it is asked
    const told = Object.fromEntries(
      (Object.keys(plain) as (keyof typeof plain)[]).map((name) => [
        name,
        name === "near" ? candidate.near?.character : candidate[name],
      ]),
    );
    expect(told, candidate.sheet.id).to.deep.equal(plain);
    count(candidate.fits ? "fits" : "does not fit");
  }
}

describe("the judgement on compiled tables", () => {
  it("says what the plain, slow reading of every sheet says: distances, evidence, ranking and candidates", () => {
    const tally = new Map<string, number>();
    fc.assert(
      fc.property(finds(), fc.constantFrom(2 as const, 3 as const), (find, distance) =>
        compareWithPlain({ ...find, rules: { ...find.rules, distance } }, SHIPPED, tally),
      ),
      { numRuns: 25 },
    );
    fc.assert(
      fc.property(finds(), shelves(), (find, shelf) => compareWithPlain(find, shelf, tally)),
      { numRuns: 150 },
    );
    const cut = { id: "C", age: "young" as const, lifted: "cut" as const };
    const quick = { underside: "gills", "gill-colour": "pink", ring: "skirt", base: "plain", "stain-base": "none" };
    for (const stem of [{}, { "stem-surface": "smooth" }])
      compareWithPlain(
        findOf([bodyOf(FIELD_MUSHROOM), OLDER, bodyOf({ ...quick, ...stem }, cut)], GRASS),
        SHIPPED,
        tally,
      );
    // a lent print that a masked soft look keeps from being hard: rain on a stem's fibres
    const lends = { "gill-colour": "white", "stem-surface": "fibrillose", base: "plain", "stain-base": "none" };
    compareWithPlain(
      findOf([bodyOf(lends), bodyOf({ "spore-print": "white" }, { id: "B", keep: false })], {
        weather: { rain24hMm: 5, airTempC: 0 },
      }),
      SHIPPED,
      tally,
    );
    const met = ["stands", "one-mistake", "two-mistakes", "ruled-out", "masked", "inherited", "fits", "does not fit"];
    expect([...tally.keys()]).to.include.members(met);
  });
});
