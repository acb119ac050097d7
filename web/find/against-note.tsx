/** Says that only what separates the find from one danger is asked, and how to ask everything again. */
import { theKind } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { useFind, useSession } from "../session/session-context.tsx";

export function AgainstNote() {
  const { checkAgainst } = useSession();
  const against = useFind((state) => state.against);
  const answer = useFind((state) => state.answer);
  if (against === undefined) return null;
  const mistakes = answer?.dangers.find((danger) => danger.sheet === against.sheet)?.mistakes;
  return (
    <Alert
      severity="error"
      role="status"
      data-testid="against"
      sx={{ mb: 2 }}
      action={<Button onClick={() => void checkAgainst(undefined)}>Ask everything</Button>}
    >
      {against.beside === undefined
        ? `Only what would move ${theKind(against.name)}.`
        : `Only what tells ${theKind(against.name)} from ${theKind(against.beside)}.`}{" "}
      {mistakes !== undefined && (
        <b>
          {mistakes === 0
            ? "Nothing speaks against it yet."
            : `${mistakes} ${mistakes === 1 ? "mistake" : "mistakes"} away.`}
        </b>
      )}
    </Alert>
  );
}
