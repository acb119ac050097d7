/** Which tests are run: the planned ones are chosen already, in their order; each can be left out. */
import type { Find } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { StandingDangers } from "../find/standing-dangers.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { useFind } from "../session/session-context.tsx";
import { Choice } from "../specimen/choice.tsx";
import { type RunStep, runnableTests, runSteps } from "./run-steps.ts";

interface RunChoiceProps {
  readonly find: Find;
  readonly onStart: (steps: readonly RunStep[]) => void;
  readonly onLeave: () => void;
}

export function RunChoice({ find, onStart, onLeave }: RunChoiceProps) {
  const answer = useFind((state) => state.answer);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const tests = runnableTests(answer);
  const keyOf = (test: (typeof tests)[number]) => `${test.test} ${test.body ?? ""}`;
  const chosen = tests.filter((test) => !left.has(keyOf(test)));
  const steps = runSteps(chosen, find.bodies[0]?.id ?? "A");
  return (
    <SplitCard
      light={
        <>
          <Trail />
          <div className="page scroll">
            <Typography variant="h2" component="h1">
              Hands-free
            </Typography>
            <Typography className="soft below-2">
              Each step is shown large and spoken. Any touch or key goes on. The clock sounds at ten seconds, a minute
              and five minutes. You answer when your hands are free.
            </Typography>
            {tests.length === 0 && (
              <Typography>
                {answer === undefined ? "Working out what comes next." : "Nothing is left to do by hand just now."}
              </Typography>
            )}
            <div className="stack">
              {tests.map((test) => (
                <Choice
                  key={keyOf(test)}
                  quiet
                  label={test.text}
                  state={test.test}
                  chosen={!left.has(keyOf(test))}
                  onChoose={() =>
                    setLeft((before) => {
                      const after = new Set(before);
                      if (!after.delete(keyOf(test))) after.add(keyOf(test));
                      return after;
                    })
                  }
                />
              ))}
            </div>
            <div className="actions around-2">
              <Button variant="contained" disabled={steps.length === 0} onClick={() => onStart(steps)} size="large">
                {`Begin, ${steps.length} ${steps.length === 1 ? "step" : "steps"}`}
              </Button>
              <Button onClick={onLeave} size="large">
                Back to the find
              </Button>
            </div>
          </div>
        </>
      }
      dark={<StandingDangers />}
    />
  );
}
