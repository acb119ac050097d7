/** Log: the outings with what was found on them, as a list, a calendar, a map or a table. */
import { isDue, isUnderWay } from "@jittery-cap/core/season";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { lazy, Suspense } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { findPath, outingPath } from "../addresses.ts";
import { dayOf, dayWords, spanWords } from "../season/local-day.ts";
import { SeasonFrame } from "../season/season-frame.tsx";
import type { Season } from "../season/use-season.ts";
import { CalendarOfOutings } from "./calendar.tsx";
import { OutingLines } from "./outing-lines.tsx";
import { OutingTable } from "./outing-table.tsx";
import "./season-log.css";

// the map is fetched by whoever looks at it
const FoundMap = lazy(() => import("../map/found-map.tsx").then((module) => ({ default: module.FoundMap })));

const WAYS = [
  ["list", "List"],
  ["calendar", "Calendar"],
  ["map", "Map"],
  ["table", "Table"],
] as const;

export function SeasonLogView() {
  const { as = "list" } = useParams();
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const these = (search.get("these") ?? "").split(",").filter((one) => one !== "");
  return (
    <SeasonFrame
      title="Log"
      light={(season) => (
        <>
          <div className="season-log-head">
            <h1 className="view-title">Log</h1>
            <ToggleButtonGroup
              exclusive
              value={as}
              onChange={(_event, next: string | null) => next !== null && void navigate(`/season/log/${next}`)}
              aria-label="How the log is shown"
            >
              {WAYS.map(([way, words]) => (
                <ToggleButton key={way} value={way}>
                  {words}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          </div>
          {as === "finds" ? (
            <These season={season} ids={these} />
          ) : as === "calendar" ? (
            <CalendarOfOutings season={season} />
          ) : as === "map" ? (
            <Suspense fallback={<p className="soft">Fetching the map.</p>}>
              <FoundMap season={season} />
            </Suspense>
          ) : as === "table" ? (
            <OutingTable season={season} />
          ) : (
            <OutingLines season={season} />
          )}
        </>
      )}
      dark={(season) => <Summed season={season} />}
    />
  );
}

/** The finds behind a number. */
function These({ season, ids }: { readonly season: Season; readonly ids: readonly string[] }) {
  const asked = new Set(ids);
  const finds = season.finds.filter(({ id }) => asked.has(id)).sort((one, other) => other.at - one.at);
  return (
    <>
      <p className="lead-in">{finds.length === 1 ? "One find is" : `${finds.length} finds are`} behind that number.</p>
      <ul className="lines" data-testid="these-finds">
        {finds.map(({ id, label, day, kind }) => (
          <li key={id} className="open-line">
            <Link to={findPath(id)} className="grow">
              {label}
            </Link>
            <span className="soft">
              {dayWords(day)} {day.slice(0, 4)}
              {kind === undefined ? "" : `, ${season.nameOf(kind)}`}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

const AHEAD = 5;

/** The next dates to come back. */
function Ahead({ season: { reminders, today } }: { readonly season: Season }) {
  const due = reminders
    .filter(({ content }) => isDue(content))
    .sort((one, other) => one.content.from.localeCompare(other.content.from));
  if (due.length === 0) return null;
  return (
    <>
      <h2 className="section-title above-2">
        <Link to="/season/return">To come back to</Link>
      </h2>
      <ul className="lines">
        {due.slice(0, AHEAD).map(({ id, content: { what, from, to } }) => (
          <li key={id} className="open-line">
            {from <= today && <span className="mark" aria-hidden="true" />}
            <span>
              {what}, <span className="soft">{spanWords(from, to, today)}</span>
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

function Summed({ season }: { readonly season: Season }) {
  const { outings, visits, finds } = season;
  const empty = visits.filter((visit) => visit.finds.size === 0).length;
  const open = outings.filter(({ content }) => content.endedAt === undefined);
  return (
    <>
      <p className="said">
        {outings.length === 0 ? "No outing yet" : outings.length === 1 ? "One outing" : `${outings.length} outings`}
      </p>
      <p className="soft">
        {visits.length} visits to a place, {empty} of them empty; {finds.length} finds. The empty ones tell when not to
        go.
      </p>
      {open.length > 0 && (
        <ul className="lines above">
          {open.map(({ id, content }) => (
            <li key={id} className="open-line">
              <span className="mark" aria-hidden="true" />
              <Link to={outingPath(id)}>
                {dayWords(dayOf(Date.parse(content.begunAt)))}{" "}
                {isUnderWay(content, season.now.getTime()) ? "is under way" : "was never ended"}
              </Link>
            </li>
          ))}
        </ul>
      )}
      <Ahead season={season} />
      <p className="above-2">
        <Link to="/outing/now">Begin an outing</Link>, or <Link to="/outing/plan">plan the day</Link>.
      </p>
    </>
  );
}
