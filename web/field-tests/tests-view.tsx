/** Tests: what takes time or a measuring eye, done with the program's help. */
import Skeleton from "@mui/material/Skeleton";
import { lazy, Suspense, useState } from "react";
import { Link, useParams } from "react-router";
import { findPath } from "../addresses.ts";
import { SavedLine } from "../find/saved-line.tsx";
import { StandingDangers } from "../find/standing-dangers.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { StateOfView } from "../layout/state-of-view.tsx";
import { Trail } from "../layout/trail.tsx";
import { useOpenFind, useSession } from "../session/session-context.tsx";
import { BodiesRow } from "../specimen/bodies-row.tsx";
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
  const { test: word } = useParams();
  const find = useOpenFind();
  const { change } = useSession();
  const [bodyId, setBodyId] = useState("");
  const test = TESTS.find((one) => one.id === word) ?? TESTS[0];
  const body = find.bodies.find((one) => one.id === bodyId) ?? find.bodies[0];
  if (body === undefined) return <StateOfView status="missing" />;
  const on = { find, body, onChange: change };
  return (
    <SplitCard
      isHeld
      light={
        <>
          <Trail />
          <nav aria-label="Tests of this find" className="row-of-chips stations">
            {TESTS.map((one) => (
              <Link
                key={one.id}
                to={findPath(find.id, "tests", one.id)}
                replace
                aria-current={one.id === test.id ? "step" : undefined}
                className={one.id === test.id ? "stop active" : "stop"}
              >
                {one.name}
              </Link>
            ))}
          </nav>
          <div data-test-view={test.id} className="page scroll">
            {ON_A_BODY.has(test.id) && find.bodies.length > 1 && (
              <div className="below-2">
                <BodiesRow find={find} chosen={body.id} onChoose={setBodyId} height={64} words={false} />
              </div>
            )}
            {test.id === "prints" && <PrintsPanel find={find} onChange={change} />}
            {test.id === "colour" && <ColourPanel key={body.id} {...on} />}
            {test.id === "stain" && <StainPanel key={body.id} {...on} />}
            {test.id === "size" && <SizePanel key={body.id} {...on} />}
            {test.id === "spores" && (
              <Suspense fallback={<Skeleton height={240} />}>
                <SporesPanel key={body.id} {...on} />
              </Suspense>
            )}
            {test.id === "batch" && <BatchPanel find={find} />}
          </div>
          <footer className="foot">
            <SavedLine />
          </footer>
        </>
      }
      dark={<StandingDangers />}
    />
  );
}
