/** Whether the server has what is on the screen; what it does not have is said plainly. */
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { memo, useState } from "react";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import { ConflictDialog } from "./conflict-dialog.tsx";

export const SavedLine = memo(function SavedLine() {
  const { delivery, savedAt, refusal } = useFind();
  const [looking, setLooking] = useState(false);
  if (refusal !== undefined)
    return (
      <Box role="alert" sx={{ color: tone.rust, fontWeight: 600 }}>
        Not taken: {refusal}
      </Box>
    );
  if (delivery?.state === "conflict" && delivery.current !== undefined) {
    const theirs = delivery.current;
    return (
      <Box role="alert" sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        <b>Changed on another device.</b>
        <Ask onClick={() => setLooking(true)}>Look at both</Ask>
        {looking && <ConflictDialog theirs={theirs} onClose={() => setLooking(false)} />}
      </Box>
    );
  }
  if (delivery?.state === "refused")
    return (
      <Box role="alert" sx={{ color: tone.rust }}>
        The server refused it: {delivery.text}. It stays on this device.
      </Box>
    );
  if (delivery?.state === "failed")
    return (
      <Box role="alert" sx={{ color: tone.rust }}>
        This program failed at sending it. It stays on this device; write it down.
      </Box>
    );
  if (delivery?.state === "sending") return <Box role="status">sending</Box>;
  if (delivery?.state === "waiting")
    return (
      <Box role="status">{delivery.waiting === 1 ? "1 change" : `${delivery.waiting} changes`} on this device only</Box>
    );
  if (delivery?.state === "unreachable") return <Box role="status">server away; nothing waits</Box>;
  if (delivery?.state === "saved")
    return (
      <Box role="status">
        saved
        {savedAt === undefined ? "" : ` ${savedAt.toLocaleTimeString([], { hour: "2-digit", minute: "2-digit" })}`}
      </Box>
    );
  return <Box role="status">…</Box>;
});

function Ask({ onClick, children }: { onClick: () => void; children: string }) {
  return (
    <ButtonBase
      onClick={onClick}
      sx={{
        px: 1.5,
        minHeight: TOUCH - 8,
        border: `1px solid ${tone.ink}`,
        bgcolor: tone.paper,
        fontSize: "1rem",
      }}
    >
      {children}
    </ButtonBase>
  );
}
