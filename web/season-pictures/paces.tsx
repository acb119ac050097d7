/** Finds an hour of searching, and minutes to an answer, year by year. */
import { minutesByYear, paces } from "@jittery-cap/core/season";
import { Section } from "../layout/section.tsx";
import type { Season } from "../season/use-season.ts";
import { Bar } from "./bar-table.tsx";

export function Paces({ season }: { readonly season: Season }) {
  const all = paces(season.visits, season.finds);
  if (all.length === 0) return null;
  const minutes = new Map(minutesByYear(season.finds).map((one) => [one.year, one.minutes]));
  const most = Math.max(0.1, ...all.map(({ finds, hours }) => (hours === 0 ? 0 : finds.value / hours)));
  const longest = Math.max(1, ...[...minutes.values()].map(({ value }) => value));
  return (
    <Section title="An hour of searching" about="All finds, the empty visits counted.">
      <div className="table-scroll">
        <table className="figures">
          <thead>
            <tr>
              <th>year</th>
              <th className="amount">visits, empty</th>
              <th className="amount">hours</th>
              <th>finds an hour</th>
              <th>minutes to an answer, the middle one</th>
            </tr>
          </thead>
          <tbody>
            {all.map(({ year, visits, empty, hours, finds }) => (
              <tr key={year}>
                <th>{year}</th>
                <td className="amount">
                  {visits}, {empty}
                </td>
                <td className="amount">{hours.toFixed(0)}</td>
                <td>
                  {hours === 0 ? (
                    <span className="soft">no search was told</span>
                  ) : (
                    <Bar
                      counted={{ value: finds.value / hours, finds: finds.finds }}
                      most={most}
                      unit={(value) => value.toFixed(1)}
                    />
                  )}
                </td>
                <td>
                  <Bar counted={minutes.get(year)} most={longest} unit={(value) => `${Math.round(value)} min`} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Section>
  );
}
