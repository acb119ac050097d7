/** One that was left to grow on: its size gives a date to look again, told with its interval. */
import { dayAfter, growingIn, lookAgain, type Reminder } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useLiveQuery } from "dexie-react-hooks";
import { useState } from "react";
import { isReadable, listKept } from "../documents/documents.ts";
import { make } from "../documents/keep-fields.ts";
import { NumberField } from "../layout/number-field.tsx";
import { dayOf, spanWords } from "../season/local-day.ts";
import { regrownOf } from "../season/regrown.ts";
import { skyAround } from "../season/sky.ts";

/** Where nobody says how large it should become, it is left to become twice as large. */
const TWICE = 2;

interface LeftToGrowProps {
  readonly place: string | undefined;
  readonly patch?: string;
}

export function LeftToGrow({ place, patch }: LeftToGrowProps) {
  const [what, setWhat] = useState("");
  const [sizeCm, setSizeCm] = useState<number>();
  const [kept, setKept] = useState<string>();
  const told = useLiveQuery(async () => {
    const reminders = (await listKept("reminder", Number.POSITIVE_INFINITY)).filter(isReadable);
    const days = (await skyAround(new Date()))?.days.filter((one) => !one.isForetold).slice(-4) ?? [];
    return { returns: regrownOf(reminders.map(({ content }) => content)), days };
  });
  const meanTempC =
    told === undefined || told.days.length === 0
      ? undefined
      : told.days.reduce((sum, one) => sum + one.meanTempC, 0) / told.days.length;
  const rainMm = told?.days.reduce((sum, one) => sum + one.rainMm, 0);
  const again =
    sizeCm === undefined
      ? undefined
      : lookAgain(sizeCm, sizeCm * TWICE, growingIn(meanTempC, rainMm), told?.returns ?? []);
  const today = dayOf(Date.now());
  const keep = async () => {
    if (sizeCm === undefined || again === undefined) return;
    const now = new Date().toISOString();
    const reminder: Reminder = {
      kind: "left-to-grow",
      what: what.trim() === "" ? "left to grow on" : what.trim(),
      from: dayAfter(today, again.from),
      to: dayAfter(today, again.to),
      left: { at: now, sizeCm, wantedCm: sizeCm * TWICE },
      madeAt: now,
      ...(place === undefined ? {} : { place }),
      ...(patch === undefined ? {} : { patch }),
    };
    await make("reminder", reminder);
    setKept(`Look again ${spanWords(reminder.from, reminder.to, today)}: ${reminder.what}.`);
    setWhat("");
    setSizeCm(undefined);
  };
  return (
    <div className="stack">
      <TextField label="Left to grow on: what" value={what} onChange={(event) => setWhat(event.target.value)} />
      <div className="actions">
        <NumberField
          label="How large now, cm"
          unit="cm"
          value={sizeCm}
          onSet={(value) => setSizeCm(value === null || value <= 0 ? undefined : value)}
        />
        <Button disabled={again === undefined} onClick={() => void keep()}>
          {again === undefined
            ? "Look again"
            : `Look again in ${again.from === again.to ? again.from : `${again.from} to ${again.to}`} days`}
        </Button>
      </div>
      {kept !== undefined && <p role="status">{kept}</p>}
    </div>
  );
}
