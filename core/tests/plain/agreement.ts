/** How a look stands to a sheet, worked out the plain, slow way: the oracle for the one that remembers. */

import { dangerNeighbours, soughtNeighbours } from "../../find/neighbours.ts";
import { AGES, type Age, definitionOf } from "../../find/vocabulary.ts";
import type { Conditions } from "../../judge/body-conditions.ts";
import type { Agreement } from "../../judge/contradictions.ts";
import type { Look } from "../../judge/looks.ts";
import { MASKS } from "../../judge/mask-table.ts";
import { canHide, ownMasksInForce } from "../../judge/masks.ts";
import type { Sheet } from "../../knowledge/sheet.ts";

/** Reads every table anew and asks every mask. Same meaning as `agreementOf`. */
export function plainAgreement(
  sheet: Sheet,
  look: Look,
  age: Age | undefined,
  conditions: Conditions | undefined,
  every: boolean,
): Agreement {
  const inForce = [
    ...MASKS.filter(
      (mask) => conditions !== undefined && mask.characters.includes(look.character) && mask.inForce(conditions, look),
    ),
    ...ownMasksInForce(sheet, look, conditions),
  ];
  const isNever = (state: string) =>
    sheet.never.some((one) => one.character === look.character && one.states.includes(state));
  const truths: string[] = [];
  const common: string[] = [];
  for (const one of age === undefined ? AGES : [age]) {
    const table = sheet.characters[look.character]?.[one];
    if (table === undefined) {
      const isMade = inForce.some(({ to }) => look.states.some((state) => to === undefined || to.includes(state)));
      return { kind: !every && look.states.every(isNever) && !isMade ? "contradicts" : "silent" };
    }
    truths.push(...Object.keys(table));
    common.push(...Object.entries(table).flatMap(([state, often]) => (often === "rare" ? [] : [state])));
  }
  const isPlain = (state: string): boolean => {
    if (state === "pleasant-unnamed") return true;
    if (state === "unpleasant-unnamed" && !every) return true;
    if (truths.includes(state)) return true;
    if (every) return truths.some((truth) => soughtNeighbours(look.character, truth).includes(state));
    // what a danger never shows is taken for nothing that it does, and what its sheet calls rare has no neighbours
    if (isNever(state)) return false;
    return common.some((truth) => dangerNeighbours(look.character, truth).includes(state));
  };
  const masksFor = (state: string) => inForce.filter((mask) => truths.some((truth) => canHide(mask, truth, state)));
  const through = (states: readonly string[]): Agreement => {
    const hidden = states.filter((state) => !isPlain(state)).map(masksFor);
    return hidden.length === 0
      ? { kind: "agrees" }
      : { kind: "masked", masks: inForce.filter((mask) => hidden.some((used) => used.includes(mask))) };
  };
  const isOdd = (state: string) => !isPlain(state) && masksFor(state).length === 0;
  if (every && look.body !== "site") return look.states.some(isOdd) ? { kind: "contradicts" } : through(look.states);
  if (look.states.every(isOdd)) return { kind: "contradicts" };
  const claims = every ? [] : plainClaims(look);
  if (claims.some(isOdd)) return { kind: "contradicts" };
  return claims.every(isPlain) && look.states.some(isPlain)
    ? { kind: "agrees" }
    : through(claims.length > 0 ? claims : look.states);
}

/** Of a danger, the shades and shapes that are there at once are each a claim; a bare ground beside another is none. */
export function plainClaims({ character, body, states }: Look): readonly string[] {
  const { many, hard } = definitionOf(character);
  const isClaimed = body !== "site" && states.length > 1 && many && !hard && !UNCLAIMED.includes(character);
  return isClaimed ? states.filter((state) => !["none", "plain", "smooth", "silky"].includes(state)) : [];
}

/** Of these one fitting state keeps the danger standing, whatever is told beside it. */
const UNCLAIMED: readonly string[] = ["smell", "smell-heated", "gill-colour", "cap-shape"];
