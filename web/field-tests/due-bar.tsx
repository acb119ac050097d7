/** A day as a line: where a print stands between its laying, its first look, the usual one and the last. */
import { type LaidPrint, PRINT_WINDOW_HOURS } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import { tone } from "../theme/tokens.ts";

const HOUR_MS = 3_600_000;

export function DueBar({ print, now }: { readonly print: LaidPrint; readonly now: Date }) {
  const { first, usual, latest } = PRINT_WINDOW_HOURS;
  const share = (hours: number) => `${(100 * Math.min(hours, latest)) / latest}%`;
  const lain = Math.max(0, (now.getTime() - Date.parse(print.laidAt)) / HOUR_MS);
  return (
    <Box aria-hidden="true" sx={{ position: "relative", height: 22, my: 0.75 }}>
      <Box sx={{ position: "absolute", top: 9, left: 0, right: 0, height: 4, bgcolor: tone.boneLine }} />
      <Box sx={{ position: "absolute", top: 9, left: 0, width: share(lain), height: 4, bgcolor: tone.ink }} />
      {[first, usual, latest].map((hours) => (
        <Box
          key={hours}
          sx={{
            position: "absolute",
            top: 3,
            left: `calc(${share(hours)} - 2px)`,
            width: 3,
            height: 16,
            bgcolor: hours === usual ? tone.rust : tone.inkSoft,
          }}
        />
      ))}
      <Box
        sx={{
          position: "absolute",
          top: 4,
          left: `calc(${share(lain)} - 7px)`,
          width: 14,
          height: 14,
          borderRadius: "50%",
          bgcolor: tone.ink,
        }}
      />
    </Box>
  );
}
