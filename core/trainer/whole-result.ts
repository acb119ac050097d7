/** What came of a whole find: what the learner said beside what the core says, the shortest way, and what each look could have told. */
import { type Answer, assess } from "../answer/answer.ts";
import { DANGER_TIERS } from "../find/taxa.ts";
import type { Verdict } from "../judge/verdict.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import {
  isSameLook,
  type MadeFind,
  makeFind,
  type OfferedLook,
  offeredLooks,
  type TakenLook,
  takeLook,
} from "./made-find.ts";

/** What the learner said of a find. */
export interface Said {
  readonly verdict: Verdict;
  /** The danger that is held to be nearest, by its sheet; left out where nobody said. */
  readonly nearest?: string | undefined;
  readonly mistakes?: number | undefined;
  /** How sure, from 0 to 1, that the verdict is the right one. */
  readonly sure: number;
}

/** One look that could be had, and what it tells. */
export interface LookTold extends TakenLook {
  readonly text: string;
  /** What it showed; left out of one that was not taken. */
  readonly saw?: string;
  readonly isTaken: boolean;
  readonly isOnShortest: boolean;
  /** Dangers that it moves farther away from what was seen without it. */
  readonly movesAway: readonly string[];
  /** What comes of it alone. */
  readonly verdictThen: Verdict;
}

/** A way through a find. */
export interface Way {
  readonly looks: readonly OfferedLook[];
  readonly minutes: number;
  readonly waitHours: number;
  readonly verdict: Verdict;
}

export interface WholeResult {
  readonly said: Said;
  /** The core's answer to what the learner had seen. */
  readonly answer: Answer;
  readonly kind: string;
  readonly isDanger: boolean;
  /** A danger in the basket: that ends the round. */
  readonly isLetThrough: boolean;
  /** A kind for the pot that was left though nothing asked for it. */
  readonly isThrownAway: boolean;
  /** More was permitted than what was seen carries. */
  readonly isTooEarly: boolean;
  readonly isRight: boolean;
  /** Of the nearest danger and its distance; undefined where nobody said. */
  readonly isNearestRight: boolean | undefined;
  readonly isDistanceRight: boolean | undefined;
  readonly shortest: Way;
  readonly looks: readonly LookTold[];
}

const STRICTNESS: Readonly<Record<Verdict, number>> = { leave: 0, hold: 1, basket: 2 };

/**
 * Whether what was said is right: the core's own verdict on what was seen, or, of a danger, anything as strict. Holding what could be
 * decided is no mistake of the liver, but it is not counted as right: nobody learns by holding all.
 */
export const isRightVerdict = (said: Verdict, core: Verdict, isDanger: boolean): boolean =>
  isDanger ? said !== "basket" && STRICTNESS[said] <= STRICTNESS[core] : said === core;

/** The whole result. Some tenths of a second: every look that was left out is tried. */
export function wholeResult(made: MadeFind, said: Said, knowledge: Knowledge): WholeResult {
  const answer = assess(made.find, knowledge);
  const isDanger = DANGER_TIERS.has(made.sheet.tier);
  const [first] = answer.dangers;
  const least = first?.mistakes ?? 0;
  const named = answer.dangers.find((danger) => danger.sheet === said.nearest);
  const shortest = shortestWay(made, knowledge);
  return {
    said,
    answer,
    kind: made.sheet.id,
    isDanger,
    isLetThrough: isDanger && said.verdict === "basket",
    isThrownAway: !isDanger && made.sheet.tier !== "inedible" && said.verdict === "leave" && answer.verdict !== "leave",
    isTooEarly: STRICTNESS[said.verdict] > STRICTNESS[answer.verdict],
    isRight: isRightVerdict(said.verdict, answer.verdict, isDanger),
    isNearestRight: said.nearest === undefined ? undefined : named !== undefined && named.mistakes === least,
    isDistanceRight: said.mistakes === undefined ? undefined : Math.min(said.mistakes, MOST) === Math.min(least, MOST),
    shortest,
    looks: looksTold(made, answer, shortest, knowledge),
  };
}

/** From so many mistakes on one is as far as another: the learner chooses among 0, 1, 2 and "3 or more". */
const MOST = 3;
/** Nobody goes on for longer than this. */
const STEPS_AT_MOST = 40;

/** The same find before anything was looked at. */
const undrawn = ({ sheet, seed, day, find }: MadeFind): MadeFind => makeFind(sheet, seed, day, find.rules);

/** The way of somebody who looks at what stands there and then always does what the plan says next. */
export function shortestWay(begun: MadeFind, knowledge: Knowledge): Way {
  let made = undrawn(begun);
  const looks: OfferedLook[] = [];
  const take = (look: OfferedLook) => {
    looks.push(look);
    made = takeLook(made, look);
  };
  const offer = (is: (look: OfferedLook) => boolean) => offeredLooks(made).find(is);
  for (const { id } of made.find.bodies) {
    const cap = offer((look) => look.test === "look-at-cap" && look.body === id);
    if (cap !== undefined) take(cap);
  }
  let answer = assess(made.find, knowledge);
  while (answer.verdict === "hold" && looks.length < STEPS_AT_MOST) {
    const offers = offeredLooks(made);
    const [planned] = answer.next.tests.flatMap((test) => offers.find((look) => isSameLook(look, test)) ?? []);
    const next = planned ?? offer((look) => IN_REACH.has(look.test)) ?? badExample(answer, offers);
    if (next === undefined) break;
    take(next);
    answer = assess(made.find, knowledge);
  }
  return { looks, minutes: made.minutes, waitHours: made.waitHours, verdict: answer.verdict };
}
/** Where the plan is at its end, another body may help. */
const IN_REACH: ReadonlySet<string> = new Set(["another-young-one", "another-grown-one"]);

/** At the very end what is not cleared is put aside, where something else is. */
function badExample({ bodies }: Answer, offers: readonly OfferedLook[]): OfferedLook | undefined {
  const isCleared = (id: string | undefined) => bodies.some((one) => one.body === id && one.verdict === "basket");
  if (!bodies.some((one) => one.verdict === "basket")) return undefined;
  return offers.find((look) => look.test === "put-aside" && !isCleared(look.body));
}

/** Every look that was or could have been taken, with what it tells beside all that was seen without it. */
function looksTold(made: MadeFind, answer: Answer, shortest: Way, knowledge: Knowledge): readonly LookTold[] {
  const fresh = undrawn(made);
  // of a look at one body it is told what it does on that body: the find's own distance is that of its nearest body
  const moved = (before: Answer, after: Answer, body: string | undefined): readonly string[] =>
    after.dangers.flatMap(({ sheet, bodies }) => {
      const were = before.dangers.find((one) => one.sheet === sheet)?.bodies ?? [];
      const isFarther = bodies.some(
        (now) =>
          (body === undefined || now.body === body) &&
          now.mistakes > (were.find((one) => one.body === now.body)?.mistakes ?? Number.POSITIVE_INFINITY),
      );
      return isFarther ? [sheet] : [];
    });
  const isOn = (look: TakenLook) => shortest.looks.some((one) => isSameLook(one, look));
  const all = [...offeredLooks(fresh), ...offeredLooks(made)];
  const taken = made.taken.map((look): LookTold => {
    const without = made.taken.filter((one) => one !== look).reduce(takeLook, fresh);
    const before = assess(without.find, knowledge);
    const text = all.find((one) => isSameLook(one, look))?.text ?? look.test;
    return {
      ...look,
      text,
      isTaken: true,
      isOnShortest: isOn(look),
      movesAway: moved(before, answer, look.body),
      verdictThen: answer.verdict,
    };
  });
  const open = offeredLooks(made).map((look): LookTold => {
    const { test, body, minutes, waitHours, text } = look;
    const after = assess(takeLook(made, look).find, knowledge);
    return {
      test,
      ...(body === undefined ? {} : { body }),
      minutes,
      waitHours,
      text,
      isTaken: false,
      isOnShortest: isOn(look),
      movesAway: moved(answer, after, body),
      verdictThen: after.verdict,
    };
  });
  return [...taken, ...open];
}
