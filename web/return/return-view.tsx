/** Return: what is due when, beds from year to year, the next real rain; each date leads to its place or its find. */
import { calendarOf } from "@jittery-cap/core";
import { isDue, reminderEvents } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { saveFile } from "../exchange/save-file.ts";
import { Section } from "../layout/section.tsx";
import { momentOf } from "../season/local-day.ts";
import { SeasonFrame } from "../season/season-frame.tsx";
import type { Season } from "../season/use-season.ts";
import { AfterRain } from "./after-rain.tsx";
import { Beds } from "./beds.tsx";
import { LastYear } from "./last-year.tsx";
import { NewReminder } from "./new-reminder.tsx";
import { OneDate } from "./one-date.tsx";

export function ReturnView() {
  return (
    <SeasonFrame
      title="Return"
      light={(season) => <Return season={season} />}
      dark={(season) => <AfterRain season={season} />}
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
        <OneDate key={one.id} one={one} season={season} />
      ))}
      <Section title="Later">
        {later.length === 0 && <p className="soft">No date stands ahead.</p>}
        {later.map((one) => (
          <OneDate key={one.id} one={one} season={season} />
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
