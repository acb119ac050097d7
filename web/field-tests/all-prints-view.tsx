/** All prints under way, of every find on this device and on the server. */
import { type Find, laidPrints } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { SplitCard } from "../card/split-card.tsx";
import { Trail } from "../card/trail.tsx";
import { listFinds } from "../device/api.ts";
import { device } from "../device/device.ts";
import { tone } from "../theme/tokens.ts";
import { CalendarButton } from "./calendar-button.tsx";
import { DueBar } from "./due-bar.tsx";
import { lainWords, stageWords } from "./print-words.ts";
import { useNow } from "./use-now.ts";

export function AllPrintsView() {
  const now = useNow();
  const [finds, setFinds] = useState<readonly Find[]>();
  useEffect(() => {
    void Promise.all([listFinds(), device.finds.toArray()]).then(([listed, kept]) => {
      // this device's own record of a find is the later one
      const all = new Map((listed ?? []).map(({ find }) => [find.id, find]));
      for (const { find } of kept) all.set(find.id, find);
      setFinds([...all.values()]);
    });
  }, []);
  const prints = (finds ?? []).flatMap((find) => laidPrints(find, now));
  const waiting = prints.filter((print) => print.stage !== "read");
  return (
    <SplitCard
      darkShare={0.5}
      light={
        <>
          <Trail view="tests" />
          <Box sx={{ px: { xs: 2.5, md: 3.5 }, pt: 2.5, flex: 1, minHeight: 0, overflowY: "auto" }}>
            <Typography variant="h2" component="h1">
              Prints under way
            </Typography>
            {finds === undefined && <Typography sx={{ pt: 1 }}>Looking for them.</Typography>}
            {finds !== undefined && waiting.length === 0 && (
              <Typography sx={{ pt: 1 }}>No print lies under its cup. One is laid from a find, under Tests.</Typography>
            )}
            <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, pt: 1.5 }}>
              {waiting.map((print) => (
                <Box
                  component="li"
                  key={`${print.find} ${print.body}`}
                  sx={{ py: 1.25, borderTop: `1px solid ${tone.boneLine}` }}
                >
                  <Link to={`/tests/${print.find}/prints`} style={{ color: tone.ink, fontWeight: 700 }}>
                    {print.body} of {print.label ?? "a find without a name"}
                  </Link>
                  <Box sx={{ color: tone.inkSoft }}>{lainWords(print, now)} under its cup</Box>
                  <DueBar print={print} now={now} />
                  <Box>{stageWords(print, now)}</Box>
                </Box>
              ))}
            </Box>
            <Box sx={{ py: 2 }}>
              <CalendarButton prints={waiting} />
            </Box>
          </Box>
        </>
      }
      dark={
        <Box sx={{ p: { xs: 2.5, md: 3.25 }, pt: { md: 9 } }}>
          <Typography variant="h1" component="p">
            {waiting.length} wait
          </Typography>
          <Typography sx={{ color: tone.onDarkSoft, pt: 1 }}>
            A print under its cup keeps its find on hold. Some hours at the least, overnight as a rule, a day at most.
          </Typography>
        </Box>
      }
    />
  );
}
