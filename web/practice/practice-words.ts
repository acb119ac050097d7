/** How practice tells times, shares and what is due. */
import type { Share, TakenLook, Today } from "@jittery-cap/core/trainer";

/** How it stands, in a sentence or two. */
export function standsWords({ due, fresh, daysAway, daysToCatchUp }: Today, tries: number): string {
  if (tries === 0)
    return "Ten minutes a day are enough. Mistakes made here hurt nobody; what goes wrong comes back until it does not.";
  const away =
    daysAway !== undefined && daysAway > 30
      ? `You were away for ${Math.round(daysAway / 30)} months; nothing is lost. `
      : "";
  const catchUp = daysToCatchUp > 1 ? ` At ten minutes a day that is caught up in ${daysToCatchUp} days.` : "";
  const dueWords = due === 0 ? "Nothing is due." : `${due} ${due === 1 ? "thing is" : "things are"} due.`;
  const freshWords = fresh === 0 ? "" : ` ${fresh} new ${fresh === 1 ? "one" : "ones"} today at the most.`;
  return `${away}${dueWords}${catchUp}${freshWords}`;
}

/** A share in words; nothing is told from a few. */
export const shareWords = ({ some, of, isTold, low, high }: Share): string =>
  isTold ? `${some} of ${of}, that is ${percent(low)} to ${percent(high)} of 100` : `${some} of ${of}, too few to tell`;
const percent = (share: number): string => String(Math.round(share * 100));

/** Minutes, or a night, in words. */
export function costWords({ minutes, waitHours }: Pick<TakenLook, "minutes" | "waitHours">): string {
  if (waitHours >= 6) return "a night";
  if (minutes === 0) return "";
  return minutes < 1 ? "half a minute" : `${minutes} min`;
}
