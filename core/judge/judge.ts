/** The front door of the judgement: a find and the knowledge in, everything that follows from them out. */
import type { Find } from "../find/schema.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { type Candidate, candidatesOf } from "./candidates.ts";
import { conditionRefusals, groundRefusals, type RulesInForce, rulesOf } from "./condition.ts";
import {
  type BodyWeighing,
  type Distance,
  distanceIn,
  type Evidence,
  evidenceIn,
  STATUSES,
  type Status,
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
  /** The body with the fewest mistakes between it and the danger. */
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
  const site = [...scene.site.values()].map((look) => weighedLook(dangerTables, look, undefined));
  const looked = scene.bodies.map((body) => weighLooks(dangerTables, body));
  const weighed = looked.map((one) =>
    weighBody(
      dangerTables,
      site,
      one,
      looked.filter((other) => other !== one),
      inheritedLooks(scene, one.body),
    ),
  );
  const counted = weighed.filter(({ body }) => body.kept || scene.kept.length === 0);

  const likely = likelinesses(dangerTables, scene);
  const dangers = knowledge.dangers.map((sheet, row): DangerDistance => {
    const perBody = weighed.map((body) => distanceIn(body, row, rules.distance));
    const ofCounted =
      counted.length === weighed.length ? perBody : counted.map((body) => distanceIn(body, row, rules.distance));
    const nearest = ofCounted.reduce((near, distance) => (compareDistances(distance, near) < 0 ? distance : near));
    const status = STATUSES[Math.min(...ofCounted.map((distance) => STATUSES.indexOf(distance.status)))] ?? "stands";
    return { sheet, row, nearest, status, perBody, likeliness: likely[row] ?? 0, aside: isForeign(sheet, find, rules) };
  });
  dangers.sort(
    (one, other) =>
      one.nearest.mistakes - other.nearest.mistakes ||
      other.likeliness - one.likeliness ||
      (one.sheet.id < other.sheet.id ? -1 : 1),
  );

  const likelySought = likelinesses(soughtTables, scene);
  const ranked = candidatesOf(soughtTables, scene, rules).map((candidate, row) => ({
    candidate,
    likeliness: likelySought[row] ?? 0,
  }));
  ranked.sort(
    (one, other) =>
      Number(other.candidate.fits) - Number(one.candidate.fits) ||
      one.candidate.contradicted - other.candidate.contradicted ||
      other.likeliness - one.likeliness ||
      (one.candidate.sheet.id < other.candidate.sheet.id ? -1 : 1),
  );
  const candidates = ranked.map(({ candidate }) => candidate);

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

/** Why a danger stands where it does on one body, in words. Made when it is asked for: there are many dangers. */
export function evidenceOf({ weighed }: Judgement, danger: DangerDistance, body: string): Evidence {
  const on = weighed.find((one) => one.body.body.id === body);
  return on === undefined ? { points: [], masks: [], speaksFor: [] } : evidenceIn(on, danger.sheet, danger.row);
}

function compareDistances(one: Distance, other: Distance): number {
  return (
    one.mistakes - other.mistakes ||
    STATUSES.indexOf(one.status) - STATUSES.indexOf(other.status) ||
    (one.body < other.body ? -1 : 1)
  );
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
