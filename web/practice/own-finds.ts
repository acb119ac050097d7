/** One's own past finds as exercises: months old, looked at enough, and shown without what became of them. */
import { type Find, findSchema } from "@jittery-cap/core";
import { chanceOf, pickSome } from "@jittery-cap/core/trainer";

/** So old that nobody knows the answer by heart, ms. */
const OLD_MS = 60 * 86_400_000;
/** Fewer looks than this are no record to judge by. */
const FEWEST_LOOKS = 5;

/** Without its name, what it was taken for and what became of it: they would tell the answer. */
export function uncoloured(find: Find): Find {
  const { label: _label, takenFor: _takenFor, note: _note, bodies, ...rest } = find;
  return { ...rest, bodies: bodies.map(({ ending: _ending, note: _own, ...body }) => body) };
}

/** Finds that may be judged anew, in an order by chance. @param tried ids of those that were judged lately */
export function pastFinds(
  finds: readonly Find[],
  now: number,
  tried: ReadonlySet<string>,
  seed: string,
): readonly Find[] {
  const old = finds.filter(
    ({ id, foundAt, bodies }) =>
      foundAt !== undefined &&
      now - Date.parse(foundAt) >= OLD_MS &&
      !tried.has(id) &&
      bodies.reduce((sum, { seen = [] }) => sum + seen.length, 0) >= FEWEST_LOOKS,
  );
  return pickSome(chanceOf(seed, "own"), old, old.length).map((find) => findSchema.parse(uncoloured(find)));
}
