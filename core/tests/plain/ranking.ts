/** How well one sheet explains the looks, worked out by going through every state: the oracle for the tables. */
import { AGES, type Age, definitionOf } from "../../find/vocabulary.ts";
import type { Look } from "../../judge/looks.ts";
import { KNOWING_NOTHING, SHARE, UNLISTED, UNSURE_WEIGHT } from "../../judge/ranking.ts";
import type { Scene } from "../../judge/scene.ts";
import type { Sheet } from "../../knowledge/sheet.ts";

/** Natural logarithm of how well a sheet explains the looks; larger is likelier. Families count once, by their mean. */
export function plainLikeliness(sheet: Sheet, scene: Scene): number {
  const byFamily = new Map<string, { sum: number; count: number }>();
  const add = (look: Look, age: Age | undefined) => {
    const share = shareOf(sheet, look, age);
    if (share === undefined) return;
    const { family } = definitionOf(look.character);
    const tally = byFamily.get(family) ?? { sum: 0, count: 0 };
    byFamily.set(family, { sum: tally.sum + Math.log(share), count: tally.count + 1 });
  };
  for (const look of scene.site.values()) add(look, undefined);
  for (const body of scene.bodies) for (const look of body.looks.values()) add(look, body.body.age);
  let total = 0;
  for (const { sum, count } of byFamily.values()) total += sum / count;
  return total;
}

function shareOf(sheet: Sheet, look: Look, age: Age | undefined): number | undefined {
  const byAge = sheet.characters[look.character];
  if (byAge === undefined) return undefined;
  // plain loops, since this is asked for every look and every sheet
  let best: number | undefined;
  for (const one of age === undefined ? AGES : [age]) {
    const table = byAge[one];
    if (table === undefined) continue;
    best ??= UNLISTED;
    for (const state of look.states) {
      const frequency = table[state];
      if (frequency !== undefined && SHARE[frequency] > best) best = SHARE[frequency];
    }
  }
  if (best === undefined) return undefined;
  return look.sure ? best : UNSURE_WEIGHT * best + (1 - UNSURE_WEIGHT) * KNOWING_NOTHING;
}
