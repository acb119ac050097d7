import { expect } from "chai";
import { bodyOf, FIELD_MUSHROOM, findOf } from "../tests/build.ts";
import { type Account, strike } from "./account.ts";
import { type EatenFind, hospitalPaper, type LoggedMeal } from "./hospital.ts";
import { ONSET_WINDOWS } from "./windows.ts";

const NOW = new Date("2026-09-20T22:00:00Z");
const CLOCK = { now: NOW, at: (iso: string) => iso.slice(0, 16), dateOf: (iso: string) => new Date(iso) };
const MEAL = "0193a000-0000-7000-8000-0000000000e1";

const eaten: EatenFind = {
  find: findOf([bodyOf(FIELD_MUSHROOM)], { label: "pasture ring", place: { name: "Oxmire" } }),
  takenAs: ["field mushroom"],
  decidedAt: "2026-09-20T10:00:00Z",
  dangers: [
    { name: "yellow stainer", mistakes: 2, syndrome: "gut", onsetHours: [0.5, 4] },
    { name: "death cap", mistakes: 4, syndrome: "amatoxin", onsetHours: [6, 24] },
  ],
  witnesses: ["Ilva, in the hand"],
  pictures: [],
};
const logged: LoggedMeal = {
  id: MEAL,
  eatenAt: "2026-09-20T12:00:00Z",
  what: "Hanne: field mushroom, about 150 g",
  eaters: [{ name: "Hanne", ageYears: 41, weightKg: 66 }],
  finds: [eaten],
  kept: ["A raw one: cellar, blue box"],
};
const account: Account = [
  { id: "a", kind: "meal", toldAt: "2026-09-20T21:00:00Z", eatenAt: logged.eatenAt, what: logged.what, logged: MEAL },
  {
    id: "b",
    kind: "felt",
    toldAt: "2026-09-20T21:01:00Z",
    who: "Hanne",
    since: "2026-09-20T20:00:00Z",
    what: "cramps",
  },
];
const textOf = (...of: Parameters<typeof hospitalPaper>) =>
  hospitalPaper(...of)
    .sections.flatMap(({ title, lines }) => [title, ...lines])
    .join("\n");

describe("the paper for the hospital", () => {
  it("tells who, what, when, what is felt, what was found and how far the dangers were, what is kept, who named it", () => {
    const text = textOf(account, [logged], CLOCK);
    for (const words of [
      "Hanne, 41 years, 66 kg, medicines not told",
      "2026-09-20T12:00 (10 h before this paper): Hanne: field mushroom, about 150 g",
      "Hanne: cramps, since 2026-09-20T20:00 (2 h before this paper)",
      "Taken for field mushroom",
      "found at Oxmire",
      "Ilva, in the hand",
      "death cap: 4 mistakes away; amatoxin, onset 6 h to 24 h",
      "A raw one: cellar, blue box",
    ])
      expect(text).to.contain(words);
  });

  it("names every syndrome with its hours, and closes none, also where nothing was told", () => {
    for (const told of [account, [], strike(account, "a", "2026-09-20T21:30:00Z")]) {
      const text = textOf(told, [logged], CLOCK);
      for (const { name } of ONSET_WINDOWS) expect(text).to.contain(`${name}: usually`);
      expect(text).to.contain("does not exclude a late liver poison");
      expect(text).not.to.match(/harmless|\bsafe\b|no danger|probably/i);
    }
    expect(textOf([], [], CLOCK))
      .to.contain("Not told yet.")
      .and.contain("Keep leftovers");
  });

  it("tells nothing of a meal that was struck, or that nobody told, and says where the sheets cannot be had", () => {
    expect(textOf(strike(account, "a", "2026-09-20T21:30:00Z"), [logged], CLOCK)).not.to.contain("Oxmire");
    expect(textOf([], [logged], CLOCK)).not.to.contain("Oxmire");
    const without = { ...logged, finds: [{ ...eaten, dangers: undefined }] };
    expect(textOf(account, [without], CLOCK)).to.contain("cannot be told here");
  });
});
