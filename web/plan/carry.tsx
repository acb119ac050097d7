/** What to carry, ticked off; what was missed last time comes first. */
import { dangersThere, ITEM_WORDS, likelyKinds, toCarry } from "@jittery-cap/core/season";
import { usePreferences } from "../device/preferences.ts";
import { Section } from "../layout/section.tsx";
import type { Season } from "../season/use-season.ts";
import { type Plan, sceneOf } from "./plan-of.ts";

interface CarryProps {
  readonly plan: Plan;
  readonly season: Season;
  readonly day: string;
}

export function Carry({ plan, season, day }: CarryProps) {
  const { packed, prefer } = usePreferences();
  const scenes = (plan.stops.length > 0 ? plan.stops.map(({ place }) => place) : season.places).map((place) =>
    sceneOf(place, day),
  );
  const unique = <One extends { readonly id: string }>(all: readonly One[]) => [
    ...new Map(all.map((one) => [one.id, one])).values(),
  ];
  const items = toCarry({
    likely: unique(scenes.flatMap((scene) => likelyKinds(season.sheets, scene))),
    dangers: unique(scenes.flatMap((scene) => dangersThere(season.sheets, scene).map(({ sheet }) => sheet))),
    tempC: plan.look.sky?.meanTempC,
    endsLate: plan.look.ofYear > 280 || plan.look.ofYear < 60,
    missed: season.outings[0]?.content.missed ?? [],
  });
  return (
    <Section
      title="To carry"
      about={`${packed.filter((one) => items.some(({ item }) => item === one)).length} of ${items.length} packed.`}
    >
      <div className="carry-list">
        {items.map(({ item, because, wasMissed }) => (
          <button
            key={item}
            type="button"
            className="carry"
            data-carry={item}
            data-missed={wasMissed}
            aria-pressed={packed.includes(item)}
            onClick={() =>
              prefer({ packed: packed.includes(item) ? packed.filter((one) => one !== item) : [...packed, item] })
            }
          >
            <i aria-hidden="true" />
            <span>
              <b>{ITEM_WORDS[item]}</b>
              <span className="soft small block-text">
                {wasMissed ? "missed last time; " : ""}
                {because}
              </span>
            </span>
          </button>
        ))}
      </div>
    </Section>
  );
}
