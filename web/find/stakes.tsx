/** How many dangers turn on a character, and at a touch which. */
import { wordList } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useState } from "react";
import { tone } from "../theme/tokens.ts";

export function Stakes({ names }: { readonly names: readonly string[] }) {
  const [open, setOpen] = useState(false);
  if (names.length === 0) return null;
  return (
    <>
      <ButtonBase
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        sx={{
          ml: "auto",
          color: tone.rust,
          fontSize: "0.9375rem",
          fontWeight: 600,
          whiteSpace: "nowrap",
          minHeight: 28,
          "&:hover": { textDecoration: "underline" },
        }}
      >
        {names.length === 1 ? "one danger turns on it" : `${names.length} dangers turn on it`}
      </ButtonBase>
      {open && (
        <Box sx={{ flexBasis: "100%", color: tone.rust, fontSize: "0.9375rem" }}>{wordList([...names], "and")}</Box>
      )}
    </>
  );
}
