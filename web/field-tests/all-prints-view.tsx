/** All prints under way, of every find on this device and on the server. */
import { laidPrints } from "@jittery-cap/core";
import Typography from "@mui/material/Typography";
import { useLiveQuery } from "dexie-react-hooks";
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { CalendarButton } from "./calendar-button.tsx";
import { DueBar } from "./due-bar.tsx";
import { openFinds } from "./open-finds.ts";
import { lainWords, stageWords } from "./print-words.ts";
import { useNow } from "./use-now.ts";

export function AllPrintsView() {
  const now = useNow();
  const finds = useLiveQuery(openFinds);
  const prints = (finds ?? []).flatMap((find) => laidPrints(find, now));
  const waiting = prints.filter((print) => print.stage !== "read");
  return (
    <SplitCard
      light={
        <>
          <Trail />
          <div className="page scroll">
            <Typography variant="h2" component="h1">
              Prints under way
            </Typography>
            {finds === undefined && <Typography className="above">Looking for them.</Typography>}
            {finds !== undefined && waiting.length === 0 && (
              <Typography className="above">
                No print lies under its cup. One is laid from a find, under Tests.
              </Typography>
            )}
            <ul className="lines above-2">
              {waiting.map((print) => (
                <li key={`${print.find} ${print.body}`} className="line around">
                  <Link to={findPath(print.find, "tests", "prints")} className="strong print-link">
                    {print.body} of {print.label ?? "a find without a name"}
                  </Link>
                  <div className="soft">{lainWords(print, now)} under its cup</div>
                  <DueBar print={print} now={now} />
                  <div>{stageWords(print, now)}</div>
                </li>
              ))}
            </ul>
            <div className="around">
              <CalendarButton prints={waiting} />
            </div>
          </div>
        </>
      }
      dark={
        <div className="dark-page">
          <Typography variant="h1" component="p">
            {waiting.length} wait
          </Typography>
          <Typography className="soft above">
            A print under its cup keeps its find on hold. Some hours at the least, overnight as a rule, a day at most.
          </Typography>
        </div>
      }
    />
  );
}
