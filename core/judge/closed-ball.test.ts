import { expect } from "chai";
import { assess } from "../answer/answer.ts";
import type { Body, Find } from "../find/schema.ts";
import { SHIPPED } from "../tests/shipped.ts";

/** The kinds that begin as an egg which is closed all round (common practice, no source). */
const BEGIN_AS_EGGS = SHIPPED.dangers.filter((one) => one.genus.name === "Amanita");

/** An egg as somebody tells it who takes it for a puffball: one body, its section misread. */
const asPuffball = (age: Body["age"], base: string): Find => ({
  format: "jittery-cap/find",
  version: 1,
  id: "egg",
  site: { habitat: ["broadleaf-woodland"], substrate: ["leaf-litter"], growth: ["scattered"] },
  bodies: [
    {
      id: "A",
      age,
      lifted: "whole",
      firmness: "firm",
      larvae: "none",
      seen: [
        ["underside", "enclosed"],
        ["bisection", "uniform-white"],
        ["flesh-colour", "white"],
        ["base", base],
      ].map(([character, state]) => ({ character, states: [state] })) as Body["seen"],
    },
  ],
});

describe("a closed ball", () => {
  for (const age of ["egg", "button", "young", "mature"] as const)
    for (const base of ["sits-on-ground", "rooting", "plain", "tapered", "bulb"])
      it(`that is told ${age}, its foot ${base}, may be an egg but for its section`, () => {
        const { dangers } = assess(asPuffball(age, base), SHIPPED);
        for (const { id } of BEGIN_AS_EGGS) {
          const own = dangers.find((one) => one.sheet === id);
          expect(own?.mistakes, `${id}: ${own?.points.map((point) => point.text).join("; ")}`).to.be.at.most(1);
        }
      });
});
