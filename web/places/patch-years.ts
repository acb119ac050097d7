/** What a patch brought year by year: its first and last day, and how much; grams where all of it was weighed, else bodies. */
import { type Patch, seasonOf, type YearsYield } from "@jittery-cap/core/season";
import { dayOf } from "../season/local-day.ts";

export interface PatchYear extends YearsYield {
  readonly unit: "g" | "bodies";
  readonly first: string;
  readonly last: string;
}

export function yearsOf({ met }: Pick<Patch, "met">): readonly PatchYear[] {
  const isWeighed = met.every(({ bodies, grams }) => bodies === 0 || grams !== undefined);
  const years = new Map<number, { amount: number; days: string[] }>();
  for (const { at, bodies, grams } of met) {
    const day = dayOf(Date.parse(at));
    const year = seasonOf(day, []);
    const known = years.get(year) ?? { amount: 0, days: [] };
    known.amount += isWeighed ? (grams ?? 0) : bodies;
    known.days.push(day);
    years.set(year, known);
  }
  return [...years]
    .sort(([one], [other]) => one - other)
    .map(([year, { amount, days }]) => {
      const sorted = [...days].sort();
      return { year, amount, unit: isWeighed ? "g" : "bodies", first: sorted[0] ?? "", last: sorted.at(-1) ?? "" };
    });
}
