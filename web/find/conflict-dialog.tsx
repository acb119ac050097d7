/** Two devices changed one find: both sides beside each other, and the person says which holds. Nothing is merged unasked. */
import { differences } from "@jittery-cap/core";
import type { SentDocument } from "@jittery-cap/core/api";
import { readContent } from "@jittery-cap/core/documents";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useState } from "react";
import { useNavigate } from "react-router";
import { findPath } from "../addresses.ts";
import { kindOf } from "../documents/documents.ts";
import { DifferenceTable } from "../layout/difference-table.tsx";
import { keepMineApart, takeBoth, takeOther } from "../session/conflict.ts";
import { useOpenFind } from "../session/session-context.tsx";

interface ConflictDialogProps {
  readonly theirs: SentDocument;
  readonly onClose: () => void;
}

export function ConflictDialog({ theirs, onClose }: ConflictDialogProps) {
  const mine = useOpenFind();
  const navigate = useNavigate();
  const [refusal, setRefusal] = useState<string>();
  const both = () => void takeBoth(mine, theirs).then((why) => (why === undefined ? onClose() : setRefusal(why)));
  const apart = async () => {
    const id = await keepMineApart(mine, theirs);
    onClose();
    await navigate(findPath(id));
  };
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="conflict-title">
      <DialogTitle id="conflict-title">Changed on two devices</DialogTitle>
      <DialogContent>
        <p className="lead-in">
          Both records are kept until you choose. Where they differ nothing is believed by itself.
        </p>
        <Differences mine={mine} theirs={theirs} />
        {refusal !== undefined && (
          <Alert severity="error" sx={{ mt: 1.5 }}>
            {refusal}
          </Alert>
        )}
        <div className="columns" style={{ paddingTop: 20 }}>
          <Way
            title="Put both together"
            about="What only one saw, or both saw differently, becomes unsure, to be looked at again."
            onClick={both}
          />
          <Way
            title="Take the other, drop mine"
            about="What this device holds and the server does not is given up."
            onClick={() => void takeOther(theirs).then(onClose)}
          />
          <Way
            title="Keep mine as a find of its own"
            about="The other stays as it is; mine becomes a second find."
            onClick={() => void apart()}
          />
        </div>
      </DialogContent>
      <DialogActions>
        <Button variant="quiet" onClick={onClose}>
          Not now
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Differences({
  mine,
  theirs,
}: {
  readonly mine: Parameters<typeof takeBoth>[0];
  readonly theirs: SentDocument;
}) {
  const other = readContent(kindOf("find"), theirs.content, theirs.schema);
  const lines = other.ok ? differences(mine, other.value) : [];
  const about = theirs.archived
    ? "The other device has put this find away."
    : lines.length > 0
      ? undefined
      : other.ok
        ? "Nothing: both came to the same record."
        : "The other record cannot be read here.";
  return <DifferenceTable lines={lines} mine="Here" theirs="On the other" about={about} testId="conflict" />;
}

interface WayProps {
  readonly title: string;
  readonly about: string;
  readonly onClick: () => void;
}

function Way({ title, about, onClick }: WayProps) {
  return (
    <Button variant="way" onClick={onClick}>
      <div className="strong">{title}</div>
      <div className="soft small">{about}</div>
    </Button>
  );
}
