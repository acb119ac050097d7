/**
 * What no one test settles may be settled by several together: two prints, or the look that lets a body take over another's
 * print. Tried on the judge itself, for the few dangers that the planned tests leave open: the find with all that could
 * still be seen, then without one test after the other, the dearest first, for as long as nothing is lost by it.
 */
import type { Body, Find } from "../find/schema.ts";
import type { Candidate } from "../judge/candidates.ts";
import { statusIn } from "../judge/distance.ts";
import { type Judgement, weighAll } from "../judge/judge.ts";
import { sceneOf } from "../judge/scene.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { rowsOf } from "../knowledge/tables.ts";
import { expectedMeasures } from "./expected.ts";
import type { Need } from "./needs.ts";
import type { Option } from "./options.ts";

/** A test that several together need, with the dangers that would stand without it. */
export interface Joint {
  readonly option: number;
  readonly sheets: readonly string[];
}

export interface Together {
  /** The tests beside those that are planned already, in the order of the options. */
  readonly joints: readonly Joint[];
  /** Whether a danger on a body is settled by all of them. */
  readonly settles: (body: string, sheet: string) => boolean;
}

const NOTHING: Together = { joints: [], settles: () => false };

/**
 * Finds the tests that settle together what each by itself does not. Minimal, not cheapest: none can be left out.
 * @param chosen numbers of the options that are planned already
 * @param costOf what an option costs
 */
export function settledTogether(
  judgement: Judgement,
  supposed: Candidate,
  options: readonly Option[],
  chosen: ReadonlySet<number>,
  open: readonly Need[],
  costOf: (option: Option) => number,
): Together {
  if (open.length === 0) return NOTHING;
  const rows = nearestOf(open);
  const pairs = open.flatMap(({ body, danger: { sheet, row } }) => (rows.has(row) ? [{ body, sheet }] : []));
  const tables = rowsOf(judgement.knowledge.dangerTables, [...rows]);
  const { find } = judgement.scene;
  const clearedBy = (taken: ReadonlySet<number>): ReadonlySet<string> => {
    const seen = options.reduce((so, option, index) => (taken.has(index) ? seenBy(so, option, supposed) : so), find);
    return new Set(
      weighAll(tables, sceneOf(seen)).flatMap((on) =>
        tables.sheets.flatMap(({ id }, row) =>
          statusIn(on, row, judgement.rules.distance) === "ruled-out" ? [keyOf(on.body.body.id, id)] : [],
        ),
      ),
    );
  };
  const taken = new Set(options.map((_, index) => index));
  const all = clearedBy(taken);
  const wanted = pairs.filter(({ body, sheet }) => all.has(keyOf(body, sheet.id)));
  if (wanted.length === 0) return NOTHING;
  const byCost = [...taken]
    .filter((index) => !chosen.has(index))
    .sort((one, other) => cost(options[other], costOf) - cost(options[one], costOf) || other - one);
  const joints: Joint[] = [];
  const lostWithout = (indices: readonly number[]): Sheet[] => {
    for (const index of indices) taken.delete(index);
    const cleared = clearedBy(taken);
    const lost = wanted.filter(({ body, sheet }) => !cleared.has(keyOf(body, sheet.id)));
    if (lost.length > 0) for (const index of indices) taken.add(index);
    return lost.map(({ sheet }) => sheet);
  };
  // half of them at a time: most can be left out, and what cannot is found in a few steps
  const leaveOut = (indices: readonly number[]): void => {
    const [first] = indices;
    if (first === undefined) return;
    const lost = lostWithout(indices);
    if (lost.length === 0) return;
    if (indices.length === 1) {
      joints.push({ option: first, sheets: [...new Set(lost.map(({ id }) => id))] });
      return;
    }
    const half = Math.ceil(indices.length / 2);
    leaveOut(indices.slice(0, half));
    leaveOut(indices.slice(half));
  };
  leaveOut(byCost);
  return {
    joints: joints.sort((one, other) => one.option - other.option),
    settles: (body, sheet) => all.has(keyOf(body, sheet)),
  };
}

/** The rows of what is left open, the nearest of a very large shelf: of the others it is said that they stay so. */
function nearestOf(open: readonly Need[]): ReadonlySet<number> {
  const rows = new Set<number>();
  for (const { danger } of open) {
    if (rows.size === TRIED_AT_MOST) break;
    rows.add(danger.row);
  }
  return rows;
}
const TRIED_AT_MOST = 100;

const keyOf = (body: string, sheet: string): string => `${body} ${sheet}`;
const cost = (option: Option | undefined, costOf: (option: Option) => number): number =>
  option === undefined ? 0 : costOf(option);

/** The find as it would be once a test was done and went as supposed. */
function seenBy(find: Find, { test, body, looks }: Option, supposed: Candidate): Find {
  if (body === undefined)
    return {
      ...find,
      site: { ...find.site, ...Object.fromEntries(looks.map(({ character, states }) => [character, [...states]])) },
    };
  const weather = test.changes?.cold === false ? { weather: { ...find.weather, warmedInHand: true } } : {};
  const change = (one: Body): Body => ({
    ...one,
    ...(test.changes?.lifted === undefined ? {} : { lifted: test.changes.lifted }),
    ...(test.id === "measure" ? { measures: { ...expectedMeasures(supposed.sheet, one.age), ...one.measures } } : {}),
    // a new print is not the thin one, nor the one that is still under its cup
    ...(looks.some((look) => look.character === "spore-print") && one.print !== undefined
      ? { print: { paper: one.print.paper } }
      : {}),
    seen: [
      ...(one.seen ?? []).filter((entry) => !looks.some((look) => look.character === entry.character)),
      ...looks.map(({ character, states, heated }) => ({
        character,
        states: [...states],
        ...(heated ? { method: "heat" as const } : {}),
      })),
    ],
  });
  return { ...find, ...weather, bodies: find.bodies.map((one) => (one.id === body.body.id ? change(one) : one)) };
}
