/** From the judgement to an answer: leave, hold or basket, each with its reasons. Never more than the reasons allow. */
import { wordList } from "../find/words.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { type Candidate, HOUSE_RULE_WORDS } from "./candidates.ts";
import { concernsOf } from "./condition.ts";
import type { DangerDistance, Judgement, Refusals } from "./judge.ts";

export const VERDICTS = ["leave", "hold", "basket"] as const;
export type Verdict = (typeof VERDICTS)[number];

/** One reason, with a code that stays and a text for people. */
export interface Reason {
  readonly code: string;
  readonly text: string;
  readonly body?: string;
  readonly sheets?: readonly string[];
}

/** What must still happen before anything is cooked. */
export const CONDITION_WORDS = {
  "second-person": "Show it to somebody who knows this kind, with the specimen in hand.",
  "two-books": "Compare it with the full description in two books: every feature has to match.",
  "cook-through": "Cook it well: fifteen minutes and more.",
  "small-first-portion": "The first time, a small portion of this one kind, then wait until the next morning.",
  "keep-one-raw": "Keep a raw one back in the cold until the meal is well past.",
  "no-alcohol": "Never with alcohol, three days before and three days after.",
  "raw-poisonous": "Raw it is poisonous: keep it apart from all that is eaten raw.",
  "boil-first": "Boil it first and throw that water away, then cook it.",
  "skin-off": "The skin comes off before cooking.",
  "tubes-off": "The tubes come off before cooking.",
  "infusion-only": "Too tough for the pan: for infusions only, and nothing is claimed for it.",
  "cap-only": "Keep the cap only: the stem is riddled.",
  "weather-untold":
    "Nobody told whether there was frost last night. If there was, stain and smell prove nothing: tell it, and look at the answer again.",
  "ground-judged": "You judged this ground clean yourself. The program does not know it.",
} as const;
export type ConditionCode = keyof typeof CONDITION_WORDS;

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

const TOUCHES = "Nothing seen speaks against";
const MISTAKES = [TOUCHES, "One mistake away", "Two mistakes away", "Three mistakes away"];
const NAMED_DANGERS = 3;
/** A print is read after some hours at the least (common practice). */
export const PRINT_HOURS = 4;

/** Rules on a judged find. */
export function rule(judgement: Judgement): Ruling {
  const { scene, candidates, refusals, ground } = judgement;
  const fitting = candidates.filter((candidate) => candidate.fits);
  const findLeaves: Reason[] = [...ground, ...onlyDangers(judgement), ...refusedByHouse(fitting)];
  const answering = fitting.filter(
    (one) =>
      one.fitsPlainly &&
      one.allowed &&
      one.sheet.tier !== "inedible" &&
      one.mustsMissing.length === 0 &&
      one.misplaced.length === 0,
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
  const standing = judgement.dangers.filter((danger) => !danger.aside && statusOn(danger, id) !== "ruled-out");
  const own: Reason[] = standing.length > 0 ? [dangersReason(standing, id)] : [];
  const others = findHolds.filter((reason) => reason.code !== "dangers-stand");
  const verdict: Verdict =
    leaves.length + findLeaves.length > 0 ? "leave" : own.length + others.length > 0 ? "hold" : "basket";
  const reasons = verdict === "leave" ? [...leaves, ...findLeaves] : verdict === "hold" ? [...own, ...others] : [];
  return { body: id, kept: refusal.body.kept, verdict, reasons };
}

const statusOn = (danger: DangerDistance, body: string) =>
  danger.perBody.find((distance) => distance.body === body)?.status ?? "stands";

function dangersReason(dangers: readonly DangerDistance[], body?: string): Reason {
  const named = dangers.slice(0, NAMED_DANGERS).map(({ sheet, nearest, perBody }) => {
    const distance = body === undefined ? nearest : (perBody.find((one) => one.body === body) ?? nearest);
    return { name: `the ${sheet.names.common}`, away: awayWords(distance.mistakes, distance.status) };
  });
  const sentences = [...new Set(named.map((one) => one.away))].map((away) => {
    const names = named.filter((one) => one.away === away).map((one) => one.name);
    return away === TOUCHES ? `${TOUCHES} ${wordList(names)}.` : `${away}: ${wordList(names, "and")}.`;
  });
  const more = dangers.length - named.length;
  return {
    code: "dangers-stand",
    text: [...sentences, ...(more > 0 ? [`${more} more ${more === 1 ? "stands" : "stand"}.`] : [])].join(" "),
    sheets: dangers.map((danger) => danger.sheet.id),
    ...(body === undefined ? {} : { body }),
  };
}

function awayWords(mistakes: number, status: DangerDistance["status"]): string {
  if (mistakes === 0) return TOUCHES;
  const away = MISTAKES[mistakes] ?? `${mistakes} mistakes away`;
  return mistakes > 1 && status === "one-mistake" ? `${away}, but by soft points alone` : away;
}

/** The house rules that keep some kinds out, by name, each once. */
function rulesThatRefuse(refused: readonly Candidate[]): string {
  const rules = refused.flatMap(({ sheet }) =>
    sheet.houseRule === undefined ? [] : [HOUSE_RULE_WORDS[sheet.houseRule]],
  );
  return [...new Set(rules)].join("; ");
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
      text: `It may still be ${namesOf(inedible)}, which ${inedible.length === 1 ? "is" : "are"} not for the pot.`,
      sheets: inedible.map((one) => one.sheet.id),
    });
  const refused = fitting.filter((one) => !one.allowed);
  if (refused.length > 0)
    reasons.push({
      code: "refused-kind-fits",
      text: `It may still be ${namesOf(refused)}, which the house rules refuse (${rulesThatRefuse(refused)}).`,
      sheets: refused.map((one) => one.sheet.id),
    });
  if (rules.naming === "species" && fitting.length > 1)
    reasons.push({
      code: "species-open",
      text: "The house rule asks for one species, and more than one still fits.",
    });
  if (
    answering.length > 0 &&
    scene.kept.some((body) => body.body.wear?.includes("frozen")) &&
    fitting.some((one) => !one.sheet.bearsFrost)
  )
    reasons.push({
      code: "frost-open",
      text: "It is frozen, and not every kind that it may be bears frost.",
    });
  for (const refusal of refusals)
    if (!refusal.body.kept && refusal.stops.some((stop) => !stop.ofThisBody))
      reasons.push({
        code: "other-body-stops",
        body: refusal.body.body.id,
        text: `Body ${refusal.body.body.id} of this find shows a stop sign: are there two kinds here? Split the find.`,
      });
  for (const { body } of scene.kept)
    if (body.print?.laidAt !== undefined && body.print.readAt === undefined)
      reasons.push({
        code: "print-pending",
        body: body.id,
        text: `The print of ${body.id} is still under its cup. It wants ${PRINT_HOURS} hours at the least, overnight as a rule.`,
      });
  if (answering.length > 0 && !restsOnTwoCharacters(answering))
    reasons.push({ code: "one-feature", text: "One feature alone never decides." });
  return reasons;
}

/** The names of some kinds, the first few and how many more. */
function namesOf(candidates: readonly Candidate[]): string {
  const names = candidates.slice(0, NAMED_DANGERS).map((one) => `the ${one.sheet.names.common}`);
  const more = candidates.length - names.length;
  return wordList(more > 0 ? [...names, `${more} more`] : names);
}

/** One feature never clears: the musts of the answer have to ask for at least two characters. */
function restsOnTwoCharacters(answering: readonly Candidate[]): boolean {
  return answering.some(({ sheet }) => new Set(sheet.musts.map((must) => must.character)).size > 1);
}

function mustsReason({ sheet, mustsMissing }: Candidate): Reason {
  return {
    code: "musts-missing",
    text: `If it is the ${sheet.names.common}, still to be seen: ${wordList(
      mustsMissing.map((must) => must.says),
      "and",
    )}.`,
    sheets: [sheet.id],
  };
}

/** What comes near by all but one soft character; what nothing comes near to is unknown. */
function nearReason({ candidates }: Judgement): Reason {
  const near = candidates.filter((one) => one.near !== undefined);
  const first = near[0];
  if (first?.near === undefined)
    return { code: "unknown-kind", text: "It fits no sheet on this shelf. What is unknown stays out." };
  const others = near.slice(1);
  const also =
    others.length === 0 ? "" : ` ${capital(namesOf(others))} ${others.length === 1 ? "comes" : "come"} as near.`;
  return {
    code: "near-fit",
    text: `It would be the ${first.sheet.names.common} but for ${first.near.text}. Look again, or take another body.${also}`,
    sheets: near.map((one) => one.sheet.id),
  };
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function doubtReason(fitting: readonly Candidate[]): Reason {
  const doubt = fitting.find((one) => one.doubts.length > 0)?.doubts[0];
  return doubt === undefined
    ? { code: "nothing-kept-fits", text: "Nothing that still fits is for the pot." }
    : { code: "doubt", text: `In doubt: ${doubt.text}.` };
}

function nothingKept(): Reason {
  return { code: "nothing-kept", text: "No body of this find is marked to be kept." };
}

/** The deadly fit and nothing else does, or comes near. */
function onlyDangers({ dangers, candidates }: Judgement): Reason[] {
  if (candidates.some((one) => one.fits || one.near !== undefined)) return [];
  const fit = dangers.filter((danger) => !danger.aside && danger.nearest.mistakes === 0);
  if (fit.length === 0) return [];
  return [
    {
      code: "only-dangers-fit",
      text: `Of all the sheets only ${wordList(
        fit.slice(0, NAMED_DANGERS).map((danger) => `the ${danger.sheet.names.common}`),
        "and",
      )} ${fit.length === 1 ? "fits" : "fit"}.`,
      sheets: fit.map((danger) => danger.sheet.id),
    },
  ];
}

function refusedByHouse(fitting: readonly Candidate[]): Reason[] {
  if (fitting.length === 0 || fitting.some((one) => one.allowed)) return [];
  const names = namesOf(fitting);
  const rules = [
    ...new Set(
      fitting.flatMap(({ sheet }) => (sheet.houseRule === undefined ? [] : [HOUSE_RULE_WORDS[sheet.houseRule]])),
    ),
  ];
  return [
    {
      code: "house-rule",
      text: `It could only be ${names}, and a house rule of yours leaves that (${rules.join("; ")}).`,
      sheets: fitting.map((one) => one.sheet.id),
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
  const names = wordList(
    sacs.slice(0, NAMED_DANGERS).map((danger) => `the ${danger.sheet.names.common}`),
    "and",
  );
  return [
    {
      code: "base-lost",
      text: `The foot is lost, and ${names} cannot be ruled out without it.`,
      sheets: sacs.map((one) => one.sheet.id),
    },
  ];
}

const hasSac = (sheet: Sheet): boolean => Object.values(sheet.characters.base ?? {}).some((table) => "sac" in table);

/** Buttons alone prove nothing in a kind that has a button-like danger. */
function onlyButtons({ body }: Refusals, { scene, dangers }: Judgement): Reason[] {
  const isButton = (age: string | undefined) => age === "egg" || age === "button";
  if (!isButton(body.body.age) || !scene.bodies.every((one) => isButton(one.body.age))) return [];
  const alike = dangers.filter(
    (danger) => !danger.aside && danger.sheet.buttonLike && statusOn(danger, body.body.id) !== "ruled-out",
  );
  if (alike.length === 0) return [];
  return [
    {
      code: "only-buttons",
      text: `Only buttons here, and a button of the ${alike[0]?.sheet.names.common} looks the same: leave them to grow on, or find an older one.`,
      sheets: alike.map((one) => one.sheet.id),
    },
  ];
}

function basketReason(fitting: readonly Candidate[]): Reason {
  const names = wordList(fitting.map((one) => `the ${one.sheet.names.common}`));
  const genera = [
    ...new Set(
      fitting.map(
        ({ sheet }) => `${sheet.genus.kindsKnown} of about ${sheet.genus.kindsInGenus} kinds of ${sheet.genus.name}`,
      ),
    ),
  ];
  return {
    code: "all-ruled-out",
    text: `Every danger on this shelf that counts here is ruled out for every body that is kept, and it fits ${names}. The shelf holds ${wordList(genera, "and")}, and knows no others.`,
    sheets: fitting.map((one) => one.sheet.id),
  };
}

type KeptBody = Judgement["scene"]["kept"][number]["body"];

function conditionsOf({ scene }: Judgement, fitting: readonly Candidate[], kept: readonly KeptBody[]): ConditionCode[] {
  const codes: ConditionCode[] = ["second-person", "two-books", "cook-through", "small-first-portion", "keep-one-raw"];
  // of several kinds that it may be, the strictest handling holds
  const handlings = fitting.map((one) => one.sheet.handling);
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
