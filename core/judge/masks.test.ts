/** What hides what. Source of every line: common practice, no source; thresholds from memory. */
import { expect } from "chai";
import type { Body, Find } from "../find/schema.ts";
import { CHARACTERS, definitionOf } from "../find/vocabulary.ts";
import { answerTo, bodyOf, findOf, type Seen } from "../tests/build.ts";
import { COLD_BELOW_C, DROUGHT_DAYS, HOURS_UNTIL_STALE } from "./body-conditions.ts";
import { MASKS } from "./mask-table.ts";
import { canHide, isHidden, masksInForce } from "./masks.ts";
import { sceneOf } from "./scene.ts";

interface Case {
  readonly what: string;
  readonly look: Seen;
  readonly body?: Partial<Body>;
  readonly weather?: Find["weather"];
  readonly mask: string;
}

const WHOLE_AND_FRESH: Partial<Body> = { age: "young", lifted: "whole" };

function inForce({ look, body, weather }: Pick<Case, "look" | "body" | "weather">): string[] {
  const find = findOf([bodyOf(look, { ...WHOLE_AND_FRESH, ...body })], weather === undefined ? {} : { weather });
  const scene = sceneOf(find).bodies[0];
  const [character] = Object.keys(look); // the one that is asked about comes first
  const seen = [...(scene?.looks.values() ?? [])].find((one) => one.character === character);
  if (scene === undefined || seen === undefined) throw new Error("nothing to look at");
  return masksInForce(seen, scene.conditions).map((mask) => mask.id);
}

const CASES: readonly Case[] = [
  { what: "warts gone, always", look: { "veil-on-cap": "none" }, mask: "warts-gone" },
  { what: "a ring lost with age", look: { ring: "none" }, body: { age: "old" }, mask: "ring-lost" },
  { what: "a ring lost to the hand", look: { ring: "none" }, body: { wear: ["handled"] }, mask: "ring-lost" },
  { what: "a ring lost to rain", look: { ring: "none" }, weather: { rain24hMm: 5 }, mask: "ring-lost" },
  { what: "a ring not there yet", look: { ring: "none" }, body: { age: "button" }, mask: "ring-lost" },
  { what: "a foot left in the ground", look: { base: "plain" }, body: { lifted: "cut" }, mask: "base-hidden" },
  { what: "a foot pulled out of its sac", look: { base: "plain" }, body: { lifted: "pulled" }, mask: "base-hidden" },
  { what: "the foot of a ball", look: { base: "plain", underside: "enclosed" }, mask: "closed-ball" },
  { what: "the foot of what may be a ball", look: { base: "plain" }, mask: "closed-ball" },
  { what: "the foot of an unsure opening", look: { base: "plain", underside: "?gills" }, mask: "closed-ball" },
  { what: "a foot worn by age", look: { base: "plain" }, body: { age: "old" }, mask: "base-worn" },
  { what: "a foot that was cleaned", look: { base: "plain" }, body: { wear: ["cleaned"] }, mask: "base-worn" },
  {
    what: "a stain silenced by frost",
    look: { "stain-base": "none" },
    weather: { frostLastNight: true },
    mask: "stain-silenced",
  },
  {
    what: "a stain silenced by drought",
    look: { "stain-base": "none" },
    weather: { drySpellDays: DROUGHT_DAYS },
    mask: "stain-dried",
  },
  {
    what: "a stain silenced by cold",
    look: { "stain-base": "none" },
    weather: { airTempC: COLD_BELOW_C - 1 },
    mask: "stain-cold",
  },
  {
    what: "a stain on sodden flesh",
    look: { "stain-cut": "pink" },
    body: { wear: ["waterlogged"] },
    mask: "stain-spoilt",
  },
  { what: "a stain on old flesh", look: { "stain-cut": "pink" }, body: { age: "old" }, mask: "stain-spoilt" },
  { what: "milk dried up", look: { latex: "none" }, weather: { drySpellDays: 20 }, mask: "milk-dried" },
  {
    what: "a smell silenced by frost",
    look: { smell: "mushroomy" },
    weather: { frostLastNight: true },
    mask: "smell-silenced",
  },
  { what: "a smell silenced by cold", look: { smell: "mushroomy" }, weather: { airTempC: 2 }, mask: "smell-cold" },
  {
    what: "a nose that cannot smell",
    look: { smell: "mushroomy" },
    weather: { cannotSmell: true },
    mask: "smell-gone",
  },
  { what: "gills of a button", look: { "gill-colour": "pink" }, body: { age: "button" }, mask: "gills-too-young" },
  {
    what: "gills of nobody knows what age",
    look: { "gill-colour": "pink" },
    body: { age: undefined },
    mask: "gills-too-young",
  },
  { what: "gills behind a closed veil", look: { "gill-colour": "pink", ring: "closed" }, mask: "veil-not-looked-at" },
  { what: "gills behind a veil nobody looked for", look: { "gill-colour": "pink" }, mask: "veil-not-looked-at" },
  { what: "gills that start white", look: { "gill-colour": "white", ring: "skirt" }, mask: "gills-still-pale" },
  { what: "colours a day old", look: { "cap-colour": "white" }, body: { hoursSincePicked: 24 }, mask: "colours-stale" },
  {
    what: "a red cap bleached by rain",
    look: { "cap-colour": "white" },
    weather: { rain24hMm: 12 },
    mask: "reds-faded",
  },
  { what: "a bump gone with age", look: { "cap-shape": "flat" }, body: { age: "mature" }, mask: "bump-gone" },
  {
    what: "scales washed off a stem",
    look: { "stem-surface": "smooth" },
    body: { wear: ["rain-washed"] },
    mask: "scales-gone",
  },
  {
    what: "a stem hollowed by insects",
    look: { "stem-inside": "hollow" },
    body: { larvae: "few" },
    mask: "stem-eaten",
  },
  { what: "a bracket gone stiff", look: { bend: "corky" }, body: { wear: ["dried-out"] }, mask: "bracket-dried" },
  {
    what: "a white print on white paper",
    look: { "spore-print": "white" },
    weather: { printPaper: "white-only" },
    mask: "white-on-white",
  },
  {
    what: "a dark print on black paper",
    look: { "spore-print": "rust-brown" },
    weather: { printPaper: "black-only" },
    mask: "dark-on-black",
  },
];

describe("a mask", () => {
  for (const one of CASES)
    it(`is in force for ${one.what}`, () => {
      expect(inForce(one)).to.include(one.mask);
    });

  it("is not in force without its cause: a young, fresh body, dug out whole on a mild dry morning", () => {
    for (const [character, state] of [
      ["ring", "none"],
      ["base", "plain"],
      ["stain-base", "none"],
      ["smell", "mushroomy"],
      ["cap-colour", "white"],
      ["stem-surface", "smooth"],
      ["stem-inside", "hollow"],
    ] as const)
      expect(
        inForce({
          look: { [character]: state, underside: "gills" },
          weather: { airTempC: 15, rain24hMm: 0, drySpellDays: 0, frostLastNight: false },
        }),
        character,
      ).to.deep.equal([]);
  });

  it("of cold is lifted by the warmth of a hand, of frost and drought only by heat", () => {
    const smell = (weather: Find["weather"]) => inForce({ look: { smell: "mushroomy" }, weather });
    expect(smell({ airTempC: 2, warmedInHand: true })).to.deep.equal([]);
    expect(smell({ frostLastNight: true, warmedInHand: true })).to.include("smell-silenced");
    const heated = findOf(
      [
        {
          id: "A",
          age: "young",
          lifted: "whole",
          seen: [{ character: "smell", states: ["mushroomy"], method: "heat" }],
        },
      ],
      { weather: { frostLastNight: true, drySpellDays: 30 } },
    );
    const scene = sceneOf(heated).bodies[0];
    const look = scene?.looks.get("smell");
    expect(look !== undefined && scene !== undefined && isHidden(look, scene.conditions)).to.equal(false);
  });

  it("of staleness begins after a few hours, not before", () => {
    expect(inForce({ look: { "stem-colour": "white" }, body: { hoursSincePicked: HOURS_UNTIL_STALE } })).to.deep.equal(
      [],
    );
    expect(
      inForce({ look: { "stem-colour": "white" }, body: { hoursSincePicked: HOURS_UNTIL_STALE + 1 } }),
    ).to.deep.equal(["colours-stale"]);
  });

  it("hides only what it names: rain makes no grey wart out of a bare cap, frost no chrome out of nothing", () => {
    const mask = (id: string) => MASKS.find((one) => one.id === id) ?? MASKS[0];
    const warts = mask("warts-gone");
    const stain = mask("stain-silenced");
    if (warts === undefined || stain === undefined) throw new Error("no masks");
    expect(canHide(warts, "white-warts", "none")).to.equal(true);
    expect(canHide(warts, "none", "grey-warts")).to.equal(false);
    expect(canHide(stain, "chrome-yellow", "none")).to.equal(true);
    expect(canHide(stain, "none", "chrome-yellow")).to.equal(false);
  });

  it("is written in words that the vocabulary has, each with a reason", () => {
    for (const mask of MASKS) {
      expect(mask.why.length, mask.id).to.be.greaterThan(20);
      for (const state of [...(mask.from ?? []), ...(mask.to ?? [])])
        expect(
          mask.characters.some((character) => definitionOf(character).states.includes(state)),
          `${mask.id}: ${state}`,
        ).to.equal(true);
    }
    expect(new Set(MASKS.map((mask) => mask.id)).size).to.equal(MASKS.length);
  });

  it("exists for every character that time, weather or handling is known to change", () => {
    const covered = new Set(MASKS.flatMap((mask) => mask.characters));
    for (const character of [
      "veil-on-cap",
      "ring",
      "base",
      "stain-base",
      "smell",
      "gill-colour",
      "cap-colour",
      "cap-shape",
      "cap-surface",
      "stem-surface",
      "stem-inside",
      "spore-print",
      "latex",
      "stem-colour",
    ] as const)
      expect(covered, character).to.include(character);
    expect(Object.keys(CHARACTERS)).to.include.members([...covered]);
  });
});

describe("a mask that one kind has of its own", () => {
  it("lets a fly agaric stand behind a yellow cap even on a fresh one in dry weather", () => {
    const yellow = answerTo([bodyOf({ "cap-colour": "yellow", "cap-colour-centre": "cream" })]);
    const fly = yellow.dangers.find((danger) => danger.sheet === "amanita-muscaria");
    expect(fly?.points.map((point) => point.family)).not.to.include("cap-colour");
    const green = answerTo([bodyOf({ "cap-colour": "green" })]).dangers.find(
      (danger) => danger.sheet === "amanita-muscaria",
    );
    expect(green?.points.map((point) => point.family)).to.include("cap-colour");
  });
  it("lets a champagne amanita stand behind a plain-looking foot once it was handled, and says why", () => {
    const distance = (wear: "handled" | undefined) =>
      answerTo([
        bodyOf({ base: "tapered", underside: "gills" }, wear === undefined ? {} : { wear: [wear] }),
      ]).dangers.find((danger) => danger.sheet === "amanita-crenulata");
    expect(distance(undefined)?.mistakes).to.equal(1);
    expect(distance("handled")?.mistakes).to.equal(0);
    expect(
      distance("handled")
        ?.masks.map((mask) => mask.why)
        .join(),
    ).to.match(/gone at a touch/);
  });
});

describe("gills behind a veil", () => {
  it("and the ring that was looked at are one mistake: one slip would undo both, whatever else speaks", () => {
    const seen = { ring: "skirt", "gill-colour": "chocolate-brown" };
    const both = answerTo([bodyOf(seen)]).dangers.find((danger) => danger.sheet === "clitocybe-rivulosa");
    expect(both?.mistakes).to.equal(1);
    expect(both?.points.map((point) => point.character)).to.deep.equal(["ring"]);
    const more = answerTo([bodyOf({ ...seen, smell: "aniseed" })]).dangers.find(
      (danger) => danger.sheet === "clitocybe-rivulosa",
    );
    expect(more?.mistakes).to.equal(2);
  });
  it("count with a print of their own, and twice where the danger never has such spores", () => {
    const printed = answerTo([
      bodyOf({ ring: "skirt", "gill-colour": "chocolate-brown", "spore-print": "chocolate-brown" }),
    ]);
    expect(printed.dangers.find((danger) => danger.sheet === "clitocybe-rivulosa")?.mistakes).to.equal(3);
  });
});
