/**
 * What to do next: which tests would bring every danger to the distance asked, if the find is what it seems to be.
 *
 * The set is the cheapest there is, exactly: a minimum-cost multi-cover over the families of evidence. The order puts
 * first what is likeliest to end the matter for its cost.
 */
import { AGES_MUST, type Candidate } from "../judge/candidates.ts";
import { evidenceOf, type Judgement } from "../judge/judge.ts";
import type { Must } from "../knowledge/sheet.ts";
import { type CoverProblem, cheapestCover, isAttainable } from "./cover.ts";
import { type FieldTest, testWords } from "./field-tests.ts";
import { demandsOf, helping, isOpen, type Need, needsOf, TIER_WEIGHT, take } from "./needs.ts";
import { type Option, optionsOf, showsMust } from "./options.ts";
import { byRatio } from "./order.ts";

/** One step of the plan. */
export interface PlannedTest {
  readonly test: string;
  readonly text: string;
  readonly body?: string;
  readonly minutes: number;
  readonly waitHours: number;
  readonly destroys: boolean;
  /** Dangers that it would move one mistake farther away. */
  readonly movesAway: readonly string[];
}

/** A danger that no test here can bring far enough away today, and why. */
export interface CannotSettle {
  readonly sheet: string;
  readonly body: string;
  readonly why: string;
}

export interface Plan {
  /** The kind that the find seems to be, which the plan supposes. */
  readonly supposing?: string;
  readonly tests: readonly PlannedTest[];
  readonly minutes: number;
  readonly waitHours: number;
  readonly cannotSettle: readonly CannotSettle[];
}

/** Even odds that the find is one of the dangers that stand, shared out by their tiers (our own scale). */
const ODDS_OF_DANGER = 0.5;
/** How likely a must is to fail of itself (our own scale; it only orders the tests). */
const ODDS_OF_A_MUST_FAILING = 0.02;
/** Soft points never rule out alone, and a nose or a colour is easily mistaken: they are worth less than a hard one. */
const SOFT_SHARE = 0.25;
const MINUTES_A_WAITING_HOUR = 4;
const MINUTES_FOR_SPOILING = 1;

const NOTHING: Plan = { tests: [], minutes: 0, waitHours: 0, cannotSettle: [] };

/**
 * Plans the remaining tests. An ended matter (leave, basket) and a find that fits nothing have none.
 * @param agesUntold bodies whose age has to be told before anything else
 */
export function planNext(
  judgement: Judgement,
  verdict: "leave" | "hold" | "basket",
  agesUntold: readonly string[],
): Plan {
  const supposed = supposedOf(judgement);
  if (verdict !== "hold" || supposed === undefined) return NOTHING;
  const asked = judgement.rules.distance;
  const options = optionsOf(judgement, supposed.sheet);
  const needs = needsOf(judgement, options);
  const musts = mustsToShow(supposed);
  const cover = cheapestCover(problemOf(options, needs, musts, supposed, asked));
  const chosen = inOrder(cover?.chosen ?? [], options, needs, musts, supposed);
  const tests = [
    ...agesUntold.map((body) => step("tell-the-age", body, 0.5)),
    ...chosen.map((index) => {
      const moves = movedBy(index, needs, asked);
      take(needs, index);
      return options[index] === undefined ? [] : [planned(options[index], moves)];
    }),
    ...otherAges(supposed),
  ].flat();
  return {
    supposing: supposed.sheet.id,
    tests,
    minutes: tests.reduce((sum, test) => sum + test.minutes, 0),
    waitHours: Math.max(0, ...tests.map((test) => test.waitHours)),
    cannotSettle: needs
      .filter((need) => isOpen(need, asked))
      .flatMap((need) => need.dangers.map((danger) => cannotSettle(need.body, danger, judgement, supposed))),
  };
}

/**
 * What a set of options has to do: bring every danger that these tests can bring far enough away, show every must that
 * they can show. A danger that they cannot settle asks for nothing here; it is told as such.
 */
function problemOf(
  options: readonly Option[],
  needs: readonly Need[],
  musts: ReadonlySet<string>,
  supposed: Candidate,
  asked: number,
): CoverProblem {
  const demands = needs.flatMap((need) => demandsOf(need, asked));
  for (const must of musts) {
    const showing = options.flatMap((option, index) => (showsMust(option, supposed.sheet, must) ? [index] : []));
    demands.push({ atLeast: 1, groups: [showing] });
  }
  return { costs: options.map((option) => costOf(option.test)), demands: demands.filter(isAttainable) };
}

/** The planning problem of a judged find by itself, for measuring and for checking against a solver. */
export function coverProblemOf(judgement: Judgement): CoverProblem | undefined {
  const supposed = supposedOf(judgement);
  if (supposed === undefined) return undefined;
  const options = optionsOf(judgement, supposed.sheet);
  const needs = needsOf(judgement, options);
  return problemOf(options, needs, mustsToShow(supposed), supposed, judgement.rules.distance);
}

/** The kind that a find seems to be: the likeliest that fits and may be kept. */
function supposedOf({ candidates }: Judgement): Candidate | undefined {
  return candidates.find((one) => one.fits && one.allowed && one.sheet.tier !== "inedible");
}

/** The chosen options by the ratio rule: the one most likely to end the matter for its cost first. */
function inOrder(
  chosen: readonly number[],
  options: readonly Option[],
  needs: readonly Need[],
  musts: ReadonlySet<string>,
  supposed: Candidate,
): readonly number[] {
  let weights = 0;
  for (const { dangers } of needs) for (const { sheet } of dangers) weights += TIER_WEIGHT[sheet.tier] ?? 0;
  const trials = chosen.flatMap((index) => {
    const option = options[index];
    if (option === undefined) return [];
    let ending = 0;
    for (const need of needs) {
      const brought = need.brought.filter((one) => one.option === index);
      if (brought.length === 0) continue;
      for (const { sheet, row } of need.dangers) {
        const best = Math.max(
          ...brought.map(({ against, hard }) => (option.against[against]?.power(row) ?? 0) * (hard ? 1 : SOFT_SHARE)),
        );
        ending += (TIER_WEIGHT[sheet.tier] ?? 0) * best;
      }
    }
    const shown = [...musts].filter((must) => showsMust(option, supposed.sheet, must)).length;
    const failing = (weights > 0 ? (ODDS_OF_DANGER * ending) / weights : 0) + ODDS_OF_A_MUST_FAILING * shown;
    return [{ index, cost: costOf(option.test), failing: Math.min(1, failing) }];
  });
  return byRatio(trials).map(({ index }) => index);
}

/** Missing musts; where an older body is to be found anyway, it will show those that its gills can show. */
function mustsToShow({ sheet, mustsMissing }: Candidate): Set<string> {
  const olderToCome = mustsMissing.some((must) => must.character === AGES_MUST);
  const older = (must: Must) => must.ways.some((way) => way.every((clause) => clause.ages?.includes("old")));
  const shownByOlder = new Set<string>(olderToCome ? sheet.musts.filter(older).map((must) => must.character) : []);
  return new Set(mustsMissing.map((must) => must.character).filter((character) => !shownByOlder.has(character)));
}

function movedBy(option: number, needs: readonly Need[], asked: number): readonly string[] {
  const moved = new Set<string>();
  for (const need of needs)
    if (helping(need, option, asked).length > 0) for (const { sheet } of need.dangers) moved.add(sheet.id);
  return [...moved];
}

const costOf = (test: FieldTest): number =>
  test.minutes + test.waitHours * MINUTES_A_WAITING_HOUR + (test.destroys ? MINUTES_FOR_SPOILING : 0);

function planned({ test, body }: Option, movesAway: readonly string[]): PlannedTest {
  const { id, minutes, waitHours, destroys } = test;
  const of = body === undefined ? {} : { body: body.body.id };
  return { test: id, text: testWords(id, body?.body.id), ...of, minutes, waitHours, destroys, movesAway };
}

/** The sheet asks for bodies of more than one age, and this find has none older to look at. */
function otherAges({ mustsMissing }: Candidate): PlannedTest[] {
  return mustsMissing.some((must) => must.character === AGES_MUST) ? [step("find-an-older-one", undefined, 3)] : [];
}

function step(test: string, body: string | undefined, minutes: number): PlannedTest {
  const of = body === undefined ? {} : { body };
  return { test, text: testWords(test, body), ...of, minutes, waitHours: 0, destroys: false, movesAway: [] };
}

function cannotSettle(
  body: string,
  danger: Judgement["dangers"][number],
  judgement: Judgement,
  supposed: Candidate,
): CannotSettle {
  const { masks } = evidenceOf(judgement, danger, body);
  const why = [...new Set(masks.map((mask) => mask.why))];
  const alike = `nothing left to look at on ${body} tells the ${danger.sheet.names.common} from the ${supposed.sheet.names.common}`;
  return { sheet: danger.sheet.id, body, why: why.length > 0 ? `${alike} today: ${why.join("; ")}` : alike };
}
