/** What became of the finds, by year. */
import { FATE_WORDS, fates } from "@jittery-cap/core/season";
import { Section } from "../layout/section.tsx";
import type { Season } from "../season/use-season.ts";
import { BarTable } from "./bar-table.tsx";

export function Fates({ season }: { readonly season: Season }) {
  const of = fates(season.finds);
  if (of.rows.length === 0) return null;
  return (
    <Section title="What became of the finds" about="One that was left is as good an end as one that came along.">
      <BarTable of={of} head="it" wordsOf={(row) => FATE_WORDS[row]} unit={String} file="fates.csv" />
    </Section>
  );
}
