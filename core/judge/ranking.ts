/**
 * Which kinds are likelier, by naive Bayes over the families of evidence. It sorts, and nothing more: no figure made
 * here ever clears or condemns anything.
 */
import { AGES, type Age, definitionOf } from "../find/vocabulary.ts";
import type { Frequency, Sheet } from "../knowledge/sheet.ts";
import type { Look } from "./looks.ts";
import type { Scene } from "./scene.ts";

/** Share of bodies that show a state of each frequency (memory; only their order matters). */
export const SHARE: Readonly<Record<Frequency, number>> = {
  always: 0.9,
  usual: 0.6,
  sometimes: 0.2,
  rare: 0.04,
};
/** What is left for a state that a sheet does not list: observers err. */
const UNLISTED = 0.005;
/** Weight of an unsure look against knowing nothing. */
const UNSURE_WEIGHT = 0.5;
const KNOWING_NOTHING = 0.3;

/** Natural logarithm of how well a sheet explains the looks; larger is likelier. Families count once, by their mean. */
export function likeliness(sheet: Sheet, scene: Scene): number {
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
