/** States to choose among, in words, with their digits; afterwards which was right and which was said. */
import { type CharacterId, stateWords } from "@jittery-cap/core";
import { Choices } from "../specimen/choices.tsx";
import { type ExerciseParts, GoOn } from "./exercise-parts.tsx";
import { HowSure } from "./how-sure.tsx";
import type { useNaming } from "./use-naming.ts";

interface StateChoicesProps {
  readonly character: CharacterId;
  readonly states: readonly string[];
  readonly said: string | undefined;
  /** Told when it may be seen. */
  readonly answer: string | undefined;
  /** Left out when nothing more can be said. */
  readonly onSay: ((state: string) => void) | undefined;
}

function StateChoices({ character, states, said, answer, onSay }: StateChoicesProps) {
  return (
    <Choices label="What is it?" className="practice-choices">
      {states.map((state, index) => (
        <button
          key={state}
          type="button"
          data-state={state}
          aria-pressed={state === said}
          disabled={onSay === undefined && state !== said && state !== answer}
          className={`practice-choice${state === answer ? " practice-choice-right" : ""}`}
          onClick={() => onSay?.(state)}
        >
          <span aria-hidden="true" className="practice-digit">
            {index + 1}
          </span>
          <span className="grow">{state === "none" ? "none" : stateWords(character, state)}</span>
          {state === answer && <b>this one</b>}
          {answer !== undefined && state === said && state !== answer && <span>you said</span>}
        </button>
      ))}
    </Choices>
  );
}

interface NamingProps extends ExerciseParts {
  readonly character: CharacterId;
  readonly choices: readonly string[];
  readonly answer: string;
  readonly naming: ReturnType<typeof useNaming>;
}

/** One of some to be named, then how sure, then the way on. */
export function Naming({ character, choices, answer, naming, ...parts }: NamingProps) {
  const { said, setSaid, sure, finish, isTold } = naming;
  return (
    <div>
      <StateChoices
        character={character}
        states={choices}
        said={said}
        answer={isTold ? answer : undefined}
        onSay={isTold ? undefined : setSaid}
      />
      {said !== undefined && <HowSure onSure={finish} said={sure} />}
      {isTold && <GoOn {...parts} />}
    </div>
  );
}
