import { expect } from "chai";
import fc from "fast-check";
import { assess } from "../answer/answer.ts";
import { typicalFind } from "../lint/typical.ts";
import { answerTo, bodyOf, FIELD_MUSHROOM, findOf, GRASS, OLDER } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { compareSheets, separation } from "./compare.ts";
import { ifWrong } from "./if-wrong.ts";

const sheet = (id: string) => {
  const found = SHIPPED.byId.get(id);
  if (found === undefined) throw new Error(`no sheet ${id}`);
  return found;
};

describe("what tells two kinds apart", () => {
  it("is, for field mushroom and destroying angel, the foot and the gills, each with what may hide it", () => {
    const best = compareSheets(sheet("agaricus-campestris"), sheet("amanita-virosa")).filter((one) => one.power === 1);
    expect(best.map((one) => one.character)).to.include.members(["gill-colour", "spore-print"]);
    const all = compareSheets(sheet("agaricus-campestris"), sheet("amanita-virosa"));
    expect(all.find((one) => one.character === "base")?.hiddenBy.join()).to.match(/not lifted whole/);
    // the age is told at which the gills tell most: not that of a button
    expect(best.find((one) => one.character === "gill-colour")?.age).not.to.equal("button");
  });

  it("is the same from either side", () => {
    fc.assert(
      fc.property(fc.constantFrom(...SHIPPED.sheets), fc.constantFrom(...SHIPPED.sheets), (one, other) => {
        const names = (list: ReturnType<typeof compareSheets>) =>
          list.map((difference) => [difference.character, difference.power]);
        expect(names(compareSheets(one, other))).to.deep.equal(names(compareSheets(other, one)));
        if (one === other) expect(compareSheets(one, other)).to.deep.equal([]);
      }),
      { numRuns: 40 },
    );
  });

  it("puts hard differences before soft ones, and the surer before the less sure", () => {
    // each danger with every third sought kind, beginning with another one each time
    for (const [begin, danger] of SHIPPED.dangers.entries())
      for (const sought of SHIPPED.sought.filter((_, index) => index % 3 === begin % 3)) {
        const ranks = compareSheets(danger, sought).map((one) => (one.hard ? 2 : 0) + one.power);
        expect(ranks).to.deep.equal([...ranks].sort((a, b) => b - a));
      }
  });

  it("is nothing where a sheet says nothing", () => {
    expect(separation(sheet("agaricus-campestris"), sheet("amanita-virosa"), "cap-zones", undefined)).to.equal(0);
  });
});

describe("if you were wrong", () => {
  const find = findOf([bodyOf(FIELD_MUSHROOM), OLDER], GRASS);
  const consequences = ifWrong(find, SHIPPED);

  it("about the foot, both amanitas would be one mistake away", () => {
    const foot = consequences.find((one) => one.character === "base" && one.body === "A");
    for (const angel of ["amanita-phalloides", "amanita-virosa", "amanita-bisporigera", "amanita-subjunquillea"])
      expect(foot?.nearer.find((one) => one.sheet === angel)).to.include({ from: 2, to: 1 });
    expect(foot?.what).to.equal("the shape of the foot of A");
  });

  it("brings to light what is weakest first, and leaves out what moves nothing", () => {
    const nearest = consequences.map((one) => one.nearer[0]?.to ?? 0);
    expect(nearest).to.deep.equal([...nearest].sort((a, b) => a - b));
    expect(consequences.every((one) => one.nearer.length > 0)).to.equal(true);
  });

  it("says just what the judgement says of the find without that look", () => {
    // others at each run: all of them took longer than all else here
    for (const sought of fc.sample(fc.constantFrom(...SHIPPED.sought), 25)) {
      const typical = typicalFind(sought);
      const [first] = ifWrong(typical, SHIPPED).filter((one) => one.body !== "site");
      if (first === undefined) continue;
      const struck = {
        ...typical,
        bodies: typical.bodies.map((body) =>
          body.id === first.body
            ? { ...body, seen: (body.seen ?? []).filter((entry) => entry.character !== first.character) }
            : body,
        ),
      };
      const after = assess(struck, SHIPPED);
      for (const danger of first.nearer)
        expect(after.dangers.find((one) => one.sheet === danger.sheet)?.mistakes, sought.id).to.equal(danger.to);
    }
  });

  it("never leaves a cleared danger touching: one mistake at the most is undone by one look", () => {
    expect(answerTo([bodyOf(FIELD_MUSHROOM), OLDER], GRASS).verdict).to.equal("basket");
    for (const one of consequences)
      for (const danger of one.nearer.filter(({ from }) => from >= 2))
        expect(danger.to, `${one.what}: ${danger.sheet}`).to.be.at.least(1);
  });
});
