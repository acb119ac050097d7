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
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { Link } from "react-router";
import { Choice } from "../find/choice.tsx";
import { TOUCH, tone } from "../theme/tokens.ts";
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
      value: print === null ? null : JSON.parse(JSON.stringify(print)),
    });
  return (
    <>
      <Typography variant="h2" component="h1">
        Spore prints
      </Typography>
      <Typography sx={{ color: tone.inkSoft, pb: 2 }}>
        Stem off level with the gills, cap down on the split card, cup over it. Every cap is read on its own.
      </Typography>
      {find.bodies.map((body) => {
        const print = prints.find((one) => one.body === body.id);
        return (
          <Box
            key={body.id}
            component="section"
            aria-label={`Print of ${body.id}`}
            data-print={body.id}
            data-stage={print?.stage ?? "none"}
            sx={{ py: 1.5, borderTop: `1px solid ${tone.boneLine}` }}
          >
            <Box sx={{ display: "flex", alignItems: "baseline", gap: 1.5, flexWrap: "wrap" }}>
              <Typography variant="h3" component="h2">
                {body.id}
                <Box component="span" sx={{ fontWeight: 450, color: tone.inkSoft }}>
                  {" "}
                  {body.age ?? "age not told"}
                </Box>
              </Typography>
              {print !== undefined && print.stage !== "read" && (
                <Box sx={{ color: tone.inkSoft }}>{lainWords(print, now)} under its cup</Box>
              )}
            </Box>
            {print === undefined ? (
              <LayPrint body={body} onLay={(made) => setPrint(body, made)} />
            ) : (
              <>
                {print.stage !== "read" && <DueBar print={print} now={now} />}
                <Box sx={{ pb: 1, fontWeight: print.stage === "due" || print.stage === "over-due" ? 750 : 450 }}>
                  {stageWords(print, now)} {print.stage === "read" && print.result === "none" && NO_PRINT_NEXT}
                </Box>
                <ReadPrint find={find} body={body} onPrint={(made) => setPrint(body, made)} onChange={onChange} />
                <Box sx={{ display: "flex", gap: 2, pt: 0.5, flexWrap: "wrap" }}>
                  <Box
                    component={Link}
                    to={`/tests/${find.id}/colour`}
                    sx={{ color: tone.ink, minHeight: TOUCH - 8, display: "flex", alignItems: "center" }}
                  >
                    Read it from a picture
                  </Box>
                  <ButtonBase
                    onClick={() => setPrint(body, null)}
                    sx={{ minHeight: TOUCH - 8, color: tone.inkSoft, textDecoration: "underline" }}
                  >
                    It was never laid
                  </ButtonBase>
                </Box>
              </>
            )}
          </Box>
        );
      })}
      <Box sx={{ py: 2 }}>
        <CalendarButton prints={prints} />
      </Box>
    </>
  );
}

function LayPrint({ body, onLay }: { body: Body; onLay: (print: SporePrint) => void }) {
  const [cap, setCap] = useState<SporePrint["cap"]>("whole");
  const [paper, setPaper] = useState<SporePrint["paper"]>("split-black-white");
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <ButtonBase
        onClick={() => setOpen(true)}
        sx={{ mt: 1, minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.ink}`, bgcolor: tone.paper, fontWeight: 600 }}
      >
        {`Lay the cap of ${body.id}`}
      </ButtonBase>
    );
  return (
    <Box sx={{ pt: 1, display: "grid", gap: 1 }}>
      <Box
        role="group"
        aria-label="The cap"
        sx={{ display: "grid", gap: 1, gridTemplateColumns: { xs: "1fr", md: "repeat(3, 1fr)" } }}
      >
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
      </Box>
      <Box
        role="group"
        aria-label="The paper"
        sx={{ display: "grid", gap: 1, gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(6, 1fr)" } }}
      >
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
      </Box>
      <ButtonBase
        onClick={() => onLay({ laidAt: new Date().toISOString(), cap, paper, covered: true })}
        sx={{ minHeight: TOUCH + 4, px: 2, bgcolor: tone.ink, color: tone.bone, fontWeight: 750, justifySelf: "start" }}
      >
        It lies, the cup is over it
      </ButtonBase>
    </Box>
  );
}
