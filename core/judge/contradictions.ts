/** Whether a look agrees with a sheet, contradicts it, or is hidden from saying either. */

import { dangerNeighbours, soughtNeighbours } from "../find/neighbours.ts";
import { theKind } from "../find/the-kind.ts";
import { AGES, type Age, type CharacterId, definitionOf, type Family, isHardLook } from "../find/vocabulary.ts";
import { CHARACTER_WORDS, stateWords, wordList } from "../find/words.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import type { AgeTable } from "../knowledge/state-tables.ts";
import { bitsOf, type Tables } from "../knowledge/tables.ts";
import type { Conditions } from "./body-conditions.ts";
import { type Look, statesAtOnce } from "./looks.ts";
import type { Mask } from "./mask-table.ts";
import { canHide, masksInForce, ownMasksInForce } from "./masks.ts";

/** What one look says about one sheet. */
export type Agreement =
  | { readonly kind: "silent" }
  | { readonly kind: "agrees" }
  | { readonly kind: "masked"; readonly masks: readonly Mask[] }
  | { readonly kind: "contradicts" };

/** One thing that speaks against a sheet. */
export interface Point {
  readonly family: Family;
  /** A character's id, or a measure's name. */
  readonly character: string;
  /** A body's id, or "site". */
  readonly body: string;
  readonly hard: boolean;
  readonly text: string;
  /** What the danger never shows was seen a second time, on another body, later or by somebody else: two mistakes. */
  readonly again?: true;
}

/** A mask that kept a danger standing where the bare look would have spoken against it. */
export interface MaskUse {
  readonly mask: string;
  readonly character: string;
  readonly body: string;
  readonly why: string;
  readonly lift?: string | undefined;
}

const SILENT: Agreement = { kind: "silent" };
const AGREES: Agreement = { kind: "agrees" };
const CONTRADICTS: Agreement = { kind: "contradicts" };

/**
 * Says how a look stands to a sheet. Sureness is not weighed here.
 * @param every whether every state seen must fit (asked of what is sought) or any one is enough (granted to dangers but
 *   for soft looks, see `statesAtOnce`, and to site characters, where several things are true of one place)
 */
export function agreementOf(
  sheet: Sheet,
  look: Look,
  age: Age | undefined,
  conditions: Conditions | undefined,
  every: boolean,
): Agreement {
  const listed = listedAt(sheet, look.character, age);
  if (listed === undefined) return every ? SILENT : neverShown(sheet, look, conditions);
  const accepted = every ? listed.acceptedOfSought : listed.acceptedOfDangers;
  const odd = look.states.filter((state) => !accepted.has(state) && !saysNothing(state, every));
  if (odd.length === 0) return AGREES;
  const masks = [...masksInForce(look, conditions), ...ownMasksInForce(sheet, look, conditions)];
  if (every && look.body !== "site") return throughMasks(listed, odd, masks, true) ?? CONTRADICTS;
  const anyFits = odd.length < look.states.length ? AGREES : throughMasks(listed, odd, masks, false);
  if (anyFits === undefined) return CONTRADICTS;
  const atOnce = every ? [] : statesAtOnce(look).filter((state) => odd.includes(state));
  return atOnce.length === 0 ? anyFits : (throughMasks(listed, atOnce, masks, true) ?? CONTRADICTS);
}

/** Of a character of which a danger's sheet says nothing at this age but what the kind never shows. */
function neverShown(sheet: Sheet, look: Look, conditions: Conditions | undefined): Agreement {
  if (!look.states.every((state) => neverStates(sheet, look.character).includes(state))) return SILENT;
  const isMade = (mask: Mask) => mask.to === undefined || look.states.some((state) => mask.to?.includes(state));
  const masks = [...masksInForce(look, conditions), ...ownMasksInForce(sheet, look, conditions)];
  return masks.some(isMade) ? SILENT : CONTRADICTS;
}

/** What a danger's sheet says that the kind never shows of a character. */
function neverStates(sheet: Sheet, character: CharacterId): readonly string[] {
  return sheet.never.filter((one) => one.character === character).flatMap((one) => one.states);
}

/** The masks through which states that do not fit plainly, all or any of them, can be reached from listed ones. */
function throughMasks(
  listed: Listed,
  odd: readonly string[],
  masks: readonly Mask[],
  all: boolean,
): Agreement | undefined {
  const hidden = odd.map((state) => masks.filter((mask) => listed.states.some((truth) => canHide(mask, truth, state))));
  const agreed = all ? hidden.every((used) => used.length > 0) : hidden.some((used) => used.length > 0);
  return agreed
    ? { kind: "masked", masks: masks.filter((mask) => hidden.some((used) => used.includes(mask))) }
    : undefined;
}

/** What a sheet lists of a character at an age, and what fits it: the listed states and those mixed up with them. */
interface Listed {
  readonly states: readonly string[];
  readonly acceptedOfDangers: ReadonlySet<string>;
  readonly acceptedOfSought: ReadonlySet<string>;
}

/** Sheets never change once they are shelved, so what they list is worked out once a sheet, character and age. */
const LISTED = new WeakMap<Sheet, Map<CharacterId, ReadonlyMap<Age | undefined, Listed | undefined>>>();

/** A body of unknown age may be of any; an age of which a sheet says nothing leaves it silent. */
function listedAt(sheet: Sheet, character: CharacterId, age: Age | undefined): Listed | undefined {
  const byAge = sheet.characters[character];
  if (byAge === undefined) return undefined;
  let listed = LISTED.get(sheet);
  if (listed === undefined) {
    listed = new Map();
    LISTED.set(sheet, listed);
  }
  let byOneAge = listed.get(character);
  if (byOneAge === undefined) {
    const never = neverStates(sheet, character);
    byOneAge = new Map(
      [...AGES, undefined].map((one) => [one, listing(byAge, character, one === undefined ? AGES : [one], never)]),
    );
    listed.set(character, byOneAge);
  }
  return byOneAge.get(age);
}

/** @param never what nobody takes for one of the states that the kind shows */
function listing(
  byAge: AgeTable,
  character: CharacterId,
  ages: readonly Age[],
  never: readonly string[],
): Listed | undefined {
  const tables = ages.map((age) => byAge[age]).filter((table) => table !== undefined);
  if (tables.length < ages.length) return undefined;
  const states = [...new Set(tables.flatMap((table) => Object.keys(table)))];
  const common = states.filter((state) =>
    tables.some((table) => table[state] !== undefined && table[state] !== "rare"),
  );
  return {
    states,
    acceptedOfDangers: new Set([
      ...states,
      ...common.flatMap((state) => dangerNeighbours(character, state).filter((one) => !never.includes(one))),
    ]),
    acceptedOfSought: new Set([...states, ...states.flatMap((state) => soughtNeighbours(character, state))]),
  };
}

/** A pleasant smell that nobody can name says nothing; an unpleasant one is never evidence against a danger. */
export function saysNothing(state: string, sought: boolean): boolean {
  return state === "pleasant-unnamed" || (state === "unpleasant-unnamed" && !sought);
}

/** Makes the points that one look makes against the rows that it contradicts. */
export function pointsOf(tables: Tables, look: Look, age: Age | undefined): (row: number) => Point {
  const { character, body } = look;
  const { family } = definitionOf(character);
  const hardAnyway = isHardLook(character, age, look.states);
  const never = tables.never(character);
  const seenBits = bitsOf(character, look.states);
  const claimedBits = bitsOf(character, statesAtOnce(look));
  const seen = seenWords(look);
  const { words } = tables.column(character, age);
  return (row) => {
    let has = words[row];
    if (has === undefined) {
      has = listedWords(tables.sheets[row], character, age);
      words[row] = has;
    }
    const unseen = never?.[row] ?? 0;
    const hard = hardAnyway || (unseen !== 0 && ((seenBits & ~unseen) === 0 || (claimedBits & unseen) !== 0));
    return { family, character, body, hard, text: seen + has };
  };
}

const SEEN_WORDS = new WeakMap<Look, string>();

/** What was seen and where, the same for every sheet that it speaks against. */
function seenWords(look: Look): string {
  let words = SEEN_WORDS.get(look);
  if (words === undefined) {
    const seen = wordList(
      look.states.map((state) => stateWords(look.character, state)),
      "and",
    );
    words = `${CHARACTER_WORDS[look.character].plain}: ${seen}${look.body === "site" ? "" : ` on ${look.body}`}; `;
    SEEN_WORDS.set(look, words);
  }
  return words;
}

/** What a sheet lists of a character at an age. */
export function listedStates(sheet: Sheet, character: CharacterId, age: Age | undefined): readonly string[] {
  return listedAt(sheet, character, age)?.states ?? [];
}

/** What a kind has instead, with its name. */
function listedWords(sheet: Sheet | undefined, character: CharacterId, age: Age | undefined): string {
  const listed = sheet === undefined ? [] : listedStates(sheet, character, age);
  if (listed.length === 0) return `${theKind(sheet?.names.common ?? "kind")} never shows that`;
  const has = wordList(listed.slice(0, 4).map((state) => stateWords(character, state)));
  return `${theKind(sheet?.names.common ?? "kind")} has ${has}${listed.length > 4 ? " and others" : ""}`;
}

/** The use of a mask, with its reason. */
export function maskUse(mask: Mask, look: Look): MaskUse {
  return { mask: mask.id, character: look.character, body: look.body, why: mask.why, lift: mask.lift };
}
