/** The run of stain and nose on one body, with its clock; what failed ends it, and says leave. */
import { type Entry, type RunStepView, speedOf, stainRun } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { CharacterBlock } from "../find/character-block.tsx";
import { ObserverSwitch } from "../find/observer-switch.tsx";
import { clockText, useStopwatch } from "../find/stopwatch.ts";
import { StopwatchBlock } from "../find/stopwatch-block.tsx";
import { ToldQuestion } from "../find/told-questions.tsx";
import { TOUCH, tone } from "../theme/tokens.ts";
import type { ShownTest } from "./shown-test.ts";
import { StainSpeedChoice } from "./stain-speed-choice.tsx";

const STATE_WORDS: Readonly<Record<RunStepView["state"], string>> = {
  open: "to be done",
  passed: "done",
  failed: "failed: leave it",
  silent: "proves nothing",
  skipped: "not to be done",
};
export function StainPanel({ find, body, onChange }: ShownTest) {
  const run = stainRun(find, body);
  const stopwatch = useStopwatch();
  const [opened, setOpened] = useState<string>();
  /** Seconds from the cut to the first colour, as it was touched. */
  const [onset, setOnset] = useState<number>();
  /** What the run knows besides: heat, and how fast it turned. */
  const told =
    (step: RunStepView) =>
    (entry: Entry): Entry => {
      if (step.step === "heat") return { ...entry, method: "heat" };
      const turned = step.watch.length > 0 && entry.states !== undefined && !entry.states.includes("none");
      return turned && onset !== undefined && entry.speed === undefined ? { ...entry, speed: speedOf(onset) } : entry;
    };
  const shown = opened ?? run.current;
  return (
    <>
      <Typography variant="h2" component="h1">
        Stain and nose of {body.id}
      </Typography>
      <Typography sx={{ color: tone.inkSoft, pb: 1.5 }}>
        In this order; the nose comes only when the stain passed. When the first fails there is no second.
      </Typography>
      {run.ended !== undefined && (
        <Box
          role="alert"
          data-testid="run-ended"
          sx={{ mb: 2, pl: 1.5, borderLeft: `4px solid ${tone.rust}`, fontWeight: 750, fontSize: "1.125rem" }}
        >
          {run.ended} The run ends here.
        </Box>
      )}
      <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {run.steps.map((step, index) => (
          <Box
            component="li"
            key={step.step}
            data-step={step.step}
            data-step-state={step.state}
            sx={{ borderTop: `1px solid ${tone.boneLine}`, py: 1.25 }}
          >
            <Box
              component="button"
              type="button"
              aria-expanded={shown === step.step}
              onClick={() => setOpened(shown === step.step ? "" : step.step)}
              sx={{
                display: "flex",
                gap: 1.5,
                width: "100%",
                minHeight: 48,
                alignItems: "center",
                border: 0,
                bgcolor: "transparent",
                font: "inherit",
                color: tone.ink,
                textAlign: "left",
                cursor: "pointer",
                p: 0,
              }}
            >
              <Box component="span" sx={{ fontSize: "1.5rem", fontWeight: 800, width: 28 }}>
                {index + 1}
              </Box>
              <Box component="span" sx={{ flex: 1 }}>
                <Box
                  component="span"
                  sx={{
                    display: "block",
                    fontWeight: 700,
                    fontSize: "1.125rem",
                    textDecoration: step.state === "skipped" ? "line-through" : "none",
                  }}
                >
                  {step.title}
                </Box>
                {step.why !== undefined && (
                  <Box component="span" sx={{ color: step.state === "failed" ? tone.rust : tone.inkSoft }}>
                    {step.why}
                  </Box>
                )}
              </Box>
              <Box component="span" sx={{ color: step.state === "failed" ? tone.rust : tone.inkSoft, fontWeight: 650 }}>
                {STATE_WORDS[step.state]}
              </Box>
            </Box>
            {shown === step.step && step.state !== "skipped" && (
              <Box sx={{ pt: 1, pl: { md: 5 } }}>
                <Box sx={{ color: tone.inkSoft, pb: 1 }}>{step.how}</Box>
                {step.watch.length > 0 && (
                  <>
                    <StopwatchBlock stopwatch={stopwatch} />
                    {stopwatch.runs && (
                      <ButtonBase
                        onClick={() => setOnset(stopwatch.seconds ?? 0)}
                        sx={{
                          mb: 2,
                          minHeight: TOUCH + 12,
                          px: 3,
                          border: `2px solid ${tone.ink}`,
                          bgcolor: tone.paper,
                          fontWeight: 750,
                          fontSize: "1.125rem",
                        }}
                      >
                        {onset === undefined ? "It turns now" : `It turned after ${clockText(onset)}`}
                      </ButtonBase>
                    )}
                  </>
                )}
                {step.character === "smell" &&
                  (["warmedInHand", "cannotSmell"] as const).map((field) => (
                    <ToldQuestion
                      key={field}
                      question={{ kind: "weather", field }}
                      find={find}
                      body={body}
                      active={false}
                      onChange={onChange}
                    />
                  ))}
                <CharacterBlock
                  find={find}
                  body={body}
                  character={step.character}
                  active={false}
                  stakes={[]}
                  masks={[]}
                  onActivate={() => undefined}
                  onChange={(change) => {
                    // a smell brought out on heat says so: frost and cold no longer hide it
                    onChange(
                      change.kind === "observe" ? { ...change, entries: change.entries.map(told(step)) } : change,
                    );
                    setOpened(undefined);
                  }}
                />
                {step.watch.length > 0 && (
                  <StainSpeedChoice body={body} character={step.character} onChange={onChange} />
                )}
              </Box>
            )}
          </Box>
        ))}
      </Box>
      <ObserverSwitch find={find} onChange={onChange} />
    </>
  );
}
