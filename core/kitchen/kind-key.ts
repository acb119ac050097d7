/** One name for kinds that stand for each other. */
export const kindKey = (kinds: readonly string[]): string => [...kinds].sort().join("+");
