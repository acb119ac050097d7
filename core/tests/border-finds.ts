/**
 * Finds at the border of the basket: laws about baskets are tried where one observation more or less decides.
 *
 * Each begins with a find that a sheet leads to expect and that comes to basket. Its lean form has lost every entry
 * that it can lose and still come to basket; one change then makes or breaks it.
 */
import fc from "fast-check";
import type { Entry } from "../find/entry.ts";
import type { Body, Find } from "../find/schema.ts";
import { definitionOf, WEARS } from "../find/vocabulary.ts";
import { judge } from "../judge/judge.ts";
import { rule } from "../judge/verdict.ts";
import { EVERYTHING_ALLOWED } from "../lint/lint.ts";
import { KEPT, typicalFind } from "../lint/typical.ts";
import { BODY_CHARACTERS } from "./arbitraries.ts";
import { SHIPPED } from "./shipped.ts";

export const verdictOn = (find: Find, shelf = SHIPPED) => rule(judge(find, shelf)).verdict;

const withSeen = (find: Find, bodyIndex: number, change: (seen: readonly Entry[]) => Entry[]): Find => ({
  ...find,
  bodies: find.bodies.map((body, index) => (index === bodyIndex ? { ...body, seen: change(body.seen ?? []) } : body)),
});

/** Strikes entry after entry for as long as the find stays in the basket. */
function lean(find: Find): Find {
  let best = find;
  find.bodies.forEach((body, bodyIndex) => {
    for (const entry of [...(body.seen ?? [])].reverse()) {
      const without = withSeen(best, bodyIndex, (seen) => seen.filter((one) => one.character !== entry.character));
      if (verdictOn(without) === "basket") best = without;
    }
  });
  return best;
}

let made: readonly { full: Find; lean: Find }[] | undefined;

/** Every kind whose expected find comes to basket, in full and lean. Made once: some seconds. */
export function basketFinds(): readonly { full: Find; lean: Find }[] {
  made ??= SHIPPED.sought.flatMap((sheet) => {
    if (sheet.tier === "inedible") return [];
    const full = KEPT.map((kept) => typicalFind(sheet, { rules: EVERYTHING_ALLOWED }, kept)).find(
      (find) => verdictOn(find) === "basket",
    );
    return full === undefined ? [] : [{ full, lean: lean(full) }];
  });
  return made;
}

const strange: fc.Arbitrary<Entry> = fc.constantFrom(...BODY_CHARACTERS).chain((character) =>
  fc.record({
    character: fc.constant(character),
    states: fc.constantFrom(...definitionOf(character).states).map((state) => [state]),
  }),
);

/** What is done to a find at the border: mostly nothing, else one small thing. */
type Change = (find: Find) => Find;
const changes: fc.Arbitrary<Change> = fc.oneof(
  { weight: 5, arbitrary: fc.constant<Change>((find) => find) },
  {
    weight: 2,
    arbitrary: fc.tuple(fc.nat(), strange).map(
      ([pick, entry]): Change =>
        (find) =>
          withSeen(find, pick % find.bodies.length, (seen) => [
            ...seen.filter((one) => one.character !== entry.character),
            entry,
          ]),
    ),
  },
  {
    weight: 1,
    arbitrary: fc.tuple(fc.nat(), fc.nat()).map(
      ([body, entry]): Change =>
        (find) =>
          withSeen(find, body % find.bodies.length, (seen) =>
            seen.filter((_one, index) => index !== entry % Math.max(1, seen.length)),
          ),
    ),
  },
  {
    weight: 1,
    arbitrary: fc.tuple(fc.nat(), fc.constantFrom(...WEARS)).map(
      ([pick, wear]): Change =>
        (find) => ({
          ...find,
          bodies: find.bodies.map(
            (body, index): Body => (index === pick % find.bodies.length ? { ...body, wear: [wear] } : body),
          ),
        }),
    ),
  },
  {
    weight: 1,
    arbitrary: fc
      .record({ rain24hMm: fc.constantFrom(0, 3, 12), airTempC: fc.constantFrom(3, 12), frostLastNight: fc.boolean() })
      .map(
        (weather): Change =>
          (find) => ({ ...find, weather: { ...find.weather, ...weather } }),
      ),
  },
);

/** A find at the border of the basket. More than a third of them are in it. */
export function borderFinds(): fc.Arbitrary<Find> {
  return fc.tuple(fc.nat(), fc.boolean(), changes).map(([pick, isLean, change]) => {
    const all = basketFinds();
    const one = all[pick % all.length];
    if (one === undefined) throw new Error("no expected find comes to basket");
    return change(isLean ? one.lean : one.full);
  });
}
