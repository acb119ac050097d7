import { expect } from "chai";
import fc from "fast-check";
import { finds } from "../tests/arbitraries.ts";
import { canonicalBody, canonicalFind, canonicalJson } from "./canonical.ts";
import { dangerNeighbours, soughtNeighbours } from "./neighbours.ts";
import { parseFind } from "./parse.ts";
import { findSchema } from "./schema.ts";
import { CHARACTER_IDS, definitionOf, isHardLook } from "./vocabulary.ts";
import { CHARACTER_WORDS, FAMILY_WORDS, stateWords, wordList } from "./words.ts";

describe("one spelling for one record", () => {
  it("is the same however its observations were ordered, and stays a valid find", () => {
    fc.assert(
      fc.property(finds(), (find) => {
        const turned = {
          ...find,
          bodies: find.bodies.map((body) => ({ ...body, seen: [...(body.seen ?? [])].reverse() })),
        };
        expect(canonicalJson(canonicalFind(turned))).to.equal(canonicalJson(canonicalFind(find)));
        expect(parseFind(canonicalFind(find)).ok).to.equal(true);
      }),
      { numRuns: 100 },
    );
  });
  it("leaves an empty list of observations out", () => {
    expect(canonicalBody({ id: "A", seen: [] })).to.deep.equal({ id: "A" });
  });
  it("sorts keys and drops what is undefined", () => {
    expect(canonicalJson({ b: 1, a: { d: undefined, c: [2, { f: 1, e: 0 }] } })).to.equal(
      '{"a":{"c":[2,{"e":0,"f":1}]},"b":1}',
    );
  });
});

describe("words", () => {
  it("exist for every character and every family", () => {
    for (const id of CHARACTER_IDS) {
      expect(CHARACTER_WORDS[id].plain.length, id).to.be.greaterThan(2);
      expect(FAMILY_WORDS[definitionOf(id).family]).to.be.a("string");
    }
  });
  it("say states without hyphens, and smells that nobody can name in full", () => {
    expect(stateWords("gill-colour", "chocolate-brown")).to.equal("chocolate brown");
    expect(stateWords("smell", "none")).to.equal("no smell");
    expect(stateWords("smell", "unpleasant-unnamed")).to.equal("unpleasant, cannot name it");
    expect(stateWords("two-toned", "yes")).to.equal("two shades");
  });
  it("are joined as people say them", () => {
    expect(wordList([])).to.equal("");
    expect(wordList(["a"])).to.equal("a");
    expect(wordList(["a", "b"])).to.equal("a or b");
    expect(wordList(["a", "b", "c"], "and")).to.equal("a, b and c");
  });
});

describe("the vocabulary", () => {
  it("knows what people take for each other in a danger, both ways round, and no others", () => {
    // common practice, no source
    for (const [character, one, other] of [
      ["gill-colour", "white", "cream"],
      ["gill-colour", "buff", "yellow"],
      ["gill-colour", "brown", "rust-brown"],
      ["gill-colour", "clay-brown", "rust-brown"],
      ["gill-colour", "lilac", "purple-grey"],
      ["spore-print", "chocolate-brown", "purple-brown"],
      ["spore-print", "clay-brown", "ochre"],
      ["gill-colour", "pink", "brown"],
      ["smell", "aniseed", "almond"],
      ["smell", "aniseed", "coumarin"],
      ["smell", "none", "mushroomy"],
      ["ring", "skirt", "grooved-skirt"],
      ["ring", "remnants", "none"],
      ["base", "bulb", "abrupt-bulb"],
      ["base", "clasping-rim", "sac"],
      ["stain-base", "none", "faint-yellow"],
      ["stain-pores", "slight-blue", "strong-blue"],
      ["gill-attachment", "adnexed", "notched"],
      ["cap-margin", "plain", "incurved"],
    ] as const) {
      expect(dangerNeighbours(character, one), `${character}: ${one}`).to.include(other);
      expect(dangerNeighbours(character, other), `${character}: ${other}`).to.include(one);
    }
    for (const [character, one, other] of [
      ["gill-colour", "white", "pink"],
      ["gill-colour", "pink", "chocolate-brown"],
      ["gill-colour", "white", "buff"],
      ["spore-print", "pink", "rust-brown"],
      ["stain-rub", "none", "faint-yellow"],
      ["base", "plain", "bulb"],
      ["latex", "none", "white"],
      ["gill-attachment", "adnate", "decurrent"],
    ] as const)
      expect(dangerNeighbours(character, one), `${character}: ${one} and ${other}`).not.to.include(other);
  });

  it("lets words for a curve or a shade pass in a sought kind, and nothing that is hard", () => {
    expect(soughtNeighbours("cap-margin", "inrolled")).to.include("plain");
    expect(soughtNeighbours("cap-shape", "umbonate")).to.include("convex");
    expect(soughtNeighbours("cap-colour", "buff")).to.include("ochre");
    for (const id of CHARACTER_IDS)
      for (const state of definitionOf(id).states)
        if (definitionOf(id).hard || id === "gill-colour")
          expect(soughtNeighbours(id, state), `${id}: ${state}`).to.deep.equal([]);
  });

  it("counts as hard the gills only of grown bodies, and a stem only where it snapped like chalk", () => {
    expect(isHardLook("gill-colour", "young", ["pink"])).to.equal(false);
    expect(isHardLook("gill-colour", "mature", ["pink"])).to.equal(true);
    expect(isHardLook("stem-texture", "mature", ["chalk-brittle"])).to.equal(true);
    expect(isHardLook("stem-texture", "mature", ["fibrous"])).to.equal(false);
    for (const soft of ["ring-colour", "ring-place", "gill-spacing", "short-gills", "gill-texture"] as const)
      expect(isHardLook(soft, "mature", []), soft).to.equal(false);
    for (const hard of ["base", "ring", "underside", "gill-attachment", "spore-print", "stain-cut", "latex"] as const)
      expect(isHardLook(hard, "mature", []), hard).to.equal(true);
  });

  it("lists no state twice and has no taste", () => {
    for (const id of CHARACTER_IDS)
      expect(new Set(definitionOf(id).states).size, id).to.equal(definitionOf(id).states.length);
    expect(CHARACTER_IDS.some((id) => /taste/.test(id))).to.equal(false);
  });

  it("is the same for a part that is empty and for one that is left out: an undo cannot tell the two", () => {
    const plain = findSchema.parse({ format: "jittery-cap/find", version: 1, id: "t", bodies: [{ id: "A" }] });
    expect(canonicalFind({ ...plain, site: {}, weather: {} })).to.deep.equal(plain);
  });
});
