/** Outings as a table, and as a file for other programs. */
import { tableCsv } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { Link } from "react-router";
import { outingPath, theseFinds } from "../addresses.ts";
import { saveFile } from "../exchange/save-file.ts";
import { dayOf } from "../season/local-day.ts";
import type { Season } from "../season/use-season.ts";
import { findsByOuting, placesOf } from "./outing-lines.tsx";

const HEADER = ["day", "places", "minutes searched", "finds", "empty searches", "rain, mm", "mean, °C"] as const;

export function OutingTable({ season }: { readonly season: Season }) {
  const by = findsByOuting(season);
  const rows = season.outings.map(({ id, content }) => ({
    id,
    finds: by.get(id) ?? [],
    day: dayOf(Date.parse(content.begunAt)),
    places: placesOf(
      season,
      content.searches.flatMap(({ place }) => place ?? []),
    ),
    minutes: content.searches.reduce((sum, { minutes = 0 }) => sum + minutes, 0),
    empty: content.searches.filter(({ nothing }) => nothing === true).length,
    rain: content.sky?.rainMm,
    temp: content.sky?.meanTempC,
  }));
  return (
    <>
      <div className="table-scroll">
        <table className="figures">
          <thead>
            <tr>
              {HEADER.map((name, index) => (
                <th key={name} className={index > 1 ? "amount" : ""}>
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ id, day, places, minutes, finds, empty, rain, temp }) => (
              <tr key={id}>
                <th>
                  <Link to={outingPath(id)}>{day}</Link>
                </th>
                <td>{places}</td>
                <td className="amount">{minutes}</td>
                <td className="amount">
                  {finds.length === 0 ? (
                    0
                  ) : (
                    <Link className="number-link" to={theseFinds(finds.map((one) => one.id))}>
                      {finds.length}
                    </Link>
                  )}
                </td>
                <td className="amount">{empty}</td>
                <td className="amount">{rain === undefined ? "" : Math.round(rain)}</td>
                <td className="amount">{temp === undefined ? "" : Math.round(temp)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Button
        className="above"
        onClick={() =>
          saveFile(
            tableCsv(
              HEADER,
              rows.map(({ day, places, minutes, finds, empty, rain, temp }) => [
                day,
                places,
                minutes,
                finds.length,
                empty,
                rain,
                temp,
              ]),
            ),
            "outings.csv",
            "text/csv",
          )
        }
      >
        As a table for other programs
      </Button>
    </>
  );
}
