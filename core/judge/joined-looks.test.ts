import { expect } from "chai";
import { type Answer, assess } from "../answer/answer.ts";
import type { Find } from "../find/schema.ts";
import { bodyOf, findOf, mistakesTo, type Seen } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";

/** A yellow-gilled one with a sac and a ring, as a young body; found by the laws, cut down by hand. */
const GOLDEN: Seen = {
  underside: "gills",
  "gill-colour": "yellow",
  ring: "skirt",
  "ring-colour": "yellow",
  "ring-place": "high",
  base: "sac",
};

/** The find with one character of its body A struck, or made unsure. */
function without(find: Find, character: string, how: "struck" | "unsure"): Find {
  return {
    ...find,
    bodies: find.bodies.map((body) =>
      body.id !== "A"
        ? body
        : {
            ...body,
            seen: (body.seen ?? []).flatMap((entry) =>
              entry.character !== character ? [entry] : how === "struck" ? [] : [{ ...entry, sure: false }],
            ),
          },
    ),
  };
}

function expectNoneFarther(after: Answer, before: Answer, what: string): void {
  for (const { sheet, mistakes } of after.dangers)
    expect(mistakes, `${what}: ${sheet}`).to.be.at.most(mistakesTo(before, sheet));
}

describe("two looks that are one thing to the eye", () => {
  it("count as the weightier: the ring struck does not set gills free that were looked at on two bodies", () => {
    const find = findOf([bodyOf(GOLDEN), bodyOf(GOLDEN, { id: "B", age: "mature" })]);
    const before = assess(find, SHIPPED);
    for (const character of Object.keys(GOLDEN))
      for (const how of ["struck", "unsure"] as const)
        expectNoneFarther(assess(without(find, character, how), SHIPPED), before, `${character} ${how}`);
  });

  it("stay one in threes: a ring, the gills that it hides and the scales below it, whichever of them is struck", () => {
    const seen = (ring: string, ringColour: string, gills: string): Seen => ({
      underside: "gills",
      ring,
      "ring-colour": ringColour,
      "gill-colour": gills,
      "stem-surface": "scaly-below-ring",
      base: "plain",
    });
    for (const ring of ["fibrous-zone", "cobweb", "skirt", "none"])
      for (const ringColour of ["purple", "white"])
        for (const gills of ["purple-grey", "green", "yellow", "white", "rust-brown"])
          for (const others of [[], [bodyOf(seen(ring, ringColour, gills), { id: "B", age: "young" })]]) {
            const find = findOf([bodyOf(seen(ring, ringColour, gills), { age: "young" }), ...others]);
            const before = assess(find, SHIPPED);
            for (const character of ["ring", "ring-colour", "gill-colour", "stem-surface"])
              expectNoneFarther(
                assess(without(find, character, "struck"), SHIPPED),
                before,
                `${ring} ${ringColour} ${gills}, ${others.length + 1}: ${character}`,
              );
          }
  });

  it("stay one where the first of them is unsure and another look at the ring speaks", () => {
    const find = findOf([bodyOf({ ...GOLDEN, base: "plain" })]);
    const before = assess(find, SHIPPED);
    expectNoneFarther(assess(without(find, "ring", "unsure"), SHIPPED), before, "ring unsure");
    expectNoneFarther(assess(without(find, "ring", "struck"), SHIPPED), before, "ring struck");
  });

  it("are two where the family of the second has a look of its own besides", () => {
    const alone = assess(findOf([bodyOf({ ...GOLDEN, "gill-colour": "chocolate-brown", ring: "none" })]), SHIPPED);
    const printed = assess(
      findOf([bodyOf({ ...GOLDEN, "gill-colour": "chocolate-brown", ring: "none", "spore-print": "chocolate-brown" })]),
      SHIPPED,
    );
    expect(mistakesTo(printed, "amanita-phalloides")).to.be.above(mistakesTo(alone, "amanita-phalloides"));
  });
});
