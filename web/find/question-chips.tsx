/** The questions of a station as a row for the thumb, where they are shown one at a time. */
import { CHARACTER_WORDS, isCharacterId } from "@jittery-cap/core";
import { useEffect, useRef } from "react";
import { itemOf, type Question, TOLD_NAMES } from "../specimen/stations.ts";

interface QuestionChipsProps {
  readonly questions: readonly Question[];
  readonly active: string | undefined;
  readonly isDone: (question: Question) => boolean;
  readonly onChoose: (item: string) => void;
}

export function QuestionChips({ questions, active, isDone, onChoose }: QuestionChipsProps) {
  const row = useRef<HTMLDivElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the chip in view follows the question
  useEffect(() => {
    row.current?.querySelector('[aria-current="true"]')?.scrollIntoView({ inline: "center", block: "nearest" });
  }, [active]);
  if (questions.length < 2) return null;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset would be drawn with a frame
    <div ref={row} role="group" aria-label="Questions here" className="row-of-chips">
      {questions.map((question) => {
        const item = itemOf(question);
        return (
          <button
            key={item}
            type="button"
            aria-current={item === active}
            data-chip={item}
            onClick={() => onChoose(item)}
            className={isDone(question) ? "chip chip-done" : "chip"}
          >
            {isCharacterId(item) ? CHARACTER_WORDS[item].plain : (TOLD_NAMES[item] ?? item)}
          </button>
        );
      })}
    </div>
  );
}
