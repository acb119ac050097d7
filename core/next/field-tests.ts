/** The tests that can be done on a find, with what they cost. Minutes and waits: common practice, no source. */
import type { CharacterId } from "../find/vocabulary.ts";
import type { Conditions } from "../judge/body-conditions.ts";

/** One test in the field or at the table. */
export interface FieldTest {
  readonly id: string;
  readonly of: "site" | "body";
  readonly minutes: number;
  readonly waitHours: number;
  /** Whether the body, or the piece that is tested, is spoilt by it. */
  readonly destroys: boolean;
  readonly shows: readonly CharacterId[];
  /** Whether it can be done at all on a body in this state. */
  readonly possible?: (conditions: Conditions) => boolean;
  /** What the doing of it changes in the conditions: a whole lift shows the base, warmth lifts the cold. */
  readonly changes?: Partial<Conditions>;
  readonly heated?: boolean;
}

const stillRooted = (c: Conditions) => c.lifted === undefined || c.lifted === "standing" || c.lifted === "pulled";
const isClosed = (c: Conditions) => c.age === "egg" || c.age === "button" || c.age === "young";

export const FIELD_TESTS: readonly FieldTest[] = [
  {
    id: "look-at-ground",
    of: "site",
    minutes: 1,
    waitHours: 0,
    destroys: false,
    shows: ["habitat", "substrate", "growth", "host"],
  },
  {
    id: "look-under",
    of: "body",
    minutes: 0.5,
    waitHours: 0,
    destroys: false,
    // a veil that still spans the gills is seen from below
    shows: ["underside", "gill-fold", "underside-colour", "gill-colour", "pore-colour", "pore-drops", "ring"],
  },
  {
    id: "look-at-gill-build",
    of: "body",
    minutes: 1,
    waitHours: 0,
    destroys: false,
    shows: ["gill-attachment", "gill-spacing", "short-gills", "gill-texture"],
  },
  {
    id: "look-at-ring",
    of: "body",
    minutes: 0.5,
    waitHours: 0,
    destroys: false,
    shows: ["ring", "ring-colour", "ring-place", "ring-edge"],
  },
  {
    id: "halve-a-young-one",
    of: "body",
    minutes: 1,
    waitHours: 0,
    destroys: true,
    shows: ["veil-in-section"],
    possible: isClosed,
  },
  {
    id: "look-at-stem",
    of: "body",
    minutes: 1,
    waitHours: 0,
    destroys: false,
    shows: ["stem-surface", "stem-marking-colour", "stem-colour", "stem-texture"],
  },
  {
    id: "look-at-cap",
    of: "body",
    minutes: 1,
    waitHours: 0,
    destroys: false,
    shows: [
      "cap-colour",
      "cap-colour-centre",
      "cap-surface",
      "cap-shape",
      "two-toned",
      "cap-margin",
      "cap-zones",
      "cap-edge-band",
      "veil-on-cap",
    ],
  },
  {
    id: "measure",
    of: "body",
    minutes: 1,
    waitHours: 0,
    destroys: false,
    shows: [],
  },
  {
    id: "lift-base-whole",
    of: "body",
    minutes: 2,
    waitHours: 0,
    destroys: false,
    shows: ["base", "sac-colour", "foot-threads"],
    possible: stillRooted,
    changes: { lifted: "whole" },
  },
  {
    id: "look-at-foot",
    of: "body",
    minutes: 0.5,
    waitHours: 0,
    destroys: false,
    shows: ["base", "sac-colour", "foot-threads"],
    possible: (c) => c.lifted === "whole",
  },
  { id: "nick-foot", of: "body", minutes: 1, waitHours: 0, destroys: false, shows: ["stain-base"] },
  { id: "bruise-gills", of: "body", minutes: 1, waitHours: 0, destroys: false, shows: ["stain-gills", "stain-ring"] },
  { id: "press-pores", of: "body", minutes: 0.5, waitHours: 0, destroys: false, shows: ["stain-pores"] },
  { id: "bend-a-piece", of: "body", minutes: 0.5, waitHours: 0, destroys: false, shows: ["bend"] },
  { id: "scratch-cap", of: "body", minutes: 1, waitHours: 0, destroys: false, shows: ["stain-rub"] },
  { id: "crush-and-smell", of: "body", minutes: 1, waitHours: 0, destroys: false, shows: ["smell"] },
  {
    id: "warm-and-smell",
    of: "body",
    minutes: 3,
    waitHours: 0,
    destroys: false,
    shows: ["smell", "stain-base"],
    possible: (c) => c.cold,
    changes: { cold: false },
  },
  {
    id: "heat-and-smell",
    of: "body",
    minutes: 5,
    waitHours: 0,
    destroys: true,
    shows: ["stain-heated", "smell-heated", "smell", "stain-base"],
    heated: true,
  },
  {
    id: "halve-lengthways",
    of: "body",
    minutes: 2,
    waitHours: 0,
    destroys: true,
    shows: ["flesh-colour", "stain-cut", "stain-stem", "stem-inside", "latex", "cap-joint", "stain-speed"],
  },
  {
    id: "halve-the-ball",
    of: "body",
    minutes: 1,
    waitHours: 0,
    destroys: true,
    shows: ["bisection", "flesh-colour"],
    possible: (c) => c.age === "egg" || c.age === "button" || c.enclosed,
  },
  {
    id: "read-spore-print",
    of: "body",
    minutes: 1,
    waitHours: 0,
    destroys: false,
    shows: ["spore-print"],
    possible: (c) => c.printPending,
  },
  {
    id: "take-spore-print",
    of: "body",
    minutes: 3,
    waitHours: 8,
    destroys: true,
    shows: ["spore-print"],
    possible: (c) => c.age !== "egg" && c.age !== "button",
  },
];

/** What a test asks of the person, in one line. */
export const TEST_WORDS: Readonly<Record<string, string>> = {
  "tell-the-age": "Say how old {body} is",
  "find-an-older-one": "Find an older one and look at its gills",
  "look-at-ground": "Look at the ground: what it grows from, how they stand",
  "look-under": "Look under the cap of {body}, and whether a veil still spans it",
  "look-at-gill-build": "See how the gills of {body} meet the stem",
  "look-at-ring": "Look at the ring of {body}",
  "halve-a-young-one": "Halve {body}: does a skin run from the cap's edge to the stem?",
  "look-at-stem": "Look at the stem of {body}",
  "look-at-cap": "Look at the cap of {body}",
  measure: "Measure the cap and the stem of {body}",
  "lift-base-whole": "Lift {body} whole and look at the foot",
  "look-at-foot": "Look at the foot of {body}",
  "nick-foot": "Nick the very foot of {body} and watch",
  "bruise-gills": "Bruise the gills of {body} and watch",
  "press-pores": "Press the pores of {body} and watch",
  "bend-a-piece": "Bend a piece of {body}",
  "scratch-cap": "Scratch the cap of {body} and watch",
  "crush-and-smell": "Crush a piece of {body} and smell",
  "warm-and-smell": "Warm a piece of {body} in your hand, then nick and smell",
  "heat-and-smell": "Bring a piece of {body} out on heat, then look and smell",
  "halve-lengthways": "Halve {body} from top to bottom",
  "halve-the-ball": "Halve {body} through the middle",
  "read-spore-print": "Read the print of {body} on both halves",
  "take-spore-print": "Lay the cap of {body} for a print",
};

/** The line for a test on a body. */
export function testWords(test: string, body: string | undefined): string {
  return (TEST_WORDS[test] ?? test).replace("{body}", body ?? "it");
}
