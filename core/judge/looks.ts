/** What a body's entries amount to, one look a character, after observers, times and methods are weighed. */
import type { Entry } from "../find/entry.ts";
import type { Body, Find, Observer } from "../find/schema.ts";
import {
  CHARACTER_IDS,
  type CharacterId,
  canBeHard,
  definitionOf,
  isSmell,
  SITE_CHARACTERS,
  STAIN_SPEEDS,
} from "../find/vocabulary.ts";

/** One character as seen on one body, or on the site. */
export interface Look {
  readonly character: CharacterId;
  /** A body's id, or "site". */
  readonly body: string;
  readonly states: readonly string[];
  /** Only a sure look may count against a danger or confirm a must. */
  readonly sure: boolean;
  /** Brought out on heat: cold, frost and drought no longer hide it. */
  readonly heated: boolean;
  /** Surely seen twice, by two people or at two times: two slips of the hand would be needed for it to be wrong. */
  readonly repeated: boolean;
  readonly speed?: (typeof STAIN_SPEEDS)[number] | undefined;
}

export type Looks = ReadonlyMap<CharacterId, Look>;

/** What is under scales, warts or fibres, or between them. */
const BARE: ReadonlySet<string> = new Set(["none", "plain", "smooth", "silky"]);

/** Two words for one curve lie between them, they are not two things that were seen. */
const WORDS_FOR_ONE: ReadonlySet<CharacterId> = new Set<CharacterId>(["cap-shape"]);

/**
 * The states of a body's look that are each a claim against a danger, where there is more than one: a cap told as brown
 * and wine-red shows both, and to be a kind of which one of them is never seen, that one has to be a mistake. Asked of soft
 * looks only. A stain, a smell or a ring that fits in one of its states is a sign of the danger, whatever else was seen;
 * a bare ground beside what lies on it is no claim; and a place has several things in it. Of a character that has one
 * state at a time several are alternatives, and alternatives are never sure.
 */
export function statesAtOnce({ character, body, states }: Look): readonly string[] {
  return body === "site" ||
    states.length < 2 ||
    !definitionOf(character).many ||
    canBeHard(character) ||
    isSmell(character) ||
    WORDS_FOR_ONE.has(character)
    ? []
    : states.filter((state) => !BARE.has(state));
}

/** The looks of the site: what is recorded once for the find. */
export function siteLooks(find: Find): Looks {
  const looks = new Map<CharacterId, Look>();
  for (const character of SITE_CHARACTERS) {
    const states = find.site?.[character];
    if (states !== undefined)
      looks.set(character, {
        character,
        body: "site",
        states: [...new Set(states)].sort(),
        sure: true,
        heated: false,
        repeated: false,
      });
  }
  return looks;
}

/** The looks of one body. Entries that say `unseen` leave no look. */
export function bodyLooks(find: Find, body: Body): Looks {
  const byCharacter = new Map<CharacterId, Entry[]>();
  for (const entry of body.seen ?? [])
    byCharacter.set(entry.character, [...(byCharacter.get(entry.character) ?? []), entry]);
  const looks = new Map<CharacterId, Look>();
  for (const character of CHARACTER_IDS) {
    const entries = byCharacter.get(character);
    if (entries === undefined) continue;
    const look = weigh(find, body, character, latestOfEach(entries));
    if (look !== undefined)
      looks.set(character, look.sure ? { ...look, repeated: isRepeated(find, body, look, entries) } : look);
  }
  return looks;
}

/** Whether more than one sure entry, each of its own observer or time, tells just what the look says; of a smell, of its own nose. */
function isRepeated(find: Find, body: Body, look: Look, entries: readonly Entry[]): boolean {
  const told = look.states.join();
  const same = entries.filter(
    (entry) =>
      entry.states !== undefined && [...new Set(entry.states)].sort().join() === told && isSure(find, body, entry),
  );
  return (isSmell(look.character) ? new Set(same.map((entry) => entry.by ?? "")).size : same.length) > 1;
}

/** The later look of one observer replaces the earlier. */
function latestOfEach(entries: readonly Entry[]): Entry[] {
  const latest = new Map<string, Entry>();
  for (const entry of entries) {
    const key = entry.by ?? "";
    const known = latest.get(key);
    if (known === undefined || timeOf(known) <= timeOf(entry)) latest.set(key, entry);
  }
  return [...latest.values()];
}

const timeOf = (entry: Entry): number => (entry.at === undefined ? Number.NEGATIVE_INFINITY : Date.parse(entry.at));

/** Observers who agree are as sure as the surest; observers who differ make it unsure. */
function weigh(find: Find, body: Body, character: CharacterId, entries: readonly Entry[]): Look | undefined {
  const seen = entries.filter((entry) => entry.states !== undefined);
  const first = seen[0];
  if (first === undefined) return undefined;
  const sets = seen.map((entry) => [...new Set(entry.states)].sort());
  const agree = sets.every((set) => set.join() === sets[0]?.join());
  const speeds = [...new Set(seen.map((entry) => entry.speed))];
  return {
    character,
    body: body.id,
    states: [...new Set(sets.flat())].sort(),
    sure: agree && seen.some((entry) => isSure(find, body, entry)),
    heated: seen.every((entry) => entry.method === "heat"),
    repeated: false,
    // the quickest of the speeds told: a quick stain is the more dangerous answer
    speed: speeds.includes(undefined) ? undefined : STAIN_SPEEDS.find((speed) => speeds.includes(speed)),
  };
}

/** A photograph is no confirmation, a thin print is half a print, and a nose knows only what it has met. */
function isSure(find: Find, body: Body, entry: Entry): boolean {
  if (entry.sure === false || entry.method === "picture") return false;
  if (entry.character === "spore-print") return body.print?.result === undefined || body.print.result === "thick";
  if (entry.character !== "smell" && entry.character !== "smell-heated") return true;
  if (find.weather?.cannotSmell === true) return false;
  const observer = find.observers?.find((one) => one.id === entry.by);
  return observer === undefined || knowsSmells(observer, entry.states ?? []);
}

const UNNAMED: ReadonlySet<string> = new Set(["none", "pleasant-unnamed", "unpleasant-unnamed"]);

/** An empty list of known smells means that all are known. */
function knowsSmells(observer: Observer, states: readonly string[]): boolean {
  if (observer.cannotSmell === true) return false;
  const known: readonly string[] = observer.smellsKnown ?? [];
  return known.length === 0 || states.every((state) => UNNAMED.has(state) || known.includes(state));
}
