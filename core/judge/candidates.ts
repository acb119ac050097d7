/** How a sought kind stands: whether it still fits, what its musts lack, what speaks against it. */
import type { Clause, Sheet } from "../knowledge/sheet.ts";
import type { Tables } from "../knowledge/tables.ts";
import type { RulesInForce } from "./condition.ts";
import { type Point, pointsOf } from "./contradictions.ts";
import type { Look } from "./looks.ts";
import { isHidden } from "./masks.ts";
import type { BodyScene, Scene } from "./scene.ts";
import { sizePoints, weighSizes } from "./sizes.ts";
import { CONTRADICTS, MASKED, type Weighing, weigh } from "./weigh.ts";

/** One thing that speaks against a sought kind. */
export interface Contradiction {
  readonly character: string;
  readonly body: string;
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
}

/** So many contradictions of a kind are told, and so many doubts. */
export const TOLD = 4;

/** The must that stands for bodies of more than one age. */
export const AGES_MUST = "age";

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
        point: pointsOf(tables, look, undefined),
      })),
      offSize: new Set(),
    },
    ...scene.bodies.map((body) => weighedBody(tables, body)),
  ];
  return tables.sheets.map((sheet, row) => candidate(sheet, row, weighed, scene, rules));
}

interface SoughtLook {
  readonly look: Look;
  readonly weighing: Weighing;
  readonly point: (row: number) => Point;
}

/** The site, or one body, with its looks weighed and the rows that its measures lie outside of. */
interface Weighed {
  readonly body: BodyScene | undefined;
  readonly looks: readonly SoughtLook[];
  readonly offSize: ReadonlySet<number>;
}

function weighedBody(tables: Tables, body: BodyScene): Weighed {
  const offSize = new Set<number>();
  weighSizes(tables, body.body, (row) => offSize.add(row));
  const looks = [...body.looks.values()].map((look) => ({
    look,
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
  for (const { body, looks, offSize } of weighed) {
    for (const { look, weighing, point } of looks) {
      const kind = weighing[row];
      if (kind !== CONTRADICTS && kind !== MASKED) continue;
      if (kind === CONTRADICTS && look.sure) {
        contradicted += 1;
        tell(contradictions, () => point(row));
      } else if (contradicted === 0) tell(doubts, () => point(row));
    }
    if (body !== undefined && offSize.has(row))
      for (const point of sizePoints(sheet, body.body)) {
        contradicted += 1;
        tell(contradictions, () => point);
      }
  }
  const mustsMissing = missingMusts(sheet, scene);
  const listed = sheet.musts.length + (sheet.agesNeeded > 1 ? 1 : 0);
  return {
    sheet,
    fits: contradictions.length === 0,
    fitsPlainly: contradictions.length === 0 && doubts.length === 0,
    allowed: isAllowed(sheet, rules),
    mustsConfirmed: listed - mustsMissing.length,
    mustsMissing,
    contradicted,
    contradictions,
    doubts: contradicted === 0 ? doubts : [],
  };
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

/** The musts of a sheet that no sure, unhidden look confirms. */
export function missingMusts(sheet: Sheet, scene: Scene): MissingMust[] {
  const missing: MissingMust[] = [];
  const agesSeen = new Set<string>();
  for (const must of sheet.musts) {
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
