/** The nine stations in the order of handling, with what is looked at in each and how. */
import { type Body, type CharacterId, isCharacterId, isMoot, type PlannedTest, type Weather } from "@jittery-cap/core";

export const STATION_IDS = ["ground", "bodies", "cap", "under", "stem", "foot", "cut", "nose", "print"] as const;
export type StationId = (typeof STATION_IDS)[number];

/** Something to be told about a body, the site or the weather that is no evidence of kind, but of what can be trusted. */
export type Question =
  | { readonly kind: "character"; readonly character: CharacterId }
  | {
      readonly kind: "body";
      readonly field: "age" | "lifted" | "firmness" | "larvae" | "keep" | "wear" | "measures";
    }
  | { readonly kind: "weather"; readonly field: keyof Weather }
  | { readonly kind: "concerns" }
  | { readonly kind: "print" };

/** A question's name within its station: a character's id, or the name of what is told. */
export function itemOf(question: Question): string {
  switch (question.kind) {
    case "character":
      return question.character;
    case "body":
    case "weather":
      return question.field;
    case "concerns":
    case "print":
      return question.kind;
  }
}

/** Short names of what is told, for chips. */
export const TOLD_NAMES: Readonly<Record<string, string>> = {
  age: "age",
  lifted: "how lifted",
  firmness: "firm?",
  larvae: "larvae",
  keep: "kept?",
  wear: "wear",
  measures: "size",
  concerns: "clean?",
  print: "the print",
  frostLastNight: "frost",
  airTempC: "air",
  rain24hMm: "rain",
  drySpellDays: "dry spell",
  warmedInHand: "warmed",
  cannotSmell: "a nose",
  printPaper: "paper",
};

export interface Station {
  readonly id: StationId;
  readonly name: string;
  readonly title: (body: string) => string;
  readonly how: string;
  readonly questions: readonly Question[];
}

const seen = (...characters: CharacterId[]): Question[] =>
  characters.map((character) => ({ kind: "character", character }));
const told = (...fields: Extract<Question, { kind: "body" }>["field"][]): Question[] =>
  fields.map((field) => ({ kind: "body", field }));
const air = (...fields: (keyof Weather)[]): Question[] => fields.map((field) => ({ kind: "weather", field }));

export const STATIONS: readonly Station[] = [
  {
    id: "ground",
    name: "Ground",
    title: () => "The ground",
    how: "Stand off before you touch. Look down, up, and around.",
    questions: [
      ...seen("substrate", "growth", "habitat", "host"),
      { kind: "concerns" },
      ...air("frostLastNight", "airTempC", "rain24hMm", "drySpellDays"),
    ],
  },
  {
    id: "bodies",
    name: "Bodies",
    title: (body) => `Body ${body}`,
    how: "Never judge from one. Find a button, a young one, and the big one of the troop.",
    questions: told("age", "keep", "firmness", "larvae", "wear", "measures"),
  },
  {
    id: "cap",
    name: "Cap",
    title: (body) => `Cap of ${body}`,
    how: "Turn it in the light. Colour alone never decides, and a bare cap says nothing of warts.",
    questions: seen(
      "cap-colour",
      "cap-shape",
      "cap-surface",
      "veil-on-cap",
      "cap-margin",
      "two-toned",
      "cap-colour-centre",
      "cap-zones",
      "cap-edge-band",
    ),
  },
  {
    id: "under",
    name: "Under",
    title: (body) => `Under the cap of ${body}`,
    how: "Push with a finger: gills fold over, ridges stay. Read the colour in the open, not under the trees.",
    questions: seen(
      "underside",
      "gill-colour",
      "gill-attachment",
      "gill-fold",
      "gill-spacing",
      "short-gills",
      "gill-texture",
      "underside-colour",
      "pore-colour",
      "cap-joint",
      "pore-drops",
    ),
  },
  {
    id: "stem",
    name: "Stem",
    title: (body) => `Ring and stem of ${body}`,
    how: "Look before you handle it: rings and scales come off on the fingers.",
    questions: seen(
      "ring",
      "stem-surface",
      "stem-colour",
      "ring-place",
      "ring-colour",
      "veil-in-section",
      "ring-edge",
      "stem-texture",
      "stem-marking-colour",
    ),
  },
  {
    id: "foot",
    name: "Foot",
    title: (body) => `Foot of ${body}`,
    how: "Lever it up from 2.5 cm beside the stem, brush off the soil, and look into the hole.",
    questions: [...told("lifted"), ...seen("base", "stain-base", "sac-colour", "foot-threads")],
  },
  {
    id: "cut",
    name: "Cut",
    title: (body) => `Cut and scratch ${body}`,
    how: "Scratch the cap, nick the foot, halve one lengthways. Watch at once, for a minute, for five.",
    questions: seen(
      "stain-rub",
      "flesh-colour",
      "stain-cut",
      "stain-stem",
      "stain-speed",
      "stem-inside",
      "stain-ring",
      "stain-gills",
      "stain-pores",
      "stain-heated",
      "latex",
      "bisection",
      "bend",
    ),
  },
  {
    id: "nose",
    name: "Nose",
    title: (body) => `Smell of ${body}`,
    how: "Crush a piece. Warm it in the hand when it is cold. A smell that nobody likes is enough to leave it.",
    questions: [...seen("smell", "smell-heated"), ...air("warmedInHand", "cannotSmell")],
  },
  {
    id: "print",
    name: "Print",
    title: (body) => `Spore print of ${body}`,
    how: "Stem off level with the gills, cap down on the split card, cup over it. Overnight, as a rule.",
    questions: [{ kind: "print" }, ...seen("spore-print"), ...air("printPaper")],
  },
];

/** The station that a word names, the first where it names none. */
export function stationOf(word: string | undefined): Station {
  const found = STATIONS.find((station) => station.id === word) ?? STATIONS[0];
  if (found === undefined) throw new Error("there are no stations");
  return found;
}

/** Where a character is looked at. */
export function stationOfCharacter(character: string): Station | undefined {
  return STATIONS.find((station) =>
    station.questions.some((question) => question.kind === "character" && question.character === character),
  );
}

/** Where a question is asked, by its name. */
export const stationOfItem = (item: string): Station | undefined =>
  STATIONS.find((station) => station.questions.some((question) => itemOf(question) === item));

/** The character that a planned test opens, where it opens one: a measure or an age is recorded elsewhere. */
export function characterOfTest({ opens }: PlannedTest): CharacterId | undefined {
  return isCharacterId(opens.character) ? opens.character : undefined;
}

/** The station where a planned test is recorded. */
export function stationOfTest(test: PlannedTest): Station | undefined {
  const character = characterOfTest(test);
  return character === undefined ? stationOf("bodies") : stationOfCharacter(character);
}

/** How many of a station's characters have been looked at on a body, and of how many that its underside leaves to look at. */
export function progressOf(
  station: Station,
  looked: (character: CharacterId) => boolean,
  underside: readonly string[] = [],
): { done: number; all: number } {
  const characters = station.questions.flatMap((question) =>
    question.kind === "character" && (looked(question.character) || !isMoot(question.character, underside))
      ? [question.character]
      : [],
  );
  return { done: characters.filter(looked).length, all: characters.length };
}

/** Fields of a body that the questions set. */
export type BodyField = keyof Body;
