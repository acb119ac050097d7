/** A made-up specimen of a kind: what is true of it, and what weather and wear make of that. */

import type { Body, Measures, Weather } from "../find/schema.ts";
import {
  AGES,
  type Age,
  CHARACTER_IDS,
  type CharacterId,
  definitionOf,
  type Lift,
  type Wear,
} from "../find/vocabulary.ts";
import type { Conditions } from "../judge/body-conditions.ts";
import type { Look } from "../judge/looks.ts";
import { masksInForce } from "../judge/masks.ts";
import { SHARE } from "../judge/ranking.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import type { StateTable } from "../knowledge/state-tables.ts";
import { type Chance, happens, pick, pickByWeight } from "./chance.ts";

/** How often a thing happens in the simulated wood (our own settings; the study is of the logic, not of the weather). */
const OFTEN = {
  frost: 0.05,
  drought: 0.05,
  cold: 0.1,
  rain: 0.2,
  washed: 0.1,
  handled: 0.1,
  /** A second state of a character of which several may hold. */
  second: 0.3,
  /** A mask in force changes what is seen. */
  masked: 0.5,
} as const;

/** One body as it truly is. */
export interface Specimen {
  readonly age: Age;
  readonly wear: readonly Wear[];
  readonly measures: Measures;
  /** The true states of every character that the sheet lists at this age. */
  readonly truth: ReadonlyMap<CharacterId, readonly string[]>;
}

/** What kind of day the find is made on: an ordinary one, one with every kind of weather and wear, or one thing alone. */
export const DAYS = ["ordinary", "any", "frost", "drizzle", "rain", "cold", "drought", "washed", "handled"] as const;
export type Day = (typeof DAYS)[number];

/** Millimetres of a fine rain and of a real one. */
const DRIZZLE_MM = 3;
const RAIN_MM = 12;

/** The weather of a day. */
export function drawWeather(chance: Chance, day: Day): Weather {
  if (day !== "any")
    return {
      frostLastNight: day === "frost",
      drySpellDays: day === "drought" ? 10 : 0,
      airTempC: day === "cold" ? 4 : 12,
      rain24hMm: day === "rain" ? RAIN_MM : day === "drizzle" ? DRIZZLE_MM : 0,
      printPaper: "split-black-white",
    };
  return {
    frostLastNight: happens(chance, OFTEN.frost),
    drySpellDays: happens(chance, OFTEN.drought) ? 10 : 0,
    airTempC: happens(chance, OFTEN.cold) ? 4 : 12,
    rain24hMm: happens(chance, OFTEN.rain) ? 8 : 0,
    printPaper: "split-black-white",
  };
}

/** A body of a kind: its states drawn by how often the sheet says they occur. */
export function drawSpecimen(chance: Chance, sheet: Sheet, age: Age, day: Day): Specimen {
  const wear: Wear[] = [];
  if (day === "washed" || (day === "any" && happens(chance, OFTEN.washed))) wear.push("rain-washed");
  if (day === "handled" || (day === "any" && happens(chance, OFTEN.handled))) wear.push("handled");
  const truth = new Map<CharacterId, readonly string[]>();
  for (const character of CHARACTER_IDS) {
    if (definitionOf(character).of === "site") continue;
    const states = drawStates(chance, character, sheet.characters[character]?.[age]);
    if (states.length > 0) truth.set(character, states);
  }
  return { age, wear, measures: drawMeasures(chance, sheet, age), truth };
}

/** Ground that the house rules refuse whatever grows there. */
const REFUSED_GROUND = ["roadside", "graveyard"];

/** What is true of the place; somebody looks where the ground is clean. */
export function drawSite(chance: Chance, sheet: Sheet): ReadonlyMap<CharacterId, readonly string[]> {
  const truth = new Map<CharacterId, readonly string[]>();
  for (const character of CHARACTER_IDS) {
    if (definitionOf(character).of !== "site") continue;
    const table = AGES.map((age) => sheet.characters[character]?.[age]).find((one) => one !== undefined);
    const clean = Object.entries(table ?? {}).filter(([state]) => !REFUSED_GROUND.includes(state));
    const states = drawStates(chance, character, Object.fromEntries(clean));
    if (states.length > 0) truth.set(character, states);
  }
  return truth;
}

function drawStates(chance: Chance, character: CharacterId, table: StateTable | undefined): readonly string[] {
  const first = drawState(chance, table, undefined);
  if (first === undefined) return [];
  const second =
    definitionOf(character).many && happens(chance, OFTEN.second) ? drawState(chance, table, first) : undefined;
  // "none" stands alone
  return second === undefined || first === "none" || second === "none" ? [first] : [first, second];
}

function drawState(chance: Chance, table: StateTable | undefined, but: string | undefined): string | undefined {
  const states = Object.entries(table ?? {}).filter(([state]) => state !== but);
  return pickByWeight(chance, states, ([, frequency]) => SHARE[frequency])?.[0];
}

function drawMeasures(chance: Chance, sheet: Sheet, age: Age): Measures {
  const measures: Measures = {};
  const grown = age === "mature" || age === "old";
  for (const measure of ["capCm", "stemLengthCm", "stemWidthMm", "thicknessMm"] as const) {
    const range = sheet.sizes[measure];
    if (range === undefined) continue;
    // grown bodies lie in the middle half of the book's range, young ones in the lower half
    const at = grown ? 0.25 + chance.next() / 2 : chance.next() / 2;
    measures[measure] = range[0] + (range[1] - range[0]) * at;
  }
  return measures;
}

/**
 * What there is to be seen of a character: the truth, or what weather and wear have really made of it (a frosted piece
 * smells of nothing, a washed cap is bare, a dry one stains nothing). What age makes of a body is in the sheets' own
 * tables, so only masks that this day and this wear put in force count.
 */
export function apparentStates(
  chance: Chance,
  character: CharacterId,
  truth: readonly string[],
  conditions: Conditions,
): readonly string[] {
  const look: Look = { character, body: "", states: truth, sure: true, heated: false, repeated: false };
  const fair = new Set(masksInForce(look, fairWeather(conditions)).map((mask) => mask.id));
  const masks = masksInForce(look, conditions).filter((mask) => !fair.has(mask.id));
  const isWashed = conditions.rain || conditions.wear.size > 0;
  const seen = truth.map((state) => {
    if (character === "veil-on-cap" && isWashed && happens(chance, OFTEN.masked)) return "none";
    const mask = masks.find((one) => one.from?.includes(state) ?? true);
    if (mask === undefined || !happens(chance, OFTEN.masked)) return state;
    return pick(chance, mask.usually ?? mask.to ?? [state]) ?? state;
  });
  const distinct = [...new Set(seen)];
  // "none" stands alone
  return distinct.includes("none") ? ["none"] : distinct;
}

const fairWeather = (conditions: Conditions): Conditions => ({
  ...conditions,
  wear: new Set(),
  frost: false,
  drought: false,
  cold: false,
  rain: false,
});

/** A body of a find before anything but its age was recorded. */
export function bareBody(id: string, specimen: Specimen, lifted: Lift): Body {
  return { id, age: specimen.age, lifted, wear: [...specimen.wear], keep: true, seen: [] };
}

/** What there is only where something else is: a ring's colour where there is a ring, a sac's where there is a sac. */
const PARTS_OF: Readonly<Partial<Record<CharacterId, readonly [of: CharacterId, ...states: string[]]>>> = {
  "ring-colour": ["ring", "none", "closed", "cobweb"],
  "ring-place": ["ring", "none", "closed", "cobweb"],
  "ring-edge": ["ring", "none", "closed", "cobweb", "remnants"],
  "stain-ring": ["ring", "none", "closed", "cobweb"],
};
const GILLED: readonly CharacterId[] = [
  "gill-attachment",
  "gill-spacing",
  "short-gills",
  "gill-texture",
  "gill-colour",
  "gill-fold",
  "stain-gills",
];
const PORED: readonly CharacterId[] = ["pore-colour", "pore-drops", "stain-pores"];

/**
 * The same body without what cannot be there beside the rest: a sheet lists each character by itself, and two draws may not go
 * together. For whoever is shown the body; the study leaves it as it was drawn.
 */
export function coherent(specimen: Specimen): Specimen {
  const { truth } = specimen;
  const isThere = (character: CharacterId): boolean => {
    const part = PARTS_OF[character];
    if (part !== undefined) {
      const [of, ...without] = part;
      const states = truth.get(of);
      return states === undefined || states.some((state) => !without.includes(state));
    }
    if (character === "sac-colour") return truth.get("base")?.includes("sac") ?? true;
    const underside = truth.get("underside")?.[0];
    if (underside !== undefined && GILLED.includes(character)) return underside === "gills" || underside === "ridges";
    if (underside !== undefined && PORED.includes(character)) return underside === "pores";
    return true;
  };
  return { ...specimen, truth: new Map([...truth].filter(([character]) => isThere(character))) };
}
