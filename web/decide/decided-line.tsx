/** Says at once that a find is decided, when, and what can still be changed. */
import { canonicalJson, ENDING_WORDS, type Find } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import type { ShownDecision } from "../documents/decisions.ts";

interface DecidedLineProps {
  readonly find: Find;
  readonly decisions: readonly ShownDecision[] | undefined;
}

const momentWords = (at: string): string =>
  new Date(at).toLocaleString([], { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" });

export function DecidedLine({ find, decisions }: DecidedLineProps) {
  const [latest] = decisions ?? [];
  if (latest === undefined) return null;
  const endings = latest.endings.map(({ body, ending }) => `${body} ${ENDING_WORDS[ending]}`).join("; ");
  const isSame = canonicalJson(withoutEndings(latest.find)) === canonicalJson(withoutEndings(find));
  return (
    <Alert severity="success" role="status" data-testid="decided" sx={{ mt: 1.5 }}>
      <b>Decided {momentWords(latest.decidedAt)}</b>: {endings}.{" "}
      {isSame
        ? "It can be decided anew below; what was decided is kept."
        : "The record has changed since; it is judged anew, and can be decided anew."}
    </Alert>
  );
}

/** A record without what became of its bodies, which the decision itself has written in. */
const withoutEndings = (find: Find): Find => ({
  ...find,
  bodies: find.bodies.map(({ ending: _ending, ...body }) => body),
});
