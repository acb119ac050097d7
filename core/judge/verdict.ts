/** From the judgement to an answer: leave, hold or basket, each with its reasons. Never more than the reasons allow. */

import { theKind } from "../find/the-kind.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { type ConditionCode, dangersStand, NAMED, REASON_WORDS } from "../words/reason-words.ts";
import { type Candidate, HOUSE_RULE_WORDS } from "./candidates.ts";
import { concernsOf } from "./condition.ts";
import { type DangerDistance, type Judgement, type Refusals, ruledOutOn } from "./judge.ts";
import type { Reason } from "./reason.ts";

export const VERDICTS = ["leave", "hold", "basket"] as const;
export type Verdict = (typeof VERDICTS)[number];

/** The answer for one body. */
export interface BodyVerdict {
  readonly body: string;
  readonly kept: boolean;
  readonly verdict: Verdict;
  readonly reasons: readonly Reason[];
}

/** What a kind's own sheet says of the kitchen. */
export interface Handling {
  readonly sheet: string;
  readonly name: string;
  readonly parts: string;
  readonly cooking: string;
  readonly warnings: readonly string[];
}

export interface Ruling {
  readonly verdict: Verdict;
  readonly reasons: readonly Reason[];
  readonly bodies: readonly BodyVerdict[];
  /** The kinds an answer of basket rests on; it knows no others. */
  readonly restsOn: readonly string[];
  /** How each of them is handled, by its own sheet. */
  readonly handling: readonly Handling[];
  readonly conditions: readonly ConditionCode[];
}

/** A print is read after some hours at the least (common practice). */
export const PRINT_HOURS = 4;

/** Rules on a judged find. */
export function rule(judgement: Judgement): Ruling {
  const { scene, candidates, refusals, ground } = judgement;
  const fitting = candidates.filter((candidate) => candidate.fits);
  const findLeaves: Reason[] = [...ground, ...onlyDangers(judgement), ...refusedByHouse(fitting)];
  const answering = fitting.filter(
    (one) =>
      one.fitsPlainly && one.allowed && one.sheet.tier !== "inedible" && !one.lacksMusts && one.misplaced.length === 0,
  );
  const findHolds = holdReasons(judgement, fitting, answering);
  const bodies = refusals.map((refusal) => bodyVerdict(refusal, judgement, findLeaves, findHolds));
  const kept = bodies.filter((body) => body.kept);
  const verdict: Verdict =
    findLeaves.length > 0 || kept.some((body) => body.verdict === "leave")
      ? "leave"
      : kept.length > 0 && kept.every((body) => body.verdict === "basket")
        ? "basket"
        : "hold";
  const reasons =
    verdict === "basket"
      ? [basketReason(fitting)]
      : verdict === "leave"
        ? [...findLeaves, ...kept.filter((body) => body.verdict === "leave").flatMap((body) => body.reasons)]
        : [...findHolds, ...(kept.length === 0 ? [nothingKept()] : [])];
  const basket = verdict === "basket";
  return {
    verdict,
    reasons: unique(reasons),
    bodies,
    restsOn: basket ? fitting.map((one) => one.sheet.id) : [],
    handling: basket ? fitting.map(handlingOf) : [],
    conditions: basket
      ? conditionsOf(
          judgement,
          fitting,
          scene.kept.map((body) => body.body),
        )
      : [],
  };
}

function bodyVerdict(
  refusal: Refusals,
  judgement: Judgement,
  findLeaves: readonly Reason[],
  findHolds: readonly Reason[],
): BodyVerdict {
  const id = refusal.body.body.id;
  const lost = baseLost(refusal, judgement);
  const leaves: Reason[] = [...refusal.stops, ...refusal.condition, ...lost, ...onlyButtons(refusal, judgement)].map(
    (stop) => ({
      ...stop,
      body: id,
    }),
  );
  const isRuledOut = ruledOutOn(judgement, id);
  const standing = judgement.dangers.filter((danger) => !danger.aside && !isRuledOut(danger));
  const own: Reason[] = standing.length > 0 ? [dangersReason(standing, id)] : [];
  const others = findHolds.filter(
    ({ code, body }) => code !== "dangers-stand" && (code !== "dried-out" || body === id),
  );
  const verdict: Verdict =
    leaves.length + findLeaves.length > 0 ? "leave" : own.length + others.length > 0 ? "hold" : "basket";
  const reasons = verdict === "leave" ? [...leaves, ...findLeaves] : verdict === "hold" ? [...own, ...others] : [];
  return { body: id, kept: refusal.body.kept, verdict, reasons };
}

function dangersReason(dangers: readonly DangerDistance[], body?: string): Reason {
  const standing = dangers.slice(0, NAMED).map(({ sheet, nearest, perBody }) => {
    const { mistakes, status } = body === undefined ? nearest : (perBody.find((one) => one.body === body) ?? nearest);
    return { name: theName(sheet), mistakes, softOnly: status === "one-mistake" };
  });
  return {
    code: "dangers-stand",
    text: dangersStand(standing, dangers.length),
    sheets: dangers.map((danger) => danger.sheet.id),
    ...(body === undefined ? {} : { body }),
  };
}

const theName = (sheet: Sheet): string => theKind(sheet.names.common);
const namesOf = (all: readonly { readonly sheet: Sheet }[]): string[] => all.map((one) => theName(one.sheet));
const idsOf = (all: readonly { readonly sheet: Sheet }[]): string[] => all.map((one) => one.sheet.id);

/** The house rules that keep some kinds out, in words, each once. */
function rulesThatRefuse(refused: readonly Candidate[]): string[] {
  const rules = new Set<string>();
  for (const { sheet } of refused) if (sheet.houseRule !== undefined) rules.add(HOUSE_RULE_WORDS[sheet.houseRule]);
  return [...rules];
}

function holdReasons(judgement: Judgement, fitting: readonly Candidate[], answering: readonly Candidate[]): Reason[] {
  const { scene, dangers, rules, refusals } = judgement;
  const reasons: Reason[] = [];
  const standing = dangers.filter((danger) => !danger.aside && danger.status !== "ruled-out");
  if (standing.length > 0) reasons.push(dangersReason(standing));
  if (fitting.length === 0) reasons.push(nearReason(judgement));
  const best = fitting.find((one) => one.fitsPlainly && one.allowed && one.sheet.tier !== "inedible");
  if (fitting.length > 0 && answering.length === 0) {
    if (best === undefined) reasons.push(doubtReason(fitting));
    else {
      if (best.mustsMissing.length > 0) reasons.push(mustsReason(best));
      for (const { code, text } of best.misplaced) reasons.push({ code, text, sheets: [best.sheet.id] });
    }
  }
  const inedible = fitting.filter((one) => one.sheet.tier === "inedible");
  if (inedible.length > 0)
    reasons.push({
      code: "inedible-fits",
      text: REASON_WORDS.inedibleFits(namesOf(inedible)),
      sheets: idsOf(inedible),
    });
  const refused = fitting.filter((one) => !one.allowed);
  if (refused.length > 0)
    reasons.push({
      code: "refused-kind-fits",
      text: REASON_WORDS.refusedKindFits(namesOf(refused), rulesThatRefuse(refused)),
      sheets: idsOf(refused),
    });
  if (rules.naming === "species" && fitting.length > 1)
    reasons.push({ code: "species-open", text: REASON_WORDS.speciesOpen });
  if (
    answering.length > 0 &&
    scene.kept.some((body) => body.body.wear?.includes("frozen")) &&
    fitting.some((one) => !one.sheet.bearsFrost)
  )
    reasons.push({ code: "frost-open", text: REASON_WORDS.frostOpen });
  // not spoilt, but silent: stains, milk, smell and shades of what dried where it stood are nobody's evidence
  for (const { body } of scene.kept)
    if (body.wear?.includes("dried-out"))
      reasons.push({ code: "dried-out", body: body.id, text: REASON_WORDS.driedOut(body.id) });
  for (const refusal of refusals)
    if (!refusal.body.kept && refusal.stops.some((stop) => !stop.ofThisBody))
      reasons.push({
        code: "other-body-stops",
        body: refusal.body.body.id,
        text: REASON_WORDS.otherBodyStops(refusal.body.body.id),
      });
  for (const { body } of scene.kept)
    if (body.print?.laidAt !== undefined && body.print.readAt === undefined)
      reasons.push({
        code: "print-pending",
        body: body.id,
        text: REASON_WORDS.printPending(body.id, PRINT_HOURS),
      });
  if (answering.length > 0 && !restsOnTwoCharacters(answering))
    reasons.push({ code: "one-feature", text: REASON_WORDS.oneFeature });
  return reasons;
}

/** One feature never clears: the musts of the answer have to ask for at least two characters. */
function restsOnTwoCharacters(answering: readonly Candidate[]): boolean {
  return answering.some(({ sheet }) => new Set(sheet.musts.map((must) => must.character)).size > 1);
}

function mustsReason({ sheet, mustsMissing }: Candidate): Reason {
  return {
    code: "musts-missing",
    text: REASON_WORDS.mustsMissing(
      theName(sheet),
      mustsMissing.map((must) => must.says),
    ),
    sheets: [sheet.id],
  };
}

/** What comes near by all but one soft character; what nothing comes near to is unknown. */
function nearReason({ candidates }: Judgement): Reason {
  const near = candidates.filter((one) => one.near !== undefined);
  const first = near[0];
  if (first?.near === undefined) return { code: "unknown-kind", text: REASON_WORDS.unknownKind };
  return {
    code: "near-fit",
    text: REASON_WORDS.nearFit(theName(first.sheet), first.near.text, namesOf(near.slice(1))),
    sheets: idsOf(near),
  };
}

function doubtReason(fitting: readonly Candidate[]): Reason {
  const doubt = fitting.find((one) => one.doubts.length > 0)?.doubts[0];
  return doubt === undefined
    ? { code: "nothing-kept-fits", text: REASON_WORDS.nothingKeptFits }
    : { code: "doubt", text: REASON_WORDS.doubt(doubt.text) };
}

function nothingKept(): Reason {
  return { code: "nothing-kept", text: REASON_WORDS.nothingKept };
}

/** The deadly fit and nothing else does, or comes near. */
function onlyDangers({ dangers, candidates }: Judgement): Reason[] {
  if (candidates.some((one) => one.fits || one.near !== undefined)) return [];
  const fit = dangers.filter((danger) => !danger.aside && danger.mistakes === 0);
  if (fit.length === 0) return [];
  return [
    {
      code: "only-dangers-fit",
      text: REASON_WORDS.onlyDangersFit(namesOf(fit)),
      sheets: idsOf(fit),
    },
  ];
}

function refusedByHouse(fitting: readonly Candidate[]): Reason[] {
  if (fitting.length === 0 || fitting.some((one) => one.allowed)) return [];
  return [
    {
      code: "house-rule",
      text: REASON_WORDS.houseRule(namesOf(fitting), rulesThatRefuse(fitting)),
      sheets: idsOf(fitting),
    },
  ];
}

/** A foot that is gone, where a danger with a sac still stands. Another body that can be dug keeps the question open. */
function baseLost({ body }: Refusals, { scene, dangers }: Judgement): Reason[] {
  const isLost = (lifted: string | undefined) => lifted === "cut" || lifted === "broken" || lifted === "mown";
  if (!isLost(body.body.lifted) || !scene.bodies.every((one) => isLost(one.body.lifted))) return [];
  if (body.conditions.joinedFeet) return [];
  // where something hard speaks against a sac-footed kind already, its foot is no longer the whole question
  const sacs = dangers.filter(
    (danger) =>
      !danger.aside && hasSac(danger.sheet) && !danger.perBody.some((one) => one.body === body.body.id && one.hard),
  );
  if (sacs.length === 0) return [];
  return [{ code: "base-lost", text: REASON_WORDS.baseLost(namesOf(sacs)), sheets: idsOf(sacs) }];
}

const hasSac = (sheet: Sheet): boolean => Object.values(sheet.characters.base ?? {}).some((table) => "sac" in table);

/** Buttons alone prove nothing in a kind that has a button-like danger. */
function onlyButtons({ body }: Refusals, judgement: Judgement): Reason[] {
  const { scene, dangers } = judgement;
  const isButton = (age: string | undefined) => age === "egg" || age === "button";
  if (!isButton(body.body.age) || !scene.bodies.every((one) => isButton(one.body.age))) return [];
  const isRuledOut = ruledOutOn(judgement, body.body.id);
  const alike = dangers.filter((danger) => !danger.aside && danger.sheet.buttonLike && !isRuledOut(danger));
  const [first] = alike;
  if (first === undefined) return [];
  return [{ code: "only-buttons", text: REASON_WORDS.onlyButtons(theName(first.sheet)), sheets: idsOf(alike) }];
}

function basketReason(fitting: readonly Candidate[]): Reason {
  const genera = fitting.map(({ sheet }) =>
    REASON_WORDS.ofGenus(sheet.genus.kindsKnown, sheet.genus.kindsInGenus, sheet.genus.name),
  );
  return {
    code: "all-ruled-out",
    text: REASON_WORDS.allRuledOut(namesOf(fitting), [...new Set(genera)]),
    sheets: idsOf(fitting),
  };
}

type KeptBody = Judgement["scene"]["kept"][number]["body"];

function conditionsOf({ scene }: Judgement, fitting: readonly Candidate[], kept: readonly KeptBody[]): ConditionCode[] {
  // of several kinds that it may be, the strictest handling holds
  const handlings = fitting.map((one) => one.sheet.handling);
  // what no pan makes tender is not cooked for fifteen minutes: that it is for infusions only is said below
  const isCooked = handlings.some((handling) => handling.infusionOnly !== true);
  const codes: ConditionCode[] = [
    "second-person",
    "two-books",
    ...(isCooked ? (["cook-through"] as const) : []),
    "small-first-portion",
    "keep-one-raw",
  ];
  if (handlings.some((handling) => handling.alcohol === "never")) codes.push("no-alcohol");
  if (handlings.some((handling) => handling.rawPoisonous === true)) codes.push("raw-poisonous");
  if (handlings.some((handling) => handling.boilFirst === true)) codes.push("boil-first");
  if (handlings.some((handling) => handling.remove?.includes("skin") === true)) codes.push("skin-off");
  if (handlings.some((handling) => handling.remove?.includes("tubes") === true)) codes.push("tubes-off");
  if (handlings.some((handling) => handling.infusionOnly === true)) codes.push("infusion-only");
  if (kept.some((body) => body.larvaeParts?.stem === "riddled")) codes.push("cap-only");
  if (scene.find.weather?.frostLastNight === undefined) codes.push("weather-untold");
  if (concernsOf(scene.find).length > 0) codes.push("ground-judged");
  return fitting.length > 0 ? codes : [];
}

function handlingOf({ sheet }: Candidate): Handling {
  const { parts, cooking, warnings } = sheet.handling;
  return { sheet: sheet.id, name: sheet.names.common, parts, cooking, warnings: warnings ?? [] };
}

function unique(reasons: readonly Reason[]): Reason[] {
  return reasons.filter(
    (reason, index) => reasons.findIndex((one) => one.text === reason.text && one.code === reason.code) === index,
  );
}
