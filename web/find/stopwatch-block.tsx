/** The stopwatch beside a stain: it sounds at ten seconds, a minute and five minutes. */
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { TOUCH, tone } from "../theme/tokens.ts";
import { clockText, nextMark, type Stopwatch } from "./stopwatch.ts";

export function StopwatchBlock({ stopwatch }: { readonly stopwatch: Stopwatch }) {
  const { seconds = 0, runs, turn, clear } = stopwatch;
  const next = nextMark(seconds);
  return (
    <Box
      component="section"
      aria-label="Stopwatch"
      data-testid="stopwatch"
      sx={{ display: "flex", alignItems: "center", gap: 1.5, pb: 2.75, flexWrap: "wrap" }}
    >
      <Box
        role="timer"
        sx={{ fontSize: "2rem", fontWeight: 750, minWidth: 92, fontVariantNumeric: "tabular-nums", lineHeight: 1 }}
      >
        {clockText(seconds)}
      </Box>
      <ButtonBase onClick={turn} sx={{ minHeight: TOUCH, px: 2, bgcolor: tone.ink, color: tone.bone, fontWeight: 700 }}>
        {runs ? "Stop" : "Start the clock"}
      </ButtonBase>
      {!runs && seconds > 0 && (
        <ButtonBase onClick={clear} sx={{ minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.boneLine}` }}>
          Clear
        </ButtonBase>
      )}
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>
        {runs && next !== undefined
          ? `It sounds at ${clockText(next)}.`
          : "It sounds at 10 s, a minute and five minutes."}
      </Box>
    </Box>
  );
}
