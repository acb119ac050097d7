/** How a sought kind stands: whether it still fits, what its musts lack, what speaks against it. */
import { CHARACTER_IDS, isHardLook } from "../find/vocabulary.ts";
import { characterPhrase, stateWords, wordList } from "../find/words.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import type { Tables } from "../knowledge/tables.ts";
import type { RulesInForce } from "./condition.ts";
import { listedStates, type Point, pointsOf } from "./contradictions.ts";
import type { Look } from "./looks.ts";
import { type MissingMust, missingMusts, type Proofs, proofsOf } from "./musts.ts";
import type { BodyScene, Scene } from "./scene.ts";
import { type Misplaced, misplacedBy } from "./season.ts";
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

export interface Candidate {
  readonly sheet: Sheet;
  /** Nothing sure and unmasked speaks against it: it may still be this. */
  readonly fits: boolean;
  /** Nothing at all speaks against it, not even an unsure look or one that only a mask excuses. */
  readonly fitsPlainly: boolean;
  /** The house rules let it be kept. */
  readonly allowed: boolean;
  readonly mustsConfirmed: number;
  /** Whether any of its musts is missing. */
  readonly lacksMusts: boolean;
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

/**
 * Weighs every sought sheet against the find. All bodies count, kept or not: they are thought to be one kind. What
 * speaks against a kind is counted look by look over all rows, and put into words only where it is asked for.
 * @returns a candidate a row of the tables
 */
export function candidatesOf(tables: Tables, scene: Scene, rules: RulesInForce): Candidate[] {
  const weighed: Weighed[] = [
    {
      body: undefined,
      looks: [...scene.site.values()].map((look) => soughtLook(tables, look, undefined)),
      offSize: undefined,
    },
    ...scene.bodies.map((body) => weighedBody(tables, body)),
  ];
  const bench = { weighed, tally: tallyOf(tables, weighed), scene, rules, proofs: proofsOf(scene) };
  return tables.sheets.map((sheet, row) => new RowCandidate(sheet, row, bench));
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
  readonly offSize: OffSize | undefined;
}

/** By row, how many measures lie outside, and whether any of them is hard. */
interface OffSize {
  readonly count: Uint8Array;
  readonly hard: Uint8Array;
}

function soughtLook(tables: Tables, look: Look, body: BodyScene | undefined): SoughtLook {
  const age = body?.body.age;
  return {
    look,
    hard: isHardLook(look.character, age, look.states),
    weighing: weigh(tables, look, age, body?.conditions, true),
    point: pointsOf(tables, look, age),
  };
}

function weighedBody(tables: Tables, body: BodyScene): Weighed {
  const offSize = { count: new Uint8Array(tables.sheets.length), hard: new Uint8Array(tables.sheets.length) };
  weighSizes(tables, body.body, (row, _family, hard) => {
    offSize.count[row] = (offSize.count[row] ?? 0) + 1;
    if (hard) offSize.hard[row] = 1;
  });
  return { body, looks: [...body.looks.values()].map((look) => soughtLook(tables, look, body)), offSize };
}

const isOffSize = (offSize: OffSize | undefined, row: number): boolean => (offSize?.count[row] ?? 0) > 0;

/** What speaks against each row, in numbers. */
interface Tally {
  readonly contradicted: Uint16Array;
  readonly doubted: Uint8Array;
  /** Number of the one soft character that speaks against it, from one; zero for none, MORE for more or something hard. */
  readonly odd: Uint8Array;
}

const MORE = 255;
const SIZE = "size";
const SIZE_NUMBER = MORE - 1;

function tallyOf(tables: Tables, weighed: readonly Weighed[]): Tally {
  const rows = tables.sheets.length;
  const contradicted = new Uint16Array(rows);
  const doubted = new Uint8Array(rows);
  const odd = new Uint8Array(rows);
  const against = (row: number, character: number) => {
    contradicted[row] = (contradicted[row] ?? 0) + 1;
    const before = odd[row] ?? 0;
    odd[row] = before === 0 || before === character ? character : MORE;
  };
  for (const { looks, offSize } of weighed) {
    for (const { look, hard, weighing } of looks) {
      const number = hard ? MORE : CHARACTER_IDS.indexOf(look.character) + 1;
      for (let row = 0; row < rows; row += 1) {
        const kind = weighing[row];
        if (kind !== CONTRADICTS && kind !== MASKED) continue;
        if (kind === CONTRADICTS && look.sure) against(row, number);
        else doubted[row] = 1;
      }
    }
    if (offSize === undefined) continue;
    for (let row = 0; row < rows; row += 1) {
      const count = offSize.count[row] ?? 0;
      if (count === 0) continue;
      against(row, offSize.hard[row] === 1 ? MORE : SIZE_NUMBER);
      contradicted[row] = (contradicted[row] ?? 0) + count - 1;
    }
  }
  return { contradicted, doubted, odd };
}

/** What every candidate of one find is worked out from. */
interface Bench {
  readonly weighed: readonly Weighed[];
  readonly tally: Tally;
  readonly scene: Scene;
  readonly rules: RulesInForce;
  readonly proofs: Proofs;
}

/** One row's standing; whatever is put into words is worked out when it is asked for, since there are many rows. */
class RowCandidate implements Candidate {
  readonly sheet: Sheet;
  readonly contradicted: number;
  readonly fits: boolean;
  readonly fitsPlainly: boolean;
  readonly #row: number;
  readonly #bench: Bench;
  #told: Told | undefined;
  #missing: readonly MissingMust[] | undefined;
  #near: OddCharacter | undefined;

  constructor(sheet: Sheet, row: number, bench: Bench) {
    this.sheet = sheet;
    this.#row = row;
    this.#bench = bench;
    this.contradicted = bench.tally.contradicted[row] ?? 0;
    this.fits = this.contradicted === 0;
    this.fitsPlainly = this.fits && bench.tally.doubted[row] === 0;
  }

  get allowed(): boolean {
    return isAllowed(this.sheet, this.#bench.rules);
  }

  get mustsMissing(): readonly MissingMust[] {
    this.#missing ??= missingMusts(this.sheet, this.#bench.scene, this.#bench.proofs);
    return this.#missing;
  }

  get lacksMusts(): boolean {
    const missing = this.#missing ?? missingMusts(this.sheet, this.#bench.scene, this.#bench.proofs, 1);
    return missing.length > 0;
  }

  get mustsConfirmed(): number {
    const { musts, agesNeeded, seasonIsMust } = this.sheet;
    return musts.length + (agesNeeded > 1 ? 1 : 0) + (seasonIsMust ? 1 : 0) - this.mustsMissing.length;
  }

  get near(): OddCharacter | undefined {
    if (!this.#isNear) return undefined;
    this.#near ??= oddOf(this.sheet, this.#row, this.#bench.weighed);
    return this.#near;
  }

  get misplaced(): readonly Misplaced[] {
    return this.fits || this.#isNear ? misplacedBy(this.sheet, this.#bench.scene.find) : NOT_MISPLACED;
  }

  get contradictions(): readonly Contradiction[] {
    return this.fits ? NONE : this.#tell().contradictions;
  }

  get doubts(): readonly Contradiction[] {
    return this.fits && !this.fitsPlainly ? this.#tell().doubts : NONE;
  }

  get #isNear(): boolean {
    return !this.fits && this.#bench.tally.odd[this.#row] !== MORE;
  }

  #tell(): Told {
    this.#told ??= toldOf(this.sheet, this.#row, this.#bench.weighed);
    return this.#told;
  }
}

const NOT_MISPLACED: readonly Misplaced[] = [];
const NONE: readonly Contradiction[] = [];

interface Told {
  readonly contradictions: readonly Contradiction[];
  readonly doubts: readonly Contradiction[];
}

/** The first few things that speak against a row, or that are in doubt, in words. */
function toldOf(sheet: Sheet, row: number, weighed: readonly Weighed[]): Told {
  const contradictions: Contradiction[] = [];
  const doubts: Contradiction[] = [];
  for (const { body, looks, offSize } of weighed) {
    for (const { look, weighing, point } of looks) {
      const kind = weighing[row];
      if (kind !== CONTRADICTS && kind !== MASKED) continue;
      tell(kind === CONTRADICTS && look.sure ? contradictions : doubts, () => point(row));
    }
    if (body !== undefined && isOffSize(offSize, row))
      for (const point of sizePoints(sheet, body.body)) tell(contradictions, () => point);
  }
  return { contradictions, doubts };
}

/** The one odd character of a row that comes near: the first look that speaks against it. */
function oddOf(sheet: Sheet, row: number, weighed: readonly Weighed[]): OddCharacter | undefined {
  for (const { body, looks, offSize } of weighed) {
    const look = looks.find((one) => one.weighing[row] === CONTRADICTS && one.look.sure);
    if (look !== undefined) return oddLook(sheet, look.look, body);
    if (body !== undefined && isOffSize(offSize, row)) return oddSize(sizePoints(sheet, body.body)[0]);
  }
  return undefined;
}

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
