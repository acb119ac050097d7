/** Which dangers stand on the board, and what each family of evidence says of one. */
import { type DangerAnswer, definitionOf, type Family, isCharacterId } from "@jittery-cap/core";
import { distanceWords } from "../standing/distance-words.ts";
import type { MarkKind } from "./mark.tsx";

export type Danger = DangerAnswer;

/** Dangers on the board before it is unfolded, and at most so many of those that still stand. */
const ROWS = 7;
const NEAR_ROWS = 14;

/** What a family of evidence says of a danger: against (twice, hard or soft), masked, for, or nothing. */
export function markOf(danger: Danger, family: Family): MarkKind | undefined {
  const against = danger.points.filter((point) => point.family === family);
  if (against.some((point) => point.again === true)) return "twice";
  if (against.some((point) => point.hard)) return "hard";
  if (against.length > 0) return "soft";
  if (danger.masks.some((mask) => isCharacterId(mask.character) && definitionOf(mask.character).family === family))
    return "masked";
  return danger.speaksFor.some((sign) => sign.family === family) ? "for" : undefined;
}

/** The rows of the board. */
export interface BoardRows {
  readonly rows: readonly Danger[];
  /** The one whose evidence is told in words. */
  readonly current: Danger | undefined;
  /** What the others are, in words; undefined where there are none. */
  readonly folded: string | undefined;
}

/**
 * The near ones always stand on the board; of those that are ruled out the nearest few, so that the rest never drown them.
 * What a house rule sets aside stands last and says so: at the top its 0 would seem to belie the answer.
 */
export function boardRows(told: readonly Danger[], chosen: string | undefined, all: boolean): BoardRows {
  const dangers = [...told].sort((one, other) => Number(one.aside === true) - Number(other.aside === true));
  const current = dangers.find((danger) => danger.sheet === chosen) ?? dangers[0];
  const near = dangers.filter((danger) => danger.status !== "ruled-out" && danger.aside !== true);
  const shown = Math.min(dangers.length, Math.max(ROWS, Math.min(near.length, NEAR_ROWS)));
  const rows = all
    ? dangers
    : dangers.filter((danger, index) => index < shown || danger.sheet === current?.sheet || danger.aside === true);
  const folded = dangers.filter((danger) => !rows.includes(danger));
  return {
    rows,
    current,
    folded: folded.length === 0 ? undefined : `And ${folded.length} more, ${foldedWords(folded)}`,
  };
}

/** What the dangers off the board have in common: how near the nearest of them is. */
function foldedWords(folded: readonly Danger[]): string {
  const standing = folded.filter((danger) => danger.status !== "ruled-out").length;
  if (standing === folded.length) return "which stand as well";
  if (standing > 0) return `${standing} of which stand as well`;
  return `all ${distanceWords(Math.min(...folded.map((danger) => danger.mistakes)))} or farther`;
}
