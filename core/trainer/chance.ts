/** Chance that is passed in: the core has none of its own, and equal seeds make equal specimens. */
import { sha256 } from "@noble/hashes/sha2.js";
import { utf8ToBytes } from "@noble/hashes/utils.js";
import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

/** A source of chance. */
export interface Chance {
  /** A number from 0 up to 1. */
  readonly next: () => number;
}

/** The chance that a seed in words makes: the same numbers on every device (xoroshiro128+, Blackman and Vigna 2018). */
export function chanceOf(...seed: readonly (string | number)[]): Chance {
  const [a = 0, b = 0, c = 0, d = 0] = sha256(utf8ToBytes(seed.join("\u0000")));
  const random = xoroshiro128plus((a << 24) | (b << 16) | (c << 8) | d);
  return { next: () => uniformFloat64(random) };
}

/** Whether something happens that happens so often, from 0 to 1. */
export const happens = (chance: Chance, share: number): boolean => chance.next() < share;

/** One of several, each as likely. */
export function pick<One>(chance: Chance, from: readonly One[]): One | undefined {
  return from[Math.floor(chance.next() * from.length)];
}

/** Some of several without repetition, in an order by chance. */
export function pickSome<One>(chance: Chance, from: readonly One[], most: number): One[] {
  const left = [...from];
  const picked: One[] = [];
  while (picked.length < most && left.length > 0) {
    const [one] = left.splice(Math.floor(chance.next() * left.length), 1);
    if (one !== undefined) picked.push(one);
  }
  return picked;
}

/** One of several, each as likely as its weight against the sum of all. @param weightOf never negative */
export function pickByWeight<One>(
  chance: Chance,
  from: readonly One[],
  weightOf: (one: One) => number,
): One | undefined {
  let left = chance.next() * from.reduce((sum, one) => sum + weightOf(one), 0);
  for (const one of from) {
    left -= weightOf(one);
    if (left < 0) return one;
  }
  return from.at(-1);
}
