/** Sets of made finds: drawn by a word, put together by kind, read from a file. */
import { type Fault, faultsOf } from "@jittery-cap/core";
import { PRACTICE_SET_FORMAT, type PracticeSet, practiceSetSchema, type SetItem } from "@jittery-cap/core/trainer";

/** A set as a file. */
export const setFile = (name: string, items: readonly SetItem[]): string =>
  `${JSON.stringify({ format: PRACTICE_SET_FORMAT, version: 1, name, items } satisfies PracticeSet | object, null, 2)}\n`;

/** Reads a set. @returns the set, or what is wrong with it by the names of its fields */
export function readSet(text: string): PracticeSet | readonly Fault[] {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return [{ path: "(root)", message: "is no JSON" }];
  }
  const read = practiceSetSchema.safeParse(raw, { reportInput: true });
  return read.success ? read.data : faultsOf(read.error);
}

/** A set by a word: so many finds of the test that the word makes, deadly ones among them. */
export const someOf = (items: readonly SetItem[], finds: number): readonly SetItem[] => items.slice(0, finds);
