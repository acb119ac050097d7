/** A part of a half that scrolls by itself; since it scrolls, it can be reached by keyboard. */
import Box from "@mui/material/Box";
import type { SystemStyleObject } from "@mui/system";
import type { ReactNode } from "react";

interface ScrollRegionProps {
  readonly label: string;
  readonly sx?: SystemStyleObject;
  readonly children: ReactNode;
}

export function ScrollRegion({ label, sx, children }: ScrollRegionProps) {
  return (
    <Box component="section" aria-label={label} tabIndex={0} sx={{ flex: 1, minHeight: 0, overflow: "auto", ...sx }}>
      {children}
    </Box>
  );
}
