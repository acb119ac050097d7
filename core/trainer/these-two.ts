/** These two: a danger and the kind that it is taken for, with little seen of either: which look decides it, and then which is which. */
import { figureOf } from "../figure/figure.ts";
import type { Figure } from "../figure/shapes.ts";
import { dangerNeighbours } from "../find/neighbours.ts";
import type { Body, Find } from "../find/schema.ts";
import { type Age, CHARACTER_IDS, type CharacterId, canBeHard, definitionOf } from "../find/vocabulary.ts";
import { CHARACTER_WORDS, stateWords, wordList } from "../find/words.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { type Chance, chanceOf, happens, pickSome } from "./chance.ts";
import { coherent, drawSpecimen, type Specimen } from "./specimen.ts";

/** A look that is offered. */
export interface DecidingLook {
  readonly character: CharacterId;
  readonly isDeciding: boolean;
  /** What it shows on the one and on the other, in words. */
  readonly shows: readonly [string, string];
  readonly figures: readonly [Figure, Figure];
}

export interface TheseTwo {
  readonly kind: "two";
  readonly skill: string;
  readonly seed: string;
  readonly age: Age;
  readonly danger: string;
  readonly sought: string;
  /** On which side the danger stands. */
  readonly dangerAt: 0 | 1;
  readonly figures: readonly [Figure, Figure];
  /** What is seen of each so far, in words. */
  readonly seen: readonly [string, string];
  readonly looks: readonly DecidingLook[];
}

/** What is seen before anything is asked. */
const AT_FIRST: readonly CharacterId[] = ["cap-shape", "cap-colour", "cap-surface", "underside", "stem-colour"];
const LOOKS = 4;
/** At the most so many of them decide it. */
const DECIDING = 2;
/** In turn; what is closed all round is told apart as a button. */
const AGES: readonly Age[] = ["mature", "young", "button"];
const TRIES = 6;

/** Makes one. @returns undefined where no look that the sheets tell decides it */
export function makeTheseTwo(
  skill: string,
  pair: { readonly danger: string; readonly sought: string },
  knowledge: Knowledge,
  seed: string,
): TheseTwo | undefined {
  const [danger, sought] = [knowledge.byId.get(pair.danger), knowledge.byId.get(pair.sought)];
  if (danger === undefined || sought === undefined) return undefined;
  for (let index = 0; index < TRIES; index += 1) {
    const age = AGES[index % AGES.length] ?? "mature";
    const made = tryTwo(skill, danger, sought, age, `${seed}/${index}`);
    if (made !== undefined) return made;
  }
  return undefined;
}

function tryTwo(skill: string, danger: Sheet, sought: Sheet, age: Age, seed: string): TheseTwo | undefined {
  const chance = chanceOf(seed, "two");
  const dangerAt = happens(chance, 0.5) ? 0 : 1;
  const sheets = dangerAt === 0 ? ([danger, sought] as const) : ([sought, danger] as const);
  const specimens = [
    coherent(drawSpecimen(chance, sheets[0], age, "ordinary")),
    coherent(drawSpecimen(chance, sheets[1], age, "ordinary")),
  ] as const;
  const both = CHARACTER_IDS.filter(
    (one) => definitionOf(one).of === "body" && specimens.every(({ truth }) => truth.has(one)),
  );
  const ofSought = specimens[dangerAt === 0 ? 1 : 0];
  // what tells them is what the good one shows and the danger never does, nor anything that people take for it
  const decides = (character: CharacterId) => !NO_TEST.has(character) && isBeyond(ofSought, danger, character);
  const asked = both.filter((one) => !NOT_ASKED.has(one));
  // what decides it is not among what is seen already
  const deciding = hardFirst(pickSome(chance, asked.filter(decides), asked.length)).slice(0, DECIDING);
  if (deciding.length === 0) return undefined;
  const idle = asked.filter((one) => !decides(one) && !AT_FIRST.includes(one));
  const offered = [...deciding, ...pickSome(chance, idle, LOOKS - deciding.length)];
  const first = AT_FIRST.filter((one) => both.includes(one) && !offered.includes(one) && !decides(one));
  const drawn = (more: readonly CharacterId[]) =>
    [drawBody(specimens[0], [...first, ...more]), drawBody(specimens[1], [...first, ...more])] as const;
  const told = (characters: readonly CharacterId[]) =>
    [tell(specimens[0], characters), tell(specimens[1], characters)] as const;
  return {
    kind: "two",
    skill,
    seed,
    age,
    danger: danger.id,
    sought: sought.id,
    dangerAt,
    figures: drawn([]),
    seen: told(first),
    looks: inAnyOrder(chance, offered).map((character) => ({
      character,
      isDeciding: decides(character),
      shows: told([character]),
      figures: drawn([character]),
    })),
  };
}

/** Steps of other looks, and what belongs to something that would have to be looked at first. */
const NOT_ASKED: ReadonlySet<CharacterId> = new Set([
  "smell-heated",
  "stain-heated",
  "stain-speed",
  "two-toned",
  "ring-colour",
  "ring-place",
  "ring-edge",
  "sac-colour",
  "stem-marking-colour",
]);

const inAnyOrder = (chance: Chance, characters: readonly CharacterId[]): CharacterId[] =>
  pickSome(chance, characters, characters.length);

const hardFirst = (characters: readonly CharacterId[]): CharacterId[] =>
  [...characters].sort((one, other) => Number(canBeHard(other)) - Number(canBeHard(one)));

/** Colours and shapes that differ and decide nothing: no hard points, and sun, rain and age change them. */
const NO_TEST: ReadonlySet<CharacterId> = new Set([
  "cap-colour",
  "cap-colour-centre",
  "cap-shape",
  "cap-margin",
  "ring-colour",
  "ring-place",
  "stem-colour",
  "underside-colour",
]);

/** Whether what a body shows of a character is nothing that a danger of the same age ever shows, nor next to that. */
function isBeyond({ truth, age }: Specimen, danger: Sheet, character: CharacterId): boolean {
  const table = danger.characters[character]?.[age];
  const shown = truth.get(character) ?? [];
  if (table === undefined || shown.length === 0) return false;
  return shown.every((state) => [state, ...dangerNeighbours(character, state)].every((one) => !(one in table)));
}

function drawBody({ age, measures, truth }: Specimen, characters: readonly CharacterId[]): Figure {
  const seen = characters.map((character) => ({ character, states: [...(truth.get(character) ?? [])] }));
  const body: Body = { id: "T", age, lifted: "whole", measures, seen };
  const find: Find = { format: "jittery-cap/find", version: 1, id: "two", bodies: [body] };
  return figureOf(find, body, 0);
}

function tell({ truth }: Specimen, characters: readonly CharacterId[]): string {
  return characters
    .map((character) => {
      const states = (truth.get(character) ?? []).map((state) => stateWords(character, state));
      return `${CHARACTER_WORDS[character].plain}: ${wordList(states, "and")}`;
    })
    .join("; ");
}
