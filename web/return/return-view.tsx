/** Return: what is due when, beds from year to year, the next real rain; each date leads to its place or its find. */
import { calendarOf } from "@jittery-cap/core";
import {
  bedLine,
  dayAfter,
  isDue,
  REMINDER_WORDS,
  realRains,
  reminderEvents,
  type SkyDay,
} from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { findPath, placePath } from "../addresses.ts";
import type { Kept } from "../documents/documents.ts";
import { make, setFields } from "../documents/keep-fields.ts";
import { saveFile } from "../exchange/save-file.ts";
import { NumberField } from "../layout/number-field.tsx";
import { Section } from "../layout/section.tsx";
import { yearsOf } from "../places/patch-years.ts";
import { dayWords, momentOf, spanWords } from "../season/local-day.ts";
import { SeasonFrame } from "../season/season-frame.tsx";
import { skyAround } from "../season/sky.ts";
import type { Season } from "../season/use-season.ts";
import { NewReminder } from "./new-reminder.tsx";

export function ReturnView() {
  return (
    <SeasonFrame
      title="Return"
      light={(season) => <Return season={season} />}
      dark={(season) => <Weather season={season} />}
    />
  );
}

const dueOf = ({ reminders }: Season) =>
  reminders
    .filter(({ content }) => isDue(content))
    .sort((one, other) => one.content.from.localeCompare(other.content.from));

function Return({ season }: { readonly season: Season }) {
  const { today } = season;
  const due = dueOf(season);
  const now = due.filter(({ content }) => content.from <= today);
  const later = due.filter(({ content }) => content.from > today);
  const over = season.reminders.filter(({ content }) => !isDue(content));
  return (
    <>
      <h1 className="view-title">
        {now.length === 0
          ? "Nothing is due today"
          : now.length === 1
            ? "One thing is due"
            : `${now.length} things are due`}
      </h1>
      {now.map((one) => (
        <Due key={one.id} one={one} season={season} />
      ))}
      <Section title="Later">
        {later.length === 0 && <p className="soft">No date stands ahead.</p>}
        {later.map((one) => (
          <Due key={one.id} one={one} season={season} />
        ))}
      </Section>
      <NewReminder season={season} />
      <LastYear season={season} />
      <Beds season={season} />
      {over.length > 0 && (
        <Section title="Over">
          <ul className="lines">
            {over.map(({ id, content }) => (
              <li key={id} className="open-line soft">
                {content.what}:{" "}
                {content.came === undefined
                  ? "let go"
                  : content.came.sizeCm === undefined
                    ? "came back, and it was gone"
                    : `came back, ${content.came.sizeCm} cm`}
              </li>
            ))}
          </ul>
        </Section>
      )}
      <Button
        className="above-2"
        disabled={due.length === 0}
        onClick={() =>
          saveFile(
            calendarOf(
              "Return",
              reminderEvents(due, (day, hour) => momentOf(day, hour)),
              new Date(),
            ),
            "return.ics",
            "text/calendar",
          )
        }
      >
        Dates as a calendar
      </Button>
    </>
  );
}

function Due({ one, season }: { readonly one: Kept<"reminder">; readonly season: Season }) {
  const { kind, what, from, to, find, place, left } = one.content;
  const [sizeCm, setSizeCm] = useState<number>();
  const where = season.places.find(({ id }) => id === place);
  const isLate = to < season.today;
  const came = (size: number | undefined) =>
    setFields("reminder", one.id, {
      came: { at: new Date().toISOString(), ...(size === undefined ? {} : { sizeCm: size }) },
    });
  return (
    <div className="return-line" data-reminder={kind}>
      <time dateTime={from} className={isLate ? "stands" : ""}>
        {dayWords(from).split(" ").slice(1).join(" ")}
      </time>
      <span>
        {find === undefined ? (
          <b>{what}</b>
        ) : (
          <Link to={findPath(find)} className="strong">
            {what}
          </Link>
        )}
        <span className="soft small block-text">
          {REMINDER_WORDS[kind]}, {spanWords(from, to, season.today)}
          {isLate && ": past its days"}
          {left !== undefined && `; ${left.sizeCm} cm then`}
        </span>
        {where !== undefined && <Link to={placePath(where.id)}>{where.content.name}</Link>}
      </span>
      <span className="actions">
        {left !== undefined && (
          <NumberField
            label={`How large ${what} is now`}
            unit="cm"
            value={sizeCm}
            onSet={(value) => setSizeCm(value === null || value <= 0 ? undefined : value)}
          />
        )}
        <Button onClick={() => void came(sizeCm)}>
          {left !== undefined && sizeCm === undefined ? "It is gone" : "Came back"}
        </Button>
        <Button
          variant="quiet"
          onClick={() => void setFields("reminder", one.id, { droppedAt: new Date().toISOString() })}
        >
          Let it go
        </Button>
      </span>
    </div>
  );
}

/** Finds of this week in earlier years: the commonest reason to go. */
function LastYear({ season }: { readonly season: Season }) {
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

function Beds({ season }: { readonly season: Season }) {
  const beds = season.places.flatMap(({ id, content }) =>
    content.patches.flatMap((patch) => {
      const line = bedLine(yearsOf(patch));
      return line === undefined ? [] : [{ place: id, patch, line, unit: yearsOf(patch)[0]?.unit ?? "g" }];
    }),
  );
  if (beds.length === 0) return null;
  return (
    <Section title="Beds">
      {beds.map(({ place, patch, line, unit }) => (
        <p key={patch.id}>
          <Link to={placePath(place)}>{patch.name}</Link>: about {line.factor.toFixed(1)} times as much each year (
          {line.low.toFixed(1)} to {line.high.toFixed(1)} in 90 of 100, from {line.years} years). {line.next.year} may
          bring {Math.round(line.next.low)} to {Math.round(line.next.high)} {unit}; no promise.
        </p>
      ))}
    </Section>
  );
}

/** The next real rain, and when to go after it. */
function Weather({ season }: { readonly season: Season }) {
  const { now, today, reminders } = season;
  const [days, setDays] = useState<readonly SkyDay[]>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked once a day
  useEffect(() => {
    let overtaken = false;
    skyAround(now).then(
      (told) => overtaken || setDays(told?.days ?? []),
      () => undefined,
    );
    return () => {
      overtaken = true;
    };
  }, [today]);
  if (days === undefined) return <p className="soft">Asking the station.</p>;
  const rains = realRains(days, today);
  const first = rains[0];
  const isKept =
    first !== undefined &&
    reminders.some(({ content }) => content.kind === "after-rain" && content.from === first.from && isDue(content));
  return (
    <>
      <p className="soft">After a real rain, some 20 mm, one goes ten days to two weeks later while it is mild.</p>
      <p className="said above">
        {days.length === 0
          ? "The station is silent"
          : first === undefined
            ? "No real rain of late"
            : `${first.isForetold ? "Foretold: go" : "Go"} ${spanWords(first.from, first.to, today)}`}
      </p>
      {rains.map(({ rained, mm, from, to, isForetold, isMild }) => (
        <p key={rained} className="soft">
          {mm} mm until {dayWords(rained)}
          {isForetold ? ", as it is foretold" : ""}: {spanWords(from, to, today)}.
          {isMild ? "" : " It is cold: it takes longer, or nothing comes but the winter kinds."}
        </p>
      ))}
      {first !== undefined && !isKept && (
        <Button
          onClick={() =>
            void make("reminder", {
              kind: "after-rain",
              what: `after ${first.mm} mm of rain`,
              from: first.from,
              to: first.to,
              madeAt: new Date().toISOString(),
            })
          }
        >
          Keep that date
        </Button>
      )}
    </>
  );
}
