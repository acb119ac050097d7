/** What is done now and what is next, with a clock that runs by itself, sounds, and keeps the screen awake while somebody cooks. */
import { theKind } from "@jittery-cap/core";
import { kindKey, type Meal, type Pan } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import { useEffect, useRef, useState } from "react";
import { keepAwake, sound } from "../device/sound.ts";
import { setFields } from "../documents/keep-fields.ts";
import { type Cooking, timeWords } from "./meal-plan.ts";

const SECOND_MS = 1000;
const MINUTE_MS = 60_000;

interface NextTaskProps {
  readonly id: string;
  readonly meal: Meal;
  readonly cooking: Cooking;
}

/** The moments at which something begins, ends, or the nose is asked. */
const marksOf = ({ tasks, readyAt }: Cooking): readonly number[] =>
  [
    ...tasks.flatMap(({ task, from, to }) => [
      from,
      to,
      ...(task.smellAt === undefined ? [] : [from + task.smellAt * MINUTE_MS]),
    ]),
    readyAt,
  ].sort((one, other) => one - other);

export function NextTask({ id, meal, cooking }: NextTaskProps) {
  const begun = meal.begun !== undefined;
  const now = useSeconds(begun);
  const marks = marksOf(cooking);
  useMarks(marks, now, begun);
  useEffect(() => (begun ? keepAwake() : undefined), [begun]);
  const running = cooking.tasks.filter(({ from, to }) => begun && from <= now && now < to);
  const coming = cooking.tasks.filter(({ from }) => from > now || !begun).sort((one, other) => one.from - other.from);
  const next = begun ? marks.find((mark) => mark > now) : cooking.beginsAt;
  const [first] = coming;
  const begins = coming.filter(({ from }) => from === first?.from);
  return (
    <section className="next-task" aria-label="Now and next" data-testid="next-task">
      <div>
        {running.map(({ task, to }) => (
          <p key={task.id} className="measure">
            <b>Now, until {timeWords(to)}:</b> {task.says}
          </p>
        ))}
        {begins.map(({ task, from }) => (
          <div key={task.id}>
            <div className="soft small">
              {begun ? "Next" : "First"}, at {timeWords(from)}
            </div>
            <div className="large">{task.says}</div>
          </div>
        ))}
        {begun && coming.length === 0 && running.length === 0 && <div className="large">All is ready.</div>}
        {begun && <Smell id={id} meal={meal} cooking={cooking} now={now} />}
      </div>
      {next !== undefined && (
        <div>
          <div className="countdown" role="timer" aria-label={begun ? "Until the next step" : "Until cooking begins"}>
            {countdown(next - now)}
          </div>
          <div className="soft small">{begun ? "sounds by itself" : "until the first step"}</div>
        </div>
      )}
    </section>
  );
}

function countdown(left: number): string {
  const seconds = Math.max(0, Math.ceil(left / SECOND_MS));
  const two = (value: number) => String(value).padStart(2, "0");
  const hours = Math.floor(seconds / 3600);
  const minutes = Math.floor(seconds / 60) % 60;
  return hours > 0 ? `${hours}:${two(minutes)} h` : `${minutes}:${two(seconds % 60)}`;
}

/** The present, every second while somebody cooks. */
function useSeconds(isRunning: boolean): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    setNow(Date.now());
    const timer = setInterval(() => setNow(Date.now()), isRunning ? SECOND_MS : 10 * SECOND_MS);
    return () => clearInterval(timer);
  }, [isRunning]);
  return now;
}

/** Sounds when a mark is passed; several at once are one sound. A page that was closed does not make up for it. */
function useMarks(marks: readonly number[], now: number, isRunning: boolean): void {
  const before = useRef(now);
  useEffect(() => {
    if (isRunning && marks.some((mark) => mark > before.current && mark <= now && now - mark < MINUTE_MS)) sound(3);
    before.current = now;
  }, [marks, now, isRunning]);
}

const SMELL_WORDS = {
  mushroom: "mushroom, nothing else",
  ink: "ink, a hospital floor",
  other: "something else that is odd",
} as const;
const SMELLS = ["mushroom", "ink", "other"] as const satisfies readonly Pan["smell"][];

/** The pan is the last test of button-like kinds: asked at the right moment, and until it is answered. */
function Smell({ id, meal, cooking, now }: NextTaskProps & { readonly now: number }) {
  const answered = new Set(meal.pans.map(({ kind }) => kind));
  const asked = cooking.tasks.find(
    ({ task, from }) =>
      task.smellAt !== undefined &&
      now >= from + task.smellAt * MINUTE_MS &&
      !answered.has(kindKey(task.kind.split("+"))),
  );
  if (asked === undefined) return null;
  const { kind, name } = asked.task;
  const answer = (smell: Pan["smell"]) =>
    setFields("meal", id, { pans: [...meal.pans, { kind, smell, at: new Date().toISOString() }] });
  return (
    <fieldset className="smell">
      <legend className="large">
        Smell the pan of {theKind(name)}. If it smells of ink or a hospital floor, all of it goes.
      </legend>
      <div className="actions">
        {SMELLS.map((smell) => (
          <Button key={smell} size="large" onClick={() => void answer(smell)}>
            {SMELL_WORDS[smell]}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}
