/**
 * Which kinds are likelier, by naive Bayes over the families of evidence. It sorts, and nothing more: no figure made
 * here ever clears or condemns anything.
 */
import { type Age, definitionOf, FAMILIES } from "../find/vocabulary.ts";
import { FREQUENCIES, type Frequency } from "../knowledge/state-tables.ts";
import { askedBefore, bitsOf, type Column, type Tables } from "../knowledge/tables.ts";
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
    const column = tables.column(look.character, age);
    const ranks = ranksOf(column, bitsOf(look.character, look.states));
    const logs = logsOf(look.sure);
    for (let row = 0; row < total.length; row += 1) {
      const rank = ranks[row] ?? 0;
      if (rank === 0) continue;
      count[row] = (count[row] ?? 0) + 1;
      sum[row] = (sum[row] ?? 0) + (logs[rank] ?? 0);
    }
  }
  for (let row = 0; row < total.length; row += 1) {
    const looked = count[row] ?? 0;
    if (looked > 0) total[row] = (total[row] ?? 0) + (sum[row] ?? 0) / looked;
  }
}

/** How often each sheet shows one of the states seen, by its commonest: a place among the logs, 0 where it is silent. */
function ranksOf(column: Column, seen: number): Uint8Array {
  return askedBefore(column, `rank ${seen}`, () => {
    const { always, usual, sometimes, rare } = column.by;
    return Uint8Array.from({ length: always.length }, (_, row) => {
      const sets = [always[row] ?? 0, usual[row] ?? 0, sometimes[row] ?? 0, rare[row] ?? 0];
      if (sets.every((set) => set === 0)) return 0;
      const at = sets.findIndex((set) => (set & seen) !== 0);
      return at < 0 ? UNLISTED_RANK : at + 1;
    });
  });
}

/** The places of the logs: none for silence, then the frequencies, then what is not listed. */
const UNLISTED_RANK = FREQUENCIES.length + 1;

function logsOf(sure: boolean): readonly number[] {
  const log = (share: number) => Math.log(sure ? share : UNSURE_WEIGHT * share + (1 - UNSURE_WEIGHT) * KNOWING_NOTHING);
  return [0, ...FREQUENCIES.map((frequency) => log(SHARE[frequency])), log(UNLISTED)];
}
