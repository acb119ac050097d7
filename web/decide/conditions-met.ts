/** Which conditions of an answer are met by what other people and books said. */
import { type ConditionCode, compareLooks, type Find, type WitnessKind, type WitnessLook } from "@jittery-cap/core";

/** What of a witness matters here. */
interface Said {
  readonly kind: WitnessKind;
  readonly agrees?: boolean | undefined;
  readonly looks: readonly WitnessLook[];
}

/** Books that have to agree, each with every feature. */
const BOOKS = 2;

/**
 * A second person counts with the specimen in hand, and only while none of their looks differs from the finder's: no picture,
 * nobody simulated. Books count while none of them disagrees.
 */
export function conditionsMet(find: Find, witnesses: readonly Said[]): ReadonlySet<ConditionCode> {
  const met = new Set<ConditionCode>();
  const hands = witnesses.filter((one) => one.kind === "in-hand");
  const differ = hands.some((one) => compareLooks(find, one.looks).some((look) => look.relation === "differs"));
  if (hands.length > 0 && !differ) met.add("second-person");
  const books = witnesses.filter((one) => one.kind === "book");
  if (books.length >= BOOKS && books.every((one) => one.agrees === true)) met.add("two-books");
  return met;
}
