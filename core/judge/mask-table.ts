/**
 * Every mask: what hides what. A mask is data with its reason in words.
 * Basis of all of them: common practice, no source, unless a line says memory.
 */
import type { CharacterId } from "../find/vocabulary.ts";
import { type Conditions, isButton, isOld, WASHES, weathered, worn } from "./body-conditions.ts";
import type { Look } from "./looks.ts";

/** One thing that hides another. */
export interface Mask {
  readonly id: string;
  readonly characters: readonly CharacterId[];
  /** True states that it can hide; left out for all. */
  readonly from?: readonly string[];
  /** What is then seen; left out for anything. */
  readonly to?: readonly string[];
  readonly inForce: (conditions: Conditions, look: Look) => boolean;
  /** Keeps dangers standing, and yet the look proves a must. */
  readonly provesMusts?: boolean;
  /** Hides because of the body's age alone: the look proves a must that asks for what is seen at that age. */
  readonly ofAge?: boolean;
  /** What is really seen then, where `to` is wider out of caution: only simulations draw from it. */
  readonly usually?: readonly string[];
  /** Why it hides, in words. */
  readonly why: string;
  /** What lifts it, in words; left out where nothing does today. */
  readonly lift?: string;
}

const STAINS: readonly CharacterId[] = [
  "stain-cut",
  "stain-stem",
  "stain-base",
  "stain-rub",
  "stain-pores",
  "stain-ring",
  "stain-gills",
];
const DEEP_FEET = ["sac", "bulb", "abrupt-bulb", "gutter-bulb", "clasping-rim", "scaly-rings"];
const NO_STAIN = ["none"];
const WEAK_STAINS = ["none", "faint-yellow", "slight-blue", "brown"];
const PALE = ["white", "cream", "buff"];
/** Gill colours that come with the spores; yellow and orange ones are so from the first. */
const TURNING_GILLS = [
  "pink",
  "grey",
  "green",
  "brown",
  "clay-brown",
  "rust-brown",
  "chocolate-brown",
  "purple-grey",
  "black",
];
/** Those of them that come late, after the cap is open (common practice). */
const LATE_GILLS = ["pink", "green", "brown", "clay-brown", "rust-brown"];
const DARK_PRINTS = ["clay-brown", "rust-brown", "chocolate-brown", "purple-brown", "olive-brown", "black"];
const HEAT_LIFTS = "crush a piece on white paper and bring it out on heat, then look and smell again";

/** Every mask, in the order of handling. */
export const MASKS: readonly Mask[] = [
  {
    id: "warts-gone",
    characters: ["veil-on-cap"],
    from: ["white-warts", "grey-warts", "tan-warts", "yellow-warts", "sheets"],
    to: ["none", "powder"],
    inForce: () => true,
    why: "warts and patches go with rain, with the push through litter and with handling: a bare cap says nothing",
  },
  {
    id: "ring-lost",
    characters: ["ring"],
    to: ["none", "remnants", "fibrous-zone"],
    inForce: (c) => c.age !== "young" || worn(c, ...WASHES) || c.rain,
    why: "a ring goes with age, handling and weather, and a button has none yet: only a young, fresh stem can show that there never was one",
    lift: "look at a young, fresh, untouched body, or halve a young one: does a skin run from the cap's edge to the stem?",
  },
  {
    id: "section-too-late",
    characters: ["veil-in-section"],
    to: ["none"],
    inForce: (c) => c.age === undefined || c.age === "mature" || c.age === "old",
    why: "in a grown body the veil is torn: only a young one, halved, can show that there is none",
    lift: "halve a young one lengthways",
  },
  {
    id: "base-hidden",
    characters: ["base"],
    usually: ["plain"],
    inForce: (c) => c.lifted !== "whole" && !c.joinedFeet,
    why: "the foot was not lifted whole with a look into the hole: a sac or a bulb may have stayed in the ground",
    lift: "dig one out whole, from 2.5 cm beside the stem, and look into the hole",
  },
  {
    id: "ground-not-opened",
    characters: ["sac-colour", "foot-threads"],
    inForce: (c) => c.lifted !== "whole",
    why: "what goes on into the ground is seen only where the foot was dug out whole",
    lift: "dig one out whole, from 2.5 cm beside the stem, and look into the hole",
  },
  {
    id: "base-in-the-cluster",
    characters: ["base"],
    from: DEEP_FEET,
    to: ["fused"],
    provesMusts: true,
    inForce: (c) => c.lifted !== "whole" && c.joinedFeet,
    why: "the cluster was cut off, not lifted: that its feet are joined was seen, what each has below was not",
    lift: "take another cluster with its feet, out of the wood, and look at each below",
  },
  {
    id: "closed-ball",
    characters: ["base"],
    from: DEEP_FEET,
    to: ["sits-on-ground", "plain", "tapered", "rooting", "bulb"],
    provesMusts: true,
    inForce: (c) => c.maybeClosed,
    why: "it was not seen open below, and a closed ball shows no foot: an egg of an amanita sits on its own sac and cord as a puffball does on its",
    lift: "look underneath; where it is closed all round, halve it from top to foot: an egg shows a cap and gills drawn in it",
  },
  {
    id: "base-worn",
    characters: ["base"],
    from: DEEP_FEET,
    to: ["plain", "tapered", "rooting", "bulb", "abrupt-bulb", "gutter-bulb", "clasping-rim", "scaly-rings"],
    inForce: (c) => isOld(c) || worn(c, "handled", "cleaned", "nibbled", "dried-out", "waterlogged"),
    why: "on an old, handled or cleaned body the sac may have worn away",
    lift: "lift a fresh body whole and look before it is handled",
  },
  {
    id: "stain-silenced",
    characters: STAINS,
    to: WEAK_STAINS,
    usually: NO_STAIN,
    inForce: (c, look) => !look.heated && (c.frost || worn(c, "frozen")),
    why: "frost last night silences a stain: no yellow means nothing yet",
    lift: HEAT_LIFTS,
  },
  {
    id: "stain-dried",
    characters: STAINS,
    to: WEAK_STAINS,
    usually: NO_STAIN,
    inForce: (c, look) => !look.heated && (c.drought || worn(c, "dried-out")),
    why: "drought silences a stain",
    lift: HEAT_LIFTS,
  },
  {
    id: "stain-cold",
    characters: STAINS,
    to: WEAK_STAINS,
    usually: NO_STAIN,
    inForce: (c, look) => !look.heated && c.cold,
    why: "cold silences a stain",
    lift: "warm the piece in your hand for two minutes, then nick it again",
  },
  {
    id: "stain-spoilt",
    characters: [...STAINS, "stain-speed", "latex"],
    usually: ["none"],
    inForce: (c) => isOld(c) || c.softened || worn(c, "waterlogged") || c.stale,
    why: "on sodden, soft, old or long picked flesh a stain or its lack is nobody's evidence",
    lift: "nick a fresh, firm body in the field",
  },
  {
    id: "milk-dried",
    characters: ["latex"],
    to: ["none"],
    inForce: (c) => c.drought || worn(c, "dried-out", "frozen"),
    why: "drought dries up the milk",
  },
  {
    id: "smell-silenced",
    characters: ["smell"],
    usually: ["none"],
    inForce: (c, look) => !look.heated && (c.frost || worn(c, "frozen")),
    why: "frost last night silences the smell: the nose proves nothing yet",
    lift: HEAT_LIFTS,
  },
  {
    id: "smell-dried",
    characters: ["smell"],
    usually: ["none"],
    inForce: (c, look) => !look.heated && (c.drought || worn(c, "dried-out")),
    why: "drought silences the smell",
    lift: HEAT_LIFTS,
  },
  {
    id: "smell-cold",
    characters: ["smell"],
    usually: ["none"],
    inForce: (c, look) => !look.heated && c.cold,
    why: "cold silences the smell",
    lift: "warm a crushed piece in your hand for two minutes, then smell again",
  },
  {
    id: "smell-gone",
    characters: ["smell"],
    usually: ["none"],
    inForce: (c) => c.stale || c.cannotSmell || worn(c, "waterlogged"),
    why: "long picked, waterlogged, or nobody here can smell it: the nose proves nothing",
  },
  {
    id: "gills-too-young",
    characters: ["gill-colour"],
    usually: ["white", "cream"],
    inForce: (c) => isButton(c),
    why: "the gills of a button have no spore colour yet",
    lift: "look at an older body",
  },
  {
    id: "veil-not-looked-at",
    characters: ["gill-colour"],
    usually: ["white", "cream"],
    inForce: (c) => c.age === "young" && !c.veilSeenOpen,
    why: "behind a veil that still spans them the gills have no spore colour, and the veil was not seen open",
    lift: "look at the ring of this body, or at an older one",
  },
  {
    id: "gills-still-pale",
    characters: ["gill-colour"],
    from: TURNING_GILLS,
    to: PALE,
    inForce: (c) => c.age === "young",
    ofAge: true,
    why: "gills that will be pink, brown or green start nearly white",
    lift: "look at an older body",
  },
  {
    id: "gills-ripen-late",
    characters: ["gill-colour"],
    from: LATE_GILLS,
    to: PALE,
    inForce: (c) => c.age === "mature",
    provesMusts: true,
    why: "gills that the spores will colour pink, green or brown may still be pale under a cap that is open and flat",
    lift: "take a print, or look at an older body",
  },
  {
    id: "colours-stale",
    characters: [
      "gill-colour",
      "cap-colour",
      "cap-colour-centre",
      "stem-colour",
      "flesh-colour",
      "underside-colour",
      "pore-colour",
      "stem-texture",
      "two-toned",
    ],
    usually: ["brown", "buff", "fibrous"],
    inForce: (c) => c.stale,
    why: "colour and texture of more than a few hours since picking are not those of the field",
  },
  {
    id: "reds-faded",
    characters: ["cap-colour", "cap-colour-centre"],
    from: ["red", "wine-red", "pink"],
    to: ["orange", "yellow", "white", "cream", "buff", "pink"],
    inForce: (c) => weathered(c) || isOld(c),
    why: "sun, rain and age bleach a cap: red goes to orange, gold, white",
  },
  {
    id: "colours-faded",
    characters: ["cap-colour", "cap-colour-centre"],
    from: ["yellow", "olive", "green", "yellow-green", "purple", "lilac", "blue"],
    to: ["white", "cream", "buff", "yellow", "grey"],
    inForce: (c) => weathered(c) || isOld(c),
    why: "sun, rain and age bleach a cap",
  },
  {
    id: "browns-faded",
    characters: ["cap-colour", "cap-colour-centre"],
    from: ["brown", "red-brown", "orange", "grey", "black"],
    to: ["buff", "cream", "yellow", "grey", "brown"],
    inForce: (c) => weathered(c) || isOld(c),
    why: "sun, drying and age bleach a brown cap",
  },
  {
    id: "bump-gone",
    characters: ["cap-shape"],
    from: ["bell", "conical", "umbonate", "convex", "ball", "egg"],
    to: ["flat", "depressed", "wavy", "convex"],
    inForce: (c) => isOld(c) || c.age === "mature",
    why: "a bell or a bump goes with age",
  },
  {
    id: "scales-gone",
    characters: ["cap-surface", "stem-surface"],
    from: ["scaly", "scaly-below-ring", "powdery", "cottony", "granular", "hairy", "velvety", "dotted", "fibrillose"],
    to: ["smooth", "silky", "fibrillose"],
    inForce: (c) => isOld(c) || c.rain || worn(c, ...WASHES),
    why: "scales, flocks and velvet go with rain, handling and age",
    lift: "look at a young, untouched body",
  },
  {
    id: "stem-eaten",
    characters: ["stem-inside"],
    from: ["solid", "stuffed"],
    to: ["hollow", "chambered"],
    inForce: (c) => c.tunnelled,
    why: "insects make a solid stem hollow",
  },
  {
    id: "bracket-dried",
    characters: ["bend", "cap-surface", "underside-colour", "cap-edge-band"],
    usually: ["corky", "smooth", "buff", "same-as-cap"],
    inForce: (c) => worn(c, "dried-out"),
    why: "drying takes velvet, suppleness and the white underside",
  },
  {
    id: "white-on-white",
    characters: ["spore-print"],
    from: ["white", "cream", "pink", "yellow"],
    to: ["white", "cream", "ochre", "yellow"],
    inForce: (c) => c.paper === "white-only",
    why: "a pale print does not show on white paper alone",
    lift: "lay a cap on the split card",
  },
  {
    id: "dark-on-black",
    characters: ["spore-print"],
    from: DARK_PRINTS,
    to: DARK_PRINTS,
    inForce: (c) => c.paper === "black-only",
    why: "dark prints cannot be told apart on black paper alone",
    lift: "lay a cap on the split card",
  },
];
