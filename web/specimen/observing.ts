/** From touches to changes: what a choice makes of a body's record. */
import {
  type Body,
  type Change,
  type CharacterId,
  definitionOf,
  type Entry,
  type Find,
  type Site,
} from "@jittery-cap/core";

/** What an observer recorded of a character on a body; without one, the person whose record it is. */
export function entryOf(body: Body, character: CharacterId, by?: string): Entry | undefined {
  return body.seen?.find((entry) => entry.character === character && entry.by === by);
}

/** What all others than an observer recorded of a character on a body. */
export function othersOf(body: Body, character: CharacterId, by?: string): readonly Entry[] {
  return (body.seen ?? []).filter((entry) => entry.character === character && entry.by !== by);
}

/** What was surely seen below a body, whoever looked: it decides what there is to ask of it at all. */
export function surelyBelow(body: Body): readonly string[] {
  const entries = (body.seen ?? []).filter(({ character }) => character === "underside");
  return entries.every(({ sure }) => sure !== false) ? entries.flatMap(({ states }) => states ?? []) : [];
}

/** The observer of a change or an entry, or nothing for the person whose record it is. */
const from = (by: string | undefined): { by?: string } => (by === undefined ? {} : { by });

/** The states chosen for a character, of the body or of the site. */
export function chosenStates(find: Find, body: Body, character: CharacterId, by?: string): readonly string[] {
  if (definitionOf(character).of === "site") return siteStates(find.site, character);
  return entryOf(body, character, by)?.states ?? [];
}

function siteStates(site: Site | undefined, character: CharacterId): readonly string[] {
  switch (character) {
    case "habitat":
    case "substrate":
    case "host":
    case "growth":
      return site?.[character] ?? [];
    default:
      return [];
  }
}

/** States after one more touch: several where several may hold, none of them beside "none". */
function toggled(states: readonly string[], state: string, many: boolean): string[] {
  if (states.includes(state)) return states.filter((one) => one !== state);
  if (!many || state === "none" || state === "none-near") return [state];
  return [...states.filter((one) => one !== "none" && one !== "none-near"), state];
}

/** The change that a touch on a state makes. */
export function chooseState(find: Find, body: Body, character: CharacterId, state: string, by?: string): Change {
  const { of, many } = definitionOf(character);
  const states = toggled(chosenStates(find, body, character, by), state, many);
  if (of === "site") return siteChange(character, states);
  if (states.length === 0) return { kind: "unsee", body: body.id, character, ...from(by) };
  const before = entryOf(body, character, by);
  const sure = before?.sure === false ? { sure: false } : {};
  const entry: Entry = { character, states, ...sure, ...from(by) };
  return { kind: "observe", body: body.id, character, ...from(by), entries: [entry] };
}

function siteChange(character: CharacterId, states: string[]): Change {
  const value = states.length === 0 ? null : states;
  switch (character) {
    case "habitat":
    case "substrate":
    case "host":
    case "growth":
      return { kind: "set-site", field: character, value };
    default:
      throw new Error(`${character} is not of the site`);
  }
}

/** It was looked at and cannot be told, or could not be looked at, and why: never a state. */
export function couldNot(body: Body, character: CharacterId, why: string, by?: string): Change {
  return {
    kind: "observe",
    body: body.id,
    character,
    ...from(by),
    entries: [{ character, unseen: why, ...from(by) }],
  };
}

/** Turns sureness over; nothing where nothing was seen. */
export function turnSureness(body: Body, character: CharacterId, by?: string): Change | undefined {
  const entry = entryOf(body, character, by);
  if (entry?.states === undefined) return undefined;
  const { sure, ...rest } = entry;
  return {
    kind: "observe",
    body: body.id,
    character,
    ...from(by),
    entries: [sure === false ? rest : { ...rest, sure: false }],
  };
}

/** Reasons why something could not be looked at, by part. */
export const REASONS: readonly string[] = [
  "too dark",
  "worn off",
  "base left in the ground",
  "lost on the way",
  "no sense of smell",
  "not the tools for it",
];
export const CANNOT_TELL = "cannot tell";
