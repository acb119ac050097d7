import { expect } from "chai";
import type { Body } from "../find/schema.ts";
import { AGES, CHARACTERS } from "../find/vocabulary.ts";
import { bodyOf, findOf, type Seen } from "../tests/build.ts";
import { figureOf } from "./figure.ts";
import { formOf } from "./forms.ts";
import type { Figure, Shape } from "./shapes.ts";
import { ageSwatchOf, swatchOf } from "./swatches.ts";
import { bodyView } from "./view.ts";

const form = (words: Seen, more: Partial<Body> = {}) => {
  const body = bodyOf(words, more);
  return formOf(bodyView(findOf([body]), body));
};
const draw = (words: Seen, more: Partial<Body> = {}): Figure => {
  const body = bodyOf(words, more);
  return figureOf(findOf([body]), body);
};
const fillsOf = (figure: Figure, part: Shape["part"]) =>
  figure.shapes.filter((shape) => shape.part === part).map((shape) => shape.fill);
/** The farthest point of a drawing, by its own frame. */
const isInside = (figure: Figure) =>
  figure.shapes.every((shape) =>
    shape.steps.every((step) => step.length < 3 || Math.abs(Number(step.at(-2))) <= figure.right * 1.25),
  );

describe("bodies that are no cap on a stem", () => {
  it("a shelf is a bracket, a closed one a ball, and pits or lobes make a head", () => {
    expect(form({ "cap-shape": "shelf", underside: "pores" })).to.equal("bracket");
    expect(form({ underside: "enclosed" })).to.equal("ball");
    expect(form({ underside: "honeycomb" })).to.equal("pitted-head");
    expect(form({ underside: "lobed" })).to.equal("lobed-head");
  });

  it("an egg that nobody has cut is drawn as a veiled cap and not as a ball: it may hold an amanita", () => {
    expect(form({ "cap-shape": "egg" }, { age: "egg" })).to.equal("cap-and-stem");
  });

  it("what nobody has told is drawn as a cap on a stem", () => {
    expect(form({})).to.equal("cap-and-stem");
  });

  it("a bracket grows from wood and has no foot in the soil", () => {
    const bracket = draw({ "cap-shape": "shelf", underside: "pores" });
    expect(fillsOf(bracket, "ground")).to.contain("wood").and.not.to.contain("soil");
    expect(bracket.shapes.some((shape) => shape.part === "foot")).to.equal(false);
  });

  it("a thick bracket is drawn thicker", () => {
    const thick = (thicknessMm: number) => draw({ "cap-shape": "shelf" }, { measures: { capCm: 10, thicknessMm } }).top;
    expect(thick(40)).to.be.greaterThan(thick(8));
  });

  it("a ball is dashed inside until it is halved, then shows what it shows", () => {
    const cuts = (words: Seen) => draw({ underside: "enclosed", ...words }).shapes.filter(({ part }) => part === "cut");
    expect(cuts({}).some(({ knowing }) => knowing === "open")).to.equal(true);
    expect(cuts({ bisection: "dark-inside" }).map(({ fill }) => fill)).to.contain("pigment:purple-brown");
    expect(cuts({ bisection: "embryo-outline" }).length).to.be.greaterThan(cuts({ bisection: "uniform-white" }).length);
  });

  it("a morel that is hollow in one piece is drawn hollow, a false one chambered", () => {
    const hollows = (words: Seen) => fillsOf(draw(words), "cut").filter((fill) => fill === "shade").length;
    expect(hollows({ underside: "honeycomb", "stem-inside": "hollow" })).to.equal(1);
    expect(hollows({ underside: "lobed", "stem-inside": "chambered" })).to.be.greaterThan(3);
    expect(hollows({ underside: "honeycomb" })).to.equal(0);
  });

  it("stays in its frame", () => {
    for (const words of [
      { "cap-shape": "shelf" },
      { underside: "enclosed" },
      { underside: "honeycomb" },
      { underside: "lobed" },
    ])
      expect(isInside(draw(words)), JSON.stringify(words)).to.equal(true);
  });
});

describe("the little drawings of what half a specimen cannot show", () => {
  const DRAWN = [
    "growth",
    "habitat",
    "substrate",
    "host",
    "gill-fold",
    "gill-spacing",
    "short-gills",
    "gill-texture",
    "stem-texture",
    "ring-place",
    "stain-speed",
    "bisection",
    "bend",
    "two-toned",
    "cap-zones",
    "cap-edge-band",
    "underside",
  ] as const;
  for (const character of DRAWN)
    it(`${character} has a drawing of its own for every state`, () => {
      const drawings = CHARACTERS[character].states.map((state) => JSON.stringify(swatchOf(character, state)?.shapes));
      expect(drawings).not.to.include(undefined);
      expect(new Set(drawings).size).to.equal(drawings.length);
    });

  it("have no dashes: a choice is not a record", () => {
    for (const character of DRAWN)
      for (const state of CHARACTERS[character].states)
        for (const { knowing } of swatchOf(character, state)?.shapes ?? []) expect(knowing, character).to.equal("seen");
  });

  it("crowded gills are more than close ones, and close more than distant", () => {
    const gills = (state: string) => swatchOf("gill-spacing", state)?.shapes.length ?? 0;
    expect(gills("crowded")).to.be.greaterThan(gills("close"));
    expect(gills("close")).to.be.greaterThan(gills("distant"));
  });

  it("every age is drawn, and a grown one is wider than a young one", () => {
    expect(AGES.map((age) => JSON.stringify(ageSwatchOf(age)))).to.have.lengthOf(new Set(AGES).size);
    expect(ageSwatchOf("mature").right).to.be.greaterThan(ageSwatchOf("young").right);
  });
});
