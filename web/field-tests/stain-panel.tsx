/** The run of stain and nose on one body, with its clock; what failed ends it, and says leave. */
import { type Entry, type RunStepView, speedOf, stainRun } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useSession } from "../session/session-context.tsx";
import { CharacterBlock } from "../specimen/character-block.tsx";
import { ObserverSwitch } from "../specimen/observer-switch.tsx";
import { clockText, useStopwatch } from "../specimen/stopwatch.ts";
import { StopwatchBlock } from "../specimen/stopwatch-block.tsx";
import { ToldQuestion } from "../specimen/told-questions.tsx";
import type { ShownTest } from "./shown-test.ts";
import { StainSpeedChoice } from "./stain-speed-choice.tsx";

const STATE_WORDS: Readonly<Record<RunStepView["state"], string>> = {
  open: "to be done",
  passed: "done",
  failed: "failed: leave it",
  silent: "proves nothing",
  skipped: "not to be done",
};
/** The clock of a run, and how many seconds after the cut the first colour came, as it was touched. */
function useOnset() {
  const stopwatch = useStopwatch();
  const [onset, setOnset] = useState<number>();
  return { stopwatch, onset, turned: () => setOnset(stopwatch.seconds ?? 0) };
}

export function StainPanel({ find, body, onChange }: ShownTest) {
  const { observe } = useSession();
  const run = stainRun(find, body);
  const clock = useOnset();
  const [opened, setOpened] = useState<string>();
  const shown = opened ?? run.current;
  return (
    <>
      <Typography variant="h2" component="h1">
        Stain and nose of {body.id}
      </Typography>
      <Typography className="soft below-2">
        In this order; the nose comes only when the stain passed. When the first fails there is no second.
      </Typography>
      {run.ended !== undefined && (
        <Alert severity="error" data-testid="run-ended" sx={{ mb: 2 }} className="strong large">
          {run.ended} The run ends here.
        </Alert>
      )}
      <ol className="lines">
        {run.steps.map((step, index) => (
          <li key={step.step} data-step={step.step} data-step-state={step.state} className="line around">
            <button
              type="button"
              aria-expanded={shown === step.step}
              onClick={() => setOpened(shown === step.step ? "" : step.step)}
              className="run-step"
            >
              <span className="run-number">{index + 1}</span>
              <span className="grow">
                <span className="run-title">{step.title}</span>
                {step.why !== undefined && <span className="soft run-state">{step.why}</span>}
              </span>
              <span className="soft strong run-state">{STATE_WORDS[step.state]}</span>
            </button>
            {shown === step.step && step.state !== "skipped" && (
              <OpenStep
                step={step}
                clock={clock}
                find={find}
                body={body}
                onChange={onChange}
                onDone={() => setOpened(undefined)}
              />
            )}
          </li>
        ))}
      </ol>
      <ObserverSwitch find={find} onChange={onChange} onObserve={observe} />
    </>
  );
}

/** What a step knows besides what is touched: heat, and how fast it turned. */
function told(step: RunStepView, onset: number | undefined, entry: Entry): Entry {
  // a smell brought out on heat says so: frost and cold no longer hide it
  if (step.step === "heat") return { ...entry, method: "heat" };
  const turned = step.watch.length > 0 && entry.states !== undefined && !entry.states.includes("none");
  return turned && onset !== undefined && entry.speed === undefined ? { ...entry, speed: speedOf(onset) } : entry;
}

interface OpenStepProps extends Pick<ShownTest, "find" | "body" | "onChange"> {
  readonly step: RunStepView;
  readonly clock: ReturnType<typeof useOnset>;
  readonly onDone: () => void;
}

function OpenStep({ step, clock: { stopwatch, onset, turned }, find, body, onChange, onDone }: OpenStepProps) {
  return (
    <div className="run-open">
      <div className="soft below">{step.how}</div>
      {step.watch.length > 0 && (
        <>
          <StopwatchBlock stopwatch={stopwatch} />
          {stopwatch.runs && (
            <Button onClick={turned} size="large">
              {onset === undefined ? "It turns now" : `It turned after ${clockText(onset)}`}
            </Button>
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
          onChange(
            change.kind === "observe"
              ? { ...change, entries: change.entries.map((entry) => told(step, onset, entry)) }
              : change,
          );
          onDone();
        }}
      />
      {step.watch.length > 0 && <StainSpeedChoice body={body} character={step.character} onChange={onChange} />}
    </div>
  );
}
