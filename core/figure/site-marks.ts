/** Small drawings of the ground, the trees and the way a troop stands. */
import type { CharacterId } from "../find/vocabulary.ts";
import { growthMark } from "./growth-marks.ts";
import { habitatMark } from "./habitat-marks.ts";
import { leafMark } from "./leaf-marks.ts";
import type { Figure } from "./shapes.ts";
import { substrateMark } from "./substrate-marks.ts";

/** The drawing of one state of the site, or undefined for a character that has none. */
export function siteMarkOf(character: CharacterId, state: string): Figure | undefined {
  switch (character) {
    case "growth":
      return growthMark(state);
    case "substrate":
      return substrateMark(state);
    case "host":
      return leafMark(state);
    case "habitat":
      return habitatMark(state);
    default:
      return undefined;
  }
}
