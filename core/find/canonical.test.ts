import { expect } from "chai";
import fc from "fast-check";
import { finds } from "../tests/arbitraries.ts";
import { canonicalBody, canonicalFind, canonicalJson } from "./canonical.ts";
import { parseFind } from "./parse.ts";
import { findSchema } from "./schema.ts";
import { areNeighbours, CHARACTER_IDS, definitionOf } from "./vocabulary.ts";
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
  it("knows the pairs that people mix up, both ways round, and no others", () => {
    // common practice: white and cream, buff and pale yellow, aniseed, almond and coumarin, pinkish and brownish
    for (const [one, other] of [
      ["white", "cream"],
      ["buff", "yellow"],
      ["aniseed", "almond"],
      ["almond", "coumarin"],
      ["aniseed", "coumarin"],
      ["pink", "brown"],
    ] as const) {
      expect(areNeighbours(one, other)).to.equal(true);
      expect(areNeighbours(other, one)).to.equal(true);
    }
    for (const [one, other] of [
      ["white", "pink"],
      ["pink", "chocolate-brown"],
      ["white", "buff"],
      ["pink", "rust-brown"],
      ["none", "faint-yellow"],
    ] as const)
      expect(areNeighbours(one, other), `${one} and ${other}`).to.equal(false);
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
