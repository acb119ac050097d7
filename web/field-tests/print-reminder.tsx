/** Says, wherever somebody is in the application, that a print has come due. */
import { type Find, type LaidPrint, laidPrints } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import Snackbar from "@mui/material/Snackbar";
import { useEffect, useMemo, useState } from "react";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import { openFinds } from "./open-finds.ts";
import { useNow } from "./use-now.ts";

/** A print that nobody looked at for so long after its day is spoilt: it stands under Tests, and nobody is called to it, ms. */
const SPOILT_AFTER_MS = 24 * 60 * 60 * 1000;
const isRecent = (print: LaidPrint, now: Date): boolean => now.getTime() - print.latest.getTime() < SPOILT_AFTER_MS;

/** A view is read before a print is thought of, ms. */
const BEHIND_THE_VIEW_MS = 1500;

const keyOf = (print: LaidPrint): string => `${print.find} ${print.body} ${print.stage}`;

export function PrintReminder() {
  const now = useNow();
  const [finds, setFinds] = useState<readonly Find[]>();
  // asked once a minute: no print comes due sooner, and no touch waits for it
  // biome-ignore lint/correctness/useExhaustiveDependencies: the moment is what it is asked for
  useEffect(() => {
    const soon = setTimeout(() => void openFinds().then(setFinds, () => undefined), BEHIND_THE_VIEW_MS);
    return () => clearTimeout(soon);
  }, [now]);
  const [heard, setHeard] = useState<ReadonlySet<string>>(new Set());
  const due = useMemo(
    () =>
      (finds ?? [])
        .flatMap((find) => laidPrints(find, now))
        .filter((print) => print.stage === "due" || (print.stage === "over-due" && isRecent(print, now))),
    [finds, now],
  );
  const [first] = due.filter((print) => !heard.has(keyOf(print)));
  if (first === undefined) return null;
  const hear = () => setHeard(new Set([...heard, keyOf(first)]));
  return (
    <Snackbar
      open
      // over the dark half, whose controls are few; on a phone above both bars, never over the answer
      anchorOrigin={{ vertical: "bottom", horizontal: "right" }}
      sx={{ bottom: { xs: 116, md: 24 } }}
      message={
        <Link component={RouterLink} to={findPath(first.find, "tests", "prints")} onClick={hear}>
          The print of {first.body} is due: {first.label ?? "a find"}
        </Link>
      }
      action={
        <Button variant="quiet" onClick={hear}>
          Later
        </Button>
      }
      slotProps={{ content: { role: "status", ...{ "data-testid": "print-reminder" } } }}
    />
  );
}
