/**
 * What still has to be brought against each danger on each kept body. There may be many thousand of these needs, so they
 * are kept side by side in arrays: a place a danger on a body, the bodies one after the other, the nearest danger first.
 */
import type { Tier } from "../find/taxa.ts";
import { type BodyWeighing, isRuledOutIn } from "../judge/distance.ts";
import type { DangerDistance, Judgement } from "../judge/judge.ts";
import { countBits } from "../knowledge/tables.ts";
import { type Option, type Power, reaches } from "./options.ts";
import { secondBit, secondLooksFor } from "./second-looks.ts";

/** One expected result that reaches a body: what it says by danger's row, under the family that it counts for. */
export interface Result {
  /** The number of the option, and that of the result among its results. */
  readonly option: number;
  readonly against: number;
  readonly family: number;
  readonly hits: Uint8Array;
}

/** What one option brings against the dangers of a body, by their place on it. */
interface Brought {
  readonly results: readonly Result[];
  /** What would speak against each. */
  readonly speaking: Int32Array;
  /** How many of the results speak against each, and how many of them hard. */
  readonly soMany: Uint8Array;
  readonly soManyHard: Uint8Array;
}

/** The places of one body's dangers, and what all options could bring for them. */
export interface OnBody {
  readonly body: string;
  readonly start: number;
  readonly end: number;
  readonly results: readonly Result[];
  readonly byOption: ReadonlyMap<number, Brought>;
}

/** The needs of a judged find, as tests are taken one after the other. */
export interface Needs {
  readonly bodies: readonly OnBody[];
  /** By place: the danger, its row, and its weight by its tier. */
  readonly dangers: readonly DangerDistance[];
  readonly rows: Uint32Array;
  readonly weights: Uint8Array;
  /** By place: what speaks against it by now. */
  readonly speaking: Int32Array;
  /** So many families are asked. */
  readonly asked: number;
}

/** One need by itself. */
export interface Need {
  readonly body: string;
  readonly danger: DangerDistance;
  /** What speaks against it. */
  readonly speaking: number;
}

/** How much it is worth to move a danger of each tier (our own scale; it only orders the tests). */
export const TIER_WEIGHT: Partial<Record<Tier, number>> = { deadly: 4, serious: 2, sickener: 1 };

/** A hit of more than this is a hard point. */
const SOFT_HIT = 1;

/**
 * What speaks against a danger, as one bit set: the families, their second looks, and beside them this bit where one of
 * them is hard. It lies between the two, where no family has its bit.
 */
export const HARD = 1 << 15;

/** How many families and second looks speak. */
export const familiesIn = (speaking: number): number => countBits(speaking & ~HARD);

const spokenBy = ({ family }: Result, hit: number): number => (hit > SOFT_HIT ? family | HARD : family);

/** The needs of a judged find: the dangers that count and are not ruled out, on every body that is to be kept. */
export function needsOf({ dangers, scene, weighed, rules }: Judgement, options: readonly Option[]): Needs {
  const theirs: DangerDistance[] = [];
  const kept = scene.kept.flatMap(({ body }) => {
    const on = weighed.find((one) => one.body.body.id === body.id);
    if (on === undefined) return [];
    const start = theirs.length;
    for (const danger of dangers)
      if (!danger.aside && !isRuledOutIn(on, danger.row, rules.distance)) theirs.push(danger);
    return [{ on, start, end: theirs.length }];
  });
  const rows = new Uint32Array(theirs.length);
  const weights = new Uint8Array(theirs.length);
  theirs.forEach(({ sheet, row }, place) => {
    rows[place] = row;
    weights[place] = TIER_WEIGHT[sheet.tier] ?? 1;
  });
  const speaking = new Int32Array(theirs.length);
  const brought = broughtOnce();
  /** The rows of the bodies so far: of bodies that are alike the same array. */
  const known: Uint32Array[] = [];
  const bodies = kept.map(({ on, start, end }) => {
    for (let place = start; place < end; place += 1) {
      const row = rows[place] ?? 0;
      const set = on.families[row] ?? 0;
      speaking[place] = set | secondBit(set & (on.twice[row] ?? 0)) | (on.hard[row] === 1 ? HARD : 0);
    }
    const theirs = rows.subarray(start, end);
    const theirRows = known.find((one) => areEqual(one, theirs)) ?? theirs;
    if (theirRows === theirs) known.push(theirs);
    const reach = reachOf(on, weighed, options, (results) => brought(results, theirRows));
    return { body: on.body.body.id, start, end, ...reach };
  });
  return { bodies, dangers: theirs, rows, weights, speaking, asked: rules.distance };
}

function reachOf(
  on: BodyWeighing,
  weighed: readonly BodyWeighing[],
  options: readonly Option[],
  broughtBy: (results: readonly Result[]) => Brought,
): Pick<OnBody, "results" | "byOption"> {
  const all: Result[] = [];
  const byOption = new Map<number, Brought>();
  options.forEach((option, index) => {
    const results: Result[] = [];
    if (reaches(option, on.body.body.id))
      for (const [against, { family, hits }] of option.against.entries())
        results.push({ option: index, against, family, hits });
    for (const second of secondLooksFor(option, on, weighed)) results.push({ ...second, option: index });
    if (results.length === 0) return;
    all.push(...results);
    byOption.set(index, broughtBy(results));
  });
  return { results: all, byOption };
}

/** What results bring to some rows, gathered once for bodies that are alike: the same test says the same of them. */
function broughtOnce(): (results: readonly Result[], rows: Uint32Array) => Brought {
  const numbers = new Map<Uint8Array, number>();
  const numberOf = (hits: Uint8Array): number => {
    const number = numbers.get(hits) ?? numbers.size;
    numbers.set(hits, number);
    return number;
  };
  const known = new Map<string, { readonly rows: Uint32Array; readonly brought: Brought }>();
  return (results, rows) => {
    // of any two bodies whose rows are alike the rows are one array
    const key = results.map(({ family, hits }) => `${family} ${numberOf(hits)}`).join();
    const before = known.get(key);
    if (before?.rows === rows) return { ...before.brought, results };
    const brought = broughtBy(results, rows);
    known.set(key, { rows, brought });
    return brought;
  };
}

function areEqual(one: Uint32Array, other: Uint32Array): boolean {
  if (one.length !== other.length) return false;
  for (let at = 0; at < one.length; at += 1) if (one[at] !== other[at]) return false;
  return true;
}

function broughtBy(results: readonly Result[], rows: Uint32Array): Brought {
  const speaking = new Int32Array(rows.length);
  const soMany = new Uint8Array(rows.length);
  const soManyHard = new Uint8Array(rows.length);
  for (const result of results) {
    const { hits } = result;
    for (let at = 0; at < rows.length; at += 1) {
      const hit = hits[rows[at] ?? 0] ?? 0;
      if (hit === 0) continue;
      speaking[at] = (speaking[at] ?? 0) | spokenBy(result, hit);
      soMany[at] = (soMany[at] ?? 0) + 1;
      if (hit > SOFT_HIT) soManyHard[at] = (soManyHard[at] ?? 0) + 1;
    }
  }
  return { results, speaking, soMany, soManyHard };
}

/** Whether a need is still open against which so much speaks. */
export const isOpen = (speaking: number, asked: number): boolean =>
  (speaking & HARD) === 0 || familiesIn(speaking) < asked;

/** Whether so much more helps a need: a further family where it is short of them, or a hard one where it has none. */
function helps(speaking: number, asked: number, more: number): boolean {
  const further = more & ~speaking;
  return (further & HARD) !== 0 || (further !== 0 && familiesIn(speaking) < asked);
}

/** The places that an option still helps, body by body. */
export function helpedBy({ bodies, speaking, asked }: Needs, option: number): Uint32Array {
  const helped = new Uint32Array(speaking.length);
  let count = 0;
  for (const { byOption, start, end } of bodies) {
    const more = byOption.get(option)?.speaking;
    if (more === undefined) continue;
    for (let place = start; place < end; place += 1)
      if (helps(speaking[place] ?? 0, asked, more[place - start] ?? 0)) {
        helped[count] = place;
        count += 1;
      }
  }
  return helped.subarray(0, count);
}

/**
 * What each result of an option helps among places that the option helps: the sum of their weights.
 * @param softShare what a soft point is worth against a hard one
 * @param tell called for each result that helps any, with its number among the option's results
 */
export function weighHelp(
  needs: Needs,
  option: number,
  helped: Uint32Array,
  softShare: number,
  tell: (against: number, worth: number) => void,
): void {
  const { bodies, rows, weights, speaking, asked } = needs;
  let from = 0;
  for (const { byOption, end } of bodies) {
    let to = from;
    while (to < helped.length && (helped[to] ?? 0) < end) to += 1;
    for (const result of byOption.get(option)?.results ?? NO_RESULTS) {
      let worth = 0;
      for (let at = from; at < to; at += 1) {
        const place = helped[at] ?? 0;
        const hit = result.hits[rows[place] ?? 0] ?? 0;
        if (hit > 0 && helps(speaking[place] ?? 0, asked, spokenBy(result, hit)))
          worth += (weights[place] ?? 0) * (hit > SOFT_HIT ? 1 : softShare);
      }
      if (worth > 0) tell(result.against, worth);
    }
    from = to;
  }
}
const NO_RESULTS: readonly Result[] = [];

/** What was weighed before, by what an option brings: bodies that are alike are weighed once. */
export type Weighed = Map<Int32Array, number>;

/**
 * How much an option's results together tell against all needs, open or not: of each need the best of them.
 * @param powers by result, how well it tells each danger's row from the supposed kind
 */
export function weighBest(
  { bodies, rows, weights }: Needs,
  option: number,
  softShare: number,
  powers: readonly Power[],
  weighed: Weighed,
): number {
  let total = 0;
  for (const { byOption, start, end } of bodies) {
    const { results = NO_RESULTS, speaking } = byOption.get(option) ?? {};
    if (speaking === undefined) continue;
    const before = weighed.get(speaking);
    if (before !== undefined) {
      total += before;
      continue;
    }
    let sum = 0;
    for (let place = start; place < end; place += 1) {
      const row = rows[place] ?? 0;
      let best = 0;
      for (const { against, hits } of results) {
        const hit = hits[row] ?? 0;
        if (hit === 0) continue;
        const worth = powerOf(powers[against], row) * (hit > SOFT_HIT ? 1 : softShare);
        if (worth > best) best = worth;
      }
      sum += (weights[place] ?? 0) * best;
    }
    weighed.set(speaking, sum);
    total += sum;
  }
  return total;
}

function powerOf(power: Power | undefined, row: number): number {
  if (power === undefined) return 0;
  const before = power.known[row] ?? 0;
  if (before >= 0) return before;
  const now = power.workOut(row);
  power.known[row] = now;
  return now;
}

/** Takes an option's expected results into account. */
export function take(needs: Needs, option: number): void {
  addBrought(needs.bodies, option, needs.speaking);
}

/** Adds what an option brings to what speaks, by place. */
export function addBrought(bodies: readonly OnBody[], option: number, speaking: Int32Array): void {
  for (const { byOption, start, end } of bodies) {
    const more = byOption.get(option)?.speaking;
    if (more === undefined) continue;
    for (let place = start; place < end; place += 1)
      speaking[place] = (speaking[place] ?? 0) | (more[place - start] ?? 0);
  }
}

/** The needs that are still open, one by one. */
export function openNeeds({ bodies, dangers, speaking, asked }: Needs): Need[] {
  return bodies.flatMap(({ body, start, end }) => {
    const open: Need[] = [];
    for (let place = start; place < end; place += 1) {
      const danger = dangers[place];
      const spoken = speaking[place] ?? 0;
      if (danger !== undefined && isOpen(spoken, asked)) open.push({ body, danger, speaking: spoken });
    }
    return open;
  });
}
