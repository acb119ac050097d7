/** The history of a find: who changed what, when, the latest first; what the server has not heard of stands on top. */
import { changeWords, type Edit } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import { DarkHalf } from "../card/dark-half.tsx";
import { SplitCard } from "../card/split-card.tsx";
import { StateOfView } from "../card/state-of-view.tsx";
import { Trail } from "../card/trail.tsx";
import { type HistoryLine, readHistory } from "../device/api.ts";
import { touchesKept, waitingFor } from "../device/device.ts";
import { useFind } from "../state/find-state.ts";
import { tone } from "../theme/tokens.ts";

interface Line {
  readonly edit: Edit;
  readonly version: number | undefined;
}

export function HistoryView() {
  const { id = "" } = useParams();
  const { status, find, answer, answerState, lastMove, open } = useFind();
  const [heard, setHeard] = useState<readonly HistoryLine[] | "unreachable">();
  const [waiting, setWaiting] = useState<readonly Edit[]>([]);
  useEffect(() => void open(id), [id, open]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a change of the record is a new line of its history
  useEffect(() => {
    void readHistory(id).then((edits) => setHeard(edits ?? "unreachable"));
    void touchesKept()
      .then(() => waitingFor(id))
      .then((edits) => setWaiting(edits.map((one) => one.edit)));
  }, [id, find]);
  if (status !== "open" || find?.id !== id) return <StateOfView view="find" status={status} />;
  const known = heard === undefined || heard === "unreachable" ? [] : heard;
  const lines: Line[] = [
    ...known.map(({ edit, version }) => ({ edit, version })),
    ...waiting
      .filter((edit) => known.every((line) => line.edit.id !== edit.id))
      .map((edit) => ({ edit, version: undefined })),
  ].reverse();
  return (
    <SplitCard
      darkShare={0.4}
      light={
        <>
          <Trail view="find" findId={id} />
          <Box sx={{ px: { xs: 2.5, md: 3.5 }, pt: 2.5, pb: 1.5, flex: "none" }}>
            <Typography variant="h2" component="h1">
              History of {find.label ?? "this find"}
            </Typography>
            <Typography sx={{ color: tone.inkSoft }}>
              {heard === "unreachable"
                ? "The server cannot be reached; shown is what this device has not sent yet."
                : `${lines.length} ${lines.length === 1 ? "change" : "changes"}, the latest first.`}{" "}
              <Link to={`/find/${id}`} style={{ color: tone.ink }}>
                Back to the find
              </Link>
            </Typography>
          </Box>
          <Box
            component="ol"
            aria-label="Changes, latest first"
            sx={{
              listStyle: "none",
              m: 0,
              p: 0,
              flex: 1,
              minHeight: 0,
              overflowY: "auto",
              borderTop: `1px solid ${tone.boneLine}`,
            }}
          >
            {lines.map((line) => (
              <HistoryItem key={line.edit.id} line={line} all={lines} />
            ))}
            {lines.length === 0 && heard !== undefined && (
              <Box component="li" sx={{ px: { xs: 2.5, md: 3.5 }, py: 2 }}>
                Recorded in one piece; nothing was changed since.
              </Box>
            )}
          </Box>
        </>
      }
      dark={<DarkHalf answer={answer} state={answerState} lastMove={lastMove} />}
    />
  );
}

function HistoryItem({ line, all }: { line: Line; all: readonly Line[] }) {
  const { edit, version } = line;
  const isTakenBack = all.some((other) => other.edit.undoes === edit.id);
  const kind = edit.undoes !== undefined ? "undone: " : edit.redoes !== undefined ? "done again: " : "";
  const by = "by" in edit.change ? edit.change.by : undefined;
  return (
    <Box
      component="li"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", md: "170px 1fr auto" },
        columnGap: 2,
        px: { xs: 2.5, md: 3.5 },
        py: 1,
        borderBottom: `1px solid ${tone.boneLine}`,
        alignItems: "baseline",
      }}
    >
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>
        {new Date(edit.at).toLocaleString([], {
          day: "numeric",
          month: "short",
          hour: "2-digit",
          minute: "2-digit",
          second: "2-digit",
        })}
      </Box>
      <Box sx={{ textDecoration: isTakenBack ? "line-through" : "none", fontWeight: 600 }}>
        {kind}
        {changeWords(edit.change)}
      </Box>
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>
        {by ?? "the finder"} · {version === undefined ? "on this device only" : `version ${version}`}
      </Box>
    </Box>
  );
}
