/** The work of weighing a find against every danger, given to a general-purpose rule engine (json-rules-engine). */
import {
  AGES,
  type Age,
  dangerNeighbours,
  definitionOf,
  type Find,
  isCharacterId,
  type Knowledge,
} from "@jittery-cap/core";
import { Engine } from "json-rules-engine";

/**
 * What one rule asks of a look: by age, the states that its danger lists of the character and those taken for them. What
 * the danger never shows is taken for none of them.
 */
interface Listed {
  readonly never: readonly string[];
  readonly byAge: Readonly<
    Record<string, { readonly states: readonly string[]; readonly near: readonly string[] } | undefined>
  >;
}

/** A look as the engine is told it. */
interface LookFact {
  readonly states: readonly string[];
  readonly age: Age | undefined;
  readonly sure: boolean;
  /** The states seen that a mask in force excuses, and for which true states. */
  readonly excused: readonly { readonly from: readonly string[] | undefined; readonly state: string }[];
}

/** Makes an engine with a rule for every danger and character: it speaks against the danger if no state seen fits. */
export function engineFor(knowledge: Knowledge): Engine {
  const engine = new Engine([], { allowUndefinedFacts: true });
  engine.addOperator<LookFact, Listed>("speaksAgainst", (look, listed) => {
    if (look === undefined || !look.sure) return false;
    const truths = new Set<string>();
    const near = new Set<string>();
    for (const age of look.age === undefined ? AGES : [look.age]) {
      const one = listed.byAge[age];
      if (one === undefined) return false;
      for (const state of one.states) truths.add(state);
      for (const state of one.near) near.add(state);
    }
    const all = [...truths];
    const fits = (state: string) =>
      state === "pleasant-unnamed" ||
      state === "unpleasant-unnamed" ||
      truths.has(state) ||
      (near.has(state) && !listed.never.includes(state)) ||
      look.excused.some((mask) => mask.state === state && all.some((truth) => mask.from?.includes(truth) ?? true));
    return !look.states.some(fits);
  });
  for (const danger of knowledge.dangers)
    for (const [character, byAge] of Object.entries(danger.characters)) {
      if (byAge === undefined || !isCharacterId(character)) continue;
      const listed = Object.fromEntries(
        Object.entries(byAge).map(([age, table = {}]) => {
          const common = Object.keys(table).filter((state) => table[state] !== "rare");
          return [age, { states: Object.keys(table), near: common.flatMap((one) => dangerNeighbours(character, one)) }];
        }),
      );
      const never = danger.never.filter((one) => one.character === character).flatMap(({ states }) => states);
      const value: Listed = { never, byAge: listed };
      engine.addRule({
        conditions: { all: [{ fact: character, operator: "speaksAgainst", value }] },
        event: { type: danger.id, params: { character } },
      });
    }
  return engine;
}

/** The characters by which each danger is contradicted on one body, as the engine says. */
export async function askEngine(
  engine: Engine,
  facts: Readonly<Record<string, LookFact>>,
): Promise<Map<string, string[]>> {
  const { events } = await engine.run({ ...facts });
  const against = new Map<string, string[]>();
  for (const { type, params } of events)
    against.set(type, [...(against.get(type) ?? []), String(params?.character)].sort());
  return against;
}

/** The facts of one body and the site, for a find on which no mask is in force but those of the ring and the warts. */
export function factsOf(find: Find, bodyIndex: number): Record<string, LookFact> {
  const body = find.bodies[bodyIndex];
  const facts: Record<string, LookFact> = {};
  for (const [character, states] of Object.entries(find.site ?? {}))
    if (Array.isArray(states) && character !== "concerns" && character !== "neighbours")
      facts[character] = { states: states.map(String), age: undefined, sure: true, excused: [] };
  for (const entry of body?.seen ?? []) {
    if (entry.states === undefined) continue;
    const excused =
      entry.character === "veil-on-cap"
        ? ["none", "powder"].map((state) => ({ from: undefined, state }))
        : entry.character === "gill-colour" && body?.age === "young"
          ? ["white", "cream", "buff"].map((state) => ({ from: undefined, state }))
          : [];
    facts[entry.character] = {
      states: entry.states,
      age: definitionOf(entry.character).of === "site" ? undefined : body?.age,
      sure: entry.sure !== false,
      excused,
    };
  }
  return facts;
}
