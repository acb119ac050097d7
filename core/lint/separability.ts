/** How well looking at everything tells a danger from a sought kind. */

import { dangerNeighbours } from "../find/neighbours.ts";
import {
  AGES,
  type Age,
  CHARACTER_IDS,
  type CharacterId,
  definitionOf,
  type Family,
  isHardLook,
} from "../find/vocabulary.ts";
import { SHARE } from "../judge/ranking.ts";
import { HARD_TIMES, LENIENCY } from "../judge/sizes.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { expectedMeasures } from "../next/expected.ts";

/** What separates a pair. */
export interface Separability {
  readonly danger: string;
  readonly sought: string;
  /** Families that can separate them, best first, each with how often one look at the sought kind speaks against the danger. */
  readonly families: readonly { readonly family: Family; readonly hard: boolean; readonly power: number }[];
  /** How often looking at everything once brings the danger to two families with a hard one among them, from 0 to 1. */
  readonly share: number;
}

/**
 * Weighs a pair: for each family its best character, at its best age; families taken as independent. The share is a
 * figure to sort pairs by, not a promise: masks and slips are left out.
 */
export function separabilityOf(danger: Sheet, sought: Sheet): Separability {
  const best = new Map<Family, { hard: boolean; power: number }>();
  const tell = (family: Family, hard: boolean, power: number) => {
    const known = best.get(family);
    // a hard character of a family is worth more than a soft one that speaks oftener
    if (power > 0 && (known === undefined || (hard && !known.hard) || (hard === known.hard && power > known.power)))
      best.set(family, { hard, power });
  };
  for (const character of CHARACTER_IDS)
    for (const age of AGES) {
      const { power, hard } = shareBeyond(sought, danger, character, age);
      tell(definitionOf(character).family, hard, power);
    }
  const size = sizeHit(danger, sought);
  if (size !== "none") tell("size", size === "hard", 1);
  const families = [...best]
    .map(([family, { hard, power }]) => ({ family, hard, power }))
    .sort((one, other) => Number(other.hard) - Number(one.hard) || other.power - one.power);
  return { danger: danger.id, sought: sought.id, families, share: shareRuledOut(families) };
}

/** How often a look at a body of the sought kind shows a state that speaks against the danger, from 0 to 1. */
function shareBeyond(sought: Sheet, danger: Sheet, character: CharacterId, age: Age): { power: number; hard: boolean } {
  const mine = Object.entries(sought.characters[character]?.[age] ?? {});
  const theirs = danger.characters[character]?.[age];
  if (mine.length === 0 || theirs === undefined) return { power: 0, hard: false };
  const never = danger.never.filter((one) => one.character === character).flatMap((one) => one.states);
  let total = 0;
  let beyond = 0;
  let hard = 0;
  for (const [state, frequency] of mine) {
    total += SHARE[frequency];
    const near = dangerNeighbours(character, state).some(
      (other) => theirs[other] !== undefined && theirs[other] !== "rare",
    );
    if (state in theirs || (near && !never.includes(state))) continue;
    beyond += SHARE[frequency];
    if (never.includes(state) || isHardLook(character, age, [state])) hard += SHARE[frequency];
  }
  return { power: (hard > 0 ? hard : beyond) / total, hard: hard > 0 };
}

/** Whether a middling grown body of the sought kind is out of the danger's sizes, and by how much. */
function sizeHit(danger: Sheet, sought: Sheet): "none" | "soft" | "hard" {
  const expected = expectedMeasures(sought, "mature");
  let hit: "none" | "soft" | "hard" = "none";
  for (const measure of ["capCm", "stemLengthCm", "stemWidthMm", "thicknessMm"] as const) {
    const value = expected[measure];
    const range = danger.sizes[measure];
    if (value === undefined || range === undefined) continue;
    if (value > range[1] * HARD_TIMES) return "hard";
    if (value > range[1] * LENIENCY || value < range[0] / LENIENCY) hit = "soft";
  }
  return hit;
}

/** The chance of two families at least with a hard one among them, by going through the families one after another. */
function shareRuledOut(families: Separability["families"]): number {
  // states: [number of families, 0 to 2][whether one was hard]
  let chance = [
    [1, 0],
    [0, 0],
    [0, 0],
  ];
  for (const { hard, power } of families) {
    const next = [
      [0, 0],
      [0, 0],
      [0, 0],
    ];
    chance.forEach((byHard, count) => {
      byHard.forEach((probability, wasHard) => {
        add(next, count, wasHard, probability * (1 - power));
        add(next, Math.min(2, count + 1), hard ? 1 : wasHard, probability * power);
      });
    });
    chance = next;
  }
  return chance[2]?.[1] ?? 0;
}

function add(chance: number[][], count: number, hard: number, probability: number): void {
  const row = chance[count];
  if (row !== undefined) row[hard] = (row[hard] ?? 0) + probability;
}
