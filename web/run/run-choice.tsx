/** Which tests are run: the planned ones are chosen already, in their order; each can be left out. */
import type { Find } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { DarkHalf } from "../card/dark-half.tsx";
import { SplitCard } from "../card/split-card.tsx";
import { Trail } from "../card/trail.tsx";
import { Choice } from "../find/choice.tsx";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import { type RunStep, runnableTests, runSteps } from "./run-steps.ts";

interface RunChoiceProps {
  readonly find: Find;
  readonly onStart: (steps: readonly RunStep[]) => void;
  readonly onLeave: () => void;
}

export function RunChoice({ find, onStart, onLeave }: RunChoiceProps) {
  const { answer, answerState, lastMove } = useFind();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const tests = runnableTests(answer);
  const keyOf = (test: (typeof tests)[number]) => `${test.test} ${test.body ?? ""}`;
  const chosen = tests.filter((test) => !left.has(keyOf(test)));
  const steps = runSteps(chosen, find.bodies[0]?.id ?? "A");
  return (
    <SplitCard
      darkShare={0.4}
      light={
        <>
          <Trail view="find" findId={find.id} />
          <Box sx={{ px: { xs: 2.5, md: 3.5 }, pt: 2.5, flex: 1, minHeight: 0, overflowY: "auto" }}>
            <Typography variant="h2" component="h1">
              Hands-free
            </Typography>
            <Typography sx={{ color: tone.inkSoft, pb: 2 }}>
              Each step is shown large and spoken. Any touch or key goes on. The clock sounds at ten seconds, a minute
              and five minutes. You answer when your hands are free.
            </Typography>
            {tests.length === 0 && (
              <Typography>
                {answer === undefined ? "Working out what comes next." : "Nothing is left to do by hand just now."}
              </Typography>
            )}
            <Box sx={{ display: "grid", gap: 1 }}>
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
            </Box>
            <Box sx={{ display: "flex", gap: 1.5, py: 2.5 }}>
              <ButtonBase
                disabled={steps.length === 0}
                onClick={() => onStart(steps)}
                sx={{
                  minHeight: TOUCH + 12,
                  px: 3,
                  bgcolor: tone.ink,
                  color: tone.bone,
                  fontSize: "1.125rem",
                  fontWeight: 750,
                  opacity: steps.length === 0 ? 0.5 : 1,
                }}
              >
                {`Begin, ${steps.length} ${steps.length === 1 ? "step" : "steps"}`}
              </ButtonBase>
              <ButtonBase onClick={onLeave} sx={{ minHeight: TOUCH + 12, px: 2, border: `1px solid ${tone.boneLine}` }}>
                Back to the find
              </ButtonBase>
            </Box>
          </Box>
        </>
      }
      dark={<DarkHalf answer={answer} state={answerState} lastMove={lastMove} />}
    />
  );
}
