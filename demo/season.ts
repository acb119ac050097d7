/**
 * One invented autumn in an invented lakeland of birch, spruce, hazel and old pasture.
 * Places, people and finds are made up; the mushrooms behave as mushrooms do.
 */
import { type Body, type Entry, type Find, findSchema, isCharacterId } from "@jittery-cap/core";

type Words = Readonly<Record<string, string>>;

/** Entries from "state" or "state, state"; "?" before it: unsure; "-" before it: could not look, and why. */
function seen(words: Words, more: Partial<Entry> = {}): Entry[] {
  return Object.entries(words).map(([character, text]) => {
    if (!isCharacterId(character)) throw new Error(`no such character: ${character}`);
    if (text.startsWith("-")) return { character, unseen: text.slice(1) };
    const sure = text.startsWith("?") ? { sure: false } : {};
    return { character, states: text.replace("?", "").split(", "), ...sure, ...more };
  });
}

function body(id: string, about: Omit<Body, "id" | "seen">, words: Words, more: Partial<Entry> = {}): Body {
  return { id, ...about, seen: seen(words, more) };
}

const OBSERVERS = [
  { id: "ilva", name: "Ilva Marrund" },
  { id: "tosk", name: "Tosk Ammerel", smellsKnown: ["mushroomy" as const, "aniseed" as const] },
];

const pasture = { habitat: ["grassland"], substrate: ["soil"], growth: ["ring-or-arc"], host: ["none-near"] };
const pinkGilled = {
  underside: "gills",
  "gill-attachment": "free",
  "gill-colour": "pink",
  "cap-colour": "white",
  "cap-shape": "convex",
  "cap-surface": "silky",
  "veil-on-cap": "none",
  ring: "skirt",
  "stem-surface": "smooth",
  "stem-colour": "white",
};
const chanterelle = {
  underside: "ridges",
  "gill-fold": "stays-put",
  "gill-attachment": "decurrent",
  "gill-spacing": "distant",
  "underside-colour": "yellow",
  "cap-shape": "funnel, wavy",
  "cap-colour": "yellow",
  "cap-surface": "smooth",
  "cap-margin": "incurved",
  ring: "none",
  "stem-surface": "smooth",
  "stem-colour": "yellow",
  "stem-inside": "solid",
  base: "tapered",
  "flesh-colour": "white",
  smell: "fruity-apricot",
};
const woodtuft = {
  underside: "gills",
  "gill-attachment": "adnate",
  "gill-colour": "clay-brown",
  "cap-shape": "umbonate",
  "cap-colour": "orange, brown",
  "two-toned": "yes",
  "cap-surface": "smooth",
  ring: "sheath",
  "stem-surface": "scaly-below-ring",
  "stem-colour": "brown",
  base: "fused",
  smell: "mushroomy",
};

interface Told extends Omit<Find, "format" | "version" | "id" | "bodies"> {
  readonly bodies: readonly Body[];
}

const SEASON: readonly Told[] = [
  {
    label: "white ones in an arc",
    note: "The same arc as two years ago, after four days of warm rain. Cattle off since July.",
    foundAt: "2026-09-06T08:40:00+02:00",
    place: { name: "Quarrel Pasture", region: "europe", elevationM: 112 },
    site: pasture,
    weather: {
      frostLastNight: false,
      drySpellDays: 0,
      rain24hMm: 0,
      airTempC: 14,
      printPaper: "split-black-white",
    },
    takenFor: "agaricus-campestris",
    observers: OBSERVERS,
    bodies: [
      body(
        "A",
        {
          age: "young",
          lifted: "whole",
          wear: [],
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 5, stemLengthCm: 4.5, stemWidthMm: 13 },
          keep: true,
        },
        {
          ...pinkGilled,
          base: "plain",
          "stain-base": "none",
          "stain-rub": "none",
          smell: "mushroomy",
          "flesh-colour": "white",
        },
      ),
      body(
        "B",
        {
          age: "old",
          lifted: "whole",
          firmness: "soft",
          larvae: "riddled",
          measures: { capCm: 10.5, stemLengthCm: 6, stemWidthMm: 15 },
          keep: false,
          ending: "left-past-it",
        },
        {
          underside: "gills",
          "gill-attachment": "free",
          "gill-colour": "chocolate-brown",
          "spore-print": "chocolate-brown",
          "cap-colour": "white",
          "cap-shape": "flat",
          ring: "remnants",
          base: "plain",
        },
      ),
      body(
        "C",
        {
          age: "young",
          lifted: "cut",
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 4, stemLengthCm: 3.5, stemWidthMm: 12 },
          keep: true,
        },
        { ...pinkGilled, base: "plain", "stain-base": "none", smell: "mushroomy" },
      ),
    ],
  },
  {
    label: "pale one under the birches",
    foundAt: "2026-09-14T10:20:00+02:00",
    place: { name: "Ondal Water, east shore", region: "europe", elevationM: 140 },
    site: { habitat: ["mixed-woodland"], substrate: ["soil"], host: ["birch"], growth: ["scattered"] },
    weather: {
      frostLastNight: false,
      drySpellDays: 0,
      rain24hMm: 0,
      airTempC: 12,
      printPaper: "split-black-white",
    },
    takenFor: "agaricus-arvensis",
    observers: OBSERVERS,
    bodies: [
      body(
        "A",
        {
          age: "button",
          lifted: "standing",
          firmness: "firm",
          measures: { capCm: 2.5, stemLengthCm: 2.2, stemWidthMm: 14 },
          keep: false,
        },
        { "cap-shape": "ball", "cap-colour": "white", ring: "closed" },
      ),
      body(
        "B",
        {
          age: "young",
          lifted: "standing",
          wear: [],
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 6.5, stemLengthCm: 8, stemWidthMm: 12 },
          keep: true,
        },
        { ...pinkGilled, "cap-shape": "bell", "stem-surface": "fibrillose", smell: "?sweet" },
      ),
      body(
        "C",
        {
          age: "mature",
          lifted: "standing",
          firmness: "firm",
          measures: { capCm: 9, stemLengthCm: 9.5, stemWidthMm: 13 },
          keep: false,
        },
        {
          underside: "gills",
          "gill-colour": "-too dark under the trees",
          "cap-shape": "flat",
          "cap-colour": "white",
          "cap-surface": "silky",
          ring: "remnants",
        },
      ),
    ],
  },
  {
    label: "cluster on the birch stump",
    note: "Nine bodies of one cluster. One of them has no scales below its ring.",
    foundAt: "2026-09-20T15:05:00+02:00",
    place: { name: "Skirrow Wood", region: "europe", elevationM: 131 },
    site: { habitat: ["mixed-woodland"], substrate: ["stump"], host: ["birch"], growth: ["dense-cluster"] },
    weather: {
      frostLastNight: false,
      drySpellDays: 1,
      rain24hMm: 0,
      airTempC: 11,
      printPaper: "split-black-white",
    },
    rules: { smallBrown: "known" },
    takenFor: "kuehneromyces-mutabilis",
    observers: OBSERVERS,
    bodies: [
      body(
        "A",
        {
          age: "young",
          lifted: "whole",
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 3, stemLengthCm: 5, stemWidthMm: 5 },
          keep: true,
        },
        { ...woodtuft, "gill-colour": "buff" },
      ),
      body(
        "B",
        {
          age: "mature",
          lifted: "whole",
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 4.5, stemLengthCm: 6, stemWidthMm: 6 },
          keep: true,
        },
        { ...woodtuft, "spore-print": "rust-brown" },
      ),
      body(
        "C",
        {
          age: "mature",
          lifted: "whole",
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 3.5, stemLengthCm: 5.5, stemWidthMm: 5 },
          keep: true,
          ending: "looked-at-only",
        },
        { ...woodtuft, "two-toned": "no", ring: "skirt", "stem-surface": "fibrillose", smell: "mealy" },
      ),
    ],
  },
  {
    label: "chanterelles by the spruce bog",
    note: "First tasting of a small portion on the evening of the 28th.",
    foundAt: "2026-09-27T11:30:00+02:00",
    place: { name: "Ammerbog, north side", region: "europe", elevationM: 147 },
    site: {
      habitat: ["conifer-woodland"],
      substrate: ["moss", "soil"],
      host: ["spruce"],
      growth: ["trooping"],
      neighbours: ["cortinarius-rubellus"],
    },
    weather: { frostLastNight: false, drySpellDays: 2, rain24hMm: 0, airTempC: 10, printPaper: "newsprint" },
    takenFor: "cantharellus-cibarius",
    observers: OBSERVERS,
    bodies: [
      body(
        "A",
        {
          age: "mature",
          lifted: "whole",
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 6, stemLengthCm: 5, stemWidthMm: 14 },
          keep: true,
          ending: "first-tasting",
        },
        chanterelle,
      ),
      body(
        "B",
        {
          age: "young",
          lifted: "whole",
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 3, stemLengthCm: 4, stemWidthMm: 11 },
          keep: true,
          ending: "first-tasting",
        },
        { ...chanterelle, "cap-shape": "convex", "cap-margin": "inrolled" },
      ),
    ],
  },
  {
    label: "yellow basket-filler after the rain",
    foundAt: "2026-10-03T13:10:00+02:00",
    place: { name: "Ammerbog, south side", region: "europe", elevationM: 146 },
    site: {
      habitat: ["conifer-woodland"],
      substrate: ["moss"],
      host: ["spruce", "pine"],
      growth: ["trooping"],
    },
    weather: { frostLastNight: false, drySpellDays: 0, rain24hMm: 31, airTempC: 9, printPaper: "newsprint" },
    observers: OBSERVERS,
    bodies: [
      body(
        "A",
        {
          age: "old",
          lifted: "whole",
          wear: ["waterlogged", "rain-washed"],
          firmness: "mushy",
          larvae: "few",
          measures: { capCm: 9, stemLengthCm: 6, stemWidthMm: 16 },
          keep: true,
          ending: "left-past-it",
        },
        {
          underside: "ridges",
          "gill-fold": "stays-put",
          "cap-shape": "funnel",
          "cap-colour": "cream",
          "flesh-colour": "white",
          base: "tapered",
          ring: "none",
        },
      ),
    ],
  },
  {
    label: "behind the bowling green, mown",
    foundAt: "2026-10-08T17:45:00+02:00",
    place: { name: "Lower Hask", region: "europe", elevationM: 98 },
    site: { habitat: ["lawn-or-park"], substrate: ["soil"], growth: ["scattered"], host: ["lime"] },
    weather: {
      frostLastNight: false,
      drySpellDays: 3,
      rain24hMm: 0,
      airTempC: 13,
      printPaper: "split-black-white",
    },
    takenFor: "agaricus-campestris",
    observers: OBSERVERS,
    bodies: [
      body(
        "A",
        {
          age: "young",
          lifted: "mown",
          wear: ["handled"],
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 5.5, stemLengthCm: 2.5, stemWidthMm: 12 },
          keep: true,
          ending: "left-test-failed",
        },
        { ...pinkGilled, "gill-colour": "?pink", base: "-lost to the mower" },
      ),
    ],
  },
  {
    label: "white ones, morning after frost",
    foundAt: "2026-10-17T07:55:00+02:00",
    place: { name: "Quarrel Pasture, upper gate", region: "europe", elevationM: 118 },
    site: { ...pasture, growth: ["scattered"] },
    weather: {
      frostLastNight: true,
      drySpellDays: 2,
      rain24hMm: 0,
      airTempC: 3,
      printPaper: "split-black-white",
    },
    takenFor: "agaricus-campestris",
    observers: OBSERVERS,
    bodies: [
      body(
        "A",
        {
          age: "young",
          lifted: "whole",
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 5, stemLengthCm: 5, stemWidthMm: 13 },
          keep: true,
        },
        { ...pinkGilled, base: "plain", "stain-base": "none", smell: "mushroomy" },
      ),
      body(
        "B",
        {
          age: "mature",
          lifted: "whole",
          firmness: "firm",
          larvae: "few",
          measures: { capCm: 8.5, stemLengthCm: 6, stemWidthMm: 14 },
          keep: false,
        },
        {
          underside: "gills",
          "gill-attachment": "free",
          "gill-colour": "chocolate-brown",
          "spore-print": "chocolate-brown",
          "cap-shape": "flat",
          "cap-colour": "white",
          ring: "remnants",
          base: "plain",
        },
      ),
    ],
  },
  {
    label: "orange cluster on the dead willow",
    note: "Cap of B laid down on the card when we came home.",
    foundAt: "2026-11-21T12:15:00+01:00",
    place: { name: "Ondal Water, boathouse", region: "europe", elevationM: 139 },
    site: {
      habitat: ["woodland-edge"],
      substrate: ["standing-dead-wood"],
      host: ["willow"],
      growth: ["dense-cluster"],
    },
    weather: {
      frostLastNight: false,
      drySpellDays: 1,
      rain24hMm: 0,
      airTempC: 8,
      printPaper: "split-black-white",
    },
    takenFor: "flammulina-velutipes",
    observers: OBSERVERS,
    bodies: [
      body(
        "A",
        {
          age: "young",
          lifted: "whole",
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 2, stemLengthCm: 3.5, stemWidthMm: 4 },
          keep: true,
        },
        {
          underside: "gills",
          "gill-attachment": "adnexed",
          "gill-colour": "cream",
          "cap-shape": "convex",
          "cap-colour": "orange",
          "cap-surface": "slimy",
          ring: "none",
          "stem-surface": "velvety-darkening",
          "stem-colour": "yellow, brown",
          base: "fused",
          "flesh-colour": "cream",
        },
      ),
      body(
        "B",
        {
          age: "mature",
          lifted: "whole",
          firmness: "firm",
          larvae: "none",
          measures: { capCm: 4.5, stemLengthCm: 5, stemWidthMm: 5 },
          print: {
            laidAt: "2026-11-21T16:30:00+01:00",
            paper: "split-black-white",
            cap: "whole",
            covered: true,
          },
          keep: true,
        },
        {
          underside: "gills",
          "gill-attachment": "adnexed",
          "gill-colour": "cream",
          "cap-shape": "flat",
          "cap-colour": "orange",
          "cap-colour-centre": "red-brown",
          "cap-surface": "slimy",
          ring: "none",
          "stem-surface": "velvety-darkening",
          "stem-colour": "brown, black",
          base: "fused",
        },
      ),
    ],
  },
  {
    label: "grey brittle one, still a puzzle",
    note: "Breaks like chalk. Ilva has never met it; back with a box in two weeks.",
    foundAt: "2026-09-29T16:00:00+02:00",
    place: { name: "Skirrow Wood, hazel bank", region: "europe", elevationM: 134 },
    site: {
      habitat: ["broadleaf-woodland"],
      substrate: ["leaf-litter"],
      host: ["hazel"],
      growth: ["single"],
    },
    weather: {
      frostLastNight: false,
      drySpellDays: 0,
      rain24hMm: 2,
      airTempC: 12,
      printPaper: "split-black-white",
    },
    observers: OBSERVERS,
    bodies: [
      body(
        "A",
        {
          age: "mature",
          lifted: "whole",
          firmness: "firm",
          larvae: "few",
          measures: { capCm: 8, stemLengthCm: 6, stemWidthMm: 20 },
          keep: true,
          ending: "puzzle-kept-open",
        },
        {
          underside: "gills",
          "gill-attachment": "adnate",
          "gill-texture": "brittle",
          "gill-colour": "grey",
          "cap-shape": "depressed",
          "cap-colour": "grey, lilac",
          "cap-surface": "smooth",
          ring: "none",
          "stem-surface": "smooth",
          "stem-texture": "chalk-brittle",
          "stem-colour": "white",
          base: "plain",
          "stain-cut": "grey-black",
          latex: "none",
          smell: "none",
        },
      ),
    ],
  },
];

const FIRST_ID = 0x700000000001n;

/** The finds of the season, in the order told, with ids that never change. */
export function seasonFinds(): readonly Find[] {
  return SEASON.map((told, index) => {
    const time = BigInt(Date.parse(told.foundAt ?? ""))
      .toString(16)
      .padStart(12, "0");
    const tail = (FIRST_ID + BigInt(index)).toString(16).padStart(12, "0");
    const id = `${time.slice(0, 8)}-${time.slice(8, 12)}-7000-8000-${tail}`;
    return findSchema.parse({ format: "jittery-cap/find", version: 1, id, ...told });
  });
}
