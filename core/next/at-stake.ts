/** What is at stake at each thing one could look at: the standing dangers that it would move, if the find is what it seems. */
import { CHARACTER_IDS, definitionOf } from "../find/vocabulary.ts";
import type { Conditions } from "../judge/body-conditions.ts";
import type { Judgement } from "../judge/judge.ts";
import { isAgainst, type Weighing, weigh } from "../judge/weigh.ts";
import { expectedLook } from "./expected.ts";

/** Sheets by character; characters that move nothing are left out. */
export type AtStake = Readonly<Record<string, readonly string[]>>;

/** For each character of a body or of the site, the dangers not yet ruled out that it would speak against. */
export function atStake({ dangers, candidates, scene, knowledge }: Judgement): AtStake {
  const supposed = candidates.find((one) => one.fits && one.sheet.tier !== "inedible");
  const standing = dangers.filter((danger) => !danger.aside && danger.status !== "ruled-out");
  if (supposed === undefined || standing.length === 0) return {};
  const stakes: Record<string, string[]> = {};
  const nearest = new Set(standing.map((danger) => danger.nearest.body));
  const bodies = scene.bodies
    .filter((one) => nearest.has(one.body.id))
    // a foot is looked at on a body that is dug out for it
    .map((one) => ({ scene: one, conditions: { ...one.conditions, lifted: "whole" } satisfies Conditions }));
  for (const character of CHARACTER_IDS) {
    const ofSite = definitionOf(character).of === "site";
    const weighings = new Map<string, Weighing[]>();
    for (const { scene: body, conditions } of bodies) {
      const looks = expectedLook(supposed.sheet, character, ofSite ? undefined : body, false);
      weighings.set(
        body.body.id,
        looks.map((look) =>
          ofSite
            ? weigh(knowledge.dangerTables, look, undefined, undefined, false)
            : weigh(knowledge.dangerTables, look, body.body.age, conditions, false),
        ),
      );
    }
    const moved = standing.filter(({ row, nearest: { body } }) =>
      weighings.get(body)?.some((weighing) => isAgainst(weighing[row])),
    );
    if (moved.length > 0) stakes[character] = moved.map(({ sheet }) => sheet.id);
  }
  return stakes;
}
