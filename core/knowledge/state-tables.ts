/** How often the states of a character occur, and at which ages. */
import { AGES, type Age } from "../find/vocabulary.ts";

/** How often a state occurs; a state that is not listed never does. */
export const FREQUENCIES = ["always", "usual", "sometimes", "rare"] as const;
export type Frequency = (typeof FREQUENCIES)[number];

/** States with their frequencies. */
export type StateTable = Readonly<Record<string, Frequency>>;
/** A character's states at each age; an age that is left out says nothing. */
export type AgeTable = Readonly<Partial<Record<Age, StateTable>>>;

/** The state tables of a character at the given ages (all ages when left out). */
export function tablesOf(table: AgeTable | undefined, ages: readonly Age[] | undefined): readonly StateTable[] {
  if (table === undefined) return [];
  return (ages ?? AGES).map((age) => table[age]).filter((states) => states !== undefined);
}
