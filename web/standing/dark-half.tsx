/** The dark half of a find: the answer, the dangers nearest first, and what the last touch moved. */
import { CONDITION_WORDS, wordList } from "@jittery-cap/core";
import useMediaQuery from "@mui/material/useMediaQuery";
import { memo } from "react";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { WIDE } from "../theme/tokens.ts";
import { DangerFold } from "./danger-fold.tsx";
import { dangerGroups } from "./danger-groups.ts";
import { DangerRow } from "./danger-row.tsx";
import type { ShownAnswer } from "./shown-answer.ts";
import { StrokesLegend } from "./strokes-legend.tsx";
import { type AnswerState, shownVerdict, VERDICT_WORDS } from "./verdict-words.ts";

interface DarkHalfProps {
  readonly answer: ShownAnswer | undefined;
  readonly state: AnswerState;
  readonly lastMove: string | undefined;
  readonly onPick?: ((sheet: string) => void) | undefined;
  /** Kept bodies on which nothing was looked at yet: the nearest dangers may be theirs alone. */
  readonly unlooked?: readonly string[];
}

/** Fewer mistakes than these between a danger and the find, and it is counted as near. */
const NEAR = 2;

const WORKING = "Working it out.";
const NONE: ShownAnswer["dangers"] = [];

/** The first reason; for a basket what has to happen first, since that is the more urgent to read. */
function sentence(answer: ShownAnswer | undefined, state: AnswerState): string | undefined {
  if (state === "failed")
    return "The answer could not be worked out on this device. It is tried again; until then, this is held.";
  if (answer === undefined) return WORKING;
  const [condition] = answer.conditions ?? [];
  return condition === undefined
    ? answer.reasons[0]?.text
    : `First: ${CONDITION_WORDS[condition].charAt(0).toLowerCase()}${CONDITION_WORDS[condition].slice(1)}`;
}

export function DarkHalf({ answer, state, lastMove, onPick, unlooked = [] }: DarkHalfProps) {
  const wide = useMediaQuery(WIDE);
  const verdict = shownVerdict(answer, state);
  const dangers = answer?.dangers ?? NONE;
  const isKnown = state !== "failed" && answer !== undefined;
  return (
    <>
      <div className="standing-count">
        <span>
          {isKnown ? (
            <Count dangers={answer.dangers} unlooked={unlooked} />
          ) : state === "failed" ? (
            "how far the dangers are is not known"
          ) : (
            "how far the dangers are is not known yet"
          )}
        </span>
        <StrokesLegend />
      </div>
      <p role="status" data-verdict={verdict} data-state={state} className="standing-verdict">
        {VERDICT_WORDS[verdict]}
      </p>
      <p className="standing-sentence" data-state={state} data-urgent={verdict !== "hold" || state === "failed"}>
        {/* while it is worked out the old sentence is not seen and keeps its room: nothing below moves up and down again */}
        <span className="standing-said">{sentence(answer, state)}</span>
        {answer !== undefined && <span className="standing-working">{WORKING}</span>}
      </p>
      <ScrollRegion label="Distances" className="standing-rows">
        {wide ? (
          <AllRows dangers={dangers} onPick={onPick} />
        ) : (
          <NearestRows dangers={dangers} isKnown={isKnown} onPick={onPick} />
        )}
      </ScrollRegion>
      <div aria-live="polite" data-testid="last-move" className="standing-move">
        {lastMove === undefined ? "" : `Last touch: ${lastMove}`}
      </div>
    </>
  );
}

interface CountProps {
  readonly dangers: ShownAnswer["dangers"];
  readonly unlooked: readonly string[];
}

function Count({ dangers, unlooked }: CountProps) {
  const within = dangers.filter((danger) => danger.mistakes < NEAR);
  const ofOthers = within.filter((danger) => !unlooked.includes(danger.body)).length;
  if (unlooked.length === 0 || ofOthers === within.length)
    return (
      <>
        <span className="standing-all">{dangers.length} dangers · </span>
        <b>{within.length} within one mistake</b>
      </>
    );
  return (
    <>
      <b>{wordList([...unlooked], "and")}: nothing looked at yet</b>, so {within.length} within one mistake
    </>
  );
}

interface RowsProps {
  readonly dangers: ShownAnswer["dangers"];
  readonly onPick: DarkHalfProps["onPick"];
}

/** While an answer is worked out the dangers of the last one stand as they are, and are not gone through again. */
const AllRows = memo(function AllRows({ dangers, onPick }: RowsProps) {
  const { drawn, near, far, nearCount, farCount } = dangerGroups(dangers);
  return (
    <ul aria-label="Dangers, nearest first" className="rows">
      {drawn.map((danger) => (
        <DangerRow key={danger.sheet} danger={danger} onPick={onPick} />
      ))}
      {near.map((fold) => (
        <DangerFold key={fold.mistakes} {...fold} far={false} />
      ))}
      {farCount > 0 && (
        <li className="standing-far">
          {nearCount === 0
            ? `All ${farCount} are ruled out by what was seen`
            : `${farCount} ruled out by what was seen`}
        </li>
      )}
      {far.map((fold) => (
        <DangerFold key={fold.mistakes} {...fold} far />
      ))}
    </ul>
  );
});

interface NearestRowsProps extends RowsProps {
  readonly isKnown: boolean;
}

const NearestRows = memo(function NearestRows({ dangers, isKnown, onPick }: NearestRowsProps) {
  const { drawn, nearCount, farCount } = dangerGroups(dangers);
  return (
    <ul aria-label="Nearest dangers" className="rows">
      {drawn.map((danger) => (
        <DangerRow key={danger.sheet} danger={danger} compact onPick={onPick} />
      ))}
      {nearCount > drawn.length && <li className="standing-far">{nearCount - drawn.length} more stand</li>}
      {nearCount === 0 && isKnown && <li className="standing-far">All {farCount} are ruled out by what was seen</li>}
    </ul>
  );
});
