/** What proves nothing today: a record, a day and a danger; which of these observations count against it? */
import type { Body, Find } from "../find/schema.ts";
import { type Age, CHARACTER_IDS, definitionOf, isCharacterId, type Lift } from "../find/vocabulary.ts";
import { CHARACTER_WORDS, stateWords, wordList } from "../find/words.ts";
import { evidenceOf, judge } from "../judge/judge.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import { type Chance, chanceOf, pick, pickSome } from "./chance.ts";
import { lookedAt, timeAndPlaceOf } from "./looking.ts";
import { bareBody, coherent, DAYS, type Day, drawSpecimen, drawWeather } from "./specimen.ts";

/** One observation to be weighed. */
export interface ToWeigh {
  readonly character: string;
  readonly text: string;
  readonly counts: boolean;
  /** Why it proves nothing, or what it says against the danger. */
  readonly why: string;
  /** What would lift what hides it. */
  readonly lift?: string | undefined;
  readonly mask?: string | undefined;
}

export interface NothingToday {
  readonly kind: "nothing";
  readonly skill: string;
  readonly seed: string;
  readonly danger: string;
  readonly find: Find;
  /** The day and the body, a clause each. */
  readonly conditions: readonly string[];
  readonly observations: readonly ToWeigh[];
}

const AGES: readonly Age[] = ["button", "young", "mature", "old"];
const LIFTED: readonly Lift[] = ["whole", "whole", "cut", "pulled", "mown"];
/** So many days and bodies are tried before another mask is taken. */
const TRIES = 60;
const SHOWN = 3;
/** Dangers far down the list are nobody's question. */
const NEAREST = 40;

/** Makes one for a mask, or for another where the wood does not show it in so many tries. */
export function makeNothingToday(mask: string, knowledge: Knowledge, seed: string): NothingToday | undefined {
  let other: NothingToday | undefined;
  for (let index = 0; index < TRIES; index += 1) {
    const made = tryDay(mask, knowledge, `${seed}/${index}`);
    if (made?.skill === `mask:${mask}`) return made;
    other ??= made;
  }
  return other;
}

function tryDay(wanted: string, knowledge: Knowledge, seed: string): NothingToday | undefined {
  const chance = chanceOf(seed, "nothing");
  const sheet = pick(chance, knowledge.sought);
  const day = pick(chance, DAYS) ?? "any";
  const age = pick(chance, AGES) ?? "mature";
  if (sheet === undefined) return undefined;
  const find = recordOf(chance, sheet, day, age);
  const judgement = judge(find, knowledge);
  const asked = pickSome(
    chance,
    judgement.dangers.filter(({ sheet: { tier } }) => tier !== "sickener").slice(0, NEAREST),
    NEAREST,
  );
  let best: NothingToday | undefined;
  for (const danger of asked) {
    const { points, masks } = evidenceOf(judgement, danger, "A");
    const hidden = masks.filter(
      (one, index) => masks.findIndex((other) => other.character === one.character) === index,
    );
    if (hidden.length === 0 || points.length === 0) continue;
    const first = hidden.find((one) => one.mask === wanted) ?? hidden[0];
    if (first === undefined) continue;
    const made: NothingToday = {
      kind: "nothing",
      skill: `mask:${first.mask}`,
      seed,
      danger: danger.sheet.id,
      find,
      conditions: conditionsTold(find),
      observations: pickSome(
        chance,
        [
          ...[first, ...hidden.filter((one) => one !== first)].slice(0, SHOWN).map((one) => ({
            character: one.character,
            text: seenWords(find, one.character),
            counts: false,
            why: one.why,
            lift: one.lift,
            mask: one.mask,
          })),
          ...pickSome(
            chance,
            points.filter(
              (point) => isCharacterId(point.character) && !hidden.some((one) => one.character === point.character),
            ),
            SHOWN,
          ).map((point) => ({
            character: point.character,
            text: seenWords(find, point.character),
            counts: true,
            why: point.text,
          })),
        ],
        2 * SHOWN,
      ),
    };
    if (made.observations.every((one) => !one.counts)) continue;
    if (first.mask === wanted) return made;
    best ??= made;
  }
  return best;
}

function recordOf(chance: Chance, sheet: Knowledge["sheets"][number], day: Day, age: Age): Find {
  const specimen = coherent(drawSpecimen(chance, sheet, age, day));
  const paper = pick(chance, ["split-black-white", "split-black-white", "white-only", "black-only"] as const);
  const weather = { ...drawWeather(chance, day), ...(paper === undefined ? {} : { printPaper: paper }) };
  const bare = bareBody("A", specimen, pick(chance, LIFTED) ?? "whole");
  const picked = chance.next() < 0.15 ? { hoursSincePicked: 8 } : {};
  const find: Find = {
    format: "jittery-cap/find",
    version: 1,
    id: "nothing",
    ...timeAndPlaceOf(chance, sheet),
    weather,
    bodies: [{ ...bare, ...picked }],
  };
  const characters = CHARACTER_IDS.filter((one) => definitionOf(one).of === "body" && !HEATED.has(one));
  const [body] = find.bodies;
  if (body === undefined) return find;
  return { ...find, bodies: [{ ...body, seen: lookedAt(chance, find, body, specimen, characters, false) }] };
}
const HEATED: ReadonlySet<string> = new Set(["stain-heated", "smell-heated", "bisection"]);

function seenWords(find: Find, character: string): string {
  const seen = find.bodies[0]?.seen?.find((entry) => entry.character === character)?.states ?? [];
  if (!isCharacterId(character)) return character;
  const words = seen.map((state) => (state === "none" ? "none, though looked for" : stateWords(character, state)));
  return `${CHARACTER_WORDS[character].plain}: ${wordList(words, "and")}`;
}

const AGE_WORDS: Readonly<Record<Age, string>> = {
  egg: "an egg",
  button: "a button",
  young: "a young one",
  mature: "a grown one",
  old: "an old one",
};
const LIFT_WORDS: Readonly<Record<Lift, string>> = {
  standing: "still standing",
  whole: "lifted whole",
  pulled: "pulled out, the hole not looked into",
  cut: "cut off, the foot left behind",
  broken: "its foot broken off",
  mown: "mown",
};

/** The day and its only body, a clause each, as far as they may hide something. */
export const conditionsTold = (find: Find): readonly string[] => [
  ...weatherTold(find),
  ...find.bodies.slice(0, 1).flatMap((body) => bodyTold(body)),
  ...paperTold(find),
];

/** The day of a find and its bodies, each body in one clause. */
export const dayTold = (find: Find): readonly string[] => [
  ...weatherTold(find),
  ...find.bodies.map((body) => `${body.id}: ${bodyTold(body).join(", ")}`),
];

function weatherTold({ weather = {}, foundAt }: Find): string[] {
  const told: string[] = [];
  if (foundAt !== undefined) told.push(monthTold(foundAt));
  if (weather.frostLastNight === true) told.push("frost last night");
  if ((weather.drySpellDays ?? 0) > 0) told.push(`${weather.drySpellDays} dry days`);
  if (weather.airTempC !== undefined) told.push(`${weather.airTempC} °C`);
  if ((weather.rain24hMm ?? 0) > 0) told.push(`${weather.rain24hMm} mm of rain since yesterday`);
  return told;
}

const MONTHS = "January February March April May June July August September October November December".split(" ");
const monthTold = (foundAt: string): string => MONTHS[Number(foundAt.slice(5, 7)) - 1] ?? "";

function bodyTold({ age, lifted, wear = [], hoursSincePicked = 0 }: Body): string[] {
  const told: string[] = [];
  if (age !== undefined) told.push(AGE_WORDS[age]);
  if (lifted !== undefined) told.push(LIFT_WORDS[lifted]);
  for (const one of wear) told.push(one.replace("-", " "));
  if (hoursSincePicked > 0) told.push(`picked ${hoursSincePicked} hours ago`);
  return told;
}

function paperTold({ weather, bodies: [body] }: Find): string[] {
  const paper = body?.print?.paper ?? weather?.printPaper;
  return paper === "white-only" || paper === "black-only"
    ? [`printed on ${paper.replace("-only", "")} paper alone`]
    : [];
}
