import { expect } from "chai";
import fc from "fast-check";
import { finds, shelves } from "../tests/arbitraries.ts";
import { answerTo, bodyOf } from "../tests/build.ts";
import { plainAgreement } from "../tests/plain/agreement.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { agreementOf } from "./contradictions.ts";
import { sceneOf } from "./scene.ts";

const named = (agreement: ReturnType<typeof agreementOf>) =>
  agreement.kind === "masked"
    ? `masked by ${agreement.masks
        .map((mask) => mask.id)
        .sort()
        .join(", ")}`
    : agreement.kind;

describe("how a look stands to a sheet", () => {
  it("is what the plain, slow reading of the sheet says, for dangers and for sought kinds", () => {
    const seen = new Map<string, number>();
    fc.assert(
      fc.property(finds(), shelves(), (find, shelf) => {
        const scene = sceneOf(find);
        for (const sheet of [...shelf.sheets, ...SHIPPED.sheets])
          for (const every of [true, false]) {
            for (const look of scene.site.values())
              expect(named(agreementOf(sheet, look, undefined, undefined, every))).to.equal(
                named(plainAgreement(sheet, look, undefined, undefined, every)),
              );
            for (const { body, looks, conditions } of scene.bodies)
              for (const look of looks.values()) {
                const quick = agreementOf(sheet, look, body.age, conditions, every);
                expect(named(quick)).to.equal(named(plainAgreement(sheet, look, body.age, conditions, every)));
                seen.set(quick.kind, (seen.get(quick.kind) ?? 0) + 1);
              }
          }
      }),
      { numRuns: 12 },
    );
    expect([...seen.keys()].sort()).to.deep.equal(["agrees", "contradicts", "masked", "silent"]);
  });

  it("asks of a sought kind that every state fits, and of a smell one that fits is a sign of the danger", () => {
    const [body] = sceneOf({
      format: "jittery-cap/find",
      version: 1,
      id: "t",
      bodies: [bodyOf({ smell: "mushroomy, chemical" })],
    }).bodies;
    const look = body?.looks.get("smell");
    const field = SHIPPED.byId.get("agaricus-campestris");
    const stainer = SHIPPED.byId.get("agaricus-xanthodermus");
    if (body === undefined || look === undefined || field === undefined || stainer === undefined)
      throw new Error("nothing to judge");
    expect(agreementOf(field, look, "young", body.conditions, true).kind).to.equal("contradicts");
    expect(agreementOf(stainer, look, "young", body.conditions, false).kind).to.equal("agrees");
  });

  it("is told in words: what was seen, where, and what the kind has", () => {
    const point = answerTo([bodyOf({ base: "plain", underside: "gills" })]).dangers.find(
      (danger) => danger.sheet === "amanita-virosa",
    )?.points[0];
    expect(point?.text).to.equal(
      "shape of the foot: plain on A; the destroying angel (northern) has sac, bulb, clasping rim or abrupt bulb",
    );
    expect(point).to.include({ family: "base", character: "base", body: "A", hard: true });
    const gills = answerTo([bodyOf({ "gill-colour": "grey" }, { age: "young" })]).dangers;
    const tuft = gills.find((danger) => danger.sheet === "galerina-marginata");
    expect(tuft?.masks.map((mask) => mask.character)).to.include("gill-colour");
    const print = answerTo([bodyOf({ "spore-print": "white" }, { age: "mature" })]).dangers;
    expect(print.find((danger) => danger.sheet === "chlorophyllum-molybdites")?.points[0]?.text).to.match(
      /has green or olive brown$/,
    );
    const cap = answerTo([bodyOf({ "cap-colour": "blue" }, { age: "mature" })]).dangers;
    expect(cap.find((danger) => danger.sheet === "amanita-phalloides")?.points[0]?.text).to.match(/and others$/);
  });
});
