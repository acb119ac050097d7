/** A date for a find that is open. */
import { dayAfter, type Reminder } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { make } from "../documents/keep-fields.ts";
import { dayOf } from "../season/local-day.ts";

/** In so many days, and the days that it may take. Two weeks for a puzzle is common practice, no source. */
const IN = [
  { words: "in two days", from: 2, to: 3 },
  { words: "in a week", from: 6, to: 9 },
  { words: "in two weeks", from: 13, to: 16 },
] as const;

interface DateForProps {
  readonly find: string;
  readonly label: string;
  readonly place: string | undefined;
}

export function DateFor({ find, label, place }: DateForProps) {
  const today = dayOf(Date.now());
  const keep = (from: number, to: number) => {
    const reminder: Reminder = {
      kind: "puzzle",
      what: label,
      from: dayAfter(today, from),
      to: dayAfter(today, to),
      find,
      madeAt: new Date().toISOString(),
      ...(place === undefined ? {} : { place }),
    };
    return make("reminder", reminder);
  };
  return (
    <span className="actions">
      {IN.map(({ words, from, to }) => (
        <Button key={words} onClick={() => void keep(from, to)}>
          {words}
        </Button>
      ))}
    </span>
  );
}
