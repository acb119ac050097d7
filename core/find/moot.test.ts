import { expect } from "chai";
import { answerTo, bodyOf } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { isMoot } from "./moot.ts";
import { CHARACTER_IDS, definitionOf } from "./vocabulary.ts";

describe("what is moot for what the underside is", () => {
  it("is nothing where nobody looked below, where a ball hides it, or where one of several undersides has it", () => {
    for (const character of CHARACTER_IDS) {
      expect(isMoot(character), character).to.equal(false);
      expect(isMoot(character, ["enclosed"]), character).to.equal(false);
      expect(isMoot(character, ["gills", "enclosed"]), character).to.equal(false);
      expect(
        isMoot(character, ["pores", "gills"]) && isMoot(character, ["gills"]) !== isMoot(character, ["pores"]),
      ).to.equal(false);
    }
    expect(isMoot("gill-attachment", ["honeycomb"])).to.equal(true);
    expect(isMoot("pore-colour", ["gills"])).to.equal(true);
    expect(isMoot("gill-fold", ["smooth"])).to.equal(false);
  });
  it("is nowhere the only way to what a sheet asks for", () => {
    let tried = 0;
    for (const sheet of SHIPPED.sheets)
      for (const state of definitionOf("underside").states) {
        const tables = Object.values(sheet.characters.underside ?? {});
        if (!tables.some((table) => table?.[state] !== undefined)) continue;
        for (const must of sheet.musts) {
          tried += 1;
          const open = must.ways.some((way) => way.every((clause) => !isMoot(clause.character, [state])));
          expect(open, `${sheet.id}, ${state}: ${must.says}`).to.equal(true);
        }
      }
    expect(tried).to.be.above(500);
  });
  it("is never asked next, nor at stake: a morel is halved for the joint of its cap, not looked at for gills", () => {
    // honeycombed, hollow in one and attached: the three that tell a morel (common practice, no source)
    const morel = { underside: "honeycomb", "stem-inside": "hollow", "cap-shape": "conical", "cap-colour": "brown" };
    const answer = answerTo([bodyOf(morel, { age: "mature" })]);
    expect(answer.candidates[0]?.sheet).to.equal("morchella-esculenta");
    const opened = answer.next.tests.map(({ opens }) => opens.character);
    expect(opened).to.include("cap-joint");
    for (const character of [...opened, ...Object.keys(answer.atStake), ...(answer.candidates[0]?.mustsMissing ?? [])])
      expect(character).not.to.match(/^gill-|^short-gills/);
  });
  it("is asked again as soon as the underside is not sure", () => {
    const asked = (underside: string) =>
      Object.keys(
        answerTo([bodyOf({ underside, "spore-print": "white", "cap-colour": "olive" }, { age: "mature" })]).atStake,
      );
    expect(asked("?pores")).not.to.deep.equal(asked("pores"));
  });
});
