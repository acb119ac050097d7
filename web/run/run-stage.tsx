/** One step at a time, as large as the screen; a touch anywhere goes on. */
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useCallback, useEffect, useRef, useState } from "react";
import { hush, keepAwake, speak } from "../device/sound.ts";
import { clockText, nextMark, useStopwatch } from "../find/stopwatch.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
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
    <Box
      role="presentation"
      // pointer, not click: a wet thumb may slide
      onPointerUp={goOn}
      data-testid="run-stage"
      data-step={step?.test}
      sx={{
        display: "flex",
        flexDirection: "column",
        height: "100dvh",
        p: { xs: 3, md: 6 },
        userSelect: "none",
        bgcolor: tone.moss,
        color: tone.onDark,
        cursor: "pointer",
      }}
    >
      <Box sx={{ display: "flex", justifyContent: "space-between", color: tone.onDarkSoft, fontSize: "1.25rem" }}>
        <span>
          Step {place + 1} of {steps.length}
          {step?.body === undefined ? "" : ` · body ${step.body}`}
        </span>
        <ButtonBase
          onPointerUp={(event) => event.stopPropagation()}
          onClick={() => onEnd(took.current)}
          sx={{ minHeight: TOUCH, px: 2, border: `1px solid ${tone.onDarkSoft}`, color: tone.onDark }}
        >
          End here
        </ButtonBase>
      </Box>
      <Box
        component="h1"
        aria-live="assertive"
        sx={{
          m: 0,
          my: "auto",
          fontSize: { xs: "3rem", md: "5.5rem" },
          fontWeight: 800,
          lineHeight: 1.05,
          letterSpacing: "-0.02em",
          textWrap: "balance",
        }}
      >
        {step?.text}
      </Box>
      {step?.timed === true && (
        <Box sx={{ display: "flex", alignItems: "baseline", gap: 3, pb: 3 }}>
          <Box role="timer" sx={{ fontSize: { xs: "4rem", md: "6rem" }, fontWeight: 750, lineHeight: 1 }}>
            {clockText(seconds)}
          </Box>
          <Box sx={{ color: tone.onDarkSoft, fontSize: "1.25rem" }}>
            {next === undefined ? "Five minutes are over." : `Look again at ${clockText(next)}.`}
          </Box>
        </Box>
      )}
      <Box sx={{ color: tone.onDarkSoft, fontSize: "1.25rem" }}>
        Any touch or key goes on{steps[place + 1] === undefined ? " to the answers" : ""}.
      </Box>
    </Box>
  );
}
