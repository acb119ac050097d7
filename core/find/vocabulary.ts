/**
 * What one can look at on a mushroom, and what one can see there.
 *
 * Identifiers are part of the file format: lists may grow, nothing is ever renamed or dropped.
 * Terms are the field's own (annulus: ring; lamellae: gills; stipe: stem; pileus: cap).
 */

/** Evidence that could be wrong for the same reason: it counts once. */
export const FAMILIES = [
  "base",
  "ring",
  "veil-remnants",
  "underside",
  "gill-structure",
  "spore-colour",
  "flesh",
  "latex",
  "smell",
  "stem",
  "cap-surface",
  "cap-colour",
  "size",
  "growth",
  "spore-size",
] as const;
export type Family = (typeof FAMILIES)[number];

const CAP_COLOURS = [
  "white",
  "cream",
  "buff",
  "yellow",
  "orange",
  "red",
  "pink",
  "wine-red",
  "brown",
  "red-brown",
  "grey",
  "olive",
  "green",
  "yellow-green",
  "lilac",
  "purple",
  "blue",
  "black",
  "ochre",
  "tawny",
] as const;

const STAINS = [
  "none",
  "faint-yellow",
  "chrome-yellow",
  "orange",
  "pink",
  "red",
  "wine-red",
  "slight-blue",
  "strong-blue",
  "green",
  "grey-black",
  "brown",
  "lilac",
] as const;

const SMELLS = [
  "mushroomy",
  "aniseed",
  "almond",
  "chemical",
  "mealy",
  "rancid",
  "radish",
  "floral",
  "fruity-apricot",
  "fishy",
  "honey",
  "garlic",
  "urine",
  "soapy",
  "coconut",
  "smoky",
  "nutty",
  "sweet",
  "litter",
  "glue",
  "coumarin",
  "pleasant-unnamed",
  "unpleasant-unnamed",
  "none",
] as const;

/** One thing that can be looked at. */
export interface CharacterDefinition {
  readonly family: Family;
  /** Looked at once for the whole find, or on each body. */
  readonly of: "site" | "body";
  /** Several states may hold at once. */
  readonly many: boolean;
  /** What is true of it changes with the age of the body. */
  readonly byAge: boolean;
  /** Its contradiction can carry a "ruled out"; the rest are soft. See `isHardLook` for those that are so at times only. */
  readonly hard: boolean;
  readonly states: readonly string[];
}

function character(
  of: "site" | "body",
  family: Family,
  flags: "" | "many" | "age" | "age many" | "hard" | "many hard" | "age hard" | "age many hard",
  states: readonly string[],
): CharacterDefinition {
  return {
    of,
    family,
    many: flags.includes("many"),
    byAge: flags.includes("age"),
    hard: flags.includes("hard"),
    states,
  };
}

/** Every character with its family and its states, in the order of handling. */
export const CHARACTERS = {
  habitat: character("site", "growth", "many", [
    "broadleaf-woodland",
    "conifer-woodland",
    "mixed-woodland",
    "woodland-edge",
    "grassland",
    "lawn-or-park",
    "heath",
    "bog",
    "dune",
    "burnt-ground",
    "disturbed-ground",
    "garden-bed",
    "path-side",
    "forest-track-side",
    "roadside",
    "graveyard",
    "orchard",
  ]),
  substrate: character("site", "growth", "many", [
    "soil",
    "leaf-litter",
    "needle-litter",
    "moss",
    "standing-dead-wood",
    "stump",
    "fallen-wood",
    "living-trunk",
    "buried-wood",
    "wood-chips",
    "dung",
    "burnt-soil",
    "compost",
    "straw",
  ]),
  host: character("site", "growth", "many", [
    "oak",
    "beech",
    "birch",
    "hazel",
    "hornbeam",
    "chestnut",
    "aspen",
    "poplar",
    "willow",
    "alder",
    "lime",
    "elm",
    "maple",
    "ash",
    "spruce",
    "pine",
    "fir",
    "larch",
    "douglas-fir",
    "hemlock-conifer",
    "eucalyptus",
    "none-near",
    "yew",
    "cypress",
    "hawthorn",
    "madrone",
    "horse-chestnut",
    "robinia",
    "cherry",
    "apple",
    "palm",
    "bamboo",
  ]),
  growth: character("site", "growth", "many", [
    "single",
    "scattered",
    "trooping",
    "ring-or-arc",
    "dense-cluster",
    "small-tufts",
    "overlapping-shelves",
  ]),

  underside: character("body", "underside", "age hard", [
    "gills",
    "ridges",
    "pores",
    "spines",
    "smooth",
    "enclosed",
    "honeycomb",
    "lobed",
  ]),
  "gill-fold": character("body", "underside", "hard", ["folds-over", "stays-put"]),
  "underside-colour": character("body", "underside", "age many", [
    "white",
    "cream",
    "buff",
    "grey",
    "yellow",
    "yellow-brown",
    "orange",
    "peach",
    "pink",
    "brown",
    "purple",
    "black",
  ]),
  "gill-attachment": character("body", "gill-structure", "hard", [
    "free",
    "collared",
    "adnexed",
    "notched",
    "adnate",
    "decurrent",
  ]),
  "gill-spacing": character("body", "gill-structure", "", ["crowded", "close", "distant"]),
  "short-gills": character("body", "gill-structure", "many", ["none", "tapering", "square-cut", "several-lengths"]),
  "gill-texture": character("body", "gill-structure", "", ["brittle", "flexible", "waxy"]),
  "gill-colour": character("body", "spore-colour", "age many", [
    "white",
    "cream",
    "buff",
    "pink",
    "grey",
    "yellow",
    "orange",
    "olive-green",
    "green",
    "lilac",
    "purple-grey",
    "brown",
    "clay-brown",
    "rust-brown",
    "chocolate-brown",
    "black",
  ]),
  "pore-drops": character("body", "underside", "", ["none", "milky", "amber", "clear"]),
  "cap-joint": character("body", "gill-structure", "hard", ["grown-on", "half-free", "hangs-free", "lobes-joined"]),
  "pore-colour": character("body", "underside", "age many", [
    "white",
    "cream",
    "yellow",
    "olive",
    "orange",
    "red",
    "pinkish",
    "brown",
    "grey",
  ]),
  "spore-print": character("body", "spore-colour", "hard", [
    "white",
    "cream",
    "ochre",
    "yellow",
    "pink",
    "lilac",
    "clay-brown",
    "rust-brown",
    "chocolate-brown",
    "purple-brown",
    "olive-brown",
    "black",
    "green",
  ]),
  "cap-shape": character("body", "cap-surface", "age many", [
    "egg",
    "ball",
    "bell",
    "conical",
    "convex",
    "umbonate",
    "blocky",
    "flat",
    "dimpled",
    "depressed",
    "funnel",
    "perforated",
    "wavy",
    "shelf",
  ]),
  "cap-colour": character("body", "cap-colour", "age many", CAP_COLOURS),
  "cap-colour-centre": character("body", "cap-colour", "age many", CAP_COLOURS),
  "two-toned": character("body", "cap-surface", "", ["yes", "no"]),
  "cap-surface": character("body", "cap-surface", "age many", [
    "smooth",
    "silky",
    "fibrillose",
    "velvety",
    "hairy",
    "slimy",
    "tacky",
    "scaly",
    "cracked",
    "powdery",
    "wrinkled",
    "soil-lifted",
  ]),
  "cap-zones": character("body", "cap-surface", "", ["none", "blending", "distinct"]),
  "cap-edge-band": character("body", "cap-surface", "", ["pale", "same-as-cap"]),
  "cap-margin": character("body", "cap-surface", "age many", [
    "plain",
    "striate",
    "incurved",
    "inrolled",
    "upturned",
    "split",
    "ragged-with-veil",
  ]),
  "veil-on-cap": character("body", "veil-remnants", "age many", [
    "none",
    "white-warts",
    "grey-warts",
    "tan-warts",
    "yellow-warts",
    "sheets",
    "powder",
  ]),
  ring: character("body", "ring", "age many hard", [
    "none",
    "closed",
    "skirt",
    "grooved-skirt",
    "cogwheel",
    "movable-collar",
    "felted",
    "cottony",
    "double",
    "sheath",
    "fibrous-zone",
    "cobweb",
    "remnants",
  ]),
  "veil-in-section": character("body", "ring", "hard", ["spans", "none"]),
  "ring-colour": character("body", "ring", "many", [...CAP_COLOURS, "rust"]),
  "ring-edge": character("body", "ring", "many", ["even", "toothed", "coloured-edge", "scales-beneath"]),
  "ring-place": character("body", "ring", "", ["high", "middle", "low"]),
  "stem-surface": character("body", "stem", "age many", [
    "smooth",
    "silky",
    "fibrillose",
    "scaly-below-ring",
    "snakeskin",
    "net",
    "scabers",
    "velvety-darkening",
    "granular",
    "cottony",
    "dotted",
  ]),
  "stem-marking-colour": character("body", "stem", "age many", CAP_COLOURS),
  "stem-inside": character("body", "stem", "", ["solid", "stuffed", "hollow", "chambered"]),
  "stem-texture": character("body", "stem", "age", ["fibrous", "chalk-brittle", "tough", "cartilage"]),
  "stem-colour": character("body", "stem", "age many", CAP_COLOURS),
  base: character("body", "base", "hard", [
    "plain",
    "tapered",
    "rooting",
    "bulb",
    "abrupt-bulb",
    "gutter-bulb",
    "clasping-rim",
    "scaly-rings",
    "sac",
    "fused",
    // brackets and puffballs have no foot: looked, and there is none
    "side-attached",
    "sits-on-ground",
  ]),
  "sac-colour": character("body", "base", "many", CAP_COLOURS),
  "foot-threads": character("body", "base", "many", [
    "none",
    "white-threads",
    "white-cords",
    "bootlaces",
    "coloured-threads",
  ]),
  "flesh-colour": character("body", "flesh", "many hard", [
    "white",
    "cream",
    "yellow",
    "orange",
    "pink",
    "brown",
    "wine-red",
    "purple",
    "marbled",
    "lilac",
  ]),
  "stain-cut": character("body", "flesh", "many hard", STAINS),
  "stain-stem": character("body", "flesh", "many hard", STAINS),
  "stain-base": character("body", "flesh", "many hard", STAINS),
  "stain-rub": character("body", "flesh", "many hard", STAINS),
  "stain-pores": character("body", "flesh", "many hard", STAINS),
  "stain-ring": character("body", "flesh", "many hard", STAINS),
  "stain-gills": character("body", "flesh", "many hard", STAINS),
  "stain-heated": character("body", "flesh", "many hard", STAINS),
  "stain-speed": character("body", "flesh", "", ["at-once", "within-a-minute", "slow"]),
  latex: character("body", "latex", "many hard", [
    "none",
    "white",
    "orange",
    "wine-red",
    "turning-yellow",
    "turning-green",
    "turning-lilac",
  ]),
  smell: character("body", "smell", "age many", SMELLS),
  "smell-heated": character("body", "smell", "many", SMELLS),
  bisection: character("body", "underside", "age hard", [
    "uniform-white",
    "embryo-outline",
    "dark-inside",
    "yellow-olive-inside",
    "jelly-layer",
  ]),
  bend: character("body", "stem", "", ["flexible", "corky", "brittle"]),
} as const satisfies Record<string, CharacterDefinition>;

/** The name of something that can be looked at. */
export type CharacterId = keyof typeof CHARACTERS;
/** Every character, in the order of handling. */
export const CHARACTER_IDS = Object.keys(CHARACTERS) as readonly CharacterId[];
/** The four characters that are recorded once for the find. */
export const SITE_CHARACTERS = ["habitat", "substrate", "host", "growth"] as const;
export type SiteCharacterId = (typeof SITE_CHARACTERS)[number];

/** Whether a word names a character. */
export function isCharacterId(word: string): word is CharacterId {
  return Object.hasOwn(CHARACTERS, word);
}

/** The definition of a character. */
export function definitionOf(id: CharacterId): CharacterDefinition {
  return CHARACTERS[id];
}

export const AGES = ["egg", "button", "young", "mature", "old"] as const;
export type Age = (typeof AGES)[number];

export const REGIONS = [
  "europe",
  "north-america-east",
  "north-america-west",
  "rocky-mountains",
  "east-asia",
  "south-asia",
  "africa",
  "australasia",
  "south-america",
] as const;

/** How a body came out of the ground; only `whole` shows the base. */
export const LIFTS = ["standing", "whole", "pulled", "cut", "broken", "mown"] as const;
export type Lift = (typeof LIFTS)[number];

export const WEARS = ["rain-washed", "handled", "frozen", "dried-out", "waterlogged", "nibbled", "cleaned"] as const;
export type Wear = (typeof WEARS)[number];

export const FIRMNESSES = ["firm", "soft", "mushy"] as const;
export const LARVAE = ["none", "few", "riddled"] as const;
export const STAIN_SPEEDS = CHARACTERS["stain-speed"].states;
export type StainSpeed = (typeof STAIN_SPEEDS)[number];
export const METHODS = ["eye", "scratch", "heat", "picture", "microscope", "hand-lens"] as const;
export const PRINT_PAPERS = ["split-black-white", "newsprint", "white-only", "black-only", "glass", "foil"] as const;
export type PrintPaper = (typeof PRINT_PAPERS)[number];

/** What may have spoilt the ground. */
export const CONCERNS = [
  "roadside",
  "city",
  "graveyard",
  "sprayed-lawn",
  "treated-wood",
  "industrial",
  "mine-spoil",
  "flood-silt",
] as const;
export type Concern = (typeof CONCERNS)[number];

/** How a person may part from a body. None of them is a failure. */
export const ENDINGS = [
  "basket",
  "basket-cap-only",
  "basket-after-trimming",
  "home-to-finish",
  "home-as-one-of-a-group",
  "must-be-cooked",
  "left-to-grow",
  "left-past-it",
  "left-unclean-ground",
  "left-test-failed",
  "left-unknown",
  "left-genus-passed-over",
  "looked-at-only",
  "weeded-out",
  "infusion-only",
  "first-tasting",
  "puzzle-kept-open",
  "named-for-interest",
] as const;

export type Ending = (typeof ENDINGS)[number];

/** How a body leaves the basket: taken on to the kitchen, or never to be anybody's food here. */
export const PARTINGS = ["emptied", "given-away", "thrown-away"] as const;
export type Parting = (typeof PARTINGS)[number];

/** How a body was found when it was looked at once more at the table, in good light, before washing. */
export const SORTED_AS = ["as-recorded", "stranger"] as const;
export type SortedAs = (typeof SORTED_AS)[number];

/** Characters of the stained kind: their entries may carry a speed. */
export function isStain(id: string): boolean {
  return id.startsWith("stain-") && id !== "stain-speed";
}

/**
 * Whether a contradiction by this character counts as hard on a body of this age and with these states. The colour of
 * gills is so only once they are ripe, the breaking of a stem only where it snapped like chalk.
 */
export function isHardLook(id: CharacterId, age: Age | undefined, states: readonly string[]): boolean {
  if (id === "gill-colour") return age === "mature" || age === "old";
  if (id === "stem-texture") return states.every((state) => state === "chalk-brittle");
  return definitionOf(id).hard;
}

/** Whether a character can ever be hard: what a plan may hope for. */
export function canBeHard(id: CharacterId): boolean {
  return definitionOf(id).hard || id === "gill-colour" || id === "stem-texture";
}
