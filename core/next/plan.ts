/**
 * What to do next: which tests would bring every danger to the distance asked, if the find is what it seems to be.
 *
 * The set is the cheapest there is, exactly: a minimum-cost multi-cover over the families of evidence. The order puts
 * first what is likeliest to end the matter for its cost.
 */

import { theKind } from "../find/the-kind.ts";
import type { Candidate, Contradiction } from "../judge/candidates.ts";
import { agreementOf } from "../judge/contradictions.ts";
import { evidenceOf, type Judgement } from "../judge/judge.ts";
import { AGES_MUST, type Proofs, proofsOf } from "../judge/musts.ts";
import { sizePoints } from "../judge/sizes.ts";
import type { Ruling } from "../judge/verdict.ts";
import type { Must } from "../knowledge/sheet.ts";
import { type Cover, type CoverProblem, coverOf, type Demand, isAttainable } from "./cover.ts";
import { testWords } from "./field-tests.ts";
import { furtherOf } from "./further.ts";
import { demandsOf, eachDemand } from "./need-demands.ts";
import { helpedBy, type Needs, needsOf, openNeeds, take, type Weighed, weighBest } from "./needs.ts";
import { openedBy, SOFT_SHARE } from "./opened-by.ts";
import { type Option, optionsOf, showsMust } from "./options.ts";
import { byRatio } from "./order.ts";
import type { CannotSettle, Further, Opens, Plan, PlannedTest } from "./planned.ts";
import { settledTogether } from "./together.ts";

/** Even odds that the find is one of the dangers that stand, shared out by their tiers (our own scale). */
const ODDS_OF_DANGER = 0.5;
/** How likely a must is to fail of itself (our own scale; it only orders the tests). */
const ODDS_OF_A_MUST_FAILING = 0.02;
const MINUTES_A_WAITING_HOUR = 4;
const MINUTES_FOR_SPOILING = 1;

const NOTHING: Plan = { tests: [], minutes: 0, waitHours: 0, cannotSettle: [], further: [] };

/**
 * Plans the remaining tests. An ended matter (leave, basket) and a find that fits nothing have none.
 * @param agesUntold bodies whose age has to be told before anything else
 * @param alone only tests that settle something each by itself: quicker, and the same but for the end of the plan
 */
export function planNext(
  judgement: Judgement,
  ruling: Pick<Ruling, "verdict" | "reasons" | "bodies">,
  agesUntold: readonly string[],
  alone?: "alone",
): Plan {
  if (ruling.verdict !== "hold") return NOTHING;
  const ages = agesUntold.map((body) => step("tell-the-age", body, 0.5, { body, character: "age" }));
  const supposed = supposedOf(judgement);
  const none = () => [];
  if (supposed === undefined)
    return ended({ tests: ages, minutes: minutesOf(ages), waitHours: 0 }, none, none, judgement, ruling);
  const options = optionsOf(judgement, supposed.sheet);
  const needs = needsOf(judgement, options);
  const musts = mustsToShow(supposed);
  const costs = options.map(costOf);
  const beside = besideDangers(options, musts, supposed, judgement);
  const proofs = proofsOf(judgement.scene);
  const cover = coverOf(costs, demandsOf(needs, beside));
  const chosen = inOrder(cover.chosen, { options, needs, musts, supposed, proofs });
  const tests = [
    ...ages,
    ...chosen.map((index) => {
      const option = options[index];
      if (option === undefined) return [];
      const helped = helpedBy(needs, index);
      const opens = openedBy(option, index, needs, helped, musts, supposed);
      const shows = supposed.mustsMissing.filter((must) => showsMust(option, supposed.sheet, must.character, proofs));
      take(needs, index);
      return [
        planned(
          option,
          onDemand(() => movedIn(needs, helped)),
          opens,
          shows.map((must) => must.says),
        ),
      ];
    }),
    ...otherAges(supposed),
  ].flat();
  const left = openNeeds(needs);
  const unsettled = alone === undefined ? left : [];
  const { joints, settles } = settledTogether(judgement, supposed, options, new Set(chosen), unsettled, costOf);
  const open = onDemand(() => left.filter(({ body, danger }) => !settles(body, danger.sheet.id)));
  const all = [...tests, ...joints.flatMap(({ option, sheets }) => jointly(options[option], sheets))];
  const plan = {
    supposing: supposed.sheet.id,
    tests: all,
    minutes: minutesOf(all),
    waitHours: Math.max(0, ...all.map((test) => test.waitHours)),
  };
  const settleNot = onDemand(() => open().map(({ body, danger }) => cannotSettle(body, danger, judgement, supposed)));
  // where ages are only supposed the judge has not answered this find: nobody is told to leave a body out
  const bodies = agesUntold.length === 0 ? ruling.bodies : [];
  const further = onDemand(() => furtherOf({ judgement, supposed, open: open(), bodies }));
  return ended(plan, settleNot, further, judgement, ruling);
}

/** Words are worked out when they are first asked for: whoever only follows the tests never does. */
function onDemand<Told>(tell: () => Told): () => Told {
  let told: Told | undefined;
  return () => {
    told ??= tell();
    return told;
  };
}

/** A test that settles only together with others. */
function jointly(option: Option | undefined, sheets: readonly string[]): PlannedTest[] {
  const character = option?.looks[0]?.character ?? option?.against[0]?.character;
  if (option === undefined || character === undefined) return [];
  const of = option.body === undefined ? {} : { body: option.body.body.id };
  return [planned(option, () => sheets, { ...of, character }, [])];
}

const minutesOf = (tests: readonly PlannedTest[]): number => tests.reduce((sum, test) => sum + test.minutes, 0);

/** The plan with what is told on demand; where no test is left, why nothing here helps. */
function ended(
  plan: Omit<Plan, "cannotSettle" | "further" | "nothingHelps">,
  settleNot: () => readonly CannotSettle[],
  further: () => readonly Further[],
  judgement: Judgement,
  ruling: Pick<Ruling, "reasons">,
): Plan {
  const told = {
    ...plan,
    get cannotSettle() {
      return settleNot();
    },
    get further() {
      return further();
    },
  };
  if (plan.tests.length > 0) return told;
  const helpsNot = onDemand(() => whyNothingHelps(settleNot()[0], judgement, ruling));
  return Object.defineProperty(told, "nothingHelps", { enumerable: true, get: helpsNot });
}

function whyNothingHelps(
  why: CannotSettle | undefined,
  { candidates }: Judgement,
  { reasons }: Pick<Ruling, "reasons">,
): string {
  if (why !== undefined) return `No test on the bodies at hand settles it: ${why.why}.`;
  return candidates.every((one) => !one.fits && one.near === undefined)
    ? "No sheet on this shelf comes near, so no test here can name it: keep it out, and show it to somebody who knows."
    : `No test on the bodies at hand settles it. ${reasons.map((reason) => reason.text).join(" ")}`;
}

/**
 * What a set of options has to do beside bringing every danger that these tests can bring far enough away: show every must
 * that they can show, clear what is in doubt. What they cannot do asks for nothing here; it is told as such.
 */
function besideDangers(
  options: readonly Option[],
  musts: ReadonlySet<string>,
  supposed: Candidate,
  judgement: Judgement,
): Demand[] {
  const proofs = proofsOf(judgement.scene);
  const oneOf = (does: (option: Option) => boolean): Demand => ({
    atLeast: 1,
    groups: [options.flatMap((option, index) => (does(option) ? [index] : []))],
  });
  const demands: Demand[] = [];
  for (const must of musts) demands.push(oneOf((option) => showsMust(option, supposed.sheet, must, proofs)));
  // a look that is in doubt is looked at again; what refuses beside the supposed kind is told from it
  for (const doubt of supposed.doubts) demands.push(oneOf((option) => clears(option, doubt)));
  for (const other of inTheWay(judgement, supposed)) demands.push(oneOf((option) => tellsFrom(option, other)));
  return demands.filter(isAttainable);
}

const clears = ({ looks, body }: Option, doubt: Contradiction): boolean =>
  (body?.body.id ?? "site") === doubt.body && looks.some((look) => look.character === doubt.character);

/** Kinds that fit as well and that keep the supposed one from being taken: not for the pot, or refused by a house rule. */
function inTheWay({ candidates, rules }: Judgement, supposed: Candidate): readonly Candidate[] {
  // while musts are missing there is more to be seen anyway, and most of these go by the way
  if (supposed.mustsMissing.length > 0) return [];
  return candidates.filter(
    (one) =>
      one.fits && one !== supposed && (one.sheet.tier === "inedible" || !one.allowed || rules.naming === "species"),
  );
}

/** By a look, or by its size: of two boletes one is never that large. */
const tellsFrom = ({ looks, body, conditions, measures }: Option, { sheet }: Candidate): boolean =>
  looks.some((look) => agreementOf(sheet, look, body?.body.age, conditions, true).kind === "contradicts") ||
  (body !== undefined && sizePoints(sheet, { ...body.body, measures }).length > 0);

/**
 * The planning problem of a judged find by itself, every demand written out, and the cover that a plan of it takes: for
 * measuring, and for checking against a solver.
 */
export function coverProblemOf(judgement: Judgement): (CoverProblem & { readonly cover: Cover }) | undefined {
  const supposed = supposedOf(judgement);
  if (supposed === undefined) return undefined;
  const options = optionsOf(judgement, supposed.sheet);
  const needs = needsOf(judgement, options);
  const beside = besideDangers(options, mustsToShow(supposed), supposed, judgement);
  const costs = options.map(costOf);
  return { costs, demands: eachDemand(needs, beside), cover: coverOf(costs, demandsOf(needs, beside)) };
}

/** The kind that a find seems to be: the likeliest that fits and may be kept, else the one that comes nearest. */
function supposedOf({ candidates }: Judgement): Candidate | undefined {
  const may = (one: Candidate) => one.allowed && one.sheet.tier !== "inedible";
  return candidates.find((one) => one.fits && may(one)) ?? candidates.find((one) => one.near !== undefined && may(one));
}

/** The chosen options by the ratio rule: the one most likely to end the matter for its cost first. */
function inOrder(
  chosen: readonly number[],
  {
    options,
    needs,
    musts,
    supposed,
    proofs,
  }: {
    readonly options: readonly Option[];
    readonly needs: Needs;
    readonly musts: ReadonlySet<string>;
    readonly supposed: Candidate;
    readonly proofs: Proofs;
  },
): readonly number[] {
  const weighed: Weighed = new Map();
  let weights = 0;
  for (const weight of needs.weights) weights += weight;
  const trials = chosen.flatMap((index) => {
    const option = options[index];
    if (option === undefined) return [];
    const ending = weighBest(
      needs,
      index,
      SOFT_SHARE,
      option.against.map((one) => one.power),
      weighed,
    );
    const shown = [...musts].filter((must) => showsMust(option, supposed.sheet, must, proofs)).length;
    const failing = (weights > 0 ? (ODDS_OF_DANGER * ending) / weights : 0) + ODDS_OF_A_MUST_FAILING * shown;
    return [{ index, cost: costOf(option), failing: Math.min(1, failing) }];
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

/** The dangers at some places, each once though it be needed against it on several bodies. */
function movedIn({ dangers }: Needs, places: Uint32Array): readonly string[] {
  const moved = new Set<string>();
  for (const place of places) {
    const danger = dangers[place];
    if (danger !== undefined) moved.add(danger.sheet.id);
  }
  return [...moved];
}

const costOf = ({ test }: Option): number =>
  test.minutes + test.waitHours * MINUTES_A_WAITING_HOUR + (test.destroys ? MINUTES_FOR_SPOILING : 0);

function planned(
  { test, body }: Option,
  movesAway: () => readonly string[],
  opens: Opens,
  shows: readonly string[],
): PlannedTest {
  const { id, minutes, waitHours, destroys } = test;
  const of = body === undefined ? {} : { body: body.body.id };
  return {
    test: id,
    text: testWords(id, body?.body.id),
    ...of,
    minutes,
    waitHours,
    destroys,
    get movesAway() {
      return movesAway();
    },
    opens,
    shows,
  };
}

/** The sheet asks for bodies of more than one age, and this find has none older to look at. */
function otherAges({ mustsMissing }: Candidate): PlannedTest[] {
  return mustsMissing.some((must) => must.character === AGES_MUST)
    ? [step("find-an-older-one", undefined, 3, { character: "gill-colour" })]
    : [];
}

function step(test: string, body: string | undefined, minutes: number, opens: Opens): PlannedTest {
  const of = body === undefined ? {} : { body };
  const none = { waitHours: 0, destroys: false, movesAway: [], shows: [] };
  return { test, text: testWords(test, body), ...of, minutes, opens, ...none };
}

function cannotSettle(
  body: string,
  danger: Judgement["dangers"][number],
  judgement: Judgement,
  supposed: Candidate,
): CannotSettle {
  const { masks } = evidenceOf(judgement, danger, body);
  const why = [...new Set(masks.map((mask) => mask.why))];
  const alike = `no look at ${body} that is still to be had tells ${theKind(danger.sheet.names.common)} from ${theKind(supposed.sheet.names.common)}`;
  return { sheet: danger.sheet.id, body, why: why.length > 0 ? `${alike} today: ${why.join("; ")}` : alike };
}
