/** After the run: what each step was done for, to be answered now that the hands are free. */
import { CHARACTER_WORDS, type Find } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { StandingDangers } from "../find/standing-dangers.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { useSession } from "../session/session-context.tsx";
import { CharacterBlock } from "../specimen/character-block.tsx";
import { clockText } from "../specimen/stopwatch.ts";
import { ToldQuestion } from "../specimen/told-questions.tsx";
import type { RunStep } from "./run-steps.ts";

interface RunAnswersProps {
  readonly find: Find;
  readonly steps: readonly RunStep[];
  readonly seconds: readonly number[];
  readonly onDone: () => void;
}

export function RunAnswers({ find, steps, seconds, onDone }: RunAnswersProps) {
  const { change } = useSession();
  const [active, setActive] = useState<string>();
  return (
    <SplitCard
      light={
        <>
          <Trail />
          <div data-testid="run-answers" className="page scroll">
            <Typography variant="h2" component="h1">
              What did you see?
            </Typography>
            <Typography className="soft below-2">What is left open stays open: it counts for nothing.</Typography>
            {steps.map((step, index) => {
              const body = find.bodies.find((one) => one.id === step.body);
              if (body === undefined) return null;
              return (
                <div key={`${step.test} ${step.body}`} data-answers={step.test} className="below-2">
                  <div className="soft below">
                    <b className="ink">{step.text}</b>
                    {step.timed ? ` · ${clockText(seconds[index] ?? 0)} watched` : ""}
                  </div>
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
                </div>
              );
            })}
            <Button variant="contained" size="large" onClick={onDone}>
              Back to the find
            </Button>
          </div>
        </>
      }
      dark={<StandingDangers />}
    />
  );
}
