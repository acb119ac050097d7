/** The front door of the judgement: a find and the knowledge in, everything that follows from them out. */
import type { Find } from "../find/schema.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import type { Tables } from "../knowledge/tables.ts";
import { type Candidate, candidatesOf } from "./candidates.ts";
import { conditionRefusals, groundRefusals, type RulesInForce, rulesOf } from "./condition.ts";
import {
  type BodyWeighing,
  type Distance,
  distanceIn,
  type Evidence,
  evidenceIn,
  isRuledOutIn,
  mistakesIn,
  STATUSES,
  type Status,
  statusOf,
  weighBody,
  weighedLook,
  weighLooks,
} from "./distance.ts";
import { likelinesses } from "./ranking.ts";
import { type BodyScene, inheritedLooks, type Scene, sceneOf } from "./scene.ts";
import { type StopSign, stopSignsOf } from "./stop-signs.ts";

/** A danger with its distance from every body and from the find: that of its nearest kept body. */
export interface DangerDistance {
  readonly sheet: Sheet;
  /** Its row on the tables of the dangers. */
  readonly row: number;
  /** The body with the fewest mistakes between it and the danger, and how many they are. */
  readonly body: string;
  readonly mistakes: number;
  /** All of that body's distance. */
  readonly nearest: Distance;
  /** The least cleared status of all the bodies that count: one body that is not cleared is enough. */
  readonly status: Status;
  readonly perBody: readonly Distance[];
  readonly likeliness: number;
  /** A sickener of another continent, by the house rule: named, and not counted. */
  readonly aside: boolean;
}

/** What refuses one body whatever its distances: stop signs and condition. */
export interface Refusals {
  readonly body: BodyScene;
  readonly stops: readonly StopSign[];
  readonly condition: readonly StopSign[];
}

/** All that the verdict rests on. */
export interface Judgement {
  readonly knowledge: Knowledge;
  readonly scene: Scene;
  readonly rules: RulesInForce;
  /** Nearest first: fewest mistakes, then likeliest. */
  readonly dangers: readonly DangerDistance[];
  /** Every body with its looks weighed against every danger, in the order of the scene. */
  readonly weighed: readonly BodyWeighing[];
  /** Those that fit first, then by likeliness. */
  readonly candidates: readonly Candidate[];
  readonly refusals: readonly Refusals[];
  readonly ground: readonly StopSign[];
}

/** Judges a find. Pure and deterministic; the order of bodies and observations changes nothing. */
export function judge(find: Find, knowledge: Knowledge): Judgement {
  const scene = sceneOf(find);
  const rules = rulesOf(find);
  const { dangerTables, soughtTables } = knowledge;
  const weighed = weighAll(dangerTables, scene);
  const counted = weighed.filter(({ body }) => body.kept || scene.kept.length === 0);
  const dangers = standings(dangerTables, weighed, counted, likelinesses(dangerTables, scene), find, rules);

  const likelySought = likelinesses(soughtTables, scene);
  const rows = candidatesOf(soughtTables, scene, rules);
  // one that fits is contradicted by nothing; the rows stand in the order of the ids, and sorting keeps equals as they came
  const contradicted = new Uint16Array(rows.length);
  for (let row = 0; row < rows.length; row += 1) contradicted[row] = rows[row]?.contradicted ?? 0;
  const candidates: Candidate[] = [];
  for (const row of orderOf(contradicted, likelySought)) {
    const one = rows[row];
    if (one !== undefined) candidates.push(one);
  }

  return {
    knowledge,
    scene,
    rules,
    dangers,
    weighed,
    candidates,
    refusals: refusalsOf(scene, rules, candidates),
    ground: groundRefusals(find, rules),
  };
}

/** Whether a danger is a sickener that the region told has not; deadly and serious kinds travel. */
function isForeign(sheet: Sheet, { place }: Find, rules: RulesInForce): boolean {
  return (
    sheet.tier === "sickener" &&
    rules.foreignSickeners === "aside" &&
    place?.region !== undefined &&
    sheet.months[place.region] === undefined
  );
}

/** Whether dangers are ruled out on one body; on a body that the find does not have none is. */
export function ruledOutOn({ weighed, rules }: Judgement, body: string): (danger: DangerDistance) => boolean {
  const on = weighed.find((one) => one.body.body.id === body);
  return ({ row }) => on !== undefined && isRuledOutIn(on, row, rules.distance);
}

/** Why a danger stands where it does on one body, in words. Made when it is asked for: there are many dangers. */
export function evidenceOf({ weighed }: Judgement, danger: DangerDistance, body: string): Evidence {
  const on = weighed.find((one) => one.body.body.id === body);
  return on === undefined ? { points: [], masks: [], speaksFor: [] } : evidenceIn(on, danger.sheet, danger.row);
}

/** Every body of a find weighed against every danger of a table, in the order of the scene. */
export function weighAll(dangers: Tables, scene: Scene): readonly BodyWeighing[] {
  const site = [...scene.site.values()].map((look) => weighedLook(dangers, look, undefined));
  const looked = scene.bodies.map((body) => weighLooks(dangers, body));
  return looked.map((one) =>
    weighBody(
      dangers,
      site,
      one,
      looked.filter((other) => other !== one),
      inheritedLooks(scene, one.body),
    ),
  );
}

/**
 * The rows of a table, the smallest number first, of equals the likeliest, and then as they come. All three as one whole
 * number a row, since numbers are sorted many times as fast as anything that has to be compared by a function.
 */
function orderOf(first: Uint8Array | Uint16Array, likeliness: Float64Array): Uint32Array {
  const size = first.length;
  const ascending = likeliness.slice();
  if (!isAscending(ascending)) ascending.sort();
  const keys = new Float64Array(size);
  for (let row = 0; row < size; row += 1) {
    const likelier = size - placeOf(likeliness[row] ?? 0, ascending);
    // below 2^53 on any shelf of less than a hundred thousand sheets
    keys[row] = ((first[row] ?? 0) * (size + 1) + likelier) * size + row;
  }
  if (!isAscending(keys)) keys.sort();
  const order = new Uint32Array(size);
  for (let place = 0; place < size; place += 1) {
    const key = keys[place] ?? 0;
    order[place] = key - Math.floor(key / size) * size;
  }
  return order;
}

/** Whether there is nothing to sort, as where little was seen yet. */
function isAscending(values: Float64Array): boolean {
  for (let place = 1; place < values.length; place += 1)
    if ((values[place] ?? 0) < (values[place - 1] ?? 0)) return false;
  return true;
}

/** The first place of a value among ascending ones. */
function placeOf(value: number, ascending: Float64Array): number {
  let low = 0;
  let high = ascending.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((ascending[middle] ?? 0) < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Every danger with its standing, nearest first: fewest mistakes, then likeliest. */
function standings(
  tables: Tables,
  weighed: readonly BodyWeighing[],
  counted: readonly BodyWeighing[],
  likeliness: Float64Array,
  find: Find,
  rules: RulesInForce,
): DangerDistance[] {
  const size = tables.sheets.length;
  const mistakes = new Uint8Array(size);
  const statuses = new Uint8Array(size);
  /** Number of the nearest body among those counted: of equals the first by its letter. */
  const nearest = new Uint8Array(size);
  const ofNearest = new Uint8Array(size);
  counted.forEach((body, number) => {
    for (let row = 0; row < size; row += 1) {
      const away = mistakesIn(body, row);
      const status = STATUSES.indexOf(statusOf(away, body.hard[row] === 1, rules.distance));
      const before = mistakes[row] ?? 0;
      if (number === 0 || away < before || (away === before && status < (ofNearest[row] ?? 0))) {
        mistakes[row] = away;
        nearest[row] = number;
        ofNearest[row] = status;
      }
      if (number === 0 || status < (statuses[row] ?? 0)) statuses[row] = status;
    }
  });
  const order: Standing[] = [];
  for (const row of orderOf(mistakes, likeliness)) {
    const sheet = tables.sheets[row];
    const body = counted[nearest[row] ?? 0];
    const status = STATUSES[statuses[row] ?? 0];
    if (sheet === undefined || body === undefined || status === undefined) continue;
    const aside = isForeign(sheet, find, rules);
    const likely = likeliness[row] ?? 0;
    order.push(new Standing(sheet, row, mistakes[row] ?? 0, status, likely, aside, body, weighed, rules.distance));
  }
  return order;
}

/** A danger's standing; the distance of each body is worked out when it is asked for, since there are many dangers. */
class Standing implements DangerDistance {
  readonly body: string;
  readonly #on: BodyWeighing;
  readonly #weighed: readonly BodyWeighing[];
  readonly #asked: 2 | 3;
  #nearest: Distance | undefined;
  #perBody: readonly Distance[] | undefined;

  constructor(
    readonly sheet: Sheet,
    readonly row: number,
    readonly mistakes: number,
    readonly status: Status,
    readonly likeliness: number,
    readonly aside: boolean,
    on: BodyWeighing,
    weighed: readonly BodyWeighing[],
    asked: 2 | 3,
  ) {
    this.body = on.body.body.id;
    this.#on = on;
    this.#weighed = weighed;
    this.#asked = asked;
  }

  get nearest(): Distance {
    this.#nearest ??= distanceIn(this.#on, this.row, this.#asked);
    return this.#nearest;
  }

  get perBody(): readonly Distance[] {
    this.#perBody ??= this.#weighed.map((body) => distanceIn(body, this.row, this.#asked));
    return this.#perBody;
  }
}

function refusalsOf(scene: Scene, rules: RulesInForce, candidates: readonly Candidate[]): Refusals[] {
  const fitting = candidates.filter((candidate) => candidate.fits);
  const bearsFrost = fitting.some((candidate) => candidate.sheet.bearsFrost);
  // what the kind aimed at has by itself is no stop sign, where the rules allow its genus; a near fit is aimed at too.
  // A kind is aimed at once half of what it must show has been seen: a ring and pale gills alone aim at nothing
  let known: readonly Candidate[] | undefined;
  const excusing = (): readonly Candidate[] => {
    known ??= candidates.filter(
      (one) =>
        (one.fits || one.near !== undefined) &&
        one.mustsConfirmed >= one.mustsMissing.length &&
        (one.allowed || one.sheet.houseRule !== "amanitas") &&
        one.sheet.tier !== "inedible",
    );
    return known;
  };
  return scene.bodies.map((body) => ({
    body,
    stops: stopSignsOf({
      scene,
      body,
      smallBrownAllowed: rules.smallBrown === "known",
      aimedAt: (states) =>
        excusing().some(({ sheet }) =>
          states.every(
            ([character, state]) => sheet.characters[character]?.[body.body.age ?? "mature"]?.[state] !== undefined,
          ),
        ),
    }),
    condition: conditionRefusals(body.body, rules, bearsFrost),
  }));
}
