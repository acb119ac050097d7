/** A plan as it is told: tests in their order, and what no test settles. */
import type { Age, CharacterId } from "../find/vocabulary.ts";
import type { Measure } from "../knowledge/tables.ts";

/** One step of the plan. */
export interface PlannedTest {
  readonly test: string;
  readonly text: string;
  readonly body?: string;
  readonly minutes: number;
  readonly waitHours: number;
  readonly destroys: boolean;
  /** Dangers that it would move one mistake farther away. */
  readonly movesAway: readonly string[];
  /** The one thing that it opens: unanswered so far, unsure, or hidden. A character, a measure, or a body's age. */
  readonly opens: Opens;
  /** Musts of the supposed kind that it would show, in words. */
  readonly shows: readonly string[];
}

/** What a test opens. Without a body: on a further one, or on the site. */
export interface Opens {
  readonly body?: string;
  readonly character: CharacterId | Measure | "age";
}

/** What would help beyond the bodies at hand: another body, another day, or somebody with a microscope. */
export interface Further {
  readonly text: string;
  readonly age?: Age;
  /** Bodies without which the others come to the basket. */
  readonly leaveOut?: readonly string[];
}

/** A danger that no test here can bring far enough away today, and why. */
export interface CannotSettle {
  readonly sheet: string;
  readonly body: string;
  readonly why: string;
}

export interface Plan {
  /** The kind that the find seems to be, which the plan supposes. */
  readonly supposing?: string;
  readonly tests: readonly PlannedTest[];
  readonly minutes: number;
  readonly waitHours: number;
  readonly cannotSettle: readonly CannotSettle[];
  /** Where the bodies at hand do not settle it: what else would. */
  readonly further: readonly Further[];
  /** Where no test is left: why nothing here helps. */
  readonly nothingHelps?: string;
}
