/** A print read by eye on both halves of the card: what each half may say, and when the two make a sure observation. */
import type { Entry } from "../find/entry.ts";

/** Pale prints show on the black half, dark ones on the white; those between show on both. */
const ONLY_ON_BLACK: ReadonlySet<string> = new Set(["white", "cream"]);
const ONLY_ON_WHITE: ReadonlySet<string> = new Set(["black", "purple-brown", "chocolate-brown"]);

/** What was seen on each half; undefined where nobody looked or nothing shows. */
export interface Halves {
  readonly black: string | undefined;
  readonly white: string | undefined;
}

/**
 * The observation of a print. Both halves the same: sure. One alone: sure only on the half that shows such a colour. Two
 * that differ are alternatives and unsure, save that a pale print cannot be told on white, nor a dark one on black, so
 * that half is passed over. @returns undefined where neither half was read
 */
export function printEntry({ black, white }: Halves): Entry | undefined {
  const onBlack =
    black !== undefined && white !== undefined && ONLY_ON_WHITE.has(white) && ONLY_ON_WHITE.has(black) ? white : black;
  const states = [...new Set([onBlack, white].filter((state) => state !== undefined))];
  const [only] = states;
  if (only === undefined) return undefined;
  if (states.length > 1) return { character: "spore-print", states, sure: false };
  const shows = (!ONLY_ON_BLACK.has(only) || black === only) && (!ONLY_ON_WHITE.has(only) || white === only);
  return { character: "spore-print", states: [only], ...(shows ? {} : { sure: false }) };
}
