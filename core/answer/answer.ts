/** The answer to a find, as files, the server and the screen carry it. */
import type { Find } from "../find/schema.ts";
import type { Tier } from "../find/taxa.ts";
import type { Family } from "../find/vocabulary.ts";
import type { Contradiction, OddCharacter } from "../judge/candidates.ts";
import type { MaskUse, Point } from "../judge/contradictions.ts";
import type { Status } from "../judge/distance.ts";
import { type Judgement, judge } from "../judge/judge.ts";
import type { MissingMust } from "../judge/musts.ts";
import type { Reason } from "../judge/reason.ts";
import type { Misplaced } from "../judge/season.ts";
import { type BodyVerdict, type Handling, rule, type Verdict } from "../judge/verdict.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import { type AtStake, atStake } from "../next/at-stake.ts";
import { planNext } from "../next/plan.ts";
import type { Plan } from "../next/planned.ts";
import type { ConditionCode } from "../words/reason-words.ts";
import { CandidateLine, DangerLine } from "./lines.ts";

/** Something seen that fits a danger: it speaks for it, sure or not. */
export interface Sign {
  readonly family: Family;
  readonly character: string;
  readonly body: string;
  readonly text: string;
}

export interface DangerAnswer {
  readonly sheet: string;
  readonly name: string;
  readonly scientific: string;
  readonly tier: Tier;
  readonly syndrome?: string;
  readonly mistakes: number;
  readonly status: Status;
  /** A sickener of another continent that the house rule sets aside: it is named and does not count. */
  readonly aside?: true;
  /** The body that is nearest to it. */
  readonly body: string;
  readonly points: readonly Point[];
  readonly masks: readonly MaskUse[];
  readonly speaksFor: readonly Sign[];
  readonly bodies: readonly { readonly body: string; readonly mistakes: number; readonly status: Status }[];
}

export interface CandidateAnswer {
  readonly sheet: string;
  readonly name: string;
  readonly tier: Tier;
  readonly fits: boolean;
  readonly allowed: boolean;
  readonly mustsConfirmed: number;
  readonly mustsMissing: readonly string[];
  readonly missing: readonly MissingMust[];
  readonly contradictions: readonly Contradiction[];
  readonly doubts: readonly Contradiction[];
  /** The one soft character that keeps it from fitting, where it is only one. */
  readonly near?: OddCharacter | undefined;
  /** What the time and the place say against it. */
  readonly misplaced: readonly Misplaced[];
}

/** The whole answer to one find. */
export interface Answer {
  readonly id: string;
  readonly verdict: Verdict;
  readonly edition: string;
  readonly reasons: readonly Reason[];
  readonly conditions?: readonly ConditionCode[];
  readonly restsOn: readonly string[];
  /** How each kind that a basket rests on is handled, by its own sheet. */
  readonly handling?: readonly Handling[];
  readonly dangers: readonly DangerAnswer[];
  readonly candidates: readonly CandidateAnswer[];
  readonly bodies: readonly BodyVerdict[];
  readonly next: Plan;
  /** By character, the standing dangers that looking at it would move. */
  readonly atStake: AtStake;
}

/** Judges a find against the knowledge and answers. Pure: equal find and edition, equal answer, byte for byte. */
export function assess(find: Find, knowledge: Knowledge): Answer {
  const judgement = judge(find, knowledge);
  const ruling = rule(judgement);
  const supposed = supposingAges(find, judgement, knowledge);
  const source = { judgement, signs: new Map() };
  return {
    id: find.id,
    verdict: ruling.verdict,
    edition: knowledge.edition,
    reasons: ruling.reasons,
    ...(ruling.conditions.length > 0 ? { conditions: ruling.conditions } : {}),
    restsOn: ruling.restsOn,
    ...(ruling.handling.length > 0 ? { handling: ruling.handling } : {}),
    dangers: judgement.dangers.map((danger) => new DangerLine(danger, source)),
    candidates: judgement.candidates.map((candidate) => new CandidateLine(candidate)),
    bodies: ruling.bodies,
    next: planNext(supposed, ruling, agesUntold(find)),
    atStake: atStake(supposed),
  };
}

/** Bodies to be kept whose age nobody has told: until it is, their gills and their foot say nothing. */
function agesUntold(find: Find): readonly string[] {
  return find.bodies.filter((body) => body.keep !== false && body.age === undefined).map((body) => body.id);
}

/** The plan begins with telling those ages, and goes on as if they were grown. */
function supposingAges(find: Find, judgement: Judgement, knowledge: Knowledge): Judgement {
  if (agesUntold(find).length === 0) return judgement;
  return judge({ ...find, bodies: find.bodies.map((body) => ({ ...body, age: body.age ?? "mature" })) }, knowledge);
}
