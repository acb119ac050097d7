/** The trainer beside the sheets, in the judge's thread: fetched when somebody practises, since no answer needs it. */
import { DANGER_TIERS, type Find, type Knowledge, type Rules, type Sheet, type Verdict } from "@jittery-cap/core";
import {
  afterLooks,
  allSkills,
  chanceOf,
  chooseNext,
  courseOf,
  dayTold,
  type Exercise,
  type Learner,
  lookWords,
  makeFind,
  makeNothingToday,
  makeOneLook,
  makeTheseTwo,
  makeUnderTheLamp,
  type NothingToday,
  type OfferedLook,
  type OneLook,
  type OwnLog,
  offeredLooks,
  pickSome,
  type Said,
  type SeenLook,
  type Skill,
  type SkillKind,
  skillOf,
  type TakenLook,
  type TestItem,
  type TheseTwo,
  type Today,
  type Tried,
  testOfTwenty,
  todayOf,
  type UnderTheLamp,
  type WholeResult,
  weakInLog,
  weighed,
  wholeResult,
} from "@jittery-cap/core/trainer";
import type { SheetLine } from "./judge.worker.ts";

/** What the learner has done so far, and who they are. */
export interface Learning {
  readonly tries: readonly Tried[];
  readonly learner: Learner;
  /** ms. */
  readonly now: number;
  readonly dayBegan: number;
}

/** A whole find that is made of these. */
export interface WholeItem {
  readonly kind: "whole";
  readonly skill?: string | undefined;
  readonly sheet: string;
  readonly seed: string;
}

/** An item with the names that it needs. */
export type Item = (OneLook | TheseTwo | NothingToday | UnderTheLamp | WholeItem) & {
  readonly names: Readonly<Record<string, SheetLine>>;
  /** Of the sheets that it was made by. */
  readonly edition: string;
};

/** A whole find after some looks. */
export interface WholeState {
  readonly find: Find;
  readonly offered: readonly OfferedLook[];
  readonly taken: readonly (SeenLook & { readonly text: string })[];
  /** The day and the bodies, a clause each. */
  readonly conditions: readonly string[];
  readonly minutes: number;
  readonly waitHours: number;
  /** Dangers that the learner may name as the nearest. */
  readonly dangers: readonly SheetLine[];
}

/** What came of a whole find, as the screen tells it. */
export interface WholeTold extends Omit<WholeResult, "answer" | "kind"> {
  readonly kind: SheetLine;
  readonly verdict: Verdict;
  readonly reasons: readonly string[];
  readonly nearest: readonly (SheetLine & { readonly mistakes: number })[];
  readonly least: number;
  /** What would have followed, where a danger was let through. */
  readonly course: string | undefined;
}

/** Which skills an exercise trains. */
const TRAINS: Readonly<Partial<Record<Exercise, readonly SkillKind[]>>> = {
  whole: ["pair"],
  two: ["pair"],
  look: ["look"],
  nothing: ["mask"],
  lamp: ["colour"],
};
const NAMED = 4;
/** A deadly kind is what a whole find is about so often; else the good one that it is taken for. */
const DANGER_SHOWN = 0.5;
const NEAREST_TOLD = 5;
const AHEAD = 6;

/** A danger and the kind that it is taken for. */
export interface Confusion {
  readonly danger: SheetLine;
  readonly sought: SheetLine;
}

/** The sheets by their ids, told shortly. */
function linesOf(knowledge: Knowledge) {
  const { byId } = knowledge;
  const lineOf = (id: string): SheetLine => {
    const sheet = byId.get(id);
    return {
      id,
      common: sheet?.names.common ?? id,
      scientific: sheet?.names.scientific ?? "",
      tier: sheet?.tier ?? "inedible",
    };
  };
  const sheetOf = (id: string): Sheet => {
    const sheet = byId.get(id);
    if (sheet === undefined) throw new RangeError(`there is no sheet ${id}`);
    return sheet;
  };
  const told = (...ids: readonly string[]) => ({
    names: Object.fromEntries(ids.map((id) => [id, lineOf(id)])),
    edition: knowledge.edition,
  });
  return { lineOf, sheetOf, told };
}

type Lines = ReturnType<typeof linesOf>;

/** An exercise of a skill; undefined where none can be made. */
function itemOf(
  { told }: Lines,
  knowledge: Knowledge,
  skill: Skill,
  seed: string,
  asked: Exercise | undefined,
): Item | undefined {
  switch (skill.kind) {
    case "look": {
      const item = makeOneLook(skill.id, skill.character, skill.state, seed);
      return item === undefined ? undefined : { ...item, ...told() };
    }
    case "colour": {
      const item = makeUnderTheLamp(skill.id, skill.character, skill.state, seed);
      return item === undefined ? undefined : { ...item, ...told() };
    }
    case "mask": {
      const item = makeNothingToday(skill.mask, knowledge, seed);
      return item === undefined ? undefined : { ...item, ...told(item.danger) };
    }
    case "pair": {
      const chance = chanceOf(seed, "exercise");
      const two =
        asked === "whole" || (asked === undefined && chance.next() < 0.5)
          ? undefined
          : makeTheseTwo(skill.id, skill, knowledge, seed);
      if (two !== undefined) return { ...two, ...told(two.danger, two.sought) };
      const sheet = chance.next() < DANGER_SHOWN ? skill.danger : skill.sought;
      return { kind: "whole", skill: skill.id, sheet, seed, ...told() };
    }
  }
}

/** A whole find, what was looked at and what was said of it. */
interface WholeDone {
  readonly id: string;
  readonly seed: string;
  readonly looks: readonly Pick<TakenLook, "test" | "body">[];
  readonly rules: Rules;
  readonly said: Said;
}

function resultOf(
  { lineOf, sheetOf }: Lines,
  knowledge: Knowledge,
  { id, seed, looks, rules, said }: WholeDone,
): WholeTold {
  const sheet = sheetOf(id);
  const { answer, kind, ...result } = wholeResult(
    afterLooks(makeFind(sheet, seed, "any", rules), looks),
    said,
    knowledge,
  );
  return {
    ...result,
    kind: lineOf(kind),
    verdict: answer.verdict,
    reasons: answer.reasons.map((reason) => reason.text),
    nearest: answer.dangers.slice(0, NEAREST_TOLD).map((one) => ({ ...lineOf(one.sheet), mistakes: one.mistakes })),
    least: answer.dangers[0]?.mistakes ?? 0,
    course: result.isLetThrough ? courseOf(sheet) : undefined,
  };
}

/** The trainer over one shelf of sheets. */
export function practiceRoom(knowledge: Knowledge) {
  const lines = linesOf(knowledge);
  const { lineOf, sheetOf } = lines;
  return {
    /** How it stands today. */
    today: ({ tries, now, dayBegan }: Learning): Today => todayOf(tries, knowledge, now, dayBegan),

    /** The confusions that weigh most now, for this person, here and this month. */
    ahead: ({ tries, learner, now, dayBegan }: Learning): readonly Confusion[] =>
      [...weighed(tries, learner, knowledge, now, dayBegan, ["pair"])]
        .sort((one, other) => other.weight - one.weight)
        .flatMap(({ skill }) =>
          skill.kind === "pair" ? [{ danger: lineOf(skill.danger), sought: lineOf(skill.sought) }] : [],
        )
        .filter((one, index, all) => all.findIndex((other) => other.danger.id === one.danger.id) === index)
        .slice(0, AHEAD),

    /** What comes next, of an exercise or of all. */
    next({ tries, learner, now, dayBegan }: Learning, seed: string, asked?: Exercise): Item | undefined {
      const kinds = asked === undefined ? undefined : TRAINS[asked];
      // where a skill has no item today, another one is asked for
      for (let turn = 0; turn < 8; turn += 1) {
        const chance = chanceOf(seed, turn, "next");
        const skill = chooseNext(tries, learner, knowledge, now, dayBegan, chance, kinds);
        const item = skill === undefined ? undefined : itemOf(lines, knowledge, skill, `${seed}/${turn}`, asked);
        if (item !== undefined) return item;
      }
      return undefined;
    },

    /** A whole find after some looks. */
    whole(
      id: string,
      seed: string,
      looks: readonly Pick<TakenLook, "test" | "body">[],
      rules: Rules,
      skill?: string,
    ): WholeState {
      const sheet = sheetOf(id);
      const made = afterLooks(makeFind(sheet, seed, "any", rules), looks);
      return {
        find: made.find,
        offered: offeredLooks(made),
        taken: made.taken.map((look) => ({ ...look, text: lookWords(look) })),
        conditions: dayTold(made.find),
        minutes: made.minutes,
        waitHours: made.waitHours,
        dangers: dangersToName(sheet, seed, skill, knowledge).map(lineOf),
      };
    },

    /** What came of it. */
    result: (
      id: string,
      seed: string,
      looks: readonly Pick<TakenLook, "test" | "body">[],
      rules: Rules,
      said: Said,
    ): WholeTold => resultOf(lines, knowledge, { id, seed, looks, rules, said }),

    /** The finds of a test of twenty. */
    test: (seed: string): readonly TestItem[] => testOfTwenty(seed, knowledge),

    /** What somebody's own log says they are weak at. */
    weakInLog: (log: OwnLog): readonly string[] => weakInLog(log, knowledge, allSkills(knowledge)),

    /** A sheet by a part of its name, for whoever takes another danger for the nearest. */
    dangers: (): readonly SheetLine[] =>
      knowledge.dangers.map(({ id }) => lineOf(id)).sort((one, other) => one.common.localeCompare(other.common, "en")),

    /** Sheets by their ids. */
    lines: (ids: readonly string[]): readonly SheetLine[] => ids.map(lineOf),
  };
}

/** Dangers to choose the nearest from: that of the confusion, those that the kind is taken for, others by chance. */
function dangersToName(sheet: Sheet, seed: string, skill: string | undefined, { dangers, byId }: Knowledge): string[] {
  const chance = chanceOf(seed, "named");
  const pair = skill === undefined ? undefined : skillOf(skill);
  const isDanger = (id: string) => DANGER_TIERS.has(byId.get(id)?.tier ?? "edible");
  const alike = [sheet.id, ...sheet.lookalikes].filter(isDanger);
  const deadly = dangers.filter(({ tier }) => tier === "deadly").map(({ id }) => id);
  const all = [
    ...(pair?.kind === "pair" ? [pair.danger] : []),
    ...pickSome(chance, alike, 2),
    ...pickSome(chance, deadly, NAMED),
  ];
  // in an order that tells nothing
  return pickSome(chance, [...new Set(all)].slice(0, NAMED), NAMED);
}
