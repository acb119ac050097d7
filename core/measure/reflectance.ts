/** What a patch throws back, by the two halves of the card beside it. */
import type { Linear } from "./colour.ts";

/** Reflectances that the two halves are taken for: printed black and plain paper; usual values, from memory. */
export const CARD = { white: 0.9, black: 0.025 } as const;

/** Reflectance of what is seen, 0 to 1 a channel and above where it is brighter than paper. All in linear light. */
export function reflectance(seen: Linear, white: Linear, black: Linear): Linear {
  return [
    scaled(seen[0], white[0], black[0]),
    scaled(seen[1], white[1], black[1]),
    scaled(seen[2], white[2], black[2]),
  ];
}

const scaled = (value: number, high: number, low: number): number =>
  Math.max(0, CARD.black + ((value - low) / Math.max(high - low, 1e-6)) * (CARD.white - CARD.black));
