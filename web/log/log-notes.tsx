/** What is told beside the finds: above them what holds for all, below them what comes and goes, so that no line moves. */
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import type { Kept } from "../documents/documents.ts";
import { useHere } from "../people/here.ts";

export function LogNotes({ isAway, refusal }: { readonly isAway: boolean; readonly refusal: string | undefined }) {
  // a server that says so is there; what it says stands at the head of the page
  const isSignedOut = useHere((here) => here.isSignedOut);
  return (
    <div className="log-notes">
      {isAway && !isSignedOut && (
        <Alert severity="info" role="status">
          The server cannot be reached. Shown is what is on this device.
        </Alert>
      )}
      {refusal !== undefined && <Alert severity="error">{refusal}</Alert>}
    </div>
  );
}

interface LogNotesLowProps {
  readonly waiting: number;
  /** The find that was put away last. */
  readonly removed: Kept<"find"> | undefined;
  readonly onBringBack: (find: Kept<"find">) => void;
}

export function LogNotesLow({ waiting, removed, onBringBack }: LogNotesLowProps) {
  return (
    <div className="log-notes log-notes-low">
      {waiting > 0 && (
        <Alert severity="info" role="status">
          {waiting === 1 ? "1 change" : `${waiting} changes`} on this device only; sent as soon as there is a server.
        </Alert>
      )}
      {removed !== undefined && (
        <Alert
          severity="info"
          role="status"
          action={
            <Button variant="quiet" onClick={() => onBringBack(removed)}>
              Bring it back
            </Button>
          }
        >
          “{removed.content.label ?? "A find"}” was put away.
        </Alert>
      )}
    </div>
  );
}
