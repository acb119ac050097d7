/** Reasons as data: a code that stays, what it is about, and its sentence, which the words of the answer give. */

/** The codes of all reasons that a verdict can give: of the find, of its ground, of a body. They stay, whatever the words. */
export const REASON_CODES = [
  // of the distances and of what fits
  "dangers-stand",
  "only-dangers-fit",
  "unknown-kind",
  "near-fit",
  "musts-missing",
  "doubt",
  "nothing-kept-fits",
  "nothing-kept",
  "inedible-fits",
  "refused-kind-fits",
  "house-rule",
  "species-open",
  "one-feature",
  "all-ruled-out",
  // of time, place and ground
  "out-of-season",
  "out-of-region",
  "out-of-height",
  "frost-open",
  "unclean-ground",
  // of the state of a body
  "mushy",
  "soft",
  "sodden",
  "frosted",
  "dried-out",
  "riddled",
  "larvae",
  "print-pending",
  "other-body-stops",
  "base-lost",
  "only-buttons",
  // signs of which each is enough
  "white-gills-with-ring-or-foot",
  "sac-with-pale-cap",
  "embryo-or-dark-inside",
  "chrome-at-the-foot",
  "ink-smell",
  "green-spores",
  "unpleasant-smell",
  "red-pores-or-strong-blue",
  "small-brown-on-wood",
  "greenish-gills-in-cluster",
  "rust-print-with-cobweb",
  "small-pale-funnel",
] as const;
export type ReasonCode = (typeof REASON_CODES)[number];

/** One reason, with a code that stays and a text for people. */
export interface Reason {
  readonly code: ReasonCode;
  readonly text: string;
  readonly body?: string;
  readonly sheets?: readonly string[];
}
