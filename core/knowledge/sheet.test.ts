import { readRawSheets } from "@jittery-cap/shelf";
import { expect } from "chai";
import { registeredTier, TAXON_IDS } from "../find/taxa.ts";
import { CHARACTER_IDS, definitionOf } from "../find/vocabulary.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { compileSheets } from "./compile.ts";
import { shelve } from "./knowledge.ts";
import { tablesOf } from "./state-tables.ts";

type Raw = Record<string, unknown>;
const raw = readRawSheets();
const campestris = raw["agaricus-campestris.yaml"] as Raw;

/** The faults of a shelf with one sheet, changed in one place. */
const faults = (change: Raw): string[] => {
  const compiled = compileSheets({ "one.yaml": { ...campestris, ...change } });
  return compiled.ok ? [] : compiled.faults.map((fault) => `${fault.path}: ${fault.message}`);
};
const withCharacter = (id: string, table: unknown): Raw => ({
  characters: { ...(campestris.characters as Raw), [id]: table },
});

describe("a sheet", () => {
  it("as shipped has no fault", () => expect(faults({})).to.deep.equal([]));

  const broken: [string, Raw, RegExp][] = [
    [
      "an unknown state",
      withCharacter("base", { pointed: "always" }),
      /characters\.base\.pointed: unknown state of base; allowed: plain/,
    ],
    ["an unknown character", withCharacter("taste", { mild: "always" }), /characters\.taste: unknown field/],
    ["an unknown frequency", withCharacter("latex", { none: "mostly" }), /characters\.latex/],
    ["an unknown age", withCharacter("gill-colour", { ancient: { black: "always" } }), /unknown age ancient/],
    [
      "ages where age changes nothing",
      withCharacter("base", { young: { plain: "always" } }),
      /base does not change with age/,
    ],
    ["no state at all", withCharacter("latex", {}), /lists no state/],
    [
      "a tier that the register does not hold",
      { tier: "inedible" },
      /tier: the register holds agaricus-campestris as edible/,
    ],
    ["an unknown taxon", { id: "agaricus-imaginarius" }, /id: is no known taxon/],
    ["an unknown lookalike", { lookalikes: ["amanita-imaginaria"] }, /lookalikes\[0\]: is no known taxon/],
    ["sizes out of order", { sizes: { capCm: [12, 3] } }, /sizes\.capCm: the smaller number comes first/],
    ["a month that is none", { months: { europe: [13] } }, /months\.europe\[0\]/],
    ["one must alone", { musts: [(campestris.musts as unknown[])[0]] }, /musts/],
    ["no default basis", { basis: { musts: "memory" } }, /basis: says no default basis/],
    ["an unknown field", { colour: "white" }, /colour: unknown field/],
  ];
  for (const [what, change, error] of broken)
    it(`with ${what} is refused, and the error names file and place`, () => {
      const found = faults(change);
      expect(found.join("\n")).to.match(error);
      expect(found[0]).to.match(/^one\.yaml: /);
    });

  it("whose must it does not list itself is refused", () => {
    const musts = [
      ...(campestris.musts as Raw[]).slice(0, 2),
      { character: "base", says: "a sac", ways: [[{ character: "base", states: ["sac"] }]] },
    ];
    expect(faults({ musts }).join()).to.match(/base sac is a must that the sheet itself does not list/);
  });

  it("by ages holds at those ages and says nothing at others; without ages it holds at all", () => {
    const sheet = SHIPPED.byId.get("agaricus-campestris");
    expect(sheet?.characters["gill-colour"]?.young).to.deep.equal({
      pink: "always",
      brown: "sometimes",
      "chocolate-brown": "rare",
    });
    expect(sheet?.characters["gill-colour"]?.egg).to.equal(undefined);
    expect(tablesOf(sheet?.characters.base, undefined)).to.have.length(5);
    expect(tablesOf(sheet?.characters.base, ["old"])).to.have.length(1);
    expect(tablesOf(undefined, undefined)).to.deep.equal([]);
  });
});

describe("the shelf", () => {
  it("holds a sheet of every registered taxon, dangers and sought kinds apart", () => {
    expect(SHIPPED.sheets.map((sheet) => sheet.id)).to.deep.equal(TAXON_IDS);
    expect(SHIPPED.dangers.map((sheet) => sheet.tier)).not.to.include.members(["edible"]);
    expect(SHIPPED.dangers.length + SHIPPED.sought.length).to.equal(SHIPPED.sheets.length);
  });

  it("has the same edition whatever the order, and another when one frequency changes", () => {
    expect(shelve([...SHIPPED.sheets].reverse()).edition).to.equal(SHIPPED.edition);
    const [first, ...rest] = SHIPPED.sheets;
    if (first === undefined) throw new Error("an empty shelf");
    const changed = { ...first, characters: { ...first.characters, latex: { young: { none: "rare" as const } } } };
    expect(shelve([changed, ...rest]).edition).not.to.equal(SHIPPED.edition);
  });

  it("refuses one kind twice", () => {
    const compiled = compileSheets({ "one.yaml": campestris, "two.yaml": campestris });
    expect(compiled.ok).to.equal(false);
    if (!compiled.ok) expect(compiled.faults).to.deep.equal([{ path: "two.yaml: id", message: "is used twice" }]);
  });

  it("names each file after its taxon", () => {
    for (const [name, sheet] of Object.entries(raw)) expect(name).to.equal(`${(sheet as Raw).id}.yaml`);
  });

  it("agrees with the register about every tier", () => {
    for (const sheet of SHIPPED.sheets) expect(registeredTier(sheet.id)).to.equal(sheet.tier);
  });

  it("uses every body character of a sheet within its states", () => {
    for (const sheet of SHIPPED.sheets)
      for (const id of CHARACTER_IDS)
        for (const table of tablesOf(sheet.characters[id], undefined))
          for (const state of Object.keys(table)) expect(definitionOf(id).states).to.include(state);
  });
});
