/** Kinds against the weeks of the year: own hills over the band of the sheet's months; every week is a link to its finds, and a table tells the same. */
import { dayAfter, hillOf, type KindWeeks, tableCsv } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { useState } from "react";
import { Link } from "react-router";
import { theseFinds } from "../addresses.ts";
import { saveFile } from "../exchange/save-file.ts";
import { dayWords, momentOf } from "../season/local-day.ts";
import type { Season } from "../season/use-season.ts";

interface WeekHillsProps {
  readonly weeks: readonly KindWeeks[];
  readonly season: Season;
  readonly monthsOf: (kind: string) => readonly number[];
}

const DAYS = 366;
const SIZE = { high: 40, row: 58 } as const;
const FIRST_DAYS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334, DAYS];
const letterFormat = new Intl.DateTimeFormat(undefined, { month: "narrow" });
const monthFormat = new Intl.DateTimeFormat(undefined, { month: "short" });
const SHOWN = 10;
const monthWord = (month: number, format: Intl.DateTimeFormat): string =>
  format.format(momentOf(`2026-${String(month + 1).padStart(2, "0")}-15`, 12));

/** The months between which there is anything to be seen, and a month on both sides. */
function spanOf(
  weeks: readonly KindWeeks[],
  monthsOf: (kind: string) => readonly number[],
): readonly [from: number, to: number] {
  const told = weeks.flatMap(({ kind, weeks: own }) => [
    ...monthsOf(kind),
    ...[...own.keys()].map((week) => Math.min(12, Math.floor((week * 7) / 30.5) + 1)),
  ]);
  if (told.length === 0) return [0, 12];
  return [Math.max(0, Math.min(...told) - 2), Math.min(12, Math.max(...told) + 1)];
}

export function WeekHills({ weeks, season, monthsOf }: WeekHillsProps) {
  const [isTable, setIsTable] = useState(false);
  const [isAll, setIsAll] = useState(false);
  const shown = isAll ? weeks : weeks.slice(0, SHOWN);
  const [first, last] = spanOf(shown, monthsOf);
  const [from, to] = [FIRST_DAYS[first] ?? 0, FIRST_DAYS[last] ?? DAYS];
  const across = (day: number) => `${((day - from) / (to - from)) * 100}%`;
  const today = FIRST_DAYS[Number(season.today.slice(5, 7)) - 1] ?? 0;
  const now = today + Number(season.today.slice(8)) - 1;
  const months = Array.from({ length: last - first }, (_unused, index) => first + index);
  return (
    <>
      {isTable ? (
        <WeekTable weeks={weeks} season={season} />
      ) : (
        <div className="hills" data-testid="hills">
          <div className="hills-months" aria-hidden="true">
            {months.map((month) => (
              <span key={month} style={{ left: across(FIRST_DAYS[month] ?? 0) }}>
                <b className="wide-only">{monthWord(month, monthFormat)}</b>
                <b className="narrow-only">{monthWord(month, letterFormat)}</b>
              </span>
            ))}
            {now >= from && now <= to && <i style={{ left: across(now) }} />}
          </div>
          {shown.map((one) => (
            <Hill
              key={one.kind}
              of={one}
              season={season}
              months={monthsOf(one.kind)}
              span={[from, to]}
              across={across}
            />
          ))}
          {now >= from && now <= to && (
            <div className="hills-now" aria-hidden="true">
              <span style={{ left: across(now) }}>this week</span>
            </div>
          )}
        </div>
      )}
      <div className="actions above not-printed">
        {weeks.length > SHOWN && !isTable && (
          <Button variant="quiet" onClick={() => setIsAll(!isAll)}>
            {isAll ? "The commonest alone" : `${weeks.length - SHOWN} more kinds`}
          </Button>
        )}
        <Button aria-pressed={isTable} onClick={() => setIsTable(!isTable)}>
          {isTable ? "As hills" : "As a table"}
        </Button>
        <Button
          onClick={() =>
            saveFile(
              tableCsv(
                ["kind", "finds", "season", "first day", "last day"],
                weeks.flatMap(({ kind, seasons }) =>
                  seasons.map((own) => [season.nameOf(kind), own.finds.length, own.season, own.first, own.last]),
                ),
              ),
              "weeks.csv",
              "text/csv",
            )
          }
        >
          For other programs
        </Button>
      </div>
    </>
  );
}

interface HillProps {
  readonly of: KindWeeks;
  readonly season: Season;
  readonly months: readonly number[];
  readonly span: readonly [from: number, to: number];
  readonly across: (day: number) => string;
}

function Hill({ of: { kind, weeks, all }, season, months, span: [from, to], across }: HillProps) {
  const asked = new Set(all.finds);
  const heights = hillOf(season.finds.filter(({ id }) => asked.has(id)).map(({ day }) => day));
  const points = heights.slice(from, to).map((height, index) => `${index},${(SIZE.high * (1 - height)).toFixed(1)}`);
  const name = season.nameOf(kind);
  return (
    <section className="hill" aria-label={`${name}, ${all.value} finds`} data-hill={kind}>
      <h2>
        {name}{" "}
        <Link to={theseFinds(all.finds)} className="hill-all">
          {all.value}
        </Link>
      </h2>
      <div className="hill-ground">
        <svg viewBox={`0 0 ${to - from} ${SIZE.high}`} preserveAspectRatio="none" aria-hidden="true">
          <polygon points={`0,${SIZE.high} ${points.join(" ")} ${to - from},${SIZE.high}`} />
        </svg>
        {runsOf(months).map(([begins, ends]) => (
          <i
            key={begins}
            className="hill-months"
            style={{
              left: across(begins),
              width: `${((Math.min(ends, to) - Math.max(begins, from)) / (to - from)) * 100}%`,
            }}
          />
        ))}
        <ol className="hill-weeks">
          {threeWeeksOf(weeks).map(([at, finds]) => (
            <li key={at} style={{ left: across(at * 21), width: `${(21 / (to - from)) * 100}%` }}>
              <Link
                to={theseFinds(finds)}
                aria-label={`${name}, ${dayWords(dayAfter("2026-01-01", at * 21))} and the three weeks from then: ${finds.length} ${finds.length === 1 ? "find" : "finds"}`}
              >
                {finds.length}
              </Link>
            </li>
          ))}
        </ol>
      </div>
    </section>
  );
}

/** Three weeks together are as broad as a finger. */
function threeWeeksOf(weeks: KindWeeks["weeks"]): readonly (readonly [number, readonly string[]])[] {
  const by = new Map<number, string[]>();
  for (const [week, { finds }] of weeks) {
    const at = Math.min(16, Math.floor(week / 3));
    by.set(at, [...(by.get(at) ?? []), ...finds]);
  }
  return [...by].sort(([one], [other]) => one - other);
}

/** Runs of months as days of the year. */
function runsOf(months: readonly number[]): readonly (readonly [number, number])[] {
  const told = [...new Set(months)].sort((one, other) => one - other);
  const runs: [number, number][] = [];
  for (const month of told) {
    const [begins, ends] = [FIRST_DAYS[month - 1] ?? 0, FIRST_DAYS[month] ?? DAYS];
    const before = runs.at(-1);
    if (before !== undefined && before[1] === begins) before[1] = ends;
    else runs.push([begins, ends]);
  }
  return runs;
}

function WeekTable({ weeks, season }: Pick<WeekHillsProps, "weeks" | "season">) {
  return (
    <div className="table-scroll">
      <table className="figures" data-testid="weeks-table">
        <thead>
          <tr>
            <th>kind</th>
            <th className="amount">finds</th>
            <th>first and last day, season by season</th>
          </tr>
        </thead>
        <tbody>
          {weeks.map(({ kind, all, seasons }) => (
            <tr key={kind}>
              <th>{season.nameOf(kind)}</th>
              <td className="amount">
                <Link className="number-link" to={theseFinds(all.finds)}>
                  {all.value}
                </Link>
              </td>
              <td>
                {seasons.map((own) => (
                  <span key={own.season} className="block-text">
                    {own.season}:{" "}
                    <Link to={theseFinds(own.finds)}>
                      {own.first === own.last ? dayWords(own.first) : `${dayWords(own.first)} to ${dayWords(own.last)}`}
                    </Link>
                  </span>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
