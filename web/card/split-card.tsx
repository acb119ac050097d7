/** The whole application as a print card: the light half holds what was seen, the dark half what still stands. */
import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import { tone } from "../theme/tokens.ts";

interface SplitCardProps {
  readonly light: ReactNode;
  readonly dark: ReactNode;
  /** Share of the card that is dark on a wide screen, 0 to 1: how much is still unknown moves the edge. */
  readonly darkShare: number;
  /** On a phone the dark half is a band at the top; left out where the view puts it elsewhere. */
  readonly darkFirst?: boolean;
}

/** The narrowest and widest the dark half may be on a wide screen. */
const NARROWEST = 0.31;
const WIDEST = 0.42;

export function SplitCard({ light, dark, darkShare, darkFirst = true }: SplitCardProps) {
  const share = NARROWEST + (WIDEST - NARROWEST) * Math.min(1, Math.max(0, darkShare));
  return (
    <Box
      sx={{
        display: "flex",
        flexDirection: { xs: darkFirst ? "column-reverse" : "column", md: "row" },
        height: "100dvh",
        overflow: "hidden",
      }}
    >
      <Box
        component="main"
        sx={{
          flex: 1,
          minWidth: 0,
          minHeight: 0,
          display: "flex",
          flexDirection: "column",
          bgcolor: tone.bone,
          color: tone.ink,
        }}
      >
        {light}
      </Box>
      <Box
        component="aside"
        aria-label="What still stands"
        sx={{
          flex: { xs: "none", md: `0 0 ${(share * 100).toFixed(1)}%` },
          maxHeight: { xs: "42dvh", md: "none" },
          minHeight: 0,
          minWidth: 0,
          bgcolor: tone.moss,
          color: tone.onDark,
          display: "flex",
          flexDirection: "column",
          position: "relative",
          transition: "flex-basis 240ms ease-out",
        }}
      >
        {dark}
      </Box>
    </Box>
  );
}
