/** One look weighed against every sheet at once, on the compiled tables. Same meaning as `agreementOf`, row by row. */
import type { Age } from "../find/vocabulary.ts";
import { askedBefore, bitsOf, type Column, neighbourBits, type Tables } from "../knowledge/tables.ts";
import type { Conditions } from "./body-conditions.ts";
import { agreementOf, saysNothing } from "./contradictions.ts";
import { type Look, statesAtOnce } from "./looks.ts";
import type { Mask } from "./mask-table.ts";
import { masksInForce } from "./masks.ts";

export const SILENT = 0;
export const AGREES = 1;
export const MASKED = 2;
export const CONTRADICTS = 3;
/** Contradicts by what this kind never shows. */
export const NEVER = 4;
/** How a look stands to each sheet, one byte a row. */
export type Weighing = Uint8Array;

const EVERYTHING = -1;
/** Whether a weighing speaks against a row. */
export const isAgainst = (kind: number | undefined): boolean => kind === CONTRADICTS || kind === NEVER;

const CODES = { silent: SILENT, agrees: AGREES, masked: MASKED, contradicts: CONTRADICTS } as const;

/**
 * Weighs a look against all rows. Sureness is not weighed here.
 * @param every whether every state seen must fit (asked of sought kinds) or any one is enough (granted to dangers, but for
 *   soft looks: see `statesAtOnce`)
 * @returns SILENT, AGREES, MASKED, CONTRADICTS or NEVER for each row
 */
export function weigh(
  tables: Tables,
  look: Look,
  age: Age | undefined,
  conditions: Conditions | undefined,
  every: boolean,
): Weighing {
  const column = tables.column(look.character, age);
  const masks = masksInForce(look, conditions);
  const ownMasked = conditions === undefined ? NO_ROWS : tables.withOwnMasks(look.character);
  const weighAll = () => weighColumn(tables, column, look, masks, every);
  if (ownMasked.length === 0) {
    const key = `${every ? "sought" : "danger"} ${look.body === "site"} ${bitsOf(look.character, look.states)} ${masks.map((mask) => mask.id).join()}`;
    return askedBefore(column, key, () => markedNever(tables, look, weighAll(), every, masks));
  }
  const weighing = markedNever(tables, look, weighAll(), every, masks);
  for (const row of ownMasked) {
    const sheet = tables.sheets[row];
    if (sheet === undefined || !isAgainst(weighing[row])) continue;
    const { kind } = agreementOf(sheet, look, age, conditions, every);
    if (kind !== "contradicts") weighing[row] = CODES[kind];
  }
  return weighing;
}

const NO_ROWS: readonly number[] = [];

/** Weighs a look against a column, without the masks that single sheets have of their own. */
function weighColumn(tables: Tables, column: Column, look: Look, masks: readonly Mask[], every: boolean): Weighing {
  if (every)
    return look.body !== "site" && look.states.length > 1
      ? weighEvery(column, look, masks)
      : weighAny(column, look, masks, true, undefined);
  const nevers = tables.never(look.character);
  const weighing = weighAny(column, look, masks, false, nevers);
  weighEach(weighing, column, look, masks, nevers);
  return weighing;
}

/** Weighs again the rows that one of several states seen at once fits: by the one that fits them least. */
function weighEach(
  weighing: Weighing,
  { listed, common }: Column,
  look: Look,
  masks: readonly Mask[],
  nevers: Int32Array | undefined,
): void {
  const claims = statesAtOnce(look).map((state) => ({
    seen: bitsOf(look.character, [state]),
    near: neighbourBits(look.character, state, false),
    hiding: hidingBits(look, state, masks),
  }));
  if (claims.length === 0) return;
  for (let row = 0; row < weighing.length; row += 1) {
    if (weighing[row] !== AGREES && weighing[row] !== MASKED) continue;
    const set = listed[row] ?? 0;
    const never = nevers?.[row] ?? 0;
    for (const { seen, near, hiding } of claims) {
      if ((set & seen) !== 0 || ((never & seen) === 0 && ((common[row] ?? 0) & near) !== 0)) continue;
      weighing[row] = Math.max(weighing[row] ?? SILENT, (set & hiding) !== 0 ? MASKED : CONTRADICTS);
    }
  }
}

/**
 * Marks, of dangers, the rows that never show any of the states seen: also those that say nothing else of the character, or
 * nothing at this age, unless a mask is in force that could make the states seen out of others. Of states seen at once, each
 * of which is a claim, one that a contradicted row never shows is enough.
 */
function markedNever(tables: Tables, look: Look, weighing: Weighing, every: boolean, masks: readonly Mask[]): Weighing {
  const never = every ? undefined : tables.never(look.character);
  if (never === undefined) return weighing;
  const seen = bitsOf(look.character, look.states);
  const claimed = bitsOf(look.character, statesAtOnce(look));
  const isMade = look.states.some((state) => hidingBits(look, state, masks) !== 0);
  for (let row = 0; row < weighing.length; row += 1) {
    const kind = weighing[row];
    const set = never[row] ?? 0;
    const isNever = (seen & ~set) === 0;
    if (kind === CONTRADICTS ? isNever || (claimed & set) !== 0 : kind === SILENT && isNever && !isMade)
      weighing[row] = NEVER;
  }
  return weighing;
}

/**
 * Any one state that fits is enough.
 * @param nevers of dangers: what each row never shows, and what is therefore taken for nothing that it does show
 */
function weighAny(
  { listed, common }: Column,
  look: Look,
  masks: readonly Mask[],
  sought: boolean,
  nevers: Int32Array | undefined,
): Weighing {
  let agreeing = 0;
  let near = 0;
  let hiding = 0;
  for (const state of look.states) {
    agreeing |= saysNothing(state, sought) ? EVERYTHING : bitsOf(look.character, [state]);
    near |= neighbourBits(look.character, state, sought);
    hiding |= hidingBits(look, state, masks);
  }
  // what a sheet calls rare has no neighbours; of a sought kind every listed state has
  const having = sought ? listed : common;
  const weighing = new Uint8Array(listed.length);
  for (let row = 0; row < listed.length; row += 1) {
    const set = listed[row] ?? 0;
    if (set !== 0)
      weighing[row] =
        (set & agreeing) !== 0 || ((having[row] ?? 0) & near) !== 0
          ? AGREES
          : (set & hiding) !== 0
            ? MASKED
            : CONTRADICTS;
  }
  if (nevers !== undefined) takeNothingFor(nevers, look, weighing, { listed, common }, agreeing, hiding);
  return weighing;
}

/** Weighs again the dangers that never show one of the states seen: it is taken for nothing that they do show. */
function takeNothingFor(
  nevers: Int32Array,
  look: Look,
  weighing: Uint8Array,
  { listed, common }: Pick<Column, "listed" | "common">,
  agreeing: number,
  hiding: number,
): void {
  const seen = bitsOf(look.character, look.states);
  for (let row = 0; row < weighing.length; row += 1) {
    const never = nevers[row] ?? 0;
    if ((never & seen) === 0 || weighing[row] !== AGREES) continue;
    const set = listed[row] ?? 0;
    if ((set & agreeing) !== 0 || ((common[row] ?? 0) & neighboursBeside(look, never)) !== 0) continue;
    weighing[row] = (set & hiding) !== 0 ? MASKED : CONTRADICTS;
  }
}

/** What a danger may have been taken for: the neighbours of the states seen, but of those that it never shows. */
function neighboursBeside(look: Look, never: number): number {
  let near = 0;
  for (const state of look.states)
    if ((bitsOf(look.character, [state]) & never) === 0) near |= neighbourBits(look.character, state, false);
  return near;
}

/** Every state has to fit, or to be reached through a mask. */
function weighEvery({ listed }: Column, look: Look, masks: readonly Mask[]): Weighing {
  const states = look.states.map((state) => ({
    agreeing: saysNothing(state, true)
      ? EVERYTHING
      : bitsOf(look.character, [state]) | neighbourBits(look.character, state, true),
    hiding: hidingBits(look, state, masks),
  }));
  const weighing = new Uint8Array(listed.length);
  for (let row = 0; row < listed.length; row += 1) {
    const set = listed[row] ?? 0;
    if (set === 0) continue;
    let kind: number = AGREES;
    for (const { agreeing, hiding } of states) {
      if ((set & agreeing) !== 0) continue;
      kind = (set & hiding) !== 0 ? MASKED : CONTRADICTS;
      if (kind === CONTRADICTS) break;
    }
    weighing[row] = kind;
  }
  return weighing;
}

/** The true states out of which a mask in force could have made the state seen. */
function hidingBits(look: Look, state: string, masks: readonly Mask[]): number {
  let bits = 0;
  for (const mask of masks)
    if (mask.to === undefined || mask.to.includes(state))
      bits |= mask.from === undefined ? EVERYTHING : bitsOf(look.character, mask.from);
  return bits;
}
