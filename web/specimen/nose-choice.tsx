/** The smells that somebody has met, to be told by touches. */
import { stateWords } from "@jittery-cap/core";
import { Choice } from "./choice.tsx";
import { Choices } from "./choices.tsx";
import { NAMED_SMELLS, type Smell } from "./nose.ts";

interface NoseChoiceProps {
  readonly label: string;
  readonly known: readonly Smell[];
  readonly onKnow: (known: readonly Smell[]) => void;
}

export function NoseChoice({ label, known, onKnow }: NoseChoiceProps) {
  return (
    <Choices label={label}>
      {NAMED_SMELLS.map((smell) => (
        <Choice
          key={smell}
          label={stateWords("smell", smell)}
          chosen={known.includes(smell)}
          picture="mark"
          character="smell"
          state={smell}
          onChoose={() => onKnow(known.includes(smell) ? known.filter((one) => one !== smell) : [...known, smell])}
        />
      ))}
    </Choices>
  );
}
