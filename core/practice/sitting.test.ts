import { expect } from "chai";
import { sittingKind } from "../documents/kinds/practice.ts";
import { practiceSetSchema, tallyOf } from "./round.ts";
import { type Sitting, sittingSchema, type Try } from "./sitting.ts";

const aTry = (id: string, at: string): Try => ({
  id: `0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a${id}`,
  at,
  exercise: "look",
  skill: "look:base/sac",
  seed: "s",
  edition: "e",
  isRight: true,
  sure: 0.8,
});
const sitting = (...tries: readonly Try[]): Sitting => ({ begunAt: "2026-09-01T18:00:00Z", tries: [...tries] });

describe("a sitting of practice", () => {
  it("keeps what two devices tried, each once, in the order in which it was tried", () => {
    const [first, mine, theirs] = [
      aTry("10", "2026-09-01T18:00:00Z"),
      aTry("11", "2026-09-01T18:09:00Z"),
      aTry("12", "2026-09-01T18:05:00Z"),
    ];
    const merged = sittingKind.merge(sitting(first), sitting(first, mine), sitting(first, theirs));
    expect(merged?.tries).to.deep.equal([first, theirs, mine]);
    expect(sittingKind.merge(sitting(first), sitting(first, theirs), sitting(first, mine))).to.deep.equal(merged);
  });
  it("takes no skill that is a card, no sureness beyond one, no moment without its offset", () => {
    const faults = (more: object) =>
      sittingSchema.safeParse(sitting({ ...aTry("10", "2026-09-01T18:00:00Z"), ...more })).success;
    expect(faults({})).to.equal(true);
    for (const more of [{ skill: "card:1" }, { sure: 1.1 }, { at: "2026-09-01T18:00:00" }, { seed: "" }, { extra: 1 }])
      expect(faults(more), JSON.stringify(more)).to.equal(false);
  });
});

describe("a set of finds", () => {
  it("names kinds that there are, and no more than a table bears", () => {
    const set = (items: readonly object[]) => ({
      format: "jittery-cap/practice-set",
      version: 1,
      name: "Club night",
      items,
    });
    const item = { sheet: "amanita-virosa", seed: "one" };
    expect(practiceSetSchema.safeParse(set([item])).success).to.equal(true);
    for (const items of [[], [{ ...item, sheet: "lunar-cap" }], Array.from({ length: 61 }, () => item)])
      expect(practiceSetSchema.safeParse(set(items)).success).to.equal(false);
  });
  it("counts what a table says", () => {
    expect(tallyOf([{ verdict: "leave" }, { verdict: "basket" }, { verdict: "leave" }])).to.deep.equal({
      said: 3,
      leave: 2,
      hold: 0,
      basket: 1,
    });
    expect(tallyOf([])).to.deep.equal({ said: 0, leave: 0, hold: 0, basket: 0 });
  });
});
