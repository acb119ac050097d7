import { expect } from "chai";
import { SHIPPED } from "../tests/shipped.ts";
import { nameSearch } from "./search.ts";

const search = nameSearch(SHIPPED.sheets);
const first = (query: string) => search(query)[0]?.sheet;
const found = (query: string) => search(query).map((match) => match.sheet);

describe("the search over names", () => {
  it("finds every sheet by every name that it has", () => {
    for (const { id, names } of SHIPPED.sheets)
      for (const name of [names.scientific, names.common, ...names.also, ...names.synonyms])
        expect(found(name), `${name} for ${id}`).to.include(id);
  });
  it("puts a sheet first that is asked for by its own scientific name", () => {
    for (const { id, names } of SHIPPED.sheets) expect(first(names.scientific), names.scientific).to.equal(id);
  });
  // misspellings as people make them: common practice, no source
  for (const [query, id] of [
    ["Amanita faloides", "amanita-phalloides"],
    ["amanita phaloides", "amanita-phalloides"],
    ["agaricus campestrus", "agaricus-campestris"],
    ["agaricus xanthodermis", "agaricus-xanthodermus"],
    ["cantarellus cibarus", "cantharellus-cibarius"],
    ["galerina margenata", "galerina-marginata"],
    ["flamulina velutipes", "flammulina-velutipes"],
    ["gyromytra esculanta", "gyromitra-esculenta"],
    ["coprinus comatis", "coprinus-comatus"],
    ["boletus edulus", "boletus-edulis"],
    ["pleurotus ostreatis", "pleurotus-ostreatus"],
    ["kuneromyces mutabilis", "kuehneromyces-mutabilis"],
    ["trametes versicolour", "trametes-versicolor"],
    ["infundibulicibe geotropa", "infundibulicybe-geotropa"],
  ] as const)
    it(`forgives ${query}`, () => expect(first(query)).to.equal(id));
  for (const [query, id] of [
    ["Lepiota procera", "macrolepiota-procera"],
    ["Coprinus atramentarius", "coprinopsis-atramentaria"],
    ["Rozites caperata", "cortinarius-caperatus"],
    ["Inocybe patouillardii", "inosperma-erubescens"],
    ["Clitocybe nuda", "lepista-nuda"],
    ["Piptoporus betulinus", "fomitopsis-betulina"],
    ["Boletus badius", "imleria-badia"],
  ] as const)
    it(`knows the older name ${query}`, () => expect(first(query)).to.equal(id));
  for (const [query, id] of [
    ["cep", "boletus-edulis"],
    ["porcini", "boletus-edulis"],
    ["death cap", "amanita-phalloides"],
    ["lawyers wig", "coprinus-comatus"],
    ["turkey tail", "trametes-versicolor"],
    ["yellow stainer", "agaricus-xanthodermus"],
  ] as const)
    it(`knows the common name ${query}`, () => expect(first(query)).to.equal(id));
  it("finds nothing for what is no name, and for a letter alone", () => {
    expect(search("zzqqxxw")).to.deep.equal([]);
    expect(search("a")).to.deep.equal([]);
    expect(search("   ")).to.deep.equal([]);
  });
  it("says by which name a sheet was met", () => {
    expect(search("Lepiota procera")[0]).to.include({ name: "Lepiota procera", kind: "synonym" });
    expect(search("parasol")[0]?.kind).to.equal("common");
  });
});
