/** What still has to be brought against each danger on each kept body, those that need the same thing gathered. */
import type { Tier } from "../find/taxa.ts";
import { type BodyWeighing, statusIn } from "../judge/distance.ts";
import type { DangerDistance, Judgement } from "../judge/judge.ts";
import { countBits } from "../knowledge/tables.ts";
import type { Demand } from "./cover.ts";
import { type Option, reaches } from "./options.ts";
import { secondBit, secondLooksFor } from "./second-looks.ts";

/** Dangers on one body that every remaining test would treat alike. */
export interface Need {
  readonly body: string;
  readonly dangers: readonly DangerDistance[];
  /** What they weigh together, by their tiers. */
  weight: number;
  /** Families that already speak against them, and their second looks. */
  families: number;
  hard: boolean;
  /** The row of the first of them: what reaches the body says of each of them what it says of this one. */
  readonly row: number;
  readonly reach: Reach;
}

/** What all options could bring for one body. */
export interface Reach {
  readonly results: readonly Result[];
  readonly byOption: ReadonlyMap<number, readonly Result[]>;
}

/** One expected result that reaches a body: what it says by danger's row, under the family that it counts for. */
export interface Result {
  /** The number of the option, and that of the result among its results. */
  readonly option: number;
  readonly against: number;
  readonly family: number;
  readonly hits: Uint8Array;
}

/** Whether a result speaks against a need, and whether it is a hard point. */
export const hitsNeed = ({ hits }: Result, { row }: Need): boolean => (hits[row] ?? 0) > 0;
export const isHardOn = ({ hits }: Result, { row }: Need): boolean => (hits[row] ?? 0) > 1;

/** How much it is worth to move a danger of each tier (our own scale; it only orders the tests). */
export const TIER_WEIGHT: Partial<Record<Tier, number>> = { deadly: 4, serious: 2, sickener: 1 };

/** The needs of a judged find. Dangers whose remaining tests would all say the same are one need. */
export function needsOf({ dangers, scene, weighed, rules }: Judgement, options: readonly Option[]): Need[] {
  const size = weighed[0]?.dangers.sheets.length ?? 0;
  return scene.kept.flatMap(({ body }) => {
    const on = weighed.find((one) => one.body.body.id === body.id);
    if (on === undefined) return [];
    const reach = reachOf(on, weighed, options);
    const keys = new Keys(size, on, reach.results);
    const needs: Need[] = [];
    const alike = new Map<number, { need: Need; dangers: DangerDistance[] }[]>();
    for (const danger of dangers) {
      const { row } = danger;
      if (danger.aside || statusIn(on, row, rules.distance) === "ruled-out") continue;
      const hash = keys.hash(row);
      const sameHash = alike.get(hash);
      const known = sameHash?.find(({ need }) => keys.areEqual(need.row, row));
      const weight = TIER_WEIGHT[danger.sheet.tier] ?? 1;
      if (known !== undefined) {
        known.dangers.push(danger);
        known.need.weight += weight;
        continue;
      }
      const set = on.families[row] ?? 0;
      const families = set | secondBit(set & (on.twice[row] ?? 0));
      const its = [danger];
      const need: Need = { body: body.id, dangers: its, weight, families, hard: on.hard[row] === 1, row, reach };
      needs.push(need);
      if (sameHash === undefined) alike.set(hash, [{ need, dangers: its }]);
      else sameHash.push({ need, dangers: its });
    }
    return needs;
  });
}

function reachOf(on: BodyWeighing, weighed: readonly BodyWeighing[], options: readonly Option[]): Reach {
  const results: Result[] = [];
  options.forEach((option, index) => {
    if (reaches(option, on.body.body.id))
      for (const [against, { family, hits }] of option.against.entries())
        results.push({ option: index, against, family, hits });
    for (const second of secondLooksFor(option, on, weighed)) results.push({ ...second, option: index });
  });
  const byOption = new Map<number, Result[]>();
  for (const one of results) {
    const same = byOption.get(one.option);
    if (same === undefined) byOption.set(one.option, [one]);
    else same.push(one);
  }
  return { results, byOption };
}

const RESULTS_A_WORD = 16;
/** The multiplier of the hash (the golden ratio in 32 bits). */
const MIX = 0x9e3779b1;

/** Everything that the plan asks about the dangers on one body, two bits a result, to tell which are alike. */
class Keys {
  readonly #words: readonly Int32Array[];

  constructor(size: number, { families, twice, hard }: BodyWeighing, results: readonly Result[]) {
    const spoken = Int32Array.from({ length: size }, (_, row) => {
      const set = families[row] ?? 0;
      return set | secondBit(set & (twice[row] ?? 0));
    });
    const words = [spoken, Int32Array.from(hard)];
    for (let first = 0; first < results.length; first += RESULTS_A_WORD) {
      const word = new Int32Array(size);
      results.slice(first, first + RESULTS_A_WORD).forEach(({ hits }, place) => {
        for (let row = 0; row < size; row += 1) word[row] = (word[row] ?? 0) | ((hits[row] ?? 0) << (2 * place));
      });
      words.push(word);
    }
    this.#words = words;
  }

  hash(row: number): number {
    let hash = 0;
    for (const word of this.#words) hash = Math.imul(hash ^ (word[row] ?? 0), MIX) ^ (hash >>> 15);
    return hash;
  }

  areEqual(one: number, other: number): boolean {
    for (const word of this.#words) if (word[one] !== word[other]) return false;
    return true;
  }
}

/** Whether a need is still open at this many families asked. */
export function isOpen({ families, hard }: Need, asked: number): boolean {
  return countBits(families) < asked || !hard;
}

/** The demands on the set of tests: enough families, and a hard one among them. */
export function demandsOf(need: Need, asked: number): Demand[] {
  const byFamily = new Map<number, number[]>();
  const hard: number[] = [];
  for (const result of need.reach.results) {
    if (!hitsNeed(result, need)) continue;
    const { option, family } = result;
    if ((need.families & family) === 0) {
      const group = byFamily.get(family);
      if (group === undefined) byFamily.set(family, [option]);
      else group.push(option);
    }
    if (isHardOn(result, need)) hard.push(option);
  }
  const demands: Demand[] = [{ atLeast: asked - countBits(need.families), groups: [...byFamily.values()] }];
  if (!need.hard) demands.push({ atLeast: 1, groups: [hard] });
  return demands;
}

const NO_RESULTS: readonly Result[] = [];

/** Which results of an option still help an open need. */
export function helping(need: Need, option: number, asked: number): readonly Result[] {
  if (!isOpen(need, asked)) return NO_RESULTS;
  const results = need.reach.byOption.get(option);
  if (results === undefined) return NO_RESULTS;
  const short = countBits(need.families) < asked;
  return results.filter((one) => hitsNeed(one, need) && helps(one, need, short));
}

/** Whether anything of an option still helps an open need. */
export function isHelped(need: Need, option: number, asked: number): boolean {
  if (!isOpen(need, asked)) return false;
  const short = countBits(need.families) < asked;
  for (const one of need.reach.byOption.get(option) ?? NO_RESULTS)
    if (hitsNeed(one, need) && helps(one, need, short)) return true;
  return false;
}

/** Whether a result that speaks against a need brings what it lacks: a further family where it is short of them, or a hard one. */
const helps = (one: Result, need: Need, short: boolean): boolean =>
  short ? (need.families & one.family) === 0 || (!need.hard && isHardOn(one, need)) : isHardOn(one, need);

/** Takes an option's expected results into account. */
export function take(needs: readonly Need[], option: number): void {
  for (const need of needs)
    for (const one of need.reach.byOption.get(option) ?? NO_RESULTS) {
      if (!hitsNeed(one, need)) continue;
      need.families |= one.family;
      need.hard ||= isHardOn(one, need);
    }
}
