/** Whether a look agrees with a sheet, contradicts it, or is hidden from saying either. */

import { AGES, type Age, areNeighbours, definitionOf, type Family, HARD_FAMILIES } from "../find/vocabulary.ts";
import { CHARACTER_WORDS, stateWords, wordList } from "../find/words.ts";
import type { AgeTable, Sheet, StateTable } from "../knowledge/sheet.ts";
import type { Look } from "./looks.ts";
import { type Conditions, canHide, type Mask, masksInForce } from "./masks.ts";

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
 * @param every whether every state seen must fit (asked of what is sought) or any one is enough (granted to dangers
 *   and to site characters, where several things are true of one place)
 */
export function agreementOf(
  sheet: Sheet,
  look: Look,
  age: Age | undefined,
  conditions: Conditions | undefined,
  every: boolean,
): Agreement {
  const tables = tablesAt(sheet.characters[look.character], age);
  if (tables.length === 0) return SILENT;
  const used: Mask[] = [];
  let masks: readonly Mask[] | undefined;
  const fits = (state: string): boolean => {
    if (fitsPlainly(tables, state, every)) return true;
    masks ??= masksInForce(look, conditions);
    const hiding = masks.filter((mask) =>
      tables.some((table) => Object.keys(table).some((truth) => canHide(mask, truth, state))),
    );
    used.push(...hiding);
    return hiding.length > 0;
  };
  const all = every && look.body !== "site";
  const agreed = all
    ? look.states.every(fits)
    : look.states.some((state) => fitsPlainly(tables, state, every)) || look.states.some(fits);
  if (!agreed) return CONTRADICTS;
  return used.length > 0 ? { kind: "masked", masks: [...new Set(used)] } : AGREES;
}

/** The tables that may hold; a body of unknown age may be of any, and an age without a table says nothing. */
function tablesAt(byAge: AgeTable | undefined, age: Age | undefined): readonly StateTable[] {
  if (byAge === undefined) return [];
  if (age !== undefined) {
    const table = byAge[age];
    return table === undefined ? [] : [table];
  }
  const tables = AGES.map((one) => byAge[one]).filter((table) => table !== undefined);
  return tables.length < AGES.length ? [] : tables;
}

/** A pleasant smell that nobody can name says nothing; an unpleasant one is never evidence against a danger. */
function fitsPlainly(tables: readonly StateTable[], state: string, sought: boolean): boolean {
  if (state === "pleasant-unnamed" || (state === "unpleasant-unnamed" && !sought)) return true;
  return tables.some((table) => state in table || Object.keys(table).some((truth) => areNeighbours(truth, state)));
}

/** The point that a contradicting look makes. */
export function pointOf(sheet: Sheet, look: Look, age: Age | undefined): Point {
  const { family } = definitionOf(look.character);
  const listed = [...new Set(tablesAt(sheet.characters[look.character], age).flatMap((table) => Object.keys(table)))];
  const seen = wordList(
    look.states.map((state) => stateWords(look.character, state)),
    "and",
  );
  const has = wordList(listed.slice(0, 4).map((state) => stateWords(look.character, state)));
  const where = look.body === "site" ? "" : ` on ${look.body}`;
  return {
    family,
    character: look.character,
    body: look.body,
    hard: HARD_FAMILIES.has(family),
    text: `${CHARACTER_WORDS[look.character].plain}: ${seen}${where}; the ${sheet.names.common} has ${has}${listed.length > 4 ? " and others" : ""}`,
  };
}

/** The use of a mask, with its reason. */
export function maskUse(mask: Mask, look: Look): MaskUse {
  return { mask: mask.id, character: look.character, body: look.body, why: mask.why, lift: mask.lift };
}
