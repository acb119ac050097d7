/** A date to come back, of one's own. */
import { dayAfter, REMINDER_KINDS, REMINDER_WORDS, type ReminderKind } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { make } from "../documents/keep-fields.ts";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { Section } from "../layout/section.tsx";
import type { Season } from "../season/use-season.ts";

/** How far ahead each kind of date is put at first, days from and to. */
const USUAL: Readonly<Record<ReminderKind, readonly [from: number, to: number]>> = {
  "left-to-grow": [2, 5],
  "next-year": [361, 371],
  "after-rain": [10, 14],
  puzzle: [13, 16],
  weed: [7, 21],
  other: [7, 10],
};
const KINDS = REMINDER_KINDS.filter((kind) => kind !== "left-to-grow" && kind !== "after-rain");

export function NewReminder({ season }: { readonly season: Season }) {
  const [kind, setKind] = useState<ReminderKind>("next-year");
  const [what, setWhat] = useState("");
  const [place, setPlace] = useState("");
  const [own, setOwn] = useState<string>();
  const [before, after] = USUAL[kind];
  const from = own ?? dayAfter(season.today, before);
  return (
    <Section title="A date of your own">
      <form
        className="actions"
        onSubmit={(event) => {
          event.preventDefault();
          void make("reminder", {
            kind,
            what: what.trim(),
            from,
            to: dayAfter(from, after - before),
            madeAt: new Date().toISOString(),
            ...(place === "" ? {} : { place }),
          });
          setWhat("");
          setOwn(undefined);
        }}
      >
        <TextField
          label="What"
          value={what}
          onChange={(event) => setWhat(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 400 } }}
        />
        <ChooseFrom
          label="Why"
          value={kind}
          onChange={(value) => setKind(KINDS.find((one) => one === value) ?? "other")}
        >
          {KINDS.map((one) => (
            <option key={one} value={one}>
              {REMINDER_WORDS[one]}
            </option>
          ))}
        </ChooseFrom>
        <ChooseFrom label="Where" value={place} onChange={setPlace}>
          <option value="">no place in particular</option>
          {season.places.map(({ id, content }) => (
            <option key={id} value={id}>
              {content.name}
            </option>
          ))}
        </ChooseFrom>
        <TextField
          type="date"
          label="From"
          value={from}
          onChange={(event) => setOwn(event.target.value === "" ? undefined : event.target.value)}
        />
        <Button type="submit" disabled={what.trim() === ""}>
          Remind me
        </Button>
      </form>
    </Section>
  );
}
