/** Generated sheets: shipped ones with whole characters exchanged between them, so that they stay plausible. */
import { CHARACTER_IDS, type Knowledge, type Sheet, shelve } from "@jittery-cap/core";
import { uniformInt } from "pure-rand/distribution/uniformInt";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

/** How many of ten characters are taken from another sheet. */
const EXCHANGED_OF_TEN = 3;

/** A shelf of that many generated sheets; equal seeds, equal shelves. */
export function generatedShelf(shipped: Knowledge, count: number, seed: number): Knowledge {
  const random = xoroshiro128plus(seed);
  const below = (limit: number) => uniformInt(random, 0, limit - 1);
  const pick = (): Sheet => {
    const sheet = shipped.sheets[below(shipped.sheets.length)];
    if (sheet === undefined) throw new Error("an empty shelf");
    return sheet;
  };
  return shelve(
    Array.from({ length: count }, (_unused, index): Sheet => {
      const base = pick();
      const characters = Object.fromEntries(
        CHARACTER_IDS.map((id) => [id, (below(10) < EXCHANGED_OF_TEN ? pick() : base).characters[id]]),
      );
      return { ...base, id: `generated-${String(index).padStart(5, "0")}`, characters };
    }),
  );
}
