/** After a real rain: some 20 mm within three days, and then about ten days to two weeks while it is mild. Common practice, no source. */

import type { SkyDay } from "./day-look.ts";
import { dayAfter, dayNumber } from "./day-of-year.ts";

export const REAL_RAIN = { mm: 20, days: 3, from: 10, to: 14, mildC: 8 } as const;

export interface AfterRain {
  /** The last day of the rain. */
  readonly rained: string;
  readonly mm: number;
  readonly from: string;
  readonly to: string;
  /** Whether it was only foretold. */
  readonly isForetold: boolean;
  /** Whether it has been mild; in the cold it takes longer, or nothing comes. */
  readonly isMild: boolean;
}

/** The real rains of which the days of going are not over, earliest first. One rain of many days is told once, by its last day. */
export function realRains(days: readonly SkyDay[], today: string): readonly AfterRain[] {
  const byNumber = new Map(days.map((one) => [dayNumber(one.day), one]));
  const now = dayNumber(today);
  const rains: AfterRain[] = [];
  let told = Number.POSITIVE_INFINITY;
  for (const number of [...byNumber.keys()].sort((one, other) => other - one)) {
    if (number + REAL_RAIN.to < now) break;
    const span = Array.from({ length: REAL_RAIN.days }, (_unused, ago) => byNumber.get(number - ago));
    const last = byNumber.get(number);
    const mm = span.reduce((sum, one) => sum + (one?.rainMm ?? 0), 0);
    if (last === undefined || last.rainMm < 1 || mm < REAL_RAIN.mm || told - number < REAL_RAIN.days) continue;
    told = number;
    const since = [...byNumber].filter(([one]) => one > number - REAL_RAIN.days && one <= Math.max(now, number));
    const mean = since.reduce((sum, [, one]) => sum + one.meanTempC, 0) / Math.max(1, since.length);
    rains.unshift({
      rained: last.day,
      mm: Math.round(mm),
      from: dayAfter(last.day, REAL_RAIN.from),
      to: dayAfter(last.day, REAL_RAIN.to),
      isForetold: span.some((one) => one?.isForetold === true),
      isMild: mean >= REAL_RAIN.mildC,
    });
  }
  return rains;
}
