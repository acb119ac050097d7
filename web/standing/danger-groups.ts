/** Which dangers are drawn one by one, and which are folded by their distance, so that a hundred never drown the near. */
import type { ShownDanger } from "./shown-answer.ts";

type Danger = ShownDanger;

/** Near dangers that are drawn one by one. */
export const DRAWN = 6;

/** Dangers at one distance, folded together. */
export interface Fold {
  readonly mistakes: number;
  readonly dangers: readonly Danger[];
}

/** Dangers that are not past doubt: the first few to be drawn, the rest folded; and those past doubt, folded. */
export interface DangerGroups {
  readonly drawn: readonly Danger[];
  readonly near: readonly Fold[];
  readonly far: readonly Fold[];
  readonly nearCount: number;
  readonly farCount: number;
}

/** The gravest first among those at one distance. */
const GRAVITY: Readonly<Record<string, number>> = { deadly: 0, serious: 1, sickener: 2 };
/** What the house rule sets aside comes last: it is told, and hides nothing that counts. */
const byGravity = (one: Danger, other: Danger): number =>
  Number(one.aside === true) - Number(other.aside === true) ||
  one.mistakes - other.mistakes ||
  (GRAVITY[one.tier] ?? 0) - (GRAVITY[other.tier] ?? 0);

/** Groups the dangers of an answer: nearest first, of those the gravest, of those the likeliest. */
export function dangerGroups(dangers: readonly Danger[], drawnAtMost: number = DRAWN): DangerGroups {
  const standing = dangers.filter((danger) => danger.status !== "ruled-out").sort(byGravity);
  const cleared = dangers.filter((danger) => danger.status === "ruled-out").sort(byGravity);
  // a fold of one would hide a name behind its own count
  const drawn = standing.slice(0, standing.length === drawnAtMost + 1 ? drawnAtMost + 1 : drawnAtMost);
  return {
    drawn,
    near: folds(standing.slice(drawn.length)),
    far: folds(cleared),
    nearCount: standing.length,
    farCount: cleared.length,
  };
}

function folds(dangers: readonly Danger[]): Fold[] {
  const byDistance = new Map<number, Danger[]>();
  for (const danger of dangers) byDistance.set(danger.mistakes, [...(byDistance.get(danger.mistakes) ?? []), danger]);
  return [...byDistance].map(([mistakes, alike]) => ({ mistakes, dangers: alike }));
}

/** Whether two dangers are drawn alike: each answer brings new objects, and most of them say what the last one said. */
export function isDrawnAlike(one: Danger, other: Danger): boolean {
  return (
    one === other ||
    (one.sheet === other.sheet &&
      one.name === other.name &&
      one.scientific === other.scientific &&
      one.tier === other.tier &&
      one.mistakes === other.mistakes &&
      one.aside === other.aside &&
      one.strokes.join() === other.strokes.join())
  );
}
