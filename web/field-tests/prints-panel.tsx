/** The print station: which cap, how prepared, on what, since when; and each print read on its own. */

import {
  type Body,
  type Change,
  type Find,
  laidPrints,
  NO_PRINT_NEXT,
  PRINT_PAPERS,
  type SporePrint,
} from "@jittery-cap/core";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import { Choice } from "../specimen/choice.tsx";
import { Choices } from "../specimen/choices.tsx";
import { CalendarButton } from "./calendar-button.tsx";
import { DueBar } from "./due-bar.tsx";
import { lainWords, stageWords } from "./print-words.ts";
import { ReadPrint } from "./read-print.tsx";
import { useNow } from "./use-now.ts";

interface PrintsPanelProps {
  readonly find: Find;
  readonly onChange: (change: Change) => void;
}

const CAP_WORDS = {
  whole: "stem off level, whole",
  halved: "closed cap, halved",
  wetted: "dry cap, a drop of water",
} as const;

export function PrintsPanel({ find, onChange }: PrintsPanelProps) {
  const now = useNow();
  const prints = laidPrints(find, now);
  const setPrint = (body: Body, print: SporePrint | null) =>
    onChange({
      kind: "set-body",
      body: body.id,
      field: "print",
      value: print,
    });
  return (
    <>
      <Typography variant="h2" component="h1">
        Spore prints
      </Typography>
      <Typography className="soft below-2">
        Stem off level with the gills, cap down on the split card, cup over it. Every cap is read on its own.
      </Typography>
      {find.bodies.map((body) => {
        const print = prints.find((one) => one.body === body.id);
        return (
          <section
            key={body.id}
            aria-label={`Print of ${body.id}`}
            data-print={body.id}
            data-stage={print?.stage ?? "none"}
            className="line around-2"
          >
            <div className="print-head">
              <Typography variant="h3" component="h2">
                {body.id}
                <span className="plain soft"> {body.age ?? "age not told"}</span>
              </Typography>
              {print !== undefined && print.stage !== "read" && (
                <div className="soft">{lainWords(print, now)} under its cup</div>
              )}
            </div>
            {print === undefined ? (
              <LayPrint body={body} onLay={(made) => setPrint(body, made)} />
            ) : (
              <>
                {print.stage !== "read" && <DueBar print={print} now={now} />}
                <div className={print.stage === "due" || print.stage === "over-due" ? "below strong" : "below"}>
                  {stageWords(print, now)} {print.stage === "read" && print.result === "none" && NO_PRINT_NEXT}
                </div>
                <ReadPrint find={find} body={body} onPrint={(made) => setPrint(body, made)} onChange={onChange} />
                <div className="actions above">
                  <Link component={RouterLink} to={findPath(find.id, "tests", "colour")} className="tall-link">
                    Read it from a picture
                  </Link>
                  <Button variant="quiet" onClick={() => setPrint(body, null)}>
                    It was never laid
                  </Button>
                </div>
              </>
            )}
          </section>
        );
      })}
      <div className="around">
        <CalendarButton prints={prints} />
      </div>
    </>
  );
}

function LayPrint({ body, onLay }: { body: Body; onLay: (print: SporePrint) => void }) {
  const [cap, setCap] = useState<SporePrint["cap"]>("whole");
  const [paper, setPaper] = useState<SporePrint["paper"]>("split-black-white");
  const [open, setOpen] = useState(false);
  if (!open) return <Button onClick={() => setOpen(true)}>{`Lay the cap of ${body.id}`}</Button>;
  return (
    <div className="stack above">
      <Choices label="The cap" className="columns">
        {(["whole", "halved", "wetted"] as const).map((one) => (
          <Choice
            key={one}
            quiet
            label={CAP_WORDS[one]}
            state={one}
            chosen={cap === one}
            onChoose={() => setCap(one)}
          />
        ))}
      </Choices>
      <Choices label="The paper">
        {PRINT_PAPERS.map((one) => (
          <Choice
            key={one}
            quiet
            label={one.replaceAll("-", " ")}
            state={one}
            chosen={paper === one}
            onChoose={() => setPaper(one)}
          />
        ))}
      </Choices>
      <Button
        variant="contained"
        onClick={() => onLay({ laidAt: new Date().toISOString(), cap, paper, covered: true })}
      >
        It lies, the cup is over it
      </Button>
    </div>
  );
}
