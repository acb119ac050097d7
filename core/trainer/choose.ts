/** What comes next, and when it is enough for today. */
import type { Knowledge } from "../knowledge/knowledge.ts";
import { type Chance, pickByWeight } from "./chance.ts";
import { dueAt, memoryOf, type Remembered, stillKnown, type Tried } from "./memory.ts";
import { allSkills, type Learner, type Skill, type SkillKind, weightOf } from "./skills.ts";

/** Minutes a day that are enough (common practice, no source). */
export const ENOUGH_MINUTES = 10;
/** So many new skills a day: what is begun comes back tomorrow. */
export const NEW_A_DAY = 12;
/** A pause longer than this ends a sitting's minutes: nobody looked at one drawing for so long, ms. */
const PAUSE_MS = 3 * 60_000;
/** A first look at something is counted as so long, ms. */
const FIRST_MS = 20_000;
/** How much more something weighs for each of its latest ten tries that went wrong; ours. */
const EACH_MISS = 1.5;
/** What was never tried weighs so much of what is due now; ours. */
const NEW_URGENCY = 0.5;

/** How it stands today. */
export interface Today {
  readonly minutes: number;
  readonly tries: number;
  readonly due: number;
  /** Never tried, as many as today still takes. */
  readonly fresh: number;
  readonly isEnough: boolean;
  /** Days since the last try before today; undefined where there is none. */
  readonly daysAway: number | undefined;
  /** At ten minutes a day, so many days until nothing is overdue, as fast as the learner is; 0: nothing is. */
  readonly daysToCatchUp: number;
}

/** A skill with how much it weighs now. */
export interface Weighed {
  readonly skill: Skill;
  readonly weight: number;
  readonly remembered: Remembered | undefined;
}

const DAY_MS = 86_400_000;

/** Minutes of practice in some tries: from one to the next, long pauses left out. */
export function minutesOf(tries: readonly Pick<Tried, "at">[]): number {
  const at = tries.map((one) => one.at).sort((a, b) => a - b);
  let ms = 0;
  at.forEach((moment, index) => {
    const since = moment - (at[index - 1] ?? Number.NEGATIVE_INFINITY);
    ms += since > PAUSE_MS ? FIRST_MS : since;
  });
  return ms / 60_000;
}

/**
 * How it stands. @param dayBegan the midnight before now, ms
 */
export function todayOf(tries: readonly Tried[], knowledge: Knowledge, now: number, dayBegan: number): Today {
  const memory = memoryOf(tries);
  const today = tries.filter((one) => one.at >= dayBegan);
  const before = tries.filter((one) => one.at < dayBegan);
  const skills = allSkills(knowledge);
  const due = skills.filter(({ id }) => isDue(memory.get(id), now)).length;
  const begun = begunSince(memory, tries, dayBegan);
  const untried = skills.filter(({ id }) => !memory.has(id)).length;
  const fresh = Math.max(0, Math.min(untried, NEW_A_DAY - begun));
  const minutes = minutesOf(today);
  const last = before.reduce((latest, one) => Math.max(latest, one.at), Number.NEGATIVE_INFINITY);
  const pace = Math.max(1, (ENOUGH_MINUTES / Math.max(FIRST_MS / 60_000, minutesOf(tries) / (tries.length || 1))) | 0);
  return {
    minutes,
    tries: today.length,
    due,
    fresh,
    isEnough: minutes >= ENOUGH_MINUTES || (due === 0 && fresh === 0),
    daysAway: last > 0 ? Math.floor((dayBegan - last) / DAY_MS) : undefined,
    daysToCatchUp: due <= pace ? 0 : Math.ceil(due / pace),
  };
}

const isDue = (known: Remembered | undefined, now: number): boolean => known !== undefined && dueAt(known) <= now;

/** How many skills were tried for the first time since a moment. */
function begunSince(memory: ReadonlyMap<string, Remembered>, tries: readonly Tried[], since: number): number {
  const earlier = new Set(tries.filter((one) => one.at < since).map((one) => one.skill));
  return [...memory.keys()].filter((skill) => !earlier.has(skill)).length;
}

/** All that may come now, weighed: what is due by how far it is forgotten, what is new as far as today takes it. */
export function weighed(
  tries: readonly Tried[],
  learner: Learner,
  knowledge: Knowledge,
  now: number,
  dayBegan: number,
  kinds?: readonly SkillKind[],
): readonly Weighed[] {
  const memory = memoryOf(tries);
  const isAsked = (skill: Skill) => kinds === undefined || kinds.includes(skill.kind);
  const takesNew = begunSince(memory, tries, dayBegan) < NEW_A_DAY;
  return allSkills(knowledge)
    .filter(isAsked)
    .flatMap((skill): Weighed[] => {
      const remembered = memory.get(skill.id);
      if (remembered === undefined && !takesNew) return [];
      if (remembered !== undefined && !isDue(remembered, now)) return [];
      // what is due comes before what is new, the more so the more of it is forgotten
      const urgency = remembered === undefined ? NEW_URGENCY : 2 - stillKnown(remembered, now);
      const missed = 1 + EACH_MISS * (remembered?.missed ?? 0);
      return [{ skill, weight: weightOf(skill, learner, knowledge) * urgency * missed, remembered }];
    });
}

/** How the exercises are mixed where nothing went wrong; ours: confusions kill, and looks are what they are told by. */
const SHARE_OF: Readonly<Record<SkillKind, number>> = { pair: 0.5, look: 0.25, mask: 0.15, colour: 0.1 };

/** A kind of skill weighs more for everything of it that is due and went wrong lately. */
function kindWeight(open: readonly Weighed[], kind: SkillKind): number {
  const wrong = open.filter(({ skill, remembered }) => skill.kind === kind && (remembered?.missed ?? 0) > 0).length;
  return SHARE_OF[kind] * (1 + wrong);
}

/**
 * What comes next: what went wrong and is due again first, as that is what a person is weak at; then by weight and chance. Where
 * nothing is due and today's new ones are spent, what is nearest to its date: whoever goes on is not sent away.
 */
export function chooseNext(
  tries: readonly Tried[],
  learner: Learner,
  knowledge: Knowledge,
  now: number,
  dayBegan: number,
  chance: Chance,
  kinds?: readonly SkillKind[],
): Skill | undefined {
  const open = weighed(tries, learner, knowledge, now, dayBegan, kinds);
  const latest = tries.at(-1)?.skill;
  const others = open.filter(({ skill }) => skill.id !== latest);
  const from = others.length > 0 ? others : open;
  const kind = pickByWeight(chance, [...new Set(from.map(({ skill }) => skill.kind))], (one) => kindWeight(from, one));
  const chosen = pickByWeight(
    chance,
    from.filter(({ skill }) => skill.kind === kind),
    ({ weight }) => weight,
  );
  if (chosen !== undefined) return chosen.skill;
  const memory = memoryOf(tries);
  const known = allSkills(knowledge).filter(({ kind, id }) => (kinds?.includes(kind) ?? true) && id !== latest);
  const nearest = (skill: Skill) => {
    const one = memory.get(skill.id);
    return one === undefined ? Number.POSITIVE_INFINITY : dueAt(one);
  };
  return [...known].sort((one, other) => nearest(one) - nearest(other))[0];
}
