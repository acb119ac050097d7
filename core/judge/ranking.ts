/**
 * Which kinds are likelier, by naive Bayes over the families of evidence. It sorts, and nothing more: no figure made
 * here ever clears or condemns anything.
 */
import { type Age, definitionOf, FAMILIES } from "../find/vocabulary.ts";
import type { Frequency } from "../knowledge/sheet.ts";
import { bitsOf, type Tables } from "../knowledge/tables.ts";
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
export const UNLISTED = 0.005;
/** Weight of an unsure look against knowing nothing. */
export const UNSURE_WEIGHT = 0.5;
export const KNOWING_NOTHING = 0.3;

/**
 * How well each sheet explains the looks, as a natural logarithm; larger is likelier. Families count once, by the mean
 * of their looks; a look of which a sheet says nothing counts nothing.
 */
export function likelinesses(tables: Tables, scene: Scene): Float64Array {
  const total = new Float64Array(tables.sheets.length);
  const byFamily = new Map<string, { look: Look; age: Age | undefined }[]>();
  const add = (look: Look, age: Age | undefined) => {
    const { family } = definitionOf(look.character);
    byFamily.set(family, [...(byFamily.get(family) ?? []), { look, age }]);
  };
  for (const look of scene.site.values()) add(look, undefined);
  for (const body of scene.bodies) for (const look of body.looks.values()) add(look, body.body.age);
  for (const family of FAMILIES) addFamily(tables, byFamily.get(family) ?? [], total);
  return total;
}

function addFamily(tables: Tables, looks: readonly { look: Look; age: Age | undefined }[], total: Float64Array): void {
  if (looks.length === 0) return;
  const sum = new Float64Array(total.length);
  const count = new Uint16Array(total.length);
  for (const { look, age } of looks) {
    const { by } = tables.column(look.character, age);
    const seen = bitsOf(look.character, look.states);
    const logs = logsOf(look.sure);
    for (let row = 0; row < total.length; row += 1) {
      const always = by.always[row] ?? 0;
      const usual = by.usual[row] ?? 0;
      const sometimes = by.sometimes[row] ?? 0;
      const rare = by.rare[row] ?? 0;
      if ((always | usual | sometimes | rare) === 0) continue;
      count[row] = (count[row] ?? 0) + 1;
      sum[row] =
        (sum[row] ?? 0) +
        (always & seen
          ? logs.always
          : usual & seen
            ? logs.usual
            : sometimes & seen
              ? logs.sometimes
              : rare & seen
                ? logs.rare
                : logs.unlisted);
    }
  }
  for (let row = 0; row < total.length; row += 1) {
    const looked = count[row] ?? 0;
    if (looked > 0) total[row] = (total[row] ?? 0) + (sum[row] ?? 0) / looked;
  }
}

function logsOf(sure: boolean): Readonly<Record<Frequency | "unlisted", number>> {
  const log = (share: number) => Math.log(sure ? share : UNSURE_WEIGHT * share + (1 - UNSURE_WEIGHT) * KNOWING_NOTHING);
  return {
    always: log(SHARE.always),
    usual: log(SHARE.usual),
    sometimes: log(SHARE.sometimes),
    rare: log(SHARE.rare),
    unlisted: log(UNLISTED),
  };
}
