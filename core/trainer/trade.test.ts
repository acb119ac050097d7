import { expect } from "chai";
import type { CharacterId } from "../find/vocabulary.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { allSkills, pairId } from "./skills.ts";
import { makeTheseTwo } from "./these-two.ts";

/**
 * Confusions that poison people, as the trade tells them to beginners, with the looks by which it tells them apart. Common practice,
 * no source; written down before the exercises were looked at.
 */
const TOLD_TO_BEGINNERS: readonly (readonly [danger: string, sought: string, looks: readonly CharacterId[]])[] = [
  ["amanita-phalloides", "volvariella-volvacea", ["spore-print", "gill-colour", "ring", "ring-colour", "sac-colour"]],
  ["amanita-virosa", "agaricus-campestris", ["base", "gill-colour", "spore-print"]],
  ["amanita-virosa", "agaricus-sylvicola", ["base", "gill-colour", "spore-print", "smell"]],
  ["galerina-marginata", "kuehneromyces-mutabilis", ["stem-surface", "two-toned", "smell"]],
  ["gyromitra-esculenta", "morchella-esculenta", ["underside", "stem-inside", "cap-joint"]],
  [
    "agaricus-xanthodermus",
    "agaricus-campestris",
    ["stain-base", "smell", "stain-cut", "stain-rub", "stain-heated", "smell-heated"],
  ],
  ["scleroderma-citrinum", "lycoperdon-perlatum", ["bisection", "flesh-colour", "base"]],
  ["omphalotus-illudens", "cantharellus-cibarius", ["underside", "gill-fold", "flesh-colour", "growth", "smell"]],
  ["hygrophoropsis-aurantiaca", "cantharellus-cibarius", ["underside", "gill-fold", "gill-spacing", "smell"]],
  ["clitocybe-rivulosa", "marasmius-oreades", ["gill-attachment", "gill-spacing", "stem-texture", "bend"]],
  ["rubroboletus-satanas", "boletus-edulis", ["pore-colour", "stain-cut", "stain-pores"]],
  ["chlorophyllum-molybdites", "chlorophyllum-rhacodes", ["spore-print", "gill-colour"]],
  ["pholiotina-rugosa", "kuehneromyces-mutabilis", ["stem-surface", "ring", "growth", "base"]],
  ["entoloma-sinuatum", "calocybe-gambosa", ["spore-print", "gill-colour"]],
];
const SEEDS = 25;

/**
 * Where the sheets are more careful than the trade: it tells the woodtuft by the scales of its stem, the bell's sheet lists such
 * scales as rare, so that no stem alone clears; what decides there is the sheath that they hang on.
 */
const MORE_CAREFUL: Readonly<Record<string, CharacterId>> = { "galerina-marginata/kuehneromyces-mutabilis": "ring" };

describe("the confusions that beginners are warned of", () => {
  const skills = new Set(allSkills(SHIPPED).map(({ id }) => id));
  for (const [danger, sought, looks] of TOLD_TO_BEGINNERS) {
    const name = (id: string) => SHIPPED.byId.get(id)?.names.common ?? id;
    it(`are practised: ${name(danger)} taken for ${name(sought)}, told apart by what the trade tells them by`, () => {
      expect(skills).to.include(pairId(danger, sought));
      const deciding = new Set<CharacterId>();
      for (let seed = 0; seed < SEEDS; seed += 1) {
        const two = makeTheseTwo("pair:a/b", { danger, sought }, SHIPPED, `trade ${seed}`);
        for (const look of two?.looks ?? []) if (look.isDeciding) deciding.add(look.character);
      }
      const careful = MORE_CAREFUL[`${danger}/${sought}`];
      const told = careful === undefined ? looks : [...looks, careful];
      expect(
        [...deciding].some((one) => told.includes(one)),
        `${[...deciding].join(", ")}`,
      ).to.equal(true);
    });
  }

  it("are never told apart by a colour or the shape of a cap: sun, rain and age change them", () => {
    for (const [danger, sought] of TOLD_TO_BEGINNERS)
      for (let seed = 0; seed < SEEDS; seed += 1)
        for (const look of makeTheseTwo("pair:a/b", { danger, sought }, SHIPPED, `cap ${seed}`)?.looks ?? [])
          if (look.isDeciding)
            expect(look.character, `${danger} ${sought} ${seed}`).not.to.match(/^cap-(colour|shape)/);
  });
});
