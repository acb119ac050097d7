/** Whether the server has what is on the screen; what it does not have is said plainly. */
import Button from "@mui/material/Button";
import { memo, useState } from "react";
import type { Delivery } from "../documents/delivery.ts";
import { useFind } from "../session/session-context.tsx";
import { ConflictDialog } from "./conflict-dialog.tsx";

/** Made once: it is drawn at every touch, and to make one takes longer than to use it. */
const timeFormat = new Intl.DateTimeFormat([], { hour: "2-digit", minute: "2-digit" });

/** Where a touch is, in words; for what is in trouble see below. */
function deliveryWords(delivery: Delivery | undefined, savedAt: Date | undefined): string {
  switch (delivery?.state) {
    case "sending":
      return "sending";
    case "waiting":
      return `${delivery.waiting === 1 ? "1 change" : `${delivery.waiting} changes`} on this device only`;
    case "unreachable":
      return "server away; nothing waits";
    case "saved":
      return savedAt === undefined ? "saved" : `saved ${timeFormat.format(savedAt)}`;
    default:
      return "…";
  }
}

export const SavedLine = memo(function SavedLine() {
  const delivery = useFind((state) => state.delivery);
  const savedAt = useFind((state) => state.savedAt);
  const refusal = useFind((state) => state.refusal);
  const [looking, setLooking] = useState(false);
  if (refusal !== undefined) return <Trouble>Not taken: {refusal}</Trouble>;
  switch (delivery?.state) {
    case "conflict":
      if (delivery.current === undefined) break;
      return (
        <span role="alert" className="actions">
          <b>Changed on another device.</b>
          <Button onClick={() => setLooking(true)}>Look at both</Button>
          {looking && <ConflictDialog theirs={delivery.current} onClose={() => setLooking(false)} />}
        </span>
      );
    case "refused":
      return <Trouble>The server refused it: {delivery.text}. It stays on this device.</Trouble>;
    case "failed":
      return <Trouble>This program failed at sending it. It stays on this device; write it down.</Trouble>;
  }
  return <span role="status">{deliveryWords(delivery, savedAt)}</span>;
});

function Trouble({ children }: { readonly children: React.ReactNode }) {
  return (
    <span role="alert" className="stands">
      {children}
    </span>
  );
}
