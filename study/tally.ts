/** What the study counts. */
import type { Day } from "@jittery-cap/core/study";

/** The parts that draw finds. advice: somebody follows the program to the end; the others judge one full record. */
export const DRAWN_PARTS = ["advice", "leave-one-out", "forgotten-one", "forgotten-two", "weather"] as const;
export type DrawnPart = (typeof DRAWN_PARTS)[number];
/** All parts: the last one judges finds that people described who had read no sheet. */
export const PARTS = [...DRAWN_PARTS, "described"] as const;
export type Part = (typeof PARTS)[number];

/** Some finds of one kind, to be simulated. */
export interface Task {
  readonly part: DrawnPart;
  readonly sheet: string;
  /** How often an observation is wrong, from 0 to 1. */
  readonly slips: number;
  readonly day: Day;
  readonly draws: number;
  readonly seed: number;
}

/** How they ended. */
export interface Tally {
  readonly part: DrawnPart;
  readonly sheet: string;
  readonly slips: number;
  readonly day: Day;
  readonly draws: number;
  readonly basket: number;
  readonly leave: number;
  /** Minutes of each find that came to basket, waiting left out. */
  readonly minutes: readonly number[];
  readonly passedFor: Readonly<Record<string, number>>;
  /** Why the others did not, by reason; a find may have several. */
  readonly reasons: Readonly<Record<string, number>>;
}

/** Adds up tallies of the same kind of thing. */
export function sum(tallies: readonly Tally[]): { draws: number; basket: number; leave: number; minutes: number[] } {
  const total = { draws: 0, basket: 0, leave: 0, minutes: [] as number[] };
  for (const { draws, basket, leave, minutes } of tallies) {
    total.draws += draws;
    total.basket += basket;
    total.leave += leave;
    total.minutes.push(...minutes);
  }
  return total;
}

/** The middle of some numbers; NaN of none. */
export function median(numbers: readonly number[]): number {
  const sorted = [...numbers].sort((one, other) => one - other);
  const middle = sorted.length / 2;
  if (sorted.length === 0) return Number.NaN;
  return sorted.length % 2 === 1
    ? (sorted[Math.floor(middle)] ?? Number.NaN)
    : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
}

const Z_95 = 1.959963984540054;

/**
 * The 95 % interval of a share by the score method (Wilson, Journal of the American Statistical Association 22, 1927;
 * cited from memory): it stays sensible where nothing was seen.
 */
export function interval(seen: number, draws: number): readonly [number, number] {
  const share = seen / draws;
  const square = Z_95 ** 2;
  const middle = share + square / (2 * draws);
  const half = Z_95 * Math.sqrt((share * (1 - share)) / draws + square / (4 * draws ** 2));
  const scale = 1 + square / draws;
  return [Math.max(0, (middle - half) / scale), Math.min(1, (middle + half) / scale)];
}
