/** How much to pick for a table: from what of it reached the pot at the person's own meals. */
import { PORTION_GRAMS } from "./eaters.ts";

/** What of the picked weight is left after cleaning, before any own weighing. Common practice, no source. */
const USUAL_LEFT = 0.75;
/** The rule is worth so many own weighings. */
const RULE_COUNTS = 2;

export interface Cleaned {
  readonly gramsPicked: number;
  readonly gramsCleaned: number;
}

export interface Need {
  /** To be picked, grams, rounded up to ten. */
  readonly grams: number;
  /** What share of the picked weight reaches the pot, by own weighings and the rule. */
  readonly left: number;
  readonly weighings: number;
}

/** What share of the picked weight is left after cleaning. */
export function leftAfterCleaning(own: readonly Cleaned[]): Pick<Need, "left" | "weighings"> {
  const sound = own.filter(({ gramsPicked, gramsCleaned }) => gramsCleaned > 0 && gramsPicked >= gramsCleaned);
  const shares = sound.reduce((sum, one) => sum + one.gramsCleaned / one.gramsPicked, 0);
  return { left: (RULE_COUNTS * USUAL_LEFT + shares) / (RULE_COUNTS + sound.length), weighings: sound.length };
}

/** How much to pick of a kind for so many people. @param people those who may have a whole portion */
export function needFor(people: number, isSmallPortion: boolean, own: readonly Cleaned[]): Need {
  const { left, weighings } = leftAfterCleaning(own);
  const portion = isSmallPortion ? PORTION_GRAMS.small : (PORTION_GRAMS.least + PORTION_GRAMS.meal) / 2;
  return { grams: Math.ceil((people * portion) / left / 10) * 10, left, weighings };
}
