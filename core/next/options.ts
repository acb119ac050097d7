/** The tests that could still be done on this find, with what each would show if the find is what it seems to be. */
import type { Measures } from "../find/schema.ts";
import { type Age, type CharacterId, isHardLook } from "../find/vocabulary.ts";
import type { Conditions } from "../judge/body-conditions.ts";
import { familyBit, familyBitOf } from "../judge/families.ts";
import type { Judgement } from "../judge/judge.ts";
import type { Look } from "../judge/looks.ts";
import { isHidden } from "../judge/masks.ts";
import { isConfirmed, type Proofs } from "../judge/musts.ts";
import { SHARE } from "../judge/ranking.ts";
import { type BodyScene, hangsOnTheRing, hasQuickLook, ONCE_ONLY } from "../judge/scene.ts";
import { weighSizes } from "../judge/sizes.ts";
import { CONTRADICTS, NEVER, type Weighing, weigh } from "../judge/weigh.ts";
import type { Clause, Sheet } from "../knowledge/sheet.ts";
import { FREQUENCIES } from "../knowledge/state-tables.ts";
import { type Column, countBits, MEASURES, type Measure, type Tables, tablesOfSheets } from "../knowledge/tables.ts";
import { expectedLook, expectedMeasures } from "./expected.ts";
import { FIELD_TESTS, type FieldTest } from "./field-tests.ts";

/** A hard point by what a danger never shows. */
export const HITS_NEVER = 3;

/** What one expected result would say against the dangers. */
export interface Against {
  readonly character: CharacterId | Measure;
  /** The evidence family as a bit. */
  readonly family: number;
  /** By danger's row: 0 says nothing against it, 1 a soft point, 2 a hard one, HITS_NEVER what it never shows. */
  readonly hits: Uint8Array;
  /** Whether any danger never shows it. */
  readonly never: boolean;
  readonly power: Power;
}

/** How well a character tells a danger's row from the supposed kind, from 0 to 1. */
export interface Power {
  /** By row, what was worked out before; below zero where nothing was. */
  readonly known: Float64Array;
  readonly workOut: (row: number) => number;
}

export interface Option {
  readonly test: FieldTest;
  readonly body: BodyScene | undefined;
  readonly looks: readonly Look[];
  readonly conditions: Conditions | undefined;
  /** What its measures would be, where it measures. */
  readonly measures: Measures;
  /** Other bodies that would take the result over on the strength of their own quick look. */
  readonly lentTo: ReadonlySet<string>;
  readonly against: readonly Against[];
}

/** A test of the site speaks of every body; one of a body of that body, and of those that take its result over. */
export function reaches({ body, lentTo }: Option, id: string): boolean {
  return body === undefined || body.body.id === id || lentTo.has(id);
}

/** Every test that can be done on the site and on the kept bodies and that would show something new. */
export function optionsOf({ scene, knowledge }: Judgement, supposed: Sheet): Option[] {
  const options: Option[] = [];
  const dangers = knowledge.dangerTables;
  const alone = aloneOf(supposed);
  const power = powersOf(dangers, alone);
  const said = (looks: readonly Look[], age: Age | undefined, conditions: Conditions | undefined): Against[] =>
    looks.map((look) => againstOf(dangers, look, age, conditions, power(look.character, age)));
  for (const test of FIELD_TESTS) {
    if (test.of === "site") {
      const looks = test.shows
        .filter((one) => !scene.site.has(one))
        .flatMap((one) => expectedLook(supposed, one, undefined, false));
      if (looks.length === 0) continue;
      const against = said(looks, undefined, undefined);
      options.push({ test, body: undefined, looks, conditions: undefined, measures: {}, lentTo: new Set(), against });
      continue;
    }
    for (const body of scene.kept) {
      if (test.possible?.(body.conditions) === false) continue;
      // a print under its cup is read before another cap is spent: a quick look that agrees takes its result over
      const pending = scene.bodies.some((one) => one.conditions.printPending);
      if (test.id === "take-spore-print" && pending) continue;
      const looks = test.shows
        .filter((one) => !isSettled(body, one))
        .flatMap((one) => expectedLook(supposed, one, body, test.heated === true, seenElsewhere(scene, body, one)));
      const conditions = { ...body.conditions, ...test.changes, ...veilSeen(looks) };
      const against = said(looks, body.body.age, conditions);
      const measures = test.id === "measure" ? unmeasured(supposed, body) : {};
      against.push(...sizesAgainst(dangers, body, measures));
      if (looks.length > 0 || against.length > 0)
        options.push({
          test,
          body,
          looks,
          conditions,
          measures,
          lentTo: borrowersOf(test, body, scene.bodies),
          against,
        });
    }
  }
  return options;
}

const ALONE = new WeakMap<Sheet, Tables>();

/** The tables of one sheet by itself. */
function aloneOf(sheet: Sheet): Tables {
  const alone = ALONE.get(sheet) ?? tablesOfSheets([sheet]);
  ALONE.set(sheet, alone);
  return alone;
}

/** What other bodies surely show of what no age changes: one kind is supposed, so this one will show it too. */
function seenElsewhere({ bodies }: Judgement["scene"], body: BodyScene, character: CharacterId): ReadonlySet<string> {
  if (!ONCE_ONLY.includes(character)) return new Set();
  return new Set(
    bodies.flatMap((other) => {
      const look = other === body ? undefined : other.looks.get(character);
      return look?.sure === true ? look.states : [];
    }),
  );
}

/** Whoever looks at the ring sees whether the veil is open, and with that whether the gills can be read. */
function veilSeen(looks: readonly Look[]): Partial<Conditions> {
  const ring = looks.find((look) => look.character === "ring");
  return ring === undefined ? {} : { veilSeenOpen: !ring.states.includes("closed") };
}

/** Seen surely, with nothing in force that hides it: looking again would add nothing. */
function isSettled(body: BodyScene, character: CharacterId): boolean {
  const look = body.looks.get(character);
  return look?.sure === true && !isHidden(look, body.conditions);
}

function borrowersOf(test: FieldTest, body: BodyScene, bodies: readonly BodyScene[]): Set<string> {
  if (!test.shows.some((character) => ONCE_ONLY.includes(character))) return new Set();
  const borrows = (one: BodyScene) => one !== body && hasQuickLook(one) && !hangsOnTheRing(one);
  return new Set(bodies.filter(borrows).map((one) => one.body.id));
}

function againstOf(
  dangers: Tables,
  look: Look,
  age: Age | undefined,
  conditions: Conditions | undefined,
  power: Against["power"],
): Against {
  const weighing = weigh(dangers, look, age, conditions, false);
  const hits = hitsOf(weighing, isHardLook(look.character, age, look.states) ? "hard" : "soft");
  return { character: look.character, family: familyBitOf(look.character), ...hits, power };
}

type Hits = Pick<Against, "hits" | "never">;
const HITS = new WeakMap<Weighing, { hard?: Hits; soft?: Hits }>();

/** A weighing as hits. The same weighing comes again for bodies that are alike, and at the next touch. */
function hitsOf(weighing: Weighing, kind: "hard" | "soft"): Hits {
  const known = HITS.get(weighing) ?? {};
  HITS.set(weighing, known);
  const before = known[kind];
  if (before !== undefined) return before;
  const hits = new Uint8Array(weighing.length);
  for (let row = 0; row < hits.length; row += 1)
    if (weighing[row] === CONTRADICTS) hits[row] = kind === "hard" ? 2 : 1;
    else if (weighing[row] === NEVER) hits[row] = HITS_NEVER;
  const now = { hits, never: hits.includes(HITS_NEVER) };
  known[kind] = now;
  return now;
}

/** How well each character at each age tells the dangers from the supposed kind: the same for every body of that age. */
function powersOf(
  dangers: Tables,
  supposed: Tables,
): (character: CharacterId, age: Age | undefined) => Against["power"] {
  const known = new Map<string, Against["power"]>();
  return (character, age) => {
    const key = `${character} ${age ?? ""}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const theirs = dangers.column(character, age);
    const mine = supposed.column(character, age);
    const power = {
      known: knownOf(theirs, mine),
      workOut: (row: number) =>
        shareOutside(mine, 0, theirs.listed[row] ?? 0) * shareOutside(theirs, row, mine.listed[0] ?? 0),
    };
    known.set(key, power);
    return power;
  };
}

const POWERS = new WeakMap<Column, { readonly mine: Column; readonly known: Float64Array }>();

/** What is known of the powers of a column: kept while the supposed kind is the same, which it is from touch to touch. */
function knownOf(theirs: Column, mine: Column): Float64Array {
  const before = POWERS.get(theirs);
  if (before?.mine === mine) return before.known;
  const known = new Float64Array(theirs.listed.length).fill(-1);
  POWERS.set(theirs, { mine, known });
  return known;
}

/** The share of the states of one row that are not among the other's. */
function shareOutside({ by }: Column, row: number, other: number): number {
  let total = 0;
  let beyond = 0;
  for (const frequency of FREQUENCIES) {
    const set = by[frequency][row] ?? 0;
    if (set === 0) continue;
    total += SHARE[frequency] * countBits(set);
    beyond += SHARE[frequency] * countBits(set & ~other);
  }
  return total === 0 ? 0 : beyond / total;
}

/** Middling measures of the supposed kind, those that this body was not measured for yet. */
function unmeasured(supposed: Sheet, { body }: BodyScene): Measures {
  const measured = body.measures ?? {};
  return Object.fromEntries(
    Object.entries(expectedMeasures(supposed, body.age)).filter(([measure]) => !(measure in measured)),
  );
}

/** What measures of a body would say against the dangers. */
function sizesAgainst(dangers: Tables, { body }: BodyScene, measures: Measures): Against[] {
  const [first] = MEASURES.filter((measure) => measure in measures);
  if (first === undefined) return [];
  const hits = new Uint8Array(dangers.sheets.length);
  weighSizes(dangers, { ...body, measures }, (row, family, hard) => {
    if (family === "size") hits[row] = Math.max(hits[row] ?? 0, hard ? 2 : 1);
  });
  const known = new Float64Array(hits.length);
  for (let row = 0; row < hits.length; row += 1) if (hits[row] !== 0) known[row] = 1;
  const power = { known, workOut: () => 0 };
  return [{ character: first, family: familyBit("size"), hits, never: false, power }];
}

/**
 * Whether the expected results of an option would confirm a must of this sheet, or bring it nearer: by the must's own
 * character, or by a way of it that they complete with what is seen already (heat settles a faint yellow at the foot).
 */
export function showsMust({ looks, conditions }: Option, sheet: Sheet, character: string, proofs: Proofs): boolean {
  const shown = (clause: Clause): boolean =>
    looks.some(
      (look) =>
        look.character === clause.character &&
        !isHidden(look, conditions, conditions?.age !== undefined && clause.ages?.includes(conditions.age)) &&
        look.states.every((state) => clause.states.includes(state)),
    );
  return sheet.musts.some((must) =>
    must.ways.some(
      (way) =>
        way.some((clause) => clause.character === character && shown(clause)) ||
        (must.character === character &&
          way.some(shown) &&
          way.every((clause) => shown(clause) || isConfirmed([clause], proofs))),
    ),
  );
}
