/**
 * What is practised: confusions and characters, never single cards. A skill is one danger taken for one sought kind, one state
 * of a character told from the others, one thing that hides what is there, one colour. Items are made fresh at each turn.
 */
import { DRAWN_CHARACTERS } from "../figure/swatches.ts";
import { DANGER_TIERS } from "../find/taxa.ts";
import { type CharacterId, canBeHard, definitionOf, isCharacterId, type REGIONS } from "../find/vocabulary.ts";
import { MASKS } from "../judge/mask-table.ts";
import { isInMonths } from "../judge/season.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { DEPOSITS } from "../measure/synthetic-picture.ts";
import { toldDrawing } from "./told-drawings.ts";

export type Skill =
  | { readonly kind: "pair"; readonly id: string; readonly danger: string; readonly sought: string }
  | { readonly kind: "look"; readonly id: string; readonly character: CharacterId; readonly state: string }
  | { readonly kind: "mask"; readonly id: string; readonly mask: string }
  | { readonly kind: "colour"; readonly id: string; readonly character: CharacterId; readonly state: string };
export type SkillKind = Skill["kind"];

export const pairId = (danger: string, sought: string): string => `pair:${danger}/${sought}`;

/** A skill of its id; undefined for a word that names none. */
export function skillOf(id: string): Skill | undefined {
  const [, kind, first = "", second = ""] = /^(pair|look|mask|colour):([a-z-]+)(?:\/([a-z-]+))?$/.exec(id) ?? [];
  if (kind === "pair") return { kind, id, danger: first, sought: second };
  if (kind === "mask") return { kind, id, mask: first };
  if ((kind === "look" || kind === "colour") && isCharacterId(first))
    return { kind, id, character: first, state: second };
  return undefined;
}

/** Colours that are told apart under a lamp, by character. */
const COLOURS: Readonly<Partial<Record<CharacterId, readonly string[]>>> = {
  "spore-print": Object.keys(DEPOSITS),
  "stain-base": ["none", "faint-yellow", "chrome-yellow", "orange", "brown", "pink"],
  "stain-cut": ["none", "pink", "red", "slight-blue", "strong-blue", "grey-black"],
};

/** Sheets that are one kind's lookalikes, a danger and a sought one, by either sheet's word. */
function pairsOf({ dangers, sought, byId }: Knowledge): Skill[] {
  const pairs = new Set<string>();
  const add = (danger: Sheet, other: Sheet | undefined) => {
    if (other !== undefined && !DANGER_TIERS.has(other.tier) && other.tier !== "inedible")
      pairs.add(pairId(danger.id, other.id));
  };
  for (const danger of dangers) for (const id of danger.lookalikes) add(danger, byId.get(id));
  for (const kind of sought)
    for (const id of kind.lookalikes) {
      const other = byId.get(id);
      if (other !== undefined && DANGER_TIERS.has(other.tier)) add(other, kind);
    }
  return [...pairs].sort().flatMap((id) => skillOf(id) ?? []);
}

const known = new WeakMap<Knowledge, readonly Skill[]>();

/** Everything there is to practise, in an order that never changes. */
export function allSkills(knowledge: Knowledge): readonly Skill[] {
  const told = known.get(knowledge) ?? skillsOf(knowledge);
  known.set(knowledge, told);
  return told;
}

function skillsOf(knowledge: Knowledge): readonly Skill[] {
  const looks = [...Object.keys(DRAWN_CHARACTERS), "smell"].flatMap((character) =>
    isCharacterId(character)
      ? definitionOf(character).states.flatMap((state) =>
          toldDrawing(character, state) === undefined ? [] : [`look:${character}/${state}`],
        )
      : [],
  );
  const masks = MASKS.map(({ id }) => `mask:${id}`);
  const colours = Object.entries(COLOURS).flatMap(([character, states = []]) =>
    states.map((state) => `colour:${character}/${state}`),
  );
  return [...pairsOf(knowledge), ...[...looks, ...masks, ...colours].flatMap((id) => skillOf(id) ?? [])];
}

/** Who learns, as far as it weighs: where and when they go, what for, where they learned first, what their own log says. */
export interface Learner {
  readonly region?: (typeof REGIONS)[number] | undefined;
  /** The day of the year of today, from nought. */
  readonly ofYear: number;
  /** The kinds that they look for; none told: all. */
  readonly sought: readonly string[];
  /** Where they learned first, where that is another region. */
  readonly learnedIn?: (typeof REGIONS)[number] | undefined;
  /** What went wrong in their own log, by skill id. */
  readonly wrongInLog: readonly string[];
}

/** By how grave a danger is; ours. */
const GRAVE: Readonly<Record<string, number>> = { deadly: 6, serious: 3, sickener: 1 };
/** What else makes a skill weigh; ours: here and now comes first, then where one learned, then the log. */
const WEIGHS = { here: 4, sought: 2, learnedThere: 2.5, inLog: 2, hardLook: 2, look: 1, mask: 1.5, colour: 1 } as const;

/** How much a skill weighs for a learner, before what went wrong in practice. */
export function weightOf(skill: Skill, learner: Learner, knowledge: Knowledge): number {
  const inLog = learner.wrongInLog.includes(skill.id) ? WEIGHS.inLog : 1;
  switch (skill.kind) {
    case "look":
      return inLog * (canBeHard(skill.character) ? WEIGHS.hardLook : WEIGHS.look);
    case "mask":
      return WEIGHS.mask;
    case "colour":
      return inLog * WEIGHS.colour;
    case "pair": {
      const danger = knowledge.byId.get(skill.danger);
      const sought = knowledge.byId.get(skill.sought);
      if (danger === undefined || sought === undefined) return 0;
      let weight = GRAVE[danger.tier] ?? 1;
      if (standsHere(danger, learner)) weight *= WEIGHS.here;
      if (learner.sought.length === 0 || learner.sought.includes(sought.id)) weight *= WEIGHS.sought;
      if (isLocalDouble(danger, sought, learner)) weight *= WEIGHS.learnedThere;
      return inLog * weight;
    }
  }
}

/** Whether a danger may stand where and when the learner goes. What is not told keeps it. */
function standsHere({ months, allYear }: Sheet, { region, ofYear }: Learner): boolean {
  if (allYear) return true;
  const there = region === undefined ? [...new Set(Object.values(months).flat())] : (months[region] ?? []);
  return isInMonths(ofYear, there);
}

/** The local danger that somebody who learned elsewhere takes for the good one of home. */
const isLocalDouble = (danger: Sheet, sought: Sheet, { region, learnedIn }: Learner): boolean =>
  region !== undefined &&
  learnedIn !== undefined &&
  learnedIn !== region &&
  danger.months[region] !== undefined &&
  sought.months[learnedIn] !== undefined;
