/** What a touch moved: the dangers that came nearer or went farther, and the answer if it turned. */
import { distanceWords } from "../standing/distance-words.ts";
import type { ShownAnswer } from "../standing/shown-answer.ts";

const NAMED = 2;

/** As much of an answer as is compared. */
interface Told extends Pick<ShownAnswer, "id" | "verdict"> {
  readonly dangers: readonly Pick<ShownAnswer["dangers"][number], "sheet" | "name" | "mistakes">[];
}

/** One line, or undefined where nothing moved. Nearer dangers are named before those that went. */
export function whatChanged(before: Told | undefined, after: Told): string | undefined {
  if (before === undefined || before.id !== after.id) return undefined;
  const was = new Map(before.dangers.map((danger) => [danger.sheet, danger.mistakes]));
  const moved = after.dangers.flatMap((danger) => {
    const from = was.get(danger.sheet) ?? danger.mistakes;
    return from === danger.mistakes ? [] : [{ danger, nearer: danger.mistakes < from }];
  });
  moved.sort((one, other) => Number(other.nearer) - Number(one.nearer) || one.danger.mistakes - other.danger.mistakes);
  const named = moved.slice(0, NAMED).map(({ danger }) => `${danger.name}: now ${distanceWords(danger.mistakes)}`);
  const more = moved.length - named.length;
  const turned = before.verdict === after.verdict ? [] : [`the answer is now ${after.verdict}`];
  const parts = [...turned, ...named, ...(more > 0 ? [`${more} more moved`] : [])];
  return parts.length === 0 ? "moved no danger" : parts.join(" · ");
}
