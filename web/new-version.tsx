/** A newer version of the application lies ready: it is taken when the person says so, never in the middle of a touch. */

import { registerSW } from "virtual:pwa-register";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useEffect, useState } from "react";
import { TOUCH, tone } from "./theme/tokens.ts";

export function NewVersion() {
  const [take, setTake] = useState<() => void>();
  useEffect(() => {
    const update = registerSW({ onNeedRefresh: () => setTake(() => () => void update(true)) });
  }, []);
  if (take === undefined) return null;
  return (
    <Box
      role="status"
      sx={{
        position: "fixed",
        left: 16,
        bottom: 72,
        zIndex: 10,
        display: "flex",
        alignItems: "center",
        gap: 1.5,
        pl: 2,
        bgcolor: tone.paper,
        color: tone.ink,
        border: `2px solid ${tone.ink}`,
      }}
    >
      A newer version is ready.
      <ButtonBase onClick={take} sx={{ minHeight: TOUCH, px: 2, fontWeight: 750 }}>
        Take it
      </ButtonBase>
    </Box>
  );
}
