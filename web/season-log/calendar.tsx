/** A year as a calendar: each day of an outing with how many finds it brought; an empty one is dashed. */
import { dayAfter } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import useMediaQuery from "@mui/material/useMediaQuery";
import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { outingPath } from "../addresses.ts";
import { dayOf, dayWords, momentOf } from "../season/local-day.ts";
import type { Season } from "../season/use-season.ts";
import { WIDE } from "../theme/tokens.ts";
import { findsByOuting } from "./outing-lines.tsx";

const monthFormat = new Intl.DateTimeFormat(undefined, { month: "long" });

export function CalendarOfOutings({ season }: { readonly season: Season }) {
  const by = findsByOuting(season);
  const days = new Map(
    season.outings.map(({ id, content }) => [
      dayOf(Date.parse(content.begunAt)),
      { id, count: by.get(id)?.length ?? 0 },
    ]),
  );
  const years = [...new Set([season.today.slice(0, 4), ...[...days.keys()].map((day) => day.slice(0, 4))])].sort();
  const [year, setYear] = useState(season.today.slice(0, 4));
  const at = years.indexOf(year);
  // on a phone the months before this one are a long way
  const isWide = useMediaQuery(WIDE, { noSsr: true });
  const thisMonth = useRef<HTMLElement>(null);
  useEffect(() => {
    if (!isWide) thisMonth.current?.scrollIntoView({ block: "nearest" });
  }, [isWide]);
  return (
    <>
      <div className="actions">
        <Button variant="quiet" disabled={at <= 0} onClick={() => setYear(years[at - 1] ?? year)}>
          earlier
        </Button>
        <b className="large">{year}</b>
        <Button variant="quiet" disabled={at >= years.length - 1} onClick={() => setYear(years[at + 1] ?? year)}>
          later
        </Button>
      </div>
      <div className="year-months">
        {Array.from({ length: 12 }, (_unused, index) => `${year}-${String(index + 1).padStart(2, "0")}`).map(
          (month) => (
            <section
              key={month}
              ref={season.today.startsWith(month) ? thisMonth : undefined}
              aria-label={monthFormat.format(momentOf(`${month}-15`, 12))}
            >
              <h2>{monthFormat.format(momentOf(`${month}-15`, 12))}</h2>
              <ol className="month">
                {daysOf(month).map((day, index) => {
                  const outing = days.get(day);
                  const first = index === 0 ? { gridColumnStart: weekdayOf(day) } : {};
                  return (
                    <li
                      key={day}
                      style={first}
                      aria-current={day === season.today ? "date" : undefined}
                      className={outing === undefined ? "" : outing.count === 0 ? "out-empty" : "out"}
                    >
                      {outing === undefined ? (
                        Number(day.slice(8))
                      ) : (
                        <Link to={outingPath(outing.id)}>
                          {Number(day.slice(8))}
                          {outing.count > 0 && <sup>{outing.count}</sup>}
                          <span className="unseen">
                            {dayWords(day)}: {outing.count === 0 ? "nothing" : `found ${outing.count}`}
                          </span>
                        </Link>
                      )}
                    </li>
                  );
                })}
              </ol>
            </section>
          ),
        )}
      </div>
    </>
  );
}

function daysOf(month: string): readonly string[] {
  const days: string[] = [];
  for (let day = `${month}-01`; day.startsWith(month); day = dayAfter(day, 1)) days.push(day);
  return days;
}

/** Monday is the first. */
const weekdayOf = (day: string): number => ((momentOf(day, 12).getDay() + 6) % 7) + 1;
