/** Several states of one character: those that hold are shown, and all of them when they are changed. */
import { stateWords, wordList } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";

interface StatesToggleProps<State extends string> {
  readonly label: string;
  readonly character: string;
  readonly states: readonly State[];
  readonly value: readonly State[];
  readonly onSet: (value: State[]) => void;
}

export function StatesToggle<State extends string>({
  label,
  character,
  states,
  value,
  onSet,
}: StatesToggleProps<State>) {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <div className="states-toggle">
      <div className="pot-line">
        <span className="grow">
          <b>{label}</b>{" "}
          {value.length === 0 ? (
            <span className="soft">not told</span>
          ) : (
            wordList(
              value.map((one) => stateWords(character, one)),
              "and",
            )
          )}
        </span>
        <Button variant="quiet" aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
          {isOpen ? "Done" : "Change"}
        </Button>
      </div>
      {isOpen && (
        <ToggleButtonGroup
          value={[...value]}
          onChange={(_event, next: State[]) => onSet(next)}
          aria-label={label}
          className="outing-by"
        >
          {states.map((state) => (
            <ToggleButton key={state} value={state}>
              {stateWords(character, state)}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
    </div>
  );
}
