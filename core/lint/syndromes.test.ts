/** Syndromes, onsets and sizes of the sheets against what is said of them outside the project. */
import { expect } from "chai";
import type { Sheet } from "../knowledge/sheet.ts";
import { SHIPPED } from "../tests/shipped.ts";

const sheetOf = (id: string): Sheet => {
  const sheet = SHIPPED.byId.get(id);
  if (sheet === undefined) throw new Error(`no sheet ${id}`);
  return sheet;
};

/**
 * Syndromes by the clinical classification of White and others, Toxicon 157 (2019), and the hours until somebody falls
 * ill; both from memory. A window is the widest that a sheet may tell.
 */
const SYNDROMES: Readonly<Record<string, { readonly group: string; readonly hours: readonly [number, number] }>> = {
  amatoxin: { group: "1A primary liver", hours: [6, 24] },
  "early kidney": { group: "1B early primary kidney", hours: [0.5, 24] },
  "late kidney": { group: "1C delayed primary kidney", hours: [36, 504] },
  "ibotenic acid, muscimol": { group: "2A nervous excitement and stupor", hours: [0.5, 3] },
  muscarine: { group: "2B sweating and slow heart", hours: [0.25, 2] },
  "muscle breakdown": { group: "3A rapid muscle breakdown", hours: [0.5, 24] },
  "muscle breakdown after repeated meals": { group: "3B delayed muscle breakdown", hours: [24, 96] },
  gyromitrin: { group: "4A gyromitrin", hours: [5, 12] },
  "brain, in kidney patients": { group: "4E brain in kidney patients", hours: [24, 720] },
  trichothecenes: { group: "4 others", hours: [0.5, 24] },
  "blood-cell destruction after repeated meals": { group: "6B blood cells", hours: [1, 48] },
  gut: { group: "5 gut", hours: [0.5, 4] },
  "gut, severe": { group: "5 gut", hours: [0.5, 10] },
  "gut, some people": { group: "5 gut", hours: [0.5, 4] },
  "gut, coordination": { group: "5 gut", hours: [0.5, 24] },
  "gut; may hide deadly kin": { group: "5 gut", hours: [0.5, 4] },
  "bitter, nervous system": { group: "2 nerves", hours: [0.5, 4] },
  "gut, late": { group: "5 gut", hours: [2, 24] },
  psilocybin: { group: "2C hallucinations", hours: [0.2, 2] },
  "burning pain for weeks": { group: "2 nerves", hours: [12, 336] },
  "brain, kidney": { group: "4 others", hours: [2, 48] },
  heart: { group: "4 others", hours: [0.5, 120] },
  suspected: { group: "unclassed", hours: [0.5, 24] },
  "not for the pot": { group: "unclassed", hours: [0.5, 504] },
  "not for the pot: too near the death cap": { group: "unclassed", hours: [0.5, 24] },
};

describe("the syndromes", () => {
  for (const danger of SHIPPED.dangers)
    it(`of the ${danger.names.common} maps into the clinical classification, with hours inside its window`, () => {
      const syndrome = SYNDROMES[danger.syndrome ?? ""];
      expect(syndrome, danger.syndrome).to.not.equal(undefined);
      if (syndrome === undefined || danger.onsetHours === undefined) throw new Error("no hours");
      expect(danger.onsetHours[0]).to.be.at.least(syndrome.hours[0]);
      expect(danger.onsetHours[1]).to.be.at.most(syndrome.hours[1]);
    });
  it("of liver poisons begin late: never before six hours", () => {
    const liver = SHIPPED.dangers.filter((danger) => danger.syndrome === "amatoxin");
    expect(liver.map((danger) => danger.id)).to.include.members(["amanita-phalloides", "galerina-marginata"]);
    for (const danger of liver) expect(danger.onsetHours?.[0]).to.equal(6);
  });
  it("of coprine comes only with alcohol: the sheet says never with it", () => {
    expect(sheetOf("coprinopsis-atramentaria").handling.alcohol).to.equal("never");
  });
});

describe("the rules with numbers", () => {
  // common practice, no source
  it("velvet shank up to 10 cm, death cap 5 to 15 cm, wine cap 5 to 15 cm, honey fungus to 13 cm", () => {
    expect(sheetOf("flammulina-velutipes").sizes.capCm?.[1]).to.equal(10);
    expect(sheetOf("amanita-phalloides").sizes.capCm).to.deep.equal([5, 15]);
    expect(sheetOf("stropharia-rugosoannulata").sizes.capCm).to.deep.equal([5, 15]);
    expect(sheetOf("armillaria-mellea").sizes.capCm?.[1]).to.equal(13);
  });
  it("turkey tail asks for six things beside the velvet, and is a few centimetres across", () => {
    const { musts, sizes } = sheetOf("trametes-versicolor");
    expect(musts.map((must) => must.character)).to.include.members(["cap-zones", "cap-edge-band", "underside", "bend"]);
    expect(musts.map((must) => must.character)).not.to.include("cap-surface");
    expect(musts.length).to.equal(6);
    expect(sizes.capCm?.[1]).to.be.at.most(8);
  });
  it("small pale funnels: the deadly ones stay well below the size at which a large one is believed", () => {
    expect(sheetOf("clitocybe-rivulosa").sizes.capCm?.[1]).to.be.at.most(7);
    // the frosty funnel of woods reaches the size that is believed, and has a sheet of its own that stands for it
    expect(sheetOf("clitocybe-phyllophila").sizes.capCm?.[1]).to.be.at.least(11);
  });
});
