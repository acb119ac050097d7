/** Says, wherever somebody is in the application, that a print has come due. */
import { type LaidPrint, laidPrints } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { device } from "../device/device.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import { useNow } from "./use-now.ts";

const keyOf = (print: LaidPrint): string => `${print.find} ${print.body} ${print.stage}`;

export function PrintReminder() {
  const now = useNow();
  const [due, setDue] = useState<readonly LaidPrint[]>([]);
  const [heard, setHeard] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    void device.finds.toArray().then((kept) => {
      const waiting = kept.flatMap(({ find }) => laidPrints(find, now));
      setDue(waiting.filter((print) => print.stage === "due" || print.stage === "over-due"));
    });
  }, [now]);
  const [first] = due.filter((print) => !heard.has(keyOf(print)));
  if (first === undefined) return null;
  const hear = () => setHeard(new Set([...heard, keyOf(first)]));
  return (
    <Box
      role="status"
      data-testid="print-reminder"
      sx={{
        position: "fixed",
        left: 16,
        bottom: 72,
        zIndex: 9,
        display: "flex",
        alignItems: "center",
        gap: 1.5,
        pl: 2,
        maxWidth: "calc(100vw - 32px)",
        bgcolor: tone.paper,
        color: tone.ink,
        border: `2px solid ${tone.ink}`,
      }}
    >
      <Link to={`/tests/${first.find}/prints`} onClick={hear} style={{ color: tone.ink }}>
        The print of {first.body} is due: {first.label ?? "a find"}
      </Link>
      <ButtonBase onClick={hear} sx={{ minHeight: TOUCH, px: 2, fontWeight: 750 }}>
        Later
      </ButtonBase>
    </Box>
  );
}
