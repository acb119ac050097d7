/** What is at stake at each thing one could look at: the standing dangers that it would move, if the find is what it seems. */
import { CHARACTER_IDS, definitionOf } from "../find/vocabulary.ts";
import { agreementOf } from "../judge/contradictions.ts";
import type { Judgement } from "../judge/judge.ts";
import type { Look } from "../judge/looks.ts";
import type { Conditions } from "../judge/masks.ts";
import type { BodyScene } from "../judge/scene.ts";
import { expectedLook } from "./plan.ts";

/** Sheets by character; characters that move nothing are left out. */
export type AtStake = Readonly<Record<string, readonly string[]>>;

/** For each character of a body or of the site, the dangers not yet ruled out that it would speak against. */
export function atStake({ dangers, candidates, scene }: Judgement): AtStake {
  const supposed = candidates.find((one) => one.fits && one.sheet.tier !== "inedible");
  const standing = dangers.filter((danger) => danger.status !== "ruled-out");
  if (supposed === undefined) return {};
  const stakes: Record<string, string[]> = {};
  const conditionsOf = new Map<BodyScene, Conditions>();
  /** A foot is looked at on a body that is dug out for it. */
  const liftedWhole = (body: BodyScene): Conditions => {
    const conditions = conditionsOf.get(body) ?? { ...body.conditions, lifted: "whole" };
    conditionsOf.set(body, conditions);
    return conditions;
  };
  for (const character of CHARACTER_IDS) {
    const ofSite = definitionOf(character).of === "site";
    const looks = new Map<string, readonly Look[]>();
    const moved = standing.filter(({ sheet, nearest }) => {
      const body = ofSite ? undefined : scene.bodies.find((one) => one.body.id === nearest.body);
      const conditions = body === undefined ? undefined : liftedWhole(body);
      const expected = looks.get(nearest.body) ?? expectedLook(supposed.sheet, character, body, false);
      looks.set(nearest.body, expected);
      return expected.some(
        (look) => agreementOf(sheet, look, body?.body.age, conditions, false).kind === "contradicts",
      );
    });
    if (moved.length > 0) stakes[character] = moved.map(({ sheet }) => sheet.id);
  }
  return stakes;
}
