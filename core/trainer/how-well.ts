/**
 * How well somebody does: by danger with intervals, how sure against how often right. Nothing is told from a few tries.
 * Intervals are exact (C. Clopper and E. Pearson, Biometrika 26, 1934); the score is that of G. Brier (Monthly Weather Review 78,
 * 1950): the mean square of what was said less what came.
 */
import jstat from "jstat";
import type { Try } from "../practice/sitting.ts";

/** Fewer tries than this tell nothing. */
export const FEWEST_TOLD = 6;
const CONFIDENCE = 0.95;

/** A share with its interval, each from 0 to 1. */
export interface Share {
  readonly some: number;
  readonly of: number;
  readonly low: number;
  readonly high: number;
  /** Enough tries to be told. */
  readonly isTold: boolean;
}

/** A share of some tries, with the exact interval that holds the truth 95 of 100 times at least. @throws RangeError */
export function shareOf(some: number, of: number): Share {
  if (some < 0 || some > of || !Number.isInteger(some) || !Number.isInteger(of))
    throw new RangeError(`${some} of ${of} is no share`);
  const tail = (1 - CONFIDENCE) / 2;
  return {
    some,
    of,
    low: some === 0 ? 0 : jstat.beta.inv(tail, some, of - some + 1),
    high: some === of ? 1 : jstat.beta.inv(1 - tail, some + 1, of - some),
    isTold: of >= FEWEST_TOLD,
  };
}

/** How one danger fares. */
export interface DangerFares {
  readonly sheet: string;
  /** Whole finds of it that came to the basket. */
  readonly letThrough: Share;
  /** Pairs with it in which the two were taken for each other, or the wrong look was asked for. */
  readonly confused: Share;
}

/** Every danger that was met, most often let through first, then most often met. @param isDanger by sheet */
export function dangersFare(tries: readonly Try[], isDanger: (sheet: string) => boolean): readonly DangerFares[] {
  const sheets = new Set(tries.flatMap((one) => dangersOf(one, isDanger)));
  return [...sheets]
    .map((sheet): DangerFares => {
      const whole = tries.filter((one) => isWhole(one) && one.kind === sheet);
      const two = tries.filter((one) => one.exercise === "two" && dangersOf(one, isDanger).includes(sheet));
      return {
        sheet,
        letThrough: shareOf(whole.filter((one) => one.isLetThrough === true).length, whole.length),
        confused: shareOf(two.filter((one) => !one.isRight).length, two.length),
      };
    })
    .sort(
      (one, other) =>
        other.letThrough.some - one.letThrough.some ||
        other.confused.some - one.confused.some ||
        other.letThrough.of + other.confused.of - one.letThrough.of - one.confused.of ||
        (one.sheet < other.sheet ? -1 : 1),
    );
}

const isWhole = ({ exercise }: Try): boolean => exercise === "whole" || exercise === "own";

function dangersOf({ kind, skill, exercise }: Try, isDanger: (sheet: string) => boolean): readonly string[] {
  if (exercise === "two") return /^pair:([^/]+)\//.exec(skill ?? "")?.slice(1, 2) ?? [];
  return kind !== undefined && isDanger(kind) ? [kind] : [];
}

/** How sure somebody was, and how often they were right then. */
export interface SureBin {
  /** The mean of what was said in it, from 0 to 1. */
  readonly sure: number;
  readonly right: Share;
}

export interface Calibration {
  /** From the least sure to the surest; an empty one is left out. */
  readonly bins: readonly SureBin[];
  /** 0 is best; somebody who says "half and half" of everything has 0.25. Undefined of no tries. */
  readonly brier: number | undefined;
  readonly tries: number;
}

const BINS = 5;

/** How sure against how often right. */
export function calibrationOf(tries: readonly Pick<Try, "sure" | "isRight">[]): Calibration {
  const binOf = (sure: number) => Math.min(BINS - 1, Math.floor(sure * BINS));
  const bins = Array.from({ length: BINS }, (_unused, bin) => tries.filter((one) => binOf(one.sure) === bin)).flatMap(
    (all): SureBin[] =>
      all.length === 0
        ? []
        : [
            {
              sure: all.reduce((sum, one) => sum + one.sure, 0) / all.length,
              right: shareOf(all.filter((one) => one.isRight).length, all.length),
            },
          ],
  );
  const squares = tries.reduce((sum, one) => sum + (one.sure - Number(one.isRight)) ** 2, 0);
  return { bins, brier: tries.length === 0 ? undefined : squares / tries.length, tries: tries.length };
}
