/** What one would see if the find is what it seems to be. */
import { isMoot } from "../find/moot.ts";
import type { Body, Measures } from "../find/schema.ts";
import type { CharacterId } from "../find/vocabulary.ts";
import type { Look } from "../judge/looks.ts";
import type { BodyScene } from "../judge/scene.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { FREQUENCIES, type StateTable, tablesOf } from "../knowledge/state-tables.ts";

const NOWHERE: ReadonlySet<string> = new Set();

/** A young body's measures against a grown one's (memory). */
export const YOUNG_SHARE = 0.7;

/**
 * The look that a sheet leads to expect: what another body of the find shows already, else a state that its musts ask
 * for, else the commonest; none where it is silent, or where the body's underside makes the character moot.
 * @param elsewhere states surely seen of this character on other bodies
 */
export function expectedLook(
  supposed: Sheet,
  character: CharacterId,
  body: (Pick<BodyScene, "body"> & Partial<Pick<BodyScene, "looks">>) | undefined,
  heated: boolean,
  elsewhere: ReadonlySet<string> = NOWHERE,
): Look[] {
  const underside = body?.looks?.get("underside");
  if (underside?.sure === true && isMoot(character, underside.states)) return [];
  const age = body?.body.age;
  const state =
    elsewhere.size === 0 ? expectedAlone(supposed, character, age) : expectedState(supposed, character, age, elsewhere);
  return state === undefined
    ? []
    : [{ character, body: body?.body.id ?? "site", states: [state], sure: true, heated, repeated: false }];
}

const ALONE = new WeakMap<Sheet, Map<string, string | undefined>>();

/** The same where nothing was seen on other bodies: worked out once a sheet. */
function expectedAlone(supposed: Sheet, character: CharacterId, age: Body["age"]): string | undefined {
  const known = ALONE.get(supposed) ?? new Map<string, string | undefined>();
  ALONE.set(supposed, known);
  const key = `${character} ${age ?? ""}`;
  if (!known.has(key)) known.set(key, expectedState(supposed, character, age, NOWHERE));
  return known.get(key);
}

function expectedState(
  supposed: Sheet,
  character: CharacterId,
  age: Body["age"],
  elsewhere: ReadonlySet<string>,
): string | undefined {
  const tables = tablesOf(supposed.characters[character], age === undefined ? undefined : [age]);
  const asked = new Set<string>();
  for (const must of supposed.musts)
    for (const way of must.ways)
      for (const clause of way) if (clause.character === character) for (const one of clause.states) asked.add(one);
  return (
    commonest(tables, (one) => elsewhere.has(one) && (asked.size === 0 || asked.has(one))) ??
    commonest(tables, (one) => asked.has(one)) ??
    commonest(tables, () => true)
  );
}

/** The state of the highest frequency, the first listed of several. */
function commonest(tables: readonly StateTable[], counts: (state: string) => boolean): string | undefined {
  let best: string | undefined;
  let rank: number = FREQUENCIES.length;
  for (const table of tables)
    for (const [state, frequency] of Object.entries(table)) {
      const at = FREQUENCIES.indexOf(frequency);
      if (at >= rank || !counts(state)) continue;
      best = state;
      rank = at;
    }
  return best;
}

/** The middling measures of a body of this kind and age. */
export function expectedMeasures(supposed: Sheet, age: Body["age"]): Measures {
  const share = age === "young" || age === "button" || age === "egg" ? YOUNG_SHARE : 1;
  const measures: Measures = {};
  for (const measure of ["capCm", "stemLengthCm", "stemWidthMm", "thicknessMm"] as const) {
    const range = supposed.sizes[measure];
    if (range !== undefined) measures[measure] = ((range[0] + range[1]) / 2) * share;
  }
  return measures;
}
