/** Which conditions of an answer are met by what other people and books said. */
import type { Find } from "../find/schema.ts";
import { isCharacterId } from "../find/vocabulary.ts";
import { isTrustedWith, type SaidBy } from "../people/circle.ts";
import type { ConditionCode } from "../words/reason-words.ts";
import { compareLooks, type OpinionKind, type OpinionLook } from "./packet.ts";

/** What of a witness matters here. */
export interface Said {
  readonly kind: OpinionKind;
  /** A book's title, or a person's name. */
  readonly name: string;
  readonly agrees?: boolean | undefined;
  /** Of somebody in a circle: under which standing they said it. */
  readonly by?: SaidBy | undefined;
  readonly looks: readonly OpinionLook[];
}

/** As much of an answer as it takes to say who has met what. */
export interface Weighed {
  readonly dangers: readonly {
    readonly aside?: true | undefined;
    readonly points: readonly { readonly body: string; readonly character: string; readonly hard: boolean }[];
  }[];
  readonly bodies: readonly { readonly body: string; readonly kept: boolean }[];
  /** The kinds that it rests on. */
  readonly restsOn: readonly string[];
}

/** Books that have to agree, each with every feature. */
const BOOKS = 2;
/** A second person has seen for themselves at least so many of the things that the answer rests on. */
export const OWN_LOOKS = 3;

/**
 * The characters that an answer rests on: those that speak hard against a danger on a kept body, without which that danger
 * would stand nearer. Of the place none: who holds the specimen in hand does not see where it stood.
 */
export function restsOnCharacters({ dangers, bodies }: Pick<Weighed, "dangers" | "bodies">): ReadonlySet<string> {
  const kept = new Set(bodies.filter((one) => one.kept).map(({ body }) => body));
  const rests = new Set<string>();
  for (const { aside, points } of dangers)
    if (aside !== true)
      for (const { body, character, hard } of points)
        if (hard && kept.has(body) && isCharacterId(character)) rests.add(character);
  return rests;
}

/**
 * A second person counts with the specimen in hand, with looks of their own that agree at what the answer rests on, at
 * `OWN_LOOKS` of them on one body at the least; and only while nobody's looks in hand differ from the finder's. A look that
 * could not be had, that is not sure, or at a body that the find has not, is none. Books count by their titles, and only while
 * none of them disagrees.
 */
export function conditionsMet(find: Find, answer: Weighed, witnesses: readonly Said[]): ReadonlySet<ConditionCode> {
  const met = new Set<ConditionCode>();
  const hands = witnesses.filter((one) => one.kind === "in-hand");
  const differ = hands.some((one) => compareLooks(find, one.looks).some((look) => look.relation === "differs"));
  const rests = restsOnCharacters(answer);
  const kept = answer.bodies.filter((one) => one.kept).map(({ body }) => body);
  // whoever is known counts as their circle trusts them; that they differ counts whoever they are
  const counting = hands.filter(({ by }) => by === undefined || isTrustedWith(by, answer.restsOn));
  if (!differ && counting.some((one) => hasSeen(find, one.looks, rests, kept))) met.add("second-person");
  const books = witnesses.filter((one) => one.kind === "book");
  const titles = new Set(books.filter((one) => one.agrees === true).map((one) => plainTitle(one.name)));
  if (titles.size >= BOOKS && books.every((one) => one.agrees === true)) met.add("two-books");
  return met;
}

/** Somebody whom no circle trusts with anything. */
const NOBODY = { person: "", role: "member" as const, trusted: [] };

/**
 * Whether each circle in which a finder learns has somebody who knows and has had it in the hand, with looks that agree. Whoever else
 * held it counts for nothing here; that they saw it otherwise counts all the same.
 * @param learnsIn the circles; none: nobody has to
 */
export const isSeenForLearner = (
  find: Find,
  answer: Weighed,
  said: readonly Said[],
  learnsIn: readonly string[],
): boolean =>
  learnsIn.every((circle) => {
    const known = said.map((one) => (one.by?.circle === circle ? one : { ...one, by: { ...NOBODY, circle } }));
    return conditionsMet(find, answer, known).has("second-person");
  });

function hasSeen(
  find: Find,
  looks: readonly OpinionLook[],
  rests: ReadonlySet<string>,
  kept: readonly string[],
): boolean {
  const own = looks.filter(({ entry }) => entry.states !== undefined && entry.sure !== false);
  const agreeing = compareLooks(find, own).filter((look) => look.relation === "agrees" && rests.has(look.character));
  return kept.some((body) => {
    const seen = new Set(agreeing.filter((look) => look.body === body).map((look) => look.character));
    return seen.size > 0 && seen.size >= Math.min(OWN_LOOKS, rests.size);
  });
}

/** A title as it is told apart from others: case, spaces and stops do not make another book. */
const plainTitle = (title: string): string =>
  title
    .normalize("NFKD")
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, " ")
    .trim();
