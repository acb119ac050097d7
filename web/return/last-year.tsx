/** Finds of this week in earlier years: the commonest reason to go. */
import { dayAfter } from "@jittery-cap/core/season";
import { Link } from "react-router";
import { findPath, placePath } from "../addresses.ts";
import { Section } from "../layout/section.tsx";
import { dayWords } from "../season/local-day.ts";
import type { Season } from "../season/use-season.ts";

export function LastYear({ season }: { readonly season: Season }) {
  const { finds, today, nameOf } = season;
  const near = finds.filter(({ day, kind, named, endings }) => {
    if (kind === undefined || day.slice(0, 4) >= today.slice(0, 4) || (named.length === 0 && endings.length === 0))
      return false;
    const thisYear = `${today.slice(0, 4)}${day.slice(4)}`;
    return thisYear >= dayAfter(today, -3) && thisYear <= dayAfter(today, 10);
  });
  if (near.length === 0) return null;
  return (
    <Section title="Same week, earlier years" about="What stood then may stand now. It is looked at anew.">
      <ul className="lines">
        {near.map(({ id, day, kind, placeId, label }) => (
          <li key={id} className="open-line">
            <Link to={findPath(id)} className="grow">
              {kind === undefined ? label : nameOf(kind)}
            </Link>
            <span className="soft">
              {dayWords(day)} {day.slice(0, 4)}
              {placeId !== undefined && (
                <>
                  {", "}
                  <Link to={placePath(placeId)}>
                    {season.places.find((place) => place.id === placeId)?.content.name}
                  </Link>
                </>
              )}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}
