/** One look: a drawing made anew, to be named; the same told for who cannot see it. */
import { CHARACTER_WORDS, type CharacterId, glossesOf, stateWords } from "@jittery-cap/core";
import type { OneLook } from "@jittery-cap/core/trainer";
import { useState } from "react";
import { StatePicture } from "../specimen/choice.tsx";
import { Choices } from "../specimen/choices.tsx";
import { Drawing } from "../specimen/drawing.tsx";
import { type ExerciseParts, Told } from "./exercise-parts.tsx";
import { Covered, PracticeFrame } from "./practice-frame.tsx";
import { Naming } from "./state-choices.tsx";
import { useNaming } from "./use-naming.ts";

const WIDE = 330;
const HIGH = 300;

export function LookExercise({ item, ...parts }: ExerciseParts & { readonly item: OneLook }) {
  const { character, told, choices, answer, near } = item;
  const naming = useNaming(item, parts);
  const { said, isTold } = naming;
  return (
    <PracticeFrame
      label="One look"
      isLow
      light={
        <>
          <h1 className="view-title">{capital(CHARACTER_WORDS[character].plain)}</h1>
          <p className="lead-in">
            {item.figure === undefined
              ? "You crush a piece. It smells so: what would you call it?"
              : "Drawn anew each time. What is it?"}
          </p>
          <div className="practice-two-columns">
            <div>
              <Shown item={item} answer={isTold ? answer : undefined} />
            </div>
            <Naming character={character} choices={choices} answer={answer} naming={naming} {...parts} />
          </div>
        </>
      }
      dark={
        isTold ? (
          <Uncovered character={character} answer={answer} near={near} isRight={said === answer} told={told} />
        ) : (
          <Covered>
            <h2 className="practice-question">Name it before it is named.</h2>
          </Covered>
        )
      }
    />
  );
}

interface ShownProps {
  readonly item: OneLook;
  /** Told when it may be seen. */
  readonly answer: string | undefined;
}

/** What is to be named: drawn, and told for who cannot see it; a smell is told alone. */
function Shown({ item: { figure, told }, answer }: ShownProps) {
  const [isHeard, setHeard] = useState(false);
  if (figure === undefined)
    return (
      <p className="practice-smell" data-answer={answer}>
        {capital(told)}
      </p>
    );
  const scale = Math.min(WIDE / (figure.right - figure.left), HIGH / (figure.top - figure.bottom));
  return (
    <>
      <div className="practice-drawn" data-answer={answer}>
        <Drawing figure={figure} scale={scale} label={told} />
      </div>
      {isHeard ? (
        <p className="practice-told">{capital(told)}</p>
      ) : (
        <button type="button" className="practice-hear" onClick={() => setHeard(true)}>
          Tell it in words
        </button>
      )}
    </>
  );
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

interface UncoveredProps {
  readonly character: CharacterId;
  readonly answer: string;
  readonly near: readonly string[];
  readonly isRight: boolean;
  readonly told: string;
}

function Uncovered({ character, answer, near, isRight, told }: UncoveredProps) {
  const means = (state: string) => glossesOf(character)?.[state];
  return (
    <>
      <Told isRight={isRight}>{stateWords(character, answer)}</Told>
      <p>{capital(told)}</p>
      {near.length > 0 && (
        <>
          <p className="above-2 soft">People take it for these, so neither of them speaks against the other:</p>
          <Choices label="Taken for" className="practice-near">
            {near.map((state) => (
              <div key={state} className="practice-near-one">
                <StatePicture character={character} state={state} />
                <span>
                  <b>{stateWords(character, state)}</b>
                  {means(state) !== undefined && <span className="soft">: {means(state)}</span>}
                </span>
              </div>
            ))}
          </Choices>
        </>
      )}
    </>
  );
}
