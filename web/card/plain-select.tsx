/** The device's own list to choose from, as tall as a thumb: it reads well in every hand and to every reader. */
import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import { TOUCH, tone } from "../theme/tokens.ts";

interface PlainSelectProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** Takes the room there is, instead of what its longest word needs. */
  readonly grows?: boolean;
  /** The options. */
  readonly children: ReactNode;
}

export function PlainSelect({ label, value, onChange, grows = false, children }: PlainSelectProps) {
  return (
    <Box
      component="select"
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      sx={{
        ...(grows ? { flex: "1 1 260px" } : {}),
        minWidth: 0,
        maxWidth: "100%",
        minHeight: TOUCH,
        font: "inherit",
        px: 1,
        bgcolor: tone.paper,
        color: tone.ink,
        border: `1px solid ${tone.ink}`,
        borderRadius: 0,
      }}
    >
      {children}
    </Box>
  );
}
