/** The questions of a station as a row for the thumb, where they are shown one at a time. */
import { CHARACTER_WORDS, isCharacterId } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useEffect, useRef } from "react";
import { TOUCH, tone } from "../theme/tokens.ts";
import { itemOf, type Question, TOLD_NAMES } from "./stations.ts";

interface QuestionChipsProps {
  readonly questions: readonly Question[];
  readonly active: string | undefined;
  readonly isDone: (question: Question) => boolean;
  readonly onChoose: (item: string) => void;
}

export function QuestionChips({ questions, active, isDone, onChoose }: QuestionChipsProps) {
  const row = useRef<HTMLElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the chip in view follows the question
  useEffect(() => {
    row.current?.querySelector('[aria-current="true"]')?.scrollIntoView({ inline: "center", block: "nearest" });
  }, [active]);
  if (questions.length < 2) return null;
  return (
    <Box
      ref={row}
      role="group"
      aria-label="Questions here"
      sx={{
        display: "flex",
        overflowX: "auto",
        mx: -2.5,
        px: 2.5,
        pb: 1,
        mb: 1,
        gap: 0.75,
        scrollbarWidth: "none",
        "&::-webkit-scrollbar": { display: "none" },
      }}
    >
      {questions.map((question) => {
        const item = itemOf(question);
        const current = item === active;
        return (
          <ButtonBase
            key={item}
            aria-current={current}
            data-chip={item}
            onClick={() => onChoose(item)}
            sx={{
              flex: "none",
              minHeight: TOUCH,
              px: 1.25,
              fontSize: "0.9375rem",
              whiteSpace: "nowrap",
              color: current ? tone.bone : tone.ink,
              bgcolor: current ? tone.ink : isDone(question) ? tone.boneDeep : "transparent",
              border: `1px solid ${current ? tone.ink : tone.boneLine}`,
              fontWeight: current || isDone(question) ? 700 : 450,
            }}
          >
            {isCharacterId(item) ? CHARACTER_WORDS[item].plain : (TOLD_NAMES[item] ?? item)}
          </ButtonBase>
        );
      })}
    </Box>
  );
}
