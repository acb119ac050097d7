import { expect } from "chai";
import fc from "fast-check";
import jstat from "jstat";
import { definitionOf } from "../find/vocabulary.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { chanceOf, happens, pick, pickByWeight, pickSome } from "./chance.ts";
import { makeFind, offeredLooks, takeLook } from "./made-find.ts";

const words = fc.array(fc.string({ minLength: 1, maxLength: 8 }), { minLength: 1, maxLength: 3 });

describe("chance from a seed", () => {
  it("is the same for the same words, and another for others", () => {
    fc.assert(
      fc.property(words, words, (one, other) => {
        const draw = (seed: readonly string[]) => {
          const chance = chanceOf(...seed);
          return Array.from({ length: 8 }, () => chance.next());
        };
        expect(draw(one)).to.deep.equal(draw(one));
        if (one.join("\u0000") !== other.join("\u0000")) expect(draw(one)).not.to.deep.equal(draw(other));
      }),
      { numRuns: 80 },
    );
  });
  it("tells two words from one that reads like both", () => {
    expect(chanceOf("ab", "c").next()).not.to.equal(chanceOf("a", "bc").next());
  });
  it("lies from nought up to one, evenly: Pearson's statistic of ten boxes stays within its range", () => {
    const chance = chanceOf("even");
    const boxes = new Array<number>(10).fill(0);
    for (let draw = 0; draw < 10_000; draw += 1) {
      const value = chance.next();
      expect(value).to.be.at.least(0).and.below(1);
      boxes[Math.floor(value * 10)] = (boxes[Math.floor(value * 10)] ?? 0) + 1;
    }
    const statistic = boxes.reduce((sum, count) => sum + (count - 1000) ** 2 / 1000, 0);
    // 27.9 is the 999th thousandth of chi-squared of nine degrees (printed tables, from memory)
    expect(statistic).to.be.below(27.9);
  });
});

describe("picking", () => {
  it("some of several takes each once, whatever the chance", () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer(), { maxLength: 12 }), fc.nat({ max: 14 }), words, (from, most, seed) => {
        const picked = pickSome(chanceOf(...seed), from, most);
        expect(picked).to.have.length(Math.min(most, from.length));
        expect(new Set(picked).size).to.equal(picked.length);
        for (const one of picked) expect(from).to.include(one);
      }),
    );
  });
  it("by weight takes nothing that weighs nothing, and the heavy ones as often as they weigh", () => {
    const chance = chanceOf("weights");
    const weights: Readonly<Record<string, number>> = { none: 0, one: 1, three: 3, six: 6 };
    const counts: Record<string, number> = {};
    for (let draw = 0; draw < 5000; draw += 1) {
      const one = pickByWeight(chance, Object.keys(weights), (name) => weights[name] ?? 0) ?? "";
      counts[one] = (counts[one] ?? 0) + 1;
    }
    expect(counts.none).to.equal(undefined);
    for (const name of ["one", "three", "six"])
      expect((counts[name] ?? 0) / 500).to.be.closeTo(weights[name] ?? 0, 0.35);
  });
  it("of nothing picks nothing", () => {
    expect(pick(chanceOf("x"), [])).to.equal(undefined);
    expect(pickByWeight(chanceOf("x"), [], () => 1)).to.equal(undefined);
    expect(pickSome(chanceOf("x"), [], 3)).to.deep.equal([]);
  });
  it("lets happen what always happens, and never what never does", () => {
    const chance = chanceOf("always");
    for (let draw = 0; draw < 200; draw += 1) {
      expect(happens(chance, 1)).to.equal(true);
      expect(happens(chance, 0)).to.equal(false);
    }
  });
});

describe("the practised wood", () => {
  const wood = Array.from({ length: 600 }, (_unused, index) => {
    const sheet = SHIPPED.sheets[index % SHIPPED.sheets.length];
    if (sheet === undefined) throw new Error("no sheets");
    return makeFind(sheet, `wood ${index}`);
  });
  /** Whether a share seen in so many draws agrees with what was set: within the exact interval of 999 in 1000. */
  const agrees = (some: number, of: number, share: number): boolean => {
    const low = some === 0 ? 0 : jstat.beta.inv(0.0005, some, of - some + 1);
    const high = some === of ? 1 : jstat.beta.inv(0.9995, some + 1, of - some);
    return share >= low && share <= high;
  };
  it("has one body alone in a fifth, and a lost foot in an eighth of the finds", () => {
    const alone = wood.filter(({ find }) => find.bodies.length === 1).length;
    const lost = wood.filter(({ find }) => find.bodies[0]?.lifted !== "standing").length;
    expect(agrees(alone, wood.length, 0.2), `${alone} alone`).to.equal(true);
    expect(agrees(lost, wood.length, 0.12), `${lost} lost`).to.equal(true);
  });
  it("has another one near in four of five searches, and the same one for whoever searches again", () => {
    const found = wood.filter((made) => {
      const after = takeLook(made, { test: "find-an-older-one" });
      const again = takeLook(makeFind(made.sheet, made.seed), { test: "find-an-older-one" });
      expect(again.find).to.deep.equal(after.find);
      return after.find.bodies.length > made.find.bodies.length;
    }).length;
    expect(agrees(found, wood.length, 0.8), `${found} found`).to.equal(true);
  });
  it("shows on a frost morning the true smell or none, and no other", () => {
    for (const sheet of SHIPPED.sheets.slice(0, 60)) {
      let made = makeFind(sheet, "frost", "frost");
      for (const look of offeredLooks(made).filter(({ test }) => test === "crush-and-smell"))
        made = takeLook(made, look);
      for (const { id, seen = [] } of made.find.bodies) {
        const smelt = seen.find((entry) => entry.character === "smell")?.states ?? [];
        const truth = made.specimens.get(id)?.truth.get("smell") ?? [];
        for (const state of smelt) expect([...truth, "none"], `${sheet.id} ${id}`).to.include(state);
      }
    }
  });
  it("shows only states that there are, of characters that a body has", () => {
    for (const made of wood.slice(0, 80)) {
      let seen = made;
      for (const look of offeredLooks(made)) seen = takeLook(seen, look);
      for (const body of seen.find.bodies)
        for (const entry of body.seen ?? [])
          for (const state of entry.states ?? []) expect(definitionOf(entry.character).states).to.include(state);
    }
  });
});
