/**
 * The stop signs as data: what each asks for, and why it stops. Basis: common practice, no source.
 *
 * A rule is read by `stop-signs.ts`; whoever knows the trade can mend one here without knowing how it is read.
 */
import type { Age, CharacterId } from "../find/vocabulary.ts";
import type { StopCode } from "../words/reason-words.ts";

/** Funnel-shaped white-to-buff caps below this are refused; the deadly ones are 2 to 4 cm. */
export const PALE_FUNNEL_BELOW_CM = 10;
/** Caps of the small brown kinds in question stay below this (memory). */
export const SMALL_BROWN_BELOW_CM = 8;

/** What a rule asks of one body. A sign needs only to be seen, surely or not, and no mask excuses it. */
export type Ask =
  /** Any one of these states was seen, on the body or on the site. */
  | { readonly sees: CharacterId; readonly anyOf: readonly string[] }
  /** Seen surely, and nothing but these states. */
  | { readonly surely: CharacterId; readonly only: readonly string[] }
  /** Nothing was recorded of this character. */
  | { readonly notLookedAt: CharacterId }
  | { readonly aged: readonly Age[] }
  /** A cap smaller than this; one that nobody measured counts as `unmeasured` says. */
  | { readonly capBelowCm: number; readonly unmeasured: "small" | "not small" }
  /** The stain at the foot came slowly. */
  | { readonly slowStain: true }
  /** No allowed sought sheet that fits plainly lists all of what was seen of these. */
  | { readonly notAimedAt: Readonly<Partial<Record<CharacterId, readonly string[]>>> }
  /** The house rule lets small brown ones through, and every kept body surely shows all of these. */
  | { readonly smallBrownLetThrough: Readonly<Partial<Record<CharacterId, string>>> }
  | { readonly all: readonly Ask[] }
  | { readonly any: readonly Ask[] }
  | { readonly not: Ask };

/** A stop sign: its sentence is with the other words of the answer. */
export interface StopRule {
  readonly code: StopCode;
  /** It says something of this body alone: its grown neighbours are not stopped by it. */
  readonly ofThisBody?: boolean;
  readonly when: Ask;
}

const PALE_CAPS = ["white", "cream", "buff"];
const SAC_PALE_CAPS = [...PALE_CAPS, "yellow", "yellow-green", "grey", "pink", "olive", "green"];
const REAL_RINGS = [
  "skirt",
  "grooved-skirt",
  "cogwheel",
  "movable-collar",
  "felted",
  "cottony",
  "double",
  "sheath",
  "fibrous-zone",
  "remnants",
];
const FEET = ["sac", "bulb", "abrupt-bulb", "gutter-bulb", "clasping-rim", "scaly-rings"];
const WARTS = ["white-warts", "grey-warts", "tan-warts", "yellow-warts", "sheets"];
const SOILS = ["soil", "leaf-litter", "needle-litter", "moss", "buried-wood", "burnt-soil", "compost", "straw", "dung"];
const DEAD_WOOD = ["standing-dead-wood", "stump", "fallen-wood", "living-trunk", "buried-wood", "wood-chips"];
const SPORE_COLOURED_GILLS = ["pink", "brown", "clay-brown", "rust-brown", "chocolate-brown", "black", "purple-grey"];
const SPORE_COLOURED_PRINTS = [
  "pink",
  "clay-brown",
  "rust-brown",
  "chocolate-brown",
  "purple-brown",
  "olive-brown",
  "black",
];

const sees = (character: CharacterId, ...anyOf: string[]): Ask => ({ sees: character, anyOf });
const surely = (character: CharacterId, ...only: string[]): Ask => ({ surely: character, only });
const all = (...asks: Ask[]): Ask => ({ all: asks });
const any = (...asks: Ask[]): Ask => ({ any: asks });
const not = (ask: Ask): Ask => ({ not: ask });
const GILLED = any({ notLookedAt: "underside" }, sees("underside", "gills"));

export const STOP_RULES: readonly StopRule[] = [
  {
    code: "white-gills-with-ring-or-foot",
    when: all(
      GILLED,
      any(all({ aged: ["mature", "old"] }, sees("gill-colour", "white", "cream")), sees("spore-print", "white")),
      // the deadly amanitas stand on soil, or on wood that nobody sees
      any({ notLookedAt: "substrate" }, sees("substrate", ...SOILS)),
      not(sees("gill-attachment", "decurrent")),
      not(sees("stem-texture", "chalk-brittle")),
      any(sees("ring", ...REAL_RINGS), sees("base", ...FEET), sees("veil-on-cap", ...WARTS)),
      { notAimedAt: { ring: REAL_RINGS, base: FEET, "veil-on-cap": WARTS, "gill-colour": ["white", "cream"] } },
    ),
  },
  {
    code: "sac-with-pale-cap",
    when: all(
      sees("base", "sac", "clasping-rim"),
      sees("cap-colour", ...SAC_PALE_CAPS),
      // a cap that is orange to brown in part is not pale
      not(sees("cap-colour", "orange", "tawny", "red-brown")),
      // Caesar's mushroom: red to orange, its gills, ring and stem yellow all through
      not(
        all(
          surely("cap-colour", "orange", "red", "yellow"),
          sees("cap-colour", "orange", "red"),
          surely("gill-colour", "yellow", "orange"),
          surely("stem-colour", "yellow", "orange"),
          surely("ring-colour", "yellow", "orange"),
        ),
      ),
      not(sees("gill-colour", ...SPORE_COLOURED_GILLS)),
      not(sees("spore-print", ...SPORE_COLOURED_PRINTS)),
    ),
  },
  {
    code: "embryo-or-dark-inside",
    ofThisBody: true,
    when: sees("bisection", "embryo-outline", "dark-inside"),
  },
  {
    code: "chrome-at-the-foot",
    when: all(
      GILLED,
      any(all(sees("stain-base", "chrome-yellow"), not({ slowStain: true })), sees("stain-heated", "chrome-yellow")),
    ),
  },
  {
    code: "ink-smell",
    when: any(sees("smell", "chemical"), sees("smell-heated", "chemical")),
  },
  {
    code: "green-spores",
    // the milk of the saffron milkcap greens its gills
    when: any(
      sees("spore-print", "green"),
      all(GILLED, sees("gill-colour", "green"), not(sees("latex", "orange", "wine-red", "turning-green"))),
    ),
  },
  {
    code: "unpleasant-smell",
    when: any(sees("smell", "unpleasant-unnamed"), sees("smell-heated", "unpleasant-unnamed")),
  },
  {
    code: "red-pores-or-strong-blue",
    when: all(
      any(sees("underside", "pores"), not({ notLookedAt: "pore-colour" })),
      any(sees("pore-colour", "red", "orange"), sees("stain-cut", "strong-blue"), sees("stain-stem", "strong-blue")),
    ),
  },
  {
    code: "small-brown-on-wood",
    when: all(
      GILLED,
      any(sees("gill-colour", "brown", "clay-brown", "rust-brown"), sees("spore-print", "clay-brown", "rust-brown")),
      sees("ring", ...REAL_RINGS, "cobweb", "closed"),
      sees("substrate", ...DEAD_WOOD, "moss"),
      { capBelowCm: SMALL_BROWN_BELOW_CM, unmeasured: "small" },
      not({ smallBrownLetThrough: { ring: "sheath", "stem-surface": "scaly-below-ring" } }),
    ),
  },
  {
    code: "greenish-gills-in-cluster",
    when: all(
      sees("growth", "dense-cluster", "small-tufts"),
      sees("substrate", ...DEAD_WOOD),
      sees("gill-colour", "olive-green", "green"),
    ),
  },
  {
    code: "rust-print-with-cobweb",
    when: all(any(sees("spore-print", "rust-brown"), sees("gill-colour", "rust-brown")), sees("ring", "cobweb")),
  },
  {
    code: "small-pale-funnel",
    when: all(GILLED, sees("cap-shape", "funnel"), sees("cap-colour", ...PALE_CAPS), {
      capBelowCm: PALE_FUNNEL_BELOW_CM,
      unmeasured: "not small",
    }),
  },
];
