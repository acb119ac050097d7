/** Outings as lines, latest first, each with its places and what was found. Only those on the screen are drawn. */
import { outingFinder } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { useMemo, useState } from "react";
import { Link } from "react-router";
import { findPath, outingPath } from "../addresses.ts";
import type { SeasonFind } from "../season/counted.ts";
import { dayOf, dayWords, lastingWords } from "../season/local-day.ts";
import type { Season } from "../season/use-season.ts";

const PAGE = 30;

/** The finds of each outing. */
export function findsByOuting({ outings, finds }: Season): ReadonlyMap<string, readonly SeasonFind[]> {
  const outingOf = outingFinder(outings);
  const by = new Map<string, SeasonFind[]>();
  for (const find of finds) {
    const outing = outingOf({ at: find.at, position: find.position });
    if (outing === undefined) continue;
    const own = by.get(outing.id) ?? [];
    own.push(find);
    by.set(outing.id, own);
  }
  return by;
}

export function OutingLines({ season }: { readonly season: Season }) {
  const [most, setMost] = useState(PAGE);
  const { outings, finds } = season;
  // biome-ignore lint/correctness/useExhaustiveDependencies: sorted anew when one of the two lists is another
  const by = useMemo(() => findsByOuting(season), [outings, finds]);
  if (outings.length === 0)
    return <p className="soft">Nothing is logged yet. An outing begins with one touch, under Outing.</p>;
  return (
    <>
      <ul className="lines">
        {outings.slice(0, most).map(({ id, content }) => {
          const own = by.get(id) ?? [];
          const day = dayOf(Date.parse(content.begunAt));
          const searched = content.searches.reduce((sum, { minutes = 0 }) => sum + minutes, 0);
          return (
            <li key={id} className="outing-line" data-outing={id}>
              <Link to={outingPath(id)} className="outing-day">
                {dayWords(day)}
                <span>{day.slice(0, 4)}</span>
              </Link>
              <div>
                <span className="strong">
                  {placesOf(
                    season,
                    content.searches.flatMap(({ place }) => place ?? []),
                  )}
                </span>
                <span className="soft small"> {searched > 0 ? `${lastingWords(searched)} of searching` : ""}</span>
                <div>
                  {own.length === 0 ? (
                    <span className="soft">nothing</span>
                  ) : (
                    own.map((find, index) => (
                      <span key={find.id}>
                        {index > 0 && ", "}
                        <Link to={findPath(find.id)}>
                          {find.kind === undefined ? find.label : season.nameOf(find.kind)}
                        </Link>
                      </span>
                    ))
                  )}
                </div>
              </div>
            </li>
          );
        })}
      </ul>
      {outings.length > most && (
        <Button className="above" onClick={() => setMost(most + PAGE)}>
          {outings.length - most} earlier ones
        </Button>
      )}
    </>
  );
}

/** The names of places, each once; what is put away is told so. */
export function placesOf({ places }: Season, ids: readonly string[]): string {
  const names = [...new Set(ids)].map(
    (id) => places.find((place) => place.id === id)?.content.name ?? "a place that is put away",
  );
  return names.length === 0 ? "somewhere" : names.join(", ");
}
