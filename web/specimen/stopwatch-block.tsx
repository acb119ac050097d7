/** The stopwatch beside a stain: it sounds at ten seconds, a minute and five minutes. */
import Button from "@mui/material/Button";
import { memo } from "react";
import { clockText, nextMark, type Stopwatch } from "./stopwatch.ts";

interface StopwatchBlockProps {
  readonly stopwatch: Stopwatch;
}

export const StopwatchBlock = memo(function StopwatchBlock({ stopwatch }: StopwatchBlockProps) {
  const { seconds = 0, runs, turn, clear } = stopwatch;
  const next = nextMark(seconds);
  return (
    <section aria-label="Stopwatch" data-testid="stopwatch" className="clock">
      <span role="timer" className="clock-time">
        {clockText(seconds)}
      </span>
      <Button variant="contained" onClick={turn}>
        {runs ? "Stop" : "Start the clock"}
      </Button>
      {!runs && seconds > 0 && <Button onClick={clear}>Clear</Button>}
      <span className="soft small">
        {runs && next !== undefined
          ? `It sounds at ${clockText(next)}.`
          : "It sounds at 10 s, a minute and five minutes."}
      </span>
    </section>
  );
});
