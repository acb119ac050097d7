/** Sets of evidence families as small integers, one bit each. */
import { type CharacterId, definitionOf, FAMILIES, type Family } from "../find/vocabulary.ts";

/** The bit of a family. */
export function familyBit(family: Family): number {
  return 1 << FAMILIES.indexOf(family);
}

const BY_CHARACTER = new Map<CharacterId, number>();

/** The family bit of a character. */
export function familyBitOf(character: CharacterId): number {
  let bit = BY_CHARACTER.get(character);
  if (bit === undefined) {
    bit = familyBit(definitionOf(character).family);
    BY_CHARACTER.set(character, bit);
  }
  return bit;
}
