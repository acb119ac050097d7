/** The three answers as the screens say them. */
import type { Verdict } from "@jittery-cap/core";

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  leave: "Leave it",
  hold: "Hold",
  basket: "Basket",
};
