/** How a sought kind stands: whether it still fits, what its musts lack, what speaks against it. */
import { isHardLook } from "../find/vocabulary.ts";
import { characterPhrase, stateWords, wordList } from "../find/words.ts";
import type { Clause, Sheet } from "../knowledge/sheet.ts";
import type { Tables } from "../knowledge/tables.ts";
import type { RulesInForce } from "./condition.ts";
import { listedStates, type Point, pointsOf } from "./contradictions.ts";
import type { Look } from "./looks.ts";
import { isHidden } from "./masks.ts";
import type { BodyScene, Scene } from "./scene.ts";
import { type Misplaced, misplacedBy, monthWords } from "./season.ts";
import { sizePoints, weighSizes } from "./sizes.ts";
import { CONTRADICTS, MASKED, type Weighing, weigh } from "./weigh.ts";

/** One thing that speaks against a sought kind. */
export interface Contradiction {
  readonly character: string;
  readonly body: string;
  readonly text: string;
}

/** The one soft character that keeps a sought kind from fitting. */
export interface OddCharacter {
  /** A character's id, or "size". */
  readonly character: string;
  /** A body's id, or "site". */
  readonly body: string;
  /** "the cap edge (inrolled on A; it has plain or incurved)" */
  readonly text: string;
}

/** A must that is not yet confirmed, with what it asks. */
export interface MissingMust {
  readonly character: string;
  readonly says: string;
}

export interface Candidate {
  readonly sheet: Sheet;
  /** Nothing sure and unmasked speaks against it: it may still be this. */
  readonly fits: boolean;
  /** Nothing at all speaks against it, not even an unsure look or one that only a mask excuses. */
  readonly fitsPlainly: boolean;
  /** The house rules let it be kept. */
  readonly allowed: boolean;
  readonly mustsConfirmed: number;
  readonly mustsMissing: readonly MissingMust[];
  /** How many sure looks and measures speak against it. */
  readonly contradicted: number;
  /** The first few of them in words: one that does not match already ends it. */
  readonly contradictions: readonly Contradiction[];
  /** Where nothing speaks against it, the first few things that are in doubt. */
  readonly doubts: readonly Contradiction[];
  /** Where one soft character alone speaks against it: it comes near. */
  readonly near: OddCharacter | undefined;
  /** What the time and the place say against it. They only doubt: it goes on fitting. */
  readonly misplaced: readonly Misplaced[];
}

/** So many contradictions of a kind are told, and so many doubts. */
export const TOLD = 4;

/** The must that stands for bodies of more than one age. */
export const AGES_MUST = "age";
/** The must that stands for a date, of a kind whose months are a character of it. */
export const SEASON_MUST = "season";

/**
 * Weighs every sought sheet against the find. All bodies count, kept or not: they are thought to be one kind.
 * @returns a candidate a row of the tables
 */
export function candidatesOf(tables: Tables, scene: Scene, rules: RulesInForce): Candidate[] {
  const weighed: Weighed[] = [
    {
      body: undefined,
      looks: [...scene.site.values()].map((look) => ({
        look,
        weighing: weigh(tables, look, undefined, undefined, true),
        hard: false,
        point: pointsOf(tables, look, undefined),
      })),
      offSize: new Map(),
    },
    ...scene.bodies.map((body) => weighedBody(tables, body)),
  ];
  return tables.sheets.map((sheet, row) => candidate(sheet, row, weighed, scene, rules));
}

interface SoughtLook {
  readonly look: Look;
  readonly hard: boolean;
  readonly weighing: Weighing;
  readonly point: (row: number) => Point;
}

/** The site, or one body, with its looks weighed and the rows that its measures lie outside of, hard or not. */
interface Weighed {
  readonly body: BodyScene | undefined;
  readonly looks: readonly SoughtLook[];
  readonly offSize: ReadonlyMap<number, boolean>;
}

function weighedBody(tables: Tables, body: BodyScene): Weighed {
  const offSize = new Map<number, boolean>();
  weighSizes(tables, body.body, (row, _family, hard) => offSize.set(row, hard || offSize.get(row) === true));
  const looks = [...body.looks.values()].map((look) => ({
    look,
    hard: isHardLook(look.character, body.body.age, look.states),
    weighing: weigh(tables, look, body.body.age, body.conditions, true),
    point: pointsOf(tables, look, body.body.age),
  }));
  return { body, looks, offSize };
}

function candidate(
  sheet: Sheet,
  row: number,
  weighed: readonly Weighed[],
  scene: Scene,
  rules: RulesInForce,
): Candidate {
  const contradictions: Contradiction[] = [];
  const doubts: Contradiction[] = [];
  let contradicted = 0;
  /** The one soft character that speaks against it so far; null where there is more, or something hard. */
  let odd: (() => OddCharacter) | undefined | null;
  let oddCharacter: string | undefined;
  const against = (character: string, hard: boolean, tellOdd: () => OddCharacter) => {
    contradicted += 1;
    if (odd === undefined && !hard) {
      odd = tellOdd;
      oddCharacter = character;
    } else if (hard || character !== oddCharacter) odd = null;
  };
  for (const { body, looks, offSize } of weighed) {
    for (const { look, hard, weighing, point } of looks) {
      const kind = weighing[row];
      if (kind !== CONTRADICTS && kind !== MASKED) continue;
      if (kind === CONTRADICTS && look.sure) {
        against(look.character, hard, () => oddLook(sheet, look, body));
        tell(contradictions, () => point(row));
      } else if (contradicted === 0) tell(doubts, () => point(row));
    }
    if (body !== undefined && offSize.has(row)) {
      const points = sizePoints(sheet, body.body);
      against(SIZE, offSize.get(row) === true, () => oddSize(points[0]));
      contradicted += points.length - 1;
      for (const point of points) tell(contradictions, () => point);
    }
  }
  const mustsMissing = missingMusts(sheet, scene);
  const listed = sheet.musts.length + (sheet.agesNeeded > 1 ? 1 : 0) + (sheet.seasonIsMust ? 1 : 0);
  return {
    sheet,
    fits: contradicted === 0,
    fitsPlainly: contradicted === 0 && doubts.length === 0,
    allowed: isAllowed(sheet, rules),
    mustsConfirmed: listed - mustsMissing.length,
    mustsMissing,
    contradicted,
    contradictions,
    doubts: contradicted === 0 ? doubts : [],
    near: odd?.(),
    misplaced: contradicted === 0 || odd !== null ? misplacedBy(sheet, scene.find) : [],
  };
}

const SIZE = "size";
const TOLD_STATES = 4;

/** "the cap edge (inrolled on A; it has plain or incurved)" */
function oddLook(sheet: Sheet, { character, body: where, states }: Look, body: BodyScene | undefined): OddCharacter {
  const words = (some: readonly string[], link: "or" | "and") =>
    wordList(
      some.slice(0, TOLD_STATES).map((state) => stateWords(character, state)),
      link,
    );
  const has = listedStates(sheet, character, body?.body.age);
  const more = has.length > TOLD_STATES ? " and others" : "";
  const on = where === "site" ? "" : ` on ${where}`;
  return {
    character,
    body: where,
    text: `${characterPhrase(character)} (${words(states, "and")}${on}; it has ${words(has, "or")}${more})`,
  };
}

function oddSize(point: Point | undefined): OddCharacter {
  return { character: SIZE, body: point?.body ?? "", text: `its size (${point?.text ?? ""})` };
}

function tell(told: Contradiction[], point: () => Point): void {
  if (told.length === TOLD) return;
  const { character, body, text } = point();
  told.push({ character, body, text });
}

/** Whether the house rules let a kind be kept. */
export function isAllowed(sheet: Sheet, rules: RulesInForce): boolean {
  switch (sheet.houseRule) {
    case undefined:
      return true;
    case "amanitas":
      return rules.amanitas === "known";
    case "small-brown":
      return rules.smallBrown === "known";
    case "upsetters":
      return rules.upsetters === "cooked";
  }
}

/** The house rule that keeps a kind out, in words. */
export const HOUSE_RULE_WORDS: Readonly<Record<NonNullable<Sheet["houseRule"]>, string>> = {
  amanitas: "amanitas for food: never",
  "small-brown": "small brown ones on wood: never",
  upsetters: "scaber stalks, honey fungus, clouded funnel and other upsetters: leave them",
};

/** The musts of a sheet that no sure, unhidden look confirms. */
export function missingMusts(sheet: Sheet, scene: Scene): MissingMust[] {
  const missing: MissingMust[] = [];
  const agesSeen = new Set<string>();
  const region = scene.find.place?.region;
  for (const must of sheet.musts) {
    if (region !== undefined && must.regions?.includes(region) === false) continue;
    const way = must.ways.find((clauses) => clauses.every((clause) => isConfirmed(clause, scene, scene.bodies)));
    const everywhere =
      !sheet.everyBody.includes(must.character) ||
      scene.kept.every((body) =>
        must.ways.some((clauses) => clauses.every((clause) => isConfirmed(clause, scene, [body]))),
      );
    if (way === undefined || !everywhere) missing.push({ character: must.character, says: must.says });
    if (sheet.agesNeeded === 1) continue;
    for (const clause of way ?? [])
      for (const body of scene.bodies)
        if (body.body.age !== undefined && showsOn(clause, body)) agesSeen.add(body.body.age);
  }
  if (agesSeen.size < sheet.agesNeeded && sheet.agesNeeded > 1)
    missing.push({ character: AGES_MUST, says: `seen on bodies of ${sheet.agesNeeded} different ages` });
  if (sheet.seasonIsMust && scene.find.foundAt === undefined)
    missing.push({
      character: SEASON_MUST,
      says: `the day it was found, for its months are a character of it (${monthWords(Object.values(sheet.months).flat())})`,
    });
  return missing;
}

function isConfirmed(clause: Clause, scene: Scene, bodies: readonly BodyScene[]): boolean {
  const site = scene.site.get(clause.character);
  if (site !== undefined) return site.states.some((state) => clause.states.includes(state));
  return bodies.some((body) => showsOn(clause, body));
}

/** A clause is shown by a sure look at the right age that no mask could have made out of something else. */
function showsOn(clause: Clause, body: BodyScene): boolean {
  const look = body.looks.get(clause.character);
  if (look === undefined || !look.sure || !look.states.every((state) => clause.states.includes(state))) return false;
  const { age } = body.body;
  if (clause.ages !== undefined && (age === undefined || !clause.ages.includes(age))) return false;
  return !isHidden(look, body.conditions);
}
