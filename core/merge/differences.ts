/** What two records of one find differ in. */
import { valueWords } from "../find/change-words.ts";
import type { Body, Find } from "../find/schema.ts";
import type { CharacterId } from "../find/vocabulary.ts";
import { CHARACTER_WORDS, stateWords, wordList } from "../find/words.ts";

/** One thing on which two records of a find differ. */
export interface Differing {
  /** "body A, ring" or "weather, frost last night". */
  readonly what: string;
  readonly mine: string;
  readonly theirs: string;
}

const NOTHING = "nothing";

/** What two records of one find differ in, in the order of the record. Empty where they are the same record. */
export function differences(mine: Find, theirs: Find): readonly Differing[] {
  const found: Differing[] = [];
  const differ = (what: string, one: string, other: string) => {
    if (one !== other) found.push({ what, mine: one, theirs: other });
  };
  for (const field of ["label", "note", "foundAt", "takenFor", "observers"] as const)
    differ(field, told(mine[field]), told(theirs[field]));
  for (const part of ["place", "site", "weather", "rules"] as const) {
    const [one, other]: readonly Record<string, unknown>[] = [{ ...mine[part] }, { ...theirs[part] }];
    for (const field of new Set([...Object.keys(one ?? {}), ...Object.keys(other ?? {})]))
      differ(`${part}, ${field}`, told(one?.[field]), told(other?.[field]));
  }
  const ids = new Set([...mine.bodies, ...theirs.bodies].map((body) => body.id));
  for (const id of ids) {
    const one = mine.bodies.find((body) => body.id === id);
    const other = theirs.bodies.find((body) => body.id === id);
    if (one === undefined || other === undefined) {
      differ(`body ${id}`, one === undefined ? NOTHING : "is there", other === undefined ? NOTHING : "is there");
      continue;
    }
    differBodies(one, other, differ);
  }
  return found;
}

function differBodies(mine: Body, theirs: Body, differ: (what: string, one: string, other: string) => void): void {
  const [one, other]: readonly Record<string, unknown>[] = [{ ...mine }, { ...theirs }];
  for (const field of new Set([...Object.keys(mine), ...Object.keys(theirs)]))
    if (field !== "seen" && field !== "id")
      differ(`body ${mine.id}, ${field}`, told(one?.[field]), told(other?.[field]));
  for (const character of charactersIn(mine, theirs))
    differ(
      `body ${mine.id}, ${CHARACTER_WORDS[character].plain}`,
      seenWords(mine, character),
      seenWords(theirs, character),
    );
}

const told = (value: unknown): string => (value === undefined ? NOTHING : valueWords(value));

function seenWords(body: Body, character: CharacterId): string {
  const entries = (body.seen ?? []).filter((entry) => entry.character === character);
  if (entries.length === 0) return NOTHING;
  return entries
    .map(({ states, unseen, sure, by, speed }) =>
      [
        states === undefined
          ? `not looked: ${unseen}`
          : wordList(
              states.map((state) => stateWords(character, state)),
              "and",
            ),
        ...(sure === false ? ["unsure"] : []),
        ...(speed === undefined ? [] : [speed]),
        ...(by === undefined ? [] : [`by ${by}`]),
      ].join(", "),
    )
    .join("; ");
}

/** The characters that any of the bodies was looked at for, each once. */
export function charactersIn(...bodies: readonly Body[]): readonly CharacterId[] {
  return [...new Set(bodies.flatMap((body) => (body.seen ?? []).map((entry) => entry.character)))];
}
