/** A colour on the split card under some light: which is it? */
import { CHARACTER_WORDS, stateWords } from "@jittery-cap/core";
import type { UnderTheLamp } from "@jittery-cap/core/trainer";

import { PIGMENTS } from "../theme/tokens.ts";
import { type ExerciseParts, Told } from "./exercise-parts.tsx";
import { capital } from "./look-exercise.tsx";
import { Covered, PracticeFrame } from "./practice-frame.tsx";
import { Naming } from "./state-choices.tsx";
import { useNaming } from "./use-naming.ts";

export function LampExercise({ item, ...parts }: ExerciseParts & { readonly item: UnderTheLamp }) {
  const { character, light, inks, choices, answer } = item;
  const naming = useNaming(item, parts);
  const { said, isTold } = naming;
  return (
    <PracticeFrame
      label="Under the lamp"
      isLow
      light={
        <>
          <h1 className="view-title">{capital(CHARACTER_WORDS[character].plain)}</h1>
          <p className="lead-in">
            By {light}. What is white and what is black there tells you what the light does: read it beside the card.
          </p>
          <div className="practice-two-columns">
            <svg
              viewBox="0 0 320 200"
              className="practice-card"
              role="img"
              aria-label={`A deposit on the card, by ${light}`}
            >
              <rect width="160" height="200" fill={inks.white} />
              <rect x="160" width="160" height="200" fill={inks.black} />
              <path d="M160 40 a60 60 0 0 0 0 120 z" fill={inks.onWhite} />
              <path d="M160 40 a60 60 0 0 1 0 120 z" fill={inks.onBlack} />
            </svg>
            <Naming character={character} choices={choices} answer={answer} naming={naming} {...parts} />
          </div>
        </>
      }
      dark={
        isTold ? (
          <>
            <Told isRight={said === answer}>{stateWords(character, answer)}</Told>
            <p className="soft">In even daylight:</p>
            <div className="practice-near">
              {choices.map((state) => (
                <div key={state} className="practice-near-one">
                  <span aria-hidden="true" className="practice-pigment" style={{ background: PIGMENTS[state] }} />
                  <span className={state === answer ? "strong" : ""}>{stateWords(character, state)}</span>
                </div>
              ))}
            </div>
            <p className="above-2 soft">
              A screen is no print: take the card to the window when it matters, or let the colour be read from a
              picture.
            </p>
          </>
        ) : (
          <Covered>
            <h2 className="practice-question">Which colour is it, and not: which does it look like?</h2>
          </Covered>
        )
      }
    />
  );
}
