/** Somebody who errs now and then records a specimen and follows the program's advice to the end. */
import { type Body, type Find, findSchema } from "../find/schema.ts";
import { type Age, type CharacterId, definitionOf, SITE_CHARACTERS } from "../find/vocabulary.ts";
import { type Judgement, judge } from "../judge/judge.ts";
import { type Ruling, rule, type Verdict } from "../judge/verdict.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { FIELD_TESTS, type FieldTest } from "../next/field-tests.ts";
import { planNext } from "../next/plan.ts";
import type { Plan, PlannedTest } from "../next/planned.ts";
import { type Chance, pick } from "../trainer/chance.ts";
import { lookedAt, timeAndPlaceOf } from "../trainer/looking.ts";
import { bareBody, type Day, drawSite, drawSpecimen, drawWeather, type Specimen } from "../trainer/specimen.ts";

/** How one simulated find ended. */
export interface Ending {
  readonly verdict: Verdict;
  /** What a basket rested on. */
  readonly passedFor: readonly string[];
  readonly minutes: number;
  readonly steps: number;
  /** Why it was left or held, by code. */
  readonly reasons: readonly string[];
  readonly find: Find;
}

/** Nobody goes on for longer than this. */
const STEPS_AT_MOST = 60;
/** A body that turns out a bad example is put beside another of the troop, up to these. */
const MORE_BODIES = [
  { id: "D", age: "young" },
  { id: "E", age: "mature" },
] as const;
/** A body breaks off its foot when it is lifted. */
const BREAKS = 0.05;
/** What is seen at first glance, without a test. */
const FIRST_GLANCE: readonly CharacterId[] = ["underside", "cap-shape", "cap-colour", "cap-surface"];
const MINUTES_AT_FIRST = 2;

interface Walk {
  readonly chance: Chance;
  readonly slips: number;
  readonly day: Day;
  readonly sheet: Sheet;
  readonly specimens: Map<string, Specimen>;
  readonly site: ReadonlyMap<CharacterId, readonly string[]>;
  find: Find;
  minutes: number;
}

/**
 * Simulates one find of a kind: a young and a grown body, an observer who mistakes each state with the chance `slips`
 * and is sure of it, who does what comes next in the plan until the answer ends the matter or the plan is at its end.
 * Bodies that are not cleared are then put aside, and the rest is answered once more.
 */
export function followAdvice(sheet: Sheet, knowledge: Knowledge, slips: number, day: Day, chance: Chance): Ending {
  const walk = begin(sheet, slips, day, chance);
  const done = new Set<string>();
  let steps = 0;
  let answer = answerTo(walk.find, knowledge);
  while (answer.ruling.verdict === "hold" && steps < STEPS_AT_MOST) {
    const { judgement, ruling } = answer;
    const undone = ({ tests }: Plan) => tests.find((test) => !done.has(keyOf(test)));
    // those that settle only together come last: they are worked out where nothing else is left
    const next = undone(planNext(judgement, ruling, [], "alone")) ?? undone(planNext(judgement, ruling, []));
    const [more] = MORE_BODIES.filter(({ id }) => !walk.specimens.has(id));
    if (next === undefined && more === undefined) break;
    if (next !== undefined) {
      done.add(keyOf(next));
      perform(walk, next);
    } else if (more !== undefined) addBody(walk, more.id, more.age);
    steps += 1;
    answer = answerTo(walk.find, knowledge);
  }
  if (answer.ruling.verdict !== "basket") {
    const cleared = answer.ruling.bodies.filter((body) => body.verdict === "basket").map((body) => body.body);
    const others = walk.find.bodies.filter((body) => !cleared.includes(body.id));
    if (cleared.length > 0 && others.length > 0) {
      for (const body of others) changeBody(walk, body.id, () => ({ keep: false }));
      answer = answerTo(walk.find, knowledge);
    }
  }
  const { verdict, restsOn } = answer.ruling;
  return {
    verdict,
    passedFor: verdict === "basket" ? restsOn : [],
    minutes: walk.minutes,
    steps,
    reasons: answer.ruling.reasons.map((one) => one.code),
    find: walk.find,
  };
}

function answerTo(find: Find, knowledge: Knowledge): { judgement: Judgement; ruling: Ruling } {
  const judgement = judge(find, knowledge);
  return { judgement, ruling: rule(judgement) };
}

const keyOf = (test: PlannedTest): string => `${test.test} ${test.body ?? ""}`;

function begin(sheet: Sheet, slips: number, day: Day, chance: Chance): Walk {
  const site = drawSite(chance, sheet);
  const walk: Walk = {
    chance,
    slips,
    day,
    sheet,
    site,
    specimens: new Map(),
    minutes: MINUTES_AT_FIRST,
    find: findSchema.parse({
      format: "jittery-cap/find",
      version: 1,
      id: "simulated",
      ...timeAndPlaceOf(chance, sheet),
      weather: drawWeather(chance, day),
      rules: { amanitas: "known", smallBrown: "known", upsetters: "cooked" },
      bodies: [{ id: "none" }],
    }),
  };
  walk.find = { ...walk.find, bodies: [] };
  addBody(walk, "A", "young");
  addBody(walk, "B", "mature");
  return walk;
}

function addBody(walk: Walk, id: string, age: Age): void {
  const specimen = drawSpecimen(walk.chance, walk.sheet, age, walk.day);
  walk.specimens.set(id, specimen);
  walk.find = { ...walk.find, bodies: [...walk.find.bodies, bareBody(id, specimen, "standing")] };
  observe(walk, id, FIRST_GLANCE, false);
}

function changeBody(walk: Walk, id: string, change: (body: Body) => Partial<Body>): void {
  walk.find = {
    ...walk.find,
    bodies: walk.find.bodies.map((body) => (body.id === id ? { ...body, ...change(body) } : body)),
  };
}

/** Does one test of the plan and records what was seen, right or wrong. */
function perform(walk: Walk, planned: PlannedTest): void {
  walk.minutes += planned.minutes;
  const test = FIELD_TESTS.find((one) => one.id === planned.test);
  if (planned.test === "find-an-older-one") addBody(walk, "C", "old");
  else if (test?.of === "site") lookAround(walk);
  else if (test !== undefined) performOnBody(walk, planned.body ?? "A", test);
}

function performOnBody(walk: Walk, id: string, test: FieldTest): void {
  if (test.id === "measure") {
    const measures = walk.specimens.get(id)?.measures;
    if (measures !== undefined) changeBody(walk, id, () => ({ measures }));
    return;
  }
  if (test.changes?.lifted !== undefined)
    changeBody(walk, id, () => ({ lifted: walk.chance.next() < BREAKS ? "broken" : "whole" }));
  if (test.changes?.cold === false) walk.find = { ...walk.find, weather: { ...walk.find.weather, warmedInHand: true } };
  observe(walk, id, test.shows, test.heated === true);
}

function lookAround(walk: Walk): void {
  const seen = SITE_CHARACTERS.flatMap((character) => {
    const truth = walk.site.get(character);
    return truth === undefined ? [] : [[character, slip(walk, character, truth)] as const];
  });
  walk.find = { ...walk.find, site: { ...walk.find.site, ...Object.fromEntries(seen) } };
}

function observe(walk: Walk, id: string, characters: readonly CharacterId[], heated: boolean): void {
  const specimen = walk.specimens.get(id);
  const body = walk.find.bodies.find((one) => one.id === id);
  if (specimen === undefined || body === undefined) return;
  const entries = lookedAt(walk.chance, walk.find, body, specimen, characters, heated, (character, states) =>
    slip(walk, character, states),
  );
  changeBody(walk, id, ({ seen }) => ({
    seen: [...(seen ?? []).filter((entry) => !entries.some((one) => one.character === entry.character)), ...entries],
  }));
}

/** Now and then somebody takes a state for any other of its character. */
function slip(walk: Walk, character: CharacterId, states: readonly string[]): readonly string[] {
  if (walk.chance.next() >= walk.slips) return states;
  const others = definitionOf(character).states.filter((state) => !states.includes(state));
  return [pick(walk.chance, others) ?? states[0] ?? ""];
}
