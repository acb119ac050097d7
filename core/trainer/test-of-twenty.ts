/** A test of twenty finds, five of them deadly: a seed makes the same one for everybody. Passing it permits nothing. */

import type { Knowledge } from "../knowledge/knowledge.ts";
import type { Try } from "../practice/sitting.ts";
import { chanceOf, pickSome } from "./chance.ts";
import { type Share, shareOf } from "./how-well.ts";

export const TWENTY = 20;
export const DEADLY = 5;
/** Others that are not for the pot, so that what is not deadly is not therefore good. */
const OTHER_DANGERS = 5;

/** One find of a test. */
export interface TestItem {
  readonly sheet: string;
  readonly seed: string;
}

/** The finds of a test, in their order. */
export function testOfTwenty(seed: string, { dangers, sought }: Knowledge): readonly TestItem[] {
  const chance = chanceOf(seed, "twenty");
  const deadly = pickSome(
    chance,
    dangers.filter(({ tier }) => tier === "deadly"),
    DEADLY,
  );
  const others = pickSome(
    chance,
    dangers.filter(({ tier }) => tier !== "deadly"),
    OTHER_DANGERS,
  );
  const good = pickSome(chance, sought, TWENTY - deadly.length - others.length);
  const all = [...deadly, ...others, ...good];
  return pickSome(chance, all, all.length).map(({ id }, index) => ({ sheet: id, seed: `${seed}/${index + 1}` }));
}

/** What a test came to. */
export interface TestOutcome {
  readonly done: number;
  readonly right: Share;
  /** Dangers in the basket, by sheet. */
  readonly letThrough: readonly string[];
  readonly thrownAway: number;
  /** All twenty are done and no danger came to the basket. */
  readonly isPassed: boolean;
}

/** What a test came to, from its tries. */
export function testOutcome(tries: readonly Try[]): TestOutcome {
  const letThrough = tries.flatMap((one) => (one.isLetThrough === true && one.kind !== undefined ? [one.kind] : []));
  return {
    done: tries.length,
    right: shareOf(tries.filter((one) => one.isRight).length, tries.length),
    letThrough,
    thrownAway: tries.filter((one) => one.isThrownAway === true).length,
    isPassed: tries.length >= TWENTY && letThrough.length === 0,
  };
}
