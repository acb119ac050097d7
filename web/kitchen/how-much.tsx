/** How much to pick for a table, by kind, from what of it reached the pot at own meals. */
import { type Cleaned, handlingTogether, needFor } from "@jittery-cap/core/kitchen";
import { useState } from "react";
import { ChooseFrom } from "../layout/choose-from.tsx";
import type { Kitchen } from "./use-kitchen.ts";

const MOST_PEOPLE = 12;

export function HowMuch({ kitchen }: { readonly kitchen: Kitchen }) {
  const [people, setPeople] = useState(4);
  const [kind, setKind] = useState("cantharellus-cibarius");
  const kinds = kitchen.sheets
    .filter(({ id }) => handlingTogether([id], kitchen.sheetOf)?.infusionOnly === false)
    .sort((one, other) => one.names.common.localeCompare(other.names.common));
  const handling = handlingTogether([kind], kitchen.sheetOf);
  const need = needFor(people, handling?.smallPortion === true, ownCleaned(kitchen, kind));
  return (
    <section aria-label="How much to pick" className="above-3">
      <h2 className="section-title">How much to pick</h2>
      <div className="actions">
        <ChooseFrom label="For how many people" value={String(people)} onChange={(value) => setPeople(Number(value))}>
          {Array.from({ length: MOST_PEOPLE }, (_none, index) => index + 1).map((count) => (
            <option key={count} value={count}>
              for {count}
            </option>
          ))}
        </ChooseFrom>
        <ChooseFrom label="Of which kind" value={kind} onChange={setKind}>
          {kinds.map(({ id, names }) => (
            <option key={id} value={id}>
              {names.common}
            </option>
          ))}
        </ChooseFrom>
      </div>
      <p data-testid="need">
        About <b>{need.grams} g</b> picked: {Math.round(need.left * 100)} of 100 g are left after cleaning, by the rule
        {need.weighings === 0 ? "" : ` and ${need.weighings} of your own weighings`}. More than that stays where it
        stands.
      </p>
    </section>
  );
}

/** What was weighed of a kind before and after cleaning. */
function ownCleaned({ meals }: Kitchen, kind: string): readonly Cleaned[] {
  return meals.flatMap(({ content }) =>
    content.items.flatMap(({ kinds, batch, grams, cleanedGrams }) =>
      batch === undefined && cleanedGrams !== undefined && kinds.includes(kind)
        ? [{ gramsPicked: grams, gramsCleaned: cleanedGrams }]
        : [],
    ),
  );
}
