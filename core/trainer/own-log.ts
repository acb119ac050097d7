/** What somebody's own log says that they are weak at: what a find was taken for and was not, looks taken back, looks that others saw otherwise. */
import { compareLooks, type OpinionLook } from "../decide/packet.ts";
import { DRAWN_CHARACTERS } from "../figure/swatches.ts";
import type { Find } from "../find/schema.ts";
import { DANGER_TIERS } from "../find/taxa.ts";
import type { CharacterId } from "../find/vocabulary.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import { pairId, type Skill } from "./skills.ts";

/** As much of the log as is asked. */
export interface OwnLog {
  readonly finds: readonly Find[];
  /** First ideas that came to be named otherwise. */
  readonly wrongIdeas: readonly { readonly takenFor: string; readonly named: string }[];
  /** What others said of a find. */
  readonly opinions: readonly { readonly about: string; readonly looks: readonly OpinionLook[] }[];
}

/** Endings after which a first idea was no good one. */
const REFUTED: ReadonlySet<string> = new Set(["left-test-failed", "left-unknown", "puzzle-kept-open"]);

/** The skills that the log says are weak, by id, in an order that never changes. */
export function weakInLog(log: OwnLog, knowledge: Knowledge, skills: readonly Skill[]): readonly string[] {
  const weak = new Set<string>();
  const addPairs = (sought: string) => {
    for (const skill of skills) if (skill.kind === "pair" && skill.sought === sought) weak.add(skill.id);
  };
  for (const { takenFor, named } of log.wrongIdeas) {
    const danger = [takenFor, named].find((id) => DANGER_TIERS.has(knowledge.byId.get(id)?.tier ?? "edible"));
    const other = danger === takenFor ? named : takenFor;
    if (danger !== undefined) weak.add(pairId(danger, other));
    else addPairs(takenFor);
  }
  for (const find of log.finds) {
    if (find.takenFor !== undefined && find.bodies.every(({ ending }) => ending !== undefined && REFUTED.has(ending)))
      addPairs(find.takenFor);
    for (const [character, states] of takenBack(find)) for (const state of states) addLook(weak, character, state);
  }
  for (const { about, looks } of log.opinions) {
    const find = log.finds.find((one) => one.id === about);
    if (find === undefined) continue;
    for (const { character, theirs, relation } of compareLooks(find, looks))
      if (relation === "differs") for (const state of theirs ?? []) addLook(weak, character, state);
  }
  const known = new Set(skills.map(({ id }) => id));
  return [...weak].filter((id) => known.has(id)).sort();
}

function addLook(weak: Set<string>, character: CharacterId, state: string): void {
  weak.add(`${DRAWN_CHARACTERS[character] === undefined ? "colour" : "look"}:${character}/${state}`);
}

/** Looks that the finder came to see otherwise: both states are worth an exercise. */
function takenBack({ bodies }: Find): readonly (readonly [CharacterId, readonly string[]])[] {
  return bodies.flatMap(({ seen = [] }) => {
    const own = seen.filter((entry) => entry.by === undefined && entry.states !== undefined);
    const characters = new Set(own.map((entry) => entry.character));
    return [...characters].flatMap((character): (readonly [CharacterId, readonly string[]])[] => {
      const told = new Set(own.filter((entry) => entry.character === character).map((entry) => entry.states?.join()));
      if (told.size < 2) return [];
      return [
        [character, [...new Set(own.filter((one) => one.character === character).flatMap((one) => one.states ?? []))]],
      ];
    });
  });
}
