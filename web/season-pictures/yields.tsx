/** Grams that came to the basket, by place and year. */
import { yieldByPlace } from "@jittery-cap/core/season";
import { Section } from "../layout/section.tsx";
import type { Season } from "../season/use-season.ts";
import { BarTable } from "./bar-table.tsx";

export function Yields({ season }: { readonly season: Season }) {
  const of = yieldByPlace(season.finds);
  if (of.rows.length === 0) return null;
  return (
    <Section title="What the places gave" about="What came to the basket and was weighed.">
      <BarTable
        of={of}
        head="place"
        wordsOf={(row) => row}
        unit={(value) => (value >= 1000 ? `${(value / 1000).toFixed(1)} kg` : `${Math.round(value)} g`)}
        file="yields.csv"
      />
    </Section>
  );
}
