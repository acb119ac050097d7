/** A sheet's statements in words: how often a state occurs, at which ages, and on what the statement rests. */
import { AGES, type Age, type Frequency, type Sheet, type StateTable } from "@jittery-cap/core";

export const FREQUENCY_WORDS: Readonly<Record<Frequency, string>> = {
  always: "always",
  usual: "usual",
  sometimes: "sometimes",
  rare: "rare",
};

/** The states of a character at some ages that share them. */
export interface AgedStates {
  /** Left out where every age is alike. */
  readonly ages?: readonly Age[];
  readonly states: readonly (readonly [state: string, frequency: Frequency])[];
}

/** The states of a character, ages that are alike taken together. */
export function agedStates(byAge: Readonly<Partial<Record<Age, StateTable>>>): AgedStates[] {
  const groups: { ages: Age[]; states: AgedStates["states"]; key: string }[] = [];
  for (const age of AGES) {
    const table = byAge[age];
    if (table === undefined) continue;
    const key = JSON.stringify(table);
    const known = groups.find((group) => group.key === key);
    if (known !== undefined) known.ages.push(age);
    else groups.push({ ages: [age], states: Object.entries(table), key });
  }
  return groups.map(({ ages, states }) => (ages.length === AGES.length ? { states } : { ages, states }));
}

/** What a statement of a sheet rests on: its own basis where it has one, else that of the whole sheet. */
export function basisOf(sheet: Sheet, statement: string): { readonly words: string; readonly own: boolean } {
  const [part = ""] = statement.split(".");
  const own = sheet.basis[statement] ?? sheet.basis[part];
  const basis = own ?? sheet.basis.default;
  const words =
    typeof basis === "object" ? basis.published : basis === "common-practice" ? "common practice" : "from memory";
  return { words, own: own !== undefined };
}
