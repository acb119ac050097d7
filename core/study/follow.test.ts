import { expect } from "chai";
import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { findSchema } from "../find/schema.ts";
import { judge } from "../judge/judge.ts";
import { tablesOf } from "../knowledge/state-tables.ts";
import { SHIPPED } from "../tests/shipped.ts";
import type { Chance } from "../trainer/chance.ts";
import { drawSite, drawSpecimen } from "../trainer/specimen.ts";
import { followAdvice } from "./follow.ts";

const seeded = (seed: number): Chance => {
  const random = xoroshiro128plus(seed);
  return { next: () => uniformFloat64(random) };
};
const sheetOf = (id: string) => {
  const sheet = SHIPPED.byId.get(id);
  if (sheet === undefined) throw new Error(`no sheet ${id}`);
  return sheet;
};

describe("somebody who follows the advice", () => {
  it("and never errs brings no danger to the basket, on any day", () => {
    const chance = seeded(3);
    for (const danger of SHIPPED.dangers)
      for (let draw = 0; draw < 2; draw += 1)
        expect(followAdvice(danger, SHIPPED, 0, "any", chance).verdict, danger.id).not.to.equal("basket");
  });
  it("and never errs leaves a danger standing in everything that was recorded of it", () => {
    const chance = seeded(4);
    for (const danger of SHIPPED.dangers) {
      const { find } = followAdvice(danger, SHIPPED, 0, "any", chance);
      const distance = judge(find, SHIPPED).dangers.find((one) => one.sheet === danger);
      expect(distance?.nearest.mistakes, danger.id).to.equal(0);
    }
  });
  it("brings most field mushrooms and morels of an ordinary day to the basket, and tells the kind", () => {
    const chance = seeded(5);
    for (const id of ["agaricus-campestris", "morchella-esculenta"]) {
      const endings = Array.from({ length: 20 }, () => followAdvice(sheetOf(id), SHIPPED, 0, "ordinary", chance));
      const baskets = endings.filter((ending) => ending.verdict === "basket");
      expect(baskets.length, id).to.be.at.least(14);
      for (const ending of baskets) expect(ending.passedFor, id).to.include(id);
      for (const ending of baskets) expect(ending.minutes).to.be.greaterThan(2);
    }
  });
  it("ends the same for the same chance", () => {
    const end = () => followAdvice(sheetOf("amanita-muscaria"), SHIPPED, 0.1, "any", seeded(6));
    expect(end()).to.deep.equal(end());
  });
  it("records a find that the format allows", () => {
    const { find } = followAdvice(sheetOf("boletus-edulis"), SHIPPED, 0.05, "any", seeded(7));
    expect(findSchema.safeParse(find).success).to.equal(true);
  });
});

describe("a made-up specimen", () => {
  it("shows nothing that its sheet does not list at its age, and sizes within the book's", () => {
    const chance = seeded(8);
    for (const sheet of SHIPPED.sheets) {
      const { truth, measures } = drawSpecimen(chance, sheet, "young", "any");
      for (const [character, states] of truth)
        for (const state of states)
          expect(tablesOf(sheet.characters[character], ["young"])[0], `${sheet.id} ${character}`).to.have.property(
            state,
          );
      const [low, high] = sheet.sizes.capCm ?? [0, Number.POSITIVE_INFINITY];
      if (measures.capCm !== undefined) expect(measures.capCm).to.be.at.least(low).and.at.most(high);
    }
  });
  it("stands on clean ground on an ordinary day", () => {
    const chance = seeded(9);
    for (let draw = 0; draw < 60; draw += 1)
      expect(drawSite(chance, sheetOf("marasmius-oreades")).get("habitat") ?? [])
        .not.to.include("roadside")
        .and.not.to.include("graveyard");
  });
});
