/** Tests: what takes time or a measuring eye, done with the program's help. */
import Box from "@mui/material/Box";
import { lazy, Suspense, useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import { DarkHalf } from "../card/dark-half.tsx";
import { SplitCard } from "../card/split-card.tsx";
import { StateOfView } from "../card/state-of-view.tsx";
import { Trail } from "../card/trail.tsx";
import { BodiesRow } from "../find/bodies-row.tsx";
import { SavedLine } from "../find/saved-line.tsx";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import { BatchPanel } from "./batch-panel.tsx";
import { ColourPanel } from "./colour-panel.tsx";
import { PrintsPanel } from "./prints-panel.tsx";
import { SizePanel } from "./size-panel.tsx";
import { StainPanel } from "./stain-panel.tsx";

const SporesPanel = lazy(() => import("./spores-panel.tsx").then((module) => ({ default: module.SporesPanel })));

const TESTS = [
  { id: "prints", name: "Prints" },
  { id: "colour", name: "Colour" },
  { id: "stain", name: "Stain and nose" },
  { id: "size", name: "Size" },
  { id: "spores", name: "Spores" },
  { id: "batch", name: "Troop" },
] as const;
/** Tests that are done on one body. */
const ON_A_BODY: ReadonlySet<string> = new Set(["colour", "stain", "size", "spores"]);

export function TestsView() {
  const { id = "", test: word } = useParams();
  const { status, find, answer, answerState, lastMove, open, change } = useFind();
  const [bodyId, setBodyId] = useState("");
  useEffect(() => void open(id), [id, open]);
  if (status !== "open" || find?.id !== id) return <StateOfView view="tests" status={status} />;
  const test = TESTS.find((one) => one.id === word) ?? TESTS[0];
  const body = find.bodies.find((one) => one.id === bodyId) ?? find.bodies[0];
  if (body === undefined) return <StateOfView view="tests" status="missing" />;
  const on = { find, body, onChange: change };
  return (
    <SplitCard
      darkShare={0.4}
      light={
        <>
          <Trail view="tests" findId={find.id} />
          <Box
            component="nav"
            aria-label="Tests"
            sx={{
              display: "flex",
              overflowX: "auto",
              px: { xs: 1.25, md: 2.5 },
              borderBottom: `1px solid ${tone.boneLine}`,
              flex: "none",
              scrollbarWidth: "none",
            }}
          >
            {TESTS.map((one) => (
              <Box
                key={one.id}
                component={Link}
                to={`/tests/${find.id}/${one.id}`}
                replace
                aria-current={one.id === test.id ? "step" : undefined}
                sx={{
                  flex: "none",
                  display: "flex",
                  alignItems: "center",
                  minHeight: TOUCH,
                  px: 1.25,
                  color: one.id === test.id ? tone.ink : tone.inkSoft,
                  fontWeight: one.id === test.id ? 750 : 500,
                  textDecoration: "none",
                  borderBottom: "4px solid",
                  borderColor: one.id === test.id ? tone.ink : "transparent",
                }}
              >
                {one.name}
              </Box>
            ))}
          </Box>
          <Box
            data-test-view={test.id}
            sx={{ flex: 1, minHeight: 0, overflowY: "auto", px: { xs: 2.5, md: 3.5 }, pt: 2 }}
          >
            {ON_A_BODY.has(test.id) && find.bodies.length > 1 && (
              <Box sx={{ pb: 1.5 }}>
                <BodiesRow find={find} chosen={body.id} onChoose={setBodyId} height={64} words={false} />
              </Box>
            )}
            {test.id === "prints" && <PrintsPanel find={find} onChange={change} />}
            {test.id === "colour" && <ColourPanel key={body.id} {...on} />}
            {test.id === "stain" && <StainPanel key={body.id} {...on} />}
            {test.id === "size" && <SizePanel key={body.id} {...on} />}
            {test.id === "spores" && (
              <Suspense fallback={null}>
                <SporesPanel key={body.id} {...on} />
              </Suspense>
            )}
            {test.id === "batch" && <BatchPanel find={find} />}
          </Box>
          <Box
            component="footer"
            sx={{
              px: 2.5,
              minHeight: 44,
              display: "flex",
              alignItems: "center",
              justifyContent: "flex-end",
              borderTop: `1px solid ${tone.boneLine}`,
              color: tone.inkSoft,
              fontSize: "0.9375rem",
              flex: "none",
            }}
          >
            <SavedLine />
          </Box>
        </>
      }
      dark={<DarkHalf answer={answer} state={answerState} lastMove={lastMove} />}
    />
  );
}
