/** What a nose knows: a smell that somebody has never met counts as a guess, however sure it was told. */
import { CHARACTERS, type Change, type CharacterId } from "@jittery-cap/core";

export const SMELLS = CHARACTERS.smell.states;
export type Smell = (typeof SMELLS)[number];

/** Told without knowing a name: these need no experience. */
const UNNAMED: ReadonlySet<string> = new Set(["none", "pleasant-unnamed", "unpleasant-unnamed"]);

/** Smells that one has met or has not. */
export const NAMED_SMELLS = SMELLS.filter((smell) => !UNNAMED.has(smell));

export const isSmell = (character: CharacterId): boolean => character === "smell" || character === "smell-heated";

/** Whether all of these are known. @param known the smells that somebody has met; none: all of them */
export const knowsAll = (states: readonly string[], known: readonly string[]): boolean =>
  known.length === 0 || states.every((state) => UNNAMED.has(state) || known.includes(state));

/**
 * A change as the finder's own nose warrants it: a named smell that it has not met is unsure. Other observers carry their own
 * list with the find, which the judge weighs.
 */
export function byNose(change: Change, known: readonly string[]): Change {
  if (change.kind !== "observe" || change.by !== undefined || !isSmell(change.character)) return change;
  const entries = change.entries.map((entry) =>
    entry.states === undefined || knowsAll(entry.states, known) ? entry : { ...entry, sure: false },
  );
  return { ...change, entries };
}
