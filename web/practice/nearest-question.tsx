/** Which danger is nearest, and how many mistakes away: asked before the dark half is uncovered. */
import Button from "@mui/material/Button";
import { useState } from "react";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { Choices } from "../specimen/choices.tsx";
import type { SheetLine } from "../worker/judge.worker.ts";
import { askPractice } from "./ask-practice.ts";
import type { Nearest } from "./whole-exercise.tsx";

const FAR = [0, 1, 2, 3] as const;

interface NearestQuestionProps {
  readonly dangers: readonly SheetLine[];
  readonly said: Nearest | undefined;
  readonly onSay: (nearest: Nearest) => void;
  /** Only among these: whoever answers from a phone has no sheets. */
  readonly isAll?: boolean;
}

export function NearestQuestion({ dangers, said, onSay, isAll = false }: NearestQuestionProps) {
  const [all, setAll] = useState<readonly SheetLine[]>();
  const other = all?.find((one) => one.id === said?.sheet && dangers.every(({ id }) => id !== one.id));
  const shown = other === undefined ? dangers : [...dangers, other];
  return (
    <>
      <h2 className="practice-question">Which danger is nearest, and how many mistakes away?</h2>
      <ul className="lines">
        {shown.map(({ id, common, tier }) => (
          <li key={id} className="line practice-nearest" data-danger={id}>
            <span id={`nearest-${id}`} className={tier === "deadly" ? "strong" : ""}>
              {common}
            </span>
            <Choices labelledBy={`nearest-${id}`} className="practice-far">
              {FAR.map((mistakes) => (
                <button
                  key={mistakes}
                  type="button"
                  data-mistakes={mistakes}
                  aria-pressed={said?.sheet === id && said.mistakes === mistakes}
                  aria-label={`${mistakes === 3 ? "3 or more" : mistakes} ${mistakes === 1 ? "mistake" : "mistakes"} away`}
                  className="practice-tenth"
                  onClick={() => onSay({ sheet: id, mistakes })}
                >
                  {mistakes === 3 ? "3+" : mistakes}
                </button>
              ))}
            </Choices>
          </li>
        ))}
      </ul>
      {isAll ? null : all === undefined ? (
        <Button variant="quiet" onClick={() => void askPractice("dangers").then(setAll, () => undefined)}>
          Another one
        </Button>
      ) : (
        <ChooseFrom
          label="Another danger"
          value={other?.id ?? ""}
          onChange={(id) => id !== "" && onSay({ sheet: id, mistakes: undefined })}
        >
          <option value="">Another danger</option>
          {all.map(({ id, common }) => (
            <option key={id} value={id}>
              {common}
            </option>
          ))}
        </ChooseFrom>
      )}
    </>
  );
}
