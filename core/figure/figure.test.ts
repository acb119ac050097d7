import { expect } from "chai";
import fc from "fast-check";
import type { Body } from "../find/schema.ts";
import { CHARACTERS } from "../find/vocabulary.ts";
import { finds } from "../tests/arbitraries.ts";
import { bodyOf, findOf, type Seen } from "../tests/build.ts";
import { figureOf, figureText } from "./figure.ts";
import { capProfile, heightAt } from "./profiles.ts";
import type { Figure, Shape } from "./shapes.ts";
import { smooth } from "./shapes.ts";
import { DRAWN_CHARACTERS, swatchOf } from "./swatches.ts";

const draw = (words: Seen, more: Partial<Body> = {}): Figure => {
  const body = bodyOf(words, more);
  return figureOf(findOf([body]), body);
};
const partsOf = (figure: Figure, part: Shape["part"]) => figure.shapes.filter((shape) => shape.part === part);
const knowings = (shapes: readonly Shape[]) =>
  new Set(shapes.filter((shape) => shape.stroke !== "none").map((shape) => shape.knowing));

describe("the specimen", () => {
  it("is drawn for every record without a number that is none, inside its own frame", () => {
    fc.assert(
      fc.property(finds(), (find) => {
        for (const body of find.bodies) {
          const figure = figureOf(find, body);
          for (const shape of figure.shapes)
            for (const step of shape.steps)
              for (const value of step.slice(1)) expect(Number.isFinite(value)).to.equal(true);
          expect(figure.top).to.be.greaterThan(figure.bottom);
          expect(figure.right).to.be.greaterThan(figure.left);
        }
      }),
      { numRuns: 150 },
    );
  });

  it("is the same drawing for the same record", () => {
    expect(JSON.stringify(draw({ ring: "skirt", "cap-surface": "scaly" }))).to.equal(
      JSON.stringify(draw({ ring: "skirt", "cap-surface": "scaly" })),
    );
  });

  it("reaches as far as its own box asks for, drawn in one go as it would be in two", () => {
    const widthOf = ({ left, right, top, bottom }: Pick<Figure, "left" | "right" | "top" | "bottom">) =>
      180 / Math.min(232 / (right - left), 416 / (top - bottom));
    fc.assert(
      fc.property(finds(), (find) => {
        for (const body of find.bodies)
          expect(figureOf(find, body, widthOf)).to.deep.equal(figureOf(find, body, widthOf(figureOf(find, body, 0))));
      }),
    );
  });

  it("dashes the foot until somebody has looked at it", () => {
    expect([...knowings(partsOf(draw({}), "foot"))]).to.deep.equal(["open"]);
    expect([...knowings(partsOf(draw({ base: "plain" }), "foot"))]).to.deep.equal(["seen"]);
  });

  it("half-dashes what is unsure", () => {
    expect([...knowings(partsOf(draw({ base: "?plain" }), "foot"))]).to.deep.equal(["unsure"]);
  });

  it("hatches a foot that was not lifted whole: it proves nothing", () => {
    expect([...knowings(partsOf(draw({ base: "plain" }, { lifted: "cut" }), "foot"))]).to.deep.equal(["masked"]);
  });

  it("draws no ring where somebody looked and there is none, and a dashed one where nobody looked", () => {
    const rings = (words: Seen) =>
      partsOf(draw({ "stem-colour": "white", "stem-surface": "smooth", ...words }), "stem").length;
    expect(rings({})).to.be.greaterThan(rings({ ring: "none" }));
    expect(rings({ ring: "skirt" })).to.be.greaterThan(rings({ ring: "none" }));
  });

  it("draws a sac outside the foot that it holds", () => {
    const width = (figure: Figure) =>
      Math.max(
        ...partsOf(figure, "foot").flatMap((shape) =>
          shape.steps.flatMap((step) => (step.length > 2 ? [Math.abs(Number(step.at(-2)))] : [])),
        ),
      );
    expect(width(draw({ base: "sac" }))).to.be.greaterThan(width(draw({ base: "plain" })));
  });

  it("fills the gills with their colour and brings them to the stem as they meet it", () => {
    const under = (words: Seen) => partsOf(draw({ underside: "gills", ...words }), "under");
    expect(under({ "gill-colour": "pink" }).some((shape) => shape.fill === "pigment:pink")).to.equal(true);
    const innermost = (shapes: readonly Shape[]) =>
      Math.min(...shapes.flatMap((shape) => shape.steps.flatMap((step) => (step[0] === "M" ? [step[1]] : []))));
    expect(innermost(under({ "gill-attachment": "free" }))).to.be.greaterThan(
      innermost(under({ "gill-attachment": "adnate" })) - 1e-9,
    );
  });

  it("follows the measures", () => {
    const small = draw({}, { measures: { capCm: 3, stemLengthCm: 4 } });
    const large = draw({}, { measures: { capCm: 18, stemLengthCm: 12 } });
    expect(large.right / small.right).to.be.greaterThan(3);
    expect(large.top).to.be.greaterThan(small.top);
  });

  it("is told in words for those who do not see it", () => {
    const body = bodyOf({ ring: "?remnants" });
    expect(figureText(findOf([body]), body))
      .to.contain("ring remnants, unsure")
      .and.to.contain("shape of the foot not looked at");
  });
});

describe("cap profiles", () => {
  it("fall from the middle of a convex cap to its edge, and rise from that of a funnel", () => {
    const convex = capProfile("convex", "mature", 5, []);
    const funnel = capProfile("funnel", "mature", 5, []);
    expect(heightAt(convex, 0)).to.be.greaterThan(heightAt(convex, 4));
    expect(heightAt(funnel, 0)).to.be.lessThan(heightAt(funnel, 4));
  });
  it("are as wide as the cap", () => {
    for (const shape of CHARACTERS["cap-shape"].states)
      expect(Math.max(...capProfile(shape, "mature", 5, []).map(([x]) => x)), shape).to.be.closeTo(5, 0.3);
  });
  it("pass through their points when smoothed", () => {
    const steps = smooth([
      [0, 0],
      [1, 2],
      [3, 1],
    ]);
    expect(steps.map((step) => step.slice(-2))).to.deep.equal([
      [0, 0],
      [1, 2],
      [3, 1],
    ]);
  });
});

describe("the little drawings", () => {
  it("differ from state to state, so that nobody has to know the word", () => {
    for (const character of ["cap-shape", "base", "gill-attachment", "ring"] as const) {
      const drawings = CHARACTERS[character].states.map((state) => JSON.stringify(swatchOf(character, state)?.shapes));
      expect(new Set(drawings).size, character).to.be.at.least(drawings.length - 1);
    }
  });
  it("exist for every drawn character", () => {
    for (const character of Object.keys(DRAWN_CHARACTERS))
      expect(swatchOf(character as "ring", CHARACTERS[character as "ring"].states[0] ?? "")).not.to.equal(undefined);
  });
});
