/** The visits on which a figure rests: so alike, so long, so many found. */

import type { Resting } from "@jittery-cap/core/season";
import { Link } from "react-router";
import { outingPath } from "../addresses.ts";
import { dayWords, lastingWords } from "./local-day.ts";
import type { Season } from "./use-season.ts";

const SHOWN = 5;

interface VisitListProps {
  readonly restsOn: readonly Resting[];
  readonly season: Season;
}

export function VisitList({ restsOn, season }: VisitListProps) {
  if (restsOn.length === 0)
    return <p className="soft small">It rests on the sheet's months alone: no visit there was on a day like it.</p>;
  const outingOf = (search: string) =>
    season.outings.find(({ content }) => content.searches.some(({ id }) => id === search));
  return (
    <table className="figures" data-testid="rests-on">
      <thead>
        <tr>
          <th>Visit</th>
          <th className="amount">alike</th>
          <th className="amount">searched</th>
          <th className="amount">found</th>
        </tr>
      </thead>
      <tbody>
        {restsOn.slice(0, SHOWN).map(({ visit, alike, found }) => {
          const outing = outingOf(visit.id);
          const words = `${dayWords(visit.day)} ${visit.day.slice(0, 4)}`;
          return (
            <tr key={visit.id}>
              <td>{outing === undefined ? words : <Link to={outingPath(outing.id)}>{words}</Link>}</td>
              <td className="amount">{Math.round(alike * 100)} of 100</td>
              <td className="amount">{lastingWords(visit.hours * 60)}</td>
              <td className="amount">{found}</td>
            </tr>
          );
        })}
      </tbody>
      {restsOn.length > SHOWN && <caption>{restsOn.length - SHOWN} less alike ones are counted too.</caption>}
    </table>
  );
}
