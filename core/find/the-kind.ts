/** The name of a kind within a sentence: "the death cap", but "the prince" as it is. */
export const theKind = (common: string): string => (/^the\s/i.test(common) ? common : `the ${common}`);
