/** What proves nothing today: each observation counts against the danger, or proves nothing. */
import type { NothingToday } from "@jittery-cap/core/trainer";
import { useCallback, useState } from "react";
import { Choices } from "../specimen/choices.tsx";
import type { Item } from "../worker/practice-room.ts";
import { type ExerciseParts, GoOn, Told } from "./exercise-parts.tsx";
import { HowSure, TENTHS } from "./how-sure.tsx";
import { capital } from "./look-exercise.tsx";
import { Covered, PracticeFrame } from "./practice-frame.tsx";
import { useDigits } from "./use-digits.ts";

type NothingItem = Extract<Item, { readonly kind: "nothing" }>;

export function NothingExercise({ item, ...parts }: ExerciseParts & { readonly item: NothingItem }) {
  const { danger, conditions, observations, names } = item;
  const [said, setSaid] = useState<ReadonlyMap<string, boolean>>(new Map());
  const [sure, setSure] = useState<number>();
  const { keep } = parts;
  const isTold = sure !== undefined;
  const isAllSaid = observations.every((one) => said.has(one.character));
  const wrong = observations.filter((one) => said.get(one.character) !== one.counts);
  const say = (one: NothingToday["observations"][number], counts: boolean) => {
    if (!isTold) setSaid((before) => new Map(before).set(one.character, counts));
  };
  const finish = useCallback(
    (tenths: number) => {
      if (!isAllSaid || sure !== undefined) return;
      setSure(tenths);
      keep({
        isRight: wrong.length === 0,
        sure: tenths / TENTHS,
        answered: `${observations.length - wrong.length} of ${observations.length}`,
      });
    },
    [isAllSaid, sure, wrong.length, observations.length, keep],
  );
  const first = observations.find((one) => !said.has(one.character));
  useDigits((digit) => {
    if (first === undefined) finish(digit);
    else if (digit === 1 || digit === 2) say(first, digit === 1);
  });
  return (
    <PracticeFrame
      label="What proves nothing today"
      isLow
      light={
        <>
          <h1 className="view-title">What of this speaks against the {names[danger]?.common}?</h1>
          <p className="lead-in">{capital(conditions.join(", "))}.</p>
          <ul className="lines">
            {observations.map((one) => (
              <Weigh
                key={one.character}
                one={one}
                said={said.get(one.character)}
                isTold={isTold}
                onSay={(counts) => say(one, counts)}
              />
            ))}
          </ul>
          {isAllSaid && <HowSure onSure={finish} said={sure} />}
          {isTold && <GoOn {...parts} />}
        </>
      }
      dark={
        isTold ? (
          <>
            <Told isRight={wrong.length === 0}>
              {wrong.length === 0 ? "all of them" : `${wrong.length} of ${observations.length} weighed wrong`}
            </Told>
            <p>
              What is hidden keeps a danger standing: it is not seen, and that is no evidence. What counts moves it one
              mistake away.
            </p>
          </>
        ) : (
          <Covered>
            <h2 className="practice-question">
              A thing that is not there may have been washed off, frozen silent, or left in the ground.
            </h2>
          </Covered>
        )
      }
    />
  );
}

interface WeighProps {
  readonly one: NothingToday["observations"][number];
  readonly said: boolean | undefined;
  readonly isTold: boolean;
  readonly onSay: (counts: boolean) => void;
}

/** One observation, and afterwards why. */
function Weigh({ one, said, isTold, onSay }: WeighProps) {
  const isRight = said === one.counts;
  return (
    <li className="line practice-weigh" data-observation={one.character}>
      <span id={`weigh-${one.character}`} className="large">
        {capital(one.text)}
      </span>
      <Choices labelledBy={`weigh-${one.character}`} className="practice-weighs">
        {([true, false] as const).map((counts) => (
          <button
            key={String(counts)}
            type="button"
            data-counts={counts}
            aria-pressed={said === counts}
            disabled={isTold && said !== counts}
            className="practice-weigh-button"
            onClick={() => onSay(counts)}
          >
            {counts ? "counts" : "proves nothing"}
          </button>
        ))}
      </Choices>
      {isTold && (
        <p className={isRight ? "soft" : ""}>
          {isRight ? "" : "No. "}
          {capital(one.why)}.{one.lift === undefined ? "" : ` To settle it: ${one.lift}.`}
        </p>
      )}
    </li>
  );
}
