import { expect } from "chai";
import { SHIPPED } from "../tests/shipped.ts";
import { growingIn, lookAgain } from "./grow-on.ts";
import { toCarry } from "./packing.ts";
import { dangersThere, likelyKinds, monthsIn, ownMark, seasonSheet, tellingLook } from "./stands-there.ts";

const SHEETS = SHIPPED.sheets.map(seasonSheet);
const DAY = { april: 110, september: 256, november: 320 };
const names = (all: readonly { readonly id: string }[]) => all.map(({ id }) => id);
const dangers = (scene: Parameters<typeof dangersThere>[1]) => dangersThere(SHEETS, scene).map(({ sheet }) => sheet);

describe("what may be found, and what else stands there", () => {
  it("follows the year: St George's mushroom in spring, ceps in September, velvet foot in November", () => {
    const at = (ofYear: number) => names(likelyKinds(SHEETS, { ofYear, region: "europe" }));
    expect(at(DAY.april)).to.include("calocybe-gambosa").and.not.include("craterellus-cornucopioides");
    expect(at(DAY.september)).to.include("boletus-edulis").and.not.include("calocybe-gambosa");
    expect(at(DAY.november)).to.include("flammulina-velutipes").and.not.include("calocybe-gambosa");
  });

  it("follows the half of the earth: what the sheet tells of a southern region counts there and no other", () => {
    const cep = SHEETS.find(({ id }) => id === "boletus-edulis");
    if (cep === undefined) throw new Error("no sheet of the cep");
    const south = monthsIn(cep, "australasia");
    expect(south).not.to.deep.equal(monthsIn(cep, "europe"));
    expect(names(likelyKinds(SHEETS, { ofYear: DAY.september, region: "australasia" }))).not.to.include(
      "boletus-edulis",
    );
  });

  it("names those that kill first, and all that kill under these trees in that month. Common practice, no source", () => {
    const wood = dangers({
      ofYear: DAY.september,
      region: "europe",
      habitat: ["mixed-woodland"],
      host: ["birch", "spruce"],
    });
    expect(names(wood)).to.include.members(["amanita-virosa", "cortinarius-rubellus", "galerina-marginata"]);
    const tiers = wood.map(({ tier }) => ["deadly", "serious", "sickener"].indexOf(tier));
    expect([...tiers].sort((one, other) => one - other)).to.deep.equal(tiers);
    const pasture = dangers({ ofYear: DAY.september, region: "europe", habitat: ["grassland"] });
    expect(names(pasture)).to.include.members(["clitocybe-rivulosa", "agaricus-xanthodermus"]);
  });

  it("leaves out nothing that kills when less is told of the place", () => {
    const told = { ofYear: DAY.september, region: "europe" as const, habitat: ["mixed-woodland"], host: ["birch"] };
    const all = new Set(names(dangers({ ofYear: DAY.september, region: "europe" })));
    for (const id of names(dangers(told))) expect(all.has(id), id).to.equal(true);
    const everywhere = new Set(names(dangers({ ofYear: DAY.september })));
    for (const id of all) expect(everywhere.has(id), id).to.equal(true);
  });

  it("keeps a deadly kind of which no month is told for the region: they travel", () => {
    const here = names(dangers({ ofYear: DAY.september, region: "south-america" }));
    const deadly = SHEETS.filter(({ tier }) => tier === "deadly");
    for (const { id, months } of deadly) if (months["south-america"] === undefined) expect(here, id).to.include(id);
  });

  it("tells each by a look that both show differently, or by its own mark", () => {
    const [galerina, sheathed] = ["galerina-marginata", "kuehneromyces-mutabilis"].map((id) => SHIPPED.byId.get(id));
    if (galerina === undefined || sheathed === undefined) throw new Error("no sheets");
    const look = tellingLook(galerina, sheathed);
    expect(look?.ofDanger.some((state) => !look.ofSought.includes(state))).to.equal(true);
    for (const danger of SHIPPED.dangers) expect(ownMark(danger), danger.id).not.to.equal("");
  });
});

describe("what to carry", () => {
  const at = (ofYear: number, more: object = {}) => {
    const scene = { ofYear, region: "europe" as const, habitat: ["mixed-woodland"] };
    return toCarry({
      likely: likelyKinds(SHEETS, scene),
      dangers: dangers(scene),
      endsLate: false,
      missed: [],
      ...more,
    });
  };
  it("is the trowel where feet hide sacs, the hand warmer in the cold, the torch where it gets late", () => {
    expect(at(DAY.september).find(({ item }) => item === "trowel")?.because).to.match(
      /^\d+ dangers there have their mark in the ground$/,
    );
    expect(at(DAY.november).some(({ item }) => item === "warm-hand" || item === "light")).to.equal(false);
    expect(at(DAY.november, { tempC: 3, endsLate: true }).map(({ item }) => item)).to.include.members([
      "warm-hand",
      "light",
    ]);
  });
  it("puts first what was missed last time", () => {
    expect(at(DAY.september, { missed: ["hand-lens"] })[0]).to.include({ item: "hand-lens", wasMissed: true });
  });
});

describe("one that was left to grow on", () => {
  it("is looked for in a day or two when it is warm and wet, in more when cold. Common practice, no source", () => {
    const warm = lookAgain(3, 6, growingIn(15, 20), []);
    expect(warm.best).to.be.within(1, 2);
    expect(lookAgain(3, 6, growingIn(4, 20), []).best).to.be.greaterThan(warm.best);
    expect(growingIn(undefined, undefined)).to.equal("mild");
  });

  it("has an interval that holds the best day, narrows with own returns and follows them", () => {
    const before = lookAgain(3, 12, "mild", []);
    const returns = Array.from({ length: 12 }, () => ({ days: 6, fromCm: 3, toCm: 6 }));
    const after = lookAgain(3, 12, "mild", returns);
    expect(before.from <= before.best && before.best <= before.to).to.equal(true);
    expect(after.to / after.from).to.be.lessThan(before.to / before.from);
    // doubling in six days, four times as large is twelve
    expect(after.best).to.be.within(10, 12);
    expect(
      lookAgain(3, 12, "mild", [
        { days: 0, fromCm: 3, toCm: 6 },
        { days: 3, fromCm: 6, toCm: 3 },
      ]),
    ).to.deep.equal(before);
  });
});
