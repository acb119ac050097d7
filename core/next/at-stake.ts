/** What is at stake at each thing one could look at: the standing dangers that it would move, if the find is what it seems. */
import { CHARACTER_IDS, definitionOf } from "../find/vocabulary.ts";
import type { Conditions } from "../judge/body-conditions.ts";
import type { Judgement } from "../judge/judge.ts";
import { isAgainst, weigh } from "../judge/weigh.ts";
import { expectedLook } from "./expected.ts";

/** Sheets by character; characters that move nothing are left out. */
export type AtStake = Readonly<Record<string, readonly string[]>>;

/** For each character of a body or of the site, the dangers not yet ruled out that it would speak against. */
export function atStake({ dangers, candidates, scene, knowledge }: Judgement): AtStake {
  const supposed = candidates.find((one) => one.fits && one.sheet.tier !== "inedible");
  const standing = dangers.filter((danger) => !danger.aside && danger.status !== "ruled-out");
  if (supposed === undefined || standing.length === 0) return {};
  const stakes: Record<string, string[]> = {};
  const { dangerTables } = knowledge;
  // a foot is looked at on a body that is dug out for it
  const bodies = scene.bodies
    .map((one) => ({
      scene: one,
      conditions: { ...one.conditions, lifted: "whole" } satisfies Conditions,
      standing: standing.filter((danger) => danger.nearest.body === one.body.id),
    }))
    .filter((one) => one.standing.length > 0);
  for (const character of CHARACTER_IDS) {
    const ofSite = definitionOf(character).of === "site";
    const moved = new Uint8Array(dangerTables.sheets.length);
    for (const { scene: body, conditions, standing: onBody } of bodies)
      for (const look of expectedLook(supposed.sheet, character, ofSite ? undefined : body, false)) {
        const weighing = ofSite
          ? weigh(dangerTables, look, undefined, undefined, false)
          : weigh(dangerTables, look, body.body.age, conditions, false);
        for (const { row } of onBody) if (isAgainst(weighing[row])) moved[row] = 1;
      }
    // in the order of the dangers, whichever body each is nearest on
    const theirs: string[] = [];
    for (const { row, sheet } of standing) if (moved[row] === 1) theirs.push(sheet.id);
    if (theirs.length > 0) stakes[character] = theirs;
  }
  return stakes;
}
