/** If you were wrong: for each thing seen, the dangers that would be nearer without it. */
import { entryCharacters } from "../find/entry.ts";
import type { Body, Find } from "../find/schema.ts";
import { type CharacterId, SITE_CHARACTERS } from "../find/vocabulary.ts";
import { characterPhrase } from "../find/words.ts";
import { judge } from "../judge/judge.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";

/** One danger that would come nearer. */
export interface Nearer {
  readonly sheet: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** One thing seen, and what would follow if it were wrong. */
export interface IfWrong {
  readonly character: CharacterId;
  /** A body's id, or "site". */
  readonly body: string;
  readonly what: string;
  /** Nearest first. */
  readonly nearer: readonly Nearer[];
}

/**
 * Strikes each observation in turn and judges again; those that move nothing are left out. The one that would bring a
 * danger nearest comes first. Judges once for each observation: tens of milliseconds for a full record.
 */
export function ifWrong(find: Find, knowledge: Knowledge): readonly IfWrong[] {
  const before = new Map(judge(find, knowledge).dangers.map(({ sheet, mistakes }) => [sheet.id, mistakes]));
  const weigh = (character: CharacterId, body: string, struck: Find): IfWrong => {
    const nearer = judge(struck, knowledge).dangers.flatMap(({ sheet, mistakes }): Nearer[] => {
      const from = before.get(sheet.id) ?? 0;
      return mistakes < from ? [{ sheet: sheet.id, name: sheet.names.common, from, to: mistakes }] : [];
    });
    const where = body === "site" ? "" : ` of ${body}`;
    return { character, body, what: `${characterPhrase(character)}${where}`, nearer };
  };
  const ofSite = SITE_CHARACTERS.filter((character) => find.site?.[character] !== undefined).map((character) =>
    weigh(character, "site", { ...find, site: { ...find.site, [character]: undefined } }),
  );
  const ofBodies = find.bodies.flatMap((body) =>
    entryCharacters(body.seen ?? []).map((character) =>
      weigh(character, body.id, withoutCharacter(find, body, character)),
    ),
  );
  return [...ofSite, ...ofBodies].filter((one) => one.nearer.length > 0).sort(compareConsequences);
}

function withoutCharacter(find: Find, body: Body, character: CharacterId): Find {
  const struck = { ...body, seen: (body.seen ?? []).filter((entry) => entry.character !== character) };
  return { ...find, bodies: find.bodies.map((one) => (one === body ? struck : one)) };
}

/** Nearest danger first, then the more dangers moved, then the order of the record. */
function compareConsequences(one: IfWrong, other: IfWrong): number {
  return (one.nearer[0]?.to ?? 0) - (other.nearer[0]?.to ?? 0) || other.nearer.length - one.nearer.length;
}
