/** The light note that lies over the dark half: what to do next. Touching it goes there. */
import type { PlannedTest } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { tone } from "../theme/tokens.ts";

interface NextNoteProps {
  readonly tests: readonly PlannedTest[];
  readonly onGo: (test: PlannedTest) => void;
}

const minutesText = (test: PlannedTest): string =>
  test.waitHours > 0
    ? `${test.minutes} minutes, then ${test.waitHours} hours of waiting`
    : test.minutes < 1
      ? "half a minute"
      : `about ${test.minutes} minute${test.minutes === 1 ? "" : "s"}`;

export function NextNote({ tests, onGo }: NextNoteProps) {
  const [next, after] = tests;
  if (next === undefined) return null;
  const moves = next.movesAway.length;
  return (
    <ButtonBase
      onClick={() => onGo(next)}
      data-testid="next-test"
      data-test={next.test}
      sx={{
        display: "block",
        textAlign: "left",
        width: { md: "calc(100% - 24px)" },
        bgcolor: tone.bone,
        color: tone.ink,
        px: { xs: 2.5, md: 3.25 },
        py: { xs: 1.25, md: 2 },
        ml: { xs: 2.5, md: 0 },
        mr: { xs: 2.5, md: 3 },
        mb: { xs: 1.5, md: 2.5 },
        flex: "none",
        "&:hover": { bgcolor: tone.paper },
      }}
    >
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem", display: { xs: "none", md: "block" } }}>
        Next, {minutesText(next)}
      </Box>
      <Box sx={{ fontWeight: 750, fontSize: { xs: "1.0625rem", md: "1.25rem" }, lineHeight: 1.2 }}>
        <Box component="span" sx={{ display: { xs: "inline", md: "none" }, fontWeight: 500 }}>
          Next:{" "}
        </Box>
        {next.text}
      </Box>
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem", pt: 0.25, display: { xs: "none", md: "block" } }}>
        {moves > 0 && `Moves ${moves === 1 ? "one danger" : `${moves} dangers`}. `}
        {after !== undefined && `Then: ${after.text.charAt(0).toLowerCase()}${after.text.slice(1)}.`}
      </Box>
    </ButtonBase>
  );
}
