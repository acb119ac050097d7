/** What each kind in the pot asks, by its own sheet: parts, cooking, what else has to be minded. */
import { type KindInPot, kindKey, PORTION_GRAMS } from "@jittery-cap/core/kitchen";
import { Section } from "../layout/section.tsx";

export function KindsAsk({ pot }: { readonly pot: readonly KindInPot[] }) {
  if (pot.length === 0) return null;
  return (
    <Section title="What each kind asks">
      {pot.map(({ handling }) => (
        <div key={kindKey(handling.kinds)} className="below">
          <b>{handling.name}</b>
          {handling.off.length > 0 && <div className="stands">Off: {handling.off.join(", ")}.</div>}
          {handling.smallPortion && <div>A small portion at every meal, {PORTION_GRAMS.small} g.</div>}
          {handling.storesMetals && <div>It stores cadmium: seldom, and never the old ones.</div>}
          {said(handling.says).map(([words, names]) => (
            <p key={words} className="measure small">
              {handling.says.length > 1 && <b>{names.join(", ")}: </b>}
              {words}
            </p>
          ))}
        </div>
      ))}
    </Section>
  );
}

/** Kinds that ask the same are told together. */
function said(says: KindInPot["handling"]["says"]): readonly (readonly [words: string, names: readonly string[]])[] {
  const told = new Map<string, string[]>();
  for (const { name, parts, cooking, warnings } of says) {
    const words = [`${parts}; ${cooking}.`, ...warnings].join(" ");
    told.set(words, [...(told.get(words) ?? []), name]);
  }
  return [...told];
}
