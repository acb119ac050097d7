/** What still has to be brought against each danger on each kept body, those that need the same thing gathered. */
import type { Tier } from "../find/taxa.ts";
import type { Distance } from "../judge/distance.ts";
import type { DangerDistance, Judgement } from "../judge/judge.ts";
import { countBits } from "../knowledge/tables.ts";
import type { Demand } from "./cover.ts";
import { type Option, reaches } from "./options.ts";
import { secondBit, secondLooksFor } from "./second-looks.ts";

/** Dangers on one body that every remaining test would treat alike. */
export interface Need {
  readonly body: string;
  readonly dangers: readonly DangerDistance[];
  /** Families that already speak against them, and their second looks. */
  families: number;
  hard: boolean;
  /** What each reaching option would bring, as pairs of its number and one result that hits. */
  readonly brought: readonly Brought[];
  /** The same by the number of the option. */
  readonly byOption: ReadonlyMap<number, readonly Brought[]>;
}

export interface Brought {
  readonly option: number;
  readonly against: number;
  readonly family: number;
  readonly hard: boolean;
}

/** How much it is worth to move a danger of each tier (our own scale; it only orders the tests). */
export const TIER_WEIGHT: Partial<Record<Tier, number>> = { deadly: 4, serious: 2, sickener: 1 };

const PAIRS_A_LETTER = 7;

/** The needs of a judged find. Dangers whose remaining tests would all say the same are one need. */
export function needsOf({ dangers, scene, weighed }: Judgement, options: readonly Option[]): Need[] {
  const needs = new Map<string, { need: Need; dangers: DangerDistance[] }>();
  for (const { body } of scene.kept) {
    const place = scene.bodies.findIndex((one) => one.body.id === body.id);
    const on = weighed[place];
    const pairs = options.flatMap((option, index) => [
      ...(reaches(option, body.id)
        ? option.against.map(({ family, hits }, against) => ({ option: index, against, family, hits }))
        : []),
      ...(on === undefined ? [] : secondLooksFor(option, on, weighed)).map((one) => ({ ...one, option: index })),
    ]);
    for (const danger of dangers) {
      const distance = danger.perBody[place];
      if (danger.aside || distance === undefined || distance.status === "ruled-out") continue;
      const key = keyOf(body.id, distance, pairs, danger.row);
      const known = needs.get(key);
      if (known !== undefined) {
        known.dangers.push(danger);
        continue;
      }
      const alike = [danger];
      const brought = pairs.flatMap(({ option, against, family, hits }): Brought[] => {
        const hit = hits[danger.row] ?? 0;
        return hit === 0 ? [] : [{ option, against, family, hard: hit > 1 }];
      });
      const { hard } = distance;
      const families = distance.families | secondBit(distance.families & distance.twice);
      const byOption = new Map<number, Brought[]>();
      for (const one of brought) {
        const same = byOption.get(one.option);
        if (same === undefined) byOption.set(one.option, [one]);
        else same.push(one);
      }
      needs.set(key, { need: { body: body.id, dangers: alike, families, hard, brought, byOption }, dangers: alike });
    }
  }
  return [...needs.values()].map(({ need }) => need);
}

/** A short key of everything that the plan asks about a danger: two bits a result, seven results a letter. */
function keyOf(
  body: string,
  { families, twice, hard }: Distance,
  pairs: readonly { hits: Uint8Array }[],
  row: number,
): string {
  let key = `${body} ${String.fromCharCode(families + 1, (families & twice) + 1, hard ? 2 : 1)}`;
  let letter = 1;
  let filled = 0;
  for (const { hits } of pairs) {
    letter = letter * 4 + (hits[row] ?? 0);
    filled += 1;
    if (filled === PAIRS_A_LETTER) {
      key += String.fromCharCode(letter);
      letter = 1;
      filled = 0;
    }
  }
  return key + String.fromCharCode(letter);
}

/** Whether a need is still open at this many families asked. */
export function isOpen({ families, hard }: Need, asked: number): boolean {
  return countBits(families) < asked || !hard;
}

/** The demands on the set of tests: enough families, and a hard one among them. */
export function demandsOf(need: Need, asked: number): Demand[] {
  const byFamily = new Map<number, number[]>();
  const hard: number[] = [];
  for (const { option, family, hard: isHard } of need.brought) {
    if ((need.families & family) === 0) byFamily.set(family, [...(byFamily.get(family) ?? []), option]);
    if (isHard) hard.push(option);
  }
  const demands: Demand[] = [{ atLeast: asked - countBits(need.families), groups: [...byFamily.values()] }];
  if (!need.hard) demands.push({ atLeast: 1, groups: [hard] });
  return demands;
}

const NOTHING_BROUGHT: readonly Brought[] = [];

/** Which of what an option would bring still helps an open need. */
export function helping(need: Need, option: number, asked: number): readonly Brought[] {
  if (!isOpen(need, asked)) return [];
  const short = countBits(need.families) < asked;
  return (need.byOption.get(option) ?? NOTHING_BROUGHT).filter((one) =>
    short ? (need.families & one.family) === 0 || (!need.hard && one.hard) : one.hard,
  );
}

/** Takes an option's expected results into account. */
export function take(needs: readonly Need[], option: number): void {
  for (const need of needs)
    for (const one of need.byOption.get(option) ?? NOTHING_BROUGHT) {
      need.families |= one.family;
      need.hard ||= one.hard;
    }
}
