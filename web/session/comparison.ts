/** A find checked against one danger: only what separates the two is asked. */
import type { Find } from "@jittery-cap/core";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import { askShelf } from "../worker/judge.ts";

/** The one danger that the find is checked against, with the characters that separate it from what this seems to be. */
export interface Against {
  readonly sheet: string;
  readonly name: string;
  /** What the find seems to be; undefined where nothing fits yet, and all that moves the danger is asked. */
  readonly beside: string | undefined;
  readonly characters: ReadonlySet<string>;
}

/** A soft character tells two kinds apart if one look at it settles the matter at least so often; ours. */
const TELLING = 0.5;

/** What separates a danger from what the find seems to be. @returns undefined where nothing does: then nothing is left out */
export async function comparisonWith(sheet: string, find: Find, answer: ShownAnswer): Promise<Against | undefined> {
  const danger = answer.dangers.find((one) => one.sheet === sheet);
  if (danger === undefined) return undefined;
  const seems = answer.candidates.find((one) => one.fits && one.tier !== "inedible")?.sheet ?? find.takenFor;
  const compared =
    seems === undefined
      ? undefined
      : await askShelf((remote) => remote.compare(seems, danger.sheet)).catch(() => undefined);
  const telling = compared?.differences.filter((one) => one.hard || one.power >= TELLING).map((one) => one.character);
  const characters = new Set<string>(telling ?? movedBy(sheet, answer));
  return characters.size === 0 ? undefined : { sheet, name: danger.name, beside: compared?.one.common, characters };
}

const movedBy = (sheet: string, { atStake }: ShownAnswer): string[] =>
  Object.entries(atStake).flatMap(([character, by]) => (by.includes(sheet) ? [character] : []));
