/** Which dangers are drawn one by one, and which are folded by their distance, so that a hundred never drown the near. */
import type { Answer } from "@jittery-cap/core";

type Danger = Answer["dangers"][number];

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

/** Groups the dangers of an answer; their order, nearest and likeliest first, is kept. */
export function dangerGroups(dangers: readonly Danger[], drawnAtMost: number = DRAWN): DangerGroups {
  const standing = dangers.filter((danger) => danger.status !== "ruled-out");
  const cleared = dangers.filter((danger) => danger.status === "ruled-out");
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
