/** The one figure, in words. */

const WORDS = ["nothing speaks against it", "1 mistake away"];

/** "nothing speaks against it", "1 mistake away", "3 mistakes away". */
export function distanceWords(mistakes: number): string {
  return WORDS[mistakes] ?? `${mistakes} mistakes away`;
}
