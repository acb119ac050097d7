/**
 * Which places within the hours, and in which order: the round that is worth most (the orienteering problem). Exact by dynamic
 * programming over subsets (Held and Karp 1962): the shortest way through each subset that ends at each place.
 */

/** A place that may be on the round. */
export interface Station {
  /** Minutes of searching there. */
  readonly minutes: number;
  /** What they may bring; nothing below nought. */
  readonly worth: number;
}

export interface Round {
  /** The places in the order of the visits, by their number. */
  readonly order: readonly number[];
  readonly worth: number;
  /** Minutes of the whole round: searching, and the ways from the start and back. */
  readonly minutes: number;
}

/** So many places are put in order exactly; the work doubles with each. */
export const MOST_STATIONS = 15;
const NOWHERE: Round = { order: [], worth: 0, minutes: 0 };
/** Worths that differ by less are the same: the shorter round is taken. */
const SAME = 1e-9;

/**
 * The best round.
 * @param stations at most MOST_STATIONS
 * @param ways minutes from each to each, the start at place 0, station n at n + 1
 * @param within minutes there are
 * @throws RangeError where there are too many stations, or the ways are not told for all
 */
export function bestRound(stations: readonly Station[], ways: readonly (readonly number[])[], within: number): Round {
  const count = stations.length;
  if (count > MOST_STATIONS) throw new RangeError(`at most ${MOST_STATIONS} places can be put in order, not ${count}`);
  if (ways.length !== count + 1 || ways.some((row) => row.length !== count + 1))
    throw new RangeError(`expected the ways of ${count + 1} places`);
  const way = (from: number, to: number): number => ways[from]?.[to] ?? Number.POSITIVE_INFINITY;
  const subsets = 1 << count;
  // the shortest way from the start through a subset, ending at one of it; and which one came before
  const shortest = new Float64Array(subsets * count).fill(Number.POSITIVE_INFINITY);
  const before = new Int8Array(subsets * count).fill(-1);
  for (let one = 0; one < count; one++) shortest[(1 << one) * count + one] = way(0, one + 1) + minutesOf(stations, one);
  let best = NOWHERE;
  let bestAt: readonly [subset: number, last: number] | undefined;
  for (let subset = 1; subset < subsets; subset++) {
    let worth = 0;
    for (let one = 0; one < count; one++) if ((subset >> one) & 1) worth += Math.max(0, stations[one]?.worth ?? 0);
    for (let last = 0; last < count; last++) {
      const spent = shortest[subset * count + last] ?? Number.POSITIVE_INFINITY;
      if (spent > within) continue;
      const whole = spent + way(last + 1, 0);
      if (whole <= within && (worth > best.worth + SAME || (worth > best.worth - SAME && isShorter(whole, best)))) {
        best = { order: [], worth, minutes: whole };
        bestAt = [subset, last];
      }
      for (let next = 0; next < count; next++) {
        if ((subset >> next) & 1) continue;
        const at = (subset | (1 << next)) * count + next;
        const there = spent + way(last + 1, next + 1) + minutesOf(stations, next);
        if (there < (shortest[at] ?? 0)) {
          shortest[at] = there;
          before[at] = last;
        }
      }
    }
  }
  if (bestAt === undefined) return NOWHERE;
  const order: number[] = [];
  for (let [subset, last] = bestAt; last >= 0; ) {
    order.unshift(last);
    const from = before[subset * count + last] ?? -1;
    subset &= ~(1 << last);
    last = from;
  }
  return { ...best, order };
}

const minutesOf = (stations: readonly Station[], one: number): number => stations[one]?.minutes ?? 0;
const isShorter = (minutes: number, best: Round): boolean => best !== NOWHERE && minutes < best.minutes - SAME;

/** How one goes from place to place. */
export const WAYS_TO_GO = ["walk", "cycle", "drive"] as const;
export type WayToGo = (typeof WAYS_TO_GO)[number];
/** Speed, km/h, minutes lost at each end, and by how much a path is longer than the straight line. Common practice, no source. */
const GOING: Readonly<Record<WayToGo, { readonly kmh: number; readonly ends: number; readonly winding: number }>> = {
  walk: { kmh: 4, ends: 0, winding: 1.3 },
  cycle: { kmh: 13, ends: 3, winding: 1.3 },
  drive: { kmh: 40, ends: 8, winding: 1.4 },
};

/** Minutes for a way of so many metres in a straight line. */
export function minutesFor(metres: number, way: WayToGo): number {
  const { kmh, ends, winding } = GOING[way];
  return metres === 0 ? 0 : Math.round(ends + ((metres / 1000) * winding * 60) / kmh);
}
