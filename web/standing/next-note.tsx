/** The light note that lies over the dark half: what to do next. Touching it goes there. */
import type { PlannedTest } from "@jittery-cap/core";
import { askedWords } from "../specimen/place-of-test.ts";

interface NextNoteProps {
  readonly tests: readonly PlannedTest[];
  readonly onGo: (test: PlannedTest) => void;
}

const minutesText = (test: PlannedTest): string =>
  test.waitHours > 0
    ? `${test.minutes} minutes, then ${test.waitHours} hours of waiting`
    : test.minutes < 1
      ? "half a minute"
      : `about ${test.minutes} minute${test.minutes === 1 ? "" : "s"}`;

export function NextNote({ tests, onGo }: NextNoteProps) {
  const [next, after] = tests;
  if (next === undefined) return null;
  const asked = askedWords(next);
  const moves = next.movesAway.length;
  return (
    <button
      type="button"
      onClick={() => onGo(next)}
      data-testid="next-test"
      data-test={next.test}
      data-half="light"
      className="next-note"
    >
      <span className="next-time">Next, {minutesText(next)}</span>
      <span className="next-words">
        <span className="next-word">Next: </span>
        <span className="next-doing">{next.text}</span>
        <span className="next-asked">{asked}</span>
      </span>
      <span className="next-then">
        {asked !== next.text && `It asks: ${asked}. `}
        {moves > 0 && `Moves ${moves === 1 ? "one danger" : `${moves} dangers`}. `}
        {after !== undefined && `Then: ${after.text.charAt(0).toLowerCase()}${after.text.slice(1)}.`}
      </span>
    </button>
  );
}
