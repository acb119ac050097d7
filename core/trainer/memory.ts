/**
 * What a learner remembers, by skill: the free spaced-repetition scheduler (FSRS, the ts-fsrs package) over the tries, told anew
 * each time from the log of tries, so that two devices that tell the same tries come to the same dates.
 */
import { type Card, createEmptyCard, fsrs, type Grade, Rating } from "ts-fsrs";

/** As much of a try as the memory asks for. */
export interface Tried {
  readonly skill: string;
  /** ms. */
  readonly at: number;
  readonly isRight: boolean;
  /** How sure, from 0 to 1. */
  readonly sure: number;
}

// dates by the book: no chance in them, so that they are the same on every device
const SCHEDULER = fsrs({ enable_fuzz: false, request_retention: 0.9 });

/** Right and surer than this is known; right and less sure is known with trouble. */
const SURE_FROM = 0.65;

/** How a try counts: wrong begins anew, right and unsure is hard, right and sure is good. */
export const gradeOf = ({ isRight, sure }: Pick<Tried, "isRight" | "sure">): Grade =>
  isRight ? (sure >= SURE_FROM ? Rating.Good : Rating.Hard) : Rating.Again;

/** What is kept in mind of a skill. */
export interface Remembered {
  readonly card: Card;
  readonly tries: number;
  /** Wrong ones of the latest ten. */
  readonly missed: number;
  readonly lastAt: number;
}

const LATEST = 10;

/** The memory after some tries, whatever the order they are told in. */
export function memoryOf(tries: readonly Tried[]): ReadonlyMap<string, Remembered> {
  const bySkill = new Map<string, Tried[]>();
  for (const one of [...tries].sort((a, b) => a.at - b.at)) {
    const known = bySkill.get(one.skill);
    if (known === undefined) bySkill.set(one.skill, [one]);
    else known.push(one);
  }
  return new Map([...bySkill].map(([skill, all]) => [skill, remembered(all)]));
}

function remembered(tries: readonly Tried[]): Remembered {
  const first = tries[0]?.at ?? 0;
  let card = createEmptyCard(first);
  for (const one of tries) card = SCHEDULER.next(card, one.at, gradeOf(one)).card;
  const latest = tries.slice(-LATEST);
  return {
    card,
    tries: tries.length,
    missed: latest.filter((one) => !one.isRight).length,
    lastAt: tries.at(-1)?.at ?? 0,
  };
}

/** When a skill is due again, ms. */
export const dueAt = ({ card }: Remembered): number => card.due.getTime();

/** How likely it is still known at a moment, from 0 to 1, by the scheduler's own curve. */
export const stillKnown = ({ card }: Remembered, now: number): number => SCHEDULER.get_retrievability(card, now, false);
