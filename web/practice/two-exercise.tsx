/** These two: first which look decides it, then, with that look, which is which. */
import { CHARACTER_WORDS } from "@jittery-cap/core";
import type { TheseTwo } from "@jittery-cap/core/trainer";
import { useCallback, useState } from "react";
import { Link } from "react-router";
import { comparePath } from "../addresses.ts";
import { Choices } from "../specimen/choices.tsx";
import { Drawing } from "../specimen/drawing.tsx";
import type { Item } from "../worker/practice-room.ts";
import { type ExerciseParts, GoOn, Told } from "./exercise-parts.tsx";
import { HowSure, TENTHS } from "./how-sure.tsx";
import { capital } from "./look-exercise.tsx";
import { Covered, PracticeFrame } from "./practice-frame.tsx";
import { useDigits } from "./use-digits.ts";

type TwoItem = Extract<Item, { readonly kind: "two" }>;
const SIDES = [0, 1] as const;
const SIDE_WORDS = ["The left one", "The right one"] as const;
const WIDE = 260;
const HIGH = 300;

export function TwoExercise({ item, ...parts }: ExerciseParts & { readonly item: TwoItem }) {
  const { danger, sought, dangerAt, looks, names } = item;
  const [look, setLook] = useState<TheseTwo["looks"][number]>();
  const [side, setSide] = useState<0 | 1>();
  const [sure, setSure] = useState<number>();
  const { keep } = parts;
  const isTold = sure !== undefined;
  const isRight = look?.isDeciding === true && side === dangerAt;
  const finish = useCallback(
    (tenths: number) => {
      if (look === undefined || side === undefined || sure !== undefined) return;
      setSure(tenths);
      const answered = `${look.character}, ${side === 0 ? "left" : "right"}`;
      keep({ isRight: look.isDeciding && side === dangerAt, sure: tenths / TENTHS, answered, kind: danger });
    },
    [look, side, sure, dangerAt, danger, keep],
  );
  useDigits((digit) => {
    if (look === undefined) setLook(looks[digit - 1]);
    else if (side === undefined) setSide(digit === 1 ? 0 : digit === 2 ? 1 : undefined);
    else finish(digit);
  });
  return (
    <PracticeFrame
      label="These two"
      isLow
      light={
        <>
          <h1 className="view-title">
            {capital(names[danger]?.common ?? "")} or {names[sought]?.common}?
          </h1>
          <p className="lead-in">
            {look === undefined
              ? "One of them is the dangerous one. Which single look tells which?"
              : "Which of them is the dangerous one?"}
          </p>
          <Pair item={item} look={look} side={side} isTold={isTold} onSide={setSide} />
          {look === undefined && <WhichLook looks={looks} onLook={setLook} />}
          {side !== undefined && <HowSure onSure={finish} said={sure} />}
          {isTold && <GoOn {...parts} />}
        </>
      }
      dark={
        isTold && look !== undefined ? (
          <TwoTold item={item} look={look} side={side} isRight={isRight} />
        ) : (
          <Covered>
            <h2 className="practice-question">
              {look === undefined
                ? "What would you look at, if only one look were left?"
                : "And now: which would you leave?"}
            </h2>
          </Covered>
        )
      }
    />
  );
}

type Deciding = TheseTwo["looks"][number];

interface PairProps {
  readonly item: TwoItem;
  readonly look: Deciding | undefined;
  readonly side: 0 | 1 | undefined;
  readonly isTold: boolean;
  readonly onSide: (side: 0 | 1) => void;
}

/** The two, with what is seen of them so far. */
function Pair({ item, look, side, isTold, onSide }: PairProps) {
  const { danger, sought, dangerAt, names, seen } = item;
  const figures = look?.figures ?? item.figures;
  return (
    <div className="practice-pair">
      {SIDES.map((at) => {
        const figure = figures[at];
        const scale = Math.min(WIDE / (figure.right - figure.left), HIGH / (figure.top - figure.bottom));
        const words = [seen[at], look?.shows[at]].filter((one) => one !== undefined && one !== "").join("; ");
        return (
          <button
            key={at}
            type="button"
            aria-pressed={side === at}
            aria-label={`${SIDE_WORDS[at]}: ${words}`}
            disabled={look === undefined || (isTold && side !== at && dangerAt !== at)}
            data-side={at}
            className="practice-one"
            onClick={() => !isTold && onSide(at)}
          >
            <Drawing figure={figure} scale={scale} />
            <span className="small soft">{seen[at]}</span>
            {look !== undefined && <b>{look.shows[at]}</b>}
            {isTold && (
              <b className={at === dangerAt ? "danger-ink" : ""}>{names[at === dangerAt ? danger : sought]?.common}</b>
            )}
          </button>
        );
      })}
    </div>
  );
}

function WhichLook({
  looks,
  onLook,
}: {
  readonly looks: readonly Deciding[];
  readonly onLook: (look: Deciding) => void;
}) {
  return (
    <Choices label="Which look decides it?" className="practice-choices practice-choices-in-two">
      {looks.map((one, index) => (
        <button
          key={one.character}
          type="button"
          data-look={one.character}
          className="practice-choice"
          onClick={() => onLook(one)}
        >
          <span aria-hidden="true" className="practice-digit">
            {index + 1}
          </span>
          {capital(CHARACTER_WORDS[one.character].plain)}
        </button>
      ))}
    </Choices>
  );
}

interface TwoToldProps {
  readonly item: TwoItem;
  readonly look: Deciding;
  readonly side: 0 | 1 | undefined;
  readonly isRight: boolean;
}

/** What each of the looks would have told. */
function TwoTold({ item: { danger, sought, dangerAt, looks, names }, look, side, isRight }: TwoToldProps) {
  return (
    <>
      <Told isRight={isRight}>
        {isRight
          ? `${CHARACTER_WORDS[look.character].plain} tells them apart`
          : side === dangerAt
            ? "the right one, but that look did not tell it"
            : `that is the ${names[sought]?.common}`}
      </Told>
      <ul className="lines">
        {looks.map((one) => (
          <li key={one.character} className="line practice-look-told">
            <b>{capital(CHARACTER_WORDS[one.character].plain)}</b>
            <span className="soft">{one.isDeciding ? "decides it" : "may be the same on both"}</span>
            <span>
              {one.shows[dangerAt]} <span className="soft">on the {names[danger]?.common}</span>
            </span>
          </li>
        ))}
      </ul>
      <p className="above-2">
        <Link to={comparePath(danger, sought)}>All that tells these two apart</Link>
      </p>
    </>
  );
}
