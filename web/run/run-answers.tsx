/** After the run: what each step was done for, to be answered now that the hands are free. */
import { CHARACTER_WORDS, type Find } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { DarkHalf } from "../card/dark-half.tsx";
import { SplitCard } from "../card/split-card.tsx";
import { Trail } from "../card/trail.tsx";
import { CharacterBlock } from "../find/character-block.tsx";
import { clockText } from "../find/stopwatch.ts";
import { ToldQuestion } from "../find/told-questions.tsx";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import type { RunStep } from "./run-steps.ts";

interface RunAnswersProps {
  readonly find: Find;
  readonly steps: readonly RunStep[];
  readonly seconds: readonly number[];
  readonly onDone: () => void;
}

export function RunAnswers({ find, steps, seconds, onDone }: RunAnswersProps) {
  const { answer, answerState, lastMove, change } = useFind();
  const [active, setActive] = useState<string>();
  return (
    <SplitCard
      darkShare={0.4}
      light={
        <>
          <Trail view="find" findId={find.id} />
          <Box
            data-testid="run-answers"
            sx={{ px: { xs: 2.5, md: 3.5 }, pt: 2.5, flex: 1, minHeight: 0, overflowY: "auto" }}
          >
            <Typography variant="h2" component="h1">
              What did you see?
            </Typography>
            <Typography sx={{ color: tone.inkSoft, pb: 2 }}>
              What is left open stays open: it counts for nothing.
            </Typography>
            {steps.map((step, index) => {
              const body = find.bodies.find((one) => one.id === step.body);
              if (body === undefined) return null;
              return (
                <Box key={`${step.test} ${step.body}`} data-answers={step.test} sx={{ pb: 1.5 }}>
                  <Box sx={{ color: tone.inkSoft, pb: 1 }}>
                    <b style={{ color: tone.ink }}>{step.text}</b>
                    {step.timed ? ` · ${clockText(seconds[index] ?? 0)} watched` : ""}
                  </Box>
                  {step.lifts && (
                    <ToldQuestion
                      question={{ kind: "body", field: "lifted" }}
                      find={find}
                      body={body}
                      active={false}
                      onChange={change}
                    />
                  )}
                  {step.characters.map((character) => (
                    <CharacterBlock
                      key={`${body.id} ${CHARACTER_WORDS[character].plain}`}
                      find={find}
                      body={body}
                      character={character}
                      active={active === character}
                      stakes={[]}
                      masks={[]}
                      onActivate={() => setActive(character)}
                      onChange={change}
                    />
                  ))}
                </Box>
              );
            })}
            <ButtonBase
              onClick={onDone}
              sx={{ minHeight: TOUCH + 8, px: 3, mb: 3, bgcolor: tone.ink, color: tone.bone, fontWeight: 750 }}
            >
              Back to the find
            </ButtonBase>
          </Box>
        </>
      }
      dark={<DarkHalf answer={answer} state={answerState} lastMove={lastMove} />}
    />
  );
}
