/** The meal that is planned or cooked: when, on what stove, the schedule, what is next, what comes to the pot. */
import { STOVE_PARTS } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { type Kept, setArchived } from "../documents/documents.ts";
import { setFields } from "../documents/keep-fields.ts";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { Section } from "../layout/section.tsx";
import { KindsAsk } from "./kinds-ask.tsx";
import { cookingOf, sharesAt, stillOpen, tableOf, timeWords } from "./meal-plan.ts";
import { NextTask } from "./next-task.tsx";
import { kindsInPot, type PotLine } from "./pot-lines.ts";
import { PotList } from "./pot-list.tsx";
import { ScheduleChart } from "./schedule-chart.tsx";
import { Serve } from "./serve.tsx";
import type { Kitchen } from "./use-kitchen.ts";

interface OpenMealProps {
  readonly meal: Kept<"meal">;
  readonly kitchen: Kitchen;
  readonly lines: readonly PotLine[];
}

export function OpenMeal({ meal: { id, content: meal }, kitchen, lines }: OpenMealProps) {
  const pot = kindsInPot(meal, lines, kitchen);
  const cooking = cookingOf(meal, pot);
  const shares = sharesAt(meal, pot, tableOf(meal, kitchen, cooking.readyAt), cooking.readyAt);
  const grams = Math.round(pot.reduce((sum, one) => sum + one.grams, 0));
  const eating = new Set(shares.filter((one) => one.most > 0).map((one) => one.person)).size;
  const begun = meal.begun !== undefined;
  return (
    <>
      <h1 className="view-title">On the table at {timeWords(cooking.readyAt)}</h1>
      <p className="lead-in">
        {pot.length === 0
          ? "Nothing may come to the pot yet."
          : `${pot.length === 1 ? "One kind" : `${pot.length} kinds`}, each in a pan of its own, ${grams} g, ${eating === 1 ? "one who eats" : `${eating} who eat`}.`}
      </p>
      {!begun && <When id={id} meal={meal} />}
      {cooking.tasks.length > 0 && (
        <>
          <ScheduleChart cooking={cooking} stove={meal.stove} now={kitchen.now} />
          <NextTask id={id} meal={meal} cooking={cooking} />
        </>
      )}
      {cooking.tasks.length > 0 && !begun && (
        <div className="above-2">
          <Button
            variant="contained"
            size="large"
            onClick={() =>
              void setFields("meal", id, {
                begun: {
                  at: new Date().toISOString(),
                  slots: [...(cooking.schedule?.slots ?? [])],
                  items: lines.filter(({ missing }) => missing.length === 0).map(({ key }) => key),
                },
              })
            }
          >
            Begin to cook now
          </Button>
        </div>
      )}
      {begun && (
        <Serve
          id={id}
          meal={meal}
          kitchen={kitchen}
          pot={pot}
          shares={shares}
          open={stillOpen(meal, pot, cooking, kitchen.now.getTime())}
        />
      )}
      <Section title="For the pot" about="Bodies that lack something stay out; what they lack stands with them.">
        <PotList id={id} meal={meal} lines={lines} />
      </Section>
      <KindsAsk pot={pot} />
    </>
  );
}

const PART_WORDS = {
  rings: ["ring", "rings"],
  pans: ["pan", "pans"],
  pots: ["pot", "pots"],
  hands: ["who cooks", "who cook"],
} as const;
const MOST = { rings: 6, pans: 6, pots: 4, hands: 4 } as const;
const LEAST = { rings: 1, pans: 1, pots: 0, hands: 1 } as const;

/** For a field of date and time: the local time, to the minute. */
function localInput(iso: string): string {
  const day = new Date(iso);
  return new Date(day.getTime() - day.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

function When({ id, meal }: { readonly id: string; readonly meal: OpenMealProps["meal"]["content"] }) {
  return (
    <div className="actions">
      <TextField
        label="Ready at"
        type="datetime-local"
        size="small"
        value={localInput(meal.at)}
        onChange={(event) => {
          const at = new Date(event.target.value);
          if (!Number.isNaN(at.getTime())) void setFields("meal", id, { at: at.toISOString() });
        }}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      {STOVE_PARTS.map((part) => (
        <ChooseFrom
          key={part}
          label={`How many ${PART_WORDS[part][1]}`}
          value={String(meal.stove[part])}
          onChange={(value) => void setFields("meal", id, { stove: { ...meal.stove, [part]: Number(value) } })}
        >
          {Array.from({ length: MOST[part] - LEAST[part] + 1 }, (_none, index) => index + LEAST[part]).map((count) => (
            <option key={count} value={count}>
              {count} {PART_WORDS[part][count === 1 ? 0 : 1]}
            </option>
          ))}
        </ChooseFrom>
      ))}
      <Button variant="quiet" onClick={() => void setArchived("meal", id, true)}>
        drop this plan
      </Button>
    </div>
  );
}
