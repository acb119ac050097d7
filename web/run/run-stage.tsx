/** One step at a time, as large as the screen; a touch anywhere goes on. */
import Button from "@mui/material/Button";
import { useCallback, useEffect, useRef, useState } from "react";
import { hush, keepAwake, speak } from "../device/sound.ts";
import { clockText, nextMark, useStopwatch } from "../specimen/stopwatch.ts";
import type { RunStep } from "./run-steps.ts";

interface RunStageProps {
  readonly steps: readonly RunStep[];
  /** Told how long each step that was done took, s. */
  readonly onEnd: (seconds: readonly number[]) => void;
}

/** A second touch so soon after the first is the same one. */
const SAME_TOUCH_MS = 350;

export function RunStage({ steps, onEnd }: RunStageProps) {
  const [place, setPlace] = useState(0);
  const took = useRef<number[]>([]);
  const began = useRef(Date.now());
  const { seconds = 0, turn, clear } = useStopwatch();
  const step = steps[place];

  useEffect(() => keepAwake(), []);
  useEffect(() => {
    if (step === undefined) return;
    began.current = Date.now();
    speak(step.text);
    if (step.timed) turn();
    return () => {
      hush();
      clear();
    };
  }, [step, turn, clear]);

  const goOn = useCallback(() => {
    const now = Date.now();
    if (now - began.current < SAME_TOUCH_MS) return;
    took.current.push(Math.round((now - began.current) / 1000));
    if (took.current.length === steps.length) onEnd(took.current);
    else setPlace(took.current.length);
  }, [steps.length, onEnd]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.metaKey || event.ctrlKey || event.altKey) return;
      event.preventDefault();
      if (event.key === "Escape") onEnd(took.current);
      else if (!event.repeat) goOn();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [goOn, onEnd]);

  const next = nextMark(seconds);
  return (
    <div
      role="presentation"
      // pointer, not click: a wet thumb may slide
      onPointerUp={goOn}
      data-testid="run-stage"
      data-step={step?.test}
      data-half="dark"
      className="stage"
    >
      <div className="stage-head">
        <span>
          Step {place + 1} of {steps.length}
          {step?.body === undefined ? "" : ` · body ${step.body}`}
        </span>
        <Button onPointerUp={(event) => event.stopPropagation()} onClick={() => onEnd(took.current)}>
          End here
        </Button>
      </div>
      <h1 aria-live="assertive">{step?.text}</h1>
      {step?.timed === true && (
        <div className="stage-clock">
          <span role="timer">{clockText(seconds)}</span>
          <div className="soft larger">
            {next === undefined ? "Five minutes are over." : `Look again at ${clockText(next)}.`}
          </div>
        </div>
      )}
      <div className="soft larger">
        Any touch or key goes on{steps[place + 1] === undefined ? " to the answers" : ""}.
      </div>
    </div>
  );
}
