/**
 * What to do next: which tests would bring every danger to the distance asked, if the find is what it seems to be.
 *
 * The set is the cheapest there is, exactly: a minimum-cost multi-cover over the families of evidence. The order puts
 * first what is likeliest to end the matter for its cost.
 */

import type { Tier } from "../find/taxa.ts";
import { type CharacterId, definitionOf, type Family, HARD_FAMILIES } from "../find/vocabulary.ts";
import { AGES_MUST, type Candidate } from "../judge/candidates.ts";
import { agreementOf } from "../judge/contradictions.ts";
import { familiesOf } from "../judge/distance.ts";
import type { Judgement } from "../judge/judge.ts";
import type { Look } from "../judge/looks.ts";
import { type Conditions, isHidden } from "../judge/masks.ts";
import { type BodyScene, hasQuickLook, ONCE_ONLY } from "../judge/scene.ts";
import { FREQUENCIES, type Must, type Sheet, type StateTable, tablesOf } from "../knowledge/sheet.ts";
import { separation } from "./compare.ts";
import { cheapestCover, type Demand, isAttainable } from "./cover.ts";
import { FIELD_TESTS, type FieldTest, testWords } from "./field-tests.ts";

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

/** How much it is worth to move a danger of each tier by one mistake (our own scale; it only orders the tests). */
const TIER_WEIGHT: Partial<Record<Tier, number>> = { deadly: 4, serious: 2, sickener: 1 };
const MUST_WEIGHT = 1;
/** Soft points never rule out alone, and a nose or a colour is easily mistaken: they are worth less than a hard one. */
const SOFT_SHARE = 0.25;
const MINUTES_A_WAITING_HOUR = 4;
const MINUTES_FOR_SPOILING = 1;

interface Need {
  readonly danger: Sheet;
  readonly body: string;
  readonly families: Set<Family>;
  hard: boolean;
}

interface Option {
  readonly test: FieldTest;
  readonly body: BodyScene | undefined;
  readonly looks: readonly Look[];
  readonly conditions: Conditions | undefined;
  /** Other bodies that would take the result over on the strength of their own quick look. */
  readonly lentTo: ReadonlySet<string>;
  /** By danger, the looks that would speak against it. */
  readonly against: ReadonlyMap<string, readonly Against[]>;
}

/** A look that would speak against a danger, and how well it tells the two kinds apart, from 0 to 1. */
interface Against {
  readonly look: Look;
  readonly power: number;
}

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
  const supposed = judgement.candidates.find((one) => one.fits && one.allowed && one.sheet.tier !== "inedible");
  if (verdict !== "hold" || supposed === undefined) return NOTHING;
  const asked = judgement.rules.distance;
  const needs = needsOf(judgement);
  const musts = mustsToShow(supposed);
  const options = cheapestOptions(optionsOf(judgement, supposed.sheet, needs), needs, musts, supposed, asked);
  const chosen = inOrder(options, needs, musts, supposed, asked);
  const tests = [
    ...agesUntold.map((body) => step("tell-the-age", body, 0.5)),
    ...chosen.map(({ option, moves }) => planned(option, moves)),
    ...otherAges(supposed),
  ];
  return {
    supposing: supposed.sheet.id,
    tests,
    minutes: tests.reduce((sum, test) => sum + test.minutes, 0),
    waitHours: Math.max(0, ...tests.map((test) => test.waitHours)),
    cannotSettle: needs.filter((need) => isOpen(need, asked)).map((need) => cannotSettle(need, judgement, supposed)),
  };
}

/**
 * The cheapest set of options that does all that can be done: every danger that these tests can bring far enough away,
 * every must that they can show. A danger that they cannot settle asks for nothing here; it is told as such.
 */
function cheapestOptions(
  options: readonly Option[],
  needs: readonly Need[],
  musts: ReadonlySet<string>,
  supposed: Candidate,
  asked: number,
): Option[] {
  const demands: Demand[] = [];
  for (const need of needs) {
    const byFamily = new Map<Family, number[]>();
    const hard: number[] = [];
    options.forEach((option, index) => {
      if (!reaches(option, need)) return;
      for (const { look } of option.against.get(need.danger.id) ?? []) {
        const { family } = definitionOf(look.character);
        if (!need.families.has(family)) byFamily.set(family, [...(byFamily.get(family) ?? []), index]);
        if (isHard(look)) hard.push(index);
      }
    });
    demands.push({ atLeast: asked - need.families.size, groups: [...byFamily.values()] });
    if (!need.hard) demands.push({ atLeast: 1, groups: [hard] });
  }
  for (const must of musts) {
    const showing = options.flatMap((option, index) =>
      option.looks.some((look) => look.character === must && showsMust(look, option, supposed)) ? [index] : [],
    );
    demands.push({ atLeast: 1, groups: [showing] });
  }
  const cover = cheapestCover({
    costs: options.map((option) => costOf(option.test)),
    demands: demands.filter(isAttainable),
  });
  return (cover?.chosen ?? []).flatMap((index) => options[index] ?? []);
}

/** The chosen options, the one most likely to end the matter for its cost first. */
function inOrder(
  options: readonly Option[],
  needs: readonly Need[],
  musts: Set<string>,
  supposed: Candidate,
  asked: number,
): { option: Option; moves: readonly string[] }[] {
  const left = [...options];
  const ordered: { option: Option; moves: readonly string[] }[] = [];
  while (left.length > 0) {
    const scored = left.map((option) => {
      const gain = gainOf(option, needs, musts, supposed, asked);
      return { option, gain, rate: gain.worth / costOf(option.test) };
    });
    const [first, ...others] = scored;
    if (first === undefined) break;
    const best = others.reduce((top, one) => (one.rate > top.rate ? one : top), first);
    ordered.push({ option: best.option, moves: best.gain.moves });
    take(best.option, needs, musts, supposed);
    left.splice(left.indexOf(best.option), 1);
  }
  return ordered;
}

/** Missing musts; where an older body is to be found anyway, it will show those that its gills can show. */
function mustsToShow({ sheet, mustsMissing }: Candidate): Set<string> {
  const olderToCome = mustsMissing.some((must) => must.character === AGES_MUST);
  const older = (must: Must) => must.ways.some((way) => way.every((clause) => clause.ages?.includes("old")));
  const shownByOlder = new Set<string>(olderToCome ? sheet.musts.filter(older).map((must) => must.character) : []);
  return new Set(mustsMissing.map((must) => must.character).filter((character) => !shownByOlder.has(character)));
}

function needsOf({ dangers, scene }: Judgement): Need[] {
  return dangers.flatMap(({ sheet, perBody }) =>
    perBody
      .filter(
        (distance) => distance.status !== "ruled-out" && scene.kept.some((body) => body.body.id === distance.body),
      )
      .map(
        (distance): Need => ({
          danger: sheet,
          body: distance.body,
          families: new Set(familiesOf(distance.points)),
          hard: distance.points.some((point) => point.hard),
        }),
      ),
  );
}

const isOpen = (need: Need, asked: number): boolean => need.families.size < asked || !need.hard;

function optionsOf({ scene }: Judgement, supposed: Sheet, needs: readonly Need[]): Option[] {
  const options: Option[] = [];
  const feared = new Set(needs.map((need) => need.danger));
  const offer = (option: Omit<Option, "against" | "lentTo">) => {
    if (option.looks.length > 0)
      options.push({ ...option, lentTo: borrowersOf(option, scene), against: looksAgainst(option, feared, supposed) });
  };
  for (const test of FIELD_TESTS) {
    if (test.of === "site") {
      const looks = test.shows
        .filter((one) => !scene.site.has(one))
        .flatMap((one) => expectedLook(supposed, one, undefined, false));
      offer({ test, body: undefined, looks, conditions: undefined });
      continue;
    }
    for (const body of scene.kept) {
      if (test.possible?.(body.conditions) === false) continue;
      // a print under its cup is read before another cap is spent, where this body could take its result over
      const pending = scene.bodies.some((one) => one !== body && one.conditions.printPending);
      if (test.id === "take-spore-print" && (body.conditions.printPending || (pending && hasQuickLook(body)))) continue;
      const conditions = { ...body.conditions, ...test.changes };
      const looks = test.shows
        .filter((one) => !isSettled(body, one))
        .flatMap((one) => expectedLook(supposed, one, body, test.heated === true));
      offer({ test, body, looks, conditions });
    }
  }
  return options;
}

/** Seen surely, with nothing in force that hides it: looking again would add nothing. */
function isSettled(body: BodyScene, character: CharacterId): boolean {
  const look = body.looks.get(character);
  return look?.sure === true && !isHidden(look, body.conditions);
}

/** What one would see if the find is what it seems to be: a state that its must asks for, else the commonest. */
export function expectedLook(
  supposed: Sheet,
  character: CharacterId,
  body: BodyScene | undefined,
  heated: boolean,
): Look[] {
  const tables = tablesOf(supposed.characters[character], body?.body.age === undefined ? undefined : [body.body.age]);
  const asked = new Set<string>();
  for (const must of supposed.musts)
    for (const way of must.ways)
      for (const clause of way) if (clause.character === character) for (const one of clause.states) asked.add(one);
  const state = commonest(tables, (one) => asked.has(one)) ?? commonest(tables, () => true);
  return state === undefined ? [] : [{ character, body: body?.body.id ?? "site", states: [state], sure: true, heated }];
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

function gainOf(
  option: Option,
  needs: readonly Need[],
  musts: ReadonlySet<string>,
  supposed: Candidate,
  asked: number,
) {
  const moves = new Set<string>();
  let worth = 0;
  for (const need of needs) {
    if (!isOpen(need, asked) || !reaches(option, need)) continue;
    const points = option.against.get(need.danger.id) ?? [];
    const bringing = points.filter(({ look }) =>
      need.families.size < asked ? !need.families.has(definitionOf(look.character).family) : isHard(look),
    );
    if (bringing.length === 0) continue;
    moves.add(need.danger.id);
    const best = Math.max(...bringing.map(({ look, power }) => power * (isHard(look) ? 1 : SOFT_SHARE)));
    worth += (TIER_WEIGHT[need.danger.tier] ?? 0) * best;
  }
  for (const look of option.looks)
    if (musts.has(look.character) && showsMust(look, option, supposed)) worth += MUST_WEIGHT;
  return { worth, moves: [...moves] };
}

const isHard = (look: Look): boolean => HARD_FAMILIES.has(definitionOf(look.character).family);

/** A test of the site speaks of every body; one of a body of that body, and of those that take its result over. */
function reaches({ body, lentTo }: Option, need: Need): boolean {
  return body === undefined || body.body.id === need.body || lentTo.has(need.body);
}

function borrowersOf({ body, test }: Pick<Option, "body" | "test">, { bodies }: Judgement["scene"]): Set<string> {
  if (body === undefined || !test.shows.some((character) => ONCE_ONLY.includes(character))) return new Set();
  return new Set(bodies.filter((one) => one !== body && hasQuickLook(one)).map((one) => one.body.id));
}

function looksAgainst(
  { looks, body, conditions }: Omit<Option, "against" | "lentTo">,
  feared: ReadonlySet<Sheet>,
  supposed: Sheet,
): Map<string, readonly Against[]> {
  const age = body?.body.age;
  const against = (danger: Sheet) =>
    looks
      .filter((look) => agreementOf(danger, look, age, conditions, false).kind === "contradicts")
      .map(
        (look): Against => ({
          look,
          power: separation(danger, supposed, look.character, age === undefined ? undefined : [age]),
        }),
      );
  return new Map([...feared].map((danger) => [danger.id, against(danger)]));
}

function showsMust(look: Look, option: Option, { sheet }: Candidate): boolean {
  return (
    !isHidden(look, option.conditions) &&
    sheet.musts.some((must) =>
      must.ways
        .flat()
        .some(
          (clause) =>
            clause.character === look.character && look.states.every((state) => clause.states.includes(state)),
        ),
    )
  );
}

function take(option: Option, needs: readonly Need[], musts: Set<string>, supposed: Candidate): void {
  for (const need of needs) {
    if (!reaches(option, need)) continue;
    for (const { look } of option.against.get(need.danger.id) ?? []) {
      need.families.add(definitionOf(look.character).family);
      need.hard ||= isHard(look);
    }
  }
  for (const look of option.looks) if (showsMust(look, option, supposed)) musts.delete(look.character);
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

function cannotSettle(need: Need, { dangers }: Judgement, supposed: Candidate): CannotSettle {
  const distance = dangers
    .find(({ sheet }) => sheet.id === need.danger.id)
    ?.perBody.find((one) => one.body === need.body);
  const why = [...new Set(distance?.masks.map((mask) => mask.why) ?? [])];
  const alike = `nothing left to look at on ${need.body} tells the ${need.danger.names.common} from the ${supposed.sheet.names.common}`;
  return {
    sheet: need.danger.id,
    body: need.body,
    why: why.length > 0 ? `${alike} today: ${why.join("; ")}` : alike,
  };
}
