/** What may be found in a month, on a ground, under trees; and what else stands there, with the one look that tells each. */

import type { Place } from "../find/schema.ts";
import { DANGER_TIERS, type Tier } from "../find/taxa.ts";
import { definitionOf } from "../find/vocabulary.ts";
import { isInMonths } from "../judge/season.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { tablesOf } from "../knowledge/state-tables.ts";
import { compareSheets } from "../next/compare.ts";

/** What the season needs of a sheet. */
export interface SeasonSheet {
  readonly id: string;
  readonly names: Pick<Sheet["names"], "common" | "scientific">;
  readonly tier: Tier;
  readonly months: Sheet["months"];
  readonly allYear: boolean;
  readonly habitat: readonly string[];
  readonly host: readonly string[];
  readonly substrate: readonly string[];
  readonly lookalikes: readonly string[];
  readonly capCm?: readonly [number, number] | undefined;
}

/** What of a sheet the season needs. */
export function seasonSheet(sheet: Sheet): SeasonSheet {
  const { id, names, tier, months, allYear, lookalikes, sizes, characters } = sheet;
  const states = (character: "habitat" | "host" | "substrate") => [
    ...new Set(tablesOf(characters[character], undefined).flatMap((table) => Object.keys(table))),
  ];
  return {
    id,
    names: { common: names.common, scientific: names.scientific },
    tier,
    months,
    allYear,
    habitat: states("habitat"),
    host: states("host"),
    substrate: states("substrate"),
    lookalikes,
    capCm: sizes.capCm,
  };
}

/** When and where. What is not told keeps everything. */
export interface Scene {
  /** The day of the year, from nought. */
  readonly ofYear: number;
  readonly region?: Place["region"];
  readonly habitat?: readonly string[] | undefined;
  readonly host?: readonly string[] | undefined;
  readonly substrate?: readonly string[] | undefined;
}

/** The months of a kind in a region; with no region told, of all of them. A sheet that does not list the region tells none. */
export const monthsIn = ({ months, allYear }: Pick<SeasonSheet, "months" | "allYear">, region: Place["region"]) =>
  allYear ? EVERY_MONTH : region === undefined ? [...new Set(Object.values(months).flat())] : (months[region] ?? []);
const EVERY_MONTH: readonly number[] = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

/** Whether a kind may stand on such a ground; what neither the ground nor the sheet tells parts nothing. */
export function fitsGround(sheet: SeasonSheet, scene: Scene): boolean {
  return (["habitat", "host", "substrate"] as const).every((what) => {
    const told = scene[what] ?? [];
    const listed = sheet[what];
    return told.length === 0 || listed.length === 0 || listed.some((state) => told.includes(state));
  });
}

/** Whether a kind may stand there then. */
const mayStand = (sheet: SeasonSheet, scene: Scene): boolean => isItsTime(sheet, scene) && fitsGround(sheet, scene);

/**
 * Whether it is a kind's time. Where the months cannot be known (no region is told, or the sheet tells none of this one) whatever
 * kills or maims is kept: it travels, and the half of the earth that is not told may be the other one.
 */
function isItsTime(sheet: SeasonSheet, { ofYear, region }: Scene): boolean {
  const months = monthsIn(sheet, region);
  const isGrave = sheet.tier === "deadly" || sheet.tier === "serious";
  if (isGrave && (region === undefined || months.length === 0)) return true;
  return months.length > 0 && isInMonths(ofYear, months);
}

/** The sought kinds that may stand there then. */
export const likelyKinds = (sheets: readonly SeasonSheet[], scene: Scene): readonly SeasonSheet[] =>
  sheets.filter((sheet) => (sheet.tier === "edible" || sheet.tier === "conditional") && mayStand(sheet, scene));

const GRAVITY: Readonly<Partial<Record<Tier, number>>> = { deadly: 0, serious: 1, sickener: 2 };

/** A danger that stands there, with the sought kinds that it is taken for. */
export interface DangerThere {
  readonly sheet: SeasonSheet;
  /** Whether it is told of that region; one that is not may have travelled. */
  readonly isAtHome: boolean;
  readonly takenFor: readonly string[];
}

/**
 * The dangers of that day and ground: first those that kill, among them those of the region, and among equals those that are taken for what is sought there. A
 * lookalike of something likely is named whatever ground is told of it.
 */
export function dangersThere(sheets: readonly SeasonSheet[], scene: Scene): readonly DangerThere[] {
  const likely = likelyKinds(sheets, scene);
  return sheets
    .filter((sheet) => DANGER_TIERS.has(sheet.tier))
    .map((sheet) => ({
      sheet,
      isAtHome: scene.region === undefined || sheet.months[scene.region] !== undefined,
      takenFor: likely.filter(({ lookalikes }) => lookalikes.includes(sheet.id)).map(({ id }) => id),
    }))
    .filter(({ sheet, takenFor }) => (takenFor.length === 0 ? mayStand(sheet, scene) : isItsTime(sheet, scene)))
    .sort(
      (one, other) =>
        (GRAVITY[one.sheet.tier] ?? 3) - (GRAVITY[other.sheet.tier] ?? 3) ||
        Number(other.isAtHome) - Number(one.isAtHome) ||
        other.takenFor.length - one.takenFor.length ||
        one.sheet.names.common.localeCompare(other.sheet.names.common, "en"),
    );
}

/** The one look that tells a danger from a sought kind best. */
export interface TellingLook {
  readonly character: string;
  readonly age?: string | undefined;
  readonly ofDanger: readonly string[];
  readonly ofSought: readonly string[];
}

/** That look, or undefined where none tells them apart. It clears nothing: it is what to look at first. */
export function tellingLook(danger: Sheet, sought: Sheet): TellingLook | undefined {
  // the place parts them in books only: it is no look at what stands there
  const looks = compareSheets(danger, sought).filter(({ character }) => definitionOf(character).of !== "site");
  const [best] = looks.sort((one, other) => other.power - one.power || Number(other.hard) - Number(one.hard));
  if (best === undefined) return undefined;
  const { character, age, one, other } = best;
  // what both may show tells nothing
  const apart = (mine: readonly string[], theirs: readonly string[]) => mine.filter((state) => !theirs.includes(state));
  return { character, age, ofDanger: apart(one, other), ofSought: apart(other, one) };
}

/** What tells a danger by itself, where nothing that it is taken for is near: the first of its musts. */
export const ownMark = (danger: Sheet): string => danger.musts[0]?.says ?? "";
